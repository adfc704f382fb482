package famulus.bench;

import java.io.IOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Asks a running demo for what its screens ask, each twenty times, a record changed before each, and keeps the 95th
 * percentile. Arguments: {@code list} and the demo's address, to wait until it has listed all records; {@code ask}, the demo's address, the file to keep the times in and perhaps a pattern, for what has it
 * to be asked alone; or {@code table} and two such files, of a small and of a large database, to print them side by side.
 */
public final class ScaleBench {
    private static final int TIMES = 20;
    private static final int WARM = 8;
    private static final int MOST_MS = 1_000;
    private static final int ALWAYS_FINE_MS = 50;
    private static final int SMALL_MS = 25;
    private static final int ESTIMATE_MS = 200;
    private static final int AUDIENCE = 500;
    private static final int AUDIENCE_MS = 500;

    /** What is linear by nature: estimated at once, or the first lines of it. */
    private static final Pattern ESTIMATED = Pattern.compile(
            "condition: .*|list of contacts whose .*|what a (deal’s )?field holds|hard cases.*: the first ones|.*how many have .*");
    /** What follows on an estimate, line by line, with how far it is. */
    private static final Pattern FOLLOWS = Pattern.compile(
            "counted(?: in a list)?: .*|found in a list: .*|hard cases: all|what a field holds, of everybody");

    private static final int WARM_UP = 100;
    private static final int PAUSE_MS = 500;
    private static final String NOT_REACHED = "not reached";
    private static final String[] NOT_ASKED = {"", "0", "0"};

    /** What contacts are asked for: of all kinds of fields, and from hardly anybody to nearly everybody. */
    private static final List<String> CONDITIONS = List.of(
            "history.times_written is more than 3",
            "history.last_written is within the last 30 days",
            "deal.stage is \"quoted\"",
            "contact.crop is \"apple\" and contact.blossom_starts is within the next 30 days",
            "organisation.country is \"Germany\" or not (contact.first_name is filled)",
            "contact.job_title contains \"grow\"",
            "owner.first_name is \"Oriel\"",
            "contact.hectares is at least 20",
            "deal.value is more than 5000 and not (history.replied is yes)",
            "contact.language is \"French\"",
            "contact.permission_on is more than 400 days ago",
            "organisation.name starts with \"M\"");

    private static final List<String> KINDS = List.of("contact", "lead", "deal", "organisation");

    private final DemoClient demo;
    private final Map<String, List<Double>> took = new LinkedHashMap<>();
    private final Random random = new Random(5);

    private final Pattern only;

    private ScaleBench(String address, String only) {
        this.demo = new DemoClient(address);
        this.only = Pattern.compile(only);
    }

    /** Asks, or prints the table. */
    public static void main(String[] arguments) throws IOException, InterruptedException {
        if (arguments[0].equals("table")) {
            table(Path.of(arguments[1]), Path.of(arguments[2]));
            return;
        }
        ScaleBench bench = new ScaleBench(arguments[1], arguments.length > 3 ? arguments[3] : "");
        bench.demo.signIn("Signe");
        bench.untilListed();
        if (arguments[0].equals("list")) {
            return;
        }
        bench.warmUp();
        try {
            bench.askAll();
        } finally {
            // What has been asked by then took its time, whatever the rest of it came to.
            bench.keep(Path.of(arguments[2]));
        }
    }

    /** Until the application has given every record its places and words. */
    private void untilListed() throws IOException, InterruptedException {
        long began = System.nanoTime();
        while (!listed()) {
            Thread.sleep(2_000);
        }
        System.out.printf(Locale.ROOT, "records listed after %d s more%n", (System.nanoTime() - began) / 1_000_000_000);
    }

    private boolean listed() throws IOException, InterruptedException {
        for (String kind : KINDS) {
            int all = number("total", get("/api/records/" + kind + "?most=1"));
            if (ids(get("/api/records/" + kind + "?most=1&from=" + (all - 1))).isEmpty()) {
                return false;
            }
        }
        return true;
    }

    /** A program that has just been started is slower for its first hundreds of answers. */
    private void warmUp() throws IOException, InterruptedException {
        for (String kind : KINDS) {
            int total = number("total", get("/api/records/" + kind + "?most=1"));
            for (int i = 0; i < WARM_UP; i++) {
                get("/api/records/" + kind + "?most=50&from=" + random.nextInt(total));
            }
        }
    }

