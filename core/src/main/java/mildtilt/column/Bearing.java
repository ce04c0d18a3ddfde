package mildtilt.column;

import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.id.Id;
import mildtilt.withers.Withers;

/**
 * A bearing that holds a shaft.
 *
 * @param id a bearing's of its column
 * @param shaft which shaft, 0 the one at the wheel
 * @param along from the shaft's wheel-end centre (hub or joint) to the bearing's middle, mm
 * @param bore mm
 * @param offAcross how far its middle was measured to the left of the shaft's line, mm; 0 as planned
 * @param offUp how far its middle was measured above the shaft's line, square to it, mm; 0 as planned
 * @param typical whether its sizes are still typical ones that nobody has measured on the part itself
 */
@Withers
public record Bearing(
        Id id,
        String name,
        Kind kind,
        Mount mount,
        int shaft,
        double along,
        double bore,
        double offAcross,
        double offUp,
        boolean typical)
        implements BearingBuilder.With {

    /** What a bearing is, and how far out of line it lets a shaft stand, degrees. */
    public enum Kind {
        ROD_END("rod end", 12),
        FLANGE("flange bearing", 3),
        PILLOW_BLOCK("pillow block", 3),
        IN_TUBE("bearing in a tube housing", 0.2);

        private final String label;
        private final double selfAlignDeg;

        Kind(String label, double selfAlignDeg) {
            this.label = label;
            this.selfAlignDeg = selfAlignDeg;
        }

        public String label() {
            return label;
        }

        public double selfAlignDeg() {
            return selfAlignDeg;
        }
    }

    /** What it is fixed to. */
    public enum Mount {
        FRAME("frame"),
        BULKHEAD("bulkhead"),
        /** What it holds goes with the axle, as the gear there does. */
        AXLE("axle");

        private final String label;

        Mount(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** @throws ImpossibleGeometryException naming the size that can't be */
    public Bearing {
        if (shaft < 0 || !(along >= 0) || !Double.isFinite(along)) {
            throw new ImpossibleGeometryException("\"" + name + "\" must sit on a shaft, at or past its wheel end.");
        }
        if (!(bore > 0)) {
            throw new ImpossibleGeometryException("The bore of \"" + name + "\" must be above 0.");
        }
        if (!Double.isFinite(offAcross) || !Double.isFinite(offUp)) {
            throw new ImpossibleGeometryException("How far \"" + name + "\" is out of line is not a number.");
        }
    }

    public static Bearing planned(Id id, String name, Kind kind, Mount mount, int shaft, double along, double bore) {
        return new Bearing(id, name, kind, mount, shaft, along, bore, 0, 0, false);
    }

    public Bearing on(int s, double mm) {
        return withShaft(s).withAlong(mm);
    }

    public Bearing withOff(double across, double up) {
        return withOffAcross(across).withOffUp(up);
    }

    /** How far its middle is out of line, mm. */
    public double off() {
        return Math.hypot(offAcross, offUp);
    }
}
