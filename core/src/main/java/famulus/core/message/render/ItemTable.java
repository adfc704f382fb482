package famulus.core.message.render;

import famulus.core.field.Value;
import famulus.core.merge.Merger;
import famulus.core.message.body.Content;
import famulus.core.message.body.Content.ItemColumn;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * An item table in the recipient's language, its figures printed.
 *
 * @param rows one for each line, a cell for each column
 * @param sums below, the total last
 */
record ItemTable(List<List<String>> rows, List<Sum> sums, RenderingTexts words) {
    /** A line below the rows. */
    record Sum(String label, String amount, boolean total) {}

    static boolean isFigure(ItemColumn column) {
        return column != ItemColumn.DESCRIPTION && column != ItemColumn.UNIT && column != ItemColumn.NOTE;
    }

    static ItemTable of(Content.Items items, ToRender message) {
        Merger merger = new Merger(message.settings());
        RenderingTexts words = RenderingTexts.in(message.settings().locale());
        String currency = message.deal().currency();
        ItemSums worked = ItemSums.of(message.deal().lines(), currency);
        List<List<String>> rows = new ArrayList<>();
        for (ItemSums.Line line : worked.lines()) {
            List<String> row = new ArrayList<>();
            items.columns().forEach(column -> row.add(cell(column, line, currency, merger)));
            rows.add(row);
        }
        List<Sum> sums = new ArrayList<>();
        if (worked.discount().signum() != 0) {
            sums.add(new Sum(words.of("off"), money(worked.discount(), currency, merger), false));
        }
        if (!worked.taxes().isEmpty()) {
            sums.add(new Sum(words.of("net"), money(worked.net(), currency, merger), false));
        }
        worked.taxes()
                .forEach((rate, tax) -> sums.add(
                        new Sum(words.of("tax") + " " + percent(rate, merger), money(tax, currency, merger), false)));
        sums.add(new Sum(words.of("total"), money(worked.total(), currency, merger), true));
        return new ItemTable(rows, sums, words);
    }

    /** What stands above a column. */
    String heading(ItemColumn column) {
        return words.of("column." + column.name().toLowerCase(java.util.Locale.ROOT));
    }

    private static String cell(ItemColumn column, ItemSums.Line worked, String currency, Merger merger) {
        ItemLine line = worked.line();
        return switch (column) {
            case DESCRIPTION -> line.description();
            case QUANTITY -> number(line.quantity().stripTrailingZeros(), merger);
            case UNIT -> line.unit();
            case PRICE -> money(line.price(), currency, merger);
            case NOTE -> line.note();
            case DISCOUNT ->
                line.discount().signum() == 0 ? "–" : money(worked.discount().negate(), currency, merger);
            case TAX -> line.tax().signum() == 0 ? "–" : percent(line.tax(), merger);
            case TOTAL -> money(worked.net(), currency, merger);
        };
    }

    private static String money(BigDecimal amount, String currency, Merger merger) {
        return merger.print(new Value.Money(amount, currency), Optional.empty());
    }

    private static String number(BigDecimal number, Merger merger) {
        return merger.print(new Value.Number(number), Optional.empty());
    }

    private static String percent(BigDecimal rate, Merger merger) {
        return number(rate.stripTrailingZeros(), merger) + "\u00A0%";
    }
}
