package famulus.server.platform;

import com.zaxxer.hikari.SQLExceptionOverride;
import java.sql.SQLException;
import java.util.Set;
import java.util.function.Consumer;

/**
 * Notices that the database has closed itself, as H2 does when its file can't be written any more. Nothing can be read or
 * kept from then on, so the application ends; started again, it has everything that was accepted before.
 */
final class LostDatabase implements SQLExceptionOverride {
    /** H2’s GENERAL_ERROR: of its storage, where it names that. */
    private static final int GENERAL = 50000;

    /** H2’s IO_EXCEPTION_1, FILE_CORRUPTED_1, IO_EXCEPTION_2 and DATABASE_IS_CLOSED. */
    private static final Set<Integer> LOST = Set.of(90028, 90030, 90031, 90098);

    private final Consumer<String> lost;

    /** @param lost told once why, in H2's words */
    LostDatabase(Consumer<String> lost) {
        this.lost = lost;
    }

    @java.lang.Override
    public Override adjudicate(SQLException failure) {
        if (is(failure)) {
            lost.accept(reason(failure));
        }
        return Override.CONTINUE_EVICT;
    }

    /** Whether a failure means that the file can't be used any more. */
    static boolean is(Throwable failure) {
        for (Throwable cause = failure; cause != null && cause != cause.getCause(); cause = cause.getCause()) {
            if (cause instanceof SQLException sql
                    && (LOST.contains(sql.getErrorCode())
                            || sql.getErrorCode() == GENERAL
                                    && String.valueOf(sql.getMessage()).contains("MVStoreException"))) {
                return true;
            }
        }
        return false;
    }

    private static String reason(Throwable failure) {
        Throwable root = failure;
        while (root.getCause() != null && root.getCause() != root) {
            root = root.getCause();
        }
        return String.valueOf(root.getMessage());
    }
}
