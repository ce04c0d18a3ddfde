package mildtilt.template;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.build.Piece;
import mildtilt.clearance.Notch;
import mildtilt.clocking.ForkMark;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.column.Shaft;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Shape;
import mildtilt.solid.TriangleMesh;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * All patterns of a job.
 *
 * @param patterns strips first, then plates, then what is cut out of rails
 * @param jigs to be printed, as closed surfaces
 * @param open what can't be drawn, and why
 */
public record Templates(List<FlatPattern> patterns, List<Jig> jigs, List<Phrase> open) {

    /** @param mesh closed, facing outward */
    public record Jig(String name, Phrase how, TriangleMesh mesh) {}

    private static final double STRIP = 40;
    /** Height of what is written, mm: 9 pt. */
    private static final double WORDS = 3.2;
    /** The longest of them that runs up a strip, mm. */
    private static final double WORDS_LONG = 14;

    private static final int TICK_DEG = 10;
    private static final int FOOT_STEPS = 40;
    /** Where a notch's corners are drilled, so that they do not tear, mm. */
    private static final double CORNER = 6;

    public static Templates of(Job job, List<Notch> notches) {
        List<FlatPattern> all = new ArrayList<>();
        List<Jig> jigs = new ArrayList<>();
        List<Phrase> open = new ArrayList<>();
        job.column().ifPresent(c -> {
            for (int i = 0; i < c.shafts().size(); i++) {
                if (c.shafts().get(i).toCut() && c.cutLength(i) > 0) {
                    all.add(strip(c, i, false));
                    all.add(strip(c, i, true));
                }
            }
        });
        for (Piece p : job.making().pieces()) {
            switch (p) {
                case Piece.ArmPlate a -> arm(job, a, all, open);
                case Piece.BearingBracket b -> bracket(job, b, all, open);
                case Piece.CopedTube t -> {
                    if (Cope.of(t).shortest() > 0) {
                        all.addAll(Cope.of(t).patterns());
                    }
                }
                case Piece.CentringJig j -> jigs.add(new Jig(j.name(), JigMesh.how(j), JigMesh.of(j)));
                case Piece.Length _,
                        Piece.TurnedShaft _,
                        Piece.BearingHousing _,
                        Piece.AdapterPlate _,
                        Piece.SteadyPost _ -> {}
            }
        }
        for (Notch n : notches) {
            notch(job, n, all);
        }
        return new Templates(List.copyOf(all), List.copyOf(jigs), List.copyOf(open));
    }

