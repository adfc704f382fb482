package famulus.server.materials;

import famulus.core.message.render.Drawn;
import famulus.core.message.render.PictureCopy;
import famulus.core.record.PlainLine;
import famulus.server.contents.Contents;
import famulus.server.folders.FolderRights;
import famulus.server.materials.MaterialPlaces.What;
import famulus.server.materials.PictureMapper.ContentRow;
import famulus.server.materials.PictureMapper.PictureRow;
import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The pictures that templates and house styles show. */
@Service
public class PictureService {
    /** As wide as any message, twice over for fine screens. */
    private static final int WIDEST = 1800;

    private static final int LONGEST_NAME = 120;
    /** What nobody has made a template of by then is forgotten. */
    private static final Duration ASIDE = Duration.ofDays(1);

    private static final String IDENTIFIER = "[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}";

    private final Contents contents;
    private final UsedIn usedIn;
    private final UsableMaterials usable;
    private final MaterialRights rights;
    private final MaterialPlaces places;
    private final HouseStyleService styles;
    private final PictureMapper mapper;
    private final Ids ids;
    private final Clock clock;
    private final PictureCopies copies = new PictureCopies();

    PictureService(
            PictureMapper mapper,
            Ids ids,
            Clock clock,
            UsedIn usedIn,
            Contents contents,
            UsableMaterials usable,
            MaterialRights rights,
            MaterialPlaces places,
            HouseStyleService styles) {
        this.places = places;
        this.usable = usable;
        this.rights = rights;
        this.styles = styles;
        this.contents = contents;
        this.usedIn = usedIn;
        this.mapper = mapper;
        this.ids = ids;
        this.clock = clock;
    }

    /**
     * A picture of the library.
     *
     * @param category what sort of picture it is, in the house's own word; may be empty
     * @param moving whether it moves; then it is shown as it is
     * @param size in bytes
     * @param owner who brought it
     */
    public record Picture(
            UUID id,
            String name,
            String description,
            String category,
            int width,
            int height,
            boolean moving,
            int size,
            Instant addedAt,
            UUID folder,
            UUID owner) {}

    /** The bytes of a picture. */
    public record PictureContent(String mediaType, byte[] content) {}

    /** The pictures in Materials that somebody sees, by name. */
    public List<Picture> seen(Colleague asking) {
        return mapper.seen(asking).stream().map(PictureService::picture).toList();
    }

    /** Some of those in Materials, for what has them and has been asked for. */
    public List<Picture> some(Collection<UUID> wanted) {
        return wanted.isEmpty()
                ? List.of()
                : mapper.some(wanted).stream().map(PictureService::picture).toList();
    }

    /**
     * How many bytes pictures have together, as they leave; those that come with Famulus, or are gone, count for
     * nothing.
     *
     * @param wanted the keys of copies, as a rendering names them
     */
    public long weight(Set<String> wanted) {
        return wanted.stream()
                .filter(key -> PictureCopy.of(key)
                        .filter(copy -> !Drawn.ALL.contains(copy.picture()))
                        .isPresent())
                .flatMap(key -> content(key).stream())
                .mapToLong(picture -> picture.content().length)
                .sum();
    }

    /**
     * Those of some pictures that are not there, by identifier.
     *
     * @param wanted the keys of copies, as a rendering names them
     */
    public Set<String> lost(Set<String> wanted) {
        return wanted.stream()
                .filter(key -> PictureCopy.of(key)
                        .filter(copy -> there(copy.picture()))
                        .isEmpty())
                .map(key -> PictureCopy.of(key).map(PictureCopy::picture).orElse(key))
                .collect(Collectors.toSet());
    }

    private boolean there(String picture) {
        return Drawn.ALL.contains(picture) || (picture.matches(IDENTIFIER) && mapper.has(UUID.fromString(picture)));
    }

    private static Picture picture(PictureRow row) {
        return new Picture(
                row.id(),
                row.name(),
                row.description(),
                row.category(),
                row.width(),
                row.height(),
                row.moving(),
                row.size(),
                row.addedAt(),
                row.folderId(),
                row.addedBy());
    }

