package famulus.server.platform;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import tools.jackson.databind.json.JsonMapper;

/**
 * An answer that comes a line at a time, each a JSON value, while the work it is about goes on. A line that can't be written any
 * more fails, and so ends the work: whoever asked has gone.
 */
public final class ProgressLines {
    /** What such an answer is. */
    public static final String TYPE = "application/x-ndjson";

    private final HttpServletResponse response;
    private final JsonMapper json;
    private boolean begun;

    /** Begins an answer; until its first line it can still be another one. */
    public ProgressLines(HttpServletResponse response, JsonMapper json) {
        this.response = response;
        this.json = json;
    }

    /** Whether a line has been written. */
    public boolean begun() {
        return begun;
    }

    /**
     * Writes a line.
     *
     * @throws UncheckedIOException when nobody reads it any more
     */
    public void line(Object value) {
        try {
            if (!begun) {
                response.setContentType(TYPE);
                begun = true;
            }
            response.getOutputStream().write((json.writeValueAsString(value) + "\n").getBytes(StandardCharsets.UTF_8));
            response.flushBuffer();
        } catch (IOException gone) {
            throw new UncheckedIOException(gone);
        }
    }
}
