package mildtilt.routes;

import java.util.ArrayList;
import java.util.List;
import mildtilt.clearance.bodies.SweptJoint;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.routes.RouteObstacles.Margin;
import mildtilt.solid.Convex;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** How good a way is, and what it lacks. */
final class RouteScorer {

    /** So much of a gap over what is needed counts as good, mm. */
    private static final double GOOD_GAP = 40;
    /** Degrees and mm lacking of angles and room beyond which gaps are not looked at. */
    private static final double HOPELESS = 25;
    /** Less than this over what is needed is hard to hold in making, mm. */
    private static final double TIGHT = 6;
    /** Less than this lacking is rounding, mm. */
    private static final double LEAST = 0.01;

    private static final double JOINT_COSTS = 14;
    private static final double ROOM_COUNTS = 1.2;

    private final RouteEnds layout;
    private final RouteObstacles blockers;
    private final double moves;

    RouteScorer(RouteEnds layout, RouteObstacles blockers) {
        this.layout = layout;
        this.blockers = blockers;
        moves = layout.column.installation().frameMovement();
    }

    /** One thing a way lacks. @param amount in degrees or mm, above 0 */
    record Lack(double amount, Phrase reason) {}

    /**
     * @param cost the lower the better, lacks weighed in
     * @param roomy the same for one who wants room before all else
     * @param lacking the sum of what is lacking, degrees and mm alike; 0 for a way that can be gone
     * @param lacks each of them
     * @param margin the least over the needed gap
     */
    record RouteScore(
            double cost,
            double roomy,
            double lacking,
            List<Lack> lacks,
            double widestDeg,
            Margin margin,
            double length) {}

    RouteScore of(RouteParameters way) {
        List<Point> p = layout.points(way);
        int joints = p.size() - 2;
        List<Lack> lacks = new ArrayList<>();
        double widest = 0;
        double sum = 0;
        double length = 0;
        for (int i = 0; i <= joints; i++) {
            double l = p.get(i).distanceTo(p.get(i + 1));
            length += l;
            double need = room(i, joints);
            if (l < need - LEAST) {
                String name = Phrase.name(layout.shaft(i, joints).name());
                lacks.add(new Lack(
                        need - l,
                        i == 0
                                ? Phrase.of(
                                        name
                                                + " needs its joint {0} farther from the lower end of the column's tube: shorten "
                                                + "the tube, or move wheel and gear apart",
                                        Quantity.length(need - l))
                                : Phrase.of(
                                        name + " is {0} too short for what sits on its ends",
                                        Quantity.length(need - l))));
            }
        }
        for (int i = 0; i < joints; i++) {
            double deg = angle(p.get(i), p.get(i + 1), p.get(i + 2));
            widest = Math.max(widest, deg);
            sum += deg;
            double over = deg - layout.limitDeg(i, joints);
            if (over > 0) {
                lacks.add(new Lack(
                        over,
                        Phrase.of(
                                Phrase.name(layout.joint(i, joints).name()) + " is at {0}, {1} over its limit",
                                Quantity.angle(deg),
                                Quantity.angle(over))));
            }
        }
        if (way.between() == 0 && joints == 1) {
            double off = Math.toDegrees(p.get(1)
                    .minus(p.get(0))
                    .angleTo(layout.sets.get(way.set()).axis().vector()));
            double may = layout.columnFree() ? RouteFinder.AIMED : 0.1;
            if (off > may) {
                lacks.add(new Lack(
                        off - may,
                        Phrase.of(
                                "With one joint the column would have to be aimed {0} off its line, {1} too far",
                                Quantity.angle(off), Quantity.angle(off - may))));
            }
        }
        // Bent or crowded far beyond what may be, no gap matters yet.
        boolean hopeless = lacks.stream().mapToDouble(Lack::amount).sum() > HOPELESS;
        Margin margin = hopeless ? new Margin(0, "", Point.ORIGIN) : Margin.PLENTY;
        for (int i = 0; i <= joints && !hopeless; i++) {
            // The last shaft ends in the gear: that is no obstacle to it.
            Margin m = blockers.margin(shaft(p, i, joints), i < 2 ? moves : 0, Math.max(0, margin.mm()), i == joints);
            if (m.mm() < 0) {
                lacks.add(lack(m, layout.shaft(i, joints).name()));
            }
            margin = margin.tighter(m);
        }
        for (int i = 0; i < joints && !hopeless; i++) {
            double extra = i == 0 ? moves : 0;
            double enough = Math.max(0, margin.mm());
            // What it sweeps lies within two bars with round ends: where those keep off, so does it.
            if (around(p, i, joints).stream()
                    .allMatch(c -> blockers.margin(c, extra, enough, false).mm() >= enough)) {
                continue;
            }
            for (Convex part : joint(p, i, joints)) {
                Margin m = blockers.margin(part, extra, Math.max(0, margin.mm()), false);
                if (m.mm() < 0) {
                    lacks.add(lack(m, layout.joint(i, joints).name()));
                }
                margin = margin.tighter(m);
            }
        }
        // Whose gaps were not looked at may lack any of them.
        double lacking = lacks.stream().mapToDouble(Lack::amount).sum() + (hopeless ? 4 * HOPELESS : 0);
        double cost = JOINT_COSTS * joints
                + 0.8 * widest
                + 0.25 * sum
                - 0.35 * Math.min(margin.mm(), GOOD_GAP)
                + Math.max(0, TIGHT - margin.mm())
                + 0.012 * length;
        double roomy = cost - ROOM_COUNTS * Math.min(margin.mm(), GOOD_GAP);
        double more = lacking > 0 ? 1000 + 100 * lacking : 0;
        return new RouteScore(more + cost, more + roomy, lacking, lacks, widest, margin, length);
    }

