package famulus.core.message.personal;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.merge.Origin;
import famulus.core.message.personal.MergedText.FilledValue;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class StandingValueTest {
    private static final String KEY = MergedText.BODY;
    private static final Map<String, MergedText> THEN =
            texts("Dear ", "Ines", ", your ", "48", " come on ", "4 May 2026", ".");
    private static final Map<String, MergedText> NOW =
            texts("Dear ", "Ines", ", your ", "60", " come on ", "12 May 2026", ".");

    /** Every second part is a value. */
    private static Map<String, MergedText> texts(String... parts) {
        StringBuilder source = new StringBuilder();
        List<FilledValue> values = new ArrayList<>();
        for (int i = 0; i < parts.length; i++) {
            int start = source.length();
            source.append(parts[i]);
            if (i % 2 == 1) {
                values.add(new FilledValue(start, source.length(), "{" + i + "}", Origin.RECORD, "", "", 0));
            }
        }
        return Map.of(KEY, new MergedText(source.toString(), values));
    }

    private static List<String> standing(String own, Map<String, MergedText> then) {
        return StandingValue.of(Map.of(KEY, own), then, NOW).stream()
                .map(one -> one.newer().was() + " → " + one.newer().is())
                .toList();
    }

    @Test
    void whatStillStandsIsFound() {
        assertThat(standing("Dear Ines, your 48 come on 4 May 2026.", THEN))
                .containsExactly("48 → 60", "4 May 2026 → 12 May 2026");
    }

    @Test
    void whatItsSenderHasChangedOrTakenOutIsNot() {
        assertThat(standing("Dear Ines, your 50 come on 4 May 2026.", THEN))
                .containsExactly("4 May 2026 → 12 May 2026");
        assertThat(standing("Dear Ines, all is well.", THEN)).isEmpty();
    }

    @Test
    void aValueTakenOverIsAValueAgain() {
        String own = "Hello Ines, your 48 come on 12 May 2026.";
        Map<String, MergedText> taken = TakenOver.in(Map.of(KEY, own), THEN, NOW);
        assertThat(standing(own, taken)).containsExactly("48 → 60");
        HandChanges hand = HandChanges.of(taken.get(KEY), own);
        assertThat(hand.values().stream().map(one -> own.substring(one.start(), one.end())))
                .containsExactly("Ines", "48", "12 May 2026");
        assertThat(hand.changed().stream().map(HandChanges.Changed::was)).containsExactly("Dear");
    }

    @Test
    void nothingIsTakenOverWhereNothingIsNewer() {
        assertThat(TakenOver.in(Map.of(KEY, "Dear Ines."), THEN, THEN)).isEqualTo(THEN);
    }
}