    private void askAll() throws IOException, InterruptedException {
        for (String kind : KINDS) {
            int total = number("total", get("/api/records/" + kind + "?most=1"));
            ask(kind + "s: first page", () -> "/api/records/" + kind + "?most=50");
            ask(kind + "s: last page", () -> "/api/records/" + kind + "?most=50&from=" + (total - 50));
            ask(kind + "s: anywhere", () -> "/api/records/" + kind + "?most=50&from=" + random.nextInt(total));
            for (String column : columns(kind)) {
                ask(kind + "s by " + column, () -> "/api/records/" + kind + "?most=50&sort=" + column);
                ask(
                        kind + "s by " + column + ", descending, anywhere",
                        () -> "/api/records/" + kind + "?most=50&descending=true&sort=" + column + "&from="
                                + random.nextInt(total));
            }
            for (String search : List.of("a", "mill", "ka ma", "xyz", "%", "_", "  ", "x".repeat(1000))) {
                ask(
                        "find " + kind + "s: " + (search.length() > 20 ? "1,000 characters" : "“" + search + "”"),
                        () -> "/api/records/" + kind + "?most=50&search="
                                + URLEncoder.encode(search, StandardCharsets.UTF_8));
            }
        }
        ask("record finder: organisations", () -> "/api/records/organisation?most=7&search=la");
        String known = ids(get("/api/records/contact?most=1&sort=written&descending=true"))
                .getFirst();
        String most = text("id", get("/api/records/contact?most=1&sort=written&descending=true"));
        List<String> some = ids(get("/api/records/contact?most=100&from=200"));
        ask("a contact’s page", () -> "/api/records/contact/" + some.get(random.nextInt(some.size())));
        ask("the page of whoever was written to most", () -> "/api/records/contact/" + most);
        List<String> deals = ids(get("/api/records/deal?most=100&from=100"));
        ask("a deal’s page", () -> "/api/records/deal/" + deals.get(random.nextInt(deals.size())));
        String largest = ids(get("/api/records/organisation?most=1&sort=people&descending=true"))
                .getFirst();
        ask("the page of the largest organisation", () -> "/api/records/organisation/" + largest);
        List<String> organisations = ids(get("/api/records/organisation?most=100&from=30"));
        ask(
                "an organisation’s page",
                () -> "/api/records/organisation/" + organisations.get(random.nextInt(organisations.size())));

        ask("the first steps on Today", () -> "/api/today/first-hour");
        ask("templates: first page", () -> "/api/templates");
        String afterSome = lastId(get("/api/templates"));
        ask("templates: a page further on", () -> "/api/templates?after=" + afterSome);
        for (String search : List.of("a", "call", "after the", "xyz")) {
            ask("find templates: “" + search + "”", () -> "/api/templates?search=" + search.replace(" ", "%20"));
        }
        ask("find templates with a slip", () -> "/api/templates?search=plcaement");
        ask("templates by most used", () -> "/api/templates?order=USED");
        ask("templates nobody has used", () -> "/api/templates?unused=true");
        ask("folders of templates", () -> "/api/folders");
        ask("chooser of templates", () -> "/api/templates/fitting?about=CONTACT");
        ask("chooser of templates: “call”", () -> "/api/templates/fitting?about=CONTACT&search=call");
        ask("templates that use a field", () -> "/api/templates/using?kind=contact&field=first_name");
        String template = text("id", get("/api/templates?search=call"));
        ask("a template on the desk", () -> "/api/templates/" + template);

        for (String about : List.of("CONTACT", "LEAD", "DEAL", "PERSON")) {
            ask("desk: first person, " + about.toLowerCase(Locale.ROOT), () -> "/api/desk/people/step?about=" + about);
            String from = stepId(about, get("/api/desk/people/step?about=" + about));
            ask(
                    "desk: next person, " + about.toLowerCase(Locale.ROOT),
                    () -> "/api/desk/people/step?about=" + about + "&from=" + from);
            ask(
                    "desk: find a person, " + about.toLowerCase(Locale.ROOT),
                    () -> "/api/desk/people?about=" + about + "&search=ma");
        }
        ask("field finder", () -> "/api/desk/fields?about=CONTACT&kind=contact&id=" + known);
        ask("field finder: how many have each field", () -> "/api/desk/filled?about=CONTACT");
        ask("what a field holds", () -> "/api/desk/profile?about=CONTACT&path=contact.job_title");
        ask("what a deal’s field holds", () -> "/api/desk/profile?about=DEAL&path=deal.value");
        for (String condition : CONDITIONS) {
            String body = "{\"about\": \"CONTACT\", \"written\": \"" + condition.replace("\"", "\\\"") + "\"}";
            send("condition: " + condition, "POST", "/api/desk/condition", body);
            whole("counted: " + condition, "/api/desk/condition/exact", body);
            String where = "where=" + URLEncoder.encode(condition, StandardCharsets.UTF_8);
            String list = "/api/lists/records/contact?most=50&" + where;
            ask("list of contacts whose " + condition, () -> list + "&soon=true");
            if (get(list + "&soon=true").contains("\"sought\":true")) {
                ask("found in a list: " + condition, () -> list);
            }
            ask("counted in a list: " + condition, () -> "/api/lists/records/contact/count?" + where);
        }
        for (String kind : List.of("contact", "deal")) {
            send(
                    "who gets it, and why others don’t: " + AUDIENCE + " " + kind + "s",
                    "POST",
                    "/api/messages/many/audience",
                    meant(kind));
        }
        first("hard cases: the first ones", "/api/desk/stress", DRAFT);
        first("hard cases of deals: the first ones", "/api/desk/stress", DRAFT.replace("CONTACT", "DEAL"));
        whole("hard cases: all", "/api/desk/stress", DRAFT);
        whole("what a field holds, of everybody", "/api/desk/profile/exact", PROFILE);
        ask("outbox", () -> "/api/outbox");
        ask("outbox: what waits", () -> "/api/outbox/count");
        String before = lastId(get("/api/outbox"));
        ask("outbox: a page further on", () -> "/api/outbox?before=" + before);
        ask("the demo inboxes", () -> "/api/demo-inboxes");
    }

