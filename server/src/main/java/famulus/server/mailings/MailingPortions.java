package famulus.server.mailings;

import famulus.server.mailings.MailingMessages.ReadMessage;
import famulus.server.mailings.MailingWords.Wordings;
import famulus.server.platform.Revisions;
import famulus.server.team.Colleague;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Reads what the next people of a mailing get, a portion at a time: its words are parsed once for all of them, and what is known of
 * them is gathered at once. What was read is good for as long as nothing has changed that it was taken from, and for some seconds
 * at most; each message is made of it by itself, when it leaves.
 */
@Component
class MailingPortions {
    private static final Logger LOG = LoggerFactory.getLogger(MailingPortions.class);

    /** It may name a day, or an hour. */
    private static final Duration GOOD_FOR = Duration.ofSeconds(10);

    private static final long LONGEST_WAIT_MS = 5_000;
    private static final int SMALLEST = 4;
    private static final int LARGEST = 32;

    private final MailingPersonMapper people;
    private final MailingService service;
    private final MailingMessages messages;
    private final MailingWords words;
    private final Revisions revisions;
    private final Clock clock;
    private final Map<UUID, Hand> hands = new ConcurrentHashMap<>();
    private final ExecutorService reader = Executors.newSingleThreadExecutor(
            Thread.ofPlatform().daemon().name("mailings-reader").factory());

    MailingPortions(
            MailingPersonMapper people,
            MailingService service,
            MailingMessages messages,
            MailingWords words,
            Revisions revisions,
            Clock clock) {
        this.people = people;
        this.service = service;
        this.messages = messages;
        this.words = words;
        this.revisions = revisions;
        this.clock = clock;
    }

    /**
     * A portion.
     *
     * @param revision how often sources had changed before it was read
     * @param said what the mailing says
     * @param asTested whether that looks as it did when the mailing was started
     * @param asked who it was read for, by what they were chosen as
     * @param read what was read, likewise
     */
    private record Portion(
            int version,
            Instant startedAt,
            int revision,
            Instant at,
            Wordings said,
            boolean asTested,
            Set<UUID> asked,
            Map<UUID, ReadMessage> read) {
        boolean of(Mailing mailing) {
            return version == mailing.version() && startedAt.equals(mailing.startedAt());
        }
    }

    /** The portion of a mailing that is used now, and the one that is read meanwhile. */
    private static final class Hand {
        private Portion portion;
        private Future<Portion> coming;
        private int size = SMALLEST;
        private int used;

        boolean usedUp() {
            return portion != null && used >= portion.asked().size();
        }

        /** What was read meanwhile; empty while it is being read, and where that failed. */
        Optional<Portion> take() {
            if (coming == null || !coming.isDone()) {
                return Optional.empty();
            }
            Future<Portion> read = coming;
            coming = null;
            // What has failed is read once more, and whatever is wrong is said then.
            return read.state() == Future.State.SUCCESS ? Optional.of(read.resultNow()) : Optional.empty();
        }
    }

    /**
     * What somebody gets.
     *
     * @param said what the mailing says
     * @param asTested whether that looks as it did when the mailing was started
     * @param read how it reads for them; empty for whoever has words of their own, and where it can’t be read with others
     */
    record Turn(Wordings said, boolean asTested, Optional<ReadMessage> read) {}

    /**
     * Waits until those are read who come next, where all others have had their turn. To be called outside of transactions: what
     * is read needs connections, and whoever waits within one may hold the last.
     */
    void await() throws InterruptedException {
        for (Hand hand : hands.values()) {
            Future<Portion> coming;
            synchronized (hand) {
                coming = hand.usedUp() ? hand.coming : null;
            }
            if (coming != null) {
                try {
                    coming.get(LONGEST_WAIT_MS, TimeUnit.MILLISECONDS);
                } catch (ExecutionException | TimeoutException failed) {
                    LOG.debug("What comes next in a mailing is read when its turn comes", failed);
                }
            }
        }
    }

    /** What somebody gets whose turn it is, read with those who come next where it has not been yet. */
    Turn of(Mailing mailing, MailingPerson person, Colleague starter) {
        Hand hand = hands.computeIfAbsent(mailing.id(), id -> new Hand());
        synchronized (hand) {
            if (!good(hand.portion, mailing, person)) {
                boolean usedUp = hand.usedUp();
                Portion coming = hand.take().orElse(null);
                boolean ready = good(coming, mailing, person);
                // Whoever is slow, or sees much change, reads less ahead.
                hand.size = Math.clamp(usedUp ? hand.size * 2L : hand.size / 2, SMALLEST, LARGEST);
                hand.used = 0;
                hand.portion = ready ? coming : read(mailing, Optional.of(person), Set.of(), starter, hand.size);
            }
            hand.used++;
            Portion portion = hand.portion;
            if (hand.coming == null && !reader.isShutdown() && portion.asked().size() - hand.used <= hand.size / 2) {
                int size = hand.size;
                hand.coming = reader.submit(() -> read(mailing, Optional.empty(), portion.asked(), starter, size));
            }
            Optional<ReadMessage> read = Optional.ofNullable(portion.read().get(person.chosenId()))
                    .filter(one -> person.draftId() == null)
                    .filter(one -> one.prepared()
                            .message()
                            .id()
                            .equals(MailingMessages.id(mailing.id(), person.chosenId(), person.turn())));
            return new Turn(portion.said(), portion.asTested(), read);
        }
    }

    /** Whether a portion was read for somebody, and nothing has changed since. */
    private boolean good(Portion portion, Mailing mailing, MailingPerson person) {
        return portion != null
                && portion.of(mailing)
                && portion.asked().contains(person.chosenId())
                && portion.revision() == revisions.now(SourceChanges.REVISION)
                && clock.instant().isBefore(portion.at().plus(GOOD_FOR));
    }

    @PreDestroy
    void stop() {
        reader.shutdownNow();
    }

    /** Forgets what was read, once nobody is due. */
    void forget() {
        hands.clear();
    }

    /**
     * Reads a portion.
     *
     * @param first who has to be among them
     * @param others who were read already
     */
    private Portion read(
            Mailing mailing, Optional<MailingPerson> first, Set<UUID> others, Colleague starter, int size) {
        Instant now = clock.instant();
        int revision = revisions.now(SourceChanges.REVISION);
        Wordings said = service.started(mailing.id());
        boolean asTested = words.digest(said, mailing.plan().what()).equals(mailing.started());
        List<MailingPerson> some = Stream.concat(
                        first.stream(),
                        people.next(mailing.id(), now, size + others.size()).stream()
                                .filter(one -> !others.contains(one.chosenId()))
                                .filter(one -> first.stream()
                                        .noneMatch(other -> other.chosenId().equals(one.chosenId()))))
                .limit(size)
                .toList();
        Map<UUID, ReadMessage> read = asTested
                ? read(
                        mailing,
                        some.stream().filter(one -> one.draftId() == null).toList(),
                        said,
                        starter)
                : Map.of();
        return new Portion(
                mailing.version(),
                mailing.startedAt(),
                revision,
                now,
                said,
                asTested,
                some.stream().map(MailingPerson::chosenId).collect(Collectors.toSet()),
                read);
    }

    private Map<UUID, ReadMessage> read(Mailing mailing, List<MailingPerson> some, Wordings said, Colleague starter) {
        try {
            return messages.read(mailing, some, said, starter);
        } catch (RuntimeException failed) {
            // What is wrong with one of them keeps nobody else: each is read alone when it is their turn, and it is
            // said then.
            LOG.debug("Some people of a mailing can’t be read together", failed);
            return Map.of();
        }
    }
}
