package famulus.core.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * How right the checks are, on messages that were written as people write them: each finds its planted faults, and leaves the
 * clean messages alone. Prints the table that docs/proofreader.md has; {@code -Dcorpus.update=true} writes it there.
 */
class CorpusTest {
    private static final List<String> CODES = List.of(
            "attachment-said",
            "hour",
            "insecure-link",
            "language",
            "left-over-name",
            "legibility",
            "nothing-asked",
            "odd-value",
            "old-fact",
            "pressure",
            "salutation",
            "stale-time",
            "subject-again",
            "subject-shout",
            "weekday-date");
    private static final List<CorpusMessage> CLEAN = Stream.of(Locale.UK, Locale.GERMANY, Locale.FRANCE)
            .flatMap(reader -> CorpusMessage.of("clean_" + reader.getLanguage(), reader).stream())
            .toList();
    private static final Path DOCS = Path.of("..", "docs", "proofreader.md");

    private record Line(String code, int plants, List<CorpusMessage> missed, List<CorpusMessage> alarms) {
        int hits() {
            return plants - missed.size();
        }

        List<String> wrong() {
            return Stream.concat(
                            missed.stream().map(one -> code + " misses " + named(one)),
                            alarms.stream().map(one -> code + " speaks up at " + named(one) + one.notes()))
                    .toList();
        }

        @Override
        public String toString() {
            return "| %s | %d of %d | %d of %d |".formatted(code, hits(), plants, alarms.size(), CLEAN.size());
        }
    }

    private static Line line(String code) {
        List<CorpusMessage> plants = CorpusMessage.of("plants_" + code, Locale.UK);
        return new Line(
                code,
                plants.size(),
                plants.stream().filter(one -> !says(one, code)).toList(),
                CLEAN.stream().filter(one -> says(one, code)).toList());
    }

    private static boolean says(CorpusMessage message, String code) {
        return message.notes().stream().anyMatch(note -> note.code().equals(code));
    }

    @Test
    void everyCheckFindsItsPlantsAndLeavesCleanMessagesAlone() throws IOException {
        List<Line> lines = CODES.stream().map(CorpusTest::line).toList();
        List<String> table = new ArrayList<>(List.of("| check | found | false alarms |", "| --- | --- | --- |"));
        lines.forEach(line -> table.add(line.toString()));
        String printed = String.join("\n", table);
        System.out.println(printed);

        assertThat(CLEAN).hasSizeGreaterThanOrEqualTo(120);
        assertThat(lines).allSatisfy(line -> assertThat(line.plants()).isGreaterThanOrEqualTo(20));
        assertThat(lines.stream()
                        .filter(line -> line.hits() * 100 < line.plants() * 95
                                || line.alarms().size() * 100 > CLEAN.size())
                        .flatMap(line -> line.wrong().stream()))
                .isEmpty();
        if (Boolean.getBoolean("corpus.update")) {
            String docs = Files.readString(DOCS);
            Files.writeString(DOCS, docs.replaceAll("(?s)\\| check \\| found.*?\\n(?=\\n|\\z)", printed + "\n"));
        }
        assertThat(Files.readString(DOCS)).contains(printed);
    }

    @Test
    void noOtherCheckSpeaksUpAtACleanMessage() {
        List<String> said = CLEAN.stream()
                .flatMap(message -> message.notes().stream()
                        .filter(note -> !CODES.contains(note.code()))
                        .map(note -> message.subject() + ": " + note.code() + ", " + note.title()))
                .toList();

        assertThat(said).isEmpty();
    }

    private static String named(CorpusMessage one) {
        return one.file() + ", " + one.around().day() + ", " + one.subject() + ": " + one.body();
    }
}
