package famulus.server.interchange;

import famulus.core.table.TableStyle;
import famulus.core.table.TableStyle.DateOrder;
import famulus.server.interchange.ImportMapper.FileRow;
import famulus.server.interchange.ImportShown.Done;
import famulus.server.interchange.ImportShown.ImportSettings;
import famulus.server.records.CrmKind;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;

/**
 * A file that is imported.
 *
 * @param cards whether it is a vCard file
 * @param by who imports it; nobody else sees it
 * @param mark how many bytes in front of it say its encoding
 * @param rows how many rows of records it has
 * @param done what became of it; null until it is imported
 */
record ImportFile(
        UUID id,
        CrmKind kind,
        String name,
        boolean cards,
        UUID by,
        int mark,
        ImportSettings settings,
        int rows,
        Done done) {
    /** A file as it is kept. */
    static ImportFile of(FileRow row) {
        return new ImportFile(
                row.id(),
                CrmKind.of(row.kind()),
                row.name(),
                row.cards(),
                row.byId(),
                row.mark(),
                new ImportSettings(
                        row.charset(),
                        row.delimiter(),
                        row.headings(),
                        DateOrder.valueOf(row.dates()),
                        row.decimalMark(),
                        List.of(row.targets().split("\n", -1))),
                row.rowCount(),
                row.doneAt() == null ? null : new Done(row.added(), row.updated(), row.skipped(), row.faulty()));
    }

    /** The file as a row to be kept. */
    FileRow row() {
        return new FileRow(
                id,
                kind.word(),
                name,
                cards,
                by,
                settings.encoding(),
                mark,
                settings.delimiter(),
                settings.headings(),
                settings.dates().name(),
                settings.decimal(),
                String.join("\n", settings.targets()),
                rows,
                null,
                null,
                null,
                null,
                null);
    }

    /** The same file, read in another way. */
    ImportFile read(ImportSettings other) {
        return new ImportFile(
                id, kind, name, cards, by, other.encoding().equals(settings.encoding()) ? mark : 0, other, rows, done);
    }

    /** The same file with its columns going elsewhere, and its rows counted. */
    ImportFile matched(List<String> targets, int counted) {
        ImportSettings now = new ImportSettings(
                settings.encoding(),
                settings.delimiter(),
                settings.headings(),
                settings.dates(),
                settings.decimal(),
                targets);
        return new ImportFile(id, kind, name, cards, by, mark, now, counted, done);
    }

    /** How it writes dates and numbers. */
    TableStyle style() {
        return new TableStyle(settings.dates(), settings.decimal().charAt(0));
    }

    /** Where so many columns go, by words. */
    List<String> targets(int columns) {
        List<String> words = new ArrayList<>(settings.targets());
        while (words.size() < columns) {
            words.add("");
        }
        return words.subList(0, columns);
    }
}
