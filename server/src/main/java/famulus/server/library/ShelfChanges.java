package famulus.server.library;

import famulus.server.platform.Revisions;
import famulus.server.platform.WritesCounted;
import java.util.regex.Pattern;
import org.apache.ibatis.executor.Executor;
import org.apache.ibatis.mapping.MappedStatement;
import org.apache.ibatis.plugin.Intercepts;
import org.apache.ibatis.plugin.Signature;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;

/** Counts that templates are no longer as they were read. */
@Component
@Intercepts(
        @Signature(
                type = Executor.class,
                method = "update",
                args = {MappedStatement.class, Object.class}))
class ShelfChanges extends WritesCounted {
    static final String REVISION = "templates";

    /** Favourites, uses, words and versions decide on nobody’s seeing a template. */
    private static final Pattern WRITES =
            Pattern.compile("\\s*(?:insert into|update|delete from) template(?:_variant)?\\s.*", Pattern.DOTALL);

    ShelfChanges(ObjectProvider<Revisions> revisions) {
        super(REVISION, WRITES, revisions);
    }
}
