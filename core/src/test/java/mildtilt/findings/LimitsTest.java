package mildtilt.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import mildtilt.analysis.Analysis;
import mildtilt.analysis.Headline;
import mildtilt.analysis.Headlines;
import mildtilt.column.Column;
import mildtilt.column.ColumnTrain;
import mildtilt.column.GearInput;
import mildtilt.column.Joint;
import mildtilt.column.JointKind;
import mildtilt.column.Shaft;
import mildtilt.column.SteeringWheel;
import mildtilt.column.YokeDimensions;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.job.Plan;
import mildtilt.job.Targets;
import mildtilt.rules.RuleLimit;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where fine ends and look and stop begin. */
class LimitsTest {

    private final Job demo = DemoJob.MARSH_CARRIER.job();

    private Job bent(double angleDeg, double limitDeg) {
        double a = Math.toRadians(angleDeg);
        Shaft s = Shaft.round(Id.Kind.SHAFT.first(), "Shaft", 20, 0, true);
        Column c = new Column(
                new SteeringWheel(360, new Point(-600, 0, 900), YokeDimensions.NONE),
                List.of(s, s.withId(Id.Kind.SHAFT.number(2))),
                List.of(Joint.single(
                        Id.Kind.JOINT.first(),
                        "Joint",
                        new Point(-100, 0, 900),
                        limitDeg,
                        YokeDimensions.NONE,
                        YokeDimensions.NONE)),
                new GearInput(new Point(-100 + 200 * Math.cos(a), 0, 900 - 200 * Math.sin(a)), YokeDimensions.NONE));
        return Job.of("bent", new Plan(demo.vehicle(), Optional.of(c), Optional.empty(), demo.targets()));
    }

    @ParameterizedTest
    @CsvSource({
        "20, 35, FINE",
        "32.9, 35, FINE",
        "33.1, 35, LOOK",
        "34.9, 35, LOOK",
        "35.1, 35, STOP",
        "60, 35, STOP",
        "36, 50, STOP",
        "90, 180, STOP",
        "120, 180, STOP"
    })
    void theAngleOfAJoint(double angle, double limit, Severity expected) {
        Job job = bent(angle, limit);
        Severity worst = Analysis.of(job).findings().stream()
                .filter(f -> f.fault() == Fault.JOINT_OVER_LIMIT || f.fault() == Fault.JOINT_LOCKED)
                .map(Finding::severity)
                .reduce(Severity.FINE, Severity::worse);
        assertThat(worst).isEqualTo(expected);
    }

    /** One joint at an angle has a ripple of 100 (1/cos − cos). */
    @ParameterizedTest
    @CsvSource({"10, FINE", "17.5, FINE", "18.5, LOOK", "29, LOOK", "32, STOP"})
    void rippleIsJudgedAgainstTarget(double angle, Severity expected) {
        Analysis analysis = Analysis.of(bent(angle, 50));
        double cos = Math.cos(Math.toRadians(angle));
        assertThat(analysis.headlines().get(Headline.RIPPLE).orElseThrow())
                .isCloseTo(100 * (1 / cos - cos), within(1e-9));
        Optional<Finding> ripple = analysis.findings().stream()
                .filter(f -> f.fault() == Fault.RIPPLE)
                .findFirst();
        assertThat(ripple.map(Finding::severity).orElse(Severity.FINE)).isEqualTo(expected);
        // With one joint there is nothing to clock: no remedy is made up.
        ripple.ifPresent(f -> {
            assertThat(f.remedies()).isEmpty();
            assertThat(f.what().text(LengthUnit.MM)).contains("No clocking of these shafts makes it less");
        });
        Job patient = bent(angle, 50)
                .withTargets(new Targets(60, 60, 110, 0.5))
                .withRules(demo.rules().with(RuleLimit.RIPPLE, 60));
        assertThat(Analysis.of(patient).findings()).noneMatch(f -> f.fault() == Fault.RIPPLE);
    }

