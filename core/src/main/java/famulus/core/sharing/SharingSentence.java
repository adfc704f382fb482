package famulus.core.sharing;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** Who may do what in a folder, said in a sentence. */
public final class SharingSentence {
    private static final int MOST = 4;

    private SharingSentence() {}

    /**
     * The sentence, such as “The north team may use; you and editors may change”.
     *
     * @param owner what its owner is called: “you”, or a name; empty for a folder of the company
     * @param named what everybody else is called: “you”, “everybody”, “editors”, “the north team”, or a name
     */
    public static String of(Map<Right, List<Share.With>> sharing, String owner, Function<Share.With, String> named) {
        List<String> parts = new ArrayList<>();
        for (Right right : Right.values()) {
            List<String> names = sharing.getOrDefault(right, List.of()).stream()
                    .map(named)
                    .distinct()
                    .toList();
            List<String> all = new ArrayList<>(names);
            if (right == Right.MANAGE && !owner.isEmpty() && !all.contains(owner)) {
                all.add(0, owner);
            }
            boolean alone = right == Right.MANAGE && names.isEmpty();
            if (!all.isEmpty() && !alone) {
                parts.add(list(all) + " may " + verb(right));
            }
        }
        if (parts.isEmpty()) {
            return "Only " + (owner.isEmpty() ? "administrators" : owner);
        }
        String sentence = String.join("; ", parts);
        return sentence.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + sentence.substring(1);
    }

    private static String verb(Right right) {
        return switch (right) {
            case USE -> "use";
            case CHANGE -> "change";
            case MANAGE -> "manage";
        };
    }

    private static String list(List<String> names) {
        if (names.size() > MOST) {
            return String.join(", ", names.subList(0, MOST - 1)) + " and " + (names.size() - MOST + 1) + " more";
        }
        if (names.size() == 1) {
            return names.getFirst();
        }
        return String.join(", ", names.subList(0, names.size() - 1)) + " and " + names.getLast();
    }
}
