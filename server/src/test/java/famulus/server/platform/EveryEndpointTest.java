package famulus.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.team.Colleague;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** Walks every endpoint of the API as nobody and in every role. */
class EveryEndpointTest extends ServerTest {
    /** What a visitor may ask before signing in. */
    private static final Set<String> OPEN =
            Set.of("/api/session", "/api/session/demo", "/api/first-run", "/api/choices");
    /** What only administrators may do; the password is one's own or an administrator's business. */
    private static final Set<String> ADMINISTRATORS = Set.of(
            "POST /api/team",
            "PUT /api/team/{id}",
            "PUT /api/team/{id}/password",
            "POST /api/materials/feeds/addresses",
            "PUT /api/company/counting",
            "PUT /api/company/pipeline",
            "POST /api/fields",
            "PUT /api/fields/{kind}/{name}",
            "POST /api/fields/{kind}/{name}/retire",
            "DELETE /api/fields/{kind}/{name}/retire");
    /** What only editors and administrators may do. */
    private static final Set<String> KEEPERS = Set.of(
            "PUT /api/check-inboxes",
            "PUT /api/company",
            "PUT /api/today/first-hour/{step}/skipped",
            "DELETE /api/today/first-hour/{step}/skipped",
            "PUT /api/company/holidays/{country}",
            "DELETE /api/company/holidays/{country}",
            "PUT /api/company/greetings/{language}",
            "POST /api/company/facts",
            "PUT /api/company/facts/{name}",
            "DELETE /api/company/facts/{name}",
            "POST /api/materials/house-styles",
            "POST /api/materials/house-styles/{id}/usual",
            "PUT /api/materials/house-styles/{id}/named",
            "POST /api/materials/feeds/{id}/read",
            "DELETE /api/materials/feeds/{id}");

    @Autowired
    private RequestMappingHandlerMapping requestMappingHandlerMapping;

    private record Endpoint(String method, String path) {
        @Override
        public String toString() {
            return method + " " + path;
        }
    }

    private List<Endpoint> endpoints() {
        List<Endpoint> endpoints = new ArrayList<>();
        for (RequestMappingInfo info :
                requestMappingHandlerMapping.getHandlerMethods().keySet()) {
            for (String path : info.getPatternValues()) {
                if (path.startsWith("/api/") && !path.endsWith("openapi.json") && !path.equals("/api/events")) {
                    info.getMethodsCondition()
                            .getMethods()
                            .forEach(method -> endpoints.add(new Endpoint(method.name(), path)));
                }
            }
        }
        return endpoints;
    }

    private static final String FACT =
            "{\"label\": \"L\", \"type\": \"TEXT\", \"value\": \"x\", \"asOf\": \"2026-05-04\", \"months\": 12}";

    /** Bodies that would do, so that it is the role that is refused. */
    private static final Map<String, String> GOOD_BODIES = Map.ofEntries(
            Map.entry(
                    "POST /api/team",
                    """
                    {"firstName": "A", "lastName": "B", "email": "a@b.example", "role": "AGENT", "jobTitle": "", "password": "x"}
                    """),
            Map.entry("PUT /api/team/{id}", "{\"role\": \"AGENT\", \"active\": true}"),
            Map.entry("PUT /api/team/{id}/password", "{\"password\": \"a long enough one\"}"),
            Map.entry(
                    "POST /api/fields",
                    """
                    {"kind": "contact", "label": "L", "type": "TEXT", "section": "", "inList": false, "choices": []}
                    """),
            Map.entry("PUT /api/fields/{kind}/{name}", "{\"label\": \"L\", \"inList\": true, \"choices\": []}"),
            Map.entry("PUT /api/materials/house-styles/{id}", "{\"version\": 1, \"look\": \"\"}"),
            Map.entry("POST /api/materials/house-styles", "{\"look\": \"\"}"),
            Map.entry("PUT /api/materials/house-styles/{id}/named", "{\"named\": []}"),
            Map.entry(
                    "PUT /api/company",
                    """
                    {"name": "L", "phone": "", "website": "", "street": "", "postcode": "", "town": "", "country": "GB",
                     "language": "en", "timeZone": "Europe/London", "currency": "GBP", "publicAddress": ""}
                    """),
            Map.entry("PUT /api/check-inboxes", "{\"addresses\": []}"),
            Map.entry(
                    "PUT /api/company/pipeline",
                    """
                    {"before": {"stages": [], "leadStates": [], "leadSources": [], "roles": []},
                     "after": {"stages": [], "leadStates": [], "leadSources": [], "roles": []}}
                    """),
            Map.entry("PUT /api/company/counting", "{\"counts\": true}"),
            Map.entry("PUT /api/company/holidays/{country}", "[]"),
            Map.entry(
                    "PUT /api/company/greetings/{language}",
                    "{\"language\": \"x\", \"usual\": \"FORMAL\", \"rules\": []}"),
            Map.entry("POST /api/materials/feeds/addresses", "{\"address\": \"http://localhost/\"}"),
            Map.entry("POST /api/company/facts", FACT),
            Map.entry("PUT /api/company/facts/{name}", FACT));

