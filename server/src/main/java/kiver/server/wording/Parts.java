package kiver.server.wording;

import com.ibm.icu.text.ListFormatter;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
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
 *   <li>names {@code x} are {@code xTogether} in a sentence, and {@code xIs} is none where there are none
 *   <li>{@code …Celsius}, {@code …Kelvin} (a difference), {@code …Millimetres} and {@code …MetresPerSecond} carry their unit
 *   <li>{@code chance} is {@code chancePercent} in a hundred; other broken numbers have one decimal
 *   <li>{@code container} is {@code containerLower}, too
 * </ul>
 */
final class Parts {

    private final Map<String, Object> parts = new HashMap<>();
    private final LocalDate today;
    private final Speech speech;

    private Parts(LocalDate today, Speech speech) {
        this.today = today;
        this.speech = speech;
    }

    static Map<String, Object> of(Record reason, LocalDate today, Speech speech) {
        Parts parts = new Parts(today, speech);
        for (RecordComponent component : reason.getClass().getRecordComponents()) {
            parts.put(component.getName(), value(component, reason));
        }
        return parts.parts;
    }

    private static Object value(RecordComponent component, Record reason) {
        try {
            component.getAccessor().setAccessible(true);
            return component.getAccessor().invoke(reason);
        } catch (IllegalAccessException | InvocationTargetException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private void put(String name, Object value) {
        if (value instanceof Optional<?> optional) {
            parts.put(name + "Is", "none");
            parts.put(name, "");
            optional.ifPresent(present -> {
                parts.put(name + "Is", "some");
                put(name, present);
            });
        } else if (value instanceof LocalDate day) {
            parts.put(name, Figures.day(day, speech));
            parts.put(name + "Is", day.isBefore(today) ? "past" : day.isAfter(today) ? "ahead" : "today");
        } else if (value instanceof DateSpread spread) {
            parts.put(name + "Early", Figures.day(spread.early(), speech));
            parts.put(name + "Middle", Figures.day(spread.middle(), speech));
            parts.put(name + "Late", Figures.day(spread.late(), speech));
        } else if (value instanceof List<?> names) {
            parts.put(name + "Is", names.isEmpty() ? "none" : "some");
            parts.put(name, names);
            parts.put(
                    name + "Together",
                    ListFormatter.getInstance(speech.language().locale()).format(names));
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

    private String figure(String name, double figure) {
        if (name.endsWith("Celsius")) {
            return Figures.temperature(figure, speech);
        }
        if (name.endsWith("Kelvin")) {
            return Figures.difference(figure, speech);
        }
        if (name.endsWith("Millimetres")) {
            return Figures.length(figure, speech);
        }
        if (name.endsWith("MetresPerSecond")) {
            return Figures.wind(figure, speech);
        }
        return String.format(speech.language().locale(), "%.1f", figure);
    }
}
