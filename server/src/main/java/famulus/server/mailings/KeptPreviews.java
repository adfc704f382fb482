package famulus.server.mailings;

import famulus.core.audience.Candidate;
import famulus.core.proof.Correspondence;
import famulus.server.desk.ManyProofs;
import famulus.server.desk.ManyProofs.Message;
import famulus.server.mailings.MailingReading.PreviewRow;
import famulus.server.platform.Revisions;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/**
 * Keeps what was read of what people would get of the last mailings that were looked at, so that a change is read again for those
 * alone whom it can change something for: a word in one language for its readers, a moment or words of their own for one person. A
 * mailing is started by what is kept as well; each message is read by itself once more before it leaves.
 */
@Component
class KeptPreviews {
    private static final int MAILINGS = 8;

    /** Days, and working hours, begin at a quarter of an hour wherever the reader is. */
    private static final Duration GOOD_WITHIN = Duration.ofMinutes(15);

    private final Revisions revisions;
    private final Clock clock;
    private final Map<UUID, Map<UUID, Kept>> mailings = new LinkedHashMap<>(MAILINGS, 1, true) {
        private static final long serialVersionUID = 1;

        @Override
        protected boolean removeEldestEntry(Map.Entry<UUID, Map<UUID, Kept>> eldest) {
            return size() > MAILINGS;
        }
    };

    KeptPreviews(Revisions revisions, Clock clock) {
        this.revisions = revisions;
        this.clock = clock;
    }

    /**
     * The state of things before anything is read.
     *
     * @param changes how often anything but words had changed
     * @param within the quarter of an hour it is
     */
    record Moment(int changes, Instant within) {}

    /**
     * What all previews that are read together lean on.
     *
     * @param mailing whose they are
     * @param sender who the messages go out as
     * @param asking who looks at them
     */
    record Grounds(UUID mailing, Moment moment, UUID sender, UUID asking) {}

    /**
     * What the preview for one person leans on besides.
     *
     * @param at when it leaves for them; empty for now
     */
    record Reader(Candidate candidate, Correspondence before, Optional<Instant> at) {}

    private record Kept(Grounds grounds, ManyProofs.Wording wording, Reader reader, PreviewRow row) {}

    /** The state of things; to be asked before anything is read, so that a change meanwhile counts. */
    Moment now() {
        long seconds = clock.instant().getEpochSecond();
        return new Moment(
                revisions.now(PreviewChanges.REVISION),
                Instant.ofEpochSecond(seconds - seconds % GOOD_WITHIN.toSeconds()));
    }

    /**
     * What was read for somebody, where nothing has changed since that it leans on.
     *
     * @param said what the mailing says, with the signature of its sender
     */
    Optional<PreviewRow> of(Grounds grounds, Message said, Reader reader) {
        // The language of a person changes with their record, which counts.
        return Optional.ofNullable(
                        rows(grounds.mailing()).get(reader.candidate().key()))
                .filter(kept -> kept.grounds().equals(grounds))
                .filter(kept -> kept.reader().equals(reader))
                .filter(kept -> kept.wording().equals(said.in(kept.row().language())))
                .map(Kept::row);
    }

    /** Keeps what was read for somebody. */
    void keep(Grounds grounds, Message said, Reader reader, PreviewRow row) {
        rows(grounds.mailing()).put(reader.candidate().key(), new Kept(grounds, said.in(row.language()), reader, row));
    }

    private Map<UUID, Kept> rows(UUID mailing) {
        synchronized (mailings) {
            return mailings.computeIfAbsent(mailing, id -> new ConcurrentHashMap<>());
        }
    }
}
