package famulus.server.lists;

import famulus.core.condition.Condition;
import famulus.server.lists.PeopleService.Counted;
import famulus.server.lists.RecordFilterService.Filtered;
import famulus.server.lists.RecordFilterService.OfDeals;
import famulus.server.lists.RecordFilterService.Wanted;
import famulus.server.lists.RecordFilterService.Without;
import famulus.server.lists.RecordLists.ShownList;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.records.RecordListService;
import famulus.server.records.RecordListService.LedgerColumn;
import famulus.server.records.RecordListService.LedgerLine;
import famulus.server.records.RecordListService.LedgerPart;
import famulus.server.records.RecordListService.LedgerWindow;
import famulus.server.records.RecordService;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** What is shown of a list that a condition or a kept list narrows, and which of its records somebody has chosen. */
@Service
public class ChosenRecords {
    /** So many can be looked through for what has changed. */
    private static final int MOST_COMPARED = 5_000;

    private static final int MOST_NAMED = 20;

    private final RecordFilterService filters;
    private final ConditionService conditions;
    private final RecordLists lists;
    private final ListParts parts;
    private final ListLooks looks;
    private final RecordListService ledgers;
    private final RecordService records;

    ChosenRecords(
            RecordFilterService filters,
            ConditionService conditions,
            RecordLists lists,
            ListParts parts,
            ListLooks looks,
            RecordListService ledgers,
            RecordService records) {
        this.filters = filters;
        this.conditions = conditions;
        this.lists = lists;
        this.parts = parts;
        this.looks = looks;
        this.ledgers = ledgers;
        this.records = records;
    }

    /**
     * What narrows a list.
     *
     * @param search beginnings of words; may be empty
     * @param where a condition in its written form; empty for none, and for that of a live list
     * @param list a list that is kept; null for none
     * @param minus a list whose records are left out; null for none but those that the kept list leaves out
     * @param deals a list of deals whose contacts are wanted; null for whatever deals, and for those of the kept list
     * @param role what the contacts are to these deals; null for whatever
     */
    public record Narrowed(
            String search,
            String where,
            @Schema(nullable = true) UUID list,
            @Schema(nullable = true) UUID minus,
            @Schema(nullable = true) UUID deals,
            @Schema(nullable = true) String role) {
        /** All that a condition and a kept list leave. */
        public Narrowed(String search, String where, UUID list) {
            this(search, where, list, null, null, null);
        }
    }

    /**
     * Records that somebody has chosen in a list.
     *
     * @param all whether they are all that {@code narrowed} leaves, but for {@code ids}; else they are {@code ids}
     */
    public record ListSelection(CrmKind kind, boolean all, List<UUID> ids, Narrowed narrowed) {}

    /**
     * A window of a list.
     *
     * @param error how much more or less the total may be, in 19 of 20 cases; 0 where it is exact
     * @param sought whether its lines are still to be found, among very many of which hardly any fit
     */
    public record NarrowedWindow(LedgerWindow window, int error, boolean sought) {}

    /**
     * Reads a window.
     *
     * @param soon whether an estimate of how many there are will do for now, where it takes a while to find them
     */
    public NarrowedWindow lines(
            CrmKind kind,
            Narrowed narrowed,
            String sort,
            boolean descending,
            int from,
            int most,
            boolean soon,
            Colleague asking) {
        Optional<Filtered> filtered = filtered(kind, narrowed, asking);
        if (soon
                && narrowed.search().isBlank()
                && filtered.filter(Filtered::sought).isPresent()) {
            Counted about = filtered.get().counted();
            LedgerWindow some = ledgers.lines(kind, new LedgerPart("", sort, descending, 0, 1), asking);
            return new NarrowedWindow(
                    new LedgerWindow(about.holds(), false, some.columns(), List.of()), about.error(), true);
        }
        LedgerPart part = new LedgerPart(narrowed.search(), sort, descending, from, most);
        LedgerWindow window = ledgers.lines(kind, part, filtered.orElse(null), asking);
        // Where words are looked for too, so many were gathered that their number is known.
        boolean known = filtered.isEmpty() || !narrowed.search().isBlank();
        int error = known || window.total() != filtered.get().counted().holds()
                ? 0
                : filtered.get().counted().error();
        return new NarrowedWindow(why(narrowed, window, asking), error, false);
    }

    /** Of a fixed list, with who put each onto it and when; why something is on a live one is its condition. */
    private LedgerWindow why(Narrowed narrowed, LedgerWindow window, Colleague asking) {
        Optional<ShownList> fixed = Optional.ofNullable(narrowed.list())
                .map(id -> lists.list(id, asking))
                .filter(one -> !one.live());
        if (fixed.isEmpty()) {
            return window;
        }
        Map<UUID, String> put = looks.put(
                fixed.get().id(), window.lines().stream().map(LedgerLine::id).toList());
        List<LedgerColumn> columns = new ArrayList<>(window.columns());
        columns.add(new LedgerColumn("put_on", "Put on", false, false));
        return new LedgerWindow(
                window.total(),
                window.more(),
                columns,
                window.lines().stream()
                        .map(line -> {
                            List<String> cells = new ArrayList<>(line.cells());
                            cells.add(put.getOrDefault(line.id(), ""));
                            return new LedgerLine(line.id(), cells);
                        })
                        .toList());
    }

