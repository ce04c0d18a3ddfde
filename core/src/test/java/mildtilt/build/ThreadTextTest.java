package mildtilt.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import mildtilt.build.ScrewThread.Hand;
import mildtilt.units.UnreadableMeasureException;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ThreadTextTest {

    @ParameterizedTest
    @CsvSource({
        "M16 × 1.5, 16, 1.5, M16 × 1.5",
        "'m 16x1,5 LH', 16, 1.5, M16 × 1.5 LH",
        "M10, 10, 1.5, M10 × 1.5",
        "5/8-18 UNF, 15.875, 1.4111111, 5/8-18 UNF",
        "5/8 UNC, 15.875, 2.3090909, 5/8-11 UNC",
        "'3/4\" × 16 left-hand', 19.05, 1.5875, 3/4-16 UNF LH",
        "1 1/8-12, 28.575, 2.1166667, 1 1/8-12 UNF",
        "0.5-20, 12.7, 1.27, 1/2-20 UNF",
        "5/8-24, 15.875, 1.0583333, 5/8-24 UN"
    })
    void aThreadIsReadAndWrittenInItsOwnStandard(String typed, double major, double pitch, String label) {
        ScrewThread t = ThreadText.parse(typed, Hand.RIGHT);
        assertThat(t.major()).isCloseTo(major, within(1e-9));
        assertThat(t.pitch()).isCloseTo(pitch, within(1e-7));
        assertThat(t.label()).isEqualTo(label);
        // And back: what is shown is what is read.
        assertThat(ThreadText.parse(t.label(), Hand.RIGHT)).isEqualTo(t);
        assertThat(ThreadText.parse(t.withHand(Hand.RIGHT).label(), Hand.LEFT).hand())
                .as("the hand is kept where none is said")
                .isEqualTo(Hand.LEFT);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "16", "M", "M17", "5/8", "5/8-11 UNF", "M16 × 20", "fine", "5/8-0", "-5/8-18"})
    void invalidThreadsAreRefusedWithASentence(String typed) {
        assertThatThrownBy(() -> ThreadText.parse(typed, Hand.RIGHT))
                .isInstanceOf(UnreadableMeasureException.class)
                .hasMessageMatching("(?s).+[.].*");
    }
}
