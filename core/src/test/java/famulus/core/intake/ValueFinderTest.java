package famulus.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldType;
import famulus.core.field.RecordKind;
import famulus.core.field.Value;
import famulus.core.merge.MergeParser;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merger;
import famulus.core.merge.Place;
import famulus.core.prose.WrittenLanguage;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ValueFinderTest {
    private static final LocalDate WRITTEN = LocalDate.of(2026, 5, 4);
    private static final FieldCatalogue CATALOGUE = new FieldCatalogue(List.of(
            field(RecordKind.PERSON, "greeting", FieldType.TEXT),
            field(RecordKind.PERSON, "first_name", FieldType.TEXT),
            field(RecordKind.PERSON, "last_name", FieldType.TEXT),
            field(RecordKind.PERSON, "full_name", FieldType.TEXT),
            field(RecordKind.PERSON, "email", FieldType.EMAIL),
            field(RecordKind.PERSON, "phone", FieldType.PHONE),
            field(RecordKind.CONTACT, "first_name", FieldType.TEXT),
            field(RecordKind.CONTACT, "crop", FieldType.CHOICE),
            field(RecordKind.ORGANISATION, "name", FieldType.TEXT),
            field(RecordKind.DEAL, "name", FieldType.TEXT),
            field(RecordKind.DEAL, "value", FieldType.MONEY),
            field(RecordKind.DEAL, "count", FieldType.NUMBER),
            field(RecordKind.DEAL, "visit_on", FieldType.DATE),
            field(RecordKind.USER, "first_name", FieldType.TEXT),
            field(RecordKind.USER, "full_name", FieldType.TEXT),
            field(RecordKind.USER, "phone", FieldType.PHONE)));
    private static final Map<String, Value> INES = Map.ofEntries(
            Map.entry("person.greeting", new Value.Text("Dear Ms Okafor-Brandt")),
            Map.entry("person.first_name", new Value.Text("Inès")),
            Map.entry("person.last_name", new Value.Text("Okafor-Brandt")),
            Map.entry("person.full_name", new Value.Text("Inès Okafor-Brandt")),
            Map.entry("person.email", new Value.Text("ines@larkfield.example")),
            Map.entry("person.phone", new Value.Phone("+44 1632 960455")),
            Map.entry("contact.first_name", new Value.Text("Inès")),
            Map.entry("contact.crop", new Value.Text("plums")),
            Map.entry("organisation.name", new Value.Text("Larkfield Farms")),
            Map.entry("deal.name", new Value.Text("Larkfield")),
            Map.entry("deal.value", new Value.Money(new BigDecimal("1240.00"), "GBP")),
            Map.entry("deal.count", new Value.Number(new BigDecimal("48"))),
            Map.entry("deal.visit_on", new Value.Day(LocalDate.of(2026, 5, 8))),
            Map.entry("sender.first_name", new Value.Text("Signe")),
            Map.entry("sender.full_name", new Value.Text("Signe Halloran")),
            Map.entry("owner.full_name", new Value.Text("Signe Halloran")),
            Map.entry("sender.phone", new Value.Phone("+44 1632 960100")));

    private static FieldDefinition field(RecordKind kind, String name, FieldType type) {
        return FieldDefinition.plain(kind, name, kind + "'s " + name, type);
    }

    private static ValueFinder finder(Map<String, Value> values, WrittenLanguage language, Locale reader) {
        return new ValueFinder(
                KnownValue.around(path -> Optional.ofNullable(values.get(path.toString())), CATALOGUE, About.DEAL),
                language,
                reader,
                WRITTEN);
    }

    private static List<FoundValue> found(String text) {
        return finder(INES, WrittenLanguage.ENGLISH, Locale.UK).in(text);
    }

    /** The text with the likeliest field in each place. */
    private static String written(String text, List<FoundValue> found) {
        StringBuilder written = new StringBuilder(text);
        for (FoundValue one : found.reversed()) {
            written.replace(one.start(), one.end(), one.fields().getFirst().written());
        }
        return written.toString();
    }

    private static String written(String text) {
        return written(text, found(text));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            textBlock =
                    """
            Dear Ms Okafor-Brandt,                     | {person.greeting},
            Hello INES, good to see you                | Hello {person.first_name else "there"}, good to see you
            as Ines said                               | as {person.first_name} said
            ines  OKAFOR-BRANDT’s fields               | {person.full_name}’s fields
            all of Larkfield Farms                     | all of {organisation.name else "your company"}
            the Larkfield deal                         | the {deal.name} deal
            Larkfields and Inesita                     | Larkfields and Inesita
            Ring +44 (0)1632 960 455.                  | Ring {person.phone as international}.
            Ring 01632 960455.                         | Ring {person.phone as national}.
            write to Ines@Larkfield.example            | write to {person.email}
            for £1,240 in all                          | for {deal.value as whole money} in all
            for £ 1240.00 in all                       | for {deal.value} in all
            for 1,240 pounds                           | for {deal.value as whole money}
            for GBP 1240                               | for {deal.value as whole money}
            for 1,240                                  | for {deal.value as plain amount}
            with 48 of them, not 480 or 4.8            | with {deal.count} of them, not 480 or 4.8
            forty-eight of them                        | {deal.count as words} of them
            on Friday, 8 May                           | on {deal.visit_on as weekday}, {deal.visit_on as day and month}
            on Fri the 8th of May                      | on {deal.visit_on as weekday} the {deal.visit_on as day and month}
            on Friday 8 May 2026                       | on {deal.visit_on as weekday and long date}
            on 8 May 2026.                             | on {deal.visit_on as long date}.
            on 8 May (Friday)                          | on {deal.visit_on as day and month} ({deal.visit_on as weekday})
            on 08/05/2026                              | on {deal.visit_on as short date}
            on Thursday, 8 May                         | on Thursday, 8 May
            on 8 May 2025                              | on 8 May 2025
            Signe Halloran, 01632 960100               | {sender.full_name}, {sender.phone as national}
            """)
    void valuesAreFoundAsPeopleWriteThem(String text, String expected) {
        assertThat(written(text)).isEqualTo(expected);
    }

    @Test
    void aWeekdayByItselfIsAskedAboutWhereADayOfItIsNear() {
        List<FoundValue> found = found("See you on Friday. Not on Thursday. Friday, 8 May, it is; Fridays are best.");
        assertThat(written("See you on Friday. Not on Thursday. Friday, 8 May, it is; Fridays are best."))
                .isEqualTo("See you on {deal.visit_on as weekday}. Not on Thursday."
                        + " {deal.visit_on as weekday}, {deal.visit_on as day and month}, it is; Fridays are best.");
        assertThat(found).extracting(FoundValue::sure).containsExactly(false, true);

        Map<String, Value> later = Map.of("deal.visit_on", new Value.Day(LocalDate.of(2026, 5, 15)));
        assertThat(finder(later, WrittenLanguage.ENGLISH, Locale.UK).in("See you on Friday"))
                .isEmpty();
        assertThat(finder(INES, WrittenLanguage.FRENCH, Locale.FRANCE).in("À vendredi !"))
                .hasSize(1);
        assertThat(finder(INES, WrittenLanguage.GERMAN, Locale.GERMANY).in("Bis Freitag!"))
                .hasSize(1);
    }

    @Test
    void germanAndFrenchAreReadToo() {
        String german = "Hallo Ines, wir kommen am Freitag, den 8. Mai, für 1.240,00 € und 48 Stück.";
        assertThat(written(
                        german,
                        finder(euros(), WrittenLanguage.GERMAN, Locale.GERMANY).in(german)))
                .isEqualTo("Hallo {person.first_name else \"zusammen\"}, wir kommen am {deal.visit_on as weekday}, den "
                        + "{deal.visit_on as day and month}, für {deal.value} und {deal.count} Stück.");
        String french = "Bonjour Inès, nous venons le vendredi 8 mai pour 1 240 euros.";
        assertThat(written(
                        french,
                        finder(euros(), WrittenLanguage.FRENCH, Locale.FRANCE).in(french)))
                .isEqualTo("Bonjour {person.first_name else \"à vous\"}, nous venons le {deal.visit_on as weekday} "
                        + "{deal.visit_on as day and month} pour {deal.value as whole money}.");
    }

    private static Map<String, Value> euros() {
        Map<String, Value> values = new HashMap<>(INES);
        values.put("deal.value", new Value.Money(new BigDecimal("1240.00"), "EUR"));
        return values;
    }

    @Test
    void theNearestFieldComesFirstAndTheOthersAreOffered() {
        FoundValue name = found("As Inès said").getFirst();
        assertThat(name.fields())
                .extracting(one -> one.path().toString())
                .containsExactly("person.first_name", "contact.first_name");
        assertThat(found("Signe Halloran").getFirst().fields())
                .extracting(one -> one.path().toString())
                .containsExactly("sender.full_name", "owner.full_name");
    }

    @Test
    void wordsOfEveryDayAndSmallNumbersAreAskedAbout() {
        Map<String, Value> values = Map.of(
                "contact.crop", new Value.Text("plums"),
                "person.first_name", new Value.Text("Rose"),
                "deal.count", new Value.Number(new BigDecimal("4")));
        ValueFinder finder = finder(values, WrittenLanguage.ENGLISH, Locale.UK);
        assertThat(finder.in("Rose, your plums rose by 4 in four weeks"))
                .extracting(FoundValue::sure)
                .containsExactly(true, false, false, false, false);
    }

    /** Whatever a template prints of a value is found, and prints the same again. */
    @ParameterizedTest
    @ValueSource(strings = {"en-GB", "de-DE", "fr-FR"})
    void printedValuesAreFoundAgain(String tag) {
        Locale locale = Locale.forLanguageTag(tag);
        WrittenLanguage language = WrittenLanguage.of("", locale).orElseThrow();
        Random random = new Random(7);
        for (int turn = 0; turn < 120; turn++) {
            Map<String, Value> values = Map.of(
                    "deal.visit_on", new Value.Day(WRITTEN.plusDays(random.nextInt(250))),
                    "deal.value",
                            new Value.Money(
                                    BigDecimal.valueOf(1100 + random.nextInt(9_000_000), random.nextInt(2) * 2),
                                    random.nextBoolean() ? "EUR" : "GBP"),
                    "deal.count", new Value.Number(BigDecimal.valueOf(10 + random.nextInt(90))));
            for (String field : List.of(
                    "deal.visit_on as long date",
                    "deal.visit_on as short date",
                    "deal.visit_on as weekday and long date",
                    "deal.visit_on as day and month",
                    "deal.value",
                    "deal.count",
                    "deal.count as words")) {
                String said = "x {" + field + "} y";
                String text = merged(said, values, locale);
                String again = written(text, finder(values, language, locale).in(text));
                assertThat(again).as(text).isNotEqualTo(text);
                assertThat(merged(again, values, locale)).as(again).isEqualTo(text);
            }
        }
    }

    private static String merged(String text, Map<String, Value> values, Locale locale) {
        return new Merger(new MergeSettings(locale, ZoneOffset.UTC, Instant.parse("2026-05-04T09:00:00Z")))
                .merge(MergeParser.parse(text), path -> Optional.ofNullable(values.get(path.toString())), Place.BODY)
                .text();
    }

    @Test
    void longAndStrangeTextsAreRead() {
        assertThat(found("")).isEmpty();
        assertThat(found("\uFFFC \uD83D \u0301 {".repeat(500))).isEmpty();
        String book = "Dear Inès, we come on 8 May with 48 for £1,240. ".repeat(2000);
        assertThat(found(book)).hasSize(8000);
    }
}
