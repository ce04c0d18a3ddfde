package mildtilt.linkage.beam;

import java.util.List;
import java.util.stream.Stream;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;

/**
 * A part between frame and axle, as designed.
 *
 * @param beyond on the frame past the axle's end: the other eye of a spring
 */
public record Bar(BeamPart part, Point bodyEnd, Point axleEnd, List<Point> beyond) {

    Bar(BeamPart part, Link link) {
        this(part, link.bodyEnd(), link.axleEnd(), List.of());
    }

    /** Along the part with the beam gone somewhere. */
    public List<Point> line(RigidMove beam) {
        return Stream.concat(Stream.of(bodyEnd, beam.moved(axleEnd)), beyond.stream())
                .toList();
    }
}
