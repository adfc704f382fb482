package famulus.server.records;

import famulus.core.merge.Format;
import famulus.core.merge.FormatName;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merger;
import famulus.core.merge.Value;
import famulus.server.platform.SearchWords;
import famulus.server.records.RecordListMapper.Line;
import famulus.server.team.House;
import famulus.server.team.TeamService;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** The ledgers: sorted, filtered, read a window at a time. */
@Service
public class RecordListService {
    private static final int MOST_LINES = 200;

    private final RecordListMapper mapper;
    private final TeamService team;
    private final Clock clock;

    RecordListService(RecordListMapper mapper, TeamService team, Clock clock) {
        this.mapper = mapper;
        this.team = team;
        this.clock = clock;
    }

    /**
     * A window of a ledger.
     *
     * @param total how many lines there are in all
     * @param columns what stands in {@code cells}, in order
     */
    public record LedgerWindow(int total, List<LedgerColumn> columns, List<LedgerLine> lines) {}

    /** A column; {@code figures} are aligned to the right. */
    public record LedgerColumn(String name, String label, boolean figures) {}

    /** A line; each cell is ready to be shown. */
    public record LedgerLine(UUID id, List<String> cells) {}

    /**
     * Returns lines of a list.
     *
     * @param search words that all have to occur, in any order and any case; may be empty
     * @param sort the name of a column; anything else sorts by the first
     * @param from how many lines to pass over
     * @param most how many to return, 200 at most
     */
    public LedgerWindow lines(CrmKind kind, String search, String sort, boolean descending, int from, int most) {
        Ledger ledger = Ledger.of(kind);
        List<String> words = SearchWords.of(search);
        List<Line> lines = mapper.lines(
                kind.word(), words, ledger.order(sort, descending), Math.clamp(most, 1, MOST_LINES), Math.max(from, 0));
        House house = team.house();
        Merger printer = new Merger(new MergeSettings(house.locale(), house.zone(), clock.instant()));
        return new LedgerWindow(
                mapper.count(kind.word(), words),
                ledger.columns().stream()
                        .map(column -> new LedgerColumn(column.name(), column.label(), column.figures()))
                        .toList(),
                lines.stream()
                        .map(line -> new LedgerLine(line.id(), cells(kind, line, printer, house)))
                        .toList());
    }

    private static List<String> cells(CrmKind kind, Line line, Merger printer, House house) {
        return switch (kind) {
            case CONTACT, LEAD ->
                List.of(
                        line.name(),
                        text(line.cellTwo()),
                        text(line.cellThree()),
                        text(line.cellFour()),
                        moment(line.lastAt(), printer, house));
            case DEAL ->
                List.of(
                        line.name(),
                        text(line.cellTwo()),
                        text(line.cellThree()),
                        text(line.cellFour()),
                        line.amount() == null
                                ? ""
                                : print(new Value.Money(line.amount(), line.currency()), FormatName.MONEY, printer),
                        day(line.onDay(), printer));
            case ORGANISATION ->
                List.of(line.name(), text(line.cellTwo()), text(line.cellThree()), text(line.cellFour()));
        };
    }

    private static String text(String stored) {
        return stored == null ? "" : stored;
    }

    private static String day(LocalDate day, Merger printer) {
        return day == null ? "" : print(new Value.Day(day), FormatName.LONG_DATE, printer);
    }

    private static String moment(Instant at, Merger printer, House house) {
        return at == null ? "" : day(at.atZone(house.zone()).toLocalDate(), printer);
    }

    private static String print(Value value, FormatName format, Merger printer) {
        return printer.print(value, Optional.of(new Format.Named(format)));
    }
}
