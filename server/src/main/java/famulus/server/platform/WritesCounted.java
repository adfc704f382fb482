package famulus.server.platform;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import org.apache.ibatis.mapping.MappedStatement;
import org.apache.ibatis.plugin.Interceptor;
import org.apache.ibatis.plugin.Invocation;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.core.Ordered;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Counts that tables are no longer as they were read, whichever statement has changed them: none can be forgotten. It is
 * counted once for each transaction, as the last thing in it, so that two of them never wait for each other. Whoever extends it
 * says with {@code Intercepts} that it is told of updates.
 */
public abstract class WritesCounted implements Interceptor {
    private final String revision;
    private final Pattern writes;
    /** Asked for late: what counts is itself read by what is intercepted here. */
    private final ObjectProvider<Revisions> revisions;

    private final Map<String, Boolean> writing = new ConcurrentHashMap<>();

    /**
     * Counts statements.
     *
     * @param revision the name of the count
     * @param writes those that count, whole
     */
    protected WritesCounted(String revision, Pattern writes, ObjectProvider<Revisions> revisions) {
        this.revision = revision;
        this.writes = writes;
        this.revisions = revisions;
    }

    @Override
    public Object intercept(Invocation invocation) throws Throwable {
        Object done = invocation.proceed();
        MappedStatement statement = (MappedStatement) invocation.getArgs()[0];
        Object parameter = invocation.getArgs()[1];
        if (writing.computeIfAbsent(
                statement.getId(),
                id -> writes.matcher(statement.getBoundSql(parameter).getSql()).matches())) {
            changed();
        }
        return done;
    }

    private void changed() {
        if (!TransactionSynchronizationManager.isSynchronizationActive()) {
            revisions.getObject().changed(revision);
        } else if (!underWay()) {
            TransactionSynchronizationManager.bindResource(this, true);
            TransactionSynchronizationManager.registerSynchronization(new Counting());
        }
    }

    /** Whether something was changed in the transaction that is under way, which nobody has counted yet. */
    public boolean underWay() {
        return TransactionSynchronizationManager.hasResource(this);
    }

    private final class Counting implements TransactionSynchronization, Ordered {
        /** Before the connection is let go. */
        @Override
        public int getOrder() {
            return 0;
        }

        @Override
        public void beforeCommit(boolean readOnly) {
            revisions.getObject().changed(revision);
        }

        @Override
        public void suspend() {
            TransactionSynchronizationManager.unbindResource(WritesCounted.this);
        }

        @Override
        public void resume() {
            TransactionSynchronizationManager.bindResource(WritesCounted.this, true);
        }

        @Override
        public void afterCompletion(int status) {
            TransactionSynchronizationManager.unbindResource(WritesCounted.this);
        }
    }
}
