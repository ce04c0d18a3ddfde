package mildtilt.shaftload;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import mildtilt.column.Column;
import mildtilt.column.ColumnTrain;
import mildtilt.column.JointKind;
import mildtilt.column.Shaft;
import mildtilt.column.ShaftProfile;
import mildtilt.column.TestColumns;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

/** What shafts carry, against the statics of the crosses themselves. */
class ShaftLoadTest {

    private static ShaftLoad.All load(Column c, double pull) {
        return ShaftLoad.of(new ColumnTrain(c), pull).orElseThrow();
    }

    @Test
    void straightBarMatchesHandFigures() {
        Column c = TestColumns.straight(1, 400)
                .editShaft(0, s -> s.withDiameter(19))
                .editShaft(1, s -> s.withDiameter(22).withBore(16));
        ShaftLoad.All all = load(c, 600);
        assertThat(all.wheelTorque()).isEqualTo(108_000);
        ShaftLoad bar = all.shafts().getFirst();
        assertThat(bar.torque()).isCloseTo(108_000, within(1e-6));
        assertThat(bar.bending()).isCloseTo(0, within(1e-6));
        assertThat(bar.stressMpa())
                .isCloseTo(Math.sqrt(3) * 16 * 108_000 / (Math.PI * 6859), within(1e-6))
                .isCloseTo(139, within(0.5));
        assertThat(bar.margin()).isCloseTo(235 / bar.stressMpa(), within(1e-12));
        assertThat(bar.twistDeg())
                .isCloseTo(Math.toDegrees(108_000 * 400 / (80_000 * Math.PI / 32 * Math.pow(19, 4))), within(1e-9));
        double polar = Math.PI / 32 * (Math.pow(22, 4) - Math.pow(16, 4));
        assertThat(all.shafts().get(1).stressMpa()).isCloseTo(Math.sqrt(3) * 108_000 * 11 / polar, within(1e-6));
        assertThat(all.twistDeg())
                .isCloseTo(
                        all.shafts().stream().mapToDouble(ShaftLoad::twistDeg).sum(), within(1e-12));
    }

    /**
     * Round a whole turn: a cross passes a moment square to both its pins only. Its part along each shaft is that
     * shaft's
     * torque, the rest bends the shaft.
     */
    @RepeatedTest(8)
    void theCrossesOfATurningTrainLoadTheShaftsNoMoreAndAsMuch(RepetitionInfo rep) {
        int joints = 1 + rep.getCurrentRepetition() % 3;
        Column c = TestColumns.random(new Random(70 + rep.getCurrentRepetition()), joints);
        ColumnTrain train = new ColumnTrain(c);
        double[] most = new double[joints + 1];
        double[] bendTowardGear = new double[joints + 1];
        double[] bendTowardWheel = new double[joints + 1];
        double[] unitDriving = new double[joints];
        for (int step = 0; step < 3600; step++) {
            List<ColumnTrain.Pins> pins = train.pinsAt(Math.PI * step / 3600);
            double torque = 100_000;
            most[0] = torque;
            for (int j = 0; j < joints; j++) {
                Vector n = pins.get(j)
                        .wheelSide()
                        .cross(pins.get(j).gearSide().vector())
                        .direction()
                        .vector();
                Vector moment = n.times(torque / n.dot(c.axis(j).vector()));
                bendTowardGear[j] = Math.max(
                        bendTowardGear[j], moment.minus(c.axis(j).times(torque)).norm());
                unitDriving[j] = Math.max(
                        unitDriving[j], moment.minus(c.axis(j).times(torque)).norm() / torque);
                torque = c.axis(j + 1).dot(moment);
                bendTowardWheel[j + 1] = Math.max(
                        bendTowardWheel[j + 1],
                        moment.minus(c.axis(j + 1).times(torque)).norm());
                most[j + 1] = Math.max(most[j + 1], torque);
            }
        }
        ShaftLoad.All all = load(c, 100_000 / 180.0);
        for (int s = 0; s <= joints; s++) {
            ShaftLoad l = all.shafts().get(s);
            assertThat(l.torque()).isCloseTo(most[s], within(most[s] * 1e-4));
            double bent = Math.max(bendTowardGear[s], bendTowardWheel[s]);
            // Taken on the safe side where torque and bending peak apart, never below what the crosses do.
            assertThat(l.bending()).isGreaterThanOrEqualTo(bent * (1 - 1e-4));
            if (joints == 1) {
                assertThat(l.bending()).isCloseTo(bent, within(bent * 1e-4));
            }
        }
        for (int j = 0; j < joints; j++) {
            assertThat(unitDriving[j]).isCloseTo(Math.tan(Math.toRadians(train.jointAngleDeg(j))), within(1e-3));
        }
    }

    @Test
    void endsAreWeakerAndDoubleJointHalvesBending() {
        Column c = TestColumns.through(
                List.of(new Point(0, 0, 0), new Point(400, 0, 0), new Point(700, 0, -173.2)), new double[0]);
        ShaftLoad plain = load(c, 500).shafts().getFirst();
        Column splined =
                c.editShaft(0, s -> s.withEnds(Optional.empty(), Optional.of(new ShaftProfile.Splined(16, 36))));
        ShaftLoad end = load(splined, 500).shafts().getFirst();
        assertThat(end.stressMpa()).isGreaterThan(plain.stressMpa());
        assertThat(end.weakest()).isEqualTo("at its gear end");
        double over = plain.torque() * Math.tan(Math.toRadians(30));
        assertThat(plain.bending()).isCloseTo(over, within(over * 1e-3));
        assertThat(load(c.editJoint(0, j -> j.withKind(new JointKind.Double(true))), 500)
                        .shafts()
                        .getFirst()
                        .bending())
                .isCloseTo(plain.torque() * Math.tan(Math.toRadians(15)), within(over * 1e-3));
        // The roots of a stub-tooth spline, the flats of a double-D, what a keyway leaves.
        assertThat(new ShaftProfile.Splined(19, 36).roundNoStronger()).isBetween(17.5, 18.5);
        assertThat(new ShaftProfile.DoubleD(25, 19).roundNoStronger()).isEqualTo(19);
        assertThat(new ShaftProfile.Keyed(20, 6).roundNoStronger()).isEqualTo(14);
        // A locked joint passes nothing that could be told.
        Column locked = TestColumns.through(
                List.of(new Point(0, 0, 0), new Point(100, 0, 0), new Point(100, 80, 0)), new double[0]);
        assertThat(ShaftLoad.of(new ColumnTrain(locked), 500)).isEmpty();
        Shaft thin = Shaft.round(Id.Kind.SHAFT.first(), "thin", 20, 0, true).withBore(19.9);
        assertThat(load(c.withShaft(0, thin.withEnds(Optional.empty(), Optional.of(new ShaftProfile.Round(19)))), 500)
                        .shafts()
                        .getFirst()
                        .margin())
                .isLessThan(1e-3);
    }

    @Test
    void jointMarginIsRatedOverAppliedTorque() {
        Column c = TestColumns.straight(1, 300).editJoint(0, j -> j.withTorqueNm(Optional.of(162.0)));
        assertThat(load(c, 600).joints().getFirst().margin().orElseThrow()).isCloseTo(1.5, within(1e-9));
        assertThat(load(TestColumns.straight(1, 300), 600).joints().getFirst().margin())
                .isEmpty();
    }
}
