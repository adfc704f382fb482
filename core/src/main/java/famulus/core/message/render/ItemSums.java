package famulus.core.message.render;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * The sums of a deal's lines. Every figure that is shown is rounded to the digits of its currency, half up, before it is
 * added, so that whoever adds up the lines by hand comes to the same cent. Tax is worked out once for each rate, on the
 * sum of the lines that have it.
 *
 * @param lines net of discount, in the order of the deal
 * @param net the sum of the lines
 * @param taxes by rate in per cent, the lowest first; no entry for 0
 * @param total net and taxes
 */
public record ItemSums(
        List<Line> lines,
        BigDecimal discount,
        BigDecimal net,
        SortedMap<BigDecimal, BigDecimal> taxes,
        BigDecimal total) {
    private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

    /**
     * One line.
     *
     * @param discount what is taken off
     * @param net what is left
     */
    public record Line(ItemLine line, BigDecimal discount, BigDecimal net) {}

    /**
     * Works the sums out.
     *
     * @param currency by ISO 4217; one that is not known counts with two digits
     */
    public static ItemSums of(List<ItemLine> lines, String currency) {
        int digits = digits(currency);
        List<Line> worked = new ArrayList<>();
        BigDecimal discounts = BigDecimal.ZERO.setScale(digits);
        BigDecimal net = discounts;
        SortedMap<BigDecimal, BigDecimal> bases = new TreeMap<>();
        for (ItemLine line : lines) {
            BigDecimal whole = rounded(line.price().multiply(line.quantity()), digits);
            BigDecimal off = rounded(percent(whole, line.discount()), digits);
            BigDecimal left = whole.subtract(off);
            worked.add(new Line(line, off, left));
            discounts = discounts.add(off);
            net = net.add(left);
            if (line.tax().signum() != 0) {
                bases.merge(line.tax().stripTrailingZeros(), left, BigDecimal::add);
            }
        }
        BigDecimal total = net;
        SortedMap<BigDecimal, BigDecimal> taxes = new TreeMap<>();
        for (var base : bases.entrySet()) {
            BigDecimal tax = rounded(percent(base.getValue(), base.getKey()), digits);
            taxes.put(base.getKey(), tax);
            total = total.add(tax);
        }
        return new ItemSums(worked, discounts, net, taxes, total);
    }

    private static int digits(String currency) {
        try {
            return Math.max(0, Currency.getInstance(currency).getDefaultFractionDigits());
        } catch (IllegalArgumentException unknown) {
            return 2;
        }
    }

    private static BigDecimal percent(BigDecimal of, BigDecimal rate) {
        return of.multiply(rate).divide(HUNDRED);
    }

    private static BigDecimal rounded(BigDecimal amount, int digits) {
        return amount.setScale(digits, RoundingMode.HALF_UP);
    }
}
