package famulus.core.message.body;

import famulus.core.message.body.Content.ItemColumn;
import famulus.core.message.body.RichText.Kind;
import famulus.core.message.body.RichText.Marks;
import famulus.core.message.body.RichText.Paragraph;
import famulus.core.message.body.RichText.Run;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/** Makes bodies with something of everything in them, the same for the same seed. */
public final class RandomBody {
    private final Random random;
    private int next;

    /** The same bodies for the same seed. */
    public RandomBody(long seed) {
        random = new Random(seed);
    }

    /** A body of any kind of block. */
    public Body body() {
        return new Body(many(4, this::band), page());
    }

    private PageChoice page() {
        return random.nextBoolean()
                ? PageChoice.NONE
                : new PageChoice(
                        random.nextBoolean() ? 0 : 320 + random.nextInt(580),
                        colour(),
                        colour(),
                        random.nextBoolean() ? Optional.empty() : Optional.of(one(HouseStyle.FontFamily.values())));
    }

    Band band() {
        List<Column> columns = new ArrayList<>();
        int count = 1 + random.nextInt(4);
        for (int i = 0; i < count; i++) {
            columns.add(new Column(1 + random.nextInt(9), one(Column.Upright.values()), many(4, this::block)));
        }
        return new Band("band" + next++, columns, look(), when(), random.nextBoolean());
    }

    Block block() {
        return new Block("b" + next++, content(), look(), when(), random.nextBoolean());
    }

    private Content content() {
        return switch (random.nextInt(15)) {
            case 0 -> new Content.Text(rich());
            case 1 -> picture();
            case 2 -> new Content.Button(text(), "https://brindlewing.example/", one(Align.values()), colour(), "");
            case 3 -> new Content.Pairing(picture(), rich(), random.nextBoolean(), 10 + random.nextInt(81));
            case 4 -> new Content.Divider(1 + random.nextInt(12), colour());
            case 5 -> new Content.Spacer(1 + random.nextInt(200));
            case 6 ->
                new Content.Items(List.of(ItemColumn.DESCRIPTION, ItemColumn.TOTAL), random.nextBoolean(), text());
            case 7 ->
                new Content.Event(
                        text(),
                        "{deal.placement_date}",
                        random.nextBoolean() ? null : LocalTime.of(5, 30),
                        90,
                        "",
                        text());
            case 8 -> new Content.Card("", text(), List.of("Phone: {sender.phone}", text()));
            case 9 -> new Content.VideoStill("", "https://brindlewing.example/film", text(), 400);
            case 11 -> new Content.Passage("passage" + random.nextInt(9), "", List.of());
            case 13 ->
                new Content.Feed(
                        "feed" + random.nextInt(9), 1 + random.nextInt(10), random.nextBoolean(), "", List.of());
            case 12 ->
                new Content.OwnHtml("<style>p{color:red}</style><p title='{person.first_name}'>" + text() + "</p>\n");
            case 10 ->
                new Content.SocialLinks(
                        List.of(new Content.SocialLink(
                                "Web", "https://brindlewing.example/", one(Content.SocialIcon.values()))),
                        one(Align.values()));
            default -> new Content.Signature();
        };
    }

    private Retouching retouching() {
        return random.nextInt(3) > 0
                ? Retouching.NONE
                : new Retouching(
                        random.nextInt(40),
                        random.nextInt(40),
                        random.nextInt(40),
                        random.nextInt(40),
                        random.nextInt(201) - 100,
                        random.nextBoolean() ? "" : "#3c5b82",
                        random.nextInt(101));
    }

    private Content.Picture picture() {
        return new Content.Picture("bee", 8 + random.nextInt(800), one(Align.values()), text(), "", retouching());
    }

    private RichText rich() {
        return new RichText(many(
                5,
                () -> new Paragraph(one(Kind.values()), one(Align.values()), random.nextInt(4), many(3, this::run))));
    }

    private Run run() {
        return new Run(
                text(),
                new Marks(
                        random.nextBoolean(),
                        random.nextBoolean(),
                        random.nextBoolean(),
                        random.nextBoolean(),
                        colour(),
                        random.nextBoolean() ? 0 : 20,
                        random.nextBoolean() ? "" : "https://brindlewing.example/{deal.name}"));
    }

    private Look look() {
        return random.nextBoolean() ? Look.USUAL : new Look(4, 8, -1, 12, colour(), random.nextInt(3), colour());
    }

    private String when() {
        return random.nextInt(4) == 0 ? "deal.hive_count is more than 4" : "";
    }

    private String colour() {
        return random.nextBoolean() ? "" : String.format("#%06x", random.nextInt(0x1000000));
    }

    private String text() {
        return List.of(
                        "Plain words",
                        "Dear {person.first_name else \"there\"}",
                        "<b>&amp; \"quoted\"</b>",
                        "Blüte 🐝 ünd שלום",
                        "{when deal.hive_count is filled}{deal.hive_count} hives{end}",
                        "\\{ not a field")
                .get(random.nextInt(6));
    }

    int below(int bound) {
        return random.nextInt(bound);
    }

    private <T> T one(T[] of) {
        return of[random.nextInt(of.length)];
    }

    private <T> List<T> many(int most, java.util.function.Supplier<T> make) {
        List<T> made = new ArrayList<>();
        int count = random.nextInt(most + 1);
        for (int i = 0; i < count; i++) {
            made.add(make.get());
        }
        return made;
    }
}
