package mildtilt.build;

import java.util.Optional;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.withers.Withers;

/**
 * How a rod is put together: an end, a jam nut, the body, a jam nut, an end. What the body is made of is the rod's
 * tube.
 *
 * @param outer at the steering arm, or at what else the rod drives
 * @param inner at the gear, or at what else drives the rod; of a tie rod across, the right one
 */
@Withers
public record RodMakeUp(End outer, End inner, Body body) implements RodMakeUpBuilder.With {

    /** Part of a thread's diameter that a thin jam nut is thick. */
    private static final double THIN_NUT = 0.5;

    /**
     * @param jamNut its thickness, mm; 0 for none
     * @param hole in the arm, if measured
     * @param doubleShear whether what it bolts to holds the bolt on both sides of the ball
     */
    @Withers
    public record End(EndPart part, double jamNut, Optional<Hole> hole, boolean doubleShear)
            implements RodMakeUpEndBuilder.With {

        public End {
            if (!(jamNut >= 0)) {
                throw new ImpossibleGeometryException("A jam nut's thickness can't be negative.");
            }
        }

        /** With a thin jam nut, the arm not measured yet. */
        public static End of(EndPart part) {
            return new End(part, THIN_NUT * part.thread().major(), Optional.empty(), false);
        }
    }

    /** How a body takes the shanks. */
    public enum BodyKind {
        TAPPED("tapped in the body itself"),
        BUNGS("threaded bungs welded in");

        private final String label;

        BodyKind(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /**
     * @param threaded depth of thread at either end, mm: of the tapped hole, or of the bung
     * @param drilled depth of the hole at either end, mm: how far a shank can go in; of a bung in a tube without end
     * @param length of the body, if it is there already; else it is worked out
     * @param outerTap the thread at the outer end, if another than the end's own
     * @param innerTap the thread at the inner end, if another than the end's own
     */
    @Withers
    public record Body(
            BodyKind kind,
            double threaded,
            double drilled,
            Optional<Double> length,
            Optional<ScrewThread> outerTap,
            Optional<ScrewThread> innerTap)
            implements RodMakeUpBodyBuilder.With {

        public Body {
            if (!(threaded > 0) || !(drilled >= threaded)) {
                throw new ImpossibleGeometryException(
                        "A rod's body needs a depth of thread, and a hole at least as deep.");
            }
            if (length.filter(l -> !(l > 0)).isPresent()) {
                throw new ImpossibleGeometryException("The length of a rod's body must be above 0.");
            }
        }

        /** How far a shank can go in before it meets the ground of its hole, mm; without end through a bung. */
        public double room() {
            return kind == BodyKind.BUNGS ? Double.POSITIVE_INFINITY : drilled;
        }

        public Body withDepths(double thread, double hole) {
            return new Body(kind, thread, hole, length, outerTap, innerTap);
        }

        public Body withTaps(Optional<ScrewThread> outer, Optional<ScrewThread> inner) {
            return new Body(kind, threaded, drilled, length, outer, inner);
        }
    }

    /** Two like ends, right-handed outside and left-handed inside, with a body tapped three diameters deep. */
    public static RodMakeUp usual(EndPart part) {
        double d = part.thread().major();
        return new RodMakeUp(
                End.of(part.withHand(ScrewThread.Hand.RIGHT)),
                End.of(part.withHand(ScrewThread.Hand.LEFT)),
                new Body(
                        BodyKind.TAPPED,
                        3 * d,
                        3 * d + 4 * part.thread().pitch(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty()));
    }

    /** The thread in the body at one end. */
    public ScrewThread tap(boolean atOuter) {
        return atOuter ? body.outerTap.orElse(outer.part.thread()) : body.innerTap.orElse(inner.part.thread());
    }

    public End end(boolean atOuter) {
        return atOuter ? outer : inner;
    }

    public RodMakeUp withEnd(boolean atOuter, End e) {
        return atOuter ? new RodMakeUp(e, inner, body) : new RodMakeUp(outer, e, body);
    }
}
