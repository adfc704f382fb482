package famulus.server.library;

import famulus.core.field.About;
import famulus.core.message.body.Mode;
import famulus.server.platform.Refusal;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Consumer;

/** What can be said of a template from outside: everything but who changed it when. */
public record Draft(
        String name,
        String purpose,
        About about,
        String subject,
        String previewText,
        String body,
        @Schema(nullable = true) Mode mode,
        @Schema(nullable = true) String design,
        @Schema(nullable = true) UUID houseStyle,
        @Schema(nullable = true) String header,
        @Schema(nullable = true) String footer,
        @Schema(nullable = true) List<UUID> files,
        @Schema(nullable = true) TemplateKind kind,
        @Schema(nullable = true) TemplateWishes wishes,
        @Schema(nullable = true) KeptPlainText plainText) {
    /** One that wishes nothing for the envelope of its messages, and keeps no plain text by hand. */
    public Draft(
            String name,
            String purpose,
            About about,
            String subject,
            String previewText,
            String body,
            Mode mode,
            String design,
            UUID houseStyle,
            String header,
            String footer,
            List<UUID> files,
            TemplateKind kind) {
        this(
                name,
                purpose,
                about,
                subject,
                previewText,
                body,
                mode,
                design,
                houseStyle,
                header,
                footer,
                files,
                kind,
                TemplateWishes.NONE,
                null);
    }

    /** A plain template. */
    public Draft(String name, String purpose, About about, String subject, String previewText, String body) {
        this(name, purpose, about, subject, previewText, body, Mode.PLAIN, "", null, "", "", List.of(), null);
    }

    private static final int LONGEST_TEXT = 400_000;
    private static final int LONGEST_DESIGN = 2_000_000;

    /** Itself; refused where a text of it is longer than a message can be. */
    public Draft mustBeReadable() {
        readable("subject", subject);
        readable("previewText", previewText);
        readable("body", body);
        readable("design", design, LONGEST_DESIGN);
        readable("plainText", plainText == null ? "" : plainText.words(), LONGEST_TEXT);
        return this;
    }

    /** A text; nothing for none. Refused where it is longer than a message can be. */
    public static String readable(String field, String given) {
        readable(field, text(given), LONGEST_TEXT);
        return text(given);
    }

    private static void readable(String field, String text, int longest) {
        if (text.length() > longest) {
            throw Refusal.field(field, "This is longer than a message can be.");
        }
    }

    /** The same, of a kind. */
    Draft of(TemplateKind other) {
        return with(copy -> copy.kind = other);
    }

    /** The same with what another one is made of. */
    Draft saying(Draft other) {
        return with(copy -> {
            copy.body = other.body;
            copy.design = other.design;
        });
    }

    /**
     * The same in other words, of which a design has its own.
     *
     * @param of what kind of record its fields come from
     */
    public Draft worded(About of, String otherSubject, String otherPreviewText, String otherBody, String otherDesign) {
        return with(copy -> {
            copy.about = of;
            copy.subject = otherSubject;
            copy.previewText = otherPreviewText;
            copy.body = otherBody;
            copy.design = otherDesign;
        });
    }

    /** The same under another name. */
    public Draft named(String other) {
        return with(copy -> copy.name = other);
    }

    /** The same with another plain text that is kept by hand; null for one that is derived. */
    public Draft keeping(KeptPlainText other) {
        return with(copy -> copy.plainText = other);
    }

    /** The same with other files. */
    public Draft carrying(List<UUID> others) {
        return with(copy -> copy.files = others);
    }

    /** The same with other parts in the places of some, and in a style. */
    Draft naming(Map<UUID, UUID> others, UUID style) {
        return with(copy -> {
            copy.design = Mentioned.with(design, others);
            copy.files = files.stream()
                    .map(file -> others.getOrDefault(file, file))
                    .distinct()
                    .toList();
            copy.houseStyle = style;
        });
    }

    private Draft with(Consumer<Copy> change) {
        Copy copy = new Copy(this);
        change.accept(copy);
        return copy.draft();
    }

    /** What a copy says otherwise; all else is as it was. */
    private static final class Copy {
        private final Draft original;
        private String name;
        private About about;
        private String subject;
        private String previewText;
        private String body;
        private String design;
        private UUID houseStyle;
        private List<UUID> files;
        private TemplateKind kind;
        private KeptPlainText plainText;

        private Copy(Draft original) {
            this.original = original;
            this.name = original.name;
            this.about = original.about;
            this.subject = original.subject;
            this.previewText = original.previewText;
            this.body = original.body;
            this.design = original.design;
            this.houseStyle = original.houseStyle;
            this.files = original.files;
            this.kind = original.kind;
            this.plainText = original.plainText;
        }

        private Draft draft() {
            return new Draft(
                    name,
                    original.purpose,
                    about,
                    subject,
                    previewText,
                    body,
                    original.mode,
                    design,
                    houseStyle,
                    original.header,
                    original.footer,
                    files,
                    kind,
                    original.wishes,
                    plainText);
        }
    }

    public Draft {
        plainText = plainText == null || plainText.words().isBlank() ? null : plainText;
        wishes = wishes == null ? TemplateWishes.NONE : wishes;
        kind = kind == null ? TemplateKind.TEMPLATE : kind;
        files = files == null ? List.of() : List.copyOf(files);
        mode = mode == null ? Mode.PLAIN : mode;
        design = text(design);
        header = text(header);
        footer = text(footer);
        name = text(name);
        purpose = text(purpose);
        subject = text(subject);
        previewText = text(previewText);
        body = text(body);
    }

    private static String text(String given) {
        return given == null ? "" : given;
    }

    /** What a template says. */
    public static Draft of(Template template) {
        return new Draft(
                template.name(),
                template.purpose(),
                template.about(),
                template.subject(),
                template.previewText(),
                template.body(),
                template.mode(),
                template.design(),
                template.houseStyle(),
                template.header(),
                template.footer(),
                template.files(),
                template.kind(),
                template.wishes(),
                template.plainText());
    }
}
