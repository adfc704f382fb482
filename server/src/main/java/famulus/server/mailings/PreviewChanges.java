package famulus.server.mailings;

import famulus.server.platform.Revisions;
import famulus.server.platform.WritesCounted;
import org.apache.ibatis.executor.Executor;
import org.apache.ibatis.mapping.MappedStatement;
import org.apache.ibatis.plugin.Intercepts;
import org.apache.ibatis.plugin.Signature;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;

/**
 * Counts that something has changed which the preview of a message shows, or is judged by, besides its words: those of templates
 * and of what stands in them are compared.
 */
@Component
@Intercepts(
        @Signature(
                type = Executor.class,
                method = "update",
                args = {MappedStatement.class, Object.class}))
class PreviewChanges extends WritesCounted {
    static final String REVISION = "previews";

    PreviewChanges(ObjectProvider<Revisions> revisions) {
        super(REVISION, SourceChanges.butFor("template(?:_\\w+)?"), revisions);
    }
}
