package famulus.server.reading;

import famulus.core.audience.ReaderChoice.Pace;
import famulus.server.messages.CalendarPart;
import famulus.server.messages.SourceText;
import famulus.server.platform.PublicAddress;
import famulus.server.reading.ChoosingService.Chosen;
import famulus.server.reading.ChoosingService.What;
import famulus.server.reading.ReadingMapper.PageRow;
import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/**
 * The pages that readers of a message come back to. They are open to whoever has the message's key, say nothing of
 * anything but this message, and run no script.
 */
@Hidden
@RestController
@RequestMapping("/m/{key}")
class ReaderController {
    private static final String PAGE_POLICY = "default-src 'none'; style-src 'unsafe-inline'; form-action 'self';"
            + " base-uri 'none'; frame-ancestors 'none'";
    private static final String COPY_POLICY = "default-src 'none'; style-src 'unsafe-inline'; img-src data:;"
            + " form-action 'none'; base-uri 'none'; frame-ancestors 'none'; sandbox allow-popups";
    private static final MediaType HTML = MediaType.parseMediaType("text/html;charset=UTF-8");
    private static final MediaType CALENDAR = MediaType.parseMediaType("text/calendar;charset=UTF-8");
    /** One pixel that nobody sees. */
    private static final byte[] SEEN =
            Base64.getDecoder().decode("R0lGODlhAQABAIAAAAAAAP///yH5BAEAAAAALAAAAAABAAEAAAIBRAA7");

    private final ReadingService readings;
    private final WebCopyService copies;
    private final ChoosingService choosing;

    ReaderController(ReadingService readings, WebCopyService copies, ChoosingService choosing) {
        this.readings = readings;
        this.copies = copies;
        this.choosing = choosing;
    }

    /** The message as a page. */
    @GetMapping
    ResponseEntity<String> copy(@PathVariable String key) {
        return readings.page(key)
                .map(page -> SourceText.of(readings.source(page)))
                .map(ReaderPage::copy)
                .or(() -> copies.page(key))
                .map(page -> html(HttpStatus.OK, COPY_POLICY, page))
                .orElseGet(() -> nothing(key));
    }

    /** A calendar file that came along with the message. */
    @GetMapping("/{name:event(?:-\\d{1,3})?\\.ics}")
    ResponseEntity<?> calendar(@PathVariable String key, @PathVariable String name) {
        Optional<byte[]> file = readings.page(key)
                .map(readings::source)
                .or(() -> copies.source(key))
                .flatMap(source -> CalendarPart.of(source, name));
        if (file.isEmpty()) {
            return nothing(key);
        }
        return ResponseEntity.ok()
                .contentType(CALENDAR)
                .cacheControl(CacheControl.noStore())
                .header(
                        "Content-Disposition",
                        ContentDisposition.attachment().filename(name).build().toString())
                .header("X-Robots-Tag", "noindex")
                .header("Referrer-Policy", "no-referrer")
                .body(file.get());
    }

    /** What stands beside the title of a page for anybody where its link is passed on. */
    @GetMapping("/picture")
    ResponseEntity<?> picture(@PathVariable String key) {
        return copies.picture(key)
                .<ResponseEntity<?>>map(picture -> ResponseEntity.ok()
                        .contentType(MediaType.parseMediaType(picture.mediaType()))
                        .cacheControl(CacheControl.noStore())
                        .header("X-Robots-Tag", "noindex")
                        .body(picture.content()))
                .orElseGet(() -> nothing(key));
    }

    /** Fetched when a message is shown; whoever asks gets the picture. */
    @GetMapping("/seen.gif")
    ResponseEntity<byte[]> seen(@PathVariable String key, HttpServletRequest asked) {
        if (asked.getMethod().equals(RequestMethod.GET.name())) {
            readings.page(key).ifPresent(page -> readings.opened(page, program(asked), ahead(asked)));
        }
        return ResponseEntity.ok()
                .contentType(MediaType.IMAGE_GIF)
                .cacheControl(CacheControl.noStore())
                .body(SEEN);
    }

