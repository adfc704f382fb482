package famulus.core.proof;

import java.util.Arrays;
import java.util.Optional;

/** The notes that stop a message. A check that stops one has its code here, so that nothing stops that is not known. */
public enum StopCode {
    /** A field with neither value nor fallback. */
    GAP("gap", true),
    /** A blank that the sender has to fill in. */
    ASK_OPEN("ask-open", true),
    /** A field that nobody has. */
    FIELD_UNKNOWN("field-unknown", false),
    /** A field or condition that can't be read. */
    FIELD_BROKEN("field-broken", false),
    /** An empty subject. */
    NO_SUBJECT("no-subject", false),
    /** An empty text. */
    NO_BODY("no-body", false),
    /** A link that can't lead anywhere. */
    LINK_NOWHERE("link-nowhere", false),
    /** Words that were to be replaced. */
    FILLER("filler", false),
    /** A weekday that does not belong to its date. */
    WEEKDAY_DATE("weekday-date", false),
    /** A picture that is missing. */
    PICTURE_LOST("picture-lost", false),
    /** A passage that is missing, or not ready. */
    PASSAGE_LOST("passage-lost", false),
    /** A feed that is missing, or empty. */
    FEED_LOST("feed-lost", false),
    /** A file of the template that is missing. */
    FILE_LOST("file-lost", false),
    /** Somebody who can’t be reached, or gets it already. */
    RECIPIENT("recipient", true),
    /** Somebody who gets no messages from us. */
    DO_NOT_EMAIL("do-not-email", true),
    /** A sender who lacks what it says, or whom answers can’t reach. */
    SENDER("sender", true),
    /** More is attached than mail servers take. */
    TOO_BIG("too-big", true);

    private final String code;
    private final boolean ofOnePerson;

    StopCode(String code, boolean ofOnePerson) {
        this.code = code;
        this.ofOnePerson = ofOnePerson;
    }

    /** As notes are named on screen and in the API. */
    public String code() {
        return code;
    }

    /** Whether it concerns the message to one person, and says nothing of the template. */
    public boolean ofOnePerson() {
        return ofOnePerson;
    }

    /** The one with this code. */
    public static Optional<StopCode> of(String code) {
        return Arrays.stream(values()).filter(one -> one.code.equals(code)).findFirst();
    }
}
