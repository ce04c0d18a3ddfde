package mildtilt.column;

import java.util.List;
import java.util.function.UnaryOperator;
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
        HANDLEBAR("handlebar", "handlebar", "grips", new double[] {720, 160, 60}, 60),
        LEVERS("two levers", "hand lever", "grips", new double[] {560, 300, 40}, 45),
        TILLER("tiller", "tiller", "grip", new double[] {0, 480, 20}, 60);

        private final String label;
        private final String part;
        private final String held;
        private final double[] usual;
        private final double swing;

        Kind(String label, String part, String held, double[] usual, double swing) {
            this.label = label;
            this.part = part;
            this.held = held;
            this.usual = usual;
            this.swing = swing;
        }

        /** What the trade calls it. */
        public String label() {
            return label;
        }

        /** One part of it, for a sentence about that. */
        public String part() {
            return part;
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

    /**
     * How it runs from the hub to each grip, straight ahead, the hub first, mm: a handlebar rises before it goes out,
     * levers go
     * out level and then rise beside the driver.
     */
    private List<List<Vector>> runs() {
        Vector none = new Vector(0, 0, 0);
        return grips().stream()
                .map(g -> switch (kind) {
                    case HANDLEBAR -> List.of(none, new Vector(0, 0, up), g);
                    case LEVERS -> List.of(none, new Vector(g.x(), g.y(), 0), g);
                    case TILLER -> List.of(none, g);
                })
                .toList();
    }

    /** From the hub to the middle of each grip, straight ahead, the left one first, mm. */
    List<Vector> grips() {
        return kind == Kind.TILLER
                ? List.of(new Vector(-back, 0, up))
                : List.of(new Vector(-back, apart / 2, up), new Vector(-back, -apart / 2, up));
    }

    /**
     * How it runs from the hub to each grip with the bar turned, the hub first, the left side before the right, mm.
     *
     * @param design along the first shaft toward the gear, as designed
     * @param now the same as the driver has set it
     * @param leftDeg turned to the left from straight ahead, degrees
     */
    List<List<Vector>> runs(Direction design, Direction now, double leftDeg) {
        Vector about = design.cross(now.vector());
        UnaryOperator<Vector> turned = v -> now.turn(
                about.norm() < 1e-12 ? v : about.direction().turn(v, design.angleTo(now)), -Math.toRadians(leftDeg));
        return runs().stream().map(run -> run.stream().map(turned).toList()).toList();
    }
}
