package famulus.server;

import famulus.server.contents.WireSources;
import famulus.server.folders.FolderRights;
import famulus.server.team.Colleague;
import famulus.server.team.House;
import famulus.server.team.Role;
import famulus.server.team.SignedIn;
import famulus.server.team.TeamService;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Import;
import org.springframework.context.annotation.Primary;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import org.springframework.test.web.servlet.request.RequestPostProcessor;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The whole server on a database in memory, with a clock that stands still until a test moves it. */
@SpringBootTest(
        properties = {
            "famulus.data=memory",
            "famulus.public-address=https://post.brindlewing.example/",
            "famulus.take-back-seconds=0",
            // A machine that stands still for half a minute is no fault of a statement.
            "famulus.statement-seconds=600"
        })
@AutoConfigureMockMvc
@Import({ServerTest.StillTime.class, ServerTest.QuickPasswords.class})
public abstract class ServerTest {
    protected static final String PASSWORD = "a long enough one";

    /** How long a test waits for what will come; it goes on as soon as that is there, however slow a laden machine is. */
    static {
        Awaitility.setDefaultTimeout(Duration.ofMinutes(2));
    }

    @Autowired
    protected MockMvc mvc;

    @Autowired
    protected TeamService team;

    @Autowired
    protected JdbcTemplate sql;

    @Autowired
    protected StillClock clock;

    @Autowired
    protected JsonMapper json;

    @Autowired
    private WireSources sources;

    /** A message as it is kept to go over the wire. */
    protected byte[] wire(UUID message) {
        return sources.read(message).orElseThrow();
    }

    protected Colleague signe;
    protected Colleague dov;
    protected Colleague petra;
    protected Colleague oriel;
    protected Colleague amos;

    @TestConfiguration
    static class StillTime {
        @Bean
        @Primary
        StillClock stillClock() {
            return new StillClock();
        }
    }

    /** Five people are let in for each test; nobody guesses the passwords of a test, so hashing them may be quick. */
    @TestConfiguration
    static class QuickPasswords {
        private static final int QUICKEST = 4;

        @Bean
        @Primary
        PasswordEncoder quickPasswords() {
            return new BCryptPasswordEncoder(QUICKEST);
        }
    }

    /** How the style looks that every database begins with; no test has changed it when it is first asked for. */
    private static String plainLook;

