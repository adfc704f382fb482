package famulus.server.library;

import famulus.server.platform.JsonTypeHandler;
import org.apache.ibatis.type.MappedTypes;

/** Carries the wishes of a template; an empty column for none. */
@MappedTypes(TemplateWishes.class)
public class TemplateWishesTypeHandler extends JsonTypeHandler<TemplateWishes> {
    public TemplateWishesTypeHandler() {
        super(TemplateWishes.class, TemplateWishes.NONE);
    }
}
