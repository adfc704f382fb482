package famulus.server.reading;

import famulus.core.record.PlainLine;
import famulus.server.contents.Packing;
import famulus.server.materials.PictureService;
import famulus.server.materials.PictureService.PictureContent;
import famulus.server.messages.PageForAnybody;
import famulus.server.messages.SourceText;
import famulus.server.outbox.MessageState;
import famulus.server.outbox.OutboxService;
import famulus.server.outbox.OutgoingMessage;
import famulus.server.platform.Ids;
import famulus.server.platform.PublicAddress;
import famulus.server.platform.Refusal;
import famulus.server.reading.WebCopyMapper.CopyRow;
import famulus.server.reading.WebCopyMapper.PageBytes;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import famulus.server.team.TeamService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.web.util.HtmlUtils;

/**
 * Links that show a message to whoever has them: as it was sent, for some days, or with nothing of its person in it, until
 * somebody closes the link.
 */
@Service
public class WebCopyService {
    private static final Set<MessageState> LEFT = Set.of(MessageState.SENT, MessageState.NOT_SURE);
    private static final int MOST_DAYS = 90;
    private static final int LONGEST_TITLE = 120;
    private static final int LONGEST_DESCRIPTION = 300;
    private static final int MOST_OF_ONE = 50;

    private final WebCopyMapper mapper;
    private final OutboxService outbox;
    private final ReadingService readings;
    private final PageForAnybody anybody;
    private final PictureService pictures;
    private final TeamService team;
    private final PublicAddress address;
    private final Ids ids;
    private final Clock clock;

    WebCopyService(
            WebCopyMapper mapper,
            OutboxService outbox,
            ReadingService readings,
            PageForAnybody anybody,
            PictureService pictures,
            TeamService team,
            PublicAddress address,
            Ids ids,
            Clock clock) {
        this.mapper = mapper;
        this.outbox = outbox;
        this.readings = readings;
        this.anybody = anybody;
        this.pictures = pictures;
        this.team = team;
        this.address = address;
        this.ids = ids;
        this.clock = clock;
    }

    /**
     * A link.
     *
     * @param address where the copy is
     * @param openUntil null for as long as nobody closes it
     * @param forAnybody whether it shows nothing personal
     * @param mayClose whether whoever asks may close it
     */
    public record WebCopy(
            UUID id,
            String address,
            Instant madeAt,
            @Schema(nullable = true) Instant openUntil,
            boolean forAnybody,
            String madeBy,
            boolean mayClose) {}

    /** The links of a message that are open, the newest first. */
    public List<WebCopy> of(UUID message, Colleague asking) {
        return mapper.open(outbox.get(message, asking).id(), clock.instant()).stream()
                .flatMap(row -> shown(row, asking).stream())
                .toList();
    }

    private boolean open(CopyRow row) {
        return row.openUntil() == null || row.openUntil().isAfter(clock.instant());
    }

    private Optional<WebCopy> shown(CopyRow row, Colleague asking) {
        return address.pages()
                .map(pages -> new WebCopy(
                        row.id(),
                        pages.webCopy(row.copyKey()),
                        row.madeAt(),
                        row.openUntil(),
                        row.forAnybody(),
                        team.find(row.madeBy()).map(Colleague::name).orElse(""),
                        mayClose(row, asking)));
    }

    private static boolean mayClose(CopyRow row, Colleague asking) {
        return row.madeBy().equals(asking.id()) || asking.is(Role.KEEPER, Role.ADMINISTRATOR);
    }

    /**
     * Makes a link that shows a message as it was sent, pictures and all.
     *
     * @param days for how many it is open, 1 to 90
     */
    WebCopy asSent(UUID message, int days, Colleague asking) {
        if (days < 1 || days > MOST_DAYS) {
            throw Refusal.field("days", "Between 1 and " + MOST_DAYS + " days, please.");
        }
        OutgoingMessage sent = left(message, asking);
        anybody.reached();
        return keep(sent, ids.next(), clock.instant().plus(Duration.ofDays(days)), null, null, asking);
    }

    /**
     * How a page is shown where its link is passed on.
     *
     * @param title empty for its subject
     * @param description may be empty
     * @param picture null for none
     */
    public record Shared(String title, String description, UUID picture) {
        /** As the page says itself. */
        static final Shared AS_IT_IS = new Shared("", "", null);

        public Shared {
            title = title == null ? "" : title.strip();
            description = description == null ? "" : description.strip();
        }

        private boolean asItIs() {
            return title.isEmpty() && description.isEmpty() && picture == null;
        }
    }

    /** Makes a link that shows what a message says to anybody; refused where it needs a value that only its person has. */
    WebCopy forAnybody(UUID message, Colleague asking) {
        return forAnybody(message, Shared.AS_IT_IS, asking);
    }

