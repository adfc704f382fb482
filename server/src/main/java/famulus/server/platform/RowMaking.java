package famulus.server.platform;

import java.lang.reflect.Constructor;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.apache.ibatis.reflection.factory.DefaultObjectFactory;
import org.mybatis.spring.boot.autoconfigure.ConfigurationCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * How rows of the database become records. Constructors are looked for and opened once: MyBatis by itself tries for each row
 * anew whether one is public, which takes ten times as long as making the record.
 */
@Configuration
class RowMaking {
    @Bean
    ConfigurationCustomizer madeQuickly() {
        return configuration -> configuration.setObjectFactory(new KeptConstructors());
    }

    /** Keeps the constructors of what rows become. */
    static final class KeptConstructors extends DefaultObjectFactory {
        private record Wanted(Class<?> type, List<Class<?>> arguments) {}

        private final transient Map<Wanted, Constructor<?>> kept = new ConcurrentHashMap<>();

        @Override
        public <T> T create(Class<T> type, List<Class<?>> arguments, List<Object> values) {
            if (!type.isRecord() || arguments == null || values == null) {
                return super.create(type, arguments, values);
            }
            try {
                return type.cast(kept.computeIfAbsent(new Wanted(type, List.copyOf(arguments)), KeptConstructors::open)
                        .newInstance(values.toArray()));
            } catch (ReflectiveOperationException failure) {
                throw new IllegalArgumentException("No " + type.getName() + " could be made of a row", failure);
            }
        }

        private static Constructor<?> open(Wanted wanted) {
            try {
                Constructor<?> constructor =
                        wanted.type().getDeclaredConstructor(wanted.arguments().toArray(Class<?>[]::new));
                constructor.setAccessible(true);
                return constructor;
            } catch (NoSuchMethodException missing) {
                throw new IllegalArgumentException(wanted.type().getName() + " is not made of these columns", missing);
            }
        }
    }
}
