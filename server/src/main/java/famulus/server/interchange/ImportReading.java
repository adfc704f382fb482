package famulus.server.interchange;

import famulus.core.table.Card;
import famulus.core.table.CardReader;
import famulus.core.table.CellReader;
import famulus.core.table.ColumnMatch;
import famulus.core.table.Delimiter;
import famulus.core.table.TableColumn;
import famulus.core.table.TableRow;
import famulus.core.table.TableStyle;
import famulus.core.table.TableStyle.DateOrder;
import famulus.core.table.Target;
import famulus.core.table.TextEncoding;
import famulus.core.table.UnreadableTable;
import famulus.server.interchange.ImportMapper.MatchRow;
import famulus.server.interchange.ImportShown.ImportSettings;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.team.TeamService;
import java.io.IOException;
import java.io.InputStream;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Finds out how a file is to be read, and reads its beginning. */
@Component
class ImportReading {
    private static final int MOST_ROWS = 200_000;
    private static final int SAMPLED = 1_000;
    private static final int BEGINNING = 1 << 16;
    private static final int LONGEST_HEADING = 120;
    private static final int LONGEST_FIGURE = 40;

    private final ImportFiles files;
    private final ImportTargets targets;
    private final ImportMapper mapper;
    private final TeamService team;

    ImportReading(ImportFiles files, ImportTargets targets, ImportMapper mapper, TeamService team) {
        this.files = files;
        this.targets = targets;
        this.mapper = mapper;
        this.team = team;
    }

    /** What is read of a file. */
    interface FileReader<T> {
        T read() throws IOException;
    }

    /** Reads; what can't be read is a refusal for whoever chose the file. */
    static <T> T readable(FileReader<T> reading) throws IOException {
        try {
            return reading.read();
        } catch (UnreadableTable unreadable) {
            throw Refusal.field("file", unreadable.getMessage());
        } catch (UncheckedIOException gone) {
            throw gone.getCause();
        }
    }

    /** A file as it is begun with, before anybody has looked into it. */
    static ImportFile unread(UUID id, CrmKind kind, String name, UUID by) {
        return new ImportFile(
                id,
                kind,
                name,
                false,
                by,
                0,
                new ImportSettings("UTF-8", ",", 0, DateOrder.DAY_FIRST, ".", List.of()),
                0,
                null);
    }

    /** The file with all that can be seen in it. */
    ImportFile understood(ImportFile file) throws IOException {
        TextEncoding encoding;
        try (InputStream bytes = files.bytes(file.id())) {
            encoding = TextEncoding.of(bytes);
        }
        String begin = beginning(file.id(), encoding);
        boolean cards = CardReader.isCard(begin);
        if (cards && file.kind() == CrmKind.DEAL) {
            throw new UnreadableTable(0, 0, "A vCard file has people and organisations in it, no deals.");
        }
        char delimiter = cards ? ',' : Delimiter.of(begin);
        ImportFile raw = settled(file, cards, encoding, delimiter, 0, new TableStyle(DateOrder.DAY_FIRST, '.'));
        Sample sample = sample(raw);
        TableStyle style =
                TableStyle.of(sample.figures(), delimiter, team.house().country());
        int headings = cards ? 0 : match(file.kind()).headings(sample.rows());
        return matched(settled(file, cards, encoding, delimiter, headings, style));
    }

    private static ImportFile settled(
            ImportFile file, boolean cards, TextEncoding encoding, char delimiter, int headings, TableStyle style) {
        return new ImportFile(
                file.id(),
                file.kind(),
                file.name(),
                cards,
                file.by(),
                encoding.skip(),
                new ImportSettings(
                        encoding.charset().name(),
                        String.valueOf(delimiter),
                        headings,
                        style.dates(),
                        String.valueOf(style.decimal()),
                        List.of()),
                0,
                null);
    }

    private String beginning(UUID id, TextEncoding encoding) throws IOException {
        char[] begin = new char[BEGINNING];
        int length = 0;
        try (Reader text = files.text(id, encoding.charset(), encoding.skip())) {
            for (int read = text.read(begin); read > 0; read = text.read(begin, length, begin.length - length)) {
                length += read;
            }
        }
        return new String(begin, 0, length);
    }

