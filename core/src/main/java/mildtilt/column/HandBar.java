package mildtilt.column;

import java.util.ArrayList;
import java.util.List;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Vector;
import mildtilt.withers.Withers;

/**
 * What the hands hold where it is no wheel: grips fixed to the first shaft.
 *
 * @param apart between the middles of both grips, mm; counts for nothing on a tiller, which has one grip
 * @param back how far the grips lie behind the hub, mm; below 0 ahead of it
 * @param up how far they lie above the hub, mm
 * @param swingEachWayDeg as far as hands can follow it from straight ahead, degrees
 */
@Withers
public record HandBar(Kind kind, double apart, double back, double up, double swingEachWayDeg)
        implements HandBarBuilder.With {

    /** What it is. */
    public enum Kind {
        HANDLEBAR("handlebar", "grips", new double[] {720, 160, 60}, 60),
        LEVERS("two levers", "grips", new double[] {560, 300, 40}, 45),
        TILLER("tiller", "grip", new double[] {0, 480, 20}, 60);

        private final String label;
        private final String held;
        private final double[] usual;
        private final double swing;

        Kind(String label, String held, double[] usual, double swing) {
            this.label = label;
            this.held = held;
            this.usual = usual;
            this.swing = swing;
        }

        /** What the trade calls it. */
        public String label() {
            return label;
        }

        /** What the hands hold of it. */
        public String held() {
            return held;
        }

        /** One of usual sizes. */
        public HandBar usual() {
            return new HandBar(this, usual[0], usual[1], usual[2], swing);
        }
    }

    /** @throws ImpossibleGeometryException if a size can't be */
    public HandBar {
        if (!(apart >= 0) || !Double.isFinite(apart + back + up)) {
            throw new ImpossibleGeometryException("The grips can't be less than 0 apart.");
        }
        if (!(swingEachWayDeg > 0 && swingEachWayDeg <= 180)) {
            throw new ImpossibleGeometryException("How far hands can follow the " + kind.label
                    + " must be above 0 and at most 180 degrees each way.");
        }
    }

    /** From the hub to the middle of each grip, straight ahead, the left one first, mm. */
    List<Vector> grips() {
        return kind == Kind.TILLER
                ? List.of(new Vector(-back, 0, up))
                : List.of(new Vector(-back, apart / 2, up), new Vector(-back, -apart / 2, up));
    }

    /**
     * The same with the bar turned.
     *
     * @param design along the first shaft toward the gear, as designed
     * @param now the same as the driver has set it
     * @param leftDeg turned to the left from straight ahead, degrees
     */
    List<Vector> gripsTurned(Direction design, Direction now, double leftDeg) {
        List<Vector> all = new ArrayList<>();
        Vector about = design.cross(now.vector());
        for (Vector v : grips()) {
            Vector set = about.norm() < 1e-12 ? v : about.direction().turn(v, design.angleTo(now));
            all.add(now.turn(set, -Math.toRadians(leftDeg)));
        }
        return all;
    }
}
