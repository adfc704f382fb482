package famulus.server.platform;

import java.util.function.Supplier;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Does what may be asked several times at once under one identifier. Whoever comes second fails at the identifier that the
 * first has just kept; asked again, they find what the first has done.
 */
@Component
public class RepeatedRequests {
    private static final int MOST_TURNS = 5;

    private final TransactionTemplate transactions;

    RepeatedRequests(TransactionTemplate transactions) {
        this.transactions = transactions;
    }

    /**
     * Does something in a transaction, again from its beginning where another one was in its way.
     *
     * @param what looks first whether it has been done already
     */
    public <T> T inOne(Supplier<T> what) {
        for (int turn = 1; ; turn++) {
            try {
                return transactions.execute(status -> what.get());
            } catch (DuplicateKeyException | ConcurrencyFailureException inTheWay) {
                if (turn == MOST_TURNS) {
                    throw inTheWay;
                }
            }
        }
    }
}
