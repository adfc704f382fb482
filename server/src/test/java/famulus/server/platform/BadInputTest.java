package famulus.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.team.Colleague;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import tools.jackson.databind.JsonNode;

/**
 * Sends bodies that were right and are damaged at random, spread over all endpoints: each is answered with what is wrong, none
 * with a failure of ours. The description of the API says what would be right. Chance changes rules of the company too,
 * which no test after this one expects: so its application is its own.
 */
@DirtiesContext
class BadInputTest extends ServerTest {
    private static final int REQUESTS = 20_000;
    private static final long SEED = Long.getLong("famulus.seed", 20_261_127);
    private static final int DEEPEST = 6;
    /** What strings of these names usually hold. */
    private static final Map<String, List<String>> LIKELY = Map.ofEntries(
            Map.entry(
                    "kind",
                    List.of("comparison", "every", "any", "not", "contact", "lead", "deal", "field", "text", "number")),
            Map.entry("path", List.of("contact.first_name", "contact.title", "contact.created_at", "today")),
            Map.entry("value", List.of("3", "Hives", "contact.title", "2026-05-04")),
            Map.entry("currency", List.of("", "GBP", "EUR")),
            Map.entry("country", List.of("GB", "DE")),
            Map.entry("timeZone", List.of("Europe/London")),
            Map.entry("language", List.of("en", "de", "fr")),
            Map.entry(
                    "design", List.of("", "{\"version\":1,\"bands\":[{\"id\":\"a\",\"columns\":[{\"blocks\":[]}]}]}")),
            Map.entry("mode", List.of("PLAIN", "LETTER", "DESIGNED", "SOURCE")),
            Map.entry("body", List.of("Dear {contact.first_name}", "{when contact.title is empty}A{end}")),
            Map.entry("written", List.of("{contact.first_name}", "contact.title is empty")),
            Map.entry("email", List.of("ines@larkfield.example")),
            Map.entry("name", List.of("Hives", "first_name", "Plain")));

    private final Random random = new Random(SEED);
    private final List<String> identifiers = new ArrayList<>();
    private JsonNode description;

    private record Endpoint(String method, String path, JsonNode operation) {}

    @Test
    void noRequestFailsOnOurSide() throws Exception {
        description = done("GET", "/api/openapi.json", null, amos);
        List<Endpoint> endpoints = new ArrayList<>();
        description
                .get("paths")
                .forEachEntry((path, methods) -> methods.forEachEntry((method, operation) -> {
                    if (!path.equals("/api/events")) {
                        endpoints.add(new Endpoint(method.toUpperCase(java.util.Locale.ROOT), path, operation));
                    }
                }));
        assertThat(endpoints).hasSizeGreaterThan(90);
        Map<String, String> failures = new TreeMap<>();
        Map<Integer, Integer> answers = new TreeMap<>();
        for (int i = 0; i < REQUESTS; i++) {
            if (i % 2_000 == 0) {
                somethingToBreak();
            }
            Endpoint endpoint = endpoints.get(i % endpoints.size());
            MockHttpServletRequestBuilder request = request(endpoint);
            Colleague who = List.of(amos, oriel, signe, petra).get(random.nextInt(4));
            MockHttpServletResponse answer = mvc.perform(
                            request.with(as(who)).with(SecurityMockMvcRequestPostProcessors.csrf()))
                    .andReturn()
                    .getResponse();
            answers.merge(answer.getStatus(), 1, Integer::sum);
            if (answer.getStatus() >= 500) {
                failures.putIfAbsent(
                        endpoint.method() + " " + endpoint.path(),
                        answer.getStatus() + " for request " + i + ": " + shortened(last));
            }
        }
        System.out.println(REQUESTS + " requests to " + endpoints.size() + " endpoints were answered " + answers);
        assertThat(failures).as("answered with a failure of ours").isEmpty();
        assertThat(answers.get(200)).as("some of them did what they asked").isGreaterThan(REQUESTS / 20);
    }

    private String last = "";

    private static String shortened(String text) {
        return text.length() > 600 ? text.substring(0, 600) + "…" : text;
    }

