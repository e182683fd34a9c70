package kiver.server.kept;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.CopyOnWriteArrayList;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.stereotype.Component;

/**
 * Tells whether anything has changed on which what is kept in memory rests, whichever instance changed it. The database
 * is asked at the beginning of every request, so that a request sees all that was committed before it came.
 */
@Component
public class Revisions implements SmartInitializingSingleton {

    private final RevisionMapper mapper;
    private final List<Keeper> keepers = new CopyOnWriteArrayList<>();
    private final List<Runnable> ofOneDatabase = new CopyOnWriteArrayList<>();
    private Map<String, String> seen = Map.of();

    private record Keeper(String what, Runnable forget) {}

    Revisions(RevisionMapper mapper) {
        this.mapper = mapper;
    }

    /** A mark that differs whenever a batch, its record, its lot, its lines or what they are made of has changed. */
    public String mark() {
        return mapper.mark();
    }

    /**
     * Has something forgotten whenever a table that it was read from was changed.
     *
     * @param what name of the table, or "weather" for measured days
     */
    public void whenChanged(String what, Runnable forget) {
        keepers.add(new Keeper(what, forget));
    }

    /** Has something forgotten that is known by numbers of one database, when another stands in its place. */
    public void whenReplaced(Runnable forget) {
        ofOneDatabase.add(forget);
    }

    /** Forgets everything that is kept: another database stands where there was one. */
    public void replaced() {
        ofOneDatabase.forEach(Runnable::run);
        synchronized (this) {
            keepers.forEach(keeper -> keeper.forget().run());
            seen = Map.of();
        }
    }

    /** Tells all instances that measured days were changed; they know when this transaction is over. */
    public void weatherChanged() {
        mapper.changed("weather");
    }

    /** From here on: nothing has been kept yet. */
    @Override
    public void afterSingletonsInstantiated() {
        catchUp();
    }

    /** Forgets what has been changed since this was last called. */
    void catchUp() {
        Map<String, String> now = new HashMap<>();
        mapper.settingMarks().forEach(mark -> now.put(mark.what(), mark.mark()));
        synchronized (this) {
            if (now.equals(seen)) {
                return;
            }
            keepers.stream()
                    .filter(keeper -> !Objects.equals(now.get(keeper.what()), seen.get(keeper.what())))
                    .forEach(keeper -> keeper.forget().run());
            seen = now;
        }
    }
}
