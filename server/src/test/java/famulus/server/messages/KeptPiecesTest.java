package famulus.server.messages;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.field.Path;
import famulus.core.field.Value;
import famulus.core.merge.MergeParser;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merged;
import famulus.core.merge.Merger;
import famulus.core.merge.Place;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What the browser says of a message's stretches, beside what merging here gives. */
class KeptPiecesTest {
    private static final String NAME = "{contact.first_name else \"you\"}";

    private static Merged merged(String written) {
        Merger merger = new Merger(new MergeSettings(Locale.ENGLISH, ZoneOffset.UTC, Instant.EPOCH));
        return merger.merge(
                MergeParser.parse(written),
                path -> path.equals(Path.of("contact.first_name"))
                        ? Optional.of(new Value.Text("Ines"))
                        : Optional.empty(),
                Place.BODY);
    }

    private static TypedRun run(String text, String written) {
        return new TypedRun(text, written, false);
    }

    @Test
    void aFieldAsItWasMergedKeepsItsValue() {
        List<KeptPiece> pieces =
                KeptPieces.of(List.of(run("Hello ", ""), run("Ines", NAME)), merged("Hello " + NAME + ", good day"));

        assertThat(pieces)
                .containsExactly(
                        new KeptPiece("Hello ", "WRITTEN", "", ""),
                        new KeptPiece("Ines", "RECORD", "contact.first_name", "Ines"));
    }

    @Test
    void aFieldThatSaysSomethingElseWasTyped() {
        assertThat(KeptPieces.of(List.of(run("Agnes", NAME)), merged("Hello " + NAME)))
                .containsExactly(new KeptPiece("Agnes", "TYPED", "", ""));
    }

    @Test
    void aFieldThatTheTemplateDoesNotHaveWasTyped() {
        assertThat(KeptPieces.of(List.of(run("Ines", "{contact.last_name}")), merged("Hello " + NAME)))
                .containsExactly(new KeptPiece("Ines", "TYPED", "", ""));
    }

    @Test
    void wordsThatTheTemplateDoesNotHaveWereTyped() {
        assertThat(KeptPieces.of(List.of(run("Good day", "")), merged("Hello " + NAME)))
                .containsExactly(new KeptPiece("Good day", "TYPED", "", ""));
    }

    @Test
    void whatIsLeftAsMergedIsAllFromTheTemplate() {
        assertThat(KeptPieces.of(merged("Hello " + NAME)))
                .extracting(KeptPiece::origin)
                .containsExactly("WRITTEN", "RECORD");
    }
}
