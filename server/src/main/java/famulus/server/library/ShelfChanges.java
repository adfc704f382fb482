package famulus.server.library;

import famulus.server.platform.Revisions;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import org.apache.ibatis.executor.Executor;
import org.apache.ibatis.mapping.MappedStatement;
import org.apache.ibatis.plugin.Interceptor;
import org.apache.ibatis.plugin.Intercepts;
import org.apache.ibatis.plugin.Invocation;
import org.apache.ibatis.plugin.Signature;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.core.Ordered;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Counts that templates are no longer as they were read, whichever statement has changed them: none can be forgotten. It is
 * counted once for each transaction, as the last thing in it, so that two of them never wait for each other.
 */
@Component
@Intercepts(
        @Signature(
                type = Executor.class,
                method = "update",
                args = {MappedStatement.class, Object.class}))
class ShelfChanges implements Interceptor {
    static final String REVISION = "templates";

    /** Favourites, uses, words and versions decide on nobody’s seeing a template. */
    private static final Pattern WRITES =
            Pattern.compile("\\s*(?:insert into|update|delete from) template(?:_variant)?\\s.*", Pattern.DOTALL);

    /** Asked for late: what counts is itself read by what is intercepted here. */
    private final ObjectProvider<Revisions> revisions;

    private final Map<String, Boolean> writing = new ConcurrentHashMap<>();

    ShelfChanges(ObjectProvider<Revisions> revisions) {
        this.revisions = revisions;
    }

    @Override
    public Object intercept(Invocation invocation) throws Throwable {
        Object done = invocation.proceed();
        MappedStatement statement = (MappedStatement) invocation.getArgs()[0];
        Object parameter = invocation.getArgs()[1];
        if (writing.computeIfAbsent(
                statement.getId(),
                id -> WRITES.matcher(statement.getBoundSql(parameter).getSql()).matches())) {
            changed();
        }
        return done;
    }

    private void changed() {
        if (!TransactionSynchronizationManager.isSynchronizationActive()) {
            revisions.getObject().changed(REVISION);
        } else if (!underWay()) {
            TransactionSynchronizationManager.bindResource(this, true);
            TransactionSynchronizationManager.registerSynchronization(new Counting());
        }
    }

    /** Whether templates were changed in the transaction that is under way, which nobody has counted yet. */
    boolean underWay() {
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
            revisions.getObject().changed(REVISION);
        }

        @Override
        public void suspend() {
            TransactionSynchronizationManager.unbindResource(ShelfChanges.this);
        }

        @Override
        public void resume() {
            TransactionSynchronizationManager.bindResource(ShelfChanges.this, true);
        }

        @Override
        public void afterCompletion(int status) {
            TransactionSynchronizationManager.unbindResource(ShelfChanges.this);
        }
    }
}
