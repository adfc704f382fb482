package famulus.core.message.body;

import famulus.core.message.body.HouseStyle.ButtonLook;
import famulus.core.message.body.HouseStyle.FontFamily;
import famulus.core.message.body.HouseStyle.Page;
import famulus.core.message.body.HouseStyle.Type;
import famulus.core.message.body.HouseStyle.Wrapping;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** House styles as versioned JSON, read as strictly as {@link BodyJson} reads bodies. */
public final class HouseStyleJson {
    private static final int MOST_WRAPPINGS = 12;

    private HouseStyleJson() {}

    /**
     * Reads a house style.
     *
     * @throws UnreadableBody when it is no JSON, of another shape, of a newer version, or when a value is out of range
     */
    public static HouseStyle read(String json) throws UnreadableBody {
        JsonPart part = new JsonPart(BodyJson.tree(json), "The style");
        if (part.number("version", 1, Integer.MAX_VALUE, 0) != BodyJson.VERSION) {
            throw part.wrong("it was made by another version of Famulus.");
        }
        HouseStyle bare = HouseStyle.BARE;
        Set<String> ids = new HashSet<>();
        JsonPart page = part.part("page");
        JsonPart type = part.part("type");
        JsonPart button = part.part("button");
        return new HouseStyle(
                part.required("name"),
                new Page(
                        page.number("width", 320, 900, bare.page().width()),
                        page.colour("background", bare.page().background()),
                        page.colour("sheet", bare.page().sheet()),
                        !page.yes("fixed")),
                new Type(
                        type.oneOf("text", FontFamily.class, FontFamily.SANS),
                        type.oneOf("headings", FontFamily.class, FontFamily.SANS),
                        type.number("size", 12, 24, bare.type().size()),
                        type.colour("colour", bare.type().colour()),
                        type.colour("headingColour", bare.type().headingColour()),
                        type.colour("linkColour", bare.type().linkColour())),
                part.number("space", 4, 40, bare.space()),
                new ButtonLook(
                        button.colour("background", bare.button().background()),
                        button.colour("colour", bare.button().colour()),
                        button.number("corner", 0, 40, bare.button().corner())),
                wrappings(part, "headers", ids),
                wrappings(part, "footers", ids),
                BodyJson.rich(part, "smallPrint"));
    }

    private static List<Wrapping> wrappings(JsonPart part, String name, Set<String> ids) throws UnreadableBody {
        Set<String> names = new HashSet<>();
        return part.list(name, MOST_WRAPPINGS, "entry", one -> {
            if (!names.add(one.required("name"))) {
                throw one.wrong("this name is used twice.");
            }
            return new Wrapping(one.required("name"), BodyJson.bands(one, "bands", ids));
        });
    }

    /** Writes a house style. Reading it again gives an equal one. */
    public static String write(HouseStyle style) {
        ObjectNode node = BodyJson.JSON
                .createObjectNode()
                .put("version", BodyJson.VERSION)
                .put("name", style.name())
                .put("space", style.space());
        ObjectNode page = node.putObject("page")
                .put("width", style.page().width())
                .put("background", style.page().background())
                .put("sheet", style.page().sheet());
        BodyWriter.yes(page, "fixed", !style.page().free());
        node.putObject("type")
                .put("text", JsonPart.word(style.type().text()))
                .put("headings", JsonPart.word(style.type().headings()))
                .put("size", style.type().size())
                .put("colour", style.type().colour())
                .put("headingColour", style.type().headingColour())
                .put("linkColour", style.type().linkColour());
        node.putObject("button")
                .put("background", style.button().background())
                .put("colour", style.button().colour())
                .put("corner", style.button().corner());
        wrappings(node.putArray("headers"), style.headers());
        wrappings(node.putArray("footers"), style.footers());
        BodyWriter.rich(node, "smallPrint", style.smallPrint());
        return node.toString();
    }

    private static void wrappings(ArrayNode into, List<Wrapping> wrappings) {
        for (Wrapping wrapping : wrappings) {
            BodyWriter.bands(into.addObject().put("name", wrapping.name()), "bands", wrapping.bands());
        }
    }
}
