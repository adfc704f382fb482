package famulus.server.library;

import famulus.server.team.Asking;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.BeanDescription;
import tools.jackson.databind.DeserializationConfig;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.deser.ValueDeserializerModifier;
import tools.jackson.databind.deser.std.DelegatingDeserializer;
import tools.jackson.databind.module.SimpleModule;

/**
 * Takes out of every draft that a browser sends, in whatever request it comes, what whoever sends it may not use. So no request
 * has to remember to ask. A message’s draft that is read from the database for a request is looked through likewise: whoever has
 * lost the right to a part since sees it as gone. What is read for nobody (sending, starting) stays as it is.
 */
@Component
class DraftsFromBrowsers extends SimpleModule {
    private final transient ObjectProvider<UsableParts> usable;
    private final transient ObjectProvider<Asking> asking;

    DraftsFromBrowsers(ObjectProvider<UsableParts> usable, ObjectProvider<Asking> asking) {
        super("drafts from browsers");
        this.usable = usable;
        this.asking = asking;
        setDeserializerModifier(new ValueDeserializerModifier() {
            @Override
            public ValueDeserializer<?> modifyDeserializer(
                    DeserializationConfig config, BeanDescription.Supplier description, ValueDeserializer<?> reading) {
                return description.getBeanClass() == Draft.class ? new ClearingReader(reading) : reading;
            }
        });
    }

    private final class ClearingReader extends DelegatingDeserializer {
        ClearingReader(ValueDeserializer<?> reading) {
            super(reading);
        }

        @Override
        protected ValueDeserializer<?> newDelegatingInstance(ValueDeserializer<?> reading) {
            return new ClearingReader(reading);
        }

        @Override
        public Object deserialize(JsonParser parser, DeserializationContext context) {
            Draft draft = (Draft) super.deserialize(parser, context);
            return draft == null
                    ? null
                    : asking.getObject()
                            .now()
                            .map(who -> usable.getObject().only(draft, who))
                            .orElse(draft);
        }
    }
}