    private static final String PROFILE = "{\"about\": \"CONTACT\", \"path\": \"contact.job_title\"}";
    private static final String DRAFT =
            """
            {"draft": {"about": "CONTACT", "subject": "For {person.first_name else \\"you\\"}", "previewText": "", "body":
             "{person.greeting}, {when contact.crop is \\"apple\\"}apples{otherwise}{contact.crop else \\"fruit\\"}{end} on \
            {contact.hectares else \\"your\\"} hectares {organisation.town else nothing} {deal.name else nothing}"}}
            """;

    /** Some from anywhere, to whom nobody is to have written in a month. */
    private String meant(String kind) throws IOException, InterruptedException {
        List<String> ids = new ArrayList<>();
        for (int from = 0; from < 5 * AUDIENCE && ids.size() < AUDIENCE; from += AUDIENCE / 2) {
            ids.addAll(ids(get("/api/records/" + kind + "?most=100&sort=owner&from=" + from)));
        }
        return """
                {"choice": {"kind": "%s", "all": false, "ids": ["%s"], "narrowed": {"search": "", "where": "", "list": null,
                 "minus": null, "deals": null, "role": null}}, "minus": null, "restDays": 30, "topic": null, "putBack": []}
                """
                .formatted(kind, String.join("\", \"", ids.subList(0, Math.min(AUDIENCE, ids.size()))));
    }

    private List<String> columns(String kind) throws IOException, InterruptedException {
        List<String> columns = new ArrayList<>();
        String window = get("/api/records/" + kind + "?most=1");
        Matcher column = Pattern.compile("\\{\"name\":\"([a-z_]+)\",\"label\"").matcher(window);
        while (column.find()) {
            columns.add(column.group(1));
        }
        return columns;
    }

    @FunctionalInterface
    private interface Asked {
        String path();
    }

    /** In how many turns something is asked. */
    private int turns(String what, int turns) {
        return only.matcher(what).find() ? turns : Integer.MIN_VALUE;
    }

    private void ask(String what, Asked path) throws IOException, InterruptedException {
        for (int turn = -WARM; turn < turns(what, TIMES); turn++) {
            measure(what, "GET", path.path(), "", turn);
        }
    }

    /** How long it takes until an answer of several lines has said something. */
    private void first(String what, String path, String body) throws IOException, InterruptedException {
        for (int turn = -WARM; turn < turns(what, TIMES); turn++) {
            change();
            // What the last turn still had on its way when its answer was left has to come to its end first.
            Thread.sleep(PAUSE_MS);
            double ms = demo.untilLine("POST", path, body, "\"proofs\"");
            if (turn >= 0) {
                took.computeIfAbsent(what, any -> new ArrayList<>()).add(ms);
            }
        }
    }

    /** What is linear by nature, a few times. */
    private void whole(String what, String path, String body) throws IOException, InterruptedException {
        for (int turn = -1; turn < turns(what, 3); turn++) {
            measure(what, "POST", path, body, turn);
        }
    }

    private void send(String what, String method, String path, String body) throws IOException, InterruptedException {
        for (int turn = -WARM; turn < turns(what, TIMES); turn++) {
            measure(what, method, path, body, turn);
        }
    }

