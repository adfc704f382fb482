package famulus.server.lists;

import famulus.core.condition.Condition;
import famulus.core.record.PlainLine;
import famulus.core.sharing.Right;
import famulus.server.folders.FolderNames;
import famulus.server.folders.FolderRights;
import famulus.server.folders.FolderService;
import famulus.server.folders.FolderService.FolderToRemove;
import famulus.server.lists.RecordListMapper.ListRow;
import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import famulus.server.records.CatalogueService;
import famulus.server.records.CrmKind;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Duration;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lists of records that are kept: live ones, which have whatever a condition holds for, and fixed ones, gathered by hand. */
@Service
public class RecordLists {
    private static final int LONGEST_NAME = 80;
    private static final int LONGEST_SORT = 60;
    /** So many records a fixed list has at most. */
    private static final int MOST_MEMBERS = 100_000;
    /** A list that was deleted can be brought back for so long. */
    private static final Duration IN_BIN = Duration.ofDays(1);

    private final RecordListMapper mapper;
    private final ListRights rights;
    private final ListParts parts;
    private final ConditionService conditions;
    private final CatalogueService catalogues;
    private final FolderRights folders;
    private final FolderService folderService;
    private final FolderNames names;
    private final TeamService team;
    private final Ids ids;
    private final Clock clock;

    RecordLists(
            RecordListMapper mapper,
            ListRights rights,
            ListParts parts,
            ConditionService conditions,
            CatalogueService catalogues,
            FolderRights folders,
            FolderService folderService,
            FolderNames names,
            TeamService team,
            Ids ids,
            Clock clock) {
        this.mapper = mapper;
        this.rights = rights;
        this.parts = parts;
        this.conditions = conditions;
        this.catalogues = catalogues;
        this.folders = folders;
        this.folderService = folderService;
        this.names = names;
        this.team = team;
        this.ids = ids;
        this.clock = clock;
    }

    /**
     * A list as whoever asks sees it.
     *
     * @param live whether it has whatever its condition holds for
     * @param condition in its written form; empty for a fixed list
     * @param sentence the condition in words; empty for a fixed list
     * @param members how many records a fixed list has; 0 for a live one
     * @param base a fixed list that all of them are on; null for none
     * @param baseName empty for none, and for one that whoever asks does not see
     * @param minus a list whose records are left out; null for none
     * @param minusName likewise
     * @param deals a list of deals whose contacts they are; null for none
     * @param dealsName likewise
     * @param role what they are to these deals; empty for whatever
     * @param folder where it lies
     * @param folderName empty for somebody's own folder
     * @param owner whose it is, by first name
     * @param mayChange whether they may change it
     */
    public record ShownList(
            UUID id,
            CrmKind kind,
            String name,
            boolean live,
            String condition,
            String sentence,
            String sort,
            boolean descending,
            int members,
            @Schema(nullable = true) UUID base,
            String baseName,
            @Schema(nullable = true) UUID minus,
            String minusName,
            @Schema(nullable = true) UUID deals,
            String dealsName,
            String role,
            UUID folder,
            String folderName,
            String owner,
            boolean mine,
            boolean mayChange,
            int version) {}

    /**
     * A list as it is typed.
     *
     * @param condition its written form; null for a fixed list, and to leave it as it is
     * @param folder null for the folder of whoever makes it, and to leave it where it is
     * @param base a fixed list that all of them are on; null for none
     * @param minus a list whose records are left out; null for none
     * @param deals a list of deals whose contacts they are; null for none
     * @param role what they are to these deals; null for whatever
     */
    public record TypedList(
            String name,
            @Schema(nullable = true) String condition,
            @Schema(nullable = true) String sort,
            @Schema(nullable = true) Boolean descending,
            @Schema(nullable = true) UUID folder,
            @Schema(nullable = true) UUID base,
            @Schema(nullable = true) UUID minus,
            @Schema(nullable = true) UUID deals,
            @Schema(nullable = true) String role) {

        /** A list that is not made of others; a fixed one where there is no condition. */
        public static TypedList simple(String name, String condition, String sort, UUID folder) {
            return new TypedList(name, condition, sort, false, folder, null, null, null, null);
        }
    }

