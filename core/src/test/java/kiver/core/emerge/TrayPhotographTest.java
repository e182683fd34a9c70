package kiver.core.emerge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Rendered trays with known truth are read as they are; what is no tray is not. */
class TrayPhotographTest {

    private static TrayCorners corners(double... numbers) {
        return new TrayCorners(Stream.iterate(0, index -> index < numbers.length, index -> index + 2)
                .map(index -> new TrayCorners.Point(numbers[index], numbers[index + 1]))
                .toList());
    }

    private static double right(RenderedTray tray, int rows, int columns) {
        TrayPhotograph read = TrayPhotograph.of(tray, tray.seenCorners(), rows, columns);
        return read.cells().stream()
                        .filter(cell -> cell.up() == tray.up[cell.number() - 1])
                        .count()
                / (double) (rows * columns);
    }

    @ParameterizedTest
    @CsvSource({
        "6, 10, 0.0, 4, 0.12, 0.9",
        "6, 10, 0.06, 10, 0.12, 0.7",
        "8, 13, 0.05, 10, 0.15, 0.85",
        "8, 13, 0.08, 14, 0.2, 0.5",
        "10, 15, 0.05, 8, 0.25, 0.9",
        "5, 8, 0.08, 10, 0.13, 0.6"
    })
    void atFortyPixelsACellNinetyEightOfAHundredAreRight(
            int rows, int columns, double tilt, double noise, double size, double share) {
        double right = 0;
        for (int seed = 1; seed <= 3; seed++) {
            right += right(new RenderedTray(seed, rows, columns, 40, tilt, noise, size, share), rows, columns) / 3;
        }
        assertThat(right).isGreaterThanOrEqualTo(0.98);
    }

    @Test
    void aTrayInWhichNothingIsUpShowsNothing() {
        RenderedTray bare = new RenderedTray(3, 6, 10, 40, 0.05, 10, 0.2, 0);
        TrayPhotograph read = TrayPhotograph.of(bare, bare.seenCorners(), 6, 10);
        assertThat(read.cells()).noneMatch(TrayPhotograph.Cell::up);
        assertThat(read.green()).isLessThan(0.005);
    }

    @Test
    void aSeedlingFarBehindIsWeak() {
        int behind = 23;
        RenderedTray large = new RenderedTray(4, 6, 10, 40, 0, 4, index -> index == behind - 1 ? 0.12 : 0.3, 1);
        TrayPhotograph read = TrayPhotograph.of(large, large.seenCorners(), 6, 10);
        double usual = read.cells().stream()
                .filter(TrayPhotograph.Cell::up)
                .mapToDouble(TrayPhotograph.Cell::green)
                .average()
                .orElseThrow();
        assertThat(usual).isBetween(0.1, 0.6);
        assertThat(read.cells())
                .filteredOn(TrayPhotograph.Cell::weak)
                .extracting(TrayPhotograph.Cell::number)
                .containsExactly(behind);
        assertThat(read.cells().get(behind - 1).green()).isLessThan(usual / 2);
    }

    @Test
    void aMeadowHasNoCells() {
        Pixels meadow = flat(90, 160, 60);
        assertThat(TrayPhotograph.of(meadow, corners(10, 10, 390, 10, 390, 290, 10, 290), 6, 10)
                        .isAllGreen())
                .isTrue();
        Pixels cat = flat(120, 110, 105);
        TrayPhotograph read = TrayPhotograph.of(cat, corners(10, 10, 390, 10, 390, 290, 10, 290), 6, 10);
        assertThat(read.isAllGreen()).isFalse();
        assertThat(read.cells()).noneMatch(TrayPhotograph.Cell::up);
    }

    private static Pixels flat(int red, int green, int blue) {
        return new Pixels() {
            @Override
            public int width() {
                return 400;
            }

            @Override
            public int height() {
                return 300;
            }

            @Override
            public int rgb(int x, int y) {
                return red << 16 | green << 8 | blue;
            }
        };
    }

    @Test
    void cornersGoRoundOnceAndEncloseEnough() {
        assertThat(TrayPhotograph.unreadable(corners(0, 0, 400, 0, 400, 240, 0, 240), 6, 10))
                .isEmpty();
        assertThat(TrayPhotograph.unreadable(corners(0, 0, 400, 240, 400, 0, 0, 240), 6, 10))
                .as("crossed")
                .contains(TrayPhotograph.Unreadable.NO_TRAY);
        assertThat(TrayPhotograph.unreadable(corners(0, 0, 0, 240, 400, 240, 400, 0), 6, 10))
                .as("the other way round")
                .contains(TrayPhotograph.Unreadable.NO_TRAY);
        assertThat(TrayPhotograph.unreadable(corners(0, 0, 50, 0, 50, 30, 0, 30), 6, 10))
                .contains(TrayPhotograph.Unreadable.TOO_SMALL);
        assertThatThrownBy(() -> corners(0, 0, 1, 1)).hasMessageContaining("four corners");
    }

    @Test
    void theMappingMeetsItsCornersAndKeepsStraightLines() {
        TrayCorners tilted = corners(12, 20, 390, 44, 350, 280, 40, 260);
        TrayCorners.Mapping mapping = tilted.mapping();
        List<TrayCorners.Point> seen = List.of(mapping.at(0, 0), mapping.at(1, 0), mapping.at(1, 1), mapping.at(0, 1));
        for (int corner = 0; corner < 4; corner++) {
            assertThat(seen.get(corner).x())
                    .isCloseTo(tilted.corners().get(corner).x(), within(1e-9));
            assertThat(seen.get(corner).y())
                    .isCloseTo(tilted.corners().get(corner).y(), within(1e-9));
        }
        TrayCorners.Point start = mapping.at(0, 0.5);
        TrayCorners.Point middle = mapping.at(0.3, 0.5);
        TrayCorners.Point end = mapping.at(1, 0.5);
        double turn =
                (middle.x() - start.x()) * (end.y() - start.y()) - (middle.y() - start.y()) * (end.x() - start.x());
        assertThat(turn).isCloseTo(0, within(1e-6));
    }
}
