package famulus.server.interchange;

import famulus.core.sharing.Right;
import famulus.server.folders.FolderList;
import famulus.server.folders.FolderRights;
import famulus.server.folders.FolderService;
import famulus.server.folders.FolderService.TypedFolder;
import famulus.server.folders.FolderShare;
import famulus.server.folders.ShownFolder;
import famulus.server.interchange.LibraryFile.FileContent;
import famulus.server.interchange.LibraryFile.FileStyle;
import famulus.server.interchange.LibraryFile.FileText;
import famulus.server.interchange.LibraryReading.Standing;
import famulus.server.interchange.LibraryReport.Answer;
import famulus.server.interchange.LibraryReport.Answered;
import famulus.server.interchange.LibraryReport.LibraryDone;
import famulus.server.interchange.LibraryReport.State;
import famulus.server.interchange.LibraryReport.Thing;
import famulus.server.interchange.LibraryReport.Wanted;
import famulus.server.interchange.LibraryReport.What;
import famulus.server.library.Template;
import famulus.server.library.TemplateKind;
import famulus.server.library.TemplateTransfer.Sorting;
import famulus.server.materials.HouseStyleService.KeptStyle;
import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes in templates that another installation, or this one, has given out: all that can be taken in one step, or nothing. */
@Service
class LibraryImport {
    private final LibraryReading.Here here;
    private final FolderList folders;
    private final FolderService places;
    private final FolderRights rights;
    private final LibrarySharing sharing;
    private final Ids ids;
    private final Clock clock;

    LibraryImport(
            LibraryReading.Here here,
            FolderList folders,
            FolderService places,
            FolderRights rights,
            LibrarySharing sharing,
            Ids ids,
            Clock clock) {
        this.here = here;
        this.folders = folders;
        this.places = places;
        this.rights = rights;
        this.sharing = sharing;
        this.ids = ids;
        this.clock = clock;
    }

    /** Says what an import would do. Nothing is written. */
    LibraryReport look(LibraryZip zip, Colleague asking) {
        LibraryReading reading = new LibraryReading(zip, here, asking);
        List<Thing> things = new ArrayList<>();
        reading.styles()
                .forEach(one -> things.add(
                        thing(one, one.thing().id(), What.STYLE, LibraryDrafts.name(one.thing()), List.of())));
        reading.pictures()
                .forEach(one -> things.add(
                        thing(one, one.thing().id(), What.PICTURE, one.thing().name(), List.of())));
        reading.files()
                .forEach(one -> things.add(
                        thing(one, one.thing().id(), What.FILE, one.thing().name(), List.of())));
        reading.feeds()
                .forEach(one -> things.add(
                        thing(one, one.thing().id(), What.FEED, one.thing().name(), List.of())));
        reading.texts()
                .forEach(one -> things.add(thing(
                        one,
                        one.thing().id(),
                        what(one.thing().kind()),
                        one.thing().name(),
                        reading.path(one.thing().folder()))));
        List<State> first = List.of(State.LEFT, State.OTHER, State.NEW, State.SAME);
        things.sort(Comparator.comparing((Thing one) -> first.indexOf(one.state()))
                .thenComparing(Thing::what)
                .thenComparing(Thing::name));
        return new LibraryReport(
                LibraryDrafts.said(zip.library().company()),
                things,
                zip.library().folders().stream()
                        .filter(folder -> !sharing.here(folder.shares()).isEmpty())
                        .map(folder -> LibraryDrafts.said(folder.name()))
                        .toList(),
                sharing.strangers(zip.library().folders().stream()
                        .flatMap(folder -> folder.shares().stream())
                        .toList()),
                here.drafts().missing(zip));
    }

    private static Thing thing(Standing<?> one, UUID id, What what, String name, List<String> path) {
        return new Thing(id, what, LibraryDrafts.said(name), path, one.state(), one.remark(), one.replaceable());
    }

    private static What what(TemplateKind kind) {
        return switch (kind) {
            case TEMPLATE, MAILING -> What.TEMPLATE;
            case PASSAGE -> What.PASSAGE;
            case SIGNATURE -> What.SIGNATURE;
            case HEADER, FOOTER -> What.STYLE;
        };
    }

    /** Imports; whatever fails on the way, nothing has been imported then. */
    @Transactional
    public LibraryDone run(LibraryZip zip, Wanted wanted, Colleague by) {
        LibraryReading reading = new LibraryReading(zip, here, by);
        UUID target = wanted.folder() == null ? rights.personal(by.id()) : wanted.folder();
        places.mustMay(Right.CHANGE, target, by);
        Map<UUID, Answer> answers = wanted.single() == null
                ? Map.of()
                : wanted.single().stream()
                        .filter(one -> one.id() != null && one.answer() != null)
                        .collect(Collectors.toMap(Answered::id, Answered::answer, (one, other) -> other));
        Answer others = wanted.others() == null ? Answer.SKIP : wanted.others();
        return new Writing(
                        reading,
                        target,
                        Boolean.TRUE.equals(wanted.sharing()),
                        id -> answers.getOrDefault(id, others),
                        by)
                .all();
    }

    /** An import as it is done. */
    private final class Writing {
        private final LibraryReading reading;
        private final UUID target;
        private final boolean shared;
        private final Function<UUID, Answer> answers;
        private final Colleague by;
        private final Map<UUID, UUID> instead;
        private final List<UUID> gone = new ArrayList<>();
        private final Map<UUID, UUID> made = new HashMap<>();
        /** Where the folders of the file are here, by their path. */
        private final Map<List<String>, UUID> placed = new HashMap<>();

        private int added;
        private int replaced;
        private int skipped;
        private int left;