    /** Leads on to where a link of the message points, and nowhere else. */
    @GetMapping("/{number:\\d{1,4}}")
    ResponseEntity<String> follow(@PathVariable String key, @PathVariable int number, HttpServletRequest asked) {
        Optional<PageRow> page = readings.page(key);
        return page.flatMap(one -> asked.getMethod().equals(RequestMethod.GET.name())
                        ? readings.clicked(one, number, program(asked), ahead(asked))
                        : readings.leads(one, number))
                .map(leads -> ResponseEntity.status(HttpStatus.FOUND)
                        .header("Location", ReaderPage.ascii(leads))
                        .cacheControl(CacheControl.noStore())
                        .header("Referrer-Policy", "no-referrer")
                        .<String>build())
                .orElseGet(() -> nothing(key));
    }

    /** Shows what the reader gets; only pressing a button settles anything, since filters follow links. */
    @GetMapping("/unsubscribe")
    ResponseEntity<String> ask(@PathVariable String key) {
        return readings.page(key)
                .map(page -> html(HttpStatus.OK, PAGE_POLICY, choosing.page(page)))
                .orElseGet(() ->
                        copies.opens(key) ? html(HttpStatus.OK, PAGE_POLICY, ReaderPage.PASSED_ON) : nothing(key));
    }

    /**
     * Settles it, for the buttons and for mail programs that do it in one click (RFC 8058): what such a program says is for the
     * address, whoever reads there.
     */
    @PostMapping("/unsubscribe")
    ResponseEntity<String> settle(
            @PathVariable String key,
            @RequestParam(defaultValue = "nothing") String what,
            @RequestParam(defaultValue = "all") String who,
            @RequestParam(defaultValue = "") List<String> topic,
            @RequestParam(defaultValue = "ANY") String pace,
            @RequestParam(defaultValue = "") String change,
            HttpServletRequest asked) {
        Chosen chosen = new Chosen(
                named(What.values(), what, What.NOTHING),
                who.equals("one"),
                topic.stream()
                        .map(ReaderController::identifier)
                        .flatMap(Optional::stream)
                        .collect(Collectors.toSet()),
                named(Pace.values(), pace, Pace.ANY),
                identifier(change).orElse(null),
                program(asked));
        return readings.page(key)
                .map(page -> html(HttpStatus.OK, PAGE_POLICY, choosing.settle(page, chosen)))
                .orElseGet(() -> nothing(key));
    }

    private static <T extends Enum<T>> T named(T[] all, String name, T otherwise) {
        return Stream.of(all)
                .filter(one -> one.name().equalsIgnoreCase(name))
                .findFirst()
                .orElse(otherwise);
    }

    private static Optional<UUID> identifier(String text) {
        try {
            return Optional.of(UUID.fromString(text));
        } catch (IllegalArgumentException none) {
            return Optional.empty();
        }
    }

    private static ResponseEntity<String> nothing(String key) {
        return key.equals(PublicAddress.PROOF) || key.equals(PublicAddress.SHARED_PROOF)
                ? html(HttpStatus.OK, PAGE_POLICY, ReaderPage.PROOF)
                : html(HttpStatus.NOT_FOUND, PAGE_POLICY, ReaderPage.NOTHING);
    }

    private static ResponseEntity<String> html(HttpStatus status, String policy, String page) {
        return ResponseEntity.status(status)
                .contentType(HTML)
                .cacheControl(CacheControl.noStore())
                .header("Content-Security-Policy", policy)
                .header("X-Robots-Tag", "noindex")
                .header("Referrer-Policy", "no-referrer")
                .body(page);
    }

    private static String program(HttpServletRequest asked) {
        String said = asked.getHeader("User-Agent");
        return said == null ? "" : said;
    }

    private static boolean ahead(HttpServletRequest asked) {
        for (String header : new String[] {"Sec-Purpose", "Purpose", "X-Purpose", "X-Moz"}) {
            String said = asked.getHeader(header);
            if (said != null && said.toLowerCase(Locale.ROOT).contains("pre")) {
                return true;
            }
        }
        return false;
    }
}
