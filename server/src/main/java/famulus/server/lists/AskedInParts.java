package famulus.server.lists;

import famulus.server.platform.Several;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Counts or gathers the records that something holds for; of very many each processor asks a part. */
@Component
class AskedInParts {
    private static final int PARTS = Math.clamp(Runtime.getRuntime().availableProcessors(), 1, 4);

    private final ListMapper mapper;

    AskedInParts(ListMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * Counts.
     *
     * @param asked all that are asked, which {@code where} was compiled over
     * @param total how many they are
     */
    int count(AskedRecords asked, Sql where, int total) {
        return count(asked, where, total, PARTS);
    }

    int count(AskedRecords asked, Sql where, int total, int parts) {
        AtomicInteger all = new AtomicInteger();
        inParts(asked, where, total, parts, part -> {
            Sql count = Sql.put("select count(*) %s where %s", asked.from(), part);
            all.addAndGet(mapper.number(count.numbered(), count.values()));
        });
        return all.get();
    }

    /**
     * Gathers.
     *
     * @param asked all that are asked, which {@code where} was compiled over
     * @param total how many they are
     * @param most so many are enough
     * @return at least {@code most} of them where there are so many, else all, in no order
     */
    Set<UUID> gather(AskedRecords asked, Sql where, int total, int most) {
        return gather(asked, where, total, most, PARTS);
    }

    Set<UUID> gather(AskedRecords asked, Sql where, int total, int most, int parts) {
        Set<UUID> all = ConcurrentHashMap.newKeySet();
        inParts(asked, where, total, parts, part -> {
            Sql ids = Sql.put("select " + asked.record() + " as id %s where %s limit " + most, asked.from(), part);
            all.addAll(mapper.ids(ids.numbered(), ids.values()));
        });
        return all;
    }

    private static void inParts(AskedRecords asked, Sql where, int total, int parts, Consumer<Sql> part) {
        // Others would not see what a transaction has changed so far.
        if (total <= Sampling.FEW || TransactionSynchronizationManager.isActualTransactionActive()) {
            part.accept(where);
            return;
        }
        Several.each(
                IntStream.range(0, parts).boxed().toList(),
                parts,
                turn -> part.accept(Sql.put("%s and (%s)", asked.part(turn, parts), where)));
    }
}
