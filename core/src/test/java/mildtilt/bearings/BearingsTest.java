package mildtilt.bearings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import mildtilt.column.Bearing;
import mildtilt.column.Bearing.Kind;
import mildtilt.column.Bearing.Mount;
import mildtilt.column.Column;
import mildtilt.column.ColumnTube;
import mildtilt.column.JointKind;
import mildtilt.column.Shaft;
import mildtilt.column.Slide;
import mildtilt.column.TestColumns;
import mildtilt.column.YokeDimensions;
import mildtilt.columnrange.TrainEdits;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.job.Plan;
import mildtilt.job.Targets;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What holds the shafts: counted, placed, and measured out of line. */
class BearingsTest {

    private static Column inTube(int joints, int seed) {
        return TestColumns.inTube(TestColumns.random(new Random(seed), joints));
    }

    private static Column with(Column c, int shaft, double along) {
        return c.withBearings(Stream.concat(
                        c.bearings().stream(),
                        Stream.of(Bearing.planned(
                                Id.Kind.BEARING.next(c.partIds()),
                                "b" + c.bearings().size(),
                                Kind.ROD_END,
                                Mount.FRAME,
                                shaft,
                                along,
                                20)))
                .toList());
    }

    /** Between a column in its tube and the gear, every joint past two lets the train fold: each wants a bearing. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3, 4, 5, 6, 7, 8})
    void eachJointBeyondTwoNeedsABearing(int joints) {
        Column c = inTube(joints, 3);
        Supports s = Supports.of(c);
        assertThat(s.missing()).isEqualTo(Math.max(0, joints - 2));
        assertThat(s.allHeld()).isEqualTo(joints <= 2);
        // The bearings offered, taken one after another, leave nothing afloat.
        int put = 0;
        while (!Supports.of(c).allHeld()) {
            List<BearingPlace> places = BearingPlace.of(c);
            assertThat(places).isNotEmpty().isSortedAccordingTo((a, b) -> Double.compare(a.gain(), b.gain()));
            int before = Supports.of(c).missing();
            for (BearingPlace p : places) {
                assertThat(Supports.of(p.putOn(c)).missing()).as(p.toString()).isLessThan(before);
                assertThat(p.gain()).isGreaterThan(1);
            }
            c = places.getFirst().putOn(c);
            put++;
        }
        assertThat(put).isEqualTo(Math.max(0, joints - 2));
    }

    @Test
    void unsupportedShaftsAreFound() {
        Column bare = TestColumns.random(new Random(1), 2);
        // Nothing but the gear: only its own stub is held.
        assertThat(Supports.of(bare).held()).containsExactly(false, false, true);
        assertThat(Supports.of(bare).missing()).isEqualTo(2);
        // One bearing on the first shaft is not enough, two on a bare shaft are, and so is a tube.
        assertThat(Supports.of(with(bare, 0, 50)).allHeld()).isFalse();
        assertThat(Supports.of(with(with(bare, 0, 50), 0, 150)).allHeld()).isTrue();
        assertThat(Supports.of(with(with(bare, 0, 50), 0, 50)).allHeld())
                .as("two in one place")
                .isFalse();
        assertThat(Supports.of(TestColumns.inTube(bare)).allHeld()).isTrue();
        // A double joint that does not centre itself holds neither shaft; beside a held one each way it is fine.
        Column loose = TestColumns.inTube(bare).editJoint(1, j -> j.withKind(new JointKind.Double(false)));
        assertThat(Supports.of(loose).held()).containsExactly(true, false, true);
        assertThat(Supports.of(loose).missing()).isEqualTo(1);
        assertThat(Supports.of(with(loose, 1, 40)).allHeld()).isTrue();
        assertThat(Supports.of(TestColumns.inTube(bare).editJoint(1, j -> j.withKind(new JointKind.Double(true))))
                        .allHeld())
                .isTrue();
        Column one = TestColumns.inTube(TestColumns.random(new Random(2), 1));
        assertThat(Supports.of(one.editJoint(0, j -> j.withKind(new JointKind.Double(false))))
                        .steady())
                .containsExactly(true);
    }

    @Test
    void bearingIsMostEffectiveNearJoint() {
        Column c = TestColumns.inTube(
                TestColumns.straight(3, 400).editJoint(0, j -> j.withFits(j.wheelSide(), new YokeDimensions(40, 26))));
        for (BearingPlace p : BearingPlace.of(c)) {
            // The shaft turns about its other end: so much more the joint moves than the bearing.
            double fromOther = 400 - p.toJoint();
            assertThat(p.gain()).isCloseTo(400 / fromOther, within(1e-9));
            assertThat(p.toJoint()).isGreaterThanOrEqualTo(20);
        }
        // A shaft too short for a housing is not offered.
        assertThat(BearingPlace.of(TestColumns.inTube(TestColumns.straight(3, 35))))
                .isEmpty();
    }

    @RepeatedTest(12)
    void twoMeasuredAxesPassNearestWhereNoOtherPointsAreNearer(RepetitionInfo rep) {
        Random r = new Random(rep.getCurrentRepetition());
        Column c = TestColumns.random(r, 1);
        Direction column = Direction.along(1, r.nextGaussian() * 0.3, -0.5 + r.nextGaussian() * 0.2);
        Direction gear = Direction.along(0.6, r.nextGaussian() * 0.3, -1 + r.nextGaussian() * 0.2);
        Column measured = c.withInstallation(c.installation().withColumnAxis(Optional.of(column)))
                .withGear(c.gear().withAxis(Optional.of(gear)));
        FixedAxes axes = FixedAxes.of(measured).orElseThrow();
        FixedAxes.Crossing x = axes.crossing().orElseThrow();
        for (int i = 0; i < 2000; i++) {
            Point p = c.hub().plus(column.times(r.nextGaussian() * 800));
            Point q = c.gearInput().plus(gear.times(r.nextGaussian() * 800));
            assertThat(p.distanceTo(q)).isGreaterThanOrEqualTo(x.miss() - 1e-9);
        }
        assertThat(x.onColumn().distanceTo(x.onGear())).isCloseTo(x.miss(), within(1e-9));
        assertThat(new Axis(c.hub(), column).distanceTo(x.onColumn())).isCloseTo(0, within(1e-9));
        assertThat(new Axis(c.gearInput(), gear).distanceTo(x.onGear())).isCloseTo(0, within(1e-9));
        // Shimmed as told, both axes go through the joint.
        FixedAxes after = FixedAxes.of(axes.shimmed(measured)).orElseThrow();
        assertThat(after.crossing().orElseThrow().miss()).isCloseTo(0, within(1e-9));
        assertThat(after.firstOff().orElseThrow()).isCloseTo(0, within(1e-9));
        assertThat(after.lastOff().orElseThrow()).isCloseTo(0, within(1e-9));
        assertThat(Math.toDegrees(column.angleTo(gear))).isCloseTo(x.angleDeg(), within(1e-9));
    }

    @Test
    void parallelAndUnmeasuredAxesAreHandled() {
        Column c = TestColumns.random(new Random(1), 1);
        assertThat(FixedAxes.of(c)).isEmpty();
        Optional<Direction> d = Optional.of(Direction.along(1, 0, -1));
        FixedAxes parallel = FixedAxes.of(c.withInstallation(c.installation().withColumnAxis(d))
                        .withGear(c.gear().withAxis(d)))
                .orElseThrow();
        assertThat(parallel.crossing()).isEmpty();
        assertThatThrownBy(() -> parallel.shimmed(c)).hasMessageContaining("do not cross");
        // With two joints each is put on its own axis.
        Column two = TestColumns.random(new Random(1), 2);
        Column bolted = two.withInstallation(two.installation().withColumnAxis(d))
                .withGear(two.gear().withAxis(Optional.of(Direction.along(1, 0.1, -2))));
        FixedAxes on = FixedAxes.of(FixedAxes.onAxes(bolted)).orElseThrow();
        assertThat(on.firstOff().orElseThrow()).isCloseTo(0, within(1e-9));
        assertThat(on.lastOff().orElseThrow()).isCloseTo(0, within(1e-9));
    }

    /** The side load against a beam bent by quadrature: deflection by the unit-load integral over its moment line. */
    @ParameterizedTest
    @ValueSource(doubles = {150, 300, 420, 620})
    void misalignedBearingSideLoadMatchesBeamTheory(double along) {
        Column c = TestColumns.straight(1, 500).withTube(Optional.of(new ColumnTube(45, 50, 450, 0)));
        c = c.withJoint(0, c.joints().getFirst().withCentre(new Point(700, 0, 900)))
                .withGearInput(new Point(800, 0, 900))
                .editJoint(0, j -> j.withKind(new JointKind.Double(false)));
        Column off = with(c, 0, along).editBearing(0, b -> b.withOff(0.6, 0.8));
        OutOfLine o = OutOfLine.of(off).getFirst();
        assertThat(o.off()).isCloseTo(1, within(1e-9));
        double a = along - 50;
        double flexibility = 0;
        int n = 20000;
        double end = Math.max(400, a);
        for (int i = 0; i < n; i++) {
            double x = end * (i + 0.5) / n;
            // Supports at 0 and 400, a unit load at a.
            double right = a / 400;
            double m =
                    a <= 400 ? (x < a ? (1 - right) * x : right * (400 - x)) : (x < 400 ? (a - 400) / 400 * x : a - x);
            flexibility += m * m * end / n;
        }
        double ei = 205_000 * Math.PI / 64 * Math.pow(20, 4);
        assertThat(o.sideLoad()).isCloseTo(ei / flexibility, within(ei / flexibility * 1e-5));
    }

