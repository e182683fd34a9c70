package kiver.server.problem;

import java.lang.reflect.RecordComponent;
import java.util.Collection;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.CropCode;

/**
 * Writes values out the same way in every process. The JDK's unmodifiable maps and sets go through their entries in
 * another order each time the machine starts, so what has no order of its own is sorted.
 */
final class CanonicalText {

    private CanonicalText() {}

    static String of(Object value) {
        if (value instanceof Map<?, ?> map) {
            return map.entrySet().stream()
                    .map(entry -> of(entry.getKey()) + "=" + of(entry.getValue()))
                    .sorted()
                    .collect(Collectors.joining(", ", "{", "}"));
        }
        if (value instanceof Set<?> set) {
            return set.stream().map(CanonicalText::of).sorted().collect(Collectors.joining(", ", "{", "}"));
        }
        if (value instanceof Collection<?> list) {
            return list.stream().map(CanonicalText::of).collect(Collectors.joining(", ", "[", "]"));
        }
        if (value instanceof Optional<?> optional) {
            return optional.map(CanonicalText::of).orElse("none");
        }
        // What was sent before codes were values of their own must look the same when it is sent again.
        if (value instanceof CropCode || value instanceof ContainerCode) {
            return value.toString();
        }
        if (value instanceof Record) {
            return Stream.of(value.getClass().getRecordComponents())
                    .map(component -> component.getName() + "=" + of(read(component, value)))
                    .collect(Collectors.joining(", ", value.getClass().getSimpleName() + "[", "]"));
        }
        return String.valueOf(value);
    }

    private static Object read(RecordComponent component, Object value) {
        try {
            component.getAccessor().setAccessible(true);
            return component.getAccessor().invoke(value);
        } catch (ReflectiveOperationException closed) {
            throw new IllegalStateException(component + " cannot be read", closed);
        }
    }
}
