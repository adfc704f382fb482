package famulus.core.message.body;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;

/** A JSON object that is being read: each property is asked for by name with what is allowed, and is named when wrong. */
final class JsonPart {
    private static final Pattern COLOUR = Pattern.compile("#[0-9a-fA-F]{6}");
    private static final int LONGEST_TEXT = 100_000;

    private final JsonNode node;
    private final String where;

    /** Reads one thing out of a part. */
    interface Reader<T> {
        T read(JsonPart part) throws UnreadableBody;
    }

    JsonPart(JsonNode node, String where) throws UnreadableBody {
        if (node == null || !node.isObject()) {
            throw new UnreadableBody(where + " is not an object.");
        }
        this.node = node;
        this.where = where;
    }

    UnreadableBody wrong(String sentence) {
        return new UnreadableBody(where + ": " + sentence);
    }

    String source() {
        return node.toString();
    }

    String where() {
        return where;
    }

    boolean has(String name) {
        return node.hasNonNull(name);
    }

    String text(String name, String otherwise) throws UnreadableBody {
        if (!has(name)) {
            return otherwise;
        }
        JsonNode value = node.get(name);
        if (!value.isString()) {
            throw wrong("“" + name + "” must be a text.");
        }
        String text = value.stringValue();
        if (text.length() > LONGEST_TEXT) {
            throw wrong("“" + name + "” is longer than 100,000 characters. Split it, or take some out.");
        }
        if (text.chars().anyMatch(c -> c < ' ' && c != '\n' && c != '\t')) {
            throw wrong("“" + name + "” has a control character in it.");
        }
        return text;
    }

    /** A text without line breaks. */
    String line(String name, String otherwise) throws UnreadableBody {
        String text = text(name, otherwise);
        if (text.indexOf('\n') >= 0) {
            throw wrong("“" + name + "” must be one line.");
        }
        return text;
    }

    String required(String name) throws UnreadableBody {
        String text = line(name, "");
        if (text.isBlank()) {
            throw wrong("“" + name + "” is missing.");
        }
        return text;
    }

    int number(String name, int least, int most, int otherwise) throws UnreadableBody {
        if (!has(name)) {
            return otherwise;
        }
        JsonNode value = node.get(name);
        if (!value.isIntegralNumber()
                || !value.canConvertToInt()
                || value.intValue() < least
                || value.intValue() > most) {
            throw wrong("“" + name + "” must be a whole number from " + least + " to " + most + ".");
        }
        return value.intValue();
    }

    boolean yes(String name) throws UnreadableBody {
        if (!has(name)) {
            return false;
        }
        if (!node.get(name).isBoolean()) {
            throw wrong("“" + name + "” must be true or false.");
        }
        return node.get(name).booleanValue();
    }

    /** A colour in lower case, or nothing. */
    String colour(String name, String otherwise) throws UnreadableBody {
        String colour = line(name, otherwise);
        if (!colour.isEmpty() && !COLOUR.matcher(colour).matches()) {
            throw wrong("“" + name + "” must be a colour such as #1c6b60.");
        }
        return colour.toLowerCase(Locale.ROOT);
    }

    <E extends Enum<E>> E oneOf(String name, Class<E> type, E otherwise) throws UnreadableBody {
        if (!has(name)) {
            return otherwise;
        }
        String written = line(name, "");
        List<String> words = new ArrayList<>();
        for (E one : type.getEnumConstants()) {
            if (word(one).equals(written)) {
                return one;
            }
            words.add(word(one));
        }
        throw wrong("“" + name + "” must be one of " + String.join(", ", words) + ".");
    }

    /** How a constant is written in JSON: in lower case, words parted by hyphens. */
    static String word(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    <T> List<T> list(String name, int most, String each, Reader<T> reader) throws UnreadableBody {
        if (!has(name)) {
            return List.of();
        }
        JsonNode value = node.get(name);
        if (!value.isArray()) {
            throw wrong("“" + name + "” must be a list.");
        }
        if (value.size() > most) {
            throw wrong("“" + name + "” has " + value.size() + " entries; " + most + " are the most.");
        }
        List<T> read = new ArrayList<>();
        for (int i = 0; i < value.size(); i++) {
            read.add(reader.read(new JsonPart(value.get(i), where + ", " + each + " " + (i + 1))));
        }
        return read;
    }

    List<String> lines(String name, int most) throws UnreadableBody {
        List<String> lines = new ArrayList<>();
        if (!has(name)) {
            return lines;
        }
        JsonNode value = node.get(name);
        if (!value.isArray() || value.size() > most) {
            throw wrong("“" + name + "” must be a list of at most " + most + " lines.");
        }
        for (JsonNode line : value) {
            if (!line.isString()
                    || line.stringValue().indexOf('\n') >= 0
                    || line.stringValue().length() > 2000) {
                throw wrong("“" + name + "” must hold lines of text.");
            }
            lines.add(line.stringValue());
        }
        return lines;
    }

    JsonPart part(String name) throws UnreadableBody {
        if (!has(name)) {
            throw wrong("“" + name + "” is missing.");
        }
        return new JsonPart(node.get(name), where + ", " + name);
    }

    /** The same part, called by another name in what is said about it. */
    JsonPart called(String name) throws UnreadableBody {
        return new JsonPart(node, name);
    }
}