    @Test
    void twoBearingsOnlyTiltShaftAndHousingToleratesLittle() {
        Column c = TestColumns.random(new Random(1), 0);
        Column two = with(with(c, 0, 20), 0, 220);
        // The gear holds the end too: three places. Without any measured off there is nothing to tell.
        assertThat(OutOfLine.of(two)).isEmpty();
        Column bare = TestColumns.straight(1, 500).editJoint(0, j -> j.withKind(new JointKind.Double(false)));
        Column leaning = with(with(bare, 0, 100), 0, 300).editBearing(1, b -> b.withOff(0, 4));
        OutOfLine o = OutOfLine.of(leaning).getFirst();
        assertThat(o.sideLoad()).isZero();
        assertThat(o.tiltDeg()).isCloseTo(Math.toDegrees(Math.atan(4 / 200.0)), within(1e-8));
        assertThat(o.pastItsAlignment(leaning)).isFalse();
        assertThat(OutOfLine.of(leaning.editBearing(0, b -> b.withKind(Kind.IN_TUBE)))
                        .getFirst()
                        .pastItsAlignment(leaning.editBearing(0, b -> b.withKind(Kind.IN_TUBE))))
                .isTrue();
    }

    /** Against the beam formula put together from the section itself. */
    @Test
    void spanFrequencyMatchesBeamFormula() {
        Shaft tube = Shaft.round(Id.Kind.SHAFT.first(), "t", 30, 0, true).withBore(24);
        double i = Math.PI / 64 * (Math.pow(30, 4) - Math.pow(24, 4));
        double kgPerMm = Math.PI / 4 * (900 - 576) * 7850e-9;
        // N mm² over kg/mm: a factor of a thousand for mm/s².
        double hertz = Math.PI / 2 * Math.sqrt(205_000 * i * 1000 / kgPerMm) / (800.0 * 800.0);
        assertThat(Span.hertz(tube, 800)).isCloseTo(hertz, within(1e-6));
        assertThat(Span.hertz(tube, Span.longestFor(tube, 55))).isCloseTo(55, within(1e-9));
        Column c = TestColumns.inTube(TestColumns.straight(2, 600));
        assertThat(Span.longest(c, 1).length()).isEqualTo(600);
        assertThat(Span.longest(with(c, 1, 250), 1).length()).isEqualTo(350);
        // Between the tube's bearings; what hangs over at the wheel counts double.
        assertThat(Span.longest(c, 0).length()).isEqualTo(480);
        assertThat(Span.longest(c.withTube(c.tube().map(t -> t.withFrom(300))), 0)
                        .length())
                .isEqualTo(600);
    }

