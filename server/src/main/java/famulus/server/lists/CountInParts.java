package famulus.server.lists;

import famulus.server.platform.Several;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Counts for how many records something holds; of very many each processor counts a part. */
@Component
class CountInParts {
    private static final int PARTS = Math.clamp(Runtime.getRuntime().availableProcessors(), 1, 4);

    private final ListMapper mapper;

    CountInParts(ListMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * Counts.
     *
     * @param asked all that are asked, which {@code where} was compiled over
     * @param total how many they are
     */
    int of(AskedRecords asked, Sql where, int total) {
        // Others would not see what a transaction has changed so far.
        boolean byItself = total <= Sampling.FEW || TransactionSynchronizationManager.isActualTransactionActive();
        return byItself ? part(asked, where) : inParts(asked, where, PARTS);
    }

    int inParts(AskedRecords asked, Sql where, int parts) {
        AtomicInteger all = new AtomicInteger();
        Several.each(
                IntStream.range(0, parts).boxed().toList(),
                parts,
                turn -> all.addAndGet(part(asked, Sql.put("%s and (%s)", asked.part(turn, parts), where))));
        return all.get();
    }

    private int part(AskedRecords asked, Sql where) {
        Sql count = Sql.put("select count(*) %s where %s", asked.from(), where);
        return mapper.number(count.numbered(), count.values());
    }
}
