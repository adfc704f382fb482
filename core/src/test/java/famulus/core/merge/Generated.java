package famulus.core.merge;

import famulus.core.field.Value;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Seeded generators of texts and values, weighted towards what is awkward. */
final class Generated {
    private static final List<String> FRAGMENTS = List.of(
            "{",
            "}",
            "\\",
            "\\{",
            "\\\\",
            "\n",
            "\r\n",
            " ",
            "  ",
            ".",
            ",",
            "\"",
            "“",
            "”",
            "„",
            "«",
            "»",
            "'",
            "else",
            " else ",
            " as ",
            "nothing",
            "person.first_name",
            "{person.first_name}",
            "{person.first_name else \"there\"}",
            "{deal.value as money}",
            "{contact.blossom_starts as weekday and long date}",
            "{nothing}",
            "{\"a \\\"b\\\" \\} c\"}",
            "{Person . First_Name ELSE “x”}",
            "{today as \"d MMM\"}",
            "{deal.hive_count as 2 decimals}",
            "{contact.water as \"y\" or \"n\"}",
            "3",
            "-1.50",
            "{3}",
            "Dear",
            "é",
            "🐝",
            "\u202E",
            "\u0000",
            "\u2028",
            "or",
            "{a",
            "{a else \"}",
            "{when deal.stage is \"Won\"}",
            "{when contact.water is yes or not (deal.value is more than 5 EUR and today is before \"2026-05-04\")}",
            "{when }",
            "{when deal.value is between 1 and 2}",
            "{otherwise when contact.crop is one of (\"a\", “b”)}",
            "{otherwise}",
            "{Otherwise when person.x contains }",
            "{end}",
            "{END }",
            "{end",
            "{today plus 5 working days as long date}",
            "{deal.closes_on minus 1 week plus 3 hours}",
            "{write in \"what we agreed\"}",
            "{ask „was“ else nothing}",
            "Ω",
            "_x");

    private Generated() {}

    static Stream<String> texts(int count) {
        return IntStream.range(0, count).mapToObj(seed -> text(new Random(seed)));
    }

    static String text(Random random) {
        return IntStream.range(0, random.nextInt(14))
                .mapToObj(i -> FRAGMENTS.get(random.nextInt(FRAGMENTS.size())))
                .collect(Collectors.joining());
    }

    static Value value(Random random) {
        return switch (random.nextInt(8)) {
            case 0 -> new Value.Text("");
            case 1 -> new Value.Text("   ");
            case 2 -> new Value.Number(java.math.BigDecimal.valueOf(random.nextLong(), random.nextInt(9)));
            case 3 ->
                new Value.Money(java.math.BigDecimal.valueOf(random.nextInt()), random.nextBoolean() ? "GBP" : "??");
            case 4 -> new Value.Day(java.time.LocalDate.of(2026, 1, 1).plusDays(random.nextInt(4000) - 2000));
            case 5 -> new Value.Phone(text(random));
            case 6 -> new Value.Several(List.of(text(random), "plums"));
            default -> new Value.Text(text(random));
        };
    }
}