    @Test
    void bearingMovesWithItsShaft() {
        Column c = with(inTube(3, 9), 2, 60);
        Point place = c.place(c.bearings().getFirst());
        Column split = TrainEdits.split(c, 1, c.joints().getFirst());
        assertThat(split.place(split.bearings().getFirst()).distanceTo(place)).isCloseTo(0, within(1e-9));
        assertThat(Element.trainOf(Job.of(
                        "t",
                        new Plan(
                                DemoJob.BOG_TENDER.job().vehicle(),
                                Optional.of(split),
                                Optional.empty(),
                                Targets.USUAL))))
                .contains(new Element.BearingAt(0));
        Vector along = split.axis(3).vector();
        assertThat(along.cross(place.minus(split.start(3))).norm()).isCloseTo(0, within(1e-9));
    }

    /**
     * A bar of 22 in tube bearings at 60 and 510, a bearing between them 1 mm up: 3 E I L / (a² b²), and with the next
     * one 100 mm on more than that.
     */
    @Test
    void misalignedBearingLoadMatchesContinuousBeam() {
        Column bare = TestColumns.inTube(TestColumns.straight(1, 580))
                .editShaft(0, s -> s.withDiameter(22))
                .withTube(Optional.of(new ColumnTube(45, 60, 510, 0)));
        double ei = 205_000 * Math.PI / 64 * Math.pow(22, 4);
        Column one = with(bare, 0, 300).editBearing(0, b -> b.withOff(0, 1));
        double byHand = 3 * ei * 450 / (240.0 * 240 * 210 * 210);
        assertThat(byHand).isCloseTo(1253, within(3.0));
        // The next joint is no fixed support: what hangs over the lower bearing changes nothing.
        assertThat(OutOfLine.of(one).getFirst().sideLoad()).isCloseTo(byHand, within(byHand * 0.01));
        // With the next at 400, in line: three moments at 60, 300, 400, 510 by Clapeyron's theorem.
        Column two = with(one, 0, 400);
        double[] l = {240, 100, 110};
        double a = 6 * ei * (1 / l[0] + 1 / l[1]);
        double b = -6 * ei / l[1];
        // 2 (l0 + l1) M1 + l1 M2 = a; l1 M1 + 2 (l1 + l2) M2 = b; M hogging where pushed up is below 0.
        double det = 4 * (l[0] + l[1]) * (l[1] + l[2]) - l[1] * l[1];
        double m1 = (a * 2 * (l[1] + l[2]) - b * l[1]) / det;
        double m2 = (b * 2 * (l[0] + l[1]) - a * l[1]) / det;
        double reaction = m1 / l[0] + (m1 - m2) / l[1];
        assertThat(reaction).isCloseTo(9270, within(30.0));
        assertThat(OutOfLine.of(two).getFirst().sideLoad()).isCloseTo(reaction, within(reaction * 0.01));
    }

