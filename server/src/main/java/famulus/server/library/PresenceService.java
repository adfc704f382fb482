package famulus.server.library;

import famulus.server.team.Colleague;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Service;

/** Who has a template on the desk. A browser says so again and again; one that falls silent is gone after a while. */
@Service
public class PresenceService {
    private static final Duration SILENT = Duration.ofSeconds(50);

    private final PresenceMapper mapper;
    private final TemplateService templates;
    private final TemplateEvents events;
    private final Clock clock;

    PresenceService(PresenceMapper mapper, TemplateService templates, TemplateEvents events, Clock clock) {
        this.mapper = mapper;
        this.templates = templates;
        this.events = events;
        this.clock = clock;
    }

    /** Somebody has a template on the desk; returns the first names of the others who do. */
    public List<String> here(UUID id, Colleague who) {
        templates.get(id, who);
        Instant now = clock.instant();
        if (mapper.renew(id, who.id(), now) == 0) {
            try {
                mapper.come(id, who.id(), now);
            } catch (DuplicateKeyException cameTwice) {
                mapper.renew(id, who.id(), now);
            }
            events.presence(id);
        }
        return mapper.others(id, who.id(), now.minus(SILENT));
    }

    /** Somebody has put a template away. */
    public void leave(UUID id, Colleague who) {
        templates.get(id, who);
        mapper.leave(id, who.id());
        events.presence(id);
    }
}
