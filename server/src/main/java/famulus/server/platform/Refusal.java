package famulus.server.platform;

import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.http.HttpStatus;

/** A request that can't be done, with a sentence for the person who asked. Nothing has been changed. */
public class Refusal extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final HttpStatus status;
    private final String code;
    private final transient Map<String, String> fields;

    private Refusal(HttpStatus status, String code, String sentence, Map<String, String> fields) {
        super(sentence);
        this.status = status;
        this.code = code;
        this.fields = Map.copyOf(fields);
    }

    /** Fields hold what they can't hold; {@code fields} has a sentence for each. */
    public static Refusal fields(Map<String, String> fields) {
        String first = fields.isEmpty() ? "" : fields.values().iterator().next();
        return new Refusal(HttpStatus.UNPROCESSABLE_CONTENT, "fields", first, new LinkedHashMap<>(fields));
    }

    /** One field holds what it can't hold. */
    public static Refusal field(String field, String sentence) {
        return fields(Map.of(field, sentence));
    }

    /** The thing asked for is not there. */
    public static Refusal missing(String what) {
        return new Refusal(HttpStatus.NOT_FOUND, "missing", what + " is missing.", Map.of());
    }

    /** The person may not do this. */
    public static Refusal forbidden(String sentence) {
        return new Refusal(HttpStatus.FORBIDDEN, "forbidden", sentence, Map.of());
    }

    /** Somebody else changed the thing meanwhile. */
    public static Refusal changedMeanwhile(String sentence) {
        return new Refusal(HttpStatus.CONFLICT, "changed-meanwhile", sentence, Map.of());
    }

    /** It can't be done as things are. */
    public static Refusal because(String code, String sentence) {
        return new Refusal(HttpStatus.UNPROCESSABLE_CONTENT, code, sentence, Map.of());
    }

    /** Too often. */
    public static Refusal tooOften(String sentence) {
        return new Refusal(HttpStatus.TOO_MANY_REQUESTS, "too-often", sentence, Map.of());
    }

    /** Nobody is signed in, or not as whom they say. */
    public static Refusal unknownPerson(String sentence) {
        return new Refusal(HttpStatus.UNAUTHORIZED, "sign-in", sentence, Map.of());
    }

    HttpStatus status() {
        return status;
    }

    String code() {
        return code;
    }

    /** Which fields, and a sentence for each. */
    public Map<String, String> fields() {
        return fields;
    }
}
