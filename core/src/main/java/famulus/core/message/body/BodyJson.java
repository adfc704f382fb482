package famulus.core.message.body;

import famulus.core.message.body.RichText.Kind;
import famulus.core.message.body.RichText.Marks;
import famulus.core.message.body.RichText.Paragraph;
import famulus.core.message.body.RichText.Run;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.format.DateTimeParseException;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Bodies as versioned JSON; the schema is docs/body.schema.json. Reading checks every range, and what it refuses is named
 * by block. A kind of block it does not know is kept as it is, so that a body made by a newer Famulus loses nothing.
 */
public final class BodyJson {
    /** The version that is written. */
    public static final int VERSION = 1;

    private static final int LONGEST = 2_000_000;
    /** A body has no more rows than this. */
    public static final int MOST_BANDS = 400;
    /** A body has no more blocks than this. */
    public static final int MOST_BLOCKS = 1000;

    static final JsonMapper JSON = JsonMapper.builder(JsonFactory.builder()
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxNestingDepth(40)
                            .maxDocumentLength(LONGEST)
                            .build())
                    .build())
            .build();

    private BodyJson() {}

    /**
     * Reads a body.
     *
     * @throws UnreadableBody when it is no JSON, of another shape, of a newer version, or when a value is out of range
     */
    public static Body read(String json) throws UnreadableBody {
        return read(new JsonPart(tree(json), "The body"));
    }

    static JsonNode tree(String json) throws UnreadableBody {
        if (json.length() > LONGEST) {
            throw new UnreadableBody("This is larger than a message can be.");
        }
        try {
            return JSON.readTree(json);
        } catch (JacksonException wrong) {
            String line = wrong.getLocation() == null
                    ? ""
                    : " in line " + wrong.getLocation().getLineNr();
            throw new UnreadableBody("This can't be read as JSON: something is wrong" + line + ".");
        }
    }

    static Body read(JsonPart part) throws UnreadableBody {
        int version = part.number("version", 1, Integer.MAX_VALUE, 0);
        if (version == 0) {
            throw part.wrong("“version” is missing.");
        }
        if (version > VERSION) {
            throw part.wrong("it was made by a newer Famulus. Update this one to read it.");
        }
        Body body = new Body(
                bands(part, "bands", new HashSet<>()), part.has("page") ? page(part.part("page")) : PageChoice.NONE);
        if (body.blocks().count() > MOST_BLOCKS) {
            throw part.wrong("more than " + MOST_BLOCKS + " blocks.");
        }
        return body;
    }

    private static PageChoice page(JsonPart part) throws UnreadableBody {
        return new PageChoice(
                part.number("width", 320, 900, 0),
                part.colour("background", ""),
                part.colour("linkColour", ""),
                part.has("text")
                        ? Optional.of(part.oneOf("text", HouseStyle.FontFamily.class, HouseStyle.FontFamily.SANS))
                        : Optional.empty());
    }

    /** Reads bands; {@code ids} are those used elsewhere already. */
    static List<Band> bands(JsonPart part, String name, Set<String> ids) throws UnreadableBody {
        return part.list(name, MOST_BANDS, "row", band -> band(band, ids));
    }

    private static Band band(JsonPart part, Set<String> ids) throws UnreadableBody {
        String id = identifier(part, ids);
        List<Column> columns = part.list("columns", 4, "column", column -> column(column, ids));
        if (columns.isEmpty()) {
            throw part.wrong("a row has one to four columns.");
        }
        return new Band(id, columns, look(part), part.line("shownWhen", ""), part.yes("hiddenOnSmall"));
    }

    private static Column column(JsonPart part, Set<String> ids) throws UnreadableBody {
        return new Column(
                part.number("share", 1, 100, 1),
                part.oneOf("upright", Column.Upright.class, Column.Upright.TOP),
                part.list("blocks", MOST_BLOCKS, "block", block -> block(block, ids)));
    }

    private static Block block(JsonPart part, Set<String> ids) throws UnreadableBody {
        String id = identifier(part, ids);
        String kind = part.required("kind");
        JsonPart named = part.called(part.where() + " (" + kind + ")");
        return new Block(
                id, content(kind, named), look(named), named.line("shownWhen", ""), named.yes("hiddenOnSmall"));
    }

    private static String identifier(JsonPart part, Set<String> ids) throws UnreadableBody {
        String id = part.required("id");
        if (!id.matches("[A-Za-z0-9_-]{1,40}")) {
            throw part.wrong("“id” must be letters and digits, at most 40.");
        }
        if (!ids.add(id)) {
            throw part.wrong("the identifier “" + id + "” is used twice.");
        }
        return id;
    }

    private static Content content(String kind, JsonPart part) throws UnreadableBody {
        return switch (kind) {
            case "text" -> new Content.Text(rich(part, "text"));
            case "picture" -> picture(part);
            case "button" ->
                new Content.Button(
                        part.line("label", ""),
                        part.line("link", ""),
                        align(part),
                        part.colour("background", ""),
                        part.colour("colour", ""));
            case "pairing" ->
                new Content.Pairing(
                        picture(part.part("picture")),
                        rich(part, "text"),
                        part.yes("pictureRight"),
                        part.number("share", 10, 90, 40));
            case "divider" -> new Content.Divider(part.number("thickness", 1, 12, 1), part.colour("colour", ""));
            case "spacer" -> new Content.Spacer(part.number("height", 1, 200, 16));
            case "item table" -> items(part);
            case "event" ->
                new Content.Event(
                        part.line("title", ""),
                        part.line("day", ""),
                        time(part),
                        part.number("minutes", 1, 10_080, 60),
                        zone(part),
                        part.line("place", ""));
            case "record card" ->
                new Content.Card(part.line("picture", ""), part.line("title", ""), part.lines("facts", 20));
            case "video still" ->
                new Content.VideoStill(
                        part.line("picture", ""),
                        part.line("address", ""),
                        part.line("description", ""),
                        part.number("width", 8, 900, 480));
            case "social links" ->
                new Content.SocialLinks(
                        part.list(
                                "links",
                                12,
                                "link",
                                link -> new Content.SocialLink(
                                        link.line("label", ""),
                                        link.line("address", ""),
                                        link.oneOf("icon", Content.SocialIcon.class, Content.SocialIcon.NONE))),
                        align(part));
            case "signature" -> new Content.Signature();
            case "feed" ->
                new Content.Feed(
                        part.line("feed", ""), part.number("most", 1, 10, 3), part.yes("summaries"), "", List.of());
            case "own HTML" -> new Content.OwnHtml(part.text("source", ""));
            case "passage" -> new Content.Passage(part.line("passage", ""), "", List.of());
            default -> new Content.Unknown(kind, part.source());
        };
    }

    private static Content.Picture picture(JsonPart part) throws UnreadableBody {
        return new Content.Picture(
                part.line("picture", ""),
                part.number("width", 8, 900, 240),
                align(part),
                part.line("description", ""),
                part.line("link", ""),
                part.has("retouching") ? retouching(part.part("retouching")) : Retouching.NONE);
    }

    private static Retouching retouching(JsonPart part) throws UnreadableBody {
        Retouching read = new Retouching(
                part.number("left", 0, 90, 0),
                part.number("top", 0, 90, 0),
                part.number("right", 0, 90, 0),
                part.number("bottom", 0, 90, 0),
                part.number("brightness", -100, 100, 0),
                part.colour("tint", ""),
                part.number("strength", 0, 100, 0));
        int most = 100 - Retouching.LEAST_LEFT;
        if (read.left() + read.right() > most || read.top() + read.bottom() > most) {
            throw part.wrong("so much is cropped that less than a tenth of the picture is left.");
        }
        return read;
    }

    private static Content.Items items(JsonPart part) throws UnreadableBody {
        List<Content.ItemColumn> columns =
                part.list("columns", 8, "column", column -> column.oneOf("is", Content.ItemColumn.class, null));
        if (columns.isEmpty() || columns.contains(null)) {
            throw part.wrong("say which columns it has.");
        }
        if (new HashSet<>(columns).size() < columns.size()) {
            throw part.wrong("a column is in it twice.");
        }
        return new Content.Items(columns, part.yes("totals"), part.line("empty", ""));
    }

    private static Align align(JsonPart part) throws UnreadableBody {
        return part.oneOf("align", Align.class, Align.START);
    }

    private static LocalTime time(JsonPart part) throws UnreadableBody {
        String time = part.line("time", "");
        try {
            return time.isEmpty() ? null : LocalTime.parse(time);
        } catch (DateTimeParseException wrong) {
            throw part.wrong("“time” must be a time such as 09:30.");
        }
    }

    private static String zone(JsonPart part) throws UnreadableBody {
        String zone = part.line("zone", "");
        if (!zone.isEmpty() && !ZoneId.getAvailableZoneIds().contains(zone)) {
            throw part.wrong("“zone” must be a time zone such as Europe/London.");
        }
        return zone;
    }

    private static Look look(JsonPart part) throws UnreadableBody {
        if (!part.has("look")) {
            return Look.USUAL;
        }
        JsonPart look = part.part("look");
        return new Look(
                look.number("above", 0, 120, -1),
                look.number("right", 0, 120, -1),
                look.number("below", 0, 120, -1),
                look.number("left", 0, 120, -1),
                look.colour("background", ""),
                look.number("border", 0, 12, 0),
                look.colour("borderColour", ""));
    }

    static RichText rich(JsonPart part, String name) throws UnreadableBody {
        return new RichText(part.list(
                name,
                2000,
                "paragraph",
                paragraph -> new Paragraph(
                        paragraph.oneOf("kind", Kind.class, Kind.PARAGRAPH),
                        align(paragraph),
                        paragraph.number("level", 0, Paragraph.DEEPEST, 0),
                        paragraph.list("runs", 2000, "run", BodyJson::run))));
    }

    private static Run run(JsonPart part) throws UnreadableBody {
        return new Run(
                part.text("text", ""),
                new Marks(
                        part.yes("bold"),
                        part.yes("italic"),
                        part.yes("underline"),
                        part.yes("strike"),
                        part.colour("colour", ""),
                        part.number("size", 8, 72, 0),
                        part.line("link", "")));
    }

    /** Writes a body; what is usual is left out. Reading it again gives an equal body. */
    public static String write(Body body) {
        ObjectNode node = JSON.createObjectNode().put("version", VERSION);
        BodyWriter.page(node, body.page());
        BodyWriter.bands(node, "bands", body.bands());
        return node.toString();
    }
}