    private static MockHttpServletRequestBuilder request(Endpoint endpoint) {
        String path = endpoint.path()
                .replace("{kind}", "contact")
                .replace("{step}", "COMPANY")
                .replaceAll("\\{[a-z]+}", new UUID(4, 2).toString());
        return MockMvcRequestBuilders.request(HttpMethod.valueOf(endpoint.method()), path)
                .contentType(MediaType.APPLICATION_JSON)
                .content(GOOD_BODIES.getOrDefault(endpoint.toString(), "{}"));
    }

    @Test
    void thereAreEndpoints() {
        assertThat(endpoints()).hasSizeGreaterThan(30);
    }

    @Test
    void nobodyGetsIn() throws Exception {
        for (Endpoint endpoint : endpoints()) {
            int status = mvc.perform(request(endpoint).with(SecurityMockMvcRequestPostProcessors.csrf()))
                    .andReturn()
                    .getResponse()
                    .getStatus();
            if (!OPEN.contains(endpoint.path())) {
                assertThat(status).as("%s as nobody", endpoint).isEqualTo(401);
            }
        }
    }

    @Test
    void nothingIsChangedWithoutItsToken() throws Exception {
        for (Endpoint endpoint : endpoints()) {
            if (!endpoint.method().equals("GET")) {
                int status = mvc.perform(request(endpoint).with(as(amos)))
                        .andReturn()
                        .getResponse()
                        .getStatus();
                assertThat(status).as("%s without a token", endpoint).isEqualTo(403);
            }
        }
    }

    @Test
    void onlyAdministratorsKeepTheTeam() throws Exception {
        for (Colleague who : List.of(signe, petra, oriel)) {
            for (Endpoint endpoint : endpoints()) {
                if (ADMINISTRATORS.contains(endpoint.toString())) {
                    int status = mvc.perform(
                                    request(endpoint).with(as(who)).with(SecurityMockMvcRequestPostProcessors.csrf()))
                            .andReturn()
                            .getResponse()
                            .getStatus();
                    assertThat(status).as("%s as %s", endpoint, who.role()).isEqualTo(403);
                }
            }
        }
    }

    @Test
    void onlyKeepersAndAdministratorsKeepTheHouse() throws Exception {
        assertThat(endpoints().stream().map(Endpoint::toString))
                .containsAll(KEEPERS)
                .containsAll(ADMINISTRATORS);
        for (Colleague who : List.of(signe, petra, oriel, amos)) {
            for (Endpoint endpoint : endpoints()) {
                if (KEEPERS.contains(endpoint.toString())) {
                    int status = mvc.perform(
                                    request(endpoint).with(as(who)).with(SecurityMockMvcRequestPostProcessors.csrf()))
                            .andReturn()
                            .getResponse()
                            .getStatus();
                    boolean may = who.equals(oriel) || who.equals(amos);
                    assertThat(status == 403)
                            .as("%s as %s", endpoint, who.role())
                            .isEqualTo(!may);
                }
            }
        }
    }

    @Test
    void nothingAnswersWithAFailureOfOurs() throws Exception {
        for (Colleague who : List.of(signe, petra, oriel, amos)) {
            for (Endpoint endpoint : endpoints()) {
                int status = mvc.perform(
                                request(endpoint).with(as(who)).with(SecurityMockMvcRequestPostProcessors.csrf()))
                        .andReturn()
                        .getResponse()
                        .getStatus();
                assertThat(status)
                        .as("%s as %s, with an empty body", endpoint, who.role())
                        .isLessThan(500);
            }
        }
    }
}
