package famulus.server.platform;

import io.swagger.v3.oas.annotations.media.Schema;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;

/**
 * What the API's description calls required is required: a request that leaves a property out, or says {@code null}
 * where the description does not allow it, is refused before a controller sees it.
 */
@ControllerAdvice
class RequiredProperties extends RequestBodyAdviceAdapter {
    @Override
    public boolean supports(
            MethodParameter parameter, Type target, Class<? extends HttpMessageConverter<?>> converter) {
        return true;
    }

    @Override
    public Object afterBodyRead(
            Object body,
            HttpInputMessage message,
            MethodParameter parameter,
            Type target,
            Class<? extends HttpMessageConverter<?>> converter) {
        Map<String, String> missing = new LinkedHashMap<>();
        look(body, "", missing);
        if (!missing.isEmpty()) {
            throw Refusal.fields(missing);
        }
        return body;
    }

    private static void look(Object value, String at, Map<String, String> missing) {
        if (value instanceof Record) {
            for (RecordComponent component : value.getClass().getRecordComponents()) {
                Object held = held(component, value);
                String name = at + component.getName();
                if (held != null) {
                    look(held, name + ".", missing);
                } else if (!mayBeNull(component)) {
                    missing.put(name, "This is missing.");
                }
            }
        } else if (value instanceof Collection<?> several) {
            int index = 0;
            for (Object one : several) {
                entry(one, at + index++, missing);
            }
        } else if (value instanceof Map<?, ?> named) {
            named.forEach((name, one) -> entry(one, at + name, missing));
        }
    }

    /** What stands in a list or under a name is never nothing. */
    private static void entry(Object value, String at, Map<String, String> missing) {
        if (value == null) {
            missing.put(at, "This is missing.");
        } else {
            look(value, at + ".", missing);
        }
    }

    private static boolean mayBeNull(RecordComponent component) {
        Schema schema = component.getAccessor().getAnnotation(Schema.class);
        return schema != null && schema.nullable();
    }

    private static Object held(RecordComponent component, Object value) {
        try {
            component.getAccessor().setAccessible(true);
            return component.getAccessor().invoke(value);
        } catch (IllegalAccessException | InvocationTargetException wrong) {
            throw new IllegalStateException("A record that can't be read: " + value.getClass(), wrong);
        }
    }
}
