package kiver.core.order;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.TreeSet;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.core.tray.Cell;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class OrderAndTrayTest {

    private static final TrayId TRAY = new TrayId(4);
    private static final LocalDate DAY = LocalDate.of(2027, 5, 4);

    @ParameterizedTest
    @ValueSource(ints = {0, -5, 100_001})
    void plantsMustBeAnOrder(int plants) {
        assertThatThrownBy(() -> new OrderLine(plants, new LeafStage(3, 5), DAY))
                .hasMessageContaining("from 1 to 100000");
    }

    @ParameterizedTest
    @CsvSource({"0,3", "21,22", "5,4"})
    void leavesMustBeARange(int from, int to) {
        assertThatThrownBy(() -> new LeafStage(from, to)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void aRunIsReadLikeAPage() {
        CellRun run = new CellRun(TRAY, 9, 12);
        assertThat(run.length()).isEqualTo(4);
        assertThat(run.cells()).extracting(Cell::number).containsExactly(9, 10, 11, 12);
        assertThat(new TreeSet<>(run.cells()).first()).isEqualTo(new Cell(TRAY, 9));
    }

    @ParameterizedTest(name = "{0} to {1}: {2}")
    @CsvSource({"1,8,false", "13,20,false", "1,9,true", "12,12,true", "10,11,true", "1,60,true"})
    void runsOverlapWhenTheyShareACell(int first, int last, boolean overlaps) {
        CellRun run = new CellRun(TRAY, 9, 12);
        assertThat(run.overlaps(new CellRun(TRAY, first, last))).isEqualTo(overlaps);
        assertThat(new CellRun(TRAY, first, last).overlaps(run)).isEqualTo(overlaps);
        assertThat(run.overlaps(new CellRun(new TrayId(5), first, last))).isFalse();
    }

    @Test
    void runsAndCellsThatCannotBe() {
        assertThatThrownBy(() -> new CellRun(TRAY, 0, 4)).hasMessageContaining("counted from 1");
        assertThatThrownBy(() -> new CellRun(TRAY, 6, 4)).hasMessageContaining("before it begins");
        assertThatThrownBy(() -> new Cell(TRAY, 0)).hasMessageContaining("counted from 1");
        assertThatThrownBy(() -> new Container(new ContainerCode("x"), "Tray", 0, 5, 40, 40, 1))
                .hasMessageContaining("at least one row");
        assertThatThrownBy(() -> new Container(new ContainerCode("x"), "Tray", 5, 5, 40, 40, 0))
                .hasMessageContaining("footprint");
    }
}