    private ColumnMatch match(CrmKind kind) {
        Map<String, String> remembered =
                mapper.matches(kind.word()).stream().collect(Collectors.toMap(MatchRow::heading, MatchRow::target));
        return new ColumnMatch(targets.of(kind), remembered);
    }

    /**
     * The file with its columns matched, and its rows counted.
     *
     * @throws UnreadableTable when it can't be read to its end, or has no rows
     */
    ImportFile matched(ImportFile file) {
        List<String> words = match(file.kind()).match(sample(file).columns()).stream()
                .map(one -> one.map(Target::word).orElse(""))
                .toList();
        int rows = 0;
        Iterator<TableRow> records = files.records(file);
        while (records.hasNext()) {
            TableRow row = records.next();
            rows += row.isBlank() ? 0 : 1;
            if (rows > MOST_ROWS) {
                throw new UnreadableTable(
                        row.line(), 0, "At most 200,000 rows can be imported at once. Split the file into several.");
            }
        }
        if (rows == 0) {
            throw new UnreadableTable(
                    0,
                    0,
                    file.cards()
                            ? "There is no card in this file."
                            : "There is no row in this file"
                                    + (file.settings().headings() > 0 ? " below the headings." : "."));
        }
        return file.matched(words, rows);
    }

    /**
     * The first rows of a file.
     *
     * @param rows with those above and of the headings
     * @param columns what stands over each, and what it holds
     */
    record Sample(List<TableRow> rows, List<TableColumn> columns) {
        private List<String> figures() {
            return rows.stream()
                    .flatMap(row -> row.cells().stream())
                    .filter(cell -> !cell.isBlank() && cell.length() < LONGEST_FIGURE)
                    .toList();
        }

        List<String> headings() {
            return columns.stream().map(TableColumn::heading).toList();
        }
    }

    Sample sample(ImportFile file) {
        List<TableRow> rows = new ArrayList<>();
        Iterator<TableRow> all = files.all(file);
        while (rows.size() < SAMPLED && all.hasNext()) {
            rows.add(all.next());
        }
        List<TableRow> records = rows.subList(Math.min(file.settings().headings(), rows.size()), rows.size());
        List<String> headings = headings(file, rows);
        List<TableColumn> columns = new ArrayList<>();
        for (int i = 0; i < headings.size(); i++) {
            int column = i;
            List<String> cells = records.stream()
                    .map(row -> CellReader.text(row.cell(column)))
                    .filter(cell -> !cell.isEmpty())
                    .toList();
            columns.add(new TableColumn(headings.get(i), cells, Optional.empty()));
        }
        return new Sample(rows, columns);
    }

    /** What stands over columns; where nothing does, which column it is. */
    private static List<String> headings(ImportFile file, List<TableRow> rows) {
        if (file.cards()) {
            return Card.HEADINGS;
        }
        boolean named = file.settings().headings() > 0 && file.settings().headings() <= rows.size();
        List<String> cells = named ? rows.get(file.settings().headings() - 1).cells() : List.of();
        // A row longer than the headings is a fault of that row; without headings the longest of the first says how
        // many.
        int width = named
                ? cells.size()
                : rows.stream().mapToInt(row -> row.cells().size()).max().orElse(0);
        List<String> headings = new ArrayList<>();
        for (int i = 0; i < width; i++) {
            String heading = i < cells.size() ? cells.get(i).strip() : "";
            headings.add(
                    heading.isEmpty()
                            ? "Column " + (i + 1)
                            : heading.substring(0, Math.min(heading.length(), LONGEST_HEADING)));
        }
        return headings;
    }

    /** What the first cards have that no record has a place for. */
    Set<String> leftOut(ImportFile file) {
        Set<String> leftOut = new LinkedHashSet<>();
        if (file.cards() && files.all(file) instanceof CardReader cards) {
            for (int i = 0; i < SAMPLED && cards.hasNext(); i++) {
                cards.next();
            }
            leftOut.addAll(cards.leftOut());
        }
        return leftOut;
    }
}