    /** Empties what a test before may have left, and lets the made-up team in. */
    @BeforeEach
    protected void startFromNothing() {
        if (plainLook == null) {
            plainLook = sql.queryForObject("select look from house_style where name = 'Plain'", String.class);
        }
        sql.execute("set referential_integrity false");
        for (String table : List.of(
                "record_list_look",
                "record_list_member",
                "record_list",
                "field_change_before",
                "field_change",
                "list_column",
                "colleague",
                "house",
                "failed_sign_in",
                "organisation",
                "contact",
                "lead",
                "deal",
                "deal_contact",
                "deal_line",
                "document",
                "email_address",
                "field_value",
                "feed",
                "folder_access",
                "folder_share",
                "team_member",
                "team",
                "signature_choice",
                "template_variant",
                "template",
                "template_version",
                "waved_note",
                "check_setting",
                "desk_presence",
                "record_picture",
                "picture",
                "kept_file",
                "import_part",
                "import_file",
                "import_match",
                "other_code",
                "kept_source_content",
                "kept_source",
                "content",
                "skipped_step",
                "reply_address",
                "test_inbox",
                "delivery_event",
                "person_summary",
                "record_place",
                "record_standing",
                "record_renewal",
                "search_word",
                "search_entry",
                "template_names",
                "template_words",
                "template_use",
                "template_favourite",
                "template_tag",
                "template_occasion",
                "template_test",
                "message_draft",
                "message_ignored",
                "message_pieces",
                "reader_choice_change",
                "reader_choice",
                "topic_refused",
                "topic_name",
                "topic",
                "mailing_deal",
                "mailing_look",
                "mailing_person",
                "mailing_tag",
                "mailing",
                "message_link",
                "message_page",
                "web_copy",
                "message_plan",
                "message_recipient",
                "do_not_email",
                "outgoing_message",
                "message_attempt",
                "history_entry",
                "demo_letter",
                "scheduled_tasks",
                "house_fact")) {
            sql.execute("delete from " + table);
        }
        sql.execute("delete from field_choice where (kind, field_name) in"
                + " (select kind, name from field_definition where column_name is null and not computed)");
        sql.execute(
                "delete from field_definition where column_name is null and not computed or section = 'House facts'");
        sql.update("delete from folder where id <> ?", FolderRights.EVERYONE);
        sql.update("update folder set shared = true where id = ?", FolderRights.EVERYONE);
        for (Object[] share : new Object[][] {{1, "EVERYBODY", null, "USE"}, {2, "ROLE", "KEEPER", "MANAGE"}}) {
            sql.update(
                    "insert into folder_share (position, shared_with, role, may, folder_id) values (?, ?, ?, ?, ?)",
                    share[0],
                    share[1],
                    share[2],
                    share[3],
                    FolderRights.EVERYONE);
        }
        sql.update("update mailing_rules set most = 500, per_hour = 200, per_day = 2000, look = false");
        sql.execute("delete from house_style_named");
        sql.execute("delete from house_style where name <> 'Plain'");
        sql.update(
                "update house_style set look = ?, usual = true, version = 1, folder_id = ?",
                plainLook,
                FolderRights.EVERYONE);
        sql.execute("update field_catalogue set revision = revision + 1");
        sql.execute("update revision set number = number + 1");
        sql.execute("set referential_integrity true");
        clock.setBack();
        House house = new House(
                "Brindlewing",
                "brindlewing.example",
                "+441632960100",
                "",
                "",
                "",
                "",
                "GB",
                "en",
                "Europe/London",
                "GBP");
        amos = team.setUp(house, colleague("Amos", Role.ADMINISTRATOR), PASSWORD);
        signe = team.add(colleague("Signe", Role.AGENT), PASSWORD);
        dov = team.add(colleague("Dov", Role.AGENT), PASSWORD);
        petra = team.add(colleague("Petra", Role.ASSISTANT), PASSWORD);
        oriel = team.add(colleague("Oriel", Role.KEEPER), PASSWORD);
    }

    private static Colleague colleague(String first, Role role) {
        return new Colleague(
                null,
                first.toLowerCase(java.util.Locale.ROOT) + "@brindlewing.example",
                first,
                "Tester",
                role,
                "",
                "",
                first + "\nBrindlewing",
                true);
    }

    /** Signs a request in. */
    protected static RequestPostProcessor as(Colleague colleague) {
        return SecurityMockMvcRequestPostProcessors.authentication(
                UsernamePasswordAuthenticationToken.authenticated(new SignedIn(colleague.id(), 0), null, List.of()));
    }

    /** A request with a body, signed in and with its token. */
    protected MockHttpServletRequestBuilder request(String method, String path, Object body, Colleague as) {
        MockHttpServletRequestBuilder request = MockMvcRequestBuilders.request(
                        org.springframework.http.HttpMethod.valueOf(method), path)
                .with(SecurityMockMvcRequestPostProcessors.csrf())
                .with(as(as));
        return body == null
                ? request
                : request.contentType(MediaType.APPLICATION_JSON).content(json.writeValueAsString(body));
    }

    /** Does a request and reads the answer, whatever its status. */
    protected JsonNode done(String method, String path, Object body, Colleague as) throws Exception {
        byte[] answer = mvc.perform(request(method, path, body, as))
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
        return answer.length == 0 ? json.createObjectNode() : json.readTree(answer);
    }

    /**
     * Adds a template, and puts it where everybody may use it once it is ready, and editors may change it; reads the answer,
     * whatever its status.
     */
    protected JsonNode added(Object draft, Colleague as) throws Exception {
        JsonNode made = done("POST", "/api/templates", draft, as);
        if (made.has("template")) {
            sql.update(
                    "update template set folder_id = ? where id = ? and folder_id is not null",
                    FolderRights.EVERYONE,
                    UUID.fromString(made.at("/template/id").asString()));
        }
        return made;
    }

