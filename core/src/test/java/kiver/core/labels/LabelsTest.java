package kiver.core.labels;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class LabelsTest {

    /** The example of a registry that uses the same scheme. */
    @Test
    void theCheckCharacterIsThatOfTheStandard() {
        assertThat(CheckedCode.checkOf("A12425GABC1234002")).isEqualTo('M');
        assertThatThrownBy(() -> CheckedCode.checkOf("T10/42")).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void everyWrongDigitAndEverySwapOfTwoIsNoticed() {
        for (int number = 1001; number < 1400; number++) {
            String code = CheckedCode.ofTray(number);
            assertThat(CheckedCode.read(code)).contains(new CheckedCode.Read.Fits(number));
            for (int place = 1; place <= 4; place++) {
                for (char digit = '0'; digit <= '9'; digit++) {
                    String slip = code.substring(0, place) + digit + code.substring(place + 1);
                    if (!slip.equals(code)) {
                        assertThat(CheckedCode.read(slip)).get().isInstanceOf(CheckedCode.Read.DoesNotFit.class);
                    }
                }
            }
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"T1042", "1042", "mix 14", "T1042-", "T-K", "T10420000000-K", "kale", ""})
    void whatIsNoCheckedCodeIsLeftToOthers(String typed) {
        assertThat(CheckedCode.read(typed)).isEqualTo(Optional.empty());
    }

    /** The web reads the same codes by itself, where there is no signal, and is held to the same file. */
    @ParameterizedTest
    @CsvFileSource(resources = "/tray-codes.csv", ignoreLeadingAndTrailingWhitespace = false)
    void codesAreReadAsWritten(String typed, Integer number, String fits) {
        assertThat(CheckedCode.read(typed))
                .isEqualTo(Optional.ofNullable(number)
                        .map(tray -> fits.equals("yes")
                                ? new CheckedCode.Read.Fits(tray)
                                : new CheckedCode.Read.DoesNotFit(tray)));
    }

    @Test
    void itIsReadInEitherCaseAndWithoutItsHyphen() {
        String code = CheckedCode.ofTray(1042);
        assertThat(CheckedCode.read(" " + code.toLowerCase() + " ")).contains(new CheckedCode.Read.Fits(1042));
        if (Character.isLetter(code.charAt(code.length() - 1))) {
            assertThat(CheckedCode.read(code.replace("-", ""))).contains(new CheckedCode.Read.Fits(1042));
        }
    }

    @ParameterizedTest
    @EnumSource
    void labelsLieOnTheirSheetWithoutOverlapping(LabelFormat format) {
        for (int place = 0; place < format.perSheet(); place++) {
            assertThat(format.left(place)).isGreaterThanOrEqualTo(-0.1f);
            assertThat(format.top(place)).isGreaterThanOrEqualTo(-0.1f);
            assertThat(format.left(place) + format.width()).isLessThanOrEqualTo(format.sheetWidth() + 0.1f);
            assertThat(format.top(place) + format.height()).isLessThanOrEqualTo(format.sheetHeight() + 0.1f);
        }
        assertThat(format.top(format.perSheet())).isEqualTo(format.top(0));
    }
}
