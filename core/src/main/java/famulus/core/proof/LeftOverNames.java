package famulus.core.proof;

import famulus.core.proof.SaidNames.Greeted;
import famulus.core.proof.SaidNames.Whole;
import famulus.core.prose.Prose.Stretch;
import famulus.core.record.FoldedText;
import famulus.core.record.NameKey;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Points out the names that stay in a text which is to be sent to others. */
public final class LeftOverNames {
    private LeftOverNames() {}

    /**
     * A name that would go to everybody.
     *
     * @param words as the text says it
     * @param what who that is, such as “a contact at Ninefold Berry Farm”
     */
    public record LeftOver(String words, String what) {}

    /**
     * The names that stay, each once, in the order they are found.
     *
     * @param text without what fields take the place of
     * @param said the names it may be saying
     * @param known what the records know of them
     */
    public static List<LeftOver> of(String text, SaidNames said, KnownNames known) {
        Map<String, LeftOver> left = new LinkedHashMap<>();
        for (Whole whole : said.wholes()) {
            String what = known.elsewhere().get(NameKey.of(whole.words()));
            if (what != null) {
                left.putIfAbsent(NameKey.of(whole.words()), new LeftOver(whole.words(), what));
            }
        }
        for (Greeted greeted : said.greeted()) {
            for (Stretch name : greeted.names()) {
                String words = greeted.text().words(name);
                if (known.parts().contains(NameKey.of(words))) {
                    left.putIfAbsent(NameKey.of(words), new LeftOver(words, "greeted or thanked here"));
                }
            }
        }
        FoldedText folded = FoldedText.of(text);
        List<String> ours = new ArrayList<>(known.colleagues());
        ours.add(known.sender());
        for (String colleague : ours) {
            if (!folded.all(colleague).isEmpty()) {
                left.putIfAbsent(NameKey.of(colleague), new LeftOver(colleague, "one of us"));
            }
        }
        return List.copyOf(left.values());
    }
}
