package mildtilt.photograph;

import java.util.List;
import mildtilt.geometry.Frame;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.withers.Withers;

/**
 * A rectangle of known size in a photograph: a sheet of paper or board, a tile, a door. It says where the camera stood
 * and how large things in its plane are.
 *
 * @param corners where they are seen: lower left, lower right, upper right, upper left, looking at it
 * @param wide along its lower edge, mm
 * @param high mm
 * @param spread how well both are known, ± mm
 * @param stands where it was on the vehicle
 */
@Withers
public record SeenRectangle(List<Lens.Pixel> corners, double wide, double high, double spread, Standing stands)
        implements SeenRectangleBuilder.With {

    /** How well a corner is pressed on a picture zoomed in, ± px each way. */
    public static final double CORNER_SPREAD = 1;

    private static final int CORNERS = 4;
    private static final double LEAST_SIDE = 20;
    private static final double MOST_SIDE = 20_000;

    /** @throws ImpossibleGeometryException if there are not four corners that go round it as they should */
    public SeenRectangle {
        corners = List.copyOf(corners);
        if (corners.size() != CORNERS) {
            throw new ImpossibleGeometryException("A rectangle has four corners, not " + corners.size() + ".");
        }
        if (!goesRound(corners)) {
            throw new ImpossibleGeometryException("The corners of a rectangle go round it: lower left, lower right, "
                    + "upper right, upper left, looking at it.");
        }
        if (!(wide >= LEAST_SIDE && wide <= MOST_SIDE && high >= LEAST_SIDE && high <= MOST_SIDE)) {
            throw new ImpossibleGeometryException(
                    "A rectangle to measure by has sides from " + (int) LEAST_SIDE + " to " + (int) MOST_SIDE + " mm.");
        }
        if (!(spread > 0 && spread <= 100)) {
            throw new ImpossibleGeometryException("The ± of a rectangle's sides must be above 0, and 100 mm at most.");
        }
    }

    /** From which side it is looked at. */
    public enum SeenFrom {
        LEFT("upright, from the left"),
        RIGHT("upright, from the right"),
        FRONT("upright, from ahead"),
        BACK("upright, from behind"),
        ABOVE("flat, front at the top");

        private final String label;

        SeenFrom(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }

        /** Toward who looks. */
        public Vector toward() {
            return switch (this) {
                case LEFT -> Vector.Y;
                case RIGHT -> Vector.Y.times(-1);
                case FRONT -> Vector.X;
                case BACK -> Vector.X.times(-1);
                case ABOVE -> Vector.Z;
            };
        }

        private Vector up() {
            return this == ABOVE ? Vector.X : Vector.Z;
        }
    }

    /**
     * Where it was.
     *
     * @param at its lower left corner
     * @param turnedDeg in its plane, anticlockwise as it is looked at; 0 with its lower edge level, or square across
     * @param spread of each coordinate, ± mm
     * @param spreadDeg of each way it could be turned, ± degrees
     */
    @Withers
    public record Standing(SeenFrom from, Point at, double turnedDeg, double spread, double spreadDeg)
            implements SeenRectangleStandingBuilder.With {

        /** Set by a spirit level and a tape. */
        public static final Standing BY_LEVEL = new Standing(SeenFrom.LEFT, Point.ORIGIN, 0, 2, 0.5);

        /** How well a place is known that nobody has measured, ± mm. */
        private static final double NOT_MEASURED = 1000;

        /** Upright or flat, and nothing said of where. */
        public static Standing somewhere(SeenFrom from) {
            return BY_LEVEL.withFrom(from).withSpread(NOT_MEASURED);
        }

        /** Whether it is said where it was. */
        public boolean placed() {
            return spread < NOT_MEASURED;
        }

        /** @throws ImpossibleGeometryException if a ± is not above 0 */
        public Standing {
            if (!(spread > 0 && spread <= NOT_MEASURED)
                    || !(spreadDeg > 0 && spreadDeg <= 90)
                    || !(Math.abs(turnedDeg) <= 360)) {
                throw new ImpossibleGeometryException("How well a rectangle's place is known must be above 0, and "
                        + "1 m and 90 degrees at most; it is turned by 360 degrees at most.");
            }
        }

        /** Its own frame: along its lower edge, up its side, toward who looks. */
        public Frame frame() {
            Vector up = from.up();
            Vector toward = from.toward();
            Vector right = up.cross(toward);
            double t = Math.toRadians(turnedDeg);
            return new Frame(
                    at,
                    right.times(Math.cos(t)).plus(up.times(Math.sin(t))),
                    up.times(Math.cos(t)).minus(right.times(Math.sin(t))),
                    toward);
        }
    }

    /** A corner in the rectangle's own frame. @param corner from 0, in their order */
    public static Point corner(int corner, double wide, double high) {
        return new Point(corner == 1 || corner == 2 ? wide : 0, corner >= 2 ? high : 0, 0);
    }

    /** Whether four places go round a shape without a dent, anticlockwise as seen: their second figure runs down. */
    private static boolean goesRound(List<Lens.Pixel> corners) {
        for (int i = 0; i < CORNERS; i++) {
            Lens.Pixel a = corners.get(i);
            Lens.Pixel b = corners.get((i + 1) % CORNERS);
            Lens.Pixel c = corners.get((i + 2) % CORNERS);
            double turn = (b.across() - a.across()) * (c.down() - b.down())
                    - (b.down() - a.down()) * (c.across() - b.across());
            if (!(turn < 0)) {
                return false;
            }
        }
        return true;
    }
}
