package famulus.server.demo;

import famulus.core.message.body.Align;
import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Column;
import famulus.core.message.body.Content;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.HouseStyle.ButtonLook;
import famulus.core.message.body.HouseStyle.FontFamily;
import famulus.core.message.body.HouseStyle.Page;
import famulus.core.message.body.HouseStyle.Type;
import famulus.core.message.body.HouseStyle.Wrapping;
import famulus.core.message.body.HouseStyleJson;
import famulus.core.message.body.Look;
import famulus.core.message.body.RichText;
import famulus.server.folders.FolderRights;
import famulus.server.materials.HouseStyleService;
import famulus.server.materials.HouseStyleService.KeptStyle;
import famulus.server.materials.PictureService;
import famulus.server.team.Colleague;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.util.List;
import java.util.UUID;

/** The made-up company's pictures and its two house styles. */
final class DemoCupboard {
    private static final RichText SMALL_PRINT = RichText.plain(
            "{our.name} · {our.street else nothing} · {our.postcode else nothing} {our.town else nothing}");

    private final HouseStyleService styles;
    private final PictureService pictures;
    private final Seeded chance;

    DemoCupboard(HouseStyleService styles, PictureService pictures, Seeded chance) {
        this.styles = styles;
        this.pictures = pictures;
        this.chance = chance;
    }

    void fill(Colleague keeper, Instant at) {
        UUID mark = picture("mark", "Our mark", "Brindlewing Pollination Services", "Marks", keeper, at);
        picture("blossom", "Blossom and bee", "Blossom along a branch, and a bee", "Season", keeper, at);
        picture("hives", "Two hives", "Two hives in a meadow", "Hives", keeper, at);
        picture(
                "orchard-map",
                "Map of an orchard",
                "A map of an orchard with the places of the hives",
                "Maps",
                keeper,
                at);
        picture("winter", "Hive in snow", "A snow-covered hive between bare trees", "Season", keeper, at);
        KeptStyle orchard = styles.add(HouseStyleJson.write(orchard(mark)), null, keeper);
        styles.add(HouseStyleJson.write(quiet()), null, keeper);
        styles.makeUsual(orchard.id(), keeper);
    }

    private UUID picture(String file, String name, String description, String category, Colleague keeper, Instant at) {
        UUID id = chance.id();
        try (InputStream in = DemoCupboard.class.getResourceAsStream("/demo/pictures/" + file + ".png")) {
            pictures.keep(id, name, description, category, in.readAllBytes(), FolderRights.EVERYONE, keeper.id(), at);
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
        return id;
    }

    private static HouseStyle orchard(UUID mark) {
        Block logo = Block.of(
                "header-mark", new Content.Picture(mark.toString(), 240, Align.START, "{our.name}", "{our.website}"));
        Block contact = Block.of(
                "footer-contact",
                new Content.Text(RichText.plain("Questions? {sender.first_name}: {sender.phone else our.phone}")));
        return new HouseStyle(
                "Orchard",
                new Page(600, "#f3ede0", "#fffdf8", true),
                new Type(FontFamily.HUMANIST, FontFamily.SERIF, 15, "#2b2a26", "#3b2a1a", "#8a5a12"),
                16,
                new ButtonLook("#3f6b2e", "#ffffff", 4),
                List.of(new Wrapping("With our mark", List.of(band("header", logo, "#f7edcf")))),
                List.of(new Wrapping("With a telephone number", List.of(band("footer", contact, "#f7edcf")))),
                SMALL_PRINT);
    }

    private static HouseStyle quiet() {
        return new HouseStyle(
                "Quiet",
                new Page(560, "#ffffff", "#ffffff", true),
                new Type(FontFamily.SERIF, FontFamily.SERIF, 16, "#222222", "#222222", "#1c4f7a"),
                14,
                new ButtonLook("#1c4f7a", "#ffffff", 2),
                List.of(),
                List.of(),
                SMALL_PRINT);
    }

    private static Band band(String id, Block block, String background) {
        return new Band(
                id,
                List.of(new Column(1, Column.Upright.TOP, List.of(block))),
                new Look(8, 0, 8, 0, background, 0, ""),
                "",
                false);
    }
}
