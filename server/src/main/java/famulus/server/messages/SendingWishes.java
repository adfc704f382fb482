package famulus.server.messages;

import famulus.core.calendar.PlannedHour;
import famulus.core.record.EmailAddress;
import famulus.server.platform.Refusal;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;

/**
 * What the sender wants of the way a message goes. All of it may be left out.
 *
 * @param also contacts who get it too, in the same line, and are greeted with its person
 * @param cc addresses that get a copy and are seen
 * @param bcc addresses that get a copy and are not seen
 * @param replyTo where answers go; null for where the sender’s usually go
 * @param toName how the person’s name is shown in the address line; null for the name on the record
 * @param hour when it leaves; null for at once
 * @param several where it is one of a message that goes to several people at once; null for one of its own
 * @param mailing the mailing it is one of; null for none
 */
public record SendingWishes(
        @Schema(nullable = true) List<UUID> also,
        @Schema(nullable = true) List<String> cc,
        @Schema(nullable = true) List<String> bcc,
        @Schema(nullable = true) String replyTo,
        @Schema(nullable = true) String toName,
        @Schema(nullable = true) Hour hour,
        @Schema(nullable = true) ToSeveral several,
        @Schema(nullable = true) UUID mailing) {
    /** No wishes. */
    public static final SendingWishes NONE = new SendingWishes(null, null, null, null, null, null, null, null);

    public SendingWishes {
        also = also == null
                ? List.of()
                : also.stream().filter(Objects::nonNull).distinct().toList();
        cc = EmailAddress.typed(cc);
        bcc = EmailAddress.typed(bcc);
        replyTo = blankToNull(replyTo);
        toName = blankToNull(toName);
    }

    private static String blankToNull(String text) {
        return text == null || text.isBlank() ? null : text.strip();
    }

    /**
     * What is known of a message to several people in each of its messages.
     *
     * @param topic what it is about; null for none of our topics
     * @param reason why somebody gets it who would have been left out; null for others
     */
    public record ToSeveral(@Schema(nullable = true) UUID topic, @Schema(nullable = true) String reason) {}

    /** Whether it leaves together with a mailing. */
    public boolean ofMailing() {
        return mailing != null;
    }

    /** The same, as one of the messages of a mailing. */
    public SendingWishes of(UUID oneMailing) {
        return new SendingWishes(also, cc, bcc, replyTo, toName, hour, several, oneMailing);
    }

    /** The same, as one of a message to several people. */
    public SendingWishes to(ToSeveral others) {
        return new SendingWishes(also, cc, bcc, replyTo, toName, hour, others, mailing);
    }

    /**
     * An hour on a clock.
     *
     * @param date such as 2026-05-05
     * @param time such as 08:00
     * @param zone whose clock, by its name in the IANA database
     */
    public record Hour(String date, String time, String zone) {
        /** The same, read; refused where it is no hour. */
        public PlannedHour planned() {
            try {
                return new PlannedHour(
                        LocalDate.parse(date), LocalTime.parse(time).truncatedTo(ChronoUnit.MINUTES), ZoneId.of(zone));
            } catch (DateTimeException | NullPointerException wrong) {
                throw Refusal.field("hour", "Choose a day and an hour.");
            }
        }

        /** A moment, to the minute. */
        static Hour of(Instant moment) {
            return of(PlannedHour.at(moment, ZoneOffset.UTC));
        }

        /** As it is written. */
        public static Hour of(PlannedHour hour) {
            return new Hour(
                    hour.date().toString(),
                    hour.time().truncatedTo(ChronoUnit.MINUTES).toString(),
                    hour.zone().getId());
        }
    }

    /** When it leaves; empty for at once. */
    Optional<PlannedHour> planned() {
        return Optional.ofNullable(hour).map(Hour::planned);
    }

    /** The same, leaving at another hour. */
    SendingWishes at(Hour other) {
        return new SendingWishes(also, cc, bcc, replyTo, toName, other, several, mailing);
    }
}
