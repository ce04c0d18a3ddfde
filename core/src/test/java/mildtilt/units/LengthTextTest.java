package mildtilt.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class LengthTextTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "88.9 | MM | 88.9", "88.9 mm | INCH | 88.9", "3.5 | INCH | 88.9", "3.5\" | MM | 88.9",
                        "3 1/2\" | MM | 88.9",
                "3-1/2 in | MM | 88.9", "1/2 | MM | 12.7", "5' 2 3/8\" | MM | 1584.325", "5'2\" | MM | 1574.8",
                        "5 ft | MM | 1524",
                "-3 1/2\" | MM | -88.9", "−12 | MM | -12", "8.89cm | INCH | 88.9", "0.5 m | MM | 500",
                        ".5 | INCH_FRACTION | 12.7",
                "3 1/2'' | MM | 88.9", "6' 3 | MM | 1905"
            })
    void readsWhatPeopleWrite(String text, LengthUnit shown, double mm) {
        assertThat(LengthText.parse(text, shown)).isCloseTo(mm, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"", "abc", "1,234", "3 1/0\"", "12 furlongs", "1/2/3", "--4", "5' x", "NaN", "1e400", "3 1/2 1/4"
            })
    void ambiguousLengthsAreRefused(String text) {
        assertThatThrownBy(() -> LengthText.parse(text, LengthUnit.MM))
                .isInstanceOf(UnreadableMeasureException.class)
                .hasMessageContaining("\"");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "88.9 | MM | 88.9 mm", "88.9 | INCH | 3.500\"", "88.9 | INCH_FRACTION | 3 1/2\"",
                        "-88.9 | INCH_FRACTION | −3 1/2\"",
                "1584.325 | INCH_FRACTION | 5' 2 3/8\"", "0.1 | INCH_FRACTION | 0\"", "-0.01 | MM | 0.0 mm",
                        "25.3 | INCH_FRACTION | 1\""
            })
    void writesAsTheBenchReads(double mm, LengthUnit unit, String text) {
        assertThat(LengthText.format(mm, unit)).isEqualTo(text);
    }

    @ParameterizedTest
    @EnumSource(LengthUnit.class)
    void editableTextRoundTrips(LengthUnit unit) {
        Random random = new Random(11);
        for (int i = 0; i < 2000; i++) {
            double mm = Math.rint((random.nextDouble() - 0.5) * 6e6) / 1000;
            assertThat(LengthText.parse(LengthText.editable(mm, unit), unit)).isCloseTo(mm, within(6e-4));
        }
    }

    @Test
    void anglesParseWithOrWithoutDegreeSign() {
        assertThat(LengthText.parseDegrees(" −61.5° ")).isEqualTo(-61.5);
        assertThatThrownBy(() -> LengthText.parseDegrees("10,5")).hasMessageContaining("comma");
    }

    @Test
    void forcesStressesAndFactorsInBothUnits() {
        assertThat(Quantity.force(444.82216).text(LengthUnit.MM)).isEqualTo("445 N");
        assertThat(Quantity.force(444.82216).text(LengthUnit.INCH)).isEqualTo("100 lbf");
        assertThat(Quantity.stress(6.894757).text(LengthUnit.INCH_FRACTION)).isEqualTo("1000 psi");
        assertThat(Quantity.stress(235).text(LengthUnit.MM)).isEqualTo("235 MPa");
        assertThat(Quantity.times(1.034).text(LengthUnit.MM)).isEqualTo("1.03 ×");
        assertThat(Quantity.times(4.25).text(LengthUnit.MM)).isEqualTo("4.3 ×");
        assertThat(Quantity.times(42).text(LengthUnit.MM)).isEqualTo("42 ×");
    }

    @Test
    void phrasesJoinWithQuantities() {
        Phrase both = Phrase.of("Raise it {0}", Quantity.length(12))
                .then(", then ")
                .then(Phrase.of("lean it {0} over {1}.", Quantity.angle(3), Quantity.length(25.4)));
        assertThat(both.text(LengthUnit.MM)).isEqualTo("Raise it 12.0 mm, then lean it 3.0° over 25.4 mm.");
        assertThat(both.text(LengthUnit.INCH)).contains("over 1.000\"");
    }

    /** What a tape measures is shown in fractions, what it does not in decimals; either can be read back. */
    @Test
    void fieldsShowTapeFractions() {
        assertThat(LengthText.inField(2380, LengthUnit.INCH_FRACTION)).isEqualTo("7' 9 11/16\"");
        assertThat(LengthText.inField(368.3, LengthUnit.INCH_FRACTION)).isEqualTo("14 1/2\"");
        assertThat(LengthText.inField(1.5, LengthUnit.INCH_FRACTION)).isEqualTo("0.0591\"");
        assertThat(LengthText.inField(44, LengthUnit.INCH)).isEqualTo("1.7323\"");
        assertThat(LengthText.inField(19.05, LengthUnit.INCH_FRACTION)).isEqualTo("3/4\"");
        assertThat(LengthText.inField(2380, LengthUnit.MM)).isEqualTo("2380 mm");
        assertThat(LengthText.parse(LengthText.inField(2380, LengthUnit.INCH_FRACTION), LengthUnit.INCH_FRACTION))
                .isCloseTo(2380, within(25.4 / 64));
    }
}
