package famulus.core.prose;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class WrittenDatesTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 5, 4);

    private static List<WrittenDate> in(String text, WrittenLanguage language, String reader) {
        return WrittenDates.in(text, language, Locale.forLanguageTag(reader));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "on 8 May at ten | ENGLISH | en-GB | 2026-05-08 | 8 May",
                "on May 8th at ten | ENGLISH | en-US | 2026-05-08 | May 8th",
                "on the 8th of May | ENGLISH | en-GB | 2026-05-08 | 8th of May",
                "by 3 January, please | ENGLISH | en-GB | 2027-01-03 | 3 January",
                "on 8 March we spoke | ENGLISH | en-GB | 2026-03-08 | 8 March",
                "since 8 May 2019 | ENGLISH | en-GB | 2019-05-08 | 8 May 2019",
                "on 08/05/26 | ENGLISH | en-GB | 2026-05-08 | 08/05/26",
                "on 05/08/2026 | ENGLISH | en-US | 2026-05-08 | 05/08/2026",
                "on 2026-05-08 | ENGLISH | en-GB | 2026-05-08 | 2026-05-08",
                "am 8. Mai um zehn | GERMAN | de-DE | 2026-05-08 | 8. Mai",
                "am 8.5. um zehn | GERMAN | de-DE | 2026-05-08 | 8.5.",
                "am 08.05.2026. | GERMAN | de-DE | 2026-05-08 | 08.05.2026",
                "le 1er octobre | FRENCH | fr-FR | 2026-10-01 | 1er octobre",
                "le 4 mai | FRENCH | fr-FR | 2026-05-04 | 4 mai",
                "le 04/05/2026 | FRENCH | fr-FR | 2026-05-04 | 04/05/2026",
            })
    void aDayIsReadAsItsLanguageWritesIt(
            String text, WrittenLanguage language, String reader, LocalDate day, String written) {
        assertThat(in(text, language, reader)).singleElement().satisfies(date -> {
            assertThat(date.nearest(TODAY)).contains(day);
            assertThat(date.whole().of(text)).isEqualTo(written);
            assertThat(date.weekday()).isEmpty();
        });
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Friday, 8 May | ENGLISH",
                "Fri 8 May | ENGLISH",
                "Friday the 8th of May | ENGLISH",
                "8 May (Friday) | ENGLISH",
                "Fri. 8/5 | ENGLISH",
                "Freitag, den 8. Mai | GERMAN",
                "Fr., 8.5. | GERMAN",
                "vendredi 8 mai | FRENCH",
                "vendredi, le 8 mai | FRENCH",
            })
    void itsWeekdayIsFoundBesideIt(String text, WrittenLanguage language) {
        assertThat(in(text, language, "en-GB")).singleElement().satisfies(date -> {
            assertThat(date.weekday()).contains(DayOfWeek.FRIDAY);
            assertThat(date.whole().of(text)).isEqualTo(text);
        });
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "We may 8 times out of ten",
                "1/2 of the price",
                "version 3.5.1 and 192.168.4.1",
                "at 8:30 in May",
                "call 020 7946 4 or 5",
                "£ 412.50",
                "page 4/5",
            })
    void figuresThatAreNoDaysAreLeftAlone(String text) {
        assertThat(in(text, WrittenLanguage.ENGLISH, "en-GB")).isEmpty();
    }

    @Test
    void aDayThatMayBeReadBothWaysIsEither() {
        assertThat(in("Mon 4/5", WrittenLanguage.ENGLISH, "en").getFirst().meant(TODAY))
                .containsExactlyInAnyOrder(LocalDate.of(2026, 5, 4), LocalDate.of(2026, 4, 5));
    }

    @ParameterizedTest
    @ValueSource(strings = {"31 June", "30 February 2026", "29 February 2026", "0 May", "32 May"})
    void aDayThatNoCalendarHasDoesNotExist(String text) {
        assertThat(in(text, WrittenLanguage.ENGLISH, "en-GB"))
                .singleElement()
                .satisfies(date -> assertThat(date.exists()).isFalse());
    }

    @Test
    void theLeapDayIsTheNextOne() {
        WrittenDate date = in("29 February", WrittenLanguage.ENGLISH, "en-GB").getFirst();

        assertThat(date.exists()).isTrue();
        assertThat(date.nearest(TODAY)).contains(LocalDate.of(2028, 2, 29));
    }
}
