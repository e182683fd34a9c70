package kiver.core.batch;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import kiver.core.order.LineId;
import kiver.core.place.PlaceId;
import kiver.core.seed.LotId;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;

/** Something that was done to a batch or seen in it; of one of four families. */
public sealed interface BatchChange
        permits BatchChange.OfPlants,
                BatchChange.OfPlace,
                BatchChange.OfHardening,
                BatchChange.Noted,
                LookedOver,
                BatchChange.Corrected,
                Tended {

    /** Changes the account of its cells: what was sown, counted, potted, lost or let go. */
    sealed interface OfPlants extends BatchChange {}

    /** Plants went from cells of one tray to cells of a tray, the same or another. */
    sealed interface BetweenTrays extends OfPlants {

        /** The tray they stood in. */
        TrayId from();

        /** The tray they stand in afterwards. */
        TrayId goal();
    }

    /** Where it stands. */
    sealed interface OfPlace extends BatchChange {}

    /** Its hardening off. */
    sealed interface OfHardening extends BatchChange {}

    /**
     * Seed went into cells.
     *
     * @param run of cells
     * @param seedsPerCell 1 to 10
     * @param lot of seed
     * @param medium what the cells were filled with, in words
     * @param place where the tray was put down
     */
    record Sown(CellRun run, int seedsPerCell, LotId lot, String medium, PlaceId place) implements OfPlants {
        private static final int MOST_SEEDS = 10;

        public Sown {
            Objects.requireNonNull(run);
            if (seedsPerCell < 1 || seedsPerCell > MOST_SEEDS) {
                throw new ChangeRefused("seedsPerCell", new ChangeFault.SeedsPerCell(seedsPerCell, MOST_SEEDS));
            }
        }

        /** Seeds taken from the lot. */
        public int seeds() {
            return run.length() * seedsPerCell;
        }
    }

    /**
     * Plants went on into larger containers. What is known of each cell goes with its plant, so the account of cells
     * stays even; the cells left behind are free.
     *
     * @param from tray they stood in
     * @param cells of it, rising
     * @param into as many cells of another tray
     * @param grade by which they were parted from the others
     */
    record PottedOn(TrayId from, List<Integer> cells, CellRun into, Grade grade) implements BetweenTrays {
        public PottedOn(TrayId from, List<Integer> cells, CellRun into) {
            this(from, cells, into, Grade.STANDARD);
        }

        public PottedOn {
            cells = List.copyOf(cells);
            if (cells.isEmpty() || cells.size() != into.length()) {
                throw new ChangeRefused("cells", new ChangeFault.PlacesDoNotFit(cells.size(), into.length()));
            }
            if (from.equals(into.tray())) {
                throw new ChangeRefused("into", new ChangeFault.SameTray());
            }
        }

        @Override
        public TrayId goal() {
            return into.tray();
        }
    }

    /**
     * Seedlings, or cells in which nothing is up yet, went over into other cells of the same kind of tray: gaps were closed,
     * a tray was split, two became one. What is known of a cell goes with what was in it; a gap of the batch that is
     * filled goes where the plant came from, so the account stays even.
     *
     * @param from tray they stood in
     * @param cells of it, at least one, none twice
     * @param into tray they went to; may be the same
     * @param goals cells of it, one for each, none twice
     */
    record CellsMoved(TrayId from, List<Integer> cells, TrayId into, List<Integer> goals) implements BetweenTrays {
        public CellsMoved {
            Objects.requireNonNull(from);
            Objects.requireNonNull(into);
            cells = CellNumbers.eachOnce(cells);
            goals = CellNumbers.asMany(cells, CellNumbers.eachOnce(goals));
        }

        @Override
        public TrayId goal() {
            return into;
        }
    }

    /**
     * All but the strongest seedlings of some cells were taken out. What had come up there is still known of the seed.
     *
     * @param tray they were in
     * @param cells by number, at least one, none twice
     * @param left seedlings that stay in each, 1 or more
     */
    record Thinned(TrayId tray, List<Integer> cells, int left) implements OfPlants {
        public Thinned {
            Objects.requireNonNull(tray);
            cells = CellNumbers.eachOnce(cells);
            if (left < 1 || left > Counted.MOST_SEEDLINGS) {
                throw new ChangeRefused("left", new ChangeFault.SeedlingsLeft(Counted.MOST_SEEDLINGS));
            }
        }
    }

    /**
     * One seedling more than its cell needs went into a cell in which nothing had come up. It is of the sowing that it
     * came from; what the other cell's own seed did is still known.
     *
     * @param from tray they stood in
     * @param cells of it that hold more than one, at least one, none twice
     * @param into tray they went to; may be the same
     * @param goals cells of it that were given up, one for each, none twice
     */
    record PrickedOut(TrayId from, List<Integer> cells, TrayId into, List<Integer> goals) implements BetweenTrays {
        public PrickedOut {
            Objects.requireNonNull(from);
            Objects.requireNonNull(into);
            cells = CellNumbers.eachOnce(cells);
            goals = CellNumbers.asMany(cells, CellNumbers.eachOnce(goals));
        }

        @Override
        public TrayId goal() {
            return into;
        }
    }

    /**
     * Plants that somebody else raised arrived, one to a cell.
     *
     * @param run of cells they stand in
     * @param lot consignment, kept beside the seed lots
     * @param leaves true leaves they had, 0 or more
     * @param place where the tray was put down
     */
    record BroughtIn(CellRun run, LotId lot, double leaves, PlaceId place) implements OfPlants {
        private static final double MOST_LEAVES = 20;

        public BroughtIn {
            Objects.requireNonNull(run);
            if (!(leaves >= 0 && leaves <= MOST_LEAVES)) {
                throw new ChangeRefused("leaves", new ChangeFault.LeavesOnArrival(MOST_LEAVES));
            }
        }
    }

    /** What was set aside for the batch in a tray and not sown is left so on purpose. */
    record LeftUnsown(TrayId tray) implements OfPlants {
        public LeftUnsown {
            Objects.requireNonNull(tray);
        }
    }

    /**
     * Seedlings were counted in some cells; the others stand as they were.
     *
     * @param tray counted
     * @param seedlings by cell number, 0 or more each
     * @param somethingUp cells in which something was seen to be up without being counted, rising; none of them in
     *     {@code seedlings}
     * @param complete whether this was the last look: cells of the batch in this tray with nothing up are given up
     */
    record Counted(TrayId tray, Map<Integer, Integer> seedlings, List<Integer> somethingUp, boolean complete)
            implements OfPlants {

        /** More seedlings than this in one cell is a slip of the finger. */
        public static final int MOST_SEEDLINGS = 60;

        /** A count of seedlings in every cell that was looked at. */
        public Counted(TrayId tray, Map<Integer, Integer> seedlings, boolean complete) {
            this(tray, seedlings, List.of(), complete);
        }

        public Counted {
            seedlings = Map.copyOf(seedlings);
            somethingUp = somethingUp.stream().distinct().sorted().toList();
            for (Integer cell : somethingUp) {
                if (seedlings.containsKey(cell)) {
                    throw new ChangeRefused("cells", new ChangeFault.CellCountedTwice(cell));
                }
            }
            new TreeMap<>(seedlings).forEach((cell, count) -> {
                if (count < 0 || count > MOST_SEEDLINGS) {
                    throw new ChangeRefused("seedlings", new ChangeFault.TooManySeedlings(cell, count, MOST_SEEDLINGS));
                }
            });
        }
    }

    /**
     * Plants died or were thrown out.
     *
     * @param tray they were in
     * @param cells by number, at least one, none twice
     * @param reason why
     */
    record Lost(TrayId tray, List<Integer> cells, LossReason reason) implements OfPlants {
        public Lost {
            cells = CellNumbers.eachOnce(cells);
            Objects.requireNonNull(reason);
        }
    }

    /**
     * Nobody is sure any more what the plants of some cells are. They live on and can go only as mixed, until somebody
     * knows again.
     *
     * @param tray they are in
     * @param cells by number, at least one, none twice
     * @param doubt why
     */
    record Mixed(TrayId tray, List<Integer> cells, NameDoubt doubt) implements OfPlants {
        public Mixed {
            cells = CellNumbers.eachOnce(cells);
            Objects.requireNonNull(doubt);
        }
    }

    /**
     * Somebody knows again that plants which were mixed are what their batch is.
     *
     * @param tray they are in
     * @param cells by number, at least one, none twice
     */
    record Recognised(TrayId tray, List<Integer> cells) implements OfPlants {
        public Recognised {
            cells = CellNumbers.eachOnce(cells);
        }
    }

    /**
     * Trays of the batch went to another place.
     *
     * @param place where they are now
     * @param trays that went; empty for all of them
     */
    record Moved(PlaceId place, List<TrayId> trays) implements OfPlace {

        /** All trays of the batch went to another place. */
        public Moved(PlaceId place) {
            this(place, List.of());
        }

        public Moved {
            Objects.requireNonNull(place);
            trays = List.copyOf(trays);
        }
    }

    /**
     * The first day outside.
     *
     * @param place where they harden
     * @param programmeDays days that the chosen programme takes, 0 or more
     */
    record HardeningStarted(PlaceId place, int programmeDays) implements OfHardening {
        private static final int MOST_DAYS = 60;

        public HardeningStarted {
            if (programmeDays < 0 || programmeDays > MOST_DAYS) {
                throw new ChangeRefused("programmeDays", new ChangeFault.ProgrammeDays(MOST_DAYS));
            }
        }
    }

    /**
     * One day of hardening was had.
     *
     * @param hours out of doors, 1 to 24
     */
    record HardenedForDay(int hours) implements OfHardening {
        public HardenedForDay {
            if (hours < 1 || hours > 24) {
                throw new ChangeRefused("hours", new ChangeFault.HoursOutside(hours));
            }
        }
    }

    /** The batch is hardened. */
    record HardeningEnded() implements OfHardening {}

    /**
     * Plants left with a grower.
     *
     * @param release number of the release they are part of
     * @param line of an order they went with; {@link #BEFORE_LINES} in records from before orders had lines
     * @param tray they were in
     * @param cells by number, at least one, none twice
     * @param asMixed whether they went without a name that is certain
     */
    record Released(long release, LineId line, TrayId tray, List<Integer> cells, boolean asMixed) implements OfPlants {

        /** Stands for the only line that an order had. */
        public static final LineId BEFORE_LINES = new LineId(0);

        /** Plants that went under their name. */
        public Released(long release, LineId line, TrayId tray, List<Integer> cells) {
            this(release, line, tray, cells, false);
        }

        public Released {
            cells = CellNumbers.eachOnce(cells);
        }

        /** The same for a line. */
        public Released forLine(LineId otherLine) {
            return new Released(release, otherLine, tray, cells, asMixed);
        }
    }

    /**
     * Somebody saw or thought something that is worth knowing later. It changes nothing of the plants.
     *
     * @param text in their own words, 1 to 1,000 letters
     */
    record Noted(String text) implements BatchChange {
        private static final int MOST_LETTERS = 1_000;

        public Noted {
            text = text.strip();
            if (text.isEmpty() || text.length() > MOST_LETTERS) {
                throw new ChangeRefused("text", new ChangeFault.NoteLength(MOST_LETTERS));
            }
        }
    }

    /**
     * An earlier change turned out to be wrong and counts no more. It stays in the record. A correction that was wrong
     * itself is corrected in turn, and what it took back counts again.
     *
     * @param sequence of the change within the batch
     * @param reason why, in words; may be empty
     */
    record Corrected(int sequence, String reason) implements BatchChange {

        /** A correction without a reason. */
        public Corrected(int sequence) {
            this(sequence, "");
        }

        public Corrected {
            reason = reason.strip();
        }
    }
}