    /** The lists of a kind that somebody sees, by name. */
    public List<ShownList> all(CrmKind kind, Colleague asking) {
        Map<UUID, String> folderNames = names.seen(asking);
        Map<UUID, Colleague> owners = team.all().stream().collect(Collectors.toMap(Colleague::id, Function.identity()));
        return mapper.seen(kind.word(), asking).stream()
                .map(row -> shown(row, folderNames, owners, asking))
                .toList();
    }

    /** A list; for those who may not see it there is none. */
    public ShownList list(UUID id, Colleague asking) {
        ListRow row = rights.mustBeSeen(ListParts.there(mapper.byId(id)), asking);
        return shown(
                row,
                names.seen(asking),
                team.all().stream().collect(Collectors.toMap(Colleague::id, Function.identity())),
                asking);
    }

    private ShownList shown(ListRow row, Map<UUID, String> folderNames, Map<UUID, Colleague> owners, Colleague asking) {
        CrmKind kind = CrmKind.of(row.kind());
        return new ShownList(
                row.id(),
                kind,
                row.name(),
                row.live(),
                row.condition() == null ? "" : row.condition(),
                row.condition() != null
                        ? new RecordScope(kind).words(catalogues.catalogue()).of(conditions.parsed(row.condition()))
                        : "",
                row.sortedBy(),
                row.descending(),
                row.members(),
                row.baseId(),
                parts.nameOf(row.baseId(), asking),
                row.minusId(),
                parts.nameOf(row.minusId(), asking),
                row.dealsId(),
                parts.nameOf(row.dealsId(), asking),
                row.dealRole(),
                row.folderId(),
                folderNames.getOrDefault(row.folderId(), ""),
                Optional.ofNullable(owners.get(row.ownerId()))
                        .map(Colleague::firstName)
                        .orElse(""),
                row.ownerId().equals(asking.id()),
                rights.mayChange(row, asking),
                row.version());
    }

    /** Keeps a list: a live one where there is a condition. It is its maker's alone unless it lies in a shared folder. */
    @Transactional
    public ShownList add(CrmKind kind, TypedList typed, Colleague by) {
        UUID folder = typed.folder() == null ? folders.personal(by.id()) : typed.folder();
        folderService.mustMay(Right.CHANGE, folder, by);
        Optional.ofNullable(typed.minus()).ifPresent(minus -> parts.mustBeSimple(minus, kind, "minus", by));
        Optional.ofNullable(typed.base()).ifPresent(base -> parts.mustBeSimple(base, kind, "base", by));
        Optional.ofNullable(typed.deals()).ifPresent(deals -> parts.ofDeals(deals, typed.role(), kind, by));
        boolean withoutCondition =
                typed.condition() == null || typed.condition().isBlank();
        boolean ofLists = typed.base() != null || typed.deals() != null;
        if (typed.minus() != null && !ofLists && withoutCondition) {
            throw Refusal.field("minus", "Say whose records the list is to have first.");
        }
        ListRow row = new ListRow(
                ids.next(),
                kind.word(),
                name(typed.name()),
                typed.condition() == null || ofLists && withoutCondition ? null : sound(kind, typed.condition(), by),
                sort(typed.sort()),
                Boolean.TRUE.equals(typed.descending()),
                folder,
                by.id(),
                1,
                clock.instant(),
                0,
                null,
                typed.minus(),
                typed.base(),
                typed.deals(),
                typed.deals() == null ? "" : ListParts.role(typed.role()));
        refuseTaken(row);
        mapper.insert(row);
        return list(row.id(), by);
    }

    /** Changes a list; refused when somebody else has changed it since it was read. */
    @Transactional
    public ShownList change(UUID id, int version, TypedList typed, Colleague by) {
        ListRow before = rights.mustBeChangeable(ListParts.there(mapper.byId(id)), by);
        CrmKind kind = CrmKind.of(before.kind());
        if (typed.condition() != null && !before.live()) {
            throw Refusal.field("condition", "This list is fixed. Save the condition as a list of its own.");
        }
        UUID folder = typed.folder() == null ? before.folderId() : typed.folder();
        if (!folder.equals(before.folderId())) {
            folderService.mustMay(Right.CHANGE, folder, by);
        }
        ListRow row = new ListRow(
                id,
                before.kind(),
                typed.name() == null ? before.name() : name(typed.name()),
                typed.condition() == null ? before.condition() : sound(kind, typed.condition(), by),
                typed.sort() == null ? before.sortedBy() : sort(typed.sort()),
                typed.descending() == null ? before.descending() : typed.descending(),
                folder,
                before.ownerId(),
                version,
                clock.instant(),
                before.members(),
                null,
                before.minusId(),
                before.baseId(),
                before.dealsId(),
                before.dealRole());
        refuseTaken(row);
        if (mapper.update(row) == 0) {
            throw Refusal.changedMeanwhile("Somebody else has changed this list. Open it again.");
        }
        return list(id, by);
    }

