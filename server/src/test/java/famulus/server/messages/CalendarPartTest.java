package famulus.server.messages;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Calendar files read back from a message's bytes. */
class CalendarPartTest {
    private static final String MESSAGE =
            """
            From: signe@brindlewing.example
            To: ines@larkfield.example
            Subject: Two visits
            MIME-Version: 1.0
            Content-Type: multipart/mixed; boundary="outer"

            --outer
            Content-Type: multipart/alternative; boundary="inner"

            --inner
            Content-Type: text/plain; charset=UTF-8

            BEGIN:VCALENDAR is only written here.
            --inner
            Content-Type: text/html; charset=UTF-8

            <p>Two visits</p>
            --inner--

            --outer
            Content-Type: text/calendar; charset=UTF-8; name="event.ics"
            Content-Disposition: attachment; filename="event.ics"
            Content-Transfer-Encoding: base64

            QkVHSU46VkNBTEVOREFSDQpTVU1NQVJZOkdhdGUNCkVORDpWQ0FMRU5EQVINCg==
            --outer
            Content-Type: text/calendar; charset=UTF-8
            Content-Disposition: attachment; filename="event-2.ics"

            BEGIN:VCALENDAR
            SUMMARY:Orchard
            END:VCALENDAR
            --outer
            Content-Type: application/pdf
            Content-Disposition: attachment; filename="event-3.ics"

            not a calendar
            --outer--
            """
                    .replace("\n", "\r\n");

    private static Optional<String> file(String name) {
        return CalendarPart.of(MESSAGE.getBytes(StandardCharsets.UTF_8), name)
                .map(bytes -> new String(bytes, StandardCharsets.UTF_8));
    }

    @Test
    void eachIsFoundByItsName() {
        assertThat(file("event.ics"))
                .hasValueSatisfying(
                        words -> assertThat(words).startsWith("BEGIN:VCALENDAR").contains("SUMMARY:Gate"));
        assertThat(file("event-2.ics"))
                .hasValueSatisfying(
                        words -> assertThat(words).contains("SUMMARY:Orchard").doesNotContain("Gate"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"event-4.ics", "", "EVENT.ICS", "../event.ics", "event-3.ics"})
    void nothingElseIsGiven(String name) {
        assertThat(file(name)).isEmpty();
    }

    @Test
    void aMessageOfWordsAloneHasNone() {
        byte[] plain = "Subject: Hello\r\n\r\nBEGIN:VCALENDAR".getBytes(StandardCharsets.UTF_8);
        assertThat(CalendarPart.of(plain, "event.ics")).isEmpty();
    }
}
