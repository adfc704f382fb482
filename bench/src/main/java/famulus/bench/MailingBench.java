package famulus.bench;

import famulus.core.field.About;
import famulus.core.merge.Merger;
import famulus.core.message.MessageSource;
import famulus.server.Famulus;
import famulus.server.desk.ProofService;
import famulus.server.desk.ProofService.Proof;
import famulus.server.desk.RenderingService;
import famulus.server.library.Draft;
import famulus.server.library.DraftReader;
import famulus.server.library.TemplateService;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * A mailing of a designed message of 40 blocks to 500 people: how soon what they get is read, against rendering it alone; and how
 * many messages a second it hands to a mail server that answers after 5 ms, against the same bytes pushed over as many connections.
 * The argument is an empty folder for its data.
 */
public final class MailingBench {
    private static final int PEOPLE = 500;
    private static final int AT_ONCE = 3;
    private static final int TURNS = 5;
    private static final JsonMapper JSON = new JsonMapper();

    private final ConfigurableApplicationContext application;
    private final DemoClient amos;
    private final SlowSink sink;

    private MailingBench(ConfigurableApplicationContext application, DemoClient amos, SlowSink sink) {
        this.application = application;
        this.amos = amos;
        this.sink = sink;
    }

    /** Runs the measurement; writes four lines. */
    public static void main(String[] arguments) throws Exception {
        try (SlowSink sink = new SlowSink();
                ConfigurableApplicationContext application = SpringApplication.run(
                        Famulus.class,
                        "--server.port=0",
                        "--famulus.data=" + arguments[0],
                        "--famulus.public-address=http://localhost:8080/",
                        "--famulus.take-back-seconds=0",
                        "--spring.mail.host=127.0.0.1",
                        "--spring.mail.port=" + sink.port(),
                        "--spring.mail.properties.mail.smtp.auth=false",
                        "--spring.mail.properties.mail.smtp.starttls.enable=false",
                        "--spring.mail.properties.mail.smtp.starttls.required=false")) {
            int port =
                    ((WebServerApplicationContext) application).getWebServer().getPort();
            new MailingBench(application, new DemoClient("http://localhost:" + port), sink).run();
        }
    }

    private JsonNode ask(String method, String path, Object body) throws IOException, InterruptedException {
        String answer = amos.send(method, path, body == null ? "" : JSON.writeValueAsString(body));
        return answer.isEmpty() ? JSON.createObjectNode() : JSON.readTree(answer);
    }

    private void run() throws Exception {
        List<String> people = company();
        String template =
                ask("POST", "/api/templates", designed()).at("/template/id").asString();
        String id = mailing(template, people);
        previews(id);
        bare(UUID.fromString(template), people);
        send(id, "the first mailing");
        // What sends is warm by now, as what reads was.
        send(mailing(template, people), "the second mailing");
    }

    private String mailing(String template, List<String> people) throws IOException, InterruptedException {
        String id = ask("POST", "/api/mailings", Map.of("name", "Forty blocks"))
                .get("id")
                .asString();
        ObjectNode plan = (ObjectNode) ask("GET", "/api/mailings/" + id, null).get("plan");
        plan.withObject("who").putPOJO("people", people).put("restDays", 0);
        plan.withObject("what").put("template", template);
        ask("PUT", "/api/mailings/" + id, Map.of("version", 1, "name", "Forty blocks", "plan", plan));
        return id;
    }

    private static Map<String, Object> designed() {
        Map<String, Object> draft = new HashMap<>(Map.of(
                "name",
                "Forty blocks",
                "purpose",
                "",
                "about",
                "CONTACT",
                "subject",
                "Hives",
                "previewText",
                "Soon",
                "body",
                ""));
        draft.put("mode", "DESIGNED");
        draft.put("design", TypingBench.designed());
        return draft;
    }

    private List<String> company() throws Exception {
        ask("GET", "/api/session", null);
        ask(
                "POST",
                "/api/first-run",
                Map.of(
                        "houseName",
                        "Brindlewing",
                        "firstName",
                        "Amos",
                        "lastName",
                        "Quill",
                        "email",
                        "amos@brindlewing.example",
                        "password",
                        "a long enough one",
                        "country",
                        "GB",
                        "timeZone",
                        "Europe/London",
                        "currency",
                        "GBP"));
        ask("GET", "/api/session", null);
        ObjectNode company = (ObjectNode) ask("GET", "/api/company", null).get("details");
        ask("PUT", "/api/company", company.put("street", "Lower Mill").put("town", "Hollinbrook"));
        ask("PUT", "/api/mailings/rules", Map.of("most", PEOPLE, "perHour", 50_000, "perDay", 50_000, "look", false));
        List<String> people = new ArrayList<>();
        for (int i = 0; i < PEOPLE; i++) {
            people.add(ask(
                            "POST",
                            "/api/records/contact",
                            Map.of(
                                    "values",
                                    Map.of("first_name", "Ines", "last_name", "Okafor " + i),
                                    "email",
                                    "ines" + i + "@larkfield.example"))
                    .get("id")
                    .asString());
        }
        return people;
    }

