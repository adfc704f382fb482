package famulus.server.mailings;

import famulus.server.mailings.MailingMapper.LineRow;
import famulus.server.mailings.MailingMapper.Wanted;
import famulus.server.platform.Refusal;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** The list of mailings, the newest change first. */
@Service
class MailingLines {
    private static final int MOST_SHOWN = 50;
    private static final int MOST_UNDER_WAY = 20;
    private static final Set<String> FIGURES = Set.of("opened", "clicked", "replied", "unsubscribed");

    private final MailingMapper mapper;
    private final Clock clock;

    MailingLines(MailingMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /**
     * What the list is narrowed to.
     *
     * @param search a part of a name; may be empty
     * @param state null for any; as {@code topic} and {@code sender}
     * @param tag may be empty
     * @param days only those that were changed within so many days; 0 for whenever
     * @param figure a figure of which at least {@code least} of a hundred are wanted; empty for none
     */
    record Narrowed(
            String search,
            MailingState state,
            UUID topic,
            UUID sender,
            String tag,
            int days,
            String figure,
            int least) {}

    /** A window of the list. */
    record Lines(List<LineRow> lines, boolean more) {}

    /**
     * Reads a window.
     *
     * @param after the last one of the window before; null for the first window
     */
    Lines lines(Narrowed narrowed, UUID after) {
        if (!narrowed.figure().isEmpty() && !FIGURES.contains(narrowed.figure())) {
            throw Refusal.field("figure", "Choose a figure from the list.");
        }
        Wanted wanted = new Wanted(
                narrowed.search().isBlank() ? "" : "%" + escaped(narrowed.search()) + "%",
                narrowed.state(),
                narrowed.topic(),
                narrowed.sender(),
                narrowed.tag().isBlank() ? "" : MailingService.key(narrowed.tag()),
                narrowed.days() <= 0 ? null : clock.instant().minus(Duration.ofDays(narrowed.days())),
                narrowed.figure(),
                Math.clamp(narrowed.least(), 0, 100));
        var last = after == null ? null : mapper.byId(after).orElseThrow(() -> Refusal.missing("This mailing"));
        List<LineRow> found = mapper.lines(wanted, last == null ? null : last.changedAt(), after, MOST_SHOWN + 1);
        return new Lines(found.stream().limit(MOST_SHOWN).toList(), found.size() > MOST_SHOWN);
    }

    /** Those that are on their way, or want to be looked at. */
    List<LineRow> underWay() {
        return mapper.underWay(MOST_UNDER_WAY);
    }

    private static String escaped(String typed) {
        return typed.strip()
                .toLowerCase(Locale.ROOT)
                .replace("!", "!!")
                .replace("%", "!%")
                .replace("_", "!_");
    }
}
