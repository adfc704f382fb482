package famulus.core.message.render;

import java.math.BigDecimal;

/**
 * A line of a deal as an item table reads it.
 *
 * @param description what is sold
 * @param quantity how much of it
 * @param unit what it is measured in, such as {@code hours}; may be empty
 * @param price of one unit
 * @param discount in per cent of the line, 0 to 100
 * @param tax in per cent of what is left, 0 or more
 * @param note whatever else is to be said of it; may be empty
 */
public record ItemLine(
        String description,
        BigDecimal quantity,
        String unit,
        BigDecimal price,
        BigDecimal discount,
        BigDecimal tax,
        String note) {}
