package mildtilt.describe;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a shop reads when a value can't be: where it is, what it is, what it can be, in the unit of its key. */
class RefusalTextTest {

    private static final JobPlace TAKE_OFF =
            JobPlace.WHOLE.in("column").in("joints").at(1).in("wheel_side").in("take_off_mm");

    @ParameterizedTest
    @CsvSource({
        "take_off_mm, ' mm'",
        "max_angle_deg, °",
        "ackermann_min_pct, ' %'",
        "torque_nm, ' N·m'",
        "yield_mpa, ' N/mm²'",
        "mass_kg, ' kg'",
        "teeth, ''",
        "comm, ''"
    })
    void unitFollowsFromTheKey(String key, String unit) {
        assertThat(JobPlace.WHOLE.in("x").in(key).unit()).isEqualTo(unit);
        assertThat(JobPlace.WHOLE.in("x").in(key).at(3).unit())
                .as("of an entry")
                .isEqualTo(unit);
    }

    @Test
    void placesAreSpokenFromTheWholeToThePart() {
        assertThat(TAKE_OFF.words()).isEqualTo("column, joints number 2, wheel side, take off");
        assertThat(JobPlace.WHOLE.in("axle").in("gear").in("axis").axis(2).words())
                .isEqualTo("axle, gear, axis, z");
        assertThat(JobPlace.WHOLE.words()).isEqualTo("the file itself");
    }

    @Test
    void idsAreAlikeForAllPartsOfAListAndSafeForAStyleSheet() {
        assertThat(TAKE_OFF.id()).isEqualTo("column-joints-wheel-side-take-off-mm");
        assertThat(JobPlace.WHOLE
                        .in("column")
                        .in("joints")
                        .at(0)
                        .in("wheel_side")
                        .in("take_off_mm")
                        .id())
                .isEqualTo(TAKE_OFF.id());
        assertThat(TAKE_OFF.axis(1).id()).isEqualTo("column-joints-wheel-side-take-off-mm-y");
    }

    @Test
    void rangesAreSaidWithValueUnitAndEnds() {
        Range range = new Range("length", 0.1, 2000, 0, "of a shaft");
        assertThat(RefusalText.outOfRange(TAKE_OFF, 2500.5, range))
                .isEqualTo("Column, joints number 2, wheel side, take off is 2500.5 mm; it can be 0.1 to 2000 mm.");
        Range eitherWay = new Range("ratio", -1000, 1000, 0.1, "turns");
        assertThat(eitherWay.holds(0.05)).isFalse();
        assertThat(eitherWay.tooNear(0.05)).isTrue();
        assertThat(RefusalText.outOfRange(JobPlace.WHOLE.in("ratio"), 0.05, eitherWay))
                .isEqualTo("Ratio is 0.05; it can't be nearer to 0 than 0.1.");
    }

    @ParameterizedTest
    @CsvSource({
        "12.0, 12",
        "-0.5, -0.5",
        "0, 0",
        "1e-9, all but 0",
        "100000, 100000",
        "1e13, 1.0E13",
        "Infinity, Infinity"
    })
    void numbersAreShownAsAPersonWritesThem(double v, String shown) {
        assertThat(RefusalText.shown(v)).isEqualTo(shown);
    }

    @Test
    void longTextsAndListsAreCut() {
        assertThat(RefusalText.quoted("x".repeat(500))).hasSizeLessThan(60).startsWith("\"xxx");
        List<String> words = List.of("a", "b", "c", "d", "e", "f", "g", "h", "i", "j");
        assertThat(RefusalText.noneOf(JobPlace.WHOLE.in("kind"), "\"z\"", words))
                .endsWith("g, h ….");
        assertThat(RefusalText.noneOf(JobPlace.WHOLE.in("kind"), "\"z\"", List.of("a", "b", "c")))
                .isEqualTo("Kind is \"z\"; it can be a, b or c.");
        assertThat(RefusalText.entries(JobPlace.WHOLE.in("shafts"), 0, 2, 9))
                .isEqualTo("Shafts has 0 entries; it needs at least 2.");
    }
}