    /** Round one end of a shaft, the wheel's end up. */
    private static FlatPattern strip(Column c, int shaft, boolean gearEnd) {
        Shaft s = c.shafts().get(shaft);
        // The end may be turned down from the rest of the shaft.
        double d = (gearEnd ? s.gearEndSeat() : s.wheelEndSeat()).diameter();
        double round = Math.PI * d;
        double engaged = Math.min(
                gearEnd
                        ? c.gearEndFit(shaft).engagement()
                        : c.wheelEndFit(shaft).engagement(),
                STRIP - 12);
        List<PatternMark> inks = new ArrayList<>();
        inks.add(new PatternMark.Path(
                PatternMark.Layer.CUT,
                List.of(
                        new PatternPoint(0, 0),
                        new PatternPoint(round, 0),
                        new PatternPoint(round, STRIP),
                        new PatternPoint(0, STRIP)),
                true));
        // The fork's face, as far from the cut as the shaft goes in.
        if (engaged > 0) {
            double y = gearEnd ? engaged : STRIP - engaged;
            inks.add(line(0, y, round, y));
        }
        for (int deg = 0; deg < 360; deg += TICK_DEG) {
            double x = at(round, deg);
            double tick = deg % 90 == 0 ? 5 : deg % 30 == 0 ? 3.5 : 2;
            inks.add(gearEnd ? line(x, STRIP, x, STRIP - tick) : line(x, 0, x, tick));
            if (deg % 90 == 0) {
                String clock = deg == 0 ? "12" : Integer.toString(deg / 30);
                inks.add(new PatternMark.Words(
                        new PatternPoint(x + 0.8, gearEnd ? STRIP - 8 : 5.5), WORDS, false, Phrase.of(clock)));
            }
        }
        boolean marked = c.liesBetweenJoints(shaft);
        double clocking = c.shafts().get(shaft).clockingDeg();
        boolean fork = gearEnd ? marked : shaft > 0;
        // Clear of the line across.
        double words = !gearEnd ? Math.max(13, STRIP - engaged + 2) : engaged > WORDS_LONG + 4 ? 3 : engaged + 2;
        for (int half = 0; half < 2; half++) {
            if (fork) {
                double x = at(round, (gearEnd ? clocking : 0) + 180.0 * half);
                inks.add(line(x, gearEnd ? 0 : 5, x, gearEnd ? STRIP - 5 : STRIP));
                // Beside the line, on the side where the strip goes on.
                inks.add(new PatternMark.Words(
                        new PatternPoint(x + (x + 5 < round ? 3.8 : -1.2), words), WORDS, true, Phrase.of("fork pin")));
            }
        }
        String name = c.shafts().get(shaft).name() + ", " + (gearEnd ? "gear" : "wheel") + " end";
        inks.add(new PatternMark.Words(
                new PatternPoint(0, STRIP + 2),
                WORDS,
                false,
                Phrase.of(
                        Phrase.name(name) + ", for {0}" + (gearEnd ? "" : " · this edge on the cut line")
                                + " · wheel up, print out",
                        Quantity.length(d))));
        if (gearEnd) {
            inks.add(new PatternMark.Words(
                    new PatternPoint(0, -5), WORDS, false, Phrase.of("this edge on the cut line")));
        }
        Phrase how = Phrase.of(
                        "Scribe a straight line along the shaft. Wrap the strip round, wheel end up, print outside, 12 on that line. ")
                .then(
                        fork && !gearEnd
                                ? Phrase.of("The two long lines are where the wheel-end fork's pin comes out. ")
                                : fork
                                        ? Phrase.of(
                                                "The two long lines are the gear-end fork's pin: {0} "
                                                        + ForkMark.way(clocking)
                                                        + " from the wheel-end fork, seen from the wheel. ",
                                                Quantity.angle(Math.abs(clocking)))
                                        : Phrase.of("Nothing has to be clocked at this end. "))
                .then(
                        "The line across is how far it goes in. If the strip does not close to half a millimetre, it was not printed at full size, or the shaft is another.");
        return new FlatPattern(name + " strip", how, Optional.empty(), inks);
    }

    /** Clockwise seen from the wheel runs to the left. */
    private static double at(double round, double deg) {
        double part = (360 - (deg % 360 + 360) % 360) % 360 / 360;
        return round * part;
    }

    private static PatternMark line(double x1, double y1, double x2, double y2) {
        return new PatternMark.Path(
                PatternMark.Layer.MARK, List.of(new PatternPoint(x1, y1), new PatternPoint(x2, y2)), false);
    }

    private static List<PatternMark> cross(double x, double y, double half) {
        return List.of(line(x - half, y, x + half, y), line(x, y - half, x, y + half));
    }

    private static void arm(Job job, Piece.ArmPlate a, List<FlatPattern> all, List<Phrase> open) {
        Optional<Double> length = job.axle().flatMap(x -> a.of().length(x));
        double r1 = a.rootHole() / 2 + a.margin();
        double r2 = a.endHole() / 2 + a.margin();
        if (length.isEmpty()) {
            open.add(Phrase.of("\"" + Phrase.name(a.name()) + "\": this job has no " + a.of().label() + "."));
            return;
        }
        double l = length.get();
        if (l <= Math.abs(r1 - r2) + 1 || l <= (a.rootHole() + a.endHole()) / 2) {
            open.add(Phrase.of(
                    "\"" + Phrase.name(a.name()) + "\": both holes run into each other, as the arm is {0} long.",
                    Quantity.length(l)));
            return;
        }
        List<PatternMark> inks = new ArrayList<>();
        inks.add(new PatternMark.Path(PatternMark.Layer.CUT, PlateOutline.roundTwo(r1, r2, l), true));
        inks.add(new PatternMark.Circle(PatternMark.Layer.CUT, new PatternPoint(0, 0), a.rootHole() / 2));
        inks.add(new PatternMark.Circle(PatternMark.Layer.CUT, new PatternPoint(l, 0), a.endHole() / 2));
        inks.add(line(-r1, 0, l + r2, 0));
        inks.addAll(cross(0, 0, a.rootHole() / 2 + 4));
        inks.addAll(cross(l, 0, a.endHole() / 2 + 4));
        inks.add(new PatternMark.Words(
                new PatternPoint(l * 0.3, 3), WORDS, false, Phrase.of("{0} between centres", Quantity.length(l))));
        inks.add(new PatternMark.Words(
                new PatternPoint(-r1, r1 + 3),
                WORDS,
                false,
                Phrase.of(Phrase.name(a.name()) + ", plate {0}", Quantity.length(a.thickness()))));
        all.add(new FlatPattern(
                a.name(),
                Phrase.of(
                        "From steer axis or shaft to the end's joint, square to that axis: {0}. Left and right are the same plate turned over. Cut outside the line, drill under size and ream.",
                        Quantity.length(l)),
                Optional.of(a.thickness()),
                inks));
    }

