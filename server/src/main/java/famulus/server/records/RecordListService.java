package famulus.server.records;

import famulus.server.platform.Refusal;
import famulus.server.records.ListColumns.Column;
import famulus.server.records.RecordOrder.Window;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** The ledgers: sorted, filtered, read a window at a time. */
@Service
public class RecordListService {
    private static final int MOST_LINES = 200;
    /** Nobody has so many records; a position beyond is as good as this one. */
    private static final int FARTHEST = 100_000_000;

    private final RecordOrder order;
    private final RecordIndex index;
    private final ListedRecords listed;
    private final ChosenColumns chosen;
    private final TeamService team;
    private final Clock clock;

    RecordListService(
            RecordOrder order,
            RecordIndex index,
            ListedRecords listed,
            ChosenColumns chosen,
            TeamService team,
            Clock clock) {
        this.order = order;
        this.index = index;
        this.listed = listed;
        this.chosen = chosen;
        this.team = team;
        this.clock = clock;
    }

    /**
     * A window of a ledger.
     *
     * @param total how many lines there are in all; of what was looked for 2,000 at most
     * @param more whether there may be more than {@code total}
     * @param columns what stands in {@code cells}, in order
     */
    public record LedgerWindow(int total, boolean more, List<LedgerColumn> columns, List<LedgerLine> lines) {}

    /**
     * A column.
     *
     * @param figures whether it is aligned to the right
     * @param sorts whether the list can be sorted by it
     */
    public record LedgerColumn(String name, String label, boolean figures, boolean sorts) {}

    /** A line; each cell is ready to be shown. */
    public record LedgerLine(UUID id, List<String> cells) {}

    /**
     * What is asked of a list.
     *
     * @param search beginnings of words that all have to occur, in any order and any case; may be empty
     * @param sort the name of a column; anything else sorts by the first
     * @param from how many lines to pass over
     * @param most how many to return, 200 at most
     */
    public record LedgerPart(String search, String sort, boolean descending, int from, int most) {}

    /** Returns lines of a list, with the columns that whoever asks has chosen. */
    public LedgerWindow lines(CrmKind kind, LedgerPart part, Colleague asking) {
        return lines(kind, part, null, asking);
    }

    /**
     * Returns lines of a list.
     *
     * @param narrowing which records are shown; null for all
     */
    public LedgerWindow lines(CrmKind kind, LedgerPart part, Narrowing narrowing, Colleague asking) {
        List<Column> sorting = index.columns(kind);
        Window window = order.window(
                kind,
                part.search(),
                narrowing,
                ListColumns.named(sorting, part.sort()).name(),
                part.descending(),
                Math.clamp(part.from(), 0, FARTHEST),
                Math.clamp(part.most(), 1, MOST_LINES));
        Map<UUID, Listed> records = listed.read(kind, window.records());
        List<LedgerColumn> columns = chosen.columns(kind, asking);
        ListCells cells = new ListCells(team.house(), clock.instant());
        return new LedgerWindow(
                window.total(),
                window.more(),
                columns,
                window.records().stream()
                        .map(records::get)
                        .filter(Objects::nonNull)
                        .map(one -> new LedgerLine(
                                one.record().id(),
                                columns.stream()
                                        .map(column -> cells.cell(one, column.name()))
                                        .toList()))
                        .toList());
    }

    /**
     * All records of a list, by name; refused where so many have the words that are looked for that only some are shown.
     *
     * @param narrowing which records are shown; null for all
     */
    public List<UUID> all(CrmKind kind, String search, Narrowing narrowing) {
        Window window = order.window(kind, search, narrowing, ListColumns.NAME, false, 0, FARTHEST);
        if (window.more()) {
            throw Refusal.because("too-many", "More than %,d fit. Type more to see fewer.".formatted(window.total()));
        }
        return window.records();
    }
}
