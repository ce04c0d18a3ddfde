package mildtilt.shop;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.build.RodMakeUp;
import mildtilt.build.RodMakeUp.End;
import mildtilt.build.ScrewThread;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.linkage.AxleSolver;
import mildtilt.linkage.RodEnd;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.corner.Corner;
import mildtilt.linkage.rods.Rod;
import mildtilt.linkage.rods.RodEnds;
import mildtilt.linkage.rods.RodTube;

/**
 * A rod put together: how long its body is, how far each shank is in it, and what turning it does.
 *
 * <p>An end stands with its ball's centre x from the body's face. It can come in until its jam nut, tight on the face,
 * is at
 * the end of its thread, or the shank meets the ground of its hole; it can go out until no more than the least
 * engagement is
 * left. With a right-hand thread at one end and a left-hand one at the other, a turn of the body moves both ends, each
 * by its
 * own pitch.
 *
 * @param centres wanted between both balls' centres, mm
 * @param body its length, mm; 0 or less where the ends alone are too long
 * @param longer how far the rod can be lengthened from there, mm; below 0 where it is over that already
 * @param shorter how far it can be shortened, mm; below 0 where it is past that already
 * @param perTurn of the body, mm; 0 where turning the body does nothing
 * @param turnsLonger turns of the body to the longest
 * @param turnsShorter turns of the body to the shortest
 * @param toePerTurn change of the wheel's toe-in for a turn that lengthens it, degrees; of both wheels' together for a
 * rod from
 *     arm to arm; empty for a rod that sets no toe
 * @param betweenTips that is left between both shanks' tips inside the body at the shortest, mm; empty where each has a
 * hole of
 *     its own
 */
