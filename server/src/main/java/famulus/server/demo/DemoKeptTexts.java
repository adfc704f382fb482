package famulus.server.demo;

import famulus.core.field.About;
import famulus.core.message.body.Align;
import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Body;
import famulus.core.message.body.BodyJson;
import famulus.core.message.body.Column;
import famulus.core.message.body.Content;
import famulus.core.message.body.Look;
import famulus.core.message.body.Mode;
import famulus.core.message.body.RichText;
import famulus.core.message.body.RichText.Kind;
import famulus.core.message.body.RichText.Marks;
import famulus.core.message.body.RichText.Paragraph;
import famulus.core.message.body.RichText.Run;
import famulus.server.library.Draft;
import famulus.server.library.TemplateKind;
import java.util.List;
import java.util.UUID;

/** The made-up company's passages, the template that uses one, and a designed signature. */
final class DemoKeptTexts {
    private static final Marks BOLD = new Marks(true, false, false, false, "", 0, "");

    private DemoKeptTexts() {}

    static Draft frost() {
        return kept(
                TemplateKind.PASSAGE,
                "What we do about frost",
                About.DEAL,
                blocks(new Content.Text(new RichText(List.of(
                        new Paragraph(Kind.HEADING_3, Align.START, List.of(new Run("If it freezes", Marks.NONE))),
                        Paragraph.of("Below four degrees the bees stay in. We then leave the hives with you for as many"
                                + " days longer, and you pay nothing for them."))))));
    }

    static Draft payment() {
        return kept(
                TemplateKind.PASSAGE,
                "How payment goes",
                About.DEAL,
                blocks(
                        new Content.Divider(1, ""),
                        new Content.Text(new RichText(List.of(new Paragraph(
                                Kind.PARAGRAPH,
                                Align.START,
                                List.of(
                                        new Run("Payment. ", BOLD),
                                        new Run(
                                                "One fifth when you say yes, the rest within 14 days after the"
                                                        + " hives have left. Our account is on every invoice.",
                                                Marks.NONE))))))));
    }

    static Draft signature() {
        return kept(
                TemplateKind.SIGNATURE,
                "Name, job and telephone",
                About.PERSON,
                blocks(
                        new Content.Divider(2, "#8a5a12"),
                        new Content.Text(new RichText(List.of(
                                new Paragraph(
                                        Kind.PARAGRAPH,
                                        Align.START,
                                        List.of(
                                                new Run("{sender.full_name}", BOLD),
                                                new Run(", {sender.job_title else nothing}", Marks.NONE))),
                                Paragraph.of("{our.name} · {sender.phone else our.phone}"))))));
    }

    /** A template with a passage in it. */
    static Draft terms(UUID payment, UUID frost) {
        Body body = blocks(
                new Content.Text(
                        RichText.plain(
                                """
                        {person.greeting},
                        Before the hives come on {deal.placement_date as long date else "the day we agreed"}, here is how we work together.""")),
                new Content.Passage(payment.toString(), "", List.of()),
                new Content.Passage(frost.toString(), "", List.of()),
                new Content.Text(
                        RichText.plain("If anything in it does not suit you, tell me now rather than in May.")),
                new Content.Signature());
        return new Draft(
                "How we work together",
                "Before placement",
                About.DEAL,
                "How we work together, before the hives come",
                "Payment, frost, and whom to ring",
                "",
                Mode.LETTER,
                BodyJson.write(body),
                null,
                "",
                "",
                List.of(),
                TemplateKind.TEMPLATE);
    }

    private static Draft kept(TemplateKind kind, String name, About about, Body body) {
        return new Draft(
                name,
                "",
                about,
                "",
                "",
                "",
                Mode.DESIGNED,
                BodyJson.write(body),
                null,
                "none",
                "none",
                List.of(),
                kind);
    }

    private static Body blocks(Content... contents) {
        List<Block> blocks = new java.util.ArrayList<>();
        for (Content content : contents) {
            blocks.add(Block.of("b" + (blocks.size() + 1), content));
        }
        return new Body(
                List.of(new Band("band1", List.of(new Column(1, Column.Upright.TOP, blocks)), Look.USUAL, "", false)));
    }
}
