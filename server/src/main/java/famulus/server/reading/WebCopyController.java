package famulus.server.reading;

import famulus.server.reading.WebCopyService.WebCopy;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Links that show a message to whoever has them. */
@RestController
class WebCopyController {
    private final WebCopyService copies;

    WebCopyController(WebCopyService copies) {
        this.copies = copies;
    }

    /**
     * A link to be made.
     *
     * @param days for how many it shows the message as it was sent; null for one that shows nothing personal
     */
    record WantedCopy(@Schema(nullable = true) Integer days) {}

    @GetMapping("/api/messages/{id}/web-copies")
    List<WebCopy> copies(Colleague asking, @PathVariable UUID id) {
        return copies.of(id, asking);
    }

    @PostMapping("/api/messages/{id}/web-copies")
    WebCopy make(Colleague asking, @PathVariable UUID id, @RequestBody WantedCopy wanted) {
        return wanted.days() == null ? copies.forAnybody(id, asking) : copies.asSent(id, wanted.days(), asking);
    }

    @DeleteMapping("/api/web-copies/{id}")
    void close(Colleague asking, @PathVariable UUID id) {
        copies.close(id, asking);
    }
}
