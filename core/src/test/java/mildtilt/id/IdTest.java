package mildtilt.id;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import mildtilt.geometry.ImpossibleGeometryException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class IdTest {

    @ParameterizedTest
    @EnumSource(Id.Kind.class)
    void nextIsAboveEveryNumberOfItsKindAndIgnoresOthers(Id.Kind kind) {
        assertThat(kind.next(List.of())).isEqualTo(kind.first()).isEqualTo(kind.number(1));
        Id.Kind other = kind == Id.Kind.SHAFT ? Id.Kind.JOINT : Id.Kind.SHAFT;
        List<Id> taken = List.of(kind.number(3), kind.number(11), other.number(900), new Id("hub"));
        assertThat(kind.next(taken)).isEqualTo(kind.number(12));
        assertThat(kind.next(taken.stream())).isEqualTo(kind.number(12));
        // A part of a thing that is gone still holds its number.
        assertThat(kind.next(List.of(kind.number(40).part("centre")))).isEqualTo(kind.number(41));
    }

    @Test
    void kindsAreToldApartByWholeWords() {
        assertThat(Id.Kind.SHAFT.number(2).is(Id.Kind.SHAFT)).isTrue();
        assertThat(Id.Kind.SHAFT.number(2).is(Id.Kind.JOINT)).isFalse();
        assertThat(Id.Kind.SHAFT.number(2).part("pair").is(Id.Kind.SHAFT))
                .as("a part")
                .isFalse();
        assertThat(new Id("shaft").is(Id.Kind.SHAFT)).as("no number").isFalse();
        assertThat(new Id("shaft_2").is(Id.Kind.SHAFT)).as("a fixed id").isFalse();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "Shaft-1",
                "shaft-0",
                "shaft-01",
                "shaft-",
                "-1",
                "1",
                "shaft 1",
                "shaft-1.",
                ".centre",
                "ü-1",
                "a\nb"
            })
    void otherFormsAreRefusedWithAnExample(String text) {
        assertThatThrownBy(() -> new Id(text))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("shaft-2, left_tyre or joint-1.centre");
    }

    @Test
    void veryLongTextIsCutInTheRefusal() {
        assertThatThrownBy(() -> new Id("a".repeat(5000)))
                .satisfies(e -> assertThat(e.getMessage()).hasSizeLessThan(200));
        assertThat(new Id("a".repeat(Id.LONGEST)).text()).hasSize(Id.LONGEST);
    }
}
