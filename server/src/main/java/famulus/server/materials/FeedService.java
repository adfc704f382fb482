package famulus.server.materials;

import famulus.core.intake.FeedReader;
import famulus.core.intake.FeedReader.ReadFeed;
import famulus.core.intake.FeedReader.UnreadableFeed;
import famulus.core.message.body.Content.Entry;
import famulus.core.message.body.Inserts.KeptFeed;
import famulus.server.materials.FeedMapper.FeedRow;
import famulus.server.platform.Events;
import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import famulus.server.platform.Revisions;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.regex.Pattern;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Feeds whose newest entries messages show, as they were read last; a message that was sent keeps those it had. */
@Service
public class FeedService {
    /** What an address looks like; whether it may be asked is seen to when it is. */
    private static final Pattern ADDRESS = Pattern.compile("https?://\\S{1,480}");
    /** What changes of feeds are counted as. */
    public static final String REVISION = "feeds";

    private static final int LARGEST = 2_000_000;
    private static final int LONGEST_NAME = 120;

    private final UsedIn usedIn;
    private final FeedMapper mapper;
    private final FeedFetcher fetcher;
    private final Ids ids;
    private final Clock clock;
    private final Events events;
    private final Revisions revisions;
    private final Supplier<List<Feed>> kept;

    FeedService(
            FeedMapper mapper,
            FeedFetcher fetcher,
            Ids ids,
            Clock clock,
            Events events,
            Revisions revisions,
            UsedIn usedIn) {
        this.usedIn = usedIn;
        this.mapper = mapper;
        this.fetcher = fetcher;
        this.ids = ids;
        this.clock = clock;
        this.events = events;
        this.revisions = revisions;
        this.kept = revisions.keep(
                REVISION, () -> mapper.all().stream().map(FeedService::feed).toList());
    }

    /**
     * A feed.
     *
     * @param address empty for one that came as a file
     */
    public record Feed(UUID id, String name, String address, List<Entry> entries, Instant readAt) {}

    private static Feed feed(FeedRow row) {
        try {
            return new Feed(
                    row.id(),
                    row.name(),
                    row.address() == null ? "" : row.address(),
                    FeedReader.read(row.xml()).entries(),
                    row.readAt());
        } catch (UnreadableFeed wrong) {
            throw new IllegalStateException("The feed " + row.id() + " can't be read", wrong);
        }
    }

    /** All of them by name. */
    public List<Feed> all() {
        return kept.get();
    }

    /** What a feed has; absent when it is not there. */
    public Optional<KeptFeed> entries(String id) {
        return all().stream()
                .filter(one -> one.id().toString().equals(id))
                .findFirst()
                .map(one -> new KeptFeed(one.name(), one.entries()));
    }

    /** Adds a feed from a file; one of the same title takes the place of what was read before. */
    @Transactional
    public UUID addFile(String fileName, byte[] file, Colleague by) {
        by.mustBe("Editors and administrators import feeds.", Role.KEEPER, Role.ADMINISTRATOR);
        if (file.length == 0 || file.length > LARGEST) {
            throw Refusal.field("file", file.length == 0 ? "This file is empty." : "This file is larger than 2 MB.");
        }
        return keep(null, new String(file, StandardCharsets.UTF_8), fileName, "file", by);
    }

    /** Adds a feed that is read from an address; only administrators enter one. */
    @Transactional
    public UUID addAddress(String address, Colleague by) {
        by.mustBe("Only an administrator enters the address of a feed.", Role.ADMINISTRATOR);
        String asked = address == null ? "" : address.strip();
        if (asked.length() > 500) {
            throw Refusal.field("address", "An address has at most 500 characters.");
        }
        return keep(asked, fetcher.fetch(asked), asked, "address", by);
    }

    /** Reads a feed again from its address. */
    @Transactional
    public void readAgain(UUID id, Colleague by) {
        by.mustBe("Editors and administrators refresh feeds.", Role.KEEPER, Role.ADMINISTRATOR);
        Feed feed = get(id);
        if (feed.address().isEmpty()) {
            throw Refusal.because("no-address", "This feed came from a file. Import the file again.");
        }
        String xml = fetcher.fetch(feed.address());
        read(xml, "address");
        mapper.update(id, xml, clock.instant());
        changed(id);
    }

    /** Deletes a feed that no template shows. */
    @Transactional
    public void delete(UUID id, Colleague by) {
        by.mustBe("Editors and administrators delete feeds.", Role.KEEPER, Role.ADMINISTRATOR);
        usedIn.designs(get(id).id(), by).ifPresent(where -> {
            throw Refusal.because("in-use", "This feed is shown in " + where + ".");
        });
        mapper.delete(id);
        changed(id);
    }

    /** What a feed was when it was read last, as it came: RSS or Atom. */
    public Optional<String> source(UUID id) {
        return mapper.all().stream()
                .filter(row -> row.id().equals(id))
                .map(FeedRow::xml)
                .findFirst();
    }

    /** Why a text is no feed that can be kept; empty where it is one. */
    public static Optional<String> fault(String xml) {
        try {
            read(xml, "file");
            return Optional.empty();
        } catch (Refusal refused) {
            return refused.fields().values().stream().findFirst();
        }
    }

    /**
     * Puts a feed in place that was taken out elsewhere, under an identifier that nothing has. Its address counts only where an
     * administrator brings it; else it is like one that came as a file.
     */
    @Transactional
    public void bring(UUID id, String name, String address, String xml, Colleague by) {
        by.mustBe("Editors and administrators import feeds.", Role.KEEPER, Role.ADMINISTRATOR);
        read(xml, "file");
        boolean from = by.is(Role.ADMINISTRATOR)
                && address != null
                && ADDRESS.matcher(address.strip()).matches();
        mapper.insert(new FeedRow(id, name, from ? address.strip() : null, xml, clock.instant()), by.id());
        changed(id);
    }

    /** Puts a feed in place; for the demo's data. */
    public void keep(UUID id, String xml, Colleague by, Instant at) {
        mapper.insert(new FeedRow(id, read(xml, "file").title(), null, xml, at), by.id());
        changed(id);
    }

    private UUID keep(String address, String xml, String otherName, String field, Colleague by) {
        ReadFeed read = read(xml, field);
        String name = read.title().isBlank() ? otherName.strip() : read.title();
        String called = name.isEmpty() ? "Feed" : name.substring(0, Math.min(LONGEST_NAME, name.length()));
        Optional<Feed> before =
                all().stream().filter(one -> one.name().equals(called)).findFirst();
        if (before.isPresent() && !before.get().address().equals(address == null ? "" : address)) {
            throw Refusal.field(field, "There is another feed called “" + called + "” already.");
        }
        UUID id = before.map(Feed::id).orElseGet(ids::next);
        if (before.isPresent()) {
            mapper.update(id, xml, clock.instant());
        } else {
            mapper.insert(new FeedRow(id, called, address, xml, clock.instant()), by.id());
        }
        changed(id);
        return id;
    }

    private static ReadFeed read(String xml, String field) {
        try {
            return FeedReader.read(xml);
        } catch (UnreadableFeed wrong) {
            throw Refusal.field(field, wrong.getMessage());
        }
    }

    private Feed get(UUID id) {
        return all().stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseThrow(() -> Refusal.missing("This feed"));
    }

    private void changed(UUID id) {
        revisions.changed(REVISION);
        events.tell("feed", id.toString());
    }
}
