package kiver.core.emerge;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * What a photograph of a tray from above shows: how green each cell is, and so in which something stands.
 *
 * <p>The tray is straightened and looked at in a grid of points. How green a point is, is told by the excess of green over red and
 * blue in shares of its brightness, which shade leaves alone (Woebbecke, Meyer, von Bargen and Mortensen 1995, Transactions of the
 * ASAE 38). The line between soil and leaf is drawn where it parts the tray's points best (Otsu 1979, IEEE Transactions on Systems,
 * Man and Cybernetics 9), never within the spread of the soil. Green that hangs together belongs to the cell in which its middle
 * lies, so that a leaf hanging over makes no plant in the neighbouring cell.
 *
 * @param cells as they are read, row by row
 * @param green share of the whole tray that is green, 0 to 1
 */
public record TrayPhotograph(List<Cell> cells, double green) {

    /**
     * A cell.
     *
     * @param number from 1
     * @param green share of its area that its own plants cover, 0 to 1
     * @param up whether something stands in it
     * @param apart whether it shows green in places apart, as two seedlings do
     * @param weak whether what stands in it is far behind most
     */
    public record Cell(int number, double green, boolean up, boolean apart, boolean weak) {}

    /** Why a photograph tells nothing. */
    public enum Unreadable {
        /** The corners make no tray. */
        NO_TRAY,
        /** Fewer pixels to a cell than a seedling needs. */
        TOO_SMALL,
        /** Nearly all of it is green: no cell can be told from the next. */
        ALL_GREEN
    }

    /** Points to a side of a cell. */
    private static final int POINTS = 24;

    /** Points in a cell. */
    private static final int CELL = POINTS * POINTS;

    /** A cell must have so many pixels to a side at least. */
    private static final double FEWEST_PIXELS = 12;

    /** Less green than this share of a cell is a speck. */
    private static final double SPECK = 0.004;

    /** A cell has a plant of its own where so much of its middle is covered by what reaches over from others. */
    private static final double GREEN_IN_THE_MIDDLE = 0.15;

    private static final double ALL = 0.9;
    private static final double LEAST_EXCESS = 0.045;
    private static final double DEVIATIONS_OF_NOISE = 4;

    /** Points so far apart share no pixel. */
    private static final int NEARBY = 4;

    /** Standard deviation of a normal distribution by the median of what its draws differ from 0. */
    private static final double NORMAL_BY_MEDIAN = 1.4826;

    /** Points are looked at in so many parts to a side. */
    private static final int PARTS = 2;

    /** Brightness, of 765, that is added to each colour's sum: what is darker is hardly told from grey. */
    private static final double DARK = 200;

    private static final double WEAK = 0.35;
    private static final double APART = 0.3;
    private static final int[][] BESIDE = {{1, 0}, {-1, 0}, {0, 1}, {0, -1}};
    private static final int BINS = 256;
    private static final double LOWEST = -0.4;
    private static final double HIGHEST = 1.0;

    public TrayPhotograph {
        cells = List.copyOf(cells);
    }

    /** Why a photograph cannot be read; empty where it can. */
    public static Optional<Unreadable> unreadable(TrayCorners corners, int rows, int columns) {
        if (!corners.isTray()) {
            return Optional.of(Unreadable.NO_TRAY);
        }
        return Math.sqrt(corners.area() / (rows * columns)) < FEWEST_PIXELS
                ? Optional.of(Unreadable.TOO_SMALL)
                : Optional.empty();
    }

    /** Whether nearly everything in it is green. */
    public boolean isAllGreen() {
        return green > ALL;
    }

