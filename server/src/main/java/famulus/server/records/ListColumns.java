package famulus.server.records;

import famulus.core.field.FieldType;
import famulus.server.records.CatalogueService.StoredField;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** The columns of each kind's list, and what each is sorted by. */
enum ListColumns {
    CONTACT(
            new Column("name", "Name", false, Listed::sortedName),
            new Column("organisation", "Organisation", false, one -> ListPlace.text(one.organisation())),
            new Column("job_title", "Job title", false, one -> ListPlace.text(one.text("job_title"))),
            new Column("owner", "Owner", false, one -> ListPlace.text(one.owner())),
            new Column(ListColumns.WRITTEN, "Last written", true, one -> ListPlace.moment(one.lastWritten()))),
    LEAD(
            new Column("name", "Name", false, Listed::sortedName),
            new Column("company", "Company", false, one -> ListPlace.text(one.text("company"))),
            new Column("source", "Came from", false, one -> ListPlace.text(one.label("source"))),
            new Column("state", "State", false, one -> one.turn("state")),
            new Column(ListColumns.WRITTEN, "Last written", true, one -> ListPlace.moment(one.lastWritten()))),
    DEAL(
            new Column("name", "Deal", false, Listed::sortedName),
            new Column("organisation", "Organisation", false, one -> ListPlace.text(one.organisation())),
            new Column("stage", "Stage", false, one -> one.turn("stage")),
            new Column("owner", "Owner", false, one -> ListPlace.text(one.owner())),
            new Column("value", "Value", true, one -> number(one.text("value"))),
            new Column("closes_on", "Decision by", true, one -> one.text("closes_on"))),
    ORGANISATION(
            new Column("name", "Name", false, Listed::sortedName),
            new Column("town", "Town", false, one -> ListPlace.text(one.text("town"))),
            new Column("people", "People", true, one -> ListPlace.number(BigDecimal.valueOf(one.people()))),
            new Column("owner", "Owner", false, one -> ListPlace.text(one.owner())));

    /** The column of what a record is called, which every list has. */
    static final String NAME = "name";
    /** The column of the organisation something belongs to. */
    static final String ORGANISATION_NAME = "organisation";
    /** The column of who looks after something. */
    static final String OWNER = "owner";
    /** The column that says when a person was written to. */
    static final String WRITTEN = "written";
    /** The column that says how many contacts an organisation has. */
    static final String PEOPLE = "people";
    /** The column of a person's addresses. */
    static final String EMAIL = "email";
    /** The fields that lead to other records and can be columns. */
    static final Set<String> RELATED = Set.of(ORGANISATION_NAME, OWNER);

    /**
     * A column of a list.
     *
     * @param figures whether it is aligned to the right
     * @param key what a record is sorted by in it, as {@link ListPlace} wants it; empty for nothing
     */
    record Column(String name, String label, boolean figures, Function<Listed, String> key) {
        String place(Listed one) {
            return ListPlace.of(key.apply(one), one.sortedName(), one.record().id());
        }
    }

    private final List<Column> columns;

    ListColumns(Column... columns) {
        this.columns = List.of(columns);
    }

    static ListColumns of(CrmKind kind) {
        return valueOf(kind.name());
    }

    /** The columns that every house has. */
    List<Column> columns() {
        return columns;
    }

    /** The column of a field of the house's own. */
    static Column own(StoredField field) {
        String name = field.definition().name();
        FieldType type = field.definition().type();
        return new Column(name, field.definition().label(), isFigures(type), one -> {
            String stored = one.text(name);
            return switch (type) {
                case NUMBER, MONEY -> number(stored);
                case DATE -> ListPlace.day(stored.isEmpty() ? null : LocalDate.parse(stored));
                case CHOICE -> one.turn(name);
                default -> ListPlace.text(stored);
            };
        });
    }

    /** The column of a name; the first one when there is none. */
    static Column named(List<Column> columns, String name) {
        Optional<Column> asked =
                columns.stream().filter(one -> one.name().equals(name)).findFirst();
        return asked.orElse(columns.getFirst());
    }

    /** Whether values of a type are aligned to the right. */
    static boolean isFigures(FieldType type) {
        return switch (type) {
            case NUMBER, MONEY, DATE -> true;
            default -> false;
        };
    }

    /** Of a number or an amount with its currency the number. */
    private static String number(String stored) {
        return stored.isEmpty() ? "" : ListPlace.number(new BigDecimal(stored.split(" ")[0]));
    }
}