public record RodFigures(
        Rod rod,
        RodMakeUp makeUp,
        RodTube tube,
        double centres,
        double body,
        EndFigures outer,
        EndFigures inner,
        double longer,
        double shorter,
        double perTurn,
        double turnsLonger,
        double turnsShorter,
        Optional<Double> toePerTurn,
        Optional<Double> betweenTips) {

    /** Toe is adjusted by no less than this, mm either way, without taking the rod off. */
    public static final double WORTHWHILE = 1;

    /**
     * @param at which end it is
     * @param faceOut from the ball's centre to the body's face now, mm
     * @param faceShort with the rod at its shortest, mm
     * @param faceIn the least it can be, mm
     * @param faceFar the most it can be, mm
     * @param engaged thread in the body now, mm
     * @param engagedShort with the rod at its shortest, mm
     * @param engagedLong with the rod at its longest, mm
     * @param least that it must never go under, mm
     * @param gapToHousing between jam nut and the end of the thread at the shortest, mm
     */
    public record EndFigures(
            RodEnd at,
            double faceOut,
            double faceShort,
            double faceIn,
            double faceFar,
            double engaged,
            double engagedShort,
            double engagedLong,
            double least,
            double gapToHousing) {

        /** What it is called. */
        public String label() {
            return at.label() + " end";
        }
    }

    /** What can be done to its length. */
    public enum LengthChange {
        BOTH("grows and shrinks"),
        ONLY_GROWS("can only grow"),
        ONLY_SHRINKS("can only shrink"),
        NEITHER("can't be adjusted");

        private final String label;

        LengthChange(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    public LengthChange way() {
        boolean grows = longer >= WORTHWHILE;
        boolean shrinks = shorter >= WORTHWHILE;
        return grows && shrinks
                ? LengthChange.BOTH
                : grows ? LengthChange.ONLY_GROWS : shrinks ? LengthChange.ONLY_SHRINKS : LengthChange.NEITHER;
    }

    /** Whether both threads turn the same way, so that the body turned screws one end in and the other out. */
    public boolean sameHand() {
        return makeUp.outer().part().thread().hand()
                == makeUp.inner().part().thread().hand();
    }

    /** Whether a shank holds on less thread than it must, as the rod is set now. */
    public boolean shortOfThread() {
        return outer.engaged < outer.least - 1e-6 || inner.engaged < inner.least - 1e-6;
    }

    public EndFigures end(boolean atOuter) {
        return atOuter ? outer : inner;
    }

    /** Of every rod whose tube and ends are chosen. */
    public static List<RodFigures> of(Job job, Optional<AxleSolver> solver) {
        List<RodFigures> all = new ArrayList<>();
        if (job.axle().isEmpty() || solver.isEmpty()) {
            return all;
        }
        SteeredAxle axle = job.axle().get();
        for (Rod rod : Rod.values()) {
            Optional<RodMakeUp> made = job.making().rod(rod);
            Optional<RodTube> tube = axle.rodEnds(rod).flatMap(RodEnds::tube);
            if (made.isPresent() && tube.isPresent() && solver.get().lengths().containsKey(rod)) {
                all.add(of(
                        rod,
                        new Ends(axle.rodEnd(rod, true), axle.rodEnd(rod, false)),
                        made.get(),
                        tube.get(),
                        solver.get().lengths().get(rod),
                        job.making().workshop().engagementTimes(),
                        degreesPerMm(axle, rod)));
            }
        }
        return List.copyOf(all);
    }

    /** Where a rod's ends are. */
    record Ends(RodEnd outer, RodEnd inner) {}

    /** @param toePerMm change of toe-in for a mm that the rod is lengthened, degrees */
    static RodFigures of(
            Rod rod,
            Ends ends,
            RodMakeUp m,
            RodTube tube,
            double centres,
            double engagementTimes,
            Optional<Double> toePerMm) {
        double[] in = new double[2];
        double[] far = new double[2];
        double[] least = new double[2];
        for (int i = 0; i < 2; i++) {
            End e = m.end(i == 0);
            double reach = e.part().reach();
            least[i] = engagementTimes * e.part().thread().major();
            // In: the jam nut at the end of the thread, or the shank on the ground of its hole.
            in[i] = Math.max(e.part().toThread() + e.jamNut(), reach - m.body().room());
            far[i] = reach - least[i];
        }
        double[] now = new double[2];
        double body;
        if (m.body().length().isPresent()) {
            body = m.body().length().get();
            // What is there is shared so that both ends stand alike in their range.
            double rest = centres - body - in[0] - in[1];
            double range = far[0] - in[0] + far[1] - in[1];
            for (int i = 0; i < 2; i++) {
                now[i] = in[i] + rest * (range > 0 ? (far[i] - in[i]) / range : 0.5);
            }
        } else {
            now[0] = (in[0] + far[0]) / 2;
            now[1] = (in[1] + far[1]) / 2;
            body = centres - now[0] - now[1];
        }
        double p0 = m.outer().part().thread().pitch();
        double p1 = m.inner().part().thread().pitch();
        boolean same =
                m.outer().part().thread().hand() == m.inner().part().thread().hand();
        // With both threads one way a turn of the body takes in at one end what it lets out at the other.
        final double perTurn = same ? Math.abs(p0 - p1) : p0 + p1;
        double turnsLonger;
        double turnsShorter;
        double longer;
        double shorter;
        if (same) {
            // Each end is then turned by itself, off its arm.
            longer = far[0] - now[0] + far[1] - now[1];
            shorter = now[0] - in[0] + now[1] - in[1];
            turnsLonger = 0;
            turnsShorter = 0;
        } else {
            turnsLonger = Math.min((far[0] - now[0]) / p0, (far[1] - now[1]) / p1);
            turnsShorter = Math.min((now[0] - in[0]) / p0, (now[1] - in[1]) / p1);
            longer = turnsLonger * perTurn;
            shorter = turnsShorter * perTurn;
        }
        EndFigures outer = end(
                ends.outer(),
                m,
                true,
                in[0],
                far[0],
                now[0],
                least[0],
                same ? far[0] - now[0] : turnsLonger * p0,
                same ? now[0] - in[0] : turnsShorter * p0);
        EndFigures inner = end(
                ends.inner(),
                m,
                false,
                in[1],
                far[1],
                now[1],
                least[1],
                same ? far[1] - now[1] : turnsLonger * p1,
                same ? now[1] - in[1] : turnsShorter * p1);
        // Holes of their own that do not reach each other keep the shanks apart.
        Optional<Double> tips = 2 * m.body().room() <= body
                ? Optional.empty()
                : Optional.of(body
                        - (m.outer().part().reach() - outer.faceShort)
                        - (m.inner().part().reach() - inner.faceShort));
        return new RodFigures(
                rod,
                m,
                tube,
                centres,
                body,
                outer,
                inner,
                longer,
                shorter,
                perTurn,
                turnsLonger,
                turnsShorter,
                perTurn > 0 ? toePerMm.map(t -> t * perTurn) : Optional.empty(),
                tips);
    }

    private static EndFigures end(
            RodEnd at,
            RodMakeUp m,
            boolean atOuter,
            double in,
            double far,
            double now,
            double least,
            double out,
            double back) {
        return new EndFigures(
                at,
                now,
                now - back,
                in,
                far,
                engaged(m, atOuter, now),
                engaged(m, atOuter, now - back),
                engaged(m, atOuter, now + out),
                least,
                now - back - in);
    }

    /**
     * Thread that holds with the face so far from the ball's centre, mm: no more than the shank has, and no more than
     * the body has.
     */
    private static double engaged(RodMakeUp m, boolean atOuter, double face) {
        End e = m.end(atOuter);
        return Math.max(
                0,
                Math.min(
                        Math.min(e.part().reach() - face, e.part().threadLength()),
                        m.body().threaded()));
    }

    /**
     * Change of toe-in for a mm that a tie rod is lengthened, degrees; the rest of the linkage held still. The rod's
     * end goes
     * round the steer axis k: for a turn dδ it moves along the rod, u, by (k × r) · u dδ, r from the axis to the rod's
     * end. The wheel's
     * heading turns with the spin axis s by (s × (k × s))_z / (s_x² + s_y²) dδ, seen from above.
     */
    static Optional<Double> degreesPerMm(SteeredAxle axle, Rod rod) {
        return switch (rod) {
            case LEFT_TIE_ROD -> axle.innerEnd(Side.LEFT).flatMap(p -> toePerMm(axle, Side.LEFT, p));
            case RIGHT_TIE_ROD -> axle.innerEnd(Side.RIGHT).flatMap(p -> toePerMm(axle, Side.RIGHT, p));
            // One wheel is held by the drag link; the rod turns the other.
            case TIE_ROD -> {
                Side held = axle.dragLinkSide().orElse(Side.LEFT);
                yield toePerMm(axle, held.other(), axle.corner(held).knuckle().tieRodPoint());
            }
            case CENTRE_LINK, INTERMEDIATE_LINK, DRAG_LINK, DRAG_ROD, SHORT_LINK -> Optional.empty();
        };
    }

    private static Optional<Double> toePerMm(SteeredAxle axle, Side side, Point inner) {
        Corner c = axle.corner(side);
        Axis steer = c.suspension().steerAxis();
        Vector k = steer.direction().vector();
        Vector r = c.knuckle().tieRodPoint().minus(steer.footOf(c.knuckle().tieRodPoint()));
        Direction u = c.knuckle().tieRodPoint().minus(inner).direction();
        double along = u.dot(k.cross(r));
        if (Math.abs(along) < 1e-6) {
            return Optional.empty();
        }
        Vector s = c.knuckle().spinAxisPoint().minus(c.knuckle().wheelCentre());
        double heading = steer.direction().headingPerTurn(s);
        // A left wheel steered left toes out, a right wheel toes in.
        return Optional.of(-side.sign() * Math.toDegrees(heading / along));
    }

    /** The thread of one end, for lists. */
    public ScrewThread thread(boolean atOuter) {
        return makeUp.end(atOuter).part().thread();
    }
}