    private static void bracket(Job job, Piece.BearingBracket b, List<FlatPattern> all, List<Phrase> open) {
        Optional<Column> column = job.column();
        Optional<Bearing> bearing = column.flatMap(c -> c.bearing(b.bearing()));
        Optional<Obstacle> foot = job.surroundings().get(b.foot());
        String bearingName = bearing.map(Bearing::name).orElse(b.bearing().text());
        String footName = foot.map(Obstacle::name).orElse(b.foot().text());
        if (bearing.isEmpty() || foot.isEmpty()) {
            open.add(Phrase.of("\"" + Phrase.name(b.name()) + "\": there is no "
                    + (bearing.isEmpty()
                            ? "bearing \"" + Phrase.name(bearingName) + "\" on the column"
                            : "\"" + Phrase.name(footName) + "\" in the way")
                    + " any more."));
            return;
        }
        if (!SurfaceReach.carries(foot.get().shape())) {
            open.add(Phrase.of("\"" + Phrase.name(b.name()) + "\": a bracket is not drawn onto a "
                    + foot.get().shape().label() + "; give what it stands on as a box, plate, tube or cylinder."));
            return;
        }
        Column c = column.get();
        Point middle = c.place(bearing.get());
        Direction axis = c.axis(bearing.get().shaft());
        List<SurfaceReach.Reach> ways =
                SurfaceReach.square(middle, axis, foot.get().shape());
        if (ways.isEmpty()) {
            open.add(Phrase.of("\"" + Phrase.name(b.name()) + "\": a plate square to the shaft at \""
                    + Phrase.name(bearingName) + "\" does not meet \"" + Phrase.name(footName)
                    + "\"; move the bearing along, or stand it on something else."));
            return;
        }
        // The nearest way on which all of the foot finds something to stand on.
        for (SurfaceReach.Reach reach : ways) {
            List<PatternPoint> edge =
                    edge(b, middle, axis, reach.way(), foot.get().shape());
            if (!edge.isEmpty()) {
                foot(b, footName, axis, reach, edge, all, open);
                return;
            }
        }
        open.add(Phrase.of(
                "\"" + Phrase.name(b.name()) + "\": its foot of {0} is wider than \"" + Phrase.name(footName)
                        + "\" is there. Make it narrower.",
                Quantity.length(b.footWidth())));
    }

    /**
     * Where the foot meets what it stands on, from left to right seen from the wheel with the foot down; empty where
     * part of it meets nothing.
     */
    private static List<PatternPoint> edge(
            Piece.BearingBracket b, Point middle, Direction axis, Direction way, Shape shape) {
        // Seen from the wheel along the axis, down is toward the foot; right is then down turned a quarter against the
        // clock.
        Vector right = way.vector().cross(axis.vector());
        List<PatternPoint> edge = new ArrayList<>();
        for (int i = 0; i <= FOOT_STEPS; i++) {
            double x = b.footWidth() * (i - FOOT_STEPS / 2.0) / FOOT_STEPS;
            Optional<SurfaceReach.Hit> hit = SurfaceReach.from(middle.plus(right.times(x)), way, shape);
            if (hit.isEmpty()) {
                return List.of();
            }
            edge.add(new PatternPoint(x, -hit.get().far()));
        }
        return edge;
    }