    /**
     * Reads a tray.
     *
     * @param corners that make a tray; see {@link #unreadable}
     */
    public static TrayPhotograph of(Pixels pixels, TrayCorners corners, int rows, int columns) {
        int wide = columns * POINTS;
        int high = rows * POINTS;
        double[] excess = excess(pixels, corners.mapping(), wide, high);
        double line = line(excess, wide);
        boolean[] leaf = new boolean[excess.length];
        int greens = 0;
        for (int index = 0; index < excess.length; index++) {
            leaf[index] = excess[index] > line;
            greens += leaf[index] ? 1 : 0;
        }
        int[] own = new int[rows * columns];
        int[] patches = new int[rows * columns];
        share(leaf, wide, high, columns, own, patches);
        double[] covered =
                Arrays.stream(own).mapToDouble(count -> (double) count / CELL).toArray();
        double usual = Arrays.stream(covered)
                .filter(share -> share > SPECK)
                .sorted()
                .skip(Arrays.stream(covered).filter(share -> share > SPECK).count() / 2)
                .findFirst()
                .orElse(0);
        List<Cell> cells = new ArrayList<>();
        for (int index = 0; index < covered.length; index++) {
            boolean up = covered[index] > SPECK;
            cells.add(new Cell(
                    index + 1, covered[index], up, up && patches[index] > 1, up && covered[index] < WEAK * usual));
        }
        return new TrayPhotograph(cells, (double) greens / leaf.length);
    }

    /**
     * How green each point is. Colours are added up over a point and its neighbours before they are compared, and the darker they
     * are the less they count: a single noisy pixel of dark soil is as green as a leaf.
     */
    private static double[] excess(Pixels pixels, TrayCorners.Mapping mapping, int wide, int high) {
        int[][] colours = new int[wide * high][3];
        for (int y = 0; y < high; y++) {
            for (int x = 0; x < wide; x++) {
                int[] colour = colours[y * wide + x];
                for (int part = 0; part < PARTS * PARTS; part++) {
                    TrayCorners.Point at = mapping.at(
                            (x + (part % PARTS + 0.5) / PARTS) / wide, (y + (part / PARTS + 0.5) / PARTS) / high);
                    int rgb = pixels.rgb(inside(at.x(), pixels.width()), inside(at.y(), pixels.height()));
                    colour[0] += rgb >> 16 & 0xff;
                    colour[1] += rgb >> 8 & 0xff;
                    colour[2] += rgb & 0xff;
                }
            }
        }
        double[] excess = new double[wide * high];
        for (int y = 0; y < high; y++) {
            for (int x = 0; x < wide; x++) {
                excess[y * wide + x] = excess(colours, x, y, wide, high);
            }
        }
        return excess;
    }

    private static double excess(int[][] colours, int x, int y, int wide, int high) {
        double[] sum = new double[3];
        double count = 0;
        for (int row = Math.max(0, y - 1); row <= Math.min(high - 1, y + 1); row++) {
            for (int column = Math.max(0, x - 1); column <= Math.min(wide - 1, x + 1); column++) {
                // The point itself counts for four of its neighbours: small leaves stay.
                double weight = row == y && column == x ? 4 : 1;
                int[] colour = colours[row * wide + column];
                sum[0] += weight * colour[0];
                sum[1] += weight * colour[1];
                sum[2] += weight * colour[2];
                count += weight * PARTS * PARTS;
            }
        }
        return (2 * sum[1] - sum[0] - sum[2]) / (sum[0] + sum[1] + sum[2] + DARK * count);
    }

    private static int inside(double at, int size) {
        return Math.max(0, Math.min(size - 1, (int) at));
    }

    /**
     * Where soil ends and leaf begins: where Otsu parts them, but beyond what noise reaches. Noise is told by how much points a little
     * apart differ; most of them lie in the same soil, whatever its colour.
     */
    private static double line(double[] excess, int wide) {
        double[] differences = new double[excess.length];
        for (int index = 0; index < excess.length; index++) {
            int other = index % wide + NEARBY < wide ? index + NEARBY : index - NEARBY;
            differences[index] = Math.abs(excess[index] - excess[other]);
        }
        Arrays.sort(differences);
        double noise = differences[differences.length / 2] * NORMAL_BY_MEDIAN / Math.sqrt(2);
        return Math.max(Math.max(LEAST_EXCESS, DEVIATIONS_OF_NOISE * noise), otsu(excess));
    }