    /**
     * A joint's couple on the shaft that drives it is held by the two bearings of its tube alone: M over their span.
     */
    @Test
    void jointCoupleIsCarriedByTubeBearings() {
        Column c = TestColumns.through(
                List.of(
                        new Point(-900, 0, 900),
                        new Point(-400, 0, 900),
                        new Point(-100, 0, 900 - 300 * Math.tan(Math.toRadians(25))),
                        new Point(200, 0, 900 - 300 * Math.tan(Math.toRadians(25)))),
                new double[] {0});
        Column held = TestColumns.inTube(c)
                .withTube(Optional.of(new ColumnTube(45, 50, 450, 0)))
                .editShaft(1, s -> s.withSlide(Optional.of(new Slide(80, 50, 30))));
        double torque = 100_000;
        double couple = torque * Math.tan(Math.toRadians(25));
        List<CoupleLoad> all =
                CoupleLoad.of(held, new double[] {torque, torque, torque}, new double[] {Math.toRadians(25), 0});
        // The driven shaft, between two joints, passes its own couple on to this one's end as a force across: sin 25
        // over its length.
        double across = torque * Math.sin(Math.toRadians(25)) / held.length(1);
        assertThat(all).hasSize(2);
        assertThat(all.get(0).newtons())
                .isCloseTo(Math.max(couple / 400, across * 50 / 400), within(couple / 400 * 1e-3));
    }

    /**
     * A frame bearing on a shaft whose lower joint goes with the frame follows; the tube's shaft, on the body, is
     * carried off it.
     */
    @Test
    void bearingOffsetEqualsShaftMovement() {
        Column c = TestColumns.inTube(TestColumns.straight(2, 500))
                .editShaft(1, s -> s.withSlide(Optional.of(new Slide(80, 50, 30))));
        Column on = with(c, 0, 250).editBearing(0, b -> b.withMount(Bearing.Mount.FRAME));
        assertThat(ForcedBearing.of(on)).as("nothing moves").isEmpty();
        Column moves = on.withInstallation(on.installation().withFrameMovement(8));
        assertThat(ForcedBearing.of(moves)).singleElement().satisfies(f -> {
            assertThat(f.off()).isCloseTo(8, within(1e-6));
            assertThat(f.byFrame()).isTrue();
        });
        assertThat(ForcedBearing.of(moves.editBearing(0, b -> b.withMount(Bearing.Mount.BULKHEAD))))
                .as("it goes with the tube")
                .isEmpty();
    }
}