    /** The plate seen from the wheel, its foot down. */
    private static void foot(
            Piece.BearingBracket b,
            String footName,
            Direction axis,
            SurfaceReach.Reach reach,
            List<PatternPoint> edge,
            List<FlatPattern> all,
            List<Phrase> open) {
        double r = Math.max(b.hole() / 2, b.bolts() > 0 ? (b.boltCircle() + b.boltHole()) / 2 : 0) + b.margin();
        if (edge.stream().anyMatch(s -> s.y() > -r || Math.hypot(s.x(), s.y()) <= r)) {
            open.add(Phrase.of(
                    "\"" + Phrase.name(b.name())
                            + "\": the bearing is {0} from what it stands on, and its flange alone needs {1}.",
                    Quantity.length(reach.hit().far()),
                    Quantity.length(r)));
            return;
        }
        List<PatternMark> inks = new ArrayList<>();
        inks.add(new PatternMark.Path(PatternMark.Layer.CUT, PlateOutline.roundAndFoot(r, edge), true));
        inks.add(new PatternMark.Circle(PatternMark.Layer.CUT, new PatternPoint(0, 0), b.hole() / 2));
        inks.addAll(cross(0, 0, b.hole() / 2 + 5));
        for (int i = 0; i < b.bolts(); i++) {
            double at = Math.PI / 2 + 2 * Math.PI * (i + 0.5) / b.bolts();
            inks.add(new PatternMark.Circle(
                    PatternMark.Layer.CUT,
                    new PatternPoint(b.boltCircle() / 2 * Math.cos(at), b.boltCircle() / 2 * Math.sin(at)),
                    b.boltHole() / 2));
        }
        double lean = 90
                - Math.toDegrees(Math.acos(
                        Math.min(1, Math.abs(axis.dot(reach.hit().square().vector())))));
        inks.add(line(0, -b.hole() / 2 - 5, 0, -reach.hit().far()));
        inks.add(new PatternMark.Words(
                new PatternPoint(2, -(b.hole() / 2 + reach.hit().far()) / 2),
                WORDS,
                false,
                Phrase.of("{0}", Quantity.length(reach.hit().far()))));
        inks.add(new PatternMark.Words(
                new PatternPoint(-r, r + 3),
                WORDS,
                false,
                Phrase.of(Phrase.name(b.name()) + ", plate {0}, seen from the wheel", Quantity.length(b.thickness()))));
        all.add(new FlatPattern(
                b.name(),
                Phrase.of(
                        "Square to the shaft, seen from the wheel, its foot on \"" + Phrase.name(footName)
                                + "\" {0} from the bearing's middle. The plate leans {1} from square to that surface: "
                                + "bevel the foot by as much. Tack, fit the shaft, turn it, and only then weld, the bearing off.",
                        Quantity.length(reach.hit().far()),
                        Quantity.angle(lean)),
                Optional.of(b.thickness()),
                inks));
    }

    private static void notch(Job job, Notch n, List<FlatPattern> all) {
        if (!(job.surroundings().obstacles().get(n.obstacle()).shape() instanceof Shape.Box box)) {
            return;
        }
        double[] across = acrossAndInto(n, box);
        boolean whole = n.height() >= across[0] - 0.5;
        String name = "Notch in " + n.rail().name() + " (" + n.face().label() + ")";
        List<PatternMark> mark = new ArrayList<>();
        mark.add(new PatternMark.Path(
                PatternMark.Layer.CUT,
                List.of(
                        new PatternPoint(0, 0),
                        new PatternPoint(n.width(), 0),
                        new PatternPoint(n.width(), n.height()),
                        new PatternPoint(0, n.height())),
                true));
        for (double[] corner : new double[][] {
            {CORNER, CORNER},
            {n.width() - CORNER, CORNER},
            {n.width() - CORNER, n.height() - CORNER},
            {CORNER, n.height() - CORNER}
        }) {
            if (n.width() > 3 * CORNER && n.height() > 3 * CORNER) {
                mark.add(
                        new PatternMark.Circle(PatternMark.Layer.MARK, new PatternPoint(corner[0], corner[1]), CORNER));
            }
        }
        mark.addAll(cross(n.width() / 2, n.height() / 2, 6));
        mark.add(new PatternMark.Words(
                new PatternPoint(0, n.height() + 2),
                WORDS,
                false,
                Phrase.of(Phrase.name(name) + ": {0} deep", Quantity.length(n.depth()))));
        all.add(new FlatPattern(
                name,
                Phrase.of(
                        "Lay it on the " + n.face().label() + " of "
                                + Phrase.name(n.rail().name())
                                + ", its cross at x {0}, y {1}, z {2}, its length along the rail. Drill the corners first, so that they are round. {3} deep.",
                        Quantity.length(n.middle().x()),
                        Quantity.length(n.middle().y()),
                        Quantity.length(n.middle().z()),
                        Quantity.length(n.depth())),
                Optional.empty(),
                mark));
        lining(n, name, all);
        if (whole) {
            doubler(n, name, across[1], all);
        }
    }

