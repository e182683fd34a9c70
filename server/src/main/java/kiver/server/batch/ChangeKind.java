package kiver.server.batch;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import kiver.core.batch.BatchChange;
import kiver.core.batch.LookedOver;
import kiver.core.batch.Tended;
import tools.jackson.databind.node.ObjectNode;

/**
 * How each kind of change is named in the record, which version of its detail is written today, and how earlier ones are
 * brought up to it. A name once given is never given up or used for something else.
 */
enum ChangeKind {
    SOWN("Sown", BatchChange.Sown.class),
    BROUGHT_IN("BroughtIn", BatchChange.BroughtIn.class),
    LEFT_UNSOWN("LeftUnsown", BatchChange.LeftUnsown.class),
    /** From version 2: cells in which something was seen without being counted. */
    COUNTED("Counted", BatchChange.Counted.class, detail -> withArray(detail, "somethingUp")),
    LOST("Lost", BatchChange.Lost.class),
    MIXED("Mixed", BatchChange.Mixed.class),
    RECOGNISED("Recognised", BatchChange.Recognised.class),
    /** From version 2: the grade by which they were parted. */
    POTTED_ON("PottedOn", BatchChange.PottedOn.class, detail -> detail.put("grade", "STANDARD")),
    CELLS_MOVED("CellsMoved", BatchChange.CellsMoved.class),
    THINNED("Thinned", BatchChange.Thinned.class),
    PRICKED_OUT("PrickedOut", BatchChange.PrickedOut.class),
    /** From version 2: some trays of a batch may move. */
    MOVED("Moved", BatchChange.Moved.class, detail -> withArray(detail, "trays")),
    HARDENING_STARTED("HardeningStarted", BatchChange.HardeningStarted.class),
    HARDENED_FOR_DAY("HardenedForDay", BatchChange.HardenedForDay.class),
    HARDENING_ENDED("HardeningEnded", BatchChange.HardeningEnded.class),
    /** From version 2: the line of the order; from version 3: whether names were in doubt. */
    RELEASED(
            "Released",
            BatchChange.Released.class,
            detail -> detail.has("line") ? detail : detail.put("line", BatchChange.Released.BEFORE_LINES.number()),
            detail -> detail.put("asMixed", false)),
    NOTED("Noted", BatchChange.Noted.class),
    LOOKED_OVER("LookedOver", LookedOver.class),
    TENDED("Tended", Tended.class),
    /** From version 2: why it was corrected. */
    CORRECTED(
            "Corrected",
            BatchChange.Corrected.class,
            detail -> detail.has("reason") ? detail : detail.put("reason", ""));

    /** Brings the detail of one version up to the next. */
    private interface Step extends UnaryOperator<ObjectNode> {}

    private static final Map<String, ChangeKind> BY_NAME =
            Arrays.stream(values()).collect(Collectors.toMap(kind -> kind.wireName, Function.identity()));
    private static final Map<Class<?>, ChangeKind> BY_TYPE =
            Arrays.stream(values()).collect(Collectors.toMap(kind -> kind.type, Function.identity()));

    private final String wireName;
    private final Class<? extends BatchChange> type;
    private final List<Step> steps;

    /** A kind; its steps lead from version 1 to 2, from 2 to 3, and so on. */
    ChangeKind(String wireName, Class<? extends BatchChange> type, Step... steps) {
        this.wireName = wireName;
        this.type = type;
        this.steps = List.of(steps);
    }

    /** The kind of a change. */
    static ChangeKind of(BatchChange change) {
        return BY_TYPE.get(change.getClass());
    }

    /**
     * The kind of that name.
     *
     * @throws IllegalStateException when there is none
     */
    static ChangeKind named(String name) {
        ChangeKind kind = BY_NAME.get(name);
        if (kind == null) {
            throw new IllegalStateException("The record holds a change of the unknown kind " + name + ".");
        }
        return kind;
    }

    /** Its name in the record. */
    String wireName() {
        return wireName;
    }

    /** What its detail is read as. */
    Class<? extends BatchChange> type() {
        return type;
    }

    /** The version that is written today. */
    int version() {
        return steps.size() + 1;
    }

    /**
     * A detail as it would be written today.
     *
     * @param detail as it was written
     * @param version it was written in
     * @throws IllegalStateException when it was written by a later Kiver than this
     */
    ObjectNode upToDate(ObjectNode detail, int version) {
        if (version > version()) {
            throw new IllegalStateException("A change of the kind " + wireName + " is of version " + version
                    + "; this Kiver knows " + version() + ".");
        }
        ObjectNode brought = detail;
        for (int step = version - 1; step < steps.size(); step++) {
            brought = steps.get(step).apply(brought);
        }
        return brought;
    }

    private static ObjectNode withArray(ObjectNode detail, String name) {
        if (!detail.has(name)) {
            detail.putArray(name);
        }
        return detail;
    }
}