    /** The same, with what is shown where it is passed on. */
    public WebCopy forAnybody(UUID message, Shared shared, Colleague asking) {
        OutgoingMessage sent = left(message, asking);
        PlainLine.refusal(shared.title(), LONGEST_TITLE, false).ifPresent(sentence -> {
            throw Refusal.field("title", sentence);
        });
        PlainLine.refusal(shared.description(), LONGEST_DESCRIPTION, false).ifPresent(sentence -> {
            throw Refusal.field("description", sentence);
        });
        if (shared.picture() != null
                && pictures.content(shared.picture().toString(), asking).isEmpty()) {
            throw Refusal.field("picture", "This picture is missing. Choose another one.");
        }
        UUID secret = ids.next();
        PageForAnybody.Page page = anybody.of(
                sent.id(),
                team.find(sent.senderId()).orElseThrow(),
                new For(CrmKind.of(sent.personKind()), sent.personId(), null),
                sent.createdAt(),
                Ids.key(secret));
        PageBytes bytes = shared.asItIs() ? packed(page) : packed(told(html(page), page.subject(), shared, secret));
        return keep(sent, secret, null, bytes, shared.picture(), asking);
    }

    /** A page with what is read where its link is passed on (the Open Graph protocol). */
    private String told(String html, String subject, Shared shared, UUID secret) {
        String title = shared.title().isEmpty() ? subject : shared.title();
        StringBuilder head = new StringBuilder();
        head.append(meta("og:title", title)).append(meta("og:type", "article"));
        if (!shared.description().isEmpty()) {
            head.append(meta("og:description", shared.description()));
        }
        String own = anybody.reached().webCopy(Ids.key(secret));
        head.append(meta("og:url", own));
        if (shared.picture() != null) {
            head.append(meta("og:image", own + "/picture"));
        }
        int end = html.indexOf("</head>");
        return end < 0 ? html : html.substring(0, end) + head + html.substring(end);
    }

    private static String meta(String name, String said) {
        return "<meta property=\"" + name + "\" content=\"" + HtmlUtils.htmlEscape(said) + "\">";
    }

    /** What stands beside the title of a page where it is passed on; empty where nothing does, or the link is closed. */
    Optional<PictureContent> picture(String key) {
        return mapper.byKey(key)
                .filter(this::open)
                .flatMap(row -> Optional.ofNullable(row.pictureId()))
                .flatMap(picture -> pictures.content(picture.toString()));
    }

    private OutgoingMessage left(UUID message, Colleague asking) {
        OutgoingMessage sent = outbox.get(message, asking);
        if (sent.test() || !LEFT.contains(sent.state())) {
            throw Refusal.because("not-left", "Only a message that has left can be shown.");
        }
        if (mapper.open(message, clock.instant()).size() >= MOST_OF_ONE) {
            throw Refusal.because(
                    "too-many", "There are " + MOST_OF_ONE + " links to this message. Close some of them.");
        }
        return sent;
    }

    private WebCopy keep(
            OutgoingMessage sent, UUID secret, Instant openUntil, PageBytes page, UUID picture, Colleague asking) {
        CopyRow row = new CopyRow(
                ids.next(), Ids.key(secret), sent.id(), asking.id(), clock.instant(), openUntil, page != null, picture);
        mapper.insert(row, page);
        return shown(row, asking).orElseThrow();
    }

    static PageBytes packed(PageForAnybody.Page page) {
        return packed(html(page));
    }

    private static String html(PageForAnybody.Page page) {
        return page.html().isEmpty() ? ReaderPage.words(page.subject(), page.text()) : page.html();
    }

    private static PageBytes packed(String html) {
        byte[] bytes = html.getBytes(StandardCharsets.UTF_8);
        return new PageBytes(bytes.length, Packing.packed(bytes));
    }

    /** Closes a link; nobody can follow it any more. */
    void close(UUID id, Colleague asking) {
        CopyRow row = mapper.byId(id).orElseThrow(() -> Refusal.missing("This link"));
        outbox.get(row.messageId(), asking);
        if (!mayClose(row, asking)) {
            throw Refusal.forbidden("Whoever made this link closes it, or an editor.");
        }
        mapper.delete(id);
    }

    /** Whether a key is that of an open link. */
    boolean opens(String key) {
        return mapper.byKey(key).filter(this::open).isPresent();
    }

    /** What a link shows, as a page; empty for one that is closed, or never was. */
    Optional<String> page(String key) {
        return mapper.byKey(key).filter(this::open).map(row -> {
            if (row.forAnybody()) {
                PageBytes page = mapper.page(row.id());
                return new String(Packing.unpacked(page.packed(), page.size()), StandardCharsets.UTF_8);
            }
            SourceText read = SourceText.of(readings.source(row.messageId()));
            String asWritten = ReaderPage.copy(read.with(readings.asWritten(row.messageId(), read.html())));
            return readings.withKey(row.messageId(), asWritten, key);
        });
    }

    /** A file of the message that a link shows, as its bytes hold it; empty where the page says nothing of it. */
    Optional<byte[]> source(String key) {
        return mapper.byKey(key)
                .filter(this::open)
                .filter(row -> !row.forAnybody())
                .map(row -> readings.source(row.messageId()));
    }
}