    /** Size of a rail across the notched face and into it, mm. */
    private static double[] acrossAndInto(Notch n, Shape.Box b) {
        // A rail is long one way; of the other two the notch is into the one nearer its face's direction.
        double[] size = {b.length(), b.width(), b.height()};
        Vector[] axes = {b.place().ex(), b.place().ey(), b.place().ez()};
        int along = size[0] >= size[1] && size[0] >= size[2] ? 0 : size[1] >= size[2] ? 1 : 2;
        Vector face =
                switch (n.face()) {
                    case FRONT, REAR -> Vector.X;
                    case LEFT, RIGHT -> Vector.Y;
                    case TOP, BOTTOM -> Vector.Z;
                };
        int one = (along + 1) % 3;
        int two = (along + 2) % 3;
        int into = Math.abs(axes[one].dot(face)) >= Math.abs(axes[two].dot(face)) ? one : two;
        return new double[] {size[into == one ? two : one], size[into]};
    }

    /** The plate that lines the notch: down, along, up again, folded at two lines. */
    private static void lining(Notch n, String name, List<FlatPattern> all) {
        double run = n.depth() + n.width() + n.depth();
        List<PatternMark> inks = new ArrayList<>();
        inks.add(new PatternMark.Path(
                PatternMark.Layer.CUT,
                List.of(
                        new PatternPoint(0, 0),
                        new PatternPoint(run, 0),
                        new PatternPoint(run, n.height()),
                        new PatternPoint(0, n.height())),
                true));
        inks.add(line(n.depth(), 0, n.depth(), n.height()));
        inks.add(line(n.depth() + n.width(), 0, n.depth() + n.width(), n.height()));
        inks.add(new PatternMark.Words(
                new PatternPoint(0, n.height() + 2),
                WORDS,
                false,
                Phrase.of(Phrase.name(name) + ", lining, fold 90° at both lines")));
        all.add(new FlatPattern(
                name + ", lining",
                Phrase.of(
                        "Lines the notch, as thick as the rail's own wall: fold on both lines, allowing for the bend of your plate, and weld in all round before anything else is cut from the rail."),
                Optional.empty(),
                inks));
    }

    /** On both sides of a notch that goes right across the face. */
    private static void doubler(Notch n, String name, double railInto, List<FlatPattern> all) {
        double from = (n.boxing() - n.width()) / 2;
        double to = from + n.width();
        List<PatternPoint> outline = List.of(
                new PatternPoint(0, 0),
                new PatternPoint(n.boxing(), 0),
                new PatternPoint(n.boxing(), railInto),
                new PatternPoint(to, railInto),
                new PatternPoint(to, railInto - n.depth()),
                new PatternPoint(from, railInto - n.depth()),
                new PatternPoint(from, railInto),
                new PatternPoint(0, railInto));
        List<PatternMark> inks = new ArrayList<>();
        inks.add(new PatternMark.Path(PatternMark.Layer.CUT, outline, true));
        inks.add(new PatternMark.Words(
                new PatternPoint(0, railInto + 2),
                WORDS,
                false,
                Phrase.of(Phrase.name(name) + ", side plate, 2 off, mirror images")));
        all.add(new FlatPattern(
                name + ", side plate",
                Phrase.of(
                        "One on either side of the rail, {0} long, its cut-out on the notch. Round the cut-out's corners to {1}; weld along, not across the rail at its ends.",
                        Quantity.length(n.boxing()), Quantity.length(CORNER)),
                Optional.empty(),
                inks));
    }
}
