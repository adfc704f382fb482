package famulus.server.records;

import famulus.server.records.CatalogueService.StoredField;
import java.util.List;
import java.util.Optional;

/** The columns of each kind's list, and how each is sorted. */
enum Ledger {
    CONTACT(
            new Column("name", "Name", false, "r.last_name %1$s, r.first_name %1$s, r.id"),
            new Column("organisation", "Organisation", false, "o.name %1$s nulls last, r.last_name, r.id"),
            new Column("job_title", "Job title", false, "r.job_title %1$s nulls last, r.last_name, r.id"),
            new Column("owner", "Looked after by", false, "c.first_name %1$s nulls last, r.last_name, r.id"),
            new Column("written", "Last written", true, "last_at %1$s nulls last, r.last_name, r.id")),
    LEAD(
            new Column("name", "Name", false, "r.last_name %1$s, r.first_name %1$s, r.id"),
            new Column("company", "Company", false, "r.company %1$s nulls last, r.last_name, r.id"),
            new Column("source", "Came from", false, "s.label %1$s nulls last, r.last_name, r.id"),
            new Column("state", "State", false, "t.position %1$s nulls last, r.last_name, r.id"),
            new Column("written", "Last written", true, "last_at %1$s nulls last, r.last_name, r.id")),
    DEAL(
            new Column("name", "Deal", false, "r.name %1$s, r.id"),
            new Column("organisation", "Organisation", false, "o.name %1$s nulls last, r.name, r.id"),
            new Column("stage", "Stage", false, "t.position %1$s, r.name, r.id"),
            new Column("owner", "Looked after by", false, "c.first_name %1$s nulls last, r.name, r.id"),
            new Column("value", "Value", true, "r.amount %1$s nulls last, r.name, r.id"),
            new Column("closes_on", "Decision by", true, "r.closes_on %1$s nulls last, r.name, r.id")),
    ORGANISATION(
            new Column("name", "Name", false, "r.name %1$s, r.id"),
            new Column("town", "Town", false, "r.town %1$s nulls last, r.name, r.id"),
            new Column(
                    "people",
                    "People",
                    true,
                    "(select count(*) from contact p where p.organisation_id = r.id) %1$s, r.name, r.id"),
            new Column("owner", "Looked after by", false, "c.first_name %1$s nulls last, r.name, r.id"));

    /**
     * A column of a list.
     *
     * @param figures whether it is aligned to the right
     * @param order what it is sorted by; {@code %1$s} is the direction
     */
    record Column(String name, String label, boolean figures, String order) {}

    private final List<Column> columns;

    Ledger(Column... columns) {
        this.columns = List.of(columns);
    }

    static Ledger of(CrmKind kind) {
        return valueOf(kind.name());
    }

    List<Column> columns() {
        return columns;
    }

    /** The order by a field of the house's own; its name has been made here and holds nothing but letters. */
    static String order(StoredField field, boolean descending) {
        String column =
                switch (field.definition().type()) {
                    case NUMBER, MONEY -> "v.number_value";
                    case DATE -> "v.date_value";
                    default -> "lower(v.text_value)";
                };
        return "(select " + column + " from field_value v where v.record_id = r.id and v.field_name = '"
                + field.definition().name() + "') " + (descending ? "desc" : "asc") + " nulls last, r.id";
    }

    /** Whether a field's values are aligned to the right. */
    static boolean figures(StoredField field) {
        return switch (field.definition().type()) {
            case NUMBER, MONEY, DATE -> true;
            default -> false;
        };
    }

    /** The order by a column's name; by the first column when there is none of that name. */
    String order(String column, boolean descending) {
        Optional<Column> asked =
                columns.stream().filter(one -> one.name().equals(column)).findFirst();
        return asked.orElse(columns.getFirst()).order().formatted(descending ? "desc" : "asc");
    }
}
