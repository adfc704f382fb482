package famulus.bench;

import java.io.IOException;
import java.util.Locale;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Fills a running demo up to 10,000 contacts over its API, and measures what is asked about all of them: stress proofs,
 * a field's profile, a condition. Argument: the demo's address. Writes one line for each.
 */
public final class PeopleBench {
    private static final int PEOPLE = 10_000;
    private static final int TURNS = 5;
    private static final String DRAFT =
            """
            {"draft": {"about": "CONTACT", "subject": "For {person.first_name else \\"you\\"}", "previewText": "", "body":
             "{person.greeting}, {when contact.crop is \\"apple\\"}apples{otherwise when contact.crop is \\"pear\\"}pears\
            {otherwise}{contact.crop else \\"fruit\\"}{end} on {contact.hectares else \\"your\\"} hectares, blossom from \
            {contact.blossom_starts as long date else nothing}, {when contact.water_on_site is no}water{end} \
            {organisation.town else nothing} {deal.name else nothing} {contact.variety_mix else \\"?\\"}"}}
            """;

    private final DemoClient demo;

    private PeopleBench(String address) {
        this.demo = new DemoClient(address);
    }

    /** Runs the measurements. */
    public static void main(String[] arguments) throws IOException, InterruptedException {
        PeopleBench bench = new PeopleBench(arguments[0]);
        bench.demo.signIn("Signe");
        bench.fill();
        bench.measure("stress proofs from all of them", "POST", "/api/desk/stress", DRAFT);
        bench.measure("what a field holds", "GET", "/api/desk/profile?about=CONTACT&path=contact.variety_mix", "");
        bench.measure(
                "for how many a condition holds",
                "POST",
                "/api/desk/condition",
                """
                {"about": "CONTACT", "written":
                 "contact.crop is \\"apple\\" and contact.blossom_starts is within the next 30 days"}
                """);
        bench.measure("the first lines of the list", "GET", "/api/records/contact?most=100", "");
    }

    private void fill() throws IOException, InterruptedException {
        Random random = new Random(4);
        Matcher total =
                Pattern.compile("\"total\":(\\d+)").matcher(demo.send("GET", "/api/records/contact?most=1", ""));
        int there = total.find() ? Integer.parseInt(total.group(1)) : 0;
        String[] crops = {"apple", "pear", "cherry", "almond"};
        for (int i = there; i < PEOPLE; i++) {
            String first = random.nextInt(10) == 0 ? "" : "\"first_name\": \"Grower " + random.nextInt(500) + "\", ";
            String blossom = random.nextInt(8) == 0
                    ? ""
                    : "\"blossom_starts\": \"2026-0" + (4 + random.nextInt(3)) + "-" + (10 + random.nextInt(18))
                            + "\", ";
            demo.send(
                    "POST",
                    "/api/records/contact",
                    "{\"email\": \"grower" + i + "@many.example\", \"values\": {" + first + blossom + "\"crop\": \""
                            + crops[random.nextInt(crops.length)] + "\", \"hectares\": \"" + random.nextInt(90)
                            + "\", \"last_name\": \"Number " + i + "\"}}");
        }
    }

    private void measure(String what, String method, String path, String body)
            throws IOException, InterruptedException {
        long best = Long.MAX_VALUE;
        long first = 0;
        for (int turn = 0; turn < TURNS; turn++) {
            long began = System.nanoTime();
            demo.send(method, path, body);
            long took = (System.nanoTime() - began) / 1_000_000;
            first = turn == 0 ? took : first;
            best = Math.min(best, took);
        }
        System.out.printf(Locale.ROOT, "with %d contacts, %s: first %d ms, then %d ms%n", PEOPLE, what, first, best);
    }
}
