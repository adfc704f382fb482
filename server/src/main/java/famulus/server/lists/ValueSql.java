package famulus.server.lists;

import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldDefinition.FieldOption;
import famulus.core.field.Value;
import famulus.server.lists.SqlValue.Sort;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What a stored value is in SQL, by the type of its field; the same as it is when it is read for a merge. */
final class ValueSql {
    /** What counts as blank in Java, and so is taken off the ends of a text. */
    private static final String BLANK = blank();

    private ValueSql() {}

    /** The value of a field that has a column of its own. */
    static Optional<SqlValue> column(FieldDefinition field, String column) {
        Sql sql = Sql.of(column);
        return Optional.of(
                switch (field.type()) {
                    case NUMBER -> SqlValue.of(Sort.NUMBER, sql);
                    case MONEY -> new SqlValue(Sort.MONEY, sql, sql, Sql.of(column + "_currency"));
                    case DATE -> SqlValue.of(Sort.DAY, sql);
                    case DATE_TIME -> SqlValue.of(Sort.MOMENT, sql);
                    default -> textual(field, sql);
                });
    }

    /** The value of a field of the house's own; empty for one that can't be compared. */
    static Optional<SqlValue> own(FieldDefinition field, String values) {
        return Optional.ofNullable(
                switch (field.type()) {
                    case NUMBER -> SqlValue.of(Sort.NUMBER, Sql.of(values + ".number_value"));
                    case MONEY ->
                        new SqlValue(
                                Sort.MONEY,
                                Sql.of(values + ".number_value"),
                                Sql.of(values + ".number_value"),
                                Sql.of(values + ".text_value"));
                    case DATE -> SqlValue.of(Sort.DAY, Sql.of(values + ".date_value"));
                    case DATE_TIME -> null;
                    default -> textual(field, Sql.of(values + ".text_value"));
                });
    }

    private static SqlValue textual(FieldDefinition field, Sql stored) {
        SqlValue text = text(stored);
        return switch (field.type()) {
            case CHOICE -> text(label(field.choices(), text.value()));
            case CHOICES -> new SqlValue(Sort.SEVERAL, text.value(), stored, null);
            case YES_NO ->
                new SqlValue(
                        Sort.ANSWER,
                        Sql.put(
                                "(case when %s is null then null when %s = 'yes' then 'yes' else 'no' end)",
                                text.value(), stored),
                        stored,
                        null);
            default -> text;
        };
    }

    /** A choice's label for its code; a code that is no choice any more stands for itself. */
    private static Sql label(List<FieldOption> choices, Sql code) {
        if (choices.isEmpty()) {
            return code;
        }
        List<Sql> turns = new ArrayList<>();
        choices.forEach(choice -> turns.add(Sql.of(" when ? then ?", choice.code(), choice.label())));
        return Sql.put("(case %s%s else %s end)", code, Sql.join("", turns), code);
    }

    /** A text without blanks at its ends; nothing where nothing is left of it. */
    static SqlValue text(Sql raw) {
        return new SqlValue(Sort.TEXT, Sql.put("nullif(btrim(%s, %s), '')", raw, Sql.of("?", BLANK)), raw, null);
    }

    private static String blank() {
        StringBuilder blank = new StringBuilder();
        for (char c = 0; c < Character.MAX_VALUE; c++) {
            if (Character.isWhitespace(c)) {
                blank.append(c);
            }
        }
        return blank.toString();
    }

    /** Yes where a statement is true, else no. */
    static SqlValue whether(String condition) {
        return SqlValue.of(Sort.ANSWER, Sql.of("(case when " + condition + " then 'yes' else 'no' end)"));
    }

    /** A value that is the same for everybody. */
    static Optional<SqlValue> constant(Value value) {
        return Optional.ofNullable(
                switch (value) {
                    case Value.Text text -> text(Sql.of("cast(? as varchar)", text.text()));
                    case Value.Phone phone -> text(Sql.of("cast(? as varchar)", phone.number()));
                    case Value.Name name -> text(Sql.of("cast(? as varchar)", name.first() + " " + name.last()));
                    case Value.Number number ->
                        SqlValue.of(Sort.NUMBER, Sql.of("cast(? as decimal(60, 20))", number.number()));
                    case Value.Money money ->
                        new SqlValue(
                                Sort.MONEY,
                                Sql.of("cast(? as decimal(60, 20))", money.amount()),
                                Sql.of("cast(? as decimal(60, 20))", money.amount()),
                                Sql.of("cast(? as varchar)", money.currency()));
                    case Value.Day day -> SqlValue.of(Sort.DAY, Sql.of("cast(? as date)", day.day()));
                    case Value.YesNo answer ->
                        SqlValue.of(
                                Sort.ANSWER, Sql.of(answer.yes() ? "cast('yes' as varchar)" : "cast('no' as varchar)"));
                    case Value.Moment moment -> null;
                    case Value.Several several -> null;
                });
    }
}
