package famulus.server.interchange;

import famulus.core.message.body.HouseStyleJson;
import famulus.core.record.PlainLine;
import famulus.server.interchange.LibraryFile.FileContent;
import famulus.server.interchange.LibraryFile.FileFeed;
import famulus.server.interchange.LibraryFile.FileFolder;
import famulus.server.interchange.LibraryFile.FileShare;
import famulus.server.interchange.LibraryFile.FileStyle;
import famulus.server.interchange.LibraryFile.FileText;
import famulus.server.interchange.LibraryReport.State;
import famulus.server.library.Draft;
import famulus.server.library.Template;
import famulus.server.library.TemplateKind;
import famulus.server.library.TemplateTransfer;
import famulus.server.materials.FeedService;
import famulus.server.materials.FeedService.Feed;
import famulus.server.materials.FileService;
import famulus.server.materials.HouseStyleService;
import famulus.server.materials.HouseStyleService.KeptStyle;
import famulus.server.materials.PictureService;
import famulus.server.materials.UsableMaterials;
import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What a file of templates has, beside what is here for somebody. */
final class LibraryReading {
    /**
     * Something of a file, and how it stands to what is here.
     *
     * @param remark why it can’t be taken, or what takes its place
     * @param here what is here in its place; null for nothing
     * @param replaceable whether ours may be replaced by it
     */
    record Standing<T>(T thing, State state, String remark, UUID here, boolean replaceable) {}

    /** What there is here that a file is compared with. */
    @Component
    record Here(
            TemplateTransfer transfer,
            HouseStyleService styles,
            PictureService pictures,
            FileService files,
            FeedService feeds,
            UsableMaterials materials,
            Ids ids,
            LibraryDrafts drafts) {}

    private static final int LONGEST_NAME = 120;

    private final Here here;
    private final LibraryZip zip;
    private final Colleague asking;
    private final Map<UUID, FileFolder> folders;
    private final List<Standing<FileStyle>> styles;
    private final List<Standing<FileContent>> pictures;
    private final List<Standing<FileContent>> files;
    private final List<Standing<FileFeed>> feeds;
    private final List<Standing<FileText>> texts;
    /** What stands here in the place of something of the file, where that has another identifier. */
    private final Map<UUID, UUID> instead = new HashMap<>();

    LibraryReading(LibraryZip zip, Here here, Colleague asking) {
        this.here = here;
        this.zip = zip;
        this.asking = asking;
        LibraryFile library = zip.library();
        folders = library.folders().stream()
                .filter(one -> one.id() != null)
                .collect(Collectors.toMap(FileFolder::id, Function.identity(), (one, other) -> one));
        styles = library.styles().stream()
                .filter(one -> one.id() != null)
                .map(this::style)
                .toList();
        pictures = library.pictures().stream()
                .filter(one -> one.id() != null)
                .map(this::picture)
                .toList();
        files = library.files().stream()
                .filter(one -> one.id() != null)
                .map(this::file)
                .toList();
        feeds = library.feeds().stream()
                .filter(one -> one.id() != null)
                .map(this::feed)
                .toList();
        Set<UUID> once = new LinkedHashSet<>();
        texts = library.texts().stream()
                .filter(one -> one.id() != null && one.kind() != null && once.add(one.id()))
                .map(this::text)
                .toList();
    }

    /** The names of the folders of a thing, from the outside in; of folders in a ring, those before it closes. */
    List<String> path(UUID folder) {
        List<String> path = new ArrayList<>();
        Set<UUID> been = new LinkedHashSet<>();
        for (FileFolder one = folders.get(folder); one != null && been.add(one.id()); one = folders.get(one.parent())) {
            path.addFirst(LibraryDrafts.said(one.name()));
        }
        return path;
    }

    /** How a folder of the path of a thing was shared there, counted from the outside in, from one. */
    List<FileShare> shares(UUID folder, int which) {
        List<FileFolder> path = new ArrayList<>();
        for (FileFolder one = folders.get(folder);
                one != null && !path.contains(one);
                one = folders.get(one.parent())) {
            path.addFirst(one);
        }
        return path.get(which - 1).shares();
    }

    private Standing<FileStyle> style(FileStyle style) {
        Optional<KeptStyle> same = here.styles().seen(asking).stream()
                .filter(one -> one.id().equals(style.id()) || one.style().name().equals(LibraryDrafts.name(style)))
                .findFirst();
        if (same.isPresent()) {
            return like(style, same.get());
        }
        if (!asking.is(Role.KEEPER, Role.ADMINISTRATOR)) {
            return new Standing<>(
                    style,
                    State.LEFT,
                    "Only editors and administrators add styles. The default one is used.",
                    null,
                    false);
        }
        return readable(style)
                ? new Standing<>(style, State.NEW, "", null, false)
                : new Standing<>(style, State.LEFT, "It can’t be read. The default one is used.", null, false);
    }

    /** A style that one here stands for, by its identifier or its name. Who can’t add one isn’t asked about it. */
    private Standing<FileStyle> like(FileStyle style, KeptStyle ours) {
        instead.put(style.id(), ours.id());
        boolean alike = HouseStyleJson.write(ours.style()).equals(LibraryDrafts.look(style));
        boolean asked = !alike && here.styles().mayChange(ours.id(), asking) && readable(style);
        return new Standing<>(
                style,
                asked ? State.OTHER : State.SAME,
                alike || asked ? "" : "Ours of this name is used.",
                ours.id(),
                asked);
    }

