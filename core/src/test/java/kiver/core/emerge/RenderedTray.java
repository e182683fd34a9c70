package kiver.core.emerge;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.function.IntToDoubleFunction;

/**
 * A tray drawn as a camera would see it: cells of soil between dark walls, seedlings of two seed leaves or more, some leaning over
 * the wall, from an angle, with shade over a part of it and noise on every pixel.
 */
final class RenderedTray implements Pixels {

    /** Soils: peat, coir, pale mix with vermiculite, red loam. */
    private static final int[][] SOILS = {{38, 30, 26}, {92, 66, 44}, {128, 112, 92}, {110, 58, 40}};

    private static final double WALL = 0.06;

    private record Leaf(double x, double y, double along, double across, double cosine, double sine, int tint) {

        boolean covers(double atX, double atY) {
            double dx = atX - x;
            double dy = atY - y;
            double lengthwise = (dx * cosine + dy * sine) / along;
            double crosswise = (dy * cosine - dx * sine) / across;
            return lengthwise * lengthwise + crosswise * crosswise <= 1;
        }
    }

    private final int rows;
    private final int columns;
    private final TrayCorners corners;
    private final List<List<Leaf>> leaves = new ArrayList<>();
    private final int[] pixels;
    private final int width;
    private final int height;

    final boolean[] up;

    /**
     * A tray.
     *
     * @param cell pixels to a side of a cell, about
     * @param tilt how far corners are off those of a rectangle, as a share of the tray's side
     * @param noise standard deviation of each colour, of 255
     * @param size of seedlings, as a share of the cell: from this to twice as much
     */
    RenderedTray(long seed, int rows, int columns, int cell, double tilt, double noise, double size, double share) {
        this(seed, rows, columns, cell, tilt, noise, index -> size, share);
    }

    /** The same, where seedlings differ in size by the cell, counted from 0. */
    RenderedTray(
            long seed,
            int rows,
            int columns,
            int cell,
            double tilt,
            double noise,
            IntToDoubleFunction size,
            double share) {
        this.rows = rows;
        this.columns = columns;
        SplittableRandom random = new SplittableRandom(seed);
        width = columns * cell + 3 * cell;
        height = rows * cell + 3 * cell;
        corners = corners(random, cell, tilt);
        up = new boolean[rows * columns];
        for (int index = 0; index < up.length; index++) {
            up[index] = random.nextDouble() < share;
            leaves.add(up[index] ? seedling(random, size.applyAsDouble(index)) : List.of());
        }
        pixels = draw(random, noise);
    }

    private TrayCorners corners(SplittableRandom random, int cell, double tilt) {
        double left = 1.5 * cell;
        double top = 1.5 * cell;
        double right = left + columns * cell;
        double bottom = top + rows * cell;
        double x = tilt * columns * cell;
        double y = tilt * rows * cell;
        return new TrayCorners(List.of(
                off(random, left, top, x, y),
                off(random, right, top, x, y),
                off(random, right, bottom, x, y),
                off(random, left, bottom, x, y)));
    }

    private static TrayCorners.Point off(SplittableRandom random, double x, double y, double byX, double byY) {
        return new TrayCorners.Point(x + byX * (2 * random.nextDouble() - 1), y + byY * (2 * random.nextDouble() - 1));
    }

    private static List<Leaf> seedling(SplittableRandom random, double size) {
        double x = 0.5 + 0.25 * (2 * random.nextDouble() - 1);
        double y = 0.5 + 0.25 * (2 * random.nextDouble() - 1);
        double angle = Math.PI * random.nextDouble();
        double along = size * (1 + random.nextDouble()) / 2;
        int pairs = random.nextInt(3) == 0 ? 2 : 1;
        List<Leaf> leaves = new ArrayList<>();
        for (int pair = 0; pair < pairs; pair++) {
            double turned = angle + pair * Math.PI / 2;
            for (int side = -1; side <= 1; side += 2) {
                leaves.add(new Leaf(
                        x + side * Math.cos(turned) * along * 0.9,
                        y + side * Math.sin(turned) * along * 0.9,
                        along,
                        along * (0.4 + 0.3 * random.nextDouble()),
                        Math.cos(turned),
                        Math.sin(turned),
                        random.nextInt(60)));
            }
        }
        return leaves;
    }