    /** The first turns warm up what reads. */
    private void previews(String id) throws Exception {
        double first = 0;
        double all = 0;
        for (int turn = 0; turn < TURNS; turn++) {
            first = amos.untilLine("POST", "/api/mailings/" + id + "/previews", "", "\"row\":{");
            all = amos.untilLine("POST", "/api/mailings/" + id + "/previews", "", "\"whole\":[");
        }
        System.out.printf(
                Locale.ROOT, "previews of %d: the first row after %.0f ms, all after %.0f ms%n", PEOPLE, first, all);
    }

    /** Merged and rendered, with nothing read, checked or gathered. */
    private void bare(UUID template, List<String> people) {
        Colleague sender = application.getBean(TeamService.class).all().getFirst();
        Draft draft = Draft.of(application.getBean(TemplateService.class).get(template, sender));
        MessageSource source = application.getBean(DraftReader.class).source(draft);
        List<For> to = people.stream()
                .map(one -> new For(CrmKind.CONTACT, UUID.fromString(one), null))
                .toList();
        List<Proof> proofs = application.getBean(ProofService.class).proofs(source, About.CONTACT, to, sender);
        RenderingService renderings = application.getBean(RenderingService.class);
        double took = 0;
        for (int turn = 0; turn < TURNS; turn++) {
            long began = System.nanoTime();
            int length = 0;
            for (Proof proof : proofs) {
                Merger merger = new Merger(proof.person().settings(proof.at()));
                length += proof.program()
                        .merge(merger, proof.person().context())
                        .subject()
                        .text()
                        .length();
                length += renderings.mail(proof, "Hives").orElseThrow().html().length();
            }
            took = (System.nanoTime() - began) / 1e6;
            if (length == 0) {
                throw new IllegalStateException("Nothing was rendered");
            }
        }
        System.out.printf(Locale.ROOT, "bare rendering of the same %d: %.0f ms%n", PEOPLE, took);
    }

    private void send(String id, String called) throws Exception {
        String me = ask("GET", "/api/session", null).at("/who/id").asString();
        ask("POST", "/api/mailings/" + id + "/tests", Map.of("keys", List.of(), "to", List.of(me), "list", false));
        until(1);
        sink.clear();
        long began = System.nanoTime();
        ask("POST", "/api/mailings/" + id + "/start", Map.of("version", 2, "people", PEOPLE));
        double started = (System.nanoTime() - began) / 1e6;
        until(PEOPLE);
        double mailing = sink.perSecond();
        List<byte[]> messages = sink.taken();
        double bare = 0;
        for (int turn = 0; turn < TURNS; turn++) {
            sink.clear();
            push(messages);
            bare = sink.perSecond();
        }
        System.out.printf(
                Locale.ROOT,
                "%s of %d: started in %.0f ms, %.0f messages a second; the same bytes over %d connections %.0f; ratio"
                        + " %.2f%n",
                called,
                PEOPLE,
                started,
                mailing,
                AT_ONCE,
                bare,
                mailing / bare);
    }

    private void until(int number) throws InterruptedException {
        while (sink.number() < number) {
            TimeUnit.MILLISECONDS.sleep(2);
        }
    }

    private void push(List<byte[]> messages) throws Exception {
        AtomicInteger next = new AtomicInteger();
        List<Future<?>> all = new ArrayList<>();
        try (ExecutorService hands = Executors.newFixedThreadPool(AT_ONCE)) {
            for (int i = 0; i < AT_ONCE; i++) {
                all.add(hands.submit(() -> {
                    push(messages, next);
                    return null;
                }));
            }
            for (Future<?> one : all) {
                one.get();
            }
        }
    }

    private void push(List<byte[]> messages, AtomicInteger next) throws IOException {
        try (Socket line = new Socket(InetAddress.getLoopbackAddress(), sink.port());
                BufferedReader in =
                        new BufferedReader(new InputStreamReader(line.getInputStream(), StandardCharsets.US_ASCII))) {
            line.setTcpNoDelay(true);
            OutputStream out = line.getOutputStream();
            in.readLine();
            for (int at = next.getAndIncrement(); at < messages.size(); at = next.getAndIncrement()) {
                for (String word : List.of("MAIL FROM:<a@b.example>", "RCPT TO:<c@d.example>", "DATA")) {
                    out.write((word + "\r\n").getBytes(StandardCharsets.US_ASCII));
                    in.readLine();
                }
                out.write(messages.get(at));
                out.write(".\r\n".getBytes(StandardCharsets.US_ASCII));
                in.readLine();
            }
        }
    }
}
