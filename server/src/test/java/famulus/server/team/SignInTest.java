package famulus.server.team;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import famulus.server.ServerTest;
import famulus.server.platform.Refusal;
import java.time.Duration;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpSession;
import org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors;
import org.springframework.test.web.servlet.MvcResult;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import tools.jackson.databind.JsonNode;

class SignInTest extends ServerTest {
    @Autowired
    private SignInService signIn;

    @Test
    void letsInWhoKnowsThePassword() {
        assertThat(signIn.signIn(" Signe@Brindlewing.example ", PASSWORD, "192.0.2.7")
                        .id())
                .isEqualTo(signe.id());
    }

    @Test
    void saysTheSameForAWrongPasswordAndAnUnknownAddress() {
        assertThatThrownBy(() -> signIn.signIn("signe@brindlewing.example", "wrong", "192.0.2.7"))
                .hasMessageContaining("is wrong");
        assertThatThrownBy(() -> signIn.signIn("nobody@brindlewing.example", "wrong", "192.0.2.7"))
                .hasMessageContaining("is wrong");
    }

    @Test
    void slowsDownWhoGuesses() {
        for (int i = 0; i < 5; i++) {
            assertThatThrownBy(() -> signIn.signIn("signe@brindlewing.example", "wrong", "192.0.2.7"))
                    .isInstanceOf(Refusal.class);
        }
        assertThatThrownBy(() -> signIn.signIn("signe@brindlewing.example", PASSWORD, "192.0.2.7"))
                .hasMessageContaining("Too many");

        clock.forward(Duration.ofMinutes(16));
        assertThat(signIn.signIn("signe@brindlewing.example", PASSWORD, "192.0.2.7"))
                .isNotNull();
    }

    @Test
    void aSessionEndsWithTheAccess() throws Exception {
        MvcResult in = mvc.perform(MockMvcRequestBuilders.post("/api/session")
                        .with(SecurityMockMvcRequestPostProcessors.csrf())
                        .contentType("application/json")
                        .content(json.writeValueAsString(
                                Map.of("email", "dov@brindlewing.example", "password", PASSWORD))))
                .andReturn();
        MockHttpSession session = (MockHttpSession) in.getRequest().getSession();
        assertThat(status(session)).isEqualTo(200);

        done("PUT", "/api/team/" + dov.id(), Map.of("role", "AGENT", "active", false), amos);
        assertThat(status(session)).isEqualTo(401);
    }

    private int status(MockHttpSession session) throws Exception {
        return mvc.perform(MockMvcRequestBuilders.get("/api/team").session(session))
                .andReturn()
                .getResponse()
                .getStatus();
    }

    @Test
    void theDemosOneClickIsForTheDemoOnly() throws Exception {
        JsonNode answer =
                done("POST", "/api/session/demo", Map.of("id", signe.id().toString()), signe);
        assertThat(answer.get("code").asString()).isEqualTo("forbidden");
    }

    @Test
    void theFirstRunHappensOnce() throws Exception {
        Map<String, String> again = Map.of(
                "houseName",
                "Other",
                "country",
                "GB",
                "timeZone",
                "Europe/London",
                "currency",
                "GBP",
                "firstName",
                "A",
                "lastName",
                "B",
                "email",
                "a@b.example",
                "password",
                PASSWORD);
        assertThat(done("POST", "/api/first-run", again, signe).get("code").asString())
                .isEqualTo("forbidden");
    }

    @Test
    void somebodyStaysAdministrator() throws Exception {
        JsonNode answer = done("PUT", "/api/team/" + amos.id(), Map.of("role", "AGENT", "active", true), amos);
        assertThat(answer.get("fields").get("role").asString()).contains("has to be administrator");
    }

    @Test
    void refusesShortPasswordsAndTakenAddresses() throws Exception {
        JsonNode answer = done(
                "POST",
                "/api/team",
                Map.of(
                        "firstName",
                        "X\u0007",
                        "lastName",
                        "",
                        "email",
                        "signe@brindlewing.example",
                        "role",
                        "AGENT",
                        "jobTitle",
                        "",
                        "password",
                        "short"),
                amos);
        assertThat(answer.get("fields").propertyNames()).contains("firstName", "lastName", "password");
    }

    @Test
    void passwordsAreKeptHashed() {
        String kept = sql.queryForObject(
                "select password_hash from colleague where email = 'signe@brindlewing.example'", String.class);
        assertThat(kept).startsWith("$2").doesNotContain(PASSWORD);
    }

    private MockHttpSession session(String email, String password) throws Exception {
        return (MockHttpSession) mvc.perform(MockMvcRequestBuilders.post("/api/session")
                        .with(SecurityMockMvcRequestPostProcessors.csrf())
                        .contentType("application/json")
                        .content(json.writeValueAsString(Map.of("email", email, "password", password))))
                .andReturn()
                .getRequest()
                .getSession();
    }

    private int change(MockHttpSession in, Map<String, Object> wanted) throws Exception {
        return mvc.perform(MockMvcRequestBuilders.put("/api/team/" + dov.id() + "/password")
                        .session(in)
                        .with(SecurityMockMvcRequestPostProcessors.csrf())
                        .contentType("application/json")
                        .content(json.writeValueAsString(wanted)))
                .andReturn()
                .getResponse()
                .getStatus();
    }

    @Test
    void aNewPasswordAsksForTheOldOneAndEndsAllOtherSessions() throws Exception {
        MockHttpSession here = session("dov@brindlewing.example", PASSWORD);
        MockHttpSession elsewhere = session("dov@brindlewing.example", PASSWORD);

        assertThat(change(here, Map.of("password", "another long one"))).isEqualTo(422);
        assertThat(change(here, Map.of("password", "another long one", "old", "a guess at it")))
                .isEqualTo(422);
        assertThat(status(elsewhere)).as("nothing has changed").isEqualTo(200);

        assertThat(change(here, Map.of("password", "another long one", "old", PASSWORD)))
                .isEqualTo(200);
        assertThat(status(here)).as("where it was changed").isEqualTo(200);
        assertThat(status(elsewhere)).as("everywhere else").isEqualTo(401);
        assertThat(signIn.signIn("dov@brindlewing.example", "another long one", "192.0.2.7")
                        .id())
                .isEqualTo(dov.id());
    }

    @Test
    void whomAnAdministratorGivesANewPasswordSignsInAgain() throws Exception {
        MockHttpSession before = session("dov@brindlewing.example", PASSWORD);

        done("PUT", "/api/team/" + dov.id() + "/password", Map.of("password", "another long one"), amos);

        assertThat(status(before)).isEqualTo(401);
    }

    @Test
    void whoTriesManyAddressesIsSlowedDown() {
        for (int i = 0; i < 40; i++) {
            String address = "nobody" + i + "@brindlewing.example";
            assertThatThrownBy(() -> signIn.signIn(address, "wrong", "192.0.2.9"))
                    .hasMessageContaining("is wrong");
        }
        assertThatThrownBy(() -> signIn.signIn("signe@brindlewing.example", PASSWORD, "192.0.2.9"))
                .hasMessageContaining("from where you are");
        assertThat(signIn.signIn("signe@brindlewing.example", PASSWORD, "192.0.2.10"))
                .isNotNull();
    }
}