    /** Puts back what random requests have taken away, so that they go on to find something. */
    private void somethingToBreak() throws Exception {
        startFromNothing();
        identifiers.clear();
        identifiers.add(contact("Ines", "Okafor", "ines@larkfield.example").toString());
        identifiers.add(
                template("CONTACT", "Hives", "Dear {contact.first_name}").toString());
        JsonNode deal =
                done("POST", "/api/records/deal", Map.of("values", Map.of("name", "Hives"), "email", ""), signe);
        identifiers.add(deal.path("id").asString(UUID.randomUUID().toString()));
        identifiers.add(signe.id().toString());
        identifiers.add(sql.queryForObject("select cast(id as varchar) from house_style where usual", String.class));
    }

    private MockHttpServletRequestBuilder request(Endpoint endpoint) {
        String path = endpoint.path();
        StringBuilder query = new StringBuilder();
        for (JsonNode parameter : endpoint.operation().path("parameters")) {
            String name = parameter.get("name").asString();
            Object value = random.nextInt(4) == 0 ? awkward() : made(parameter.path("schema"), 0);
            String text = value == null ? "" : String.valueOf(value);
            if (parameter.get("in").asString().equals("path")) {
                // What can't stand in an address at all never reaches us.
                String part = text.replaceAll("[^\\p{Alnum}_-]", "");
                path = path.replace(
                        "{" + name + "}", part.isEmpty() ? "x" : part.substring(0, Math.min(80, part.length())));
            } else if (random.nextInt(8) > 0) {
                query.append(query.isEmpty() ? "?" : "&").append(name).append('=');
                query.append(java.net.URLEncoder.encode(text, StandardCharsets.UTF_8));
            }
        }
        MockHttpServletRequestBuilder request = MockMvcRequestBuilders.request(
                HttpMethod.valueOf(endpoint.method()), java.net.URI.create(path + query));
        last = path + query;
        JsonNode content = endpoint.operation().at("/requestBody/content");
        if (content.isMissingNode()) {
            return request;
        }
        String type = content.propertyNames().iterator().next();
        if (!type.contains("json")) {
            byte[] bytes = new byte[random.nextInt(200)];
            random.nextBytes(bytes);
            return request.contentType(MediaType.parseMediaType(type)).content(bytes);
        }
        Object right = made(content.get(type).path("schema"), 0);
        // Half of them have one thing wrong, and so come far; the others have many.
        Object wrong = random.nextBoolean() ? oneThingWrong(right) : spoiled(right, 0);
        byte[] body = damaged(json.writeValueAsBytes(wrong));
        last += " " + new String(body, StandardCharsets.UTF_8);
        return request.contentType(MediaType.APPLICATION_JSON).content(body);
    }

    /** What a description asks for, as it should be. */
    private Object made(JsonNode schema, int depth) {
        if (schema.has("$ref")) {
            String name = schema.get("$ref").asString().replaceFirst(".*/", "");
            return depth > DEEPEST ? null : made(description.at("/components/schemas/" + name), depth + 1);
        }
        if (schema.has("enum")) {
            JsonNode choices = schema.get("enum");
            return choices.get(random.nextInt(choices.size())).asString("");
        }
        String type = schema.path("type").isArray()
                ? schema.get("type").get(0).asString()
                : schema.path("type").asString("object");
        return switch (type) {
            case "integer" -> random.nextInt(3);
            case "number" -> random.nextInt(100) / 4.0;
            case "boolean" -> random.nextBoolean();
            case "array" -> {
                List<Object> items = new ArrayList<>();
                for (int i = random.nextInt(3); i > 0 && depth < DEEPEST; i--) {
                    items.add(made(schema.path("items"), depth + 1));
                }
                yield items;
            }
            case "string" -> string(schema.path("format").asString(""));
            default -> {
                Map<String, Object> object = new LinkedHashMap<>();
                schema.path("properties")
                        .forEachEntry((name, property) -> object.put(name, named(name, property, depth)));
                JsonNode others = schema.path("additionalProperties");
                if (others.isObject()) {
                    object.put("first_name", made(others, depth + 1));
                    object.put("contact.first_name", made(others, depth + 1));
                }
                yield object;
            }
        };
    }

    /** What a property usually holds, by its name. */
    private Object named(String name, JsonNode property, int depth) {
        boolean words = property.path("type").asString("").equals("string") && !property.has("enum");
        return words && LIKELY.containsKey(name) && random.nextInt(4) > 0
                ? oneOf(LIKELY.get(name))
                : made(property, depth + 1);
    }

