package mildtilt.routes;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.clearance.bodies.SweptJoint;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.routes.RouteObstacles.Margin;
import mildtilt.routes.RouteQuestion.Hole;
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
    /** Of a mm that wheel and column are set by spacers. */
    private static final double SPACER_COSTS = 0.15;
    /** Of a degree that lacks of a kink that folds. */
    private static final double UNKINKED_COSTS = 0.4;

    private final RouteEnds layout;
    private final RouteObstacles blockers;
    private final double moves;
    /** Sum of angles that folds instead of shortening, where that is asked for, degrees. */
    private final double kink;

    RouteScorer(RouteEnds layout, RouteObstacles blockers) {
        this.layout = layout;
        this.blockers = blockers;
        moves = layout.column.installation().frameMovement();
        kink = layout.question.frontRule()
                ? layout.job.rules().collapse().kinkDeg().orElse(0.0)
                : 0;
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
        layout.question.hole().ifPresent(h -> hole(p, h, joints).ifPresent(lacks::add));
        // Bent or crowded far beyond what may be, no gap matters yet.
        boolean hopeless = lacks.stream().mapToDouble(Lack::amount).sum() > HOPELESS;
        Margin margin = hopeless ? new Margin(0, "", Point.ORIGIN) : Margin.PLENTY;
        int through = layout.question
                .hole()
                .map(h -> RouteHole.crossing(p, h).shaft())
                .orElse(-1);
        for (int i = 0; i <= joints && !hopeless; i++) {
            // The last shaft ends in the gear: that is no obstacle to it.
            Margin m = blockers.margin(
                    shaft(p, i, joints), i < 2 ? moves : 0, Math.max(0, margin.mm()), i == joints, i == through);
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
                    .allMatch(
                            c -> blockers.margin(c, extra, enough, false, false).mm() >= enough)) {
                continue;
            }
            for (Convex part : joint(p, i, joints)) {
                Margin m = blockers.margin(part, extra, Math.max(0, margin.mm()), false, false);
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
                + 0.012 * length
                + SPACER_COSTS
                        * (Math.abs(way.numbers()[RouteParameters.WHEEL_UP])
                                + Math.abs(way.numbers()[RouteParameters.WHEEL_ALONG]))
                + UNKINKED_COSTS * Math.max(0, kink - sum);
        double roomy = cost - ROOM_COUNTS * Math.min(margin.mm(), GOOD_GAP);
        double more = lacking > 0 ? 1000 + 100 * lacking : 0;
        return new RouteScore(more + cost, more + roomy, lacking, lacks, widest, margin, length);
    }

    /** How far what goes through a hole stands over its edge, with the gap between own parts all round. */
    private Optional<Lack> hole(List<Point> p, Hole h, int joints) {
        RouteHole.Crossing at = RouteHole.crossing(p, h);
        double gap = layout.job.surroundings().own().gap();
        double round = at.shaft() < 0
                ? 0
                : at.shaft() == 0
                                && layout.column
                                        .tube()
                                        .filter(t -> at.along() <= t.to() + t.beyond())
                                        .isPresent()
                        ? layout.column.tube().orElseThrow().outside()
                        : layout.shaft(at.shaft(), joints).diameter();
        double over = at.off() + round / 2 / at.lean() + gap + (at.shaft() < 2 ? moves : 0) - h.diameter() / 2;
        return over > 0
                ? Optional.of(new Lack(
                        over,
                        at.shaft() < 0
                                ? Phrase.of("It does not go through the bulkhead with the hole at all")
                                : Phrase.of(
                                        Phrase.name(layout.shaft(at.shaft(), joints)
                                                        .name())
                                                + " goes {0} beside the hole's middle, {1} too far for a hole of {2}",
                                        Quantity.length(at.off()),
                                        Quantity.length(over),
                                        Quantity.length(h.diameter()))))
                : Optional.empty();
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
