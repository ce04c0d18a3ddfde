package mildtilt.obstacle;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Vector;
import mildtilt.solid.Convex;
import mildtilt.solid.Solid;

/**
 * A part between two ends, each fixed to something that may move: its length follows them, and it can be too short or
 * too
 * long for where they go. Lengths mm, from the middle of one end to the middle of the other.
 */
public sealed interface TwoEnded extends CarriedShape {

    PartEnd from();

    PartEnd to();

    double diameter();

    @Override
    default String label() {
        return switch (this) {
            case Damper _ -> "damper";
            case CoilSpring _ -> "coil spring";
            case Strap _ -> "limit strap";
            case BumpStop _ -> "bump stop";
            case DrivenShaft _ -> "driven shaft";
            case Hose _ -> "hose or cable";
        };
    }

    /** The same between other ends. */
    default TwoEnded between(PartEnd from, PartEnd to) {
        return switch (this) {
            case Damper d -> new Damper(from, to, d.diameter, d.closed, d.open);
            case CoilSpring c -> new CoilSpring(from, to, c.diameter, c.block, c.free);
            case Strap s -> new Strap(from, to, s.diameter, s.taut);
            case BumpStop b -> new BumpStop(from, to, b.diameter, b.height);
            case DrivenShaft d -> new DrivenShaft(from, to, d.diameter, d.pushedIn, d.pulledOut);
            case Hose h -> new Hose(from, to, h.diameter, h.length, h.leastRadius);
        };
    }

    /** The least its ends may be apart; empty where nothing stops them. */
    default Optional<Double> shortest() {
        return switch (this) {
            case Damper d -> Optional.of(d.closed);
            case CoilSpring c -> Optional.of(c.block);
            case BumpStop b -> Optional.of(b.height);
            case DrivenShaft d -> Optional.of(d.pushedIn);
            case Strap _, Hose _ -> Optional.empty();
        };
    }

    /** The most its ends may be apart; empty where nothing stops them. */
    default Optional<Double> longest() {
        return switch (this) {
            case Damper d -> Optional.of(d.open);
            case CoilSpring c -> Optional.of(c.free);
            case Strap s -> Optional.of(s.taut);
            case DrivenShaft d -> Optional.of(d.pulledOut);
            case Hose h -> Optional.of(h.length);
            case BumpStop _ -> Optional.empty();
        };
    }

    /** Whether it is there to end the travel, so that meeting its limit is no fault. */
    default boolean endsTravel() {
        return switch (this) {
            case Strap _, BumpStop _ -> true;
            case Damper _, CoilSpring _, DrivenShaft _, Hose _ -> false;
        };
    }

    /** From end to end, mm. */
    default double endToEnd() {
        return from().at().distanceTo(to().at());
    }

    default PartEnd end(boolean first) {
        return first ? from() : to();
    }

    /** With another of its ends. */
    default TwoEnded withEnd(boolean first, PartEnd now) {
        return first ? between(now, to()) : between(from(), now);
    }

    /**
     * A damper, a steering damper, or a spring unit round one.
     *
     * @param closed length pushed in
     * @param open length pulled out
     */
    record Damper(PartEnd from, PartEnd to, double diameter, double closed, double open) implements TwoEnded {

        public Damper {
            check("damper", from, to, diameter, closed, open);
        }
    }

    /**
     * A coil spring.
     *
     * @param block with its coils on each other
     * @param free with nothing on it; farther apart it comes loose
     */
    record CoilSpring(PartEnd from, PartEnd to, double diameter, double block, double free) implements TwoEnded {

        public CoilSpring {
            check("coil spring", from, to, diameter, block, free);
        }
    }

    /** A strap that ends droop. @param taut its length */
    record Strap(PartEnd from, PartEnd to, double diameter, double taut) implements TwoEnded {

        public Strap {
            check("limit strap", from, to, diameter, 0, taut);
        }

        /** With the length that lets its ends be so far apart. */
        public Strap withLength(double mm) {
            return new Strap(from, to, diameter, mm);
        }
    }

