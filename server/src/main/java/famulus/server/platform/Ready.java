package famulus.server.platform;

import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Prints the address once the application answers. */
@Component
class Ready {
    private final FamulusProperties properties;

    Ready(FamulusProperties properties) {
        this.properties = properties;
    }

    @EventListener
    void ready(ApplicationReadyEvent event) {
        if (event.getApplicationContext() instanceof WebServerApplicationContext web && web.getWebServer() != null) {
            String what = properties.demo() ? "The demo is" : "Famulus is";
            System.out.println(
                    what + " ready at http://localhost:" + web.getWebServer().getPort());
        }
    }
}
