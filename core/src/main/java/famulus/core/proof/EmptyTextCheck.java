package famulus.core.proof;

import famulus.core.message.MessagePart;
import famulus.core.message.body.BodyText;
import famulus.core.message.body.Content;
import famulus.core.syntax.Span;
import java.util.List;

/** {@code no-subject}, {@code no-body}: a text that is empty once merged. */
final class EmptyTextCheck implements Check {
    private final MessagePart part;
    private final String code;
    private final String title;
    private final String remedy;

    EmptyTextCheck(MessagePart part, String code, String title, String remedy) {
        this.part = part;
        this.code = code;
        this.title = title;
        this.remedy = remedy;
    }

    @Override
    public List<Note> read(ProofSubject subject) {
        boolean says = !words(subject).isBlank()
                || !subject.merged().merged(part).gaps().isEmpty()
                || part == MessagePart.BODY && shows(subject);
        if (says) {
            return List.of();
        }
        Span whole = new Span(0, subject.source().text(part).length());
        return List.of(new Note(code, Note.Level.STOP, title, remedy, part, whole, List.of()));
    }

    /** What the text says; of a design without the header, footer and small print around it. */
    private String words(ProofSubject subject) {
        if (part != MessagePart.BODY || subject.source().layout().isEmpty()) {
            return subject.merged().merged(part).text();
        }
        BodyText text = subject.source().layout().get().text();
        return new MergedPlaces(
                        subject.merged().body().pieces(),
                        piece -> !text.ofHouseStyle(piece.span().start()))
                .text();
    }

    /** Whether a design has something in it that is seen though it has no words. */
    private static boolean shows(ProofSubject subject) {
        return subject.source().layout().stream()
                .flatMap(layout -> layout.design().body().blocks())
                .anyMatch(block -> switch (block.content()) {
                    case Content.Text text -> false;
                    case Content.Divider divider -> false;
                    case Content.Spacer spacer -> false;
                    case Content.Signature signature -> false;
                    case Content.OwnHtml html -> html.source().contains("<img");
                    case Content.Picture other -> true;
                    case Content.Button other -> true;
                    case Content.Pairing other -> true;
                    case Content.Items other -> true;
                    case Content.Event other -> true;
                    case Content.Card other -> true;
                    case Content.VideoStill other -> true;
                    case Content.SocialLinks other -> true;
                    case Content.Passage other -> true;
                    case Content.Feed other -> true;
                    case Content.Unknown other -> true;
                });
    }
}
