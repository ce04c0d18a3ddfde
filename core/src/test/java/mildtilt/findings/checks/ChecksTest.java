package mildtilt.findings.checks;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import mildtilt.analysis.Analysis;
import mildtilt.analysis.Headline;
import mildtilt.column.Column;
import mildtilt.column.Shaft;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.Remedy;
import mildtilt.findings.Severity;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import mildtilt.suspension.CornerPoint;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.Test;

class ChecksTest {

    private final Job demo = DemoJob.MARSH_CARRIER.job();

    private static Optional<Finding> find(Job job, Fault fault) {
        return Analysis.of(job).findings().stream()
                .filter(f -> f.fault() == fault)
                .findFirst();
    }

    private static Job cured(Job job, Fault fault) {
        return find(job, fault).orElseThrow().remedies().getFirst().edit().apply(job);
    }

    private static Job withRack(Job job, UnaryOperator<RackAndPinion> edit) {
        return job.editAxle(a -> a.withGear(edit.apply((RackAndPinion) a.gear())));
    }

    @Test
    void demoFindingsAreExactlyThePlantedFaults() {
        assertThat(Analysis.of(demo).findings())
                .extracting(Finding::fault)
                .containsExactly(
                        Fault.JOINT_OVER_LIMIT, Fault.TOUCHES, Fault.STUD_DOES_NOT_SEAT, Fault.RIPPLE, Fault.ACKERMANN);
    }

    @Test
    void remedyEffectMatchesItsPrediction() {
        Analysis before = Analysis.of(demo);
        for (Finding f : before.findings()) {
            assertThat(f.remedies()).as(f.fault().name()).isNotEmpty();
            for (Remedy r : f.remedies()) {
                Analysis after = Analysis.of(r.edit().apply(demo));
                before.effectOf(r).changes().forEach(c -> assertThat(
                                after.headlines().get(c.headline()))
                        .isEqualTo(c.after()));
            }
        }
        assertThat(find(cured(demo, Fault.JOINT_OVER_LIMIT), Fault.JOINT_OVER_LIMIT))
                .hasValueSatisfying(f -> assertThat(f.severity()).isEqualTo(Severity.LOOK));
        assertThat(find(cured(demo, Fault.ACKERMANN), Fault.ACKERMANN)).isEmpty();
        Job clocked = cured(demo, Fault.RIPPLE);
        assertThat(find(clocked, Fault.RIPPLE).orElseThrow().what().text(LengthUnit.MM))
                .contains("No clocking");
        assertThat(find(clocked, Fault.RIPPLE).orElseThrow().remedies()).isEmpty();
    }

    @Test
    void wrongWaySteeringIsFirst() {
        Job wrong = withRack(demo, r -> r.withTravelPerLeftTurn(-r.travelPerLeftTurn()));
        Finding first = Analysis.of(wrong).findings().getFirst();
        assertThat(first.fault()).isEqualTo(Fault.WRONG_WAY);
        assertThat(first.severity()).isEqualTo(Severity.STOP);
        assertThat(find(cured(wrong, Fault.WRONG_WAY), Fault.WRONG_WAY)).isEmpty();
    }

    @Test
    void raisedRackIsLoweredByRemedy() {
        Job raised = withRack(demo, r -> r.withCentre(r.centre().plus(new Vector(0, 0, 22))));
        Finding f = find(raised, Fault.BUMP_STEER).orElseThrow();
        double was = Analysis.of(raised).headlines().get(Headline.BUMP_STEER).orElseThrow();
        double is = Analysis.of(cured(raised, Fault.BUMP_STEER))
                .headlines()
                .get(Headline.BUMP_STEER)
                .orElseThrow();
        assertThat(was).isGreaterThan(0.5);
        assertThat(is).isLessThan(was / 4);
        assertThat(f.remedies().getFirst().action().text(LengthUnit.MM)).startsWith("Lower the rack 2");
    }

    @Test
    void shortArmsLongTravelAndTightRodEndsAreReported() {
        PointId arm = new PointId.OnCorner(Side.LEFT, CornerPoint.TIE_ROD_POINT);
        Job shortArms = JobPoints.moved(demo, arm, JobPoints.position(demo, arm).plus(new Vector(78, 0, 0)));
        assertThat(find(shortArms, Fault.LOCK_NOT_REACHED)).isPresent();
        Job tall = demo.withVehicle(demo.vehicle().withBump(450));
        assertThat(find(tall, Fault.TRAVEL_NOT_REACHED).orElseThrow().why().text(LengthUnit.MM))
                .contains("can't bring the wheel that far");
        Job tight = demo.editAxle(a ->
                a.withCorner(Side.LEFT, a.left().withRodEnds(a.left().rodEnds().withAllowedDeg(5))));
        assertThat(find(tight, Fault.ROD_END_OVER_LIMIT).orElseThrow().element())
                .isEqualTo(new Element.TieRods());
    }

    @Test
    void columnsWithoutRoomOrSupportAreReported() {
        Column c = demo.column().orElseThrow();
        PointId lower = new PointId.JointCentre(1);
        Job cramped =
                JobPoints.moved(demo, lower, c.joints().getFirst().centre().plus(new Vector(15, -5, -5)));
        assertThat(find(cramped, Fault.NO_ROOM_FOR_SHAFT)).isPresent();
        Shaft extra = Shaft.round(Id.Kind.SHAFT.number(9), "Extra shaft", 19, 0, true);
        Job three = demo.withColumn(c.withTrain(
                List.of(c.shafts().get(0), c.shafts().get(1), extra, c.shafts().get(2)),
                List.of(
                        c.joints().get(0),
                        c.joints()
                                .get(0)
                                .withId(Id.Kind.JOINT.number(9))
                                .withCentre(c.joints()
                                        .get(0)
                                        .centre()
                                        .midwayTo(c.joints().get(1).centre())
                                        .plus(new Vector(0, 30, 20))),
                        c.joints().get(1)),
                List.of()));
        assertThat(find(three, Fault.SHAFT_FLOATS).orElseThrow().what().text(LengthUnit.MM))
                .contains("1 bearing");
        assertThat(Analysis.of(three).findings().stream()
                        .filter(f -> f.fault() == Fault.RIPPLE)
                        .findFirst()
                        .orElseThrow()
                        .remedies())
                .hasSizeGreaterThanOrEqualTo(2);
        Job locked = JobPoints.moved(
                demo, new PointId.GearInput(), c.joints().get(1).centre().plus(new Vector(-60, 200, 90)));
        assertThat(find(locked, Fault.JOINT_LOCKED)).isPresent();
        assertThat(Analysis.of(locked).steer()).isEmpty();
    }
}