    /**
     * The bytes of a copy of a picture.
     *
     * @param key its identifier as a body names it, or the key of a {@link PictureCopy}
     */
    public Optional<PictureContent> content(String key) {
        return PictureCopy.of(key).flatMap(copy -> copies.of(key, () -> copy(copy)));
    }

    private Optional<PictureContent> copy(PictureCopy copy) {
        if (Drawn.ALL.contains(copy.picture())) {
            return Optional.of(Retoucher.copy("image/png", drawn(copy.picture()), copy));
        }
        if (!copy.picture().matches(IDENTIFIER)) {
            return Optional.empty();
        }
        return mapper.content(UUID.fromString(copy.picture())).map(row -> copy(row, copy));
    }

    private PictureContent copy(ContentRow row, PictureCopy copy) {
        PictureCopy seen =
                copy.most() > 0 ? copy : new PictureCopy(copy.picture(), copy.retouching(), copy.play(), WIDEST);
        byte[] bytes = contents.read(row.content()).orElseThrow();
        // What plays elsewhere does not move here.
        return row.moving() && !copy.play()
                ? new PictureContent(row.mediaType(), bytes)
                : Retoucher.copy(row.mediaType(), bytes, seen);
    }

    private static byte[] drawn(String id) {
        try (InputStream in =
                PictureService.class.getResourceAsStream("/pictures/" + id.substring("drawn-".length()) + ".png")) {
            return in.readAllBytes();
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
    }

    /** What somebody may look at: all that comes with Famulus, and what they may use. */
    public Optional<PictureContent> content(String key, Colleague asking) {
        return content(key).filter(any -> PictureCopy.of(key)
                .map(PictureCopy::picture)
                .filter(picture -> Drawn.ALL.contains(picture) || usable.mayRead(UUID.fromString(picture), asking))
                .isPresent());
    }

    /**
     * Adds a picture; refused when it is none, too large or damaged.
     *
     * @param folder where it is to lie; null for where all find it
     */
    @Transactional
    public Picture add(String name, byte[] file, UUID folder, Colleague by) {
        PictureFile read = PictureFile.read(file);
        PlainLine.refusal(name, 120, true).ifPresent(sentence -> {
            throw Refusal.field("name", sentence);
        });
        UUID id = ids.next();
        keep(id, name, "", "", read, by.id(), clock.instant(), rights.place(folder, by));
        places.tell(What.PICTURE, id);
        return picture(mapper.some(List.of(id)).getFirst());
    }

    /** Adds a picture that is not in Materials, since it belongs to one record; refused when it is none, too large or damaged. */
    public UUID addApart(String name, byte[] file, Colleague by) {
        PictureFile read = PictureFile.read(file);
        UUID id = ids.next();
        keep(id, name, "", "", read, by.id(), clock.instant(), null);
        return id;
    }

    /**
     * Keeps a picture that came with something that is brought in: it goes to Materials with the first template that shows it,
     * and is gone after a day without one. One that Materials has already, or that is kept so, is that one.
     *
     * @param file a picture, as {@link #fault} says
     */
    @Transactional
    public UUID keepAside(String name, byte[] file, Colleague by) {
        PictureFile read = PictureFile.read(file);
        String content = contents.keep(read.content());
        return mapper.same(content, by).orElseGet(() -> {
            UUID id = ids.next();
            Instant now = clock.instant();
            keep(id, nameOf(name), "", "", read, by.id(), now, null);
            mapper.keepUntil(id, now.plus(ASIDE));
            return id;
        });
    }

    /** What a file is called, as far as a picture can be called so. */
    private static String nameOf(String file) {
        String name = file.replaceAll("\\p{Cntrl}", " ").strip().replaceFirst("(?<=.)\\.[A-Za-z]{3,4}$", "");
        String shorter = name.substring(0, Math.min(LONGEST_NAME, name.length()));
        return PlainLine.refusal(shorter, LONGEST_NAME, true).isPresent() ? "Picture" : shorter;
    }

    /**
     * Takes those of some pictures into Materials that were kept aside until a template shows them.
     *
     * @param folder where the template lies; null for none
     */
    public void shown(Collection<UUID> some, UUID folder) {
        List<UUID> aside = some.isEmpty() ? List.of() : mapper.aside();
        aside.stream().filter(some::contains).forEach(id -> {
            mapper.take(id, folder == null ? FolderRights.EVERYONE : folder);
            places.tell(What.PICTURE, id);
        });
    }

    /** Takes away what was kept aside and no template has shown. */
    @Scheduled(initialDelay = 2, fixedDelay = 60, timeUnit = TimeUnit.MINUTES)
    void clearAside() {
        mapper.outdated(clock.instant()).forEach(this::deleteApart);
    }

    /** Takes away a picture that belonged to one record; what was sent with it keeps its own. */
    public void deleteApart(UUID id) {
        mapper.delete(id);
        copies.forget(id.toString());
    }

    /** Why a file is no picture that can be kept; empty where it is one. */
    public Optional<String> fault(byte[] file) {
        try {
            PictureFile.read(file);
            return Optional.empty();
        } catch (Refusal refused) {
            return refused.fields().values().stream().findFirst();
        }
    }

    /** Whether there is a picture. */
    public boolean has(UUID id) {
        return mapper.has(id);
    }

    /** The bytes of a picture as it was brought in. */
    public Optional<byte[]> original(UUID id) {
        return mapper.content(id).map(row -> contents.read(row.content()).orElseThrow());
    }

    /**
     * Puts a picture in place under an identifier that nothing has; refused when it is none, too large or damaged.
     *
     * @param folder one that whoever brings it may add to
     */
    public void keep(
            UUID id, String name, String description, String category, byte[] file, UUID folder, UUID by, Instant at) {
        keep(id, name, description, category, PictureFile.read(file), by, at, folder);
        places.tell(What.PICTURE, id);
    }

    private void keep(
            UUID id,
            String name,
            String description,
            String category,
            PictureFile file,
            UUID by,
            Instant at,
            UUID folder) {
        mapper.insert(
                new PictureRow(
                        id,
                        name,
                        description,
                        category,
                        file.mediaType(),
                        file.width(),
                        file.height(),
                        file.moving(),
                        file.content().length,
                        at,
                        folder,
                        by),
                contents.keep(file.content()));
    }

    /** Names a picture, says what is read out in its place, and what sort of picture it is. */
    @Transactional
    public void describe(UUID id, String name, String description, String category, Colleague by) {
        places.mustBeChangeable(What.PICTURE, id, by);
        PlainLine.refusal(name, 120, true).ifPresent(sentence -> {
            throw Refusal.field("name", sentence);
        });
        PlainLine.refusal(description, 300, false).ifPresent(sentence -> {
            throw Refusal.field("description", sentence);
        });
        PlainLine.refusal(category, 60, false).ifPresent(sentence -> {
            throw Refusal.field("category", sentence);
        });
        mapper.describe(id, name.strip(), description.strip(), category.strip());
        places.tell(What.PICTURE, id);
    }

    /** Has a picture lie in another folder. */
    public void move(UUID id, UUID folder, Colleague by) {
        places.move(What.PICTURE, id, folder, by);
    }

    /** Refuses what can’t be done with a picture that a style shows. */
    public void mustBeInNoStyle(UUID id, Colleague by) {
        List<UUID> showing = mapper.inStyles(id.toString());
        if (!showing.isEmpty()) {
            List<String> names = styles.seen(by).stream()
                    .filter(style -> showing.contains(style.id()))
                    .map(style -> style.style().name())
                    .toList();
            String where = names.isEmpty() ? "a style you can’t see" : "the style " + String.join(", ", names);
            throw Refusal.because("in-style", "It is used in " + where + ". Remove it there first.");
        }
    }

    /** Takes a picture away; refused while something shows it. */
    @Transactional
    public void delete(UUID id, Colleague by) {
        places.mustBeChangeable(What.PICTURE, id, by);
        mustBeInNoStyle(id, by);
        usedIn.designs(id, by).ifPresent(where -> {
            throw Refusal.because("in-use", "It is used in " + where + ". Remove it there first.");
        });
        places.tell(What.PICTURE, id);
        mapper.delete(id);
        copies.forget(id.toString());
    }
}