    /**
     * What has changed on a list since somebody looked last.
     *
     * @param since when that was; null where they never did, and where the list has more than 5,000 records
     * @param came how many are on it now that were not, with the names of some
     * @param went how many were on it that are not
     */
    public record ListChanges(
            @Schema(nullable = true) Instant since,
            int came,
            List<String> cameNames,
            int went,
            List<String> wentNames) {
        static final ListChanges NONE = new ListChanges(null, 0, List.of(), 0, List.of());
    }

    /** What has changed on a list since somebody looked last. */
    public ListChanges changes(UUID id, Colleague asking) {
        ShownList list = lists.list(id, asking);
        Optional<Set<UUID>> now = members(list, asking);
        return now.flatMap(members -> looks.looked(id, asking).map(look -> {
                    Set<UUID> came = new LinkedHashSet<>(members);
                    came.removeAll(look.members());
                    Set<UUID> went = new LinkedHashSet<>(look.members());
                    went.removeAll(members);
                    return new ListChanges(
                            look.at(), came.size(), names(list.kind(), came), went.size(), names(list.kind(), went));
                }))
                .orElse(ListChanges.NONE);
    }

    /** Somebody has looked at a list as it is now. */
    public void look(UUID id, Colleague asking) {
        ShownList list = lists.list(id, asking);
        members(list, asking).ifPresent(members -> looks.look(id, members, asking));
    }

    private Optional<Set<UUID>> members(ShownList list, Colleague asking) {
        return filtered(list.kind(), new Narrowed("", "", list.id()), asking)
                .flatMap(one -> one.gathered(MOST_COMPARED));
    }

    private List<String> names(CrmKind kind, Set<UUID> some) {
        List<UUID> first = some.stream().limit(MOST_NAMED).toList();
        return records.names(kind, first).values().stream().sorted().toList();
    }

    /** How many there are exactly, however many; words that are looked for don't count. */
    public int exactly(CrmKind kind, Narrowed narrowed, Colleague asking) {
        return filtered(kind, narrowed, asking)
                .map(one -> one.countedExactly().holds())
                .orElseGet(() -> filters.total(new RecordScope(kind)));
    }

    private Optional<Filtered> filtered(CrmKind kind, Narrowed narrowed, Colleague asking) {
        Optional<ShownList> list = Optional.ofNullable(narrowed.list()).map(id -> lists.list(id, asking));
        if (list.filter(one -> one.kind() != kind).isPresent()) {
            throw Refusal.missing("This list");
        }
        RecordScope scope = new RecordScope(kind);
        Optional<Condition> typed = narrowed.where().isBlank()
                ? Optional.empty()
                : Optional.of(conditions.sound(scope, narrowed.where(), asking));
        list.filter(one -> typed.isEmpty() && !one.condition().isEmpty())
                .ifPresent(one -> conditions.sound(scope, one.condition(), asking));
        Wanted wanted = list.map(one -> parts.wanted(one, typed))
                .orElseGet(() -> new Wanted(typed, Optional.empty(), Optional.empty(), Optional.empty()));
        Optional<Without> out = Optional.ofNullable(narrowed.minus()).map(minus -> parts.leftOut(minus, kind, asking));
        Optional<OfDeals> deals =
                Optional.ofNullable(narrowed.deals()).map(which -> parts.ofDeals(which, narrowed.role(), kind, asking));
        Wanted all = new Wanted(wanted.condition(), wanted.list(), out.or(wanted::without), deals.or(wanted::deals));
        return all.equals(Wanted.ALL) ? Optional.empty() : Optional.of(filters.filtered(scope, all, asking));
    }

    /**
     * The records somebody has chosen, in no particular order; those that are not there are left out.
     *
     * @param most refused where there are more
     */
    public List<UUID> ids(ListSelection choice, int most, Colleague asking) {
        List<UUID> ids = choice.all()
                ? all(choice, asking)
                : List.copyOf(
                        records.names(choice.kind(), Set.copyOf(choice.ids())).keySet());
        if (ids.isEmpty()) {
            throw Refusal.because("nobody", "Choose a " + choice.kind().word() + " first.");
        }
        if (ids.size() > most) {
            throw Refusal.because(
                    "too-many",
                    "These are %,d %ss. Choose %,d at most at once."
                            .formatted(ids.size(), choice.kind().word(), most));
        }
        return ids;
    }

    /** Those of some records that are on a list. */
    public Set<UUID> onList(UUID list, Collection<UUID> some, Colleague asking) {
        ShownList shown = lists.list(list, asking);
        return filtered(shown.kind(), new Narrowed("", "", list), asking)
                .orElseThrow()
                .among(some);
    }

    /** Those of some records that a condition, in its written form, holds for. */
    public Set<UUID> fitting(CrmKind kind, String where, Collection<UUID> some, Colleague asking) {
        return filtered(kind, new Narrowed("", where, null), asking)
                .orElseThrow()
                .among(some);
    }

    private List<UUID> all(ListSelection choice, Colleague asking) {
        Set<UUID> but = new HashSet<>(choice.ids());
        Narrowed narrowed = choice.narrowed();
        return ledgers
                .all(
                        choice.kind(),
                        narrowed.search(),
                        filtered(choice.kind(), narrowed, asking).orElse(null))
                .stream()
                .filter(id -> !but.contains(id))
                .toList();
    }
}
