package famulus.server.library;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Where deleted templates lie until they are erased. Of one that messages went out with the name stays, which their history
 * says; what those messages said is kept with them.
 */
@Component
class TemplateBin {
    private static final Duration LIES_FOR = Duration.ofDays(30);
    /** Erased in one transaction. */
    private static final int AT_ONCE = 50;

    private final TemplateBinMapper mapper;
    private final TemplateIndex index;
    private final TransactionTemplate transactions;
    private final Clock clock;

    TemplateBin(TemplateBinMapper mapper, TemplateIndex index, TransactionTemplate transactions, Clock clock) {
        this.mapper = mapper;
        this.index = index;
        this.transactions = transactions;
        this.clock = clock;
    }

    /** What was deleted since can be brought back. */
    Instant since() {
        return clock.instant().minus(LIES_FOR);
    }

    /** Erases what has lain there long enough. */
    @Scheduled(initialDelay = 1, fixedDelay = 60, timeUnit = TimeUnit.MINUTES)
    void empty() {
        Instant before = since();
        List<UUID> some;
        do {
            some = mapper.outdated(before, AT_ONCE);
            List<UUID> these = some;
            transactions.executeWithoutResult(running -> these.forEach(this::erase));
        } while (some.size() == AT_ONCE);
    }

    private void erase(UUID id) {
        mapper.forgetVersions(id);
        mapper.forgetIgnored(id);
        mapper.forgetPresence(id);
        mapper.forgetVariants(id);
        mapper.forgetWords(id);
        mapper.forgetNames(id);
        mapper.forgetTags(id);
        mapper.forgetOccasions(id);
        if (!mapper.written(id)) {
            mapper.erase(id);
        }
        index.forget(id);
    }
}
