package mildtilt.app.plot;

import mildtilt.app.workbench.Workbench;
import mildtilt.curve.Curve;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringInput;

/** Where the current position is on a curve, and how to go to a place on it. */
final class CurvePosition {

    private CurvePosition() {}

    static double at(Curve curve, Workbench bench) {
        SteeringInput hands = bench.steeringInput();
        return switch (curve.acrossWhat()) {
            case INNER ->
                bench.pose()
                        .flatMap(AxlePose::assembled)
                        .map(a -> Math.max(
                                0, Math.max(a.left().steerDeg(), -a.right().steerDeg())))
                        .orElse(0.0);
            case TRAVEL, ROLL -> hands.travelLeft();
            case STEER -> hands.steeringWheelDeg();
            case COLUMN_TURN -> hands.steeringWheelDeg() - 360 * Math.rint(hands.steeringWheelDeg() / 360);
        };
    }

    static void take(Curve curve, Workbench bench, double value) {
        SteeringInput h = bench.steeringInput();
        bench.steerTo(
                switch (curve.acrossWhat()) {
                    case INNER ->
                        bench.analysisProperty()
                                .get()
                                .flatMap(w -> w.now().steer())
                                .flatMap(s -> s.rows().stream()
                                        .filter(r -> r.steeringWheelDeg() >= 0
                                                && r.turn()
                                                        .map(x -> x.leftDeg() >= value)
                                                        .orElse(false))
                                        .findFirst())
                                .map(r -> new SteeringInput(r.steeringWheelDeg(), h.travelLeft(), h.travelRight()))
                                .orElse(h);
                    case STEER, COLUMN_TURN -> new SteeringInput(value, h.travelLeft(), h.travelRight());
                    case TRAVEL -> new SteeringInput(h.steeringWheelDeg(), value, value);
                    case ROLL -> new SteeringInput(h.steeringWheelDeg(), value, -value);
                });
    }
}
