package famulus.server.platform;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Answers every address of the interface with its one page; the browser then shows what the address names. */
@Controller
class DeepLinks {
    @GetMapping({
        "/sign-in",
        "/welcome",
        "/today",
        "/people/**",
        "/deals/**",
        "/templates/**",
        "/mailings/**",
        "/outbox/**",
        "/demo-inboxes/**",
        "/team/**",
        "/company/**",
        "/materials/**",
        "/profile"
    })
    String page() {
        return "forward:/index.html";
    }
}