    /** Uploads a file, and reads the answer, whatever its status. */
    protected JsonNode upload(String path, Map<String, String> parameters, byte[] file, Colleague as) throws Exception {
        MockHttpServletRequestBuilder request = MockMvcRequestBuilders.post(path)
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .content(file)
                .with(as(as))
                .with(SecurityMockMvcRequestPostProcessors.csrf());
        parameters.forEach(request::param);
        return json.readTree(mvc.perform(request).andReturn().getResponse().getContentAsByteArray());
    }

    /** Makes a contact with an address and returns its identifier. */
    protected UUID contact(String first, String last, String email) throws Exception {
        JsonNode made = done(
                "POST",
                "/api/records/contact",
                Map.of("values", Map.of("first_name", first, "last_name", last), "email", email),
                signe);
        return UUID.fromString(made.get("id").asString());
    }

    /** Changes a field of a contact. */
    protected void change(UUID contact, String field, String value) throws Exception {
        String path = "/api/records/contact/" + contact;
        int version = done("GET", path, null, signe).get("version").asInt();
        JsonNode changed = done("PATCH", path, Map.of("version", version, "values", Map.of(field, value)), signe);
        if (!changed.has("version")) {
            throw new IllegalStateException(changed.toString());
        }
    }

    /** Makes a template of Signe's and returns its identifier. */
    protected UUID template(String about, String subject, String body) throws Exception {
        JsonNode made = added(
                Map.of(
                        "name",
                        "A template",
                        "purpose",
                        "",
                        "about",
                        about,
                        "subject",
                        subject,
                        "previewText",
                        "",
                        "body",
                        body),
                signe);
        return UUID.fromString(made.get("template").get("id").asString());
    }

    /** Adds a template of Signe's own that nobody else sees. */
    protected UUID ownTemplate(String name, String purpose) throws Exception {
        Map<String, Object> draft = Map.of(
                "name", name, "purpose", purpose, "about", "CONTACT", "subject", "s", "previewText", "", "body", "b");
        return UUID.fromString(done("POST", "/api/templates", draft, signe)
                .get("template")
                .get("id")
                .asString());
    }

    /** Proves a plain draft about a contact for somebody, as Signe. */
    protected JsonNode proof(UUID contact, String subject, String body) throws Exception {
        return proof(contact, Map.of("about", "CONTACT", "subject", subject, "previewText", "", "body", body));
    }

    /** Proves a draft for somebody, as Signe. */
    protected JsonNode proof(UUID contact, Map<String, ?> draft) throws Exception {
        Map<String, Object> request = Map.of("draft", draft, "kind", "contact", "id", contact.toString());
        return done("POST", "/api/desk/proof", request, signe);
    }

    /** Proves a letter, or source, about a contact for somebody, as Signe. */
    protected JsonNode designed(UUID contact, String subject, String mode, String design) throws Exception {
        return proof(
                contact,
                Map.of(
                        "about",
                        "CONTACT",
                        "subject",
                        subject,
                        "previewText",
                        "",
                        "body",
                        "",
                        "mode",
                        mode,
                        "design",
                        design));
    }

    /** What a text of a proof reads like. */
    protected static String text(JsonNode part) {
        StringBuilder text = new StringBuilder();
        part.get("pieces").forEach(piece -> text.append(piece.get("text").asString()));
        return text.toString();
    }

    /** What a body comes out as for somebody. */
    protected String merged(UUID contact, String body) throws Exception {
        return text(proof(contact, "x", body).get("body"));
    }

    /** What a plain message says. */
    protected static Map<String, Object> words(String subject, String body) {
        return words(subject, body, List.of());
    }

    /** The same, with files. */
    protected static Map<String, Object> words(String subject, String body, List<UUID> files) {
        return Map.of(
                "name",
                "",
                "purpose",
                "",
                "about",
                "CONTACT",
                "mode",
                "PLAIN",
                "subject",
                subject,
                "previewText",
                "",
                "body",
                body,
                "files",
                files);
    }

    /**
     * A message to a contact as a browser sends it.
     *
     * @param template null for none
     * @param words null for what the template says
     */
    protected static Map<String, Object> message(UUID template, UUID person, Object words) {
        Map<String, Object> message = new HashMap<>();
        message.put("id", UUID.randomUUID().toString());
        message.put("template", template == null ? null : template.toString());
        message.put("kind", "contact");
        message.put("person", person.toString());
        message.put("words", words);
        return message;
    }
}
