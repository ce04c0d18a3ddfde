package mildtilt.clearance;

import java.util.List;
import mildtilt.geometry.Point;
import mildtilt.id.NamedPart;
import mildtilt.obstacle.Shape;

/**
 * What must be taken out of a rail for something to pass with the gap it needs.
 *
 * @param obstacle place of the rail among the job's obstacles
 * @param rail the same thing
 * @param by what needs the room
 * @param face of the rail that is notched
 * @param depth into that face, mm
 * @param width along the rail, mm
 * @param height across the face, mm
 * @param through whether it goes through more than {@link #MOST_PART} of the rail, so that boxing it in will not do
 * @param boxing length of the plate that boxes it in, mm: the notch and a rail's depth beyond it at either end
 * @param middle of the notch's mouth, mm
 * @param left what is left of the rail, as boxes: on either side of the notch, and behind it
 */
public record Notch(
        int obstacle,
        NamedPart rail,
        NamedPart by,
        Face face,
        double depth,
        double width,
        double height,
        boolean through,
        double boxing,
        Point middle,
        List<Shape.Box> left) {

    /** More of a rail's depth than this is not to be taken out. */
    public static final double MOST_PART = 0.5;

    /** By where it looks in the vehicle. */
    public enum Face {
        FRONT("front"),
        REAR("rear"),
        LEFT("left side"),
        RIGHT("right side"),
        TOP("top"),
        BOTTOM("underside");

        private final String label;

        Face(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }
}
