package famulus.server;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** Which records are chosen, as a browser says it. */
public final class Chosen {
    private Chosen() {}

    /** Some records by hand. */
    public static Map<String, Object> byHand(String kind, UUID... ids) {
        return choice(kind, false, List.of(ids), "", null);
    }

    /**
     * Some records.
     *
     * @param all whether all there are but these
     * @param where a condition that narrows what there is; empty for none
     * @param list a list that narrows it; null for none
     */
    public static Map<String, Object> choice(String kind, boolean all, List<UUID> ids, String where, UUID list) {
        Map<String, Object> narrowed = new HashMap<>(Map.of("search", "", "where", where));
        narrowed.put("list", list == null ? null : list.toString());
        return Map.of(
                "kind",
                kind,
                "all",
                all,
                "ids",
                ids.stream().map(UUID::toString).toList(),
                "narrowed",
                narrowed);
    }
}
