package famulus.server.records;

import famulus.core.field.Value;
import famulus.core.merge.Format;
import famulus.core.merge.FormatName;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merger;
import famulus.core.record.StoredValue;
import famulus.server.records.CatalogueService.StoredField;
import famulus.server.team.House;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Prints what a list shows of a record, as the house writes figures and days. */
final class ListCells {
    private final Merger printer;
    private final House house;

    ListCells(House house, Instant now) {
        this.house = house;
        this.printer = new Merger(new MergeSettings(house.locale(), house.zone(), now));
    }

    /** What stands in a column for a record; empty for nothing. */
    String cell(Listed one, String column) {
        return switch (column) {
            case ListColumns.NAME -> one.record().name();
            case ListColumns.ORGANISATION_NAME -> one.organisation();
            case ListColumns.OWNER -> one.owner();
            case ListColumns.WRITTEN -> moment(one.lastWritten());
            case ListColumns.PEOPLE -> String.valueOf(one.people());
            case ListColumns.EMAIL -> String.join(", ", one.addresses());
            default -> field(one, column);
        };
    }

    private String field(Listed one, String name) {
        StoredField field = one.fields().get(name);
        if (field == null) {
            return "";
        }
        String stored = one.text(name);
        return switch (one.record().kind()) {
            case LEAD -> name.equals("state") ? joined(" · ", one.label(name), one.owner()) : printed(field, stored);
            case ORGANISATION ->
                name.equals("town") ? joined(" ", one.text("postcode"), stored) : printed(field, stored);
            case CONTACT, DEAL -> printed(field, stored);
        };
    }

    private String printed(StoredField field, String stored) {
        Optional<Value> value = StoredValue.of(field.definition(), stored);
        if (value.isEmpty() || field.column().isEmpty()) {
            return value.map(one -> printer.print(one, Optional.empty())).orElse(stored);
        }
        return switch (field.definition().type()) {
            case MONEY -> print(value.get(), FormatName.MONEY);
            case DATE -> print(value.get(), FormatName.LONG_DATE);
            default -> printer.print(value.get(), Optional.empty());
        };
    }

    private static String joined(String between, String... texts) {
        return Stream.of(texts).filter(text -> !text.isEmpty()).collect(Collectors.joining(between));
    }

    private String moment(Instant at) {
        return at == null ? "" : day(at.atZone(house.zone()).toLocalDate());
    }

    private String day(LocalDate day) {
        return print(new Value.Day(day), FormatName.LONG_DATE);
    }

    private String print(Value value, FormatName format) {
        return printer.print(value, Optional.of(new Format.Named(format)));
    }
}
