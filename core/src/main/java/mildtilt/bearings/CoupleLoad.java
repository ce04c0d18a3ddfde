package mildtilt.bearings;

import java.util.ArrayList;
import java.util.List;
import mildtilt.column.Column;
import mildtilt.column.JointKind;

/**
 * What a bearing carries under a heavy pull because a joint stands at an angle. A cross passes no moment about its own
 * pins, so a
 * joint at angle b that passes the torque T bends the shaft that drives it with up to {@code T tan b} and, a quarter
 * turn on, the
 * one that is driven with up to {@code T sin b}; a double joint does both at once with {@code T tan(b/2)}. The shafts
 * are beams over
 * all that holds them ({@link ShaftBeams}); what the joints do is added up as if it came together, which is on the safe
 * side.
 *
 * @param bearing index among the column's bearings; −1 for the tube's upper bearing, −2 for its lower one
 * @param newtons across the shaft
 */
public record CoupleLoad(int bearing, double newtons) {

    /** Of the tube's bearings and all others. @param torque of each shaft, N·mm. @param angles of the joints, rad */
    public static List<CoupleLoad> of(Column c, double[] torque, double[] angles) {
        ShaftBeams beams = new ShaftBeams(c, -1);
        double[] sum = new double[beams.supports().size()];
        for (int j = 0; j < angles.length; j++) {
            double drives =
                    switch (c.joints().get(j).kind()) {
                        case JointKind.Single _ -> torque[j] * Math.tan(angles[j]);
                        case JointKind.Double _ -> torque[j] * Math.tan(angles[j] / 2);
                        case JointKind.Coupling _ -> 0;
                    };
            double driven =
                    switch (c.joints().get(j).kind()) {
                        case JointKind.Single _ -> torque[j] * Math.sin(angles[j]);
                        case JointKind.Double _ -> torque[j] * Math.tan(angles[j] / 2);
                        case JointKind.Coupling _ -> 0;
                    };
            double[] before = most(beams, j, true, drives);
            double[] after = most(beams, j + 1, false, driven);
            boolean together = c.joints().get(j).kind() instanceof JointKind.Double;
            for (int s = 0; s < sum.length; s++) {
                sum[s] += together ? before[s] + after[s] : Math.max(before[s], after[s]);
            }
        }
        List<CoupleLoad> all = new ArrayList<>();
        for (int s = 0; s < sum.length; s++) {
            all.add(new CoupleLoad(beams.supports().get(s).bearing(), sum[s]));
        }
        return List.copyOf(all);
    }

    /** Of every support the most of a couple in either plane. */
    private static double[] most(ShaftBeams beams, int shaft, boolean gearEnd, double couple) {
        double[] most = new double[beams.supports().size()];
        if (couple == 0) {
            return most;
        }
        for (int plane = 0; plane < 2; plane++) {
            ShaftBeams.Bent bent = beams.coupled(shaft, gearEnd, plane, couple);
            for (int s = 0; s < most.length; s++) {
                most[s] = Math.max(most[s], Math.hypot(bent.pressing(s)[0], bent.pressing(s)[1]));
            }
        }
        return most;
    }

    /** What it is called. */
    public String label(Column c) {
        return bearing >= 0
                ? c.bearings().get(bearing).name()
                : bearing == ShaftBeams.TUBE_UPPER ? "column tube, upper bearing" : "column tube, lower bearing";
    }
}
