package famulus.server.mailings;

import famulus.server.platform.Revisions;
import famulus.server.platform.WritesCounted;
import java.util.regex.Pattern;
import org.apache.ibatis.executor.Executor;
import org.apache.ibatis.mapping.MappedStatement;
import org.apache.ibatis.plugin.Intercepts;
import org.apache.ibatis.plugin.Signature;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;

/**
 * Counts that something has changed which a message may take what it says from, or which decides on whether it may leave: whatever
 * is not known to be neither.
 */
@Component
@Intercepts(
        @Signature(
                type = Executor.class,
                method = "update",
                args = {MappedStatement.class, Object.class}))
class SourceChanges extends WritesCounted {
    static final String REVISION = "sources";

    /** What mailings and messages write of themselves, and what is written of who has done and found what. */
    private static final String ASIDE = String.join(
            "|",
            "mailing(?:_\\w+)?",
            "message_\\w+",
            "web_copy",
            "demo_letter",
            "content",
            "kept_source(?:_content)?",
            "record_place",
            "record_standing",
            "record_renewal",
            "search_word",
            "search_entry",
            "template_use",
            "template_version",
            "template_favourite",
            "template_test",
            "desk_presence",
            "scheduled_tasks",
            "failed_sign_in",
            "skipped_step",
            "import_\\w+",
            "revision");

    SourceChanges(ObjectProvider<Revisions> revisions) {
        // What a message says of the history of its reader is read anew for each.
        super(REVISION, butFor("outgoing_message|delivery_event|person_summary|history_entry"), revisions);
    }

    /** Every statement that writes, but those into tables that never matter, and into others. */
    static Pattern butFor(String others) {
        return Pattern.compile(
                "(?!\\s*(?:insert into|update|delete from|merge into)\\s+(?:" + ASIDE + "|" + others + ")\\s).*",
                Pattern.DOTALL);
    }
}