    private boolean readable(FileStyle style) {
        try {
            here.styles().read(LibraryDrafts.look(style));
            return true;
        } catch (Refusal wrong) {
            return false;
        }
    }

    private Standing<FileContent> picture(FileContent picture) {
        return content(picture, here.pictures().has(picture.id()), bytes -> here.pictures()
                .fault(bytes));
    }

    private Standing<FileContent> file(FileContent file) {
        return content(
                file, !here.files().some(List.of(file.id())).isEmpty(), bytes -> FileService.fault(file.name(), bytes)
                        .flatMap(refused -> refused.fields().values().stream().findFirst()));
    }

    /** One of the same identifier or name is that one. */
    private Standing<FileFeed> feed(FileFeed feed) {
        String name = LibraryDrafts.said(feed.name());
        Optional<Feed> ours = here.feeds().all().stream()
                .filter(one -> one.id().equals(feed.id()) || one.name().equals(name))
                .findFirst();
        if (ours.isPresent()) {
            instead.put(feed.id(), ours.get().id());
            return new Standing<>(feed, State.SAME, "", ours.get().id(), false);
        }
        Optional<String> wrong = asking.is(Role.KEEPER, Role.ADMINISTRATOR)
                ? PlainLine.refusal(name, LONGEST_NAME, true)
                        .or(() -> FeedService.fault(LibraryDrafts.said(feed.source())))
                : Optional.of("Only editors and administrators add feeds.");
        String remark = LibraryDrafts.said(feed.address()).isEmpty() || asking.is(Role.ADMINISTRATOR)
                ? ""
                : "As it was read last: only an administrator enters the address of a feed.";
        return wrong.map(why -> new Standing<>(feed, State.LEFT, why, null, false))
                .orElseGet(() -> new Standing<>(feed, State.NEW, remark, null, false));
    }

    private Standing<FileContent> content(FileContent one, boolean there, Function<byte[], Optional<String>> fault) {
        if (there && here.materials().hidden(Set.of(one.id()), asking).isEmpty()) {
            return new Standing<>(one, State.SAME, "", one.id(), false);
        }
        if (there) {
            // What lies where it can't be seen from here is not known to be there.
            instead.put(one.id(), here.ids().next());
        }
        Optional<String> wrong = PlainLine.refusal(LibraryDrafts.said(one.name()), LONGEST_NAME, true);
        byte[] bytes = zip.bytes().get(one.id());
        if (wrong.isEmpty()) {
            wrong = bytes == null ? Optional.of("It is named in the file, and isn’t in it.") : fault.apply(bytes);
        }
        return wrong.map(why -> new Standing<>(one, State.LEFT, why, null, false))
                .orElseGet(() -> new Standing<>(one, State.NEW, "", null, false));
    }

    private Standing<FileText> text(FileText text) {
        if (text.kind() != TemplateKind.TEMPLATE
                && text.kind() != TemplateKind.PASSAGE
                && text.kind() != TemplateKind.SIGNATURE) {
            return new Standing<>(text, State.LEFT, "Headers and footers come with their style.", null, false);
        }
        Optional<String> fault = readable(text);
        if (fault.isPresent()) {
            return new Standing<>(text, State.LEFT, fault.get(), null, false);
        }
        Optional<Template> there = here.transfer().here(text.id(), asking);
        if (there.isEmpty()) {
            return new Standing<>(text, State.NEW, "", null, false);
        }
        Template ours = there.get();
        boolean same = Draft.of(ours).equals(here.drafts().draft(text, instead, List.of(), ours))
                && Set.copyOf(here.transfer().tags(ours.id())).equals(Set.copyOf(text.tags()))
                && here.transfer().meantFor(ours.id(), text.occasion());
        boolean may = here.transfer().mayChange(ours, asking);
        return same
                ? new Standing<>(text, State.SAME, "", ours.id(), false)
                : new Standing<>(text, State.OTHER, may ? "" : "You may not change ours.", ours.id(), may);
    }

    /** What is wrong with a text before anything else of the file is here. */
    private Optional<String> readable(FileText text) {
        try {
            return here.transfer()
                    .fault(here.drafts()
                            .draft(text, Map.of(), List.of(), null)
                            .carrying(List.of())
                            .mustBeReadable());
        } catch (Refusal refused) {
            return Optional.of(refused.fields().values().stream().findFirst().orElse(refused.getMessage()));
        }
    }

    /** The file itself. */
    LibraryZip zip() {
        return zip;
    }

    List<Standing<FileStyle>> styles() {
        return styles;
    }

    List<Standing<FileContent>> pictures() {
        return pictures;
    }

    List<Standing<FileContent>> files() {
        return files;
    }

    List<Standing<FileFeed>> feeds() {
        return feeds;
    }

    /** Templates, passages and signatures, each once. */
    List<Standing<FileText>> texts() {
        return texts;
    }

    /** What stands here in the place of something of the file that has another identifier there. */
    Map<UUID, UUID> instead() {
        return Map.copyOf(instead);
    }
}