        Writing(LibraryReading reading, UUID target, boolean shared, Function<UUID, Answer> answers, Colleague by) {
            this.shared = shared;
            this.reading = reading;
            this.target = target;
            this.answers = answers;
            this.by = by;
            this.instead = new HashMap<>(reading.instead());
        }

        LibraryDone all() {
            reading.styles().forEach(this::style);
            reading.pictures()
                    .forEach(one -> content(one, () -> here.pictures()
                            .keep(
                                    instead.getOrDefault(
                                            one.thing().id(), one.thing().id()),
                                    one.thing().name(),
                                    LibraryDrafts.said(one.thing().description()),
                                    LibraryDrafts.said(one.thing().category()),
                                    reading.zip().bytes().get(one.thing().id()),
                                    target,
                                    by.id(),
                                    clock.instant())));
            reading.files()
                    .forEach(one -> content(one, () -> here.files()
                            .keep(
                                    instead.getOrDefault(
                                            one.thing().id(), one.thing().id()),
                                    one.thing().name(),
                                    reading.zip().bytes().get(one.thing().id()),
                                    target,
                                    by)));
            reading.feeds().stream()
                    .filter(one -> one.state() == State.NEW)
                    .map(Standing::thing)
                    .forEach(one -> here.feeds().bring(one.id(), one.name().strip(), one.address(), one.source(), by));
            for (TemplateKind kind : List.of(TemplateKind.PASSAGE, TemplateKind.SIGNATURE, TemplateKind.TEMPLATE)) {
                reading.texts().stream()
                        .filter(one -> one.thing().kind() == kind)
                        .forEach(this::text);
            }
            reading.texts().forEach(one -> join(one.thing()));
            return new LibraryDone(added, replaced, skipped, left);
        }

        private void style(Standing<FileStyle> one) {
            FileStyle style = one.thing();
            Answer answer = one.state() == State.OTHER ? answers.apply(style.id()) : Answer.SKIP;
            if (one.state() == State.NEW) {
                instead.put(
                        style.id(),
                        here.styles().add(LibraryDrafts.look(style), null, by).id());
            } else if (answer == Answer.KEEP_BOTH) {
                String look = LibraryDrafts.look(style, free(LibraryDrafts.name(style)));
                instead.put(style.id(), here.styles().add(look, null, by).id());
            } else if (answer == Answer.REPLACE) {
                // It goes on under the name that it has here.
                KeptStyle ours = here.styles().get(one.here());
                String look = LibraryDrafts.look(style, ours.style().name());
                here.styles().change(ours.id(), ours.version(), look, by);
                replaced++;
            } else if (one.state() == State.OTHER) {
                skipped++;
            }
        }

        /** A name that no style has yet. */
        private String free(String name) {
            Set<String> taken = here.styles().all().stream()
                    .map(kept -> kept.style().name())
                    .collect(Collectors.toSet());
            return Stream.iterate(2, number -> number + 1)
                    .map(number -> name + " " + number)
                    .filter(one -> !taken.contains(one))
                    .findFirst()
                    .orElseThrow();
        }

        private void content(Standing<FileContent> one, Runnable keep) {
            if (one.state() == State.NEW) {
                keep.run();
            } else if (one.state() == State.LEFT) {
                gone.add(one.thing().id());
            }
        }

        private void text(Standing<FileText> one) {
            FileText text = one.thing();
            Answer answer = one.state() == State.OTHER ? answers.apply(text.id()) : Answer.SKIP;
            if (one.state() == State.LEFT) {
                left++;
            } else if (one.state() == State.NEW || answer == Answer.KEEP_BOTH) {
                UUID id = one.state() == State.NEW && here.transfer().free(text.id()) ? text.id() : ids.next();
                instead.put(text.id(), id);
                made.put(text.id(), id);
                UUID folder = text.kind() == TemplateKind.TEMPLATE ? place(text.folder()) : FolderRights.EVERYONE;
                here.transfer()
                        .bring(
                                id,
                                here.drafts().draft(text, instead, gone, null),
                                folder,
                                new Sorting(text.tags(), text.occasion()),
                                text.ready(),
                                by);
                added++;
            } else if (answer == Answer.REPLACE) {
                Template ours =
                        here.transfer().here(one.here(), by).orElseThrow(() -> Refusal.missing("This template"));
                here.transfer()
                        .replace(
                                ours,
                                here.drafts().draft(text, instead, gone, null),
                                new Sorting(text.tags(), text.occasion()),
                                text.ready(),
                                by);
                replaced++;
            } else {
                skipped++;
            }
        }

        /** Variants of the file that were all added are variants here. */
        private void join(FileText text) {
            UUID root = text.variantOf() == null ? made.get(text.id()) : made.get(text.variantOf());
            UUID mine = made.get(text.id());
            if (text.language() != null && root != null && mine != null) {
                here.transfer().join(mine, root, text.language());
            }
        }

        /** The folder here that stands for one of the file: of the same name below the same one, or made now. */
        private UUID place(UUID folder) {
            List<String> path = reading.path(folder);
            UUID known = placed.get(path);
            if (known != null) {
                return known;
            }
            UUID at = target;
            int far = 0;
            for (String name : path) {
                far++;
                UUID below = at;
                List<FolderShare> shares = shared ? sharing.here(reading.shares(folder, far)) : List.of();
                at = folders.all(by).stream()
                        .filter(one -> below.equals(one.parent()) && one.name().equals(name))
                        .map(ShownFolder::id)
                        .findFirst()
                        .orElseGet(() -> places.add(new TypedFolder(name, below), shares, by));
            }
            placed.put(path, at);
            return at;
        }
    }
}
