package famulus.server.team;

import famulus.server.platform.Events;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The stream of changes. */
@RestController
class EventsController {
    private final Events events;

    EventsController(Events events) {
        this.events = events;
    }

    @GetMapping(path = "/api/events", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter events(Colleague asking) {
        return events.open(asking.id());
    }
}
