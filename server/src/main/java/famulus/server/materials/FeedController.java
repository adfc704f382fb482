package famulus.server.materials;

import famulus.server.team.Colleague;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Feeds. */
@RestController
@RequestMapping("/api/materials/feeds")
class FeedController {
    private final FeedService feeds;

    FeedController(FeedService feeds) {
        this.feeds = feeds;
    }

    /** A feed; {@code address} is empty for one that came as a file, {@code newest} the title of its newest entry. */
    record ShownFeed(UUID id, String name, String address, int entries, String newest, Instant readAt) {}

    record FeedAddress(String address) {}

    @GetMapping
    List<ShownFeed> feeds(Colleague asking) {
        return feeds.all().stream()
                .map(one -> new ShownFeed(
                        one.id(),
                        one.name(),
                        one.address(),
                        one.entries().size(),
                        one.entries().isEmpty() ? "" : one.entries().getFirst().title(),
                        one.readAt()))
                .toList();
    }

    @PostMapping(consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    void addFile(Colleague asking, @RequestParam String name, @RequestBody(required = false) byte[] file) {
        feeds.addFile(name, file == null ? new byte[0] : file, asking);
    }

    @PostMapping("/addresses")
    void addAddress(Colleague asking, @RequestBody FeedAddress address) {
        feeds.addAddress(address.address(), asking);
    }

    @PostMapping("/{id}/read")
    void readAgain(Colleague asking, @PathVariable UUID id) {
        feeds.readAgain(id, asking);
    }

    @DeleteMapping("/{id}")
    void delete(Colleague asking, @PathVariable UUID id) {
        feeds.delete(id, asking);
    }
}
