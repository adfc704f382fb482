package famulus.core.message.render;

import java.math.BigDecimal;

/**
 * A line of a deal as an item table reads it.
 *
 * @param what which part of the orchard
 * @param rate for one hive and week
 * @param discount in per cent of the line, 0 to 100
 * @param tax in per cent of what is left, 0 or more
 */
public record ItemLine(
        String what, String crop, int hives, int weeks, BigDecimal rate, BigDecimal discount, BigDecimal tax) {}
