package famulus.server.records;

import famulus.core.field.Value;
import famulus.core.merge.Format;
import famulus.core.merge.FormatName;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merger;
import famulus.core.record.StoredValue;
import famulus.server.platform.SearchWords;
import famulus.server.records.CatalogueService.StoredField;
import famulus.server.records.RecordListMapper.Line;
import famulus.server.team.House;
import famulus.server.team.TeamService;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** The ledgers: sorted, filtered, read a window at a time. */
@Service
public class RecordListService {
    private static final int MOST_LINES = 200;

    private final RecordListMapper mapper;
    private final CatalogueService catalogue;
    private final RecordService records;
    private final TeamService team;
    private final Clock clock;

    RecordListService(
            RecordListMapper mapper, CatalogueService catalogue, RecordService records, TeamService team, Clock clock) {
        this.mapper = mapper;
        this.catalogue = catalogue;
        this.records = records;
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
        List<StoredField> own = catalogue.fields(kind).stream()
                .filter(field -> field.inList() && field.column().isEmpty())
                .toList();
        List<String> words = SearchWords.of(search);
        String order = own.stream()
                .filter(field -> field.definition().name().equals(sort))
                .map(field -> Ledger.order(field, descending))
                .findFirst()
                .orElseGet(() -> ledger.order(sort, descending));
        List<Line> lines = mapper.lines(kind.word(), words, order, Math.clamp(most, 1, MOST_LINES), Math.max(from, 0));
        House house = team.house();
        Merger printer = new Merger(new MergeSettings(house.locale(), house.zone(), clock.instant()));
        List<LedgerColumn> columns = new ArrayList<>(ledger.columns().stream()
                .map(column -> new LedgerColumn(column.name(), column.label(), column.figures()))
                .toList());
        own.forEach(field -> columns.add(
                new LedgerColumn(field.definition().name(), field.definition().label(), Ledger.figures(field))));
        Map<UUID, CrmRecord> held = own.isEmpty()
                ? Map.of()
                : records.all(kind, lines.stream().map(Line::id).toList());
        return new LedgerWindow(
                mapper.count(kind.word(), words),
                columns,
                lines.stream()
                        .map(line -> new LedgerLine(
                                line.id(),
                                Stream.concat(
                                                cells(kind, line, printer, house).stream(),
                                                own.stream().map(field -> cell(field, held.get(line.id()), printer)))
                                        .toList()))
                        .toList());
    }

    private static String cell(StoredField field, CrmRecord record, Merger printer) {
        String stored = record == null ? "" : record.text(field.definition().name());
        return StoredValue.of(field.definition(), stored)
                .map(value -> printer.print(value, Optional.empty()))
                .orElse(stored);
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