    private Object string(String format) {
        return switch (format) {
            case "uuid" ->
                random.nextInt(3) == 0
                        ? UUID.randomUUID().toString()
                        : identifiers.get(random.nextInt(identifiers.size()));
            case "date-time" -> "2026-05-04T09:00:00Z";
            case "date" -> "2026-05-04";
            default ->
                List.of(
                                "Hives",
                                "Dear {contact.first_name}",
                                "{when contact.title is empty}A{end}",
                                "contact.title is empty",
                                "{\"version\":1,\"bands\":[]}",
                                "<p style=\"color:red\">A</p>",
                                "ines@larkfield.example",
                                "en")
                        .get(random.nextInt(8));
        };
    }

    private <T> T oneOf(List<T> all) {
        return all.get(random.nextInt(all.size()));
    }

    /** Puts something else in one place, or leaves that out. */
    private Object oneThingWrong(Object value) {
        if (value instanceof Map<?, ?> map && !map.isEmpty()) {
            Map<String, Object> changed = new LinkedHashMap<>();
            map.forEach((key, one) -> changed.put(String.valueOf(key), one));
            String key = oneOf(new ArrayList<>(changed.keySet()));
            switch (random.nextInt(4)) {
                case 0 -> changed.remove(key);
                case 1 -> changed.put(key, null);
                case 2 -> changed.put(key, awkward());
                default -> changed.put(key, oneThingWrong(changed.get(key)));
            }
            return changed;
        }
        if (value instanceof List<?> list && !list.isEmpty()) {
            List<Object> changed = new ArrayList<>(list);
            int at = random.nextInt(changed.size());
            changed.set(at, oneThingWrong(changed.get(at)));
            return changed;
        }
        return awkward();
    }

    /** Puts something else in some places. */
    private Object spoiled(Object value, int depth) {
        if (random.nextInt(9) == 0) {
            return awkward();
        }
        if (value instanceof Map<?, ?> map) {
            Map<String, Object> spoiled = new LinkedHashMap<>();
            map.forEach((key, one) -> {
                if (random.nextInt(14) > 0) {
                    spoiled.put(String.valueOf(key), spoiled(one, depth + 1));
                }
            });
            if (random.nextInt(20) == 0) {
                spoiled.put(String.valueOf(awkward()), awkward());
            }
            return spoiled;
        }
        if (value instanceof List<?> list) {
            List<Object> spoiled = new ArrayList<>();
            list.forEach(one -> spoiled.add(spoiled(one, depth + 1)));
            return spoiled;
        }
        return value;
    }

    private Object awkward() {
        List<Object> all = Arrays.asList(
                null,
                "",
                " ",
                "\u0000",
                "\r\nBcc: x@y.example",
                "\uD800",
                "\uFDD0\uE000\uFFFF",
                "x".repeat(70),
                "x".repeat(5_000),
                "{".repeat(300),
                "<b>".repeat(300),
                "%_!\\' or 1=1 --",
                "../../etc/passwd",
                Integer.MAX_VALUE,
                Integer.MIN_VALUE,
                Long.MAX_VALUE,
                1e300,
                -0.5,
                true,
                "00000000-0000-0000-0000-000000000000",
                "9999-12-31T23:59:59Z",
                "+1000000000-01-01T00:00:00Z",
                List.of(),
                Arrays.asList(null, null),
                Map.of(),
                Map.of("a", List.of(Map.of("b", "c"))));
        return all.get(random.nextInt(all.size()));
    }

    /** Now and then the bytes themselves are damaged. */
    private byte[] damaged(byte[] body) {
        return switch (random.nextInt(25)) {
            case 0 -> Arrays.copyOf(body, random.nextInt(body.length + 1));
            case 1 -> {
                byte[] changed = body.clone();
                changed[random.nextInt(changed.length)] = (byte) random.nextInt(256);
                yield changed;
            }
            case 2 -> "[".repeat(3_000).getBytes(StandardCharsets.UTF_8);
            case 3 -> new byte[] {(byte) 0xff, (byte) 0xfe, 0x00};
            default -> body;
        };
    }
}
