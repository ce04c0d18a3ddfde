package mildtilt.linkage.beam;

import java.util.function.DoubleBinaryOperator;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Frame;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Vector;
import mildtilt.kinematics.Body;
import mildtilt.kinematics.BodySystem;
import mildtilt.kinematics.PoseSolver;

/**
 * A beam held by links, arms or springs, solved as one body that both wheels' rise and four constraints settle. Every
 * pose is
 * found from the design pose, so that it does not depend on the one before.
 */
final class HeldBeam implements BeamPlacer {

    /** Past this the wheels would stand over each other. */
    private static final double MOST_SINE = 0.9;

    private final Frame design;
    private final double track;
    private final BodySystem system = new BodySystem();
    private final Body beam;
    private final DoubleBinaryOperator extra;
    private final ThreadLocal<PoseSolver> solver;

    /** What holds the beam: four constraints. */
    interface Held {
        void add(BodySystem system, Body beam, int extra);
    }

    /** @param extra an input that follows from the rise of both wheels */
    HeldBeam(Frame design, double track, Held held, DoubleBinaryOperator extra) {
        this.design = design;
        this.track = track;
        this.extra = extra;
        beam = system.body(design.origin());
        Direction up = Vector.Z.direction();
        Vector half = Vector.Y.times(track / 2);
        int left = system.input();
        int right = system.input();
        int more = system.input();
        system.driven(beam, design.origin().plus(half), up, left)
                .driven(beam, design.origin().plus(half.negated()), up, right);
        held.add(system, beam, more);
        solver = ThreadLocal.withInitial(() -> new PoseSolver(system));
    }

    /** @throws ImpossibleGeometryException with a sentence if what holds it leaves it free, or holds it twice over */
    HeldBeam checked(String sentence) {
        try {
            solver.get();
            return this;
        } catch (IllegalArgumentException e) {
            throw new ImpossibleGeometryException(sentence);
        }
    }

    static void link(BodySystem system, Body beam, BeamPart part, Link link) {
        system.rod(part.label(), Body.FRAME, link.bodyEnd(), beam, link.axleEnd());
    }

    @Override
    public Place place(double left, double right) {
        if (Math.abs(left - right) > MOST_SINE * track) {
            return Place.outOfReach(Math.abs(left - right) - MOST_SINE * track);
        }
        PoseSolver s = solver.get();
        s.toDesign();
        double more = extra.applyAsDouble(left, right);
        if (s.go(left, right, more) < 1) {
            return s.missing(left, right, more)
                    .map(m -> Place.held(m.rod(), m.longer()))
                    .orElse(Place.outOfReach(Math.max(Math.abs(left), Math.abs(right))));
        }
        return Place.at(new Frame(
                s.at(beam, design.origin()),
                s.turned(beam, design.e()),
                s.turned(beam, design.f()),
                s.turned(beam, design.g())));
    }
}
