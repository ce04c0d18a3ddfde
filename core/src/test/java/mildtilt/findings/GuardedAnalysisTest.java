package mildtilt.findings;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.job.Element;
import mildtilt.units.LengthUnit;
import mildtilt.units.Phrase;
import org.junit.jupiter.api.Test;

/** One part that fails is one finding, the gravest kind, and all other parts are as they would be without it. */
class GuardedAnalysisTest {

    private static final Element GEAR = new Element.GearElement();
    private static final Finding OTHER =
            new Finding(Fault.RIPPLE, Severity.LOOK, new Element.Wheel(), Phrase.of("ripple"), "", List.of());

    @Test
    void failedPartIsNamedAndOthersContinue() {
        GuardedAnalysis w = new GuardedAnalysis();
        assertThat(w.attempt("The lock", GEAR, () -> 1 / Integer.parseInt("0"), 7))
                .isEqualTo(7);
        assertThat(w.attempt("The ratio", GEAR, () -> 3, 7)).isEqualTo(3);
        w.check(
                "The angle of {0}",
                new Element.JointAt(1), all -> {
                    all.add(OTHER);
                    throw new ImpossibleGeometryException("A rod {1} has no length.");
                });
        w.check("Ripple", GEAR, all -> all.add(OTHER));
        w.check("A part that calls itself", GEAR, _ -> endless(0));
        List<Finding> found = w.sorted();
        assertThat(found)
                .extracting(Finding::fault)
                .containsExactly(
                        Fault.NOT_WORKED_OUT, Fault.NOT_WORKED_OUT, Fault.NOT_WORKED_OUT, Fault.RIPPLE, Fault.RIPPLE);
        assertThat(found)
                .extracting(f -> f.what().text(LengthUnit.MM))
                .containsSubsequence("The lock could not be worked out.", "The angle of {0} could not be worked out.");
        assertThat(found.get(1).why().text(LengthUnit.MM))
                .startsWith("A rod {1} has no length. This part was not checked: do not assume it is good.");
        assertThat(found.get(1).element()).isEqualTo(new Element.JointAt(1));
        assertThat(found.get(0).same(found.get(1))).as("two that fail are two").isFalse();
    }

    private static int endless(int n) {
        return endless(n + 1) + 1;
    }
}
