package famulus.server.records;

import famulus.server.platform.Ids;
import famulus.server.records.RecordIndexMapper.RenewalRow;
import famulus.server.team.ColleagueRenamed;
import jakarta.annotation.PreDestroy;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Makes words and places of records anew when something they name has changed: their organisation's or their colleague's
 * name, the columns of their list. A few are made at once; of many it is written down that they have to be, with the
 * change itself, and they are made behind, in portions. What is not done when the process ends is gone on with by the next.
 */
@Component
class RecordRenewals {
    private static final Logger LOG = LoggerFactory.getLogger(RecordRenewals.class);
    private static final int AT_ONCE = 200;

    private final RecordIndexMapper mapper;
    private final RecordIndex index;
    private final Ids ids;
    private final TransactionTemplate transactions;
    private final ExecutorService behind = Executors.newSingleThreadExecutor(
            Thread.ofPlatform().daemon().name("record-renewals").factory());

    RecordRenewals(RecordIndexMapper mapper, RecordIndex index, Ids ids, TransactionTemplate transactions) {
        this.mapper = mapper;
        this.index = index;
        this.ids = ids;
        this.transactions = transactions;
    }

    /** Why records have to be made anew. */
    enum Cause {
        /** Those of an organisation. */
        ORGANISATION,
        /** Those that a colleague looks after. */
        COLLEAGUE,
        /** All of a kind. */
        KIND
    }

    /** Has records made anew, within the running transaction where they are few. */
    void renew(CrmKind kind, Cause cause, UUID causeId) {
        List<UUID> some = mapper.after(kind.word(), cause.name(), causeId, null, AT_ONCE + 1);
        if (some.size() <= AT_ONCE) {
            index.portion(kind, cause, causeId, null);
            return;
        }
        mapper.renew(new RenewalRow(ids.next(), kind.word(), cause.name(), causeId, null));
        if (TransactionSynchronizationManager.isSynchronizationActive()) {
            TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
                @Override
                public void afterCommit() {
                    behind.execute(RecordRenewals.this::work);
                }
            });
        } else {
            behind.execute(this::work);
        }
    }

    /** Records are found by who looks after them, and sorted by it. */
    @EventListener
    void renamed(ColleagueRenamed colleague) {
        for (CrmKind kind : CrmKind.values()) {
            renew(kind, Cause.COLLEAGUE, colleague.id());
        }
    }

    @EventListener(ApplicationReadyEvent.class)
    void goOn() {
        behind.execute(this::work);
    }

    @PreDestroy
    void stop() {
        behind.shutdownNow();
    }

    /** Makes portions until nothing is left to be made. */
    void work() {
        try {
            boolean more = true;
            while (more && !Thread.currentThread().isInterrupted()) {
                more = Boolean.TRUE.equals(transactions.execute(status -> portion()));
            }
        } catch (RuntimeException failed) {
            LOG.error("Records could not be made anew; the next start goes on with them", failed);
        }
    }

    private boolean portion() {
        Optional<RenewalRow> next = mapper.renewal();
        next.ifPresent(row -> {
            UUID done = index.portion(CrmKind.of(row.kind()), Cause.valueOf(row.cause()), row.causeId(), row.done());
            if (done == null) {
                mapper.renewedAll(row.id());
            } else {
                mapper.renewed(row.id(), done);
            }
        });
        return next.isPresent();
    }
}
