package famulus.server.interchange;

import famulus.core.table.Identity;
import famulus.core.table.RowReader.Fault;
import famulus.core.table.RowReader.ReadRow;
import famulus.core.table.Target.Other;
import famulus.server.records.CrmKind;
import famulus.server.records.DealService.DealLine;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** A record of a file: one row, or of a deal with several lines all of its rows. */
final class ImportItem {
    /** What is wrong with one of its rows. */
    record FaultOf(ReadRow row, Fault fault) {}

    private final CrmKind kind;
    private final List<ReadRow> rows = new ArrayList<>();
    private final List<FaultOf> faults = new ArrayList<>();
    private UUID owner;
    private UUID organisation;
    private UUID contact;

    ImportItem(CrmKind kind, ReadRow head) {
        this.kind = kind;
        add(head);
    }

    void add(ReadRow row) {
        rows.add(row);
        row.faults().forEach(fault -> faults.add(new FaultOf(row, fault)));
    }

    /** Whether a row goes on with this one: it names the same deal, or none and has a line. */
    boolean goesOnWith(ReadRow row) {
        String name = row.stored().getOrDefault("name", "");
        if (name.isEmpty()) {
            return row.others().containsKey(Other.LINE_DESCRIPTION);
        }
        return name.equals(head().stored().get("name"))
                && row.others().containsKey(Other.LINE_DESCRIPTION)
                && row.related().getOrDefault("organisation", "").equals(organisationName());
    }

    ReadRow head() {
        return rows.getFirst();
    }

    List<ReadRow> rows() {
        return rows;
    }

    /** The line of the file it begins in. */
    long line() {
        return head().row().line();
    }

    /** Says that it can't be taken. */
    void blame(int column, String sentence) {
        faults.add(new FaultOf(head(), new Fault(column, sentence)));
    }

    /**
     * Says that a line of a deal can't be taken.
     *
     * @param place which line and which part of it, such as {@code lines.0.price}
     */
    void blameLine(String place, String sentence) {
        String[] parts = place.split("\\.");
        if (parts.length < 3) {
            blame(-1, sentence);
            return;
        }
        ReadRow row = rows.stream()
                .filter(ImportItem::hasLine)
                .skip(Integer.parseInt(parts[1]))
                .findFirst()
                .orElseThrow();
        String label = Other.of("line." + parts[2]).map(ImportTargets::label).orElse("Line");
        faults.add(new FaultOf(row, new Fault(-1, label + ": " + sentence)));
    }

    private static boolean hasLine(ReadRow row) {
        return row.others().keySet().stream().anyMatch(Other::isLine);
    }

    List<FaultOf> faults() {
        return faults;
    }

    boolean isSound() {
        return faults.isEmpty();
    }

    String organisationName() {
        return head().related().getOrDefault("organisation", "");
    }

    String text(String field) {
        return head().stored().getOrDefault(field, "");
    }

    /** What it is called. */
    String name() {
        return kind.isPerson() ? (text("first_name") + " " + text("last_name")).strip() : text("name");
    }

    /** What it is known by. */
    Identity identity() {
        String name = kind.isPerson() ? text("last_name") + " " + text("first_name") : text("name");
        return Identity.of(name, kind == CrmKind.LEAD ? text("company") : organisationName(), head().addresses());
    }

    /** The lines of a deal. */
    List<DealLine> lines() {
        List<DealLine> lines = new ArrayList<>();
        for (ReadRow row : rows) {
            Map<Other, String> said = row.others();
            if (hasLine(row)) {
                lines.add(new DealLine(
                        said.getOrDefault(Other.LINE_DESCRIPTION, ""),
                        number(said.getOrDefault(Other.LINE_QUANTITY, "1")),
                        said.get(Other.LINE_UNIT),
                        number(said.get(Other.LINE_PRICE)),
                        number(said.get(Other.LINE_DISCOUNT)),
                        number(said.get(Other.LINE_TAX)),
                        said.get(Other.LINE_NOTE)));
            }
        }
        return lines;
    }

    private static BigDecimal number(String text) {
        return text == null ? null : new BigDecimal(text);
    }

    UUID owner() {
        return owner;
    }

    void owner(UUID id) {
        owner = id;
    }

    UUID organisation() {
        return organisation;
    }

    void organisation(UUID id) {
        organisation = id;
    }

    UUID contact() {
        return contact;
    }

    void contact(UUID id) {
        contact = id;
    }
}