    private int[] draw(SplittableRandom random, double noise) {
        int[] drawn = new int[width * height];
        TrayCorners.Mapping mapping = corners.mapping();
        double shadeFrom = random.nextDouble();
        double shadeBy = 0.35 + 0.3 * random.nextDouble();
        int[] soilOf = new int[rows * columns];
        int two = random.nextInt(SOILS.length);
        for (int index = 0; index < soilOf.length; index++) {
            soilOf[index] = random.nextInt(4) == 0 ? random.nextInt(SOILS.length) : two;
        }
        double warm = 0.9 + 0.2 * random.nextDouble();
        // Drawn two points to a pixel side and put where the camera sees them; what is beside the tray stays bench.
        int fine = 2;
        java.util.Arrays.fill(drawn, 0x8a8478);
        int wide = (int) (columns * (double) width / columns * fine);
        int high = (int) (rows * (double) height / rows * fine);
        for (int y = 0; y < high; y++) {
            for (int x = 0; x < wide; x++) {
                double across = (x + 0.5) / wide;
                double down = (y + 0.5) / high;
                TrayCorners.Point at = mapping.at(across, down);
                int column = (int) at.x();
                int row = (int) at.y();
                if (column < 0 || row < 0 || column >= width || row >= height) {
                    continue;
                }
                double light = across + 0.3 * down > shadeFrom ? 1 : 1 - shadeBy;
                drawn[row * width + column] = colour(across * columns, down * rows, soilOf, light, warm);
            }
        }
        for (int index = 0; index < drawn.length; index++) {
            drawn[index] = noisy(drawn[index], noise, random);
        }
        return drawn;
    }

    private int colour(double x, double y, int[] soilOf, double light, double warm) {
        int column = Math.min(columns - 1, (int) x);
        int row = Math.min(rows - 1, (int) y);
        for (int nearRow = Math.max(0, row - 1); nearRow <= Math.min(rows - 1, row + 1); nearRow++) {
            for (int nearColumn = Math.max(0, column - 1);
                    nearColumn <= Math.min(columns - 1, column + 1);
                    nearColumn++) {
                for (Leaf leaf : leaves.get(nearRow * columns + nearColumn)) {
                    if (leaf.covers(x - nearColumn, y - nearRow)) {
                        return lit(70 + leaf.tint(), 130 + leaf.tint() / 2, 45 + leaf.tint() / 3, light, warm);
                    }
                }
            }
        }
        double inX = x - column;
        double inY = y - row;
        if (inX < WALL || inX > 1 - WALL || inY < WALL || inY > 1 - WALL) {
            return lit(24, 24, 26, light, warm);
        }
        int[] soil = SOILS[soilOf[row * columns + column]];
        // Crumbs: lighter and darker by place, the same whenever it is looked at.
        double crumb = 0.75 + 0.5 * Math.abs(Math.sin(x * 91.7) * Math.cos(y * 57.3 + x * 13.1));
        return lit(soil[0] * crumb, soil[1] * crumb, soil[2] * crumb, light, warm);
    }

    private static int lit(double red, double green, double blue, double light, double warm) {
        return channel(red * light * warm) << 16 | channel(green * light) << 8 | channel(blue * light / warm);
    }

    private static int noisy(int rgb, double noise, SplittableRandom random) {
        return channel((rgb >> 16 & 0xff) + noise * random.nextGaussian()) << 16
                | channel((rgb >> 8 & 0xff) + noise * random.nextGaussian()) << 8
                | channel((rgb & 0xff) + noise * random.nextGaussian());
    }

    private static int channel(double value) {
        return (int) Math.max(0, Math.min(255, value));
    }

    TrayCorners seenCorners() {
        return corners;
    }

    @Override
    public int width() {
        return width;
    }

    @Override
    public int height() {
        return height;
    }

    @Override
    public int rgb(int x, int y) {
        return pixels[y * width + x];
    }
}
