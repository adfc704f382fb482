package famulus.server.library;

import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The identifiers that a design or a style names: pictures, passages, signatures, feeds. */
public final class Mentioned {
    private static final Pattern IDENTIFIER = Pattern.compile("[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}");

    private Mentioned() {}

    /** Each once, in order. */
    public static Set<UUID> in(String json) {
        Set<UUID> all = new LinkedHashSet<>();
        Matcher identifiers = IDENTIFIER.matcher(json);
        while (identifiers.find()) {
            all.add(UUID.fromString(identifiers.group()));
        }
        return all;
    }

    /** The same text with other identifiers in the places of some. */
    public static String with(String json, Map<UUID, UUID> others) {
        return IDENTIFIER.matcher(json).replaceAll(found -> {
            UUID id = UUID.fromString(found.group());
            return others.getOrDefault(id, id).toString();
        });
    }
}
