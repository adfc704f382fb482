package famulus.server.records;

import famulus.core.field.Value;
import famulus.core.merge.Format;
import famulus.core.merge.FormatName;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merger;
import famulus.core.record.StoredValue;
import famulus.server.records.ListColumns.Column;
import famulus.server.records.RecordOrder.Window;
import famulus.server.team.House;
import famulus.server.team.TeamService;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
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
    private final TeamService team;
    private final Clock clock;

    RecordListService(RecordOrder order, RecordIndex index, ListedRecords listed, TeamService team, Clock clock) {
        this.order = order;
        this.index = index;
        this.listed = listed;
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

    /** A column; {@code figures} are aligned to the right. */
    public record LedgerColumn(String name, String label, boolean figures) {}

    /** A line; each cell is ready to be shown. */
    public record LedgerLine(UUID id, List<String> cells) {}

    /**
     * Returns lines of a list.
     *
     * @param search beginnings of words that all have to occur, in any order and any case; may be empty
     * @param sort the name of a column; anything else sorts by the first
     * @param from how many lines to pass over
     * @param most how many to return, 200 at most
     */
    public LedgerWindow lines(CrmKind kind, String search, String sort, boolean descending, int from, int most) {
        List<Column> columns = index.columns(kind);
        String by = ListColumns.named(columns, sort).name();
        Window window = order.window(
                kind, search, by, descending, Math.clamp(from, 0, FARTHEST), Math.clamp(most, 1, MOST_LINES));
        Map<UUID, Listed> records = listed.read(kind, window.records());
        House house = team.house();
        Merger printer = new Merger(new MergeSettings(house.locale(), house.zone(), clock.instant()));
        List<String> own = columns.stream()
                .skip(ListColumns.of(kind).columns().size())
                .map(Column::name)
                .toList();
        return new LedgerWindow(
                window.total(),
                window.more(),
                columns.stream()
                        .map(column -> new LedgerColumn(column.name(), column.label(), column.figures()))
                        .toList(),
                window.records().stream()
                        .map(records::get)
                        .filter(Objects::nonNull)
                        .map(one -> new LedgerLine(
                                one.record().id(),
                                Stream.concat(
                                                cells(one, printer, house).stream(),
                                                own.stream().map(field -> cell(one, field, printer)))
                                        .toList()))
                        .toList());
    }

    private static String cell(Listed one, String field, Merger printer) {
        String stored = one.text(field);
        return StoredValue.of(one.fields().get(field).definition(), stored)
                .map(value -> printer.print(value, Optional.empty()))
                .orElse(stored);
    }

    private static List<String> cells(Listed one, Merger printer, House house) {
        String name = one.record().name();
        return switch (one.record().kind()) {
            case CONTACT ->
                List.of(
                        name,
                        one.organisation(),
                        one.text("job_title"),
                        one.owner(),
                        moment(one.lastWritten(), printer, house));
            case LEAD ->
                List.of(
                        name,
                        one.text("company"),
                        one.label("source"),
                        joined(" · ", one.label("state"), one.owner()),
                        moment(one.lastWritten(), printer, house));
            case DEAL ->
                List.of(
                        name,
                        one.organisation(),
                        one.label("stage"),
                        one.owner(),
                        StoredValue.of(one.fields().get("value").definition(), one.text("value"))
                                .map(value -> print(value, FormatName.MONEY, printer))
                                .orElse(""),
                        one.text("closes_on").isEmpty() ? "" : day(LocalDate.parse(one.text("closes_on")), printer));
            case ORGANISATION ->
                List.of(
                        name,
                        joined(" ", one.text("postcode"), one.text("town")),
                        String.valueOf(one.people()),
                        one.owner());
        };
    }

    private static String joined(String between, String... texts) {
        return Stream.of(texts).filter(text -> !text.isEmpty()).collect(Collectors.joining(between));
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
