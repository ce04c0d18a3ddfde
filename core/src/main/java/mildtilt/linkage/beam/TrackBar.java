package mildtilt.linkage.beam;

import java.util.List;
import java.util.function.Function;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.kinematics.Body;
import mildtilt.kinematics.BodySystem;

/**
 * A bar from frame to axle: the axle swings on it.
 *
 * @param bodyEnd on the frame, mm
 * @param axleEnd on the beam, mm
 */
public record TrackBar(Point bodyEnd, Point axleEnd) implements Sideways {

    /** @throws ImpossibleGeometryException if it has no length */
    public TrackBar {
        if (bodyEnd.distanceTo(axleEnd) < 1) {
            throw new ImpossibleGeometryException("The track bar has no length.");
        }
    }

    public double length() {
        return bodyEnd.distanceTo(axleEnd);
    }

    @Override
    public void hold(BodySystem system, Body beam, Point springs) {
        system.rod(BeamPart.TRACK_BAR.label(), Body.FRAME, bodyEnd, beam, axleEnd);
    }

    @Override
    public List<BeamPoint> points(Function<Sideways, Beam> into) {
        return List.of(
                new BeamPoint(BeamPoint.Which.TRACK_BAR_BODY, bodyEnd, p -> into.apply(new TrackBar(p, axleEnd))),
                new BeamPoint(BeamPoint.Which.TRACK_BAR_AXLE, axleEnd, p -> into.apply(new TrackBar(bodyEnd, p))));
    }

    @Override
    public List<Bar> bars() {
        return List.of(new Bar(BeamPart.TRACK_BAR, bodyEnd, axleEnd, List.of()));
    }
}
