package mildtilt.linkage.beam;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;

/**
 * A part between frame and axle, as designed.
 *
 * @param bodyEnd on the frame, mm; of a part of a Watt linkage its first end
 * @param axleEnd on the beam, mm; of a part of a Watt linkage its other end
 * @param beyond on the frame past the axle's end: the other eye of a spring
 * @param watt the linkage it is a part of, where its crank moves it as well
 */
public record Bar(BeamPart part, Point bodyEnd, Point axleEnd, List<Point> beyond, Optional<WattLinkage> watt) {

    Bar(BeamPart part, Point bodyEnd, Point axleEnd, List<Point> beyond) {
        this(part, bodyEnd, axleEnd, beyond, Optional.empty());
    }

    Bar(BeamPart part, Link link) {
        this(part, link.bodyEnd(), link.axleEnd(), List.of());
    }

    static Bar of(WattLinkage watt, BeamPart part, Point from, Point to) {
        return new Bar(part, from, to, List.of(), Optional.of(watt));
    }

    /** Along the part with the beam gone somewhere. */
    public List<Point> line(RigidMove beam) {
        return watt.map(w -> w.line(part, beam))
                .orElseGet(() -> Stream.concat(Stream.of(bodyEnd, beam.moved(axleEnd)), beyond.stream())
                        .toList());
    }
}
