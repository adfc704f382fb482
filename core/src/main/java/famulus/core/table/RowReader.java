package famulus.core.table;

import famulus.core.field.FieldDefinition;
import famulus.core.record.EmailAddress;
import famulus.core.record.FieldInput;
import famulus.core.table.Target.Other;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Reads rows of a table as records: what each cell stores, or which cells can't be read and why. */
public final class RowReader {
    private final List<Optional<Target>> columns;
    private final CellReader cells;
    private final List<FieldDefinition> required;

    /**
     * Begins.
     *
     * @param columns where each column goes; empty for those that are left out
     * @param required the fields that every row has to fill, but for one that goes on with the lines of the row before
     */
    public RowReader(List<Optional<Target>> columns, CellReader cells, List<FieldDefinition> required) {
        this.columns = List.copyOf(columns);
        this.cells = cells;
        this.required = List.copyOf(required);
    }

    /**
     * Why a row can't be taken.
     *
     * @param column which cell is to blame, from 0; −1 for the row as a whole
     */
    public record Fault(int column, String sentence) {}

    /**
     * A row as it was read.
     *
     * @param stored the stored forms of fields by their names; those whose cells are blank are absent
     * @param related what stands for another record, by the name of the field that leads to it
     * @param addresses a person's addresses, the one written to first in front
     * @param others the texts of what is no field: the contact of a deal, the parts of a line
     * @param faults empty when it can be taken
     */
    public record ReadRow(
            TableRow row,
            Map<String, String> stored,
            Map<String, String> related,
            List<String> addresses,
            Map<Other, String> others,
            List<Fault> faults) {
        /** Whether it can be taken as it is. */
        public boolean isSound() {
            return faults.isEmpty();
        }
    }

    /** Reads a row. */
    public ReadRow read(TableRow row) {
        Map<String, String> stored = new LinkedHashMap<>();
        Map<String, String> related = new LinkedHashMap<>();
        List<String> addresses = new ArrayList<>();
        Map<Other, String> others = new EnumMap<>(Other.class);
        List<Fault> faults = new ArrayList<>();
        for (int i = 0; i < columns.size(); i++) {
            String cell = row.cell(i);
            Target target = columns.get(i).orElse(null);
            if (target == null || cell.isEmpty()) {
                continue;
            }
            switch (target) {
                case Target.OfField of -> put(of, cell, i, stored, faults);
                case Target.OfName of -> name(of, cell, i, stored, faults);
                case Target.OfRelation of -> related.put(of.field().name(), CellReader.text(cell));
                case Other.EMAIL -> address(cell, i, addresses, faults);
                case Other other -> other(other, cell, i, others, faults);
            }
        }
        if (row.cells().size() > columns.size()
                && row.cells().subList(columns.size(), row.cells().size()).stream()
                        .anyMatch(cell -> !cell.isBlank())) {
            faults.add(new Fault(
                    -1,
                    "There are " + row.cells().size() + " cells in this row, and " + columns.size()
                            + " columns. Is a quotation mark missing?"));
        }
        if (!others.containsKey(Other.LINE_DESCRIPTION)) {
            missing(stored, faults);
        }
        return new ReadRow(row, stored, related, addresses, others, faults);
    }

    private void put(Target.OfField to, String cell, int column, Map<String, String> stored, List<Fault> faults) {
        FieldInput input = cells.read(to.field(), to.most(), cell);
        input.refusal().ifPresentOrElse(sentence -> faults.add(new Fault(column, sentence)), () -> {
            if (!input.stored().isEmpty()) {
                stored.put(to.field().name(), input.stored());
            }
        });
    }

    /** A column of its own for either part comes first. */
    private void name(Target.OfName to, String cell, int column, Map<String, String> stored, List<Fault> faults) {
        PersonName name = PersonName.of(CellReader.text(cell));
        if (!stored.containsKey(to.last().field().name())) {
            put(to.last(), name.last(), column, stored, faults);
        }
        if (!stored.containsKey(to.first().field().name())) {
            put(to.first(), name.first(), column, stored, faults);
        }
    }

    private static void address(String cell, int column, List<String> addresses, List<Fault> faults) {
        for (String one : cell.split("[;,]\\s*")) {
            String address = CellReader.address(one);
            if (address.isEmpty()) {
                continue;
            }
            EmailAddress.refusal(address).ifPresentOrElse(sentence -> faults.add(new Fault(column, sentence)), () -> {
                if (addresses.stream().noneMatch(address::equalsIgnoreCase)) {
                    addresses.add(address);
                }
            });
        }
    }

    private void other(Other other, String cell, int column, Map<Other, String> others, List<Fault> faults) {
        String text = CellReader.text(cell);
        switch (other) {
            case CONTACT -> {
                String address = CellReader.address(cell).toLowerCase(Locale.ROOT);
                if (address.indexOf('@') < 0) {
                    others.put(Other.CONTACT_NAME, text);
                } else {
                    EmailAddress.refusal(address)
                            .ifPresentOrElse(
                                    sentence -> faults.add(new Fault(column, sentence)),
                                    () -> others.put(other, address));
                }
            }
            case LINE_QUANTITY, LINE_PRICE, LINE_DISCOUNT, LINE_TAX ->
                cells.number(text.replaceAll("[\\s\\u00a0%£€$¥]|[A-Z]{3}$", ""))
                        .ifPresentOrElse(
                                number -> others.put(other, number),
                                () -> faults.add(new Fault(column, "“" + text + "” is not a number.")));
            default -> others.put(other, text);
        }
    }

    private void missing(Map<String, String> stored, List<Fault> faults) {
        for (FieldDefinition field : required) {
            int column = column(field);
            boolean blamed = faults.stream().anyMatch(fault -> column >= 0 && fault.column() == column);
            if (!stored.containsKey(field.name()) && !blamed) {
                faults.add(new Fault(column, field.label() + " is missing."));
            }
        }
    }

    private int column(FieldDefinition field) {
        for (int i = 0; i < columns.size(); i++) {
            Target target = columns.get(i).orElse(null);
            if (target instanceof Target.OfField of && of.field().equals(field)
                    || target instanceof Target.OfName name
                            && name.last().field().equals(field)) {
                return i;
            }
        }
        return -1;
    }
}
