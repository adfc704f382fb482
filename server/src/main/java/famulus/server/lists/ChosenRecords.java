package famulus.server.lists;

import famulus.core.condition.Condition;
import famulus.server.lists.RecordFilterService.Filtered;
import famulus.server.lists.RecordLists.ShownList;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.records.RecordListService;
import famulus.server.records.RecordListService.LedgerPart;
import famulus.server.records.RecordListService.LedgerWindow;
import famulus.server.records.RecordService;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** What is shown of a list that a condition or a kept list narrows, and which of its records somebody has chosen. */
@Service
public class ChosenRecords {
    private final RecordFilterService filters;
    private final ConditionService conditions;
    private final RecordLists lists;
    private final RecordListService ledgers;
    private final RecordService records;

    ChosenRecords(
            RecordFilterService filters,
            ConditionService conditions,
            RecordLists lists,
            RecordListService ledgers,
            RecordService records) {
        this.filters = filters;
        this.conditions = conditions;
        this.lists = lists;
        this.ledgers = ledgers;
        this.records = records;
    }

    /**
     * What narrows a list.
     *
     * @param search beginnings of words; may be empty
     * @param where a condition in its written form; empty for none, and for that of a live list
     * @param list a list that is kept; null for none
     */
    public record Narrowed(String search, String where, @Schema(nullable = true) UUID list) {}

    /**
     * Records that somebody has chosen in a list.
     *
     * @param all whether they are all that {@code narrowed} leaves, but for {@code ids}; else they are {@code ids}
     */
    public record Choice(CrmKind kind, boolean all, List<UUID> ids, Narrowed narrowed) {}

    /**
     * A window of a list.
     *
     * @param error how much more or less the total may be, in 19 of 20 cases; 0 where it is exact
     */
    public record NarrowedWindow(LedgerWindow window, int error) {}

    /** Reads a window. */
    public NarrowedWindow lines(
            CrmKind kind, Narrowed narrowed, String sort, boolean descending, int from, int most, Colleague asking) {
        Optional<Filtered> filtered = filtered(kind, narrowed, asking);
        LedgerPart part = new LedgerPart(narrowed.search(), sort, descending, from, most);
        LedgerWindow window = ledgers.lines(kind, part, filtered.orElse(null), asking);
        // Where words are looked for too, so many were gathered that their number is known.
        boolean known = filtered.isEmpty() || !narrowed.search().isBlank();
        int error = known || window.total() != filtered.get().counted().holds()
                ? 0
                : filtered.get().counted().error();
        return new NarrowedWindow(window, error);
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
        String where =
                narrowed.where().isBlank() ? list.map(ShownList::condition).orElse("") : narrowed.where();
        Optional<Condition> condition =
                where.isBlank() ? Optional.empty() : Optional.of(conditions.sound(scope, where, asking));
        Optional<UUID> fixed = list.filter(one -> !one.live()).map(ShownList::id);
        return condition.isEmpty() && fixed.isEmpty()
                ? Optional.empty()
                : Optional.of(filters.filtered(scope, condition, fixed, asking));
    }

    /**
     * The records somebody has chosen, in no particular order; those that are not there are left out.
     *
     * @param most refused where there are more
     */
    public List<UUID> ids(Choice choice, int most, Colleague asking) {
        List<UUID> ids = choice.all()
                ? all(choice, asking)
                : List.copyOf(
                        records.all(choice.kind(), Set.copyOf(choice.ids())).keySet());
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

    private List<UUID> all(Choice choice, Colleague asking) {
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