    @Test
    void middleJointMoveIsMinimal() {
        Column c = demo.column().orElseThrow();
        Joint middle = Joint.single(
                Id.Kind.JOINT.number(9),
                "Middle joint",
                new Point(-430, 330, 560),
                35,
                new YokeDimensions(40, 26),
                new YokeDimensions(40, 26));
        Shaft extra = Shaft.round(Id.Kind.SHAFT.number(9), "Middle shaft", 19, 0, true);
        Job job = demo.withColumn(c.withTrain(
                List.of(c.shafts().get(0), extra, c.shafts().get(1), c.shafts().get(2)),
                List.of(c.joints().get(0), middle, c.joints().get(1)),
                List.of()));
        Finding f = Analysis.of(job).findings().stream()
                .filter(x -> x.fault() == Fault.JOINT_OVER_LIMIT)
                .findFirst()
                .orElseThrow();
        for (Remedy remedy : f.remedies()) {
            Column moved = remedy.edit().apply(job).column().orElseThrow();
            ColumnTrain train = new ColumnTrain(moved);
            double by = 0;
            for (int i = 0; i < 3; i++) {
                assertThat(train.jointAngleDeg(i))
                        .as(remedy.action().text(LengthUnit.MM))
                        .isLessThanOrEqualTo(34.5);
                by += moved.joints()
                        .get(i)
                        .centre()
                        .distanceTo(job.column().orElseThrow().joints().get(i).centre());
            }
            assertThat(remedy.action().text(LengthUnit.MM)).contains(" " + Math.round(by) + ".0 mm ");
        }
        // A millimetre less would not do.
        f.remedies().stream().findFirst().ifPresent(remedy -> {
            Column to = remedy.edit().apply(job).column().orElseThrow();
            for (int i = 0; i < 3; i++) {
                Point from = job.column().orElseThrow().joints().get(i).centre();
                Vector by = to.joints().get(i).centre().minus(from);
                if (by.norm() > 0.5) {
                    Column less = job.column()
                            .orElseThrow()
                            .withJoint(
                                    i, to.joints().get(i).withCentre(from.plus(by.times((by.norm() - 1) / by.norm()))));
                    ColumnTrain train = new ColumnTrain(less);
                    assertThat(Math.max(
                                    train.jointAngleDeg(0), Math.max(train.jointAngleDeg(1), train.jointAngleDeg(2))))
                            .isGreaterThan(34.5);
                }
            }
        });
    }

    @Test
    void doubleJointNextToAnotherNeedsBearing() {
        Column c = demo.column().orElseThrow();
        Joint j = c.joints().get(1);
        Job job = demo.withColumn(
                c.withJoint(1, j.withKind(new JointKind.Double(false)).withMaxAngleDeg(70)));
        assertThat(Analysis.of(job).findings()).anySatisfy(f -> {
            assertThat(f.fault()).isEqualTo(Fault.SHAFT_FLOATS);
            assertThat(f.what().text(LengthUnit.MM)).contains("Lower shaft floats");
        });
    }

    @Test
    void elementStateIsItsWorstFinding() {
        Analysis a = Analysis.of(demo);
        assertThat(a.stateOf(new Element.JointAt(1))).isEqualTo(Severity.STOP);
        assertThat(a.stateOf(new Element.JointAt(0))).isEqualTo(Severity.FINE);
        assertThat(a.stateOf(new Element.SteeringArms())).isEqualTo(Severity.LOOK);
        assertThat(Severity.LOOK.worse(Severity.FINE)).isEqualTo(Severity.LOOK);
        assertThat(a.findings()).isSortedAccordingTo((x, y) -> y.severity().compareTo(x.severity()));
    }

    @Test
    void effectsAreNotableOnlyWhenVisible() {
        Headlines before = Headlines.of(demo).orElseThrow();
        assertThat(before.against(before)).isNotEmpty().noneMatch(Headlines.Change::notable);
        Job wider = demo.withVehicle(demo.vehicle().withWheelbase(2500));
        List<Headline> changed = before.against(Headlines.of(wider).orElseThrow()).stream()
                .filter(Headlines.Change::notable)
                .map(Headlines.Change::headline)
                .toList();
        assertThat(changed).containsExactly(Headline.ACKERMANN, Headline.OUTER_ERROR, Headline.CIRCLE);
        Job noAxle = Job.of("c", new Plan(demo.vehicle(), demo.column(), Optional.empty(), demo.targets()));
        assertThat(before.against(Headlines.of(noAxle).orElseThrow())).anySatisfy(c -> {
            assertThat(c.headline()).isEqualTo(Headline.CIRCLE);
            assertThat(c.after()).isEmpty();
            assertThat(c.notable()).isTrue();
        });
    }
}
