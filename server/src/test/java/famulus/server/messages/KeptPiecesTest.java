package famulus.server.messages;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.calendar.WorkingDays;
import famulus.core.field.Path;
import famulus.core.field.Value;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merger;
import famulus.core.message.MergedMessage;
import famulus.core.message.MessageSource;
import famulus.core.message.personal.MergedText;
import famulus.core.message.personal.Personalised;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Where the words of a message came from, beside what its template gives. */
class KeptPiecesTest {
    private static final MessageSource TEMPLATE =
            new MessageSource("x", "", "Hello {contact.first_name else \"you\"}, good day {write in \"why\"}");

    private static MergedMessage merged(MessageSource message) {
        Merger merger = new Merger(new MergeSettings(
                Locale.ENGLISH, ZoneOffset.UTC, Instant.EPOCH, WorkingDays.PLAIN, Map.of(), Map.of("why", "{so}")));
        return message.parse()
                .merge(
                        merger,
                        path -> path.equals(Path.of("contact.first_name"))
                                ? Optional.of(new Value.Text("Ines"))
                                : Optional.empty());
    }

    private static List<KeptPiece> pieces(String now) {
        MergedText begun = Personalised.of(TEMPLATE, merged(TEMPLATE)).texts().get(MergedText.BODY);
        return KeptPieces.of(begun, now, merged(new MessageSource("x", "", now)).body());
    }

    @Test
    void whatStandsAsItWasMergedKeepsWhereItCameFrom() {
        assertThat(pieces("Hello Ines, good day \\{so}"))
                .containsExactly(
                        new KeptPiece("Hello ", "WRITTEN", "", ""),
                        new KeptPiece("Ines", "RECORD", "contact.first_name", "Ines"),
                        new KeptPiece(", good day ", "WRITTEN", "", ""),
                        new KeptPiece("{so}", "ANSWERED", "", "why"));
    }

    @Test
    void whatSaysSomethingElseWasTyped() {
        assertThat(pieces("Hello Agnes, fine day {write in \"why\"}"))
                .containsExactly(
                        new KeptPiece("Hello ", "WRITTEN", "", ""),
                        new KeptPiece("Agnes", "TYPED", "", ""),
                        new KeptPiece(", ", "WRITTEN", "", ""),
                        new KeptPiece("fine", "TYPED", "", ""),
                        new KeptPiece(" day ", "WRITTEN", "", ""),
                        new KeptPiece("{so}", "ANSWERED", "", "why"));
    }

    @Test
    void itsWordsTogetherAreTheMessage() {
        for (String now : List.of(
                "",
                "Hello",
                "Ines \\{Ines",
                "Hello Ines, good day",
                "x Hello Ines, y good day z \\{so} {write in \"why\"}")) {
            StringBuilder all = new StringBuilder();
            pieces(now).forEach(piece -> all.append(piece.text()));
            assertThat(all)
                    .hasToString(merged(new MessageSource("x", "", now)).body().text());
        }
    }

    @Test
    void aMessageAsItWasMergedIsItsPieces() {
        assertThat(KeptPieces.of(merged(TEMPLATE).body()))
                .extracting(KeptPiece::origin)
                .containsExactly("WRITTEN", "RECORD", "WRITTEN", "ANSWERED");
    }
}