    private static double otsu(double[] values) {
        int[] histogram = new int[BINS];
        for (double value : values) {
            int bin = (int) ((value - LOWEST) / (HIGHEST - LOWEST) * BINS);
            histogram[Math.max(0, Math.min(BINS - 1, bin))]++;
        }
        double all = 0;
        for (int bin = 0; bin < BINS; bin++) {
            all += (double) bin * histogram[bin];
        }
        double below = 0;
        double sum = 0;
        double best = -1;
        int parting = 0;
        for (int bin = 0; bin < BINS; bin++) {
            below += histogram[bin];
            sum += (double) bin * histogram[bin];
            double above = values.length - below;
            if (below == 0 || above == 0) {
                continue;
            }
            double between = below * above * Math.pow(sum / below - (all - sum) / above, 2);
            if (between > best) {
                best = between;
                parting = bin;
            }
        }
        // Parted evenly, large plants would take what is pale in small ones with the soil.
        return Math.min(0.07, LOWEST + (parting + 1.0) / BINS * (HIGHEST - LOWEST));
    }

    /**
     * Gives what hangs together to the cell of its middle, and to those others whose own middle it covers: their plants have grown
     * together with it.
     */
    private static void share(boolean[] leaf, int wide, int high, int columns, int[] own, int[] patches) {
        boolean[] seen = new boolean[leaf.length];
        int[] largest = new int[own.length];
        List<int[]> pieces = new ArrayList<>();
        for (int start = 0; start < leaf.length; start++) {
            if (leaf[start] && !seen[start]) {
                int[] points = together(leaf, seen, start, wide, high);
                for (int[] piece : parts(points, wide, columns, own.length)) {
                    own[piece[0]] += piece[1];
                    largest[piece[0]] = Math.max(largest[piece[0]], piece[1]);
                    pieces.add(piece);
                }
            }
        }
        pieces.stream()
                .filter(piece -> piece[1] > SPECK * CELL && piece[1] >= APART * largest[piece[0]])
                .forEach(piece -> patches[piece[0]]++);
    }

    /** Cells and the points that each gets of what hangs together. */
    private static List<int[]> parts(int[] points, int wide, int columns, int cells) {
        int[] here = new int[cells];
        int[] inTheMiddle = new int[cells];
        double x = 0;
        double y = 0;
        for (int point : points) {
            int column = point % wide;
            int row = point / wide;
            x += column;
            y += row;
            int cell = row / POINTS * columns + column / POINTS;
            here[cell]++;
            boolean middle = Math.abs(column % POINTS - POINTS / 2) < POINTS / 4
                    && Math.abs(row % POINTS - POINTS / 2) < POINTS / 4;
            inTheMiddle[cell] += middle ? 1 : 0;
        }
        int home = (int) (y / points.length / POINTS) * columns + (int) (x / points.length / POINTS);
        List<int[]> parts = new ArrayList<>();
        int rest = points.length;
        for (int cell = 0; cell < cells; cell++) {
            if (cell != home && inTheMiddle[cell] > GREEN_IN_THE_MIDDLE * CELL / 4) {
                parts.add(new int[] {cell, here[cell]});
                rest -= here[cell];
            }
        }
        boolean homeIsBare = points.length > CELL && inTheMiddle[home] <= GREEN_IN_THE_MIDDLE * CELL / 4;
        if (!homeIsBare || parts.isEmpty()) {
            parts.add(new int[] {home, rest});
        }
        return parts;
    }

    private static int[] together(boolean[] leaf, boolean[] seen, int start, int wide, int high) {
        int[] points = new int[leaf.length];
        int found = 1;
        points[0] = start;
        seen[start] = true;
        for (int looked = 0; looked < found; looked++) {
            int point = points[looked];
            int x = point % wide;
            int y = point / wide;
            for (int[] step : BESIDE) {
                int column = x + step[0];
                int row = y + step[1];
                int next = row * wide + column;
                if (column >= 0 && column < wide && row >= 0 && row < high && leaf[next] && !seen[next]) {
                    seen[next] = true;
                    points[found++] = next;
                }
            }
        }
        return Arrays.copyOf(points, found);
    }
}
