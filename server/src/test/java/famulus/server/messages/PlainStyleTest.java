package famulus.server.messages;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A plain message says what its style says around it: header and footer as text, and the small print. */
class PlainStyleTest extends ServerTest {
    private UUID ines;

    @BeforeEach
    void aStyleWithSmallPrint() throws Exception {
        ines = contact("Ines", "Okafor", "ines@larkfield.example");
        JsonNode style = done("GET", "/api/materials/house-styles", null, oriel).get(0);
        ObjectNode look = (ObjectNode) json.readTree(style.get("look").asString());
        look.set(
                "smallPrint",
                json.readTree("[{\"runs\":[{\"text\":\"{our.name}, {our.town else \\\"everywhere\\\"}\"}]}]"));
        JsonNode changed = done(
                "PUT",
                "/api/materials/house-styles/" + style.get("id").asString(),
                Map.of("version", style.get("version").asInt(), "look", look.toString()),
                oriel);
        assertThat(changed.has("id")).as("%s", changed).isTrue();
    }

    private SourceText sent(UUID template) throws Exception {
        JsonNode taken = done("POST", "/api/messages", message(template, ines, null), signe);
        assertThat(taken.has("id")).as("%s", taken).isTrue();
        return SourceText.of(wire(UUID.fromString(taken.get("id").asString())));
    }

    @Test
    void whatIsSeenIsWhatLeavesAndWhatIsKept() throws Exception {
        JsonNode proof = proof(ines, "News", "Dear {contact.first_name},\n\nhello.");
        assertThat(proof.get("above").asString()).isEmpty();
        assertThat(proof.get("below").asString()).isEqualTo("----------\n\nBrindlewing, everywhere");

        UUID template = template("CONTACT", "News", "Dear {contact.first_name},\n\nhello.");
        SourceText sent = sent(template);
        assertThat(sent.text().strip()).isEqualTo("Dear Ines,\n\nhello.\n\n----------\n\nBrindlewing, everywhere");
        JsonNode kept = done("GET", "/api/records/contact/" + ines, null, signe).at("/said/0");
        assertThat(kept.get("firstWords").asString()).isEqualTo("hello.");
        StringBuilder pieces = new StringBuilder();
        done("GET", "/api/messages/" + kept.get("id").asString(), null, signe)
                .get("pieces")
                .forEach(piece -> pieces.append(piece.get("text").asString()));
        assertThat(pieces.toString()).endsWith("hello.\n\n----------\n\nBrindlewing, everywhere");
    }

    @Test
    void aChangeOfTheStyleIsShownForPlainTemplatesToo() throws Exception {
        template("CONTACT", "News", "Dear {contact.first_name}");
        JsonNode style = done("GET", "/api/materials/house-styles", null, oriel).get(0);
        String look = style.get("look").asString().replace("everywhere", "nowhere");
        JsonNode change = done(
                "POST",
                "/api/desk/house-styles/" + style.get("id").asString() + "/change",
                Map.of("look", look),
                signe);
        assertThat(change.get("templates").asInt()).isEqualTo(1);
        assertThat(change.at("/shown/0/before").asString()).contains("Dear Ines", "Brindlewing, everywhere");
        assertThat(change.at("/shown/0/after").asString()).contains("Dear Ines", "Brindlewing, nowhere");
    }

    @Test
    void whatTheStyleMayNotSayStopsAPlainMessage() throws Exception {
        JsonNode style = done("GET", "/api/materials/house-styles", null, oriel).get(0);
        String look = style.get("look").asString().replace("everywhere", "TBC");
        done(
                "PUT",
                "/api/materials/house-styles/" + style.get("id").asString(),
                Map.of("version", style.get("version").asInt(), "look", look),
                oriel);
        UUID template = template("CONTACT", "News", "Dear {contact.first_name}");
        assertThat(done("POST", "/api/messages", message(template, ines, null), signe)
                        .get("code")
                        .asString())
                .isEqualTo("filler");
    }
}