    private static Lack lack(Margin m, String part) {
        return new Lack(
                -m.mm(),
                Phrase.of(
                        Phrase.name(part) + " lacks {0} of the gap to " + Phrase.name(m.name()),
                        Quantity.length(-m.mm())));
    }

    static double angle(Point before, Point centre, Point after) {
        return Math.toDegrees(centre.minus(before).angleTo(after.minus(centre)));
    }

    /** The least a shaft may be long between its centres, mm: both take-offs and room between their faces. */
    double room(int shaft, int joints) {
        if (shaft == 0) {
            return layout.leastAlongColumn();
        }
        double before = layout.joint(shaft - 1, joints).gearSide().takeOff();
        return shaft == joints
                ? layout.leastAlongGear()
                : before + layout.joint(shaft, joints).wheelSide().takeOff() + RouteEnds.ROOM;
    }

    /** A shaft, the first from where its tube ends. */
    Convex shaft(List<Point> p, int shaft, int joints) {
        Point from = p.get(shaft);
        if (shaft == 0) {
            double tube = layout.column.tube().map(t -> t.to()).orElse(0.0);
            double l = from.distanceTo(p.get(1));
            from = l > tube + 1
                    ? from.plus(p.get(1).minus(from).times(tube / l))
                    : p.get(1).plus(Vector.Z.times(1e-3));
        }
        return Convex.bar(from, p.get(shaft + 1), layout.shaft(shaft, joints).diameter() / 2);
    }

    List<Convex> joint(List<Point> p, int joint, int joints) {
        return SweptJoint.parts(
                p.get(joint),
                p.get(joint + 1),
                p.get(joint + 2),
                layout.joint(joint, joints),
                layout.swing(joint, joints));
    }

    private List<Convex> around(List<Point> p, int joint, int joints) {
        double r = layout.swing(joint, joints) / 2;
        Point c = p.get(joint + 1);
        return List.of(
                round(c, p.get(joint), layout.joint(joint, joints).wheelSide().takeOff(), r),
                round(
                        c,
                        p.get(joint + 2),
                        layout.joint(joint, joints).gearSide().takeOff(),
                        r));
    }

    private static Convex round(Point centre, Point toward, double takeOff, double radius) {
        double l = centre.distanceTo(toward);
        return l < 1e-6
                ? Convex.sphere(centre, radius)
                : Convex.bar(centre, centre.plus(toward.minus(centre).times(Math.min(takeOff, l) / l)), radius);
    }
}
