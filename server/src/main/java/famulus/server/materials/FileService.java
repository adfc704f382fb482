package famulus.server.materials;

import famulus.core.record.PlainLine;
import famulus.server.contents.Contents;
import famulus.server.materials.FileMapper.ContentRow;
import famulus.server.materials.MaterialPlaces.What;
import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import java.net.URLConnection;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Files that are attached to messages, such as a price list. */
@Service
public class FileService {
    /** In bytes; what a message holds besides is small beside it. */
    private static final int LARGEST = 25_000_000;

    private static final int MOST = 10;
    private static final int LONGEST_NAME = 160;

    private final Contents contents;
    private final UsedIn usedIn;
    private final UsableMaterials usable;
    private final MaterialRights rights;
    private final MaterialPlaces places;
    private final FileMapper mapper;
    private final Ids ids;
    private final Clock clock;

    FileService(
            FileMapper mapper,
            Ids ids,
            Clock clock,
            UsedIn usedIn,
            Contents contents,
            UsableMaterials usable,
            MaterialRights rights,
            MaterialPlaces places) {
        this.places = places;
        this.usable = usable;
        this.rights = rights;
        this.contents = contents;
        this.usedIn = usedIn;
        this.mapper = mapper;
        this.ids = ids;
        this.clock = clock;
    }

    /**
     * A file without its bytes; {@code size} in bytes.
     *
     * @param folder null for one that belongs to one message or document
     * @param owner who brought it
     */
    public record KeptFile(
            UUID id,
            String name,
            String mediaType,
            int size,
            String addedBy,
            Instant addedAt,
            @Schema(nullable = true) UUID folder,
            UUID owner) {}

    /** The bytes of a file. */
    public record FileContent(String name, String mediaType, byte[] content) {}

    /** The files in Materials that somebody sees, by name. */
    public List<KeptFile> seen(Colleague asking) {
        return mapper.seen(asking);
    }

    /** Some files, in the order they are asked for; those that are gone are left out. */
    public List<KeptFile> some(List<UUID> wanted) {
        if (wanted.isEmpty()) {
            return List.of();
        }
        Map<UUID, KeptFile> kept =
                mapper.some(wanted).stream().collect(Collectors.toMap(KeptFile::id, Function.identity()));
        return wanted.stream().map(kept::get).filter(Objects::nonNull).toList();
    }

    /** A file with its bytes. */
    public Optional<FileContent> content(UUID id) {
        return mapper.content(id)
                .map((ContentRow row) -> new FileContent(
                        row.name(),
                        row.mediaType(),
                        contents.read(row.content()).orElseThrow()));
    }

    /** The same for whoever may use it: it is in Materials for them, belongs to something else, or is in a template they may use. */
    public Optional<FileContent> content(UUID id, Colleague asking) {
        return usable.mayRead(id, asking) ? content(id) : Optional.empty();
    }

    /** How many of some files are gone. */
    public int lost(List<UUID> wanted) {
        return wanted.size() - some(wanted).size();
    }

    /**
     * Adds a file to Materials; refused when it is empty, too large, or of a kind that runs when it is opened.
     *
     * @param folder where it is to lie; null for where all find it
     */
    @Transactional
    public KeptFile add(String name, byte[] content, UUID folder, Colleague by) {
        return keep(ids.next(), name, content, rights.place(folder, by), by);
    }

    /** Keeps a file that belongs to one message, or to a document of a deal; refused as any other. */
    @Transactional
    public KeptFile addApart(String name, byte[] content, Colleague by) {
        return keep(ids.next(), name, content, null, by);
    }

    /**
     * Adds a file under an identifier that nothing has; refused as any other.
     *
     * @param folder one that whoever brings it may add to; null for a file that is not in Materials
     */
    @Transactional
    public KeptFile keep(UUID id, String name, byte[] content, UUID folder, Colleague by) {
        fault(name, content).ifPresent(wrong -> {
            throw wrong;
        });
        String cleaned = FileName.cleaned(name);
        mapper.insert(
                id,
                cleaned,
                mediaType(cleaned),
                content.length,
                contents.keep(content),
                by.id(),
                clock.instant(),
                folder);
        if (folder != null) {
            places.tell(What.FILE, id);
        }
        return some(List.of(id)).getFirst();
    }

    /** Why a file can't be kept; empty where it can. */
    public static Optional<Refusal> fault(String name, byte[] content) {
        Optional<String> unnamed = PlainLine.refusal(name, LONGEST_NAME, true);
        if (unnamed.isPresent()) {
            return Optional.of(Refusal.field("name", unnamed.get()));
        }
        String wrong = "";
        if (content.length == 0) {
            wrong = "This file is empty.";
        } else if (content.length > LARGEST) {
            wrong = "This file is larger than 25 MB, and mail servers take no more.";
        } else if (Programs.is(FileName.cleaned(name), content)) {
            wrong = "This is a program or has macros. Mail servers turn messages with such files away.";
        }
        return wrong.isEmpty() ? Optional.empty() : Optional.of(Refusal.field("file", wrong));
    }

    private static String mediaType(String name) {
        String guessed = URLConnection.guessContentTypeFromName(name);
        return guessed == null ? "application/octet-stream" : guessed;
    }

    /** Has a file lie in another folder. */
    public void move(UUID id, UUID folder, Colleague by) {
        places.move(What.FILE, id, folder, by);
    }

    /** Deletes a file that is attached to no template. */
    @Transactional
    public void delete(UUID id, Colleague by) {
        places.mustBeChangeable(What.FILE, id, by);
        usedIn.alongWith(id, by).ifPresent(where -> {
            throw Refusal.because("in-use", "This file is attached to " + where + ".");
        });
        places.tell(What.FILE, id);
        mapper.delete(id);
    }

    /** Why these can't be attached to one message; empty when they can. */
    public Optional<String> refusal(List<UUID> wanted) {
        if (wanted.size() > MOST) {
            return Optional.of("At most " + MOST + " files can be attached.");
        }
        List<KeptFile> kept = some(List.copyOf(Set.copyOf(wanted)));
        if (kept.size() < Set.copyOf(wanted).size()) {
            return Optional.of("One of these files is gone. Remove it from the message.");
        }
        long size = kept.stream().mapToLong(KeptFile::size).sum();
        return size > LARGEST
                ? Optional.of("Together they are larger than 25 MB, and mail servers take no more.")
                : Optional.empty();
    }
}
