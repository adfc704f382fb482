package famulus.server.library;

import famulus.server.platform.JsonTypeHandler;
import org.apache.ibatis.type.MappedTypes;

/** Carries the plain text that a template keeps by hand; null for one that is derived. */
@MappedTypes(KeptPlainText.class)
public class KeptPlainTextTypeHandler extends JsonTypeHandler<KeptPlainText> {
    public KeptPlainTextTypeHandler() {
        super(KeptPlainText.class, null);
    }
}
