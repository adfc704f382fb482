package famulus.server.cupboard;

import famulus.core.message.render.Drawn;
import famulus.core.record.PlainLine;
import famulus.server.cupboard.PictureMapper.ContentRow;
import famulus.server.cupboard.PictureMapper.PictureRow;
import famulus.server.platform.Events;
import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The pictures that templates and house styles show. */
@Service
public class PictureService {
    /** As wide as any message, twice over for fine screens. */
    private static final int WIDEST = 1800;

    private final PictureMapper mapper;
    private final Ids ids;
    private final Clock clock;
    private final Events events;

    PictureService(PictureMapper mapper, Ids ids, Clock clock, Events events) {
        this.mapper = mapper;
        this.ids = ids;
        this.clock = clock;
        this.events = events;
    }

    /** A picture of the library; {@code size} is in bytes. */
    public record Picture(UUID id, String name, String description, int width, int height, int size, Instant addedAt) {}

    /** The bytes of a picture. */
    public record PictureContent(String mediaType, byte[] content) {}

    /** All pictures by name. */
    public List<Picture> all() {
        return mapper.all().stream().map(PictureService::picture).toList();
    }

    /** How many bytes pictures have together; those that come with Famulus, or are gone, count for nothing. */
    public long weight(Set<String> wanted) {
        return wanted.isEmpty()
                ? 0
                : mapper.all().stream()
                        .filter(row -> wanted.contains(row.id().toString()))
                        .mapToLong(PictureRow::size)
                        .sum();
    }

    private static Picture picture(PictureRow row) {
        return new Picture(
                row.id(), row.name(), row.description(), row.width(), row.height(), row.size(), row.addedAt());
    }

    /**
     * The bytes of a picture, scaled down to what can be seen of it.
     *
     * @param id as a body names it
     */
    public Optional<PictureContent> content(String id) {
        if (Drawn.ALL.contains(id)) {
            return Optional.of(new PictureContent("image/png", drawn(id)));
        }
        if (!id.matches("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}")) {
            return Optional.empty();
        }
        return mapper.content(UUID.fromString(id)).map(PictureService::content);
    }

    private static PictureContent content(ContentRow row) {
        return new PictureContent(
                row.mediaType(), PictureFile.scaled(row.mediaType(), row.width(), row.content(), WIDEST));
    }

    private static byte[] drawn(String id) {
        try (InputStream in =
                PictureService.class.getResourceAsStream("/pictures/" + id.substring("drawn-".length()) + ".png")) {
            return in.readAllBytes();
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
    }

    /** Adds a picture; refused when it is none, too large or damaged. */
    @Transactional
    public Picture add(String name, byte[] file, Colleague by) {
        PictureFile read = PictureFile.read(file);
        PlainLine.refusal(name, 120, true).ifPresent(sentence -> {
            throw Refusal.field("name", sentence);
        });
        UUID id = ids.next();
        keep(id, name, "", read, by.id(), clock.instant());
        events.tell("picture", id.toString());
        return mapper.all().stream()
                .filter(row -> row.id().equals(id))
                .findFirst()
                .map(PictureService::picture)
                .orElseThrow();
    }

    /** Puts a picture in place with its own identifier; for the demo's data. */
    public void keep(UUID id, String name, String description, byte[] file, UUID by, Instant at) {
        keep(id, name, description, PictureFile.read(file), by, at);
    }

    private void keep(UUID id, String name, String description, PictureFile file, UUID by, Instant at) {
        mapper.insert(
                new PictureRow(
                        id,
                        name,
                        description,
                        file.mediaType(),
                        file.width(),
                        file.height(),
                        file.content().length,
                        at),
                file.content(),
                by);
    }

    /** Names a picture, and says what is read out in its place. */
    @Transactional
    public void describe(UUID id, String name, String description) {
        PlainLine.refusal(name, 120, true).ifPresent(sentence -> {
            throw Refusal.field("name", sentence);
        });
        PlainLine.refusal(description, 300, false).ifPresent(sentence -> {
            throw Refusal.field("description", sentence);
        });
        if (mapper.describe(id, name.strip(), description.strip()) == 0) {
            throw Refusal.missing("This picture");
        }
        events.tell("picture", id.toString());
    }

    /** Takes a picture away; refused while something shows it. */
    @Transactional
    public void delete(UUID id, Colleague by) {
        by.mustBe("Only a keeper or an administrator deletes pictures.", Role.KEEPER, Role.ADMINISTRATOR);
        List<String> using = mapper.using(id.toString());
        if (!using.isEmpty()) {
            throw Refusal.because("in-use", "It is used in " + String.join(", ", using) + ". Take it out there first.");
        }
        mapper.delete(id);
        events.tell("picture", id.toString());
    }
}
