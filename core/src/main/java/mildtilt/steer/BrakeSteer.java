package mildtilt.steer;

import java.util.Optional;
import mildtilt.linkage.AxleSolver;
import mildtilt.linkage.SteeredAxle;
import mildtilt.suspension.KnucklePose;

/**
 * What the brakes do to the wheels of an axle that winds up on its springs: its top goes forward, what is bolted to the
 * knuckles goes with it, and the drag link holds on.
 */
public final class BrakeSteer {

    /** Wound up this far either way, degrees; the figure is for one degree. */
    private static final double STEP = 0.5;

    private BrakeSteer() {}

    /**
     * Degrees both wheels steer on average, + to the left, for a degree that the brakes turn the axle, nose down; the
     * steering wheel held, at ride height. Empty where the axle does not wind up, or the gear goes with it.
     */
    public static Optional<Double> perDegree(SteeredAxle axle) {
        if (axle.gearOnAxle()) {
            return Optional.empty();
        }
        Optional<Double> down = meanDeg(axle, -STEP);
        Optional<Double> up = meanDeg(axle, STEP);
        return down.isPresent() && up.isPresent()
                ? Optional.of((down.get() - up.get()) / (2 * STEP))
                : Optional.empty();
    }

    /** More than this the drag link's end is not moved, mm. */
    private static final double FAR = 150;

    /**
     * How far up the drag link's end on the axle would have to go for the brakes to steer so much, whole mm; empty
     * where there is no such place within reach.
     *
     * @param deg wanted of {@link #perDegree}
     */
    public static Optional<Double> drivenEndUp(SteeredAxle axle, double deg) {
        double up = 0;
        double step = 5;
        for (int i = 0; i < 5; i++) {
            Optional<Double> here = perDegree(axle.withDrivenEndRaised(up));
            Optional<Double> there = perDegree(axle.withDrivenEndRaised(up + step));
            if (here.isEmpty() || there.isEmpty() || there.get().equals(here.get())) {
                return Optional.empty();
            }
            up -= (here.get() - deg) * step / (there.get() - here.get());
            if (!(Math.abs(up) <= FAR)) {
                return Optional.empty();
            }
        }
        return Optional.of(Math.rint(up)).filter(whole -> whole != 0);
    }

    private static Optional<Double> meanDeg(SteeredAxle axle, double noseUpDeg) {
        return AxleSolver.woundUp(axle, Math.toRadians(noseUpDeg))
                .map(s -> s.pose(0, 0, 0))
                .flatMap(at -> at.left() instanceof KnucklePose l && at.right() instanceof KnucklePose r
                        ? Optional.of((l.steerDeg() + r.steerDeg()) / 2)
                        : Optional.empty());
    }
}
