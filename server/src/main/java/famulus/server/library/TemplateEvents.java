package famulus.server.library;

import famulus.server.platform.Events;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells the browsers of those who may see a template that something about it has changed. */
@Component
public class TemplateEvents {
    private final Events events;
    private final TemplateMapper mapper;
    private final TemplateRights rights;

    TemplateEvents(Events events, TemplateMapper mapper, TemplateRights rights) {
        this.events = events;
        this.mapper = mapper;
        this.rights = rights;
    }

    /** What it says, or how far it is. */
    public void changed(UUID id) {
        tell("template", id);
    }

    /** Who has it on the desk. */
    void presence(UUID id) {
        tell("presence", id);
    }

    private void tell(String what, UUID id) {
        mapper.byId(id, true).ifPresent(template -> {
            if (template.kind().wraps() && template.readyVersion() != null) {
                events.tell(what, id.toString());
            } else {
                events.tellThese(what, id.toString(), rights.seenBy(template));
            }
        });
    }
}
