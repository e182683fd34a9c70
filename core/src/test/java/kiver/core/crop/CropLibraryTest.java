package kiver.core.crop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.Reader;
import java.io.StringReader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import kiver.core.sheet.FaultySheetException;
import kiver.core.sheet.SheetFault;
import org.junit.jupiter.api.Test;

class CropLibraryTest {

    private static final Path LIBRARY = Path.of("..", "library");

    @Test
    void theLibraryIsWholeAndSaysWhereItsFiguresComeFrom() throws IOException {
        CropLibrary library = library();
        assertThat(library.crops()).hasSizeGreaterThanOrEqualTo(60);
        assertThat(library.containers()).hasSizeGreaterThanOrEqualTo(6);
        assertThat(library.crops()).allSatisfy(crop -> {
            assertThat(crop.sources().emergence()).isNotBlank();
            assertThat(crop.sources().growth()).isNotBlank();
            double best = crop.emergence().temperatures().optimum();
            assertThat(crop.emergence().daysAt(best)).isBetween(1.0, 20.0);
            assertThat(crop.leaves().temperatures().rate(crop.growAt()))
                    .as(crop.name())
                    .isGreaterThan(0.25);
        });
        assertThat(library.crop(new CropCode("tomato"))).isPresent();
        assertThat(library.crop(new CropCode("unheard-of"))).isEmpty();
    }

    @Test
    void limitGrowsWithTheCell() throws IOException {
        Crop kale = library().crop(new CropCode("curly-kale")).orElseThrow();
        Container plug = library().container(new ContainerCode("plug-150")).orElseThrow();
        Container pot = library().container(new ContainerCode("pot-9")).orElseThrow();
        assertThat(kale.leafLimitIn(plug)).isLessThan(kale.leafLimit());
        assertThat(kale.leafLimitIn(pot)).isGreaterThan(kale.leafLimit());
    }

    @Test
    void everyFaultIsToldWithItsLine() {
        String text = """
                # remark
                code,name,kind,rows,columns,cell_volume,cell_depth,slots
                good,Good tray,cells,5,6,40,45,1
                flat,Flat tray,cells,0,6,40,45,1
                odd,Odd tray,cells,5,6,forty,45,1
                """;
        assertThatThrownBy(() -> CropLibraryReader.readContainers("containers.csv", new StringReader(text)))
                .isInstanceOfSatisfying(
                        FaultySheetException.class,
                        refused -> assertThat(refused.faults())
                                .extracting(SheetFault::line)
                                .containsExactly(4L, 5L))
                .hasMessageContaining("at least one row")
                .hasMessageContaining("NotANumber[column=cell_volume, entry=forty]");
    }

    @Test
    void aCodeStandsOnce() {
        Container tray = new Container(new ContainerCode("a"), "Tray", 2, 2, 40, 40, 1);
        assertThatThrownBy(() -> new CropLibrary(List.of(), List.of(tray, tray)))
                .hasMessageContaining("stands twice");
    }

    private static CropLibrary library() throws IOException {
        try (Reader crops = Files.newBufferedReader(LIBRARY.resolve("crops.csv"));
                Reader containers = Files.newBufferedReader(LIBRARY.resolve("containers.csv"))) {
            return new CropLibrary(
                    CropLibraryReader.readCrops("crops.csv", crops),
                    CropLibraryReader.readContainers("containers.csv", containers));
        }
    }
}
