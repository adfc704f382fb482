package famulus.core.proof;

import famulus.core.message.MessagePart;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;

/** A set of checks, read in turn. */
public final class Proofreader {
    /** Those about a block itself; any other note that names its block is about words in it. */
    private static final Set<String> OF_BLOCKS = Set.of(
            StopCode.PICTURE_LOST.code(),
            StopCode.PASSAGE_LOST.code(),
            StopCode.FEED_LOST.code(),
            QueryCode.CONTRAST.code(),
            QueryCode.NO_DESCRIPTION.code(),
            "html-cleaned");

    private final List<Check> checks;

    /** A proofreader with these checks. */
    public Proofreader(List<Check> checks) {
        this.checks = List.copyOf(checks);
    }

    /** The proofreader with every check there is. */
    public static Proofreader standard() {
        return new Proofreader(List.of(
                new FieldCheck(),
                new GapCheck(),
                new AskCheck(),
                new HoleCheck(),
                new EmptyTextCheck(
                        MessagePart.SUBJECT, "no-subject", "There is no subject", "Write a subject of one line."),
                new EmptyTextCheck(MessagePart.BODY, "no-body", "There is no text", "Write the message."),
                new LinkCheck(),
                new FillerCheck(),
                new SubjectCheck(),
                new DescriptionCheck(),
                new PassageCheck(),
                new SourceCheck(),
                new DriftCheck(),
                new ContrastCheck(),
                new InsecureLinkCheck(),
                new PressureCheck(),
                new HourCheck(),
                new LanguageCheck(),
                new ProseCheck(List.of(
                        new WeekdayRule(),
                        new LeftOverNameRule(),
                        new OddValueRule(),
                        new OldFactRule(),
                        new GreetedNameRule(),
                        new FormalityRule(),
                        new StaleTimeRule(),
                        new WishRule(),
                        new AttachmentRule(),
                        new NothingAskedRule(),
                        new ShoutRule(),
                        new LegibilityRule()))));
    }

    /**
     * Returns all notes in the order of the message: subject, preview text, body, what stands around it, each from its beginning. One place in the
     * words has one note, the gravest; of several as grave the one whose check comes first.
     */
    public List<Note> read(ProofSubject subject) {
        List<Note> all = new ArrayList<>();
        for (Check check : checks) {
            check.read(subject).stream()
                    .filter(note -> !readWithin(note, subject))
                    .forEach(note -> add(note, all, subject));
        }
        all.sort(Comparator.comparing(Note::part)
                .thenComparingInt(note -> note.span().start()));
        return List.copyOf(all);
    }

    /** What a style says around the plain text of a design is part of the design, and read there. */
    private static boolean readWithin(Note note, ProofSubject subject) {
        return note.part() == MessagePart.AROUND && subject.source().layout().isPresent();
    }

    private static void add(Note note, List<Note> all, ProofSubject subject) {
        for (int i = 0; i < all.size(); i++) {
            Note other = all.get(i);
            if (samePlace(note, other, subject)) {
                if (note.stops() && !other.stops()) {
                    all.set(i, note);
                }
                return;
            }
        }
        all.add(note);
    }

    /** A note about a whole text, or about how a block looks, is about another thing than one about words in it. */
    private static boolean samePlace(Note one, Note other, ProofSubject subject) {
        return one.part() == other.part()
                && ofWords(one, subject)
                && ofWords(other, subject)
                && one.span().start() < other.span().end()
                && other.span().start() < one.span().end();
    }

    private static boolean ofWords(Note note, ProofSubject subject) {
        boolean whole = note.span().start() == 0
                && note.span().end() == subject.source().text(note.part()).length()
                && !note.stops();
        return !whole && (note.block().isEmpty() || !OF_BLOCKS.contains(note.code()));
    }
}
