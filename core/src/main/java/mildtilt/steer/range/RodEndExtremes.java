package mildtilt.steer.range;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import mildtilt.linkage.RodEnd;
import mildtilt.steer.range.TravelMap.At;
import mildtilt.steer.range.TravelMap.RodToArm;
import mildtilt.steer.range.TravelMap.Tilt;

/** The extremes of many readings, and where they were. */
public final class RodEndExtremes {

    private static final RodEnd[] ENDS = RodEnd.values();

    private final double[] smallest = new double[ENDS.length];
    private final double[] largest = new double[ENDS.length];
    private final double[] closest = new double[ENDS.length];
    private final At[] closestAt = new At[ENDS.length];
    private final double[] offCentre = new double[ENDS.length];
    private final double[] tilt = new double[ENDS.length];
    private final At[] tiltAt = new At[ENDS.length];

    public RodEndExtremes() {
        Arrays.fill(offCentre, Double.NaN);
    }

    public void add(RodEndTilts r, At at) {
        for (int i = 0; i < ENDS.length; i++) {
            if (!Double.isNaN(r.tilt[i]) && (tiltAt[i] == null || r.tilt[i] > tilt[i])) {
                tilt[i] = r.tilt[i];
                tiltAt[i] = at;
            }
            if (!Double.isNaN(r.arm[i])) {
                arm(i, r.arm[i], at);
            }
            if (!Double.isNaN(r.offCentre[i]) && !(r.offCentre[i] >= offCentre[i])) {
                offCentre[i] = r.offCentre[i];
            }
        }
    }

    private void arm(int i, double deg, At at) {
        double margin = Math.min(deg, 180 - deg);
        boolean first = closestAt[i] == null;
        smallest[i] = first ? deg : Math.min(smallest[i], deg);
        largest[i] = first ? deg : Math.max(largest[i], deg);
        if (first || margin < closest[i]) {
            closest[i] = margin;
            closestAt[i] = at;
        }
    }

    /** The nearest that any rod comes to having no lever, degrees; 90 without a rod. */
    public double leastOffCentre() {
        return Arrays.stream(offCentre).filter(d -> !Double.isNaN(d)).min().orElse(90);
    }

    Map<RodEnd, RodToArm> arms() {
        Map<RodEnd, RodToArm> arms = new EnumMap<>(RodEnd.class);
        for (int i = 0; i < ENDS.length; i++) {
            if (closestAt[i] != null) {
                arms.put(ENDS[i], new RodToArm(smallest[i], largest[i], closest[i], closestAt[i]));
            }
        }
        return arms;
    }

    public Map<RodEnd, Tilt> tilts(LimitGauge gauge) {
        Map<RodEnd, Tilt> tilts = new EnumMap<>(RodEnd.class);
        for (int i = 0; i < ENDS.length; i++) {
            if (tiltAt[i] != null) {
                double allowed = gauge.allowedTiltDeg(ENDS[i]);
                tilts.put(
                        ENDS[i],
                        new Tilt(
                                tilt[i],
                                tiltAt[i],
                                Double.isFinite(allowed) ? Optional.of(allowed) : Optional.empty()));
            }
        }
        return tilts;
    }
}