    /** What ends bump: a block on one part, a pad on the other. @param height how far apart its ends are as it meets */
    record BumpStop(PartEnd from, PartEnd to, double diameter, double height) implements TwoEnded {

        public BumpStop {
            check("bump stop", from, to, diameter, height, Double.POSITIVE_INFINITY);
        }

        /** With the height that lets its ends come so near. */
        public BumpStop withHeight(double mm) {
            return new BumpStop(from, to, diameter, mm);
        }

        /** The block alone, on its first end: the rest is the way that is left. */
        @Override
        public Solid solid() {
            double apart = endToEnd();
            Vector way = to.at().minus(from.at());
            return bar(from.at(), apart <= height ? to.at() : from.at().plus(way.times(height / apart)), diameter);
        }
    }

    /** A driven shaft with a joint at either end, sliding in one of them. */
    record DrivenShaft(PartEnd from, PartEnd to, double diameter, double pushedIn, double pulledOut)
            implements TwoEnded {

        public DrivenShaft {
            check("driven shaft", from, to, diameter, pushedIn, pulledOut);
        }
    }

    /**
     * A hose or a cable.
     *
     * @param length between its ends, stretched out
     * @param leastRadius it may be bent to
     */
    record Hose(PartEnd from, PartEnd to, double diameter, double length, double leastRadius) implements TwoEnded {

        public Hose {
            check("hose", from, to, diameter, 0, length);
            if (!(leastRadius >= 0 && Double.isFinite(leastRadius))) {
                throw new ImpossibleGeometryException("The least bend radius of a hose can't be negative.");
            }
        }

        @Override
        public Solid solid() {
            List<Point> line = line().points();
            List<Convex> bars = new ArrayList<>();
            for (int i = 1; i < line.size(); i++) {
                bars.add(Convex.bar(line.get(i - 1), line.get(i), diameter / 2));
            }
            return new Solid.Parts(bars);
        }

        /** How it lies between its ends. */
        public HoseLine line() {
            return HoseLine.of(this);
        }
    }

    @Override
    default Solid solid() {
        return bar(from().at(), to().at(), diameter());
    }

    @Override
    default Set<Carrier> carriers() {
        return EnumSet.of(from().on(), to().on());
    }

    @Override
    default TwoEnded carried(Function<Carrier, RigidMove> moves) {
        return between(from().carried(moves.apply(from().on())), to().carried(moves.apply(to().on())));
    }

    @Override
    default List<Point> points() {
        return List.of(from().at(), to().at());
    }

    @Override
    default TwoEnded withPoint(int index, Point to) {
        return index == 0 ? between(from().withAt(to), to()) : between(from(), to().withAt(to));
    }

    @Override
    default TwoEnded shifted(Vector by) {
        return between(
                from().withAt(from().at().plus(by)), to().withAt(to().at().plus(by)));
    }

    @Override
    default TwoEnded mirrored() {
        return between(from().mirrored(), to().mirrored());
    }

    private static Solid bar(Point a, Point b, double diameter) {
        return Solid.of(Convex.bar(a, b, diameter / 2));
    }

    private static void check(String what, PartEnd from, PartEnd to, double diameter, double shortest, double longest) {
        if (!(diameter > 0) || !Double.isFinite(diameter)) {
            throw new ImpossibleGeometryException("The diameter of a " + what + " must be above 0.");
        }
        if (!(shortest >= 0) || !(longest > shortest)) {
            throw new ImpossibleGeometryException(
                    shortest == 0 || longest == Double.POSITIVE_INFINITY
                            ? "The length of a " + what + " must be above 0."
                            : "A " + what + " must be longer pulled out than pushed together.");
        }
        boolean hose = what.equals("hose");
        for (PartEnd end : List.of(from, to)) {
            if (end.fit().filter(f -> f instanceof EndFit.Fitting != hose).isPresent()) {
                throw new ImpossibleGeometryException(
                        hose
                                ? "A hose ends in a fitting, not in an eye or a ball."
                                : "A " + what + " ends in an eye or a ball, not in a hose's fitting.");
            }
        }
    }
}
