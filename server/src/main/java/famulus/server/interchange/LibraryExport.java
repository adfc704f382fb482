package famulus.server.interchange;

import famulus.core.message.body.HouseStyleJson;
import famulus.server.folders.FolderList;
import famulus.server.folders.FolderRights;
import famulus.server.folders.ShownFolder;
import famulus.server.interchange.LibraryFile.FileContent;
import famulus.server.interchange.LibraryFile.FileFeed;
import famulus.server.interchange.LibraryFile.FileFolder;
import famulus.server.interchange.LibraryFile.FileStyle;
import famulus.server.interchange.LibraryFile.FileText;
import famulus.server.library.Mentioned;
import famulus.server.library.Template;
import famulus.server.library.TemplateTransfer;
import famulus.server.library.TemplateTransfer.InLanguage;
import famulus.server.materials.FeedService;
import famulus.server.materials.FileService;
import famulus.server.materials.HouseStyleService;
import famulus.server.materials.HouseStyleService.KeptStyle;
import famulus.server.materials.PictureService;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import java.io.IOException;
import java.io.OutputStream;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/** Takes templates out, with all that they are made of, as one file. Nobody takes out what they may not see. */
@Service
class LibraryExport {
    private final TemplateTransfer transfer;
    private final FolderList folders;
    private final HouseStyleService styles;
    private final PictureService pictures;
    private final FileService files;
    private final FeedService feeds;
    private final TeamService team;
    private final LibrarySharing sharing;
    private final JsonMapper json;
    private final Clock clock;

    LibraryExport(
            TemplateTransfer transfer,
            FolderList folders,
            HouseStyleService styles,
            PictureService pictures,
            FileService files,
            FeedService feeds,
            TeamService team,
            LibrarySharing sharing,
            JsonMapper json,
            Clock clock) {
        this.transfer = transfer;
        this.folders = folders;
        this.styles = styles;
        this.pictures = pictures;
        this.files = files;
        this.feeds = feeds;
        this.team = team;
        this.sharing = sharing;
        this.json = json;
        this.clock = clock;
    }

    /** Writes what was gathered. */
    void write(LibraryFile library, OutputStream to) throws IOException {
        LibraryZip.write(
                library,
                id -> pictures.original(id).orElseThrow(),
                id -> files.content(id).orElseThrow().content(),
                json,
                to);
    }

    /** Gathers some templates; or those of a folder; or, where neither is said, all that somebody sees. */
    LibraryFile library(List<UUID> some, UUID folder, Colleague asking) {
        List<UUID> wanted = some.isEmpty() ? transfer.all(folder, asking) : transfer.withVariants(some, asking);
        Map<UUID, ShownFolder> seen =
                folders.all(asking).stream().collect(Collectors.toMap(ShownFolder::id, Function.identity()));
        Map<UUID, FileText> texts = new LinkedHashMap<>();
        Map<UUID, FileFolder> places = new LinkedHashMap<>();
        Map<UUID, KeptStyle> looks = new LinkedHashMap<>();
        Map<UUID, FileText> made = new LinkedHashMap<>();
        Set<UUID> named = new LinkedHashSet<>();
        styles.all().stream().filter(KeptStyle::usual).forEach(style -> looks.put(style.id(), style));
        for (UUID id : wanted) {
            Template template = transfer.given(id, asking);
            texts.put(id, text(template, seen));
            place(template.folder(), seen, places);
            named.addAll(Mentioned.in(template.design()));
            if (template.houseStyle() != null) {
                looks.put(template.houseStyle(), styles.get(template.houseStyle()));
            }
        }
        for (UUID id : Set.copyOf(named)) {
            Optional<Template> part =
                    transfer.here(id, asking).filter(one -> !one.kind().whole());
            part.map(one -> transfer.given(id, asking)).ifPresent(one -> {
                made.put(id, text(one, seen));
                named.addAll(Mentioned.in(one.design()));
            });
        }
        List<FileStyle> written = looks.values().stream().map(this::style).toList();
        written.forEach(style -> named.addAll(Mentioned.in(style.look().toString())));
        List<FileText> all = new ArrayList<>(made.values().stream()
                .sorted((one, other) -> one.id().compareTo(other.id()))
                .toList());
        all.addAll(texts.values());
        Set<UUID> attached = texts.values().stream()
                .flatMap(one -> one.files().stream())
                .collect(Collectors.toCollection(LinkedHashSet::new));
        return new LibraryFile(
                LibraryFile.FORMAT,
                LibraryFile.VERSION,
                team.house().name(),
                clock.instant(),
                List.copyOf(places.values()),
                written,
                all,
                pictures(named),
                files.some(List.copyOf(attached)).stream()
                        .map(file -> new FileContent(file.id(), file.name(), "", "", file.mediaType()))
                        .toList(),
                feeds.all().stream()
                        .filter(one -> named.contains(one.id()))
                        .map(one -> new FileFeed(
                                one.id(),
                                one.name(),
                                one.address(),
                                feeds.source(one.id()).orElse("")))
                        .toList());
    }

    /** Whether a folder is called something elsewhere too; what is personal or everybody’s is where it is brought to. */
    private static boolean named(ShownFolder folder) {
        return folder != null && !folder.personal() && !folder.id().equals(FolderRights.EVERYONE);
    }

    /** A folder, after those it lies in. */
    private void place(UUID id, Map<UUID, ShownFolder> seen, Map<UUID, FileFolder> places) {
        ShownFolder folder = id == null ? null : seen.get(id);
        if (!named(folder) || places.containsKey(id)) {
            return;
        }
        place(folder.parent(), seen, places);
        places.put(
                id,
                new FileFolder(
                        id,
                        places.containsKey(folder.parent()) ? folder.parent() : null,
                        folder.name(),
                        folder.own() ? sharing.written(folder.shares()) : List.of()));
    }

    private FileText text(Template template, Map<UUID, ShownFolder> seen) {
        boolean ofBlocks = !template.design().isEmpty();
        ShownFolder folder = template.folder() == null ? null : seen.get(template.folder());
        Optional<InLanguage> language = transfer.language(template.id());
        return new FileText(
                template.id(),
                template.kind(),
                template.name(),
                template.purpose(),
                template.about(),
                template.subject(),
                template.previewText(),
                ofBlocks ? "" : template.body(),
                template.mode(),
                ofBlocks ? json.readTree(template.design()) : null,
                template.houseStyle(),
                template.header(),
                template.footer(),
                template.files(),
                template.wishes(),
                template.plainText(),
                template.readyVersion() != null,
                named(folder) ? folder.id() : null,
                transfer.tags(template.id()),
                transfer.occasion(template.id()),
                language.map(InLanguage::language).orElse(null),
                language.map(InLanguage::root)
                        .filter(root -> !root.equals(template.id()))
                        .orElse(null));
    }

    private FileStyle style(KeptStyle style) {
        return new FileStyle(style.id(), json.readTree(HouseStyleJson.write(style.style())));
    }

    private List<FileContent> pictures(Set<UUID> named) {
        return pictures.some(named).stream()
                .map(one -> new FileContent(one.id(), one.name(), one.description(), one.category(), ""))
                .toList();
    }
}
