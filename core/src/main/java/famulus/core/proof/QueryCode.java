package famulus.core.proof;

import java.util.Arrays;
import java.util.Optional;

/** The notes that are questions to the writer of words. A company may have any of them stop a message, or never be asked. */
public enum QueryCode {
    /** A day, month or year that has passed. */
    STALE_TIME("stale-time", "Dates and months that have passed", false),
    /** A name that is neither its reader's nor its sender's. */
    LEFT_OVER_NAME("left-over-name", "Names of somebody else", false),
    /** A value that nobody would write. */
    ODD_VALUE("odd-value", "Values that look odd", true),
    /** A greeting to nobody in particular, or another way to address somebody than before. */
    SALUTATION("salutation", "A greeting to nobody in particular, or another tone than before", true),
    /** “Attached” and nothing attached. */
    ATTACHMENT_SAID("attachment-said", "“Attached” without an attachment", true),
    /** A first message that asks nothing. */
    NOTHING_ASKED("nothing-asked", "A first message that asks nothing", true),
    /** A detail of our company that was last true long ago. */
    OLD_FACT("old-fact", "Details of our company that may be out of date", false),
    /** A reader whose language the template has a variant in. */
    LANGUAGE("language", "Another language than the reader’s", true),
    /** A holiday, a weekend or the night where the reader is. */
    HOUR("hour", "Hours that don’t suit the reader", true),
    /** A reader who was written to a few days ago. */
    PRESSURE("pressure", "Written to in the last days", true),
    /** The subject of the last message once more. */
    SUBJECT_AGAIN("subject-again", "The same subject as last time", true),
    /** A subject that inboxes cut off. */
    SUBJECT_LONG("subject-long", "A long subject", false),
    /** Capitals or repeated marks in the subject. */
    SUBJECT_SHOUT("subject-shout", "A subject that shouts", false),
    /** A missing preview text. */
    PREVIEW_MISSING("preview-missing", "No preview text", false),
    /** An address by http, or one that shows another. */
    INSECURE_LINK("insecure-link", "Links that are not encrypted", false),
    /** A sentence or paragraph that is too long for a phone. */
    LEGIBILITY("legibility", "Long sentences and paragraphs", false),
    /** Colours that are hard to read. */
    CONTRAST("contrast", "Colours that are hard to read", false),
    /** A picture that says nothing where it is not seen. */
    NO_DESCRIPTION("no-description", "Pictures without a description", false),
    /** A message that mail programs cut short, or that takes long on a phone. */
    HEAVY("heavy", "Messages that weigh a lot", false),
    /** A plain text kept by hand that no longer fits. */
    DRIFT("drift", "A plain text that no longer fits", false);

    private final String code;
    private final String title;
    private final boolean ofOnePerson;

    QueryCode(String code, String title, boolean ofOnePerson) {
        this.code = code;
        this.title = title;
        this.ofOnePerson = ofOnePerson;
    }

    /** As notes are named on screen and in the API. */
    public String code() {
        return code;
    }

    /** What it looks for, in a few words. */
    public String title() {
        return title;
    }

    /** Whether it concerns the message to one person, and says nothing of the template. */
    public boolean ofOnePerson() {
        return ofOnePerson;
    }

    /** The one with this code; empty for a note that a company has no say in. */
    public static Optional<QueryCode> of(String code) {
        return Arrays.stream(values()).filter(one -> one.code.equals(code)).findFirst();
    }
}