    /** No column has a longer name; one that is none sorts by the first. */
    private static String sort(String typed) {
        return typed == null || typed.length() > LONGEST_SORT ? "" : typed;
    }

    private String name(String typed) {
        PlainLine.refusal(typed, LONGEST_NAME, true).ifPresent(sentence -> {
            throw Refusal.field("name", sentence);
        });
        return typed.strip();
    }

    private void refuseTaken(ListRow row) {
        if (mapper.named(row.kind(), row.name(), row.folderId(), row.id())) {
            throw Refusal.field("name", "There is a list of this name in the folder already.");
        }
    }

    private String sound(CrmKind kind, String written, Colleague by) {
        Condition condition = conditions.sound(new RecordScope(kind), written, by);
        return condition.written();
    }

    /** Deletes a list; its records stay. It can be brought back for a day. */
    @Transactional
    public void delete(UUID id, Colleague by) {
        ListRow row = rights.mustBeChangeable(ListParts.there(mapper.byId(id)), by);
        List<ListRow> madeOfIt = mapper.madeOf(id);
        if (!madeOfIt.isEmpty()) {
            String names = madeOfIt.stream()
                    .filter(one -> rights.maySee(one, by))
                    .map(one -> "“" + one.name() + "”")
                    .collect(Collectors.joining(", "));
            throw Refusal.because(
                    "in-use",
                    (names.isEmpty() ? "A list that you don’t see" : names)
                            + " is made of this list. Delete that first.");
        }
        mapper.erase(clock.instant().minus(IN_BIN));
        mapper.delete(row.id(), clock.instant());
    }

    /** Brings a list back that was deleted. */
    @Transactional
    public ShownList bringBack(UUID id, Colleague by) {
        ListRow row = rights.mustBeChangeable(mapper.byId(id), by);
        refuseTaken(row);
        mapper.delete(row.id(), null);
        return list(id, by);
    }

    /** Puts records onto a fixed list, and returns how many it did not have before. */
    @Transactional
    public int put(UUID id, Collection<UUID> records, Colleague by) {
        ListRow row = fixed(id, by);
        if (row.members() + records.size() > MOST_MEMBERS) {
            throw Refusal.because("full", "A list has 100,000 records at most.");
        }
        int added = mapper.add(id, records, by.id(), clock.instant());
        mapper.count(id, added, clock.instant());
        return added;
    }

    /** Takes records off a fixed list, and returns how many it had. */
    @Transactional
    public int take(UUID id, Collection<UUID> records, Colleague by) {
        fixed(id, by);
        int taken = records.stream().mapToInt(record -> mapper.take(id, record)).sum();
        mapper.count(id, -taken, clock.instant());
        return taken;
    }

    /** Refused where a list does not have records of a kind. */
    void mustHold(UUID id, CrmKind kind, Colleague asking) {
        ListRow row = rights.mustBeSeen(ListParts.there(mapper.byId(id)), asking);
        if (!row.kind().equals(kind.word())) {
            throw Refusal.because("kind", "“" + row.name() + "” is a list of " + row.kind() + "s.");
        }
    }

    private ListRow fixed(UUID id, Colleague by) {
        ListRow row = rights.mustBeChangeable(ListParts.there(mapper.hold(id)), by);
        if (row.live()) {
            throw Refusal.because("live", "“" + row.name() + "” is a live list: its condition says what is on it.");
        }
        return row;
    }

    @EventListener
    void refuseToRemove(FolderToRemove folder) {
        if (mapper.liesIn(folder.id())) {
            throw Refusal.because("not-empty", "There are lists in this folder. Move or delete them first.");
        }
        mapper.eraseIn(folder.id());
    }
}
