package famulus.server.demoinboxes;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** A made-up feed, read over HTTP as one of somebody else's would be. */
@RestController
@ConditionalOnProperty(name = "famulus.demo", havingValue = "true")
class DemoFeed {
    @GetMapping(path = "/demo-feeds/hedge-letter.xml", produces = "application/atom+xml")
    byte[] hedgeLetter() {
        try (InputStream in = DemoFeed.class.getResourceAsStream("/demo/feeds/hedge-letter.xml")) {
            return in.readAllBytes();
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
    }
}
