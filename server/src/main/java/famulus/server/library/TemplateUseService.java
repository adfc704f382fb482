package famulus.server.library;

import java.time.Instant;
import java.util.UUID;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Service;

/**
 * Keeps how often each template was used, by each colleague, so that no list counts messages. Each method is called in the
 * transaction that writes the message.
 */
@Service
public class TemplateUseService {
    private final TemplateUseMapper mapper;

    TemplateUseService(TemplateUseMapper mapper) {
        this.mapper = mapper;
    }

    /** Keeps that somebody wrote a message from a template. */
    public void used(UUID template, UUID colleague, Instant at) {
        if (mapper.again(template, colleague, at) > 0) {
            return;
        }
        try {
            mapper.first(template, colleague, at);
        } catch (DuplicateKeyException both) {
            // Another message of theirs was the first one at the same moment.
            mapper.again(template, colleague, at);
        }
    }

    /** Keeps that somebody had a version of a template sent as a test. */
    public void tested(UUID template, int version, UUID by, Instant at) {
        mapper.tested(template, version, at, by);
    }
}
