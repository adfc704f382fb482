package famulus.core.message.personal;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.merge.Origin;
import famulus.core.message.personal.HandChanges.Changed;
import famulus.core.message.personal.MergedText.FilledValue;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

class HandChangesTest {
    private static final String MERGED = "Dear Ines,\nyour 48 hives come on 4 May.";
    private static final MergedText TEXT = new MergedText(MERGED, List.of(value("Ines"), value("48"), value("4 May")));

    private static FilledValue value(String text) {
        int at = MERGED.indexOf(text);
        return value(at, at + text.length(), "{" + text + "}");
    }

    private static FilledValue value(int start, int end, String written) {
        return new FilledValue(start, end, written, Origin.RECORD, "", "", 0);
    }

    private static List<String> values(String now) {
        return HandChanges.of(TEXT, now).values().stream()
                .map(kept -> now.substring(kept.start(), kept.end()))
                .toList();
    }

    private static List<String> changed(String now) {
        return HandChanges.of(TEXT, now).changed().stream()
                .map(one -> now.substring(one.start(), one.end()) + " ‹" + one.was() + "›")
                .toList();
    }

    @Test
    void nothingIsChangedWhereNothingWas() {
        assertThat(changed(MERGED)).isEmpty();
        assertThat(values(MERGED)).containsExactly("Ines", "48", "4 May");
    }

    @Test
    void aValueIsOneUntilAWordOfItIsChanged() {
        String now = "Hello Ines and Tom,\nyour 60 hives come on 4 May.";
        assertThat(values(now)).containsExactly("Ines", "4 May");
        assertThat(changed(now)).containsExactly("Hello ‹Dear›", " and Tom ‹›", "60 ‹48›");
        assertThat(values("Dear Ines,\nyour 48 hives come on 5 May.")).containsExactly("Ines", "48");
        assertThat(values("Dear Ines,\nyour 48 hives come on 4 early May.")).containsExactly("Ines", "48");
    }

    @Test
    void wordsTakenOutLeaveAPlace() {
        assertThat(HandChanges.of(TEXT, "Dear Ines,\nyour hives come on 4 May.").changed())
                .containsExactly(new Changed(16, 16, "48 "));
    }

    @Test
    void wordsChangedSideBySideAreOneChange() {
        assertThat(changed("Dear Ines,\nthe twelve hives come on 4 May.")).containsExactly("the twelve ‹your 48›");
    }

    @Test
    void takingEveryChangeBackGivesWhatWasMerged() {
        Random random = new Random(7);
        List<String> words = List.of("Dear", " ", "Ines", "\n", "48", "{deal.name}", ",", "\\{", "x");
        for (int turn = 0; turn < 3000; turn++) {
            String before = text(random, words);
            String now = text(random, words);
            StringBuilder back = new StringBuilder(now);
            List<Changed> changes =
                    HandChanges.of(new MergedText(before, List.of()), now).changed();
            for (Changed one : changes.reversed()) {
                back.replace(one.start(), one.end(), one.was());
            }
            assertThat(back).as("%s -> %s", before, now).hasToString(before);
        }
    }

    private static String text(Random random, List<String> words) {
        StringBuilder text = new StringBuilder();
        for (int i = random.nextInt(9); i > 0; i--) {
            text.append(words.get(random.nextInt(words.size())));
        }
        return text.toString();
    }

    @Test
    void aValueThatIsAnotherNowIsFound() {
        FilledValue date = value(3, 8, "{deal.date}");
        FilledValue again = value(13, 18, "{deal.date}");
        MergedText then = new MergedText("On 4 May and 4 May.", List.of(date, again));
        MergedText now = new MergedText(
                "On 5 June and 5 June.", List.of(value(3, 9, "{deal.date}"), value(14, 20, "{deal.date}")));

        assertThat(NewValue.between(Map.of("BODY", then), Map.of("BODY", now)))
                .containsExactly(
                        new NewValue("BODY", date, "4 May", "5 June"), new NewValue("BODY", again, "4 May", "5 June"));
        assertThat(NewValue.between(Map.of("BODY", then), Map.of("BODY", then))).isEmpty();
        assertThat(NewValue.between(
                        Map.of("BODY", then),
                        Map.of("BODY", new MergedText("On {deal.date} and {deal.date}.", List.of()))))
                .extracting(NewValue::is)
                .containsExactly("", "");
        assertThat(NewValue.between(Map.of("BODY", then), Map.of("BODY", new MergedText("Soon.", List.of()))))
                .isEmpty();
    }
}
