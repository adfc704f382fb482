package famulus.core.proof;

import famulus.core.field.Path;
import famulus.core.message.MergedMessage;
import famulus.core.message.MessagePart;
import famulus.core.message.MessageSource;
import famulus.core.syntax.Problem;
import famulus.core.syntax.Span;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** What the proofreader reads. Its words are gathered once for all who ask for them. */
public final class ProofSubject {
    private final MessageSource source;
    private final Map<MessagePart, List<Problem>> problems;
    private final MergedMessage merged;
    private final String personName;
    private final Function<Path, String> label;
    private final boolean sending;
    private final Circumstances around;
    private List<ProseText> texts;

    /**
     * A message to be read.
     *
     * @param source the texts as written
     * @param problems what the analyser found, by text
     * @param merged the message merged for one person
     * @param personName how that person is called in a note
     * @param label what a path is called on screen
     * @param sending whether it is about to be sent, rather than written as a template
     * @param around what is known besides its words
     */
    public ProofSubject(
            MessageSource source,
            Map<MessagePart, List<Problem>> problems,
            MergedMessage merged,
            String personName,
            Function<Path, String> label,
            boolean sending,
            Circumstances around) {
        this.source = source;
        this.problems = problems;
        this.merged = merged;
        this.personName = personName;
        this.label = label;
        this.sending = sending;
        this.around = around;
    }

    /** The texts as written. */
    public MessageSource source() {
        return source;
    }

    /** What the analyser found, by text. */
    public Map<MessagePart, List<Problem>> problems() {
        return problems;
    }

    /** The message merged for one person. */
    public MergedMessage merged() {
        return merged;
    }

    /** How that person is called in a note. */
    public String personName() {
        return personName;
    }

    /** What a path is called on screen. */
    public Function<Path, String> label() {
        return label;
    }

    /** Whether it is about to be sent, rather than written as a template. */
    public boolean sending() {
        return sending;
    }

    /** What is known besides its words. */
    public Circumstances around() {
        return around;
    }

    /** Its words as they will be read; none of a message in a language that is not known. */
    List<ProseText> texts() {
        if (texts == null) {
            texts = ProseText.of(this);
        }
        return texts;
    }

    /** A question about a text as a whole, which stands beside those about places in it. */
    Note query(String code, String title, String remedy, MessagePart part) {
        Span whole = new Span(0, source.text(part).length());
        return new Note(code, Note.Level.QUERY, title, remedy, part, whole, List.of());
    }

    /** The same with something else known around it. */
    public ProofSubject around(Circumstances other) {
        ProofSubject same = new ProofSubject(source, problems, merged, personName, label, sending, other);
        // Where few words tell its language, its reader does.
        if (other.reader().equals(around.reader())) {
            same.texts = texts;
        }
        return same;
    }
}
