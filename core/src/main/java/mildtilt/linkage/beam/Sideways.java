package mildtilt.linkage.beam;

import java.util.List;
import java.util.function.Function;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.kinematics.Body;
import mildtilt.kinematics.BodySystem;

/** What keeps a beam axle from going sideways. */
public sealed interface Sideways permits TrackBar, WattLinkage, Sideways.Unaided {

    /** Nothing of its own: springs, taken as rigid, or links that are spread. */
    record Unaided() implements Sideways {

        @Override
        public void hold(BodySystem system, Body beam, Point springs) {
            system.held(beam, springs, Vector.Y.direction());
        }

        @Override
        public List<BeamPoint> points(Function<Sideways, Beam> into) {
            return List.of();
        }

        @Override
        public List<Bar> bars() {
            return List.of();
        }
    }

    Sideways UNAIDED = new Unaided();

    /**
     * Adds to a beam that is solved as a body what holds it: one constraint.
     *
     * @param springs where springs would hold it
     */
    void hold(BodySystem system, Body beam, Point springs);

    /** What can be measured and moved of it. @param into the beam with another one */
    List<BeamPoint> points(Function<Sideways, Beam> into);

    List<Bar> bars();
}