    private void measure(String what, String method, String path, String body, int turn)
            throws IOException, InterruptedException {
        change();
        long began = System.nanoTime();
        demo.send(method, path, body);
        if (turn >= 0) {
            took.computeIfAbsent(what, any -> new ArrayList<>()).add((System.nanoTime() - began) / 1e6);
        }
    }

    private String changed;

    /** Changes a record, so that nothing read before is good any more. */
    private void change() throws IOException, InterruptedException {
        if (changed == null) {
            changed = ids(get("/api/records/contact?most=1")).getFirst();
        }
        int version = number("version", get("/api/records/contact/" + changed));
        demo.send(
                "PATCH",
                "/api/records/contact/" + changed,
                "{\"version\": " + version + ", \"values\": {\"job_title\": \"number " + random.nextInt(1000) + "\"}}");
    }

    private String get(String path) throws IOException, InterruptedException {
        return demo.send("GET", path, "");
    }

    private static int number(String name, String json) {
        Matcher number = Pattern.compile("\"" + name + "\":(-?\\d+)").matcher(json);
        return number.find() ? Integer.parseInt(number.group(1)) : -1;
    }

    private static String text(String name, String json) {
        Matcher text = Pattern.compile("\"" + name + "\":\"([^\"]+)\"").matcher(json);
        if (!text.find()) {
            throw new IllegalStateException("No " + name + " in " + json.substring(0, Math.min(300, json.length())));
        }
        return text.group(1);
    }

    private static List<String> ids(String json) {
        List<String> ids = new ArrayList<>();
        Matcher id = Pattern.compile("\"id\":\"([^\"]+)\"").matcher(json);
        while (id.find()) {
            ids.add(id.group(1));
        }
        return ids;
    }

    private static String lastId(String json) {
        return ids(json).getLast();
    }

    /** Of a template about deals one steps from deal to deal. */
    private static String stepId(String about, String json) {
        return about.equals("DEAL") ? text("dealId", json) : text("id", json);
    }

    private void keep(Path file) throws IOException {
        List<String> lines = new ArrayList<>();
        took.forEach((what, times) ->
                lines.add(what + "\t" + String.format(Locale.ROOT, "%.1f\t%.1f", at(times, 50), at(times, 95))));
        Files.write(file, lines);
    }

    private static double at(List<Double> times, int percent) {
        double[] sorted =
                times.stream().mapToDouble(Double::doubleValue).sorted().toArray();
        return sorted[Math.clamp((long) Math.ceil(sorted.length * percent / 100.0) - 1, 0, sorted.length - 1)];
    }

    private static void table(Path small, Path large) throws IOException {
        Map<String, String[]> before = read(small);
        int missed = 0;
        System.out.println("| what | small, ms | large, ms | |");
        System.out.println("| --- | --- | --- | --- |");
        for (Map.Entry<String, String[]> line : read(large).entrySet()) {
            // What is found at once among few is not sought there.
            String[] few = before.getOrDefault(line.getKey(), NOT_ASKED);
            double one = Double.parseDouble(few[2]);
            double hundred = Double.parseDouble(line.getValue()[2]);
            String verdict = verdict(line.getKey(), one, hundred);
            missed += verdict.equals(NOT_REACHED) ? 1 : 0;
            System.out.printf(
                    Locale.ROOT,
                    "| %s | %s (%s) | %s (%s) | %s |%n",
                    line.getKey(),
                    few[2],
                    few[1],
                    line.getValue()[2],
                    line.getValue()[1],
                    verdict);
        }
        System.out.println("95th percentile of " + TIMES + ", in brackets the median; not reached: " + missed);
    }

    private static String verdict(String what, double small, double large) {
        if (FOLLOWS.matcher(what).matches()) {
            return "follows";
        }
        if (what.startsWith("who gets it")) {
            return large < AUDIENCE_MS ? "within 500 ms" : NOT_REACHED;
        }
        boolean reached = large <= MOST_MS && (large <= 2 * small || (small < SMALL_MS && large < ALWAYS_FINE_MS));
        if (ESTIMATED.matcher(what).matches()) {
            return reached || large < ESTIMATE_MS ? "at once" : NOT_REACHED;
        }
        return reached ? "" : NOT_REACHED;
    }

    private static Map<String, String[]> read(Path file) throws IOException {
        Map<String, String[]> lines = new LinkedHashMap<>();
        for (String line : Files.readAllLines(file)) {
            String[] parts = line.split("\t");
            lines.put(parts[0], parts);
        }
        return lines;
    }
}
