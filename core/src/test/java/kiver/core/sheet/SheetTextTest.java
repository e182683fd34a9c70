package kiver.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerSheet;
import kiver.core.crop.Crop;
import kiver.core.crop.CropSheet;
import org.junit.jupiter.api.Test;

class SheetTextTest {

    private static final Path LIBRARY = Path.of("..", "library");

    @Test
    void cropsAndContainersComeBackAsTheyWereWritten() throws IOException {
        List<Crop> crops = SheetText.read(
                "crops.csv", Files.readString(LIBRARY.resolve("crops.csv")), CropSheet.NAMES, CropSheet::read);
        String written = SheetText.written(
                CropSheet.NAMES, crops.stream().map(CropSheet::write).toList());
        assertThat(SheetText.read("again", written, CropSheet.NAMES, CropSheet::read))
                .isEqualTo(crops);
        List<Container> containers = SheetText.read(
                "containers.csv",
                Files.readString(LIBRARY.resolve("containers.csv")),
                ContainerSheet.NAMES,
                ContainerSheet::read);
        String text = SheetText.written(
                ContainerSheet.NAMES,
                containers.stream().map(ContainerSheet::write).toList());
        assertThat(SheetText.read("again", text, ContainerSheet.NAMES, ContainerSheet::read))
                .isEqualTo(containers);
    }

    @Test
    void everyReaderNamesItsColumn() {
        SheetRow row = new SheetRow(Map.of("a", "x", "b", " 2.5 ", "c", "maybe", "d", "1e400", "e", "−3"));
        assertThat(row.number("b")).isEqualTo(2.5);
        assertThat(row.number("e")).isEqualTo(-3);
        assertThat(row.numberOr("none", 7)).isEqualTo(7);
        assertThatThrownBy(() -> row.number("a")).hasMessage("NotANumber[column=a, entry=x]");
        assertThatThrownBy(() -> row.number("d")).hasMessage("NotANumber[column=d, entry=1e400]");
        assertThatThrownBy(() -> row.wholeNumber("b")).hasMessage("NotWhole[column=b, entry=2.5]");
        assertThatThrownBy(() -> row.words("none")).hasMessage("Empty[column=none]");
        assertThatThrownBy(() -> row.day("b")).hasMessage("NotADay[column=b, entry=2.5]");
        assertThatThrownBy(() -> row.yes("c")).hasMessage("NotOneOf[column=c, entry=maybe, allowed=[yes, no]]");
    }

    @Test
    void wordsWithCommasAndQuotesSurvive() {
        SheetRow row = new SheetRow(Map.of("name", "deep, \"to the leaves\"", "n", "1"));
        String text = SheetText.written(List.of("name", "n"), List.of(row));
        assertThat(SheetText.lines("x", text, List.of("name", "n")).get(0).row().text("name"))
                .isEqualTo("deep, \"to the leaves\"");
    }

    @Test
    void noSpreadsheetRunsWhatIsWrittenAndItIsReadBackUnchanged() {
        List<String> columns = List.of("name", "figure");
        for (String name : List.of("=cmd|' /C calc'!A0", "+1+1", "-2+3", "@SUM(1)", "'=already", "O'Neil", "=1,2\nx")) {
            String text = SheetText.written(columns, List.of(SheetText.row(columns, name, -3.25)));
            assertThat(text.lines().skip(1).findFirst().orElseThrow().replaceFirst("^\"", ""))
                    .doesNotStartWith("=")
                    .doesNotStartWith("+")
                    .doesNotStartWith("-")
                    .doesNotStartWith("@");
            SheetText.Line line = SheetText.lines("a.csv", text, columns).get(0);
            assertThat(line.row().text("name")).isEqualTo(name);
            assertThat(line.row().number("figure")).isEqualTo(-3.25);
        }
    }
}
