package mildtilt.steer.range;

import java.util.Arrays;
import mildtilt.linkage.AxleConfiguration;
import mildtilt.linkage.AxleSolver;
import mildtilt.linkage.RodEnd;
import mildtilt.linkage.RodEndAngles;

/**
 * Every rod end's tilt, its angle to its arm and how far it is off centre in one pose, degrees; NaN where there is
 * none. For inner loops.
 */
public final class RodEndTilts implements RodEndAngles.Visitor {

    final double[] tilt = new double[RodEnd.values().length];
    final double[] arm = new double[RodEnd.values().length];
    final double[] offCentre = new double[RodEnd.values().length];

    private RodEndTilts() {
        Arrays.fill(tilt, Double.NaN);
        Arrays.fill(arm, Double.NaN);
        Arrays.fill(offCentre, Double.NaN);
    }

    public static RodEndTilts of(AxleSolver axle, AxleConfiguration stance) {
        RodEndTilts r = new RodEndTilts();
        axle.atRodEnds(stance, r);
        return r;
    }

    @Override
    public void tilt(RodEnd end, double deg) {
        tilt[end.ordinal()] = deg;
    }

    @Override
    public void arm(RodEnd end, double deg) {
        arm[end.ordinal()] = deg;
    }

    @Override
    public void offCentre(RodEnd end, double deg) {
        offCentre[end.ordinal()] = deg;
    }
}
