package famulus.e2e.killed;

import famulus.e2e.killed.Visitor.Answer;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** A company with one person to write to, and messages to them sent through the API. */
final class SentThrough {
    private final Application application;
    private final UUID ines;

    private SentThrough(Application application, UUID ines) {
        this.application = application;
        this.ines = ines;
    }

    /** Makes the company; the application has to be up. */
    static SentThrough company(Application application) throws IOException {
        Visitor amos = new Visitor(application.address());
        amos.setUp();
        Answer made = amos.post(
                "/api/records/contact",
                Map.of(
                        "values",
                        Map.of("first_name", "Ines", "last_name", "Okafor"),
                        "email",
                        "ines@larkfield.example"));
        return new SentThrough(
                application, UUID.fromString(made.body().get("id").asString()));
    }

    Visitor signedIn() throws IOException {
        Visitor amos = new Visitor(application.address());
        amos.signIn();
        return amos;
    }

    Answer send(Visitor amos, UUID id) throws IOException {
        return send(amos, id, "The hives arrive soon.");
    }

    Answer send(Visitor amos, UUID id, String words) throws IOException {
        Map<String, Object> message = new HashMap<>();
        message.put("id", id.toString());
        message.put("kind", "contact");
        message.put("person", ines.toString());
        message.put("words", words("Hives for you", "Hello Ines,\n\n" + words + "\n\nAmos"));
        return amos.post("/api/messages", message);
    }

    /** What a plain message says. */
    static Map<String, Object> words(String subject, String body) {
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
                body);
    }

    /** The states of some messages, in their order. */
    static List<String> states(Visitor amos, List<UUID> ids) throws IOException {
        List<String> states = new ArrayList<>();
        for (UUID id : ids) {
            Answer row = amos.get("/api/messages/" + id);
            states.add(row.fine() ? row.body().get("state").asString() : Integer.toString(row.status()));
        }
        return states;
    }

    /** The line that the mail sink writes of a message. */
    static String line(UUID id) {
        return "<" + id + "@brindlewing.example> ines@larkfield.example";
    }
}
