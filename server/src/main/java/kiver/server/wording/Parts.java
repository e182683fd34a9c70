package kiver.server.wording;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import kiver.core.growth.DateSpread;

/**
 * The parts of a reason as a message takes them: days and figures with a unit in words, numbers as numbers. The web does
 * the same in {@code say.ts}:
 *
 * <ul>
 *   <li>a day {@code x} is "Thu 29 Apr", and {@code xIs} tells whether it is past, today, ahead, or none
 *   <li>a spread of days {@code x} is {@code xEarly}, {@code xMiddle} and {@code xLate}
 *   <li>{@code …Celsius} and {@code …Millimetres} carry their unit
 *   <li>{@code chance} is {@code chancePercent} in a hundred; other broken numbers have one decimal
 *   <li>{@code container} is {@code containerLower}, too
 * </ul>
 */
final class Parts {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.UK);

    private Parts() {}

    static Map<String, Object> of(Record reason, LocalDate today) {
        Map<String, Object> parts = new HashMap<>();
        for (RecordComponent component : reason.getClass().getRecordComponents()) {
            put(parts, component.getName(), value(component, reason), today);
        }
        return parts;
    }

    static String day(LocalDate day) {
        return DAY.format(day);
    }

    private static Object value(RecordComponent component, Record reason) {
        try {
            component.getAccessor().setAccessible(true);
            return component.getAccessor().invoke(reason);
        } catch (IllegalAccessException | InvocationTargetException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private static void put(Map<String, Object> parts, String name, Object value, LocalDate today) {
        if (value instanceof Optional<?> optional) {
            parts.put(name + "Is", "none");
            parts.put(name, "");
            optional.ifPresent(present -> put(parts, name, present, today));
        } else if (value instanceof LocalDate day) {
            parts.put(name, DAY.format(day));
            parts.put(name + "Is", day.isBefore(today) ? "past" : day.isAfter(today) ? "ahead" : "today");
        } else if (value instanceof DateSpread spread) {
            parts.put(name + "Early", DAY.format(spread.early()));
            parts.put(name + "Middle", DAY.format(spread.middle()));
            parts.put(name + "Late", DAY.format(spread.late()));
        } else if (value instanceof Double figure) {
            parts.put(name, figure(name, figure));
            parts.put(name + "Percent", Math.round(100 * figure));
        } else if (value instanceof Enum<?> || value instanceof Boolean) {
            parts.put(name, value.toString());
        } else {
            parts.put(name, value);
            parts.put(name + "Lower", String.valueOf(value).toLowerCase(Locale.ROOT));
        }
    }

    private static String figure(String name, double figure) {
        if (name.endsWith("Celsius")) {
            return Math.round(figure) < 0 ? "−" + Math.abs(Math.round(figure)) + " °C" : Math.round(figure) + " °C";
        }
        if (name.endsWith("Millimetres")) {
            return Math.round(figure) + " mm";
        }
        return String.format(Locale.ROOT, "%.1f", figure);
    }
}
