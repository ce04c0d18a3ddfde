package mildtilt.app.piece;

import static mildtilt.app.piece.PieceField.angle;
import static mildtilt.app.piece.PieceField.length;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.stream.Stream;
import java.util.function.BiFunction;
import mildtilt.app.piece.PieceField.Measure;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.obstacle.Carrier;
import mildtilt.obstacle.Driver;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Obstacle.May;
import mildtilt.obstacle.OwnParts;
import mildtilt.obstacle.Shape;
import mildtilt.obstacle.Sweep;

/** The sizes and choices of what is in the way, of the driver, and of the own parts that only clearances ask for. */
final class ObstacleFields {

    private static final double USUAL_SWING_DEG = 20;
    private static final double USUAL_SLIDE = 40;
    private static final double USUAL_WANDER = 10;
    private static final double USUAL_FOLLOW = 0.2;

    private ObstacleFields() {}

    private static Job edit(Job job, int index, BiFunction<Obstacle, Double, Obstacle> set, double v) {
        return job.editSurroundings(s -> s.edit(index, o -> set.apply(o, v)));
    }

    private static PieceField len(int index, String label, double mm, BiFunction<Obstacle, Double, Obstacle> set) {
        return length(label, mm, (j, v) -> edit(j, index, set, v));
    }

    private static PieceField deg(int index, String label, double deg, BiFunction<Obstacle, Double, Obstacle> set) {
        return angle(label, deg, (j, v) -> edit(j, index, set, v));
    }

    static List<PieceField> of(Obstacle o, int index) {
        List<PieceField> all = new ArrayList<>();
        all.add(len(index, "Gap it needs", o.gap(), Obstacle::withGap));
        switch (o.shape()) {
            case Shape.Tube t -> all.add(len(index, "Diameter", t.diameter(), (x, v) -> x.withShape(new Shape.Tube(t.line(), v))));
            case Shape.Cylinder c -> all.add(len(index, "Diameter", c.diameter(), (x, v) -> x.withShape(new Shape.Cylinder(c.from(), c.to(), v))));
            case Shape.Sphere s -> all.add(len(index, "Diameter", s.diameter(), (x, v) -> x.withShape(new Shape.Sphere(s.centre(), v))));
            case Shape.Plate p -> all.add(len(index, "Thickness", p.thickness(), (x, v) -> x.withShape(new Shape.Plate(p.corners(), v))));
            case Shape.Box b -> {
                all.add(len(index, "Length", b.length(), (x, v) -> x.withShape(b.sized(v, b.width(), b.height()))));
                all.add(len(index, "Width", b.width(), (x, v) -> x.withShape(b.sized(b.length(), v, b.height()))));
                all.add(len(index, "Height", b.height(), (x, v) -> x.withShape(b.sized(b.length(), b.width(), v))));
                all.add(deg(index, "Points to the left by", b.leftDeg(), (x, v) -> x.withShape(b.turned(v, b.downDeg(), b.rollDeg()))));
                all.add(deg(index, "Slopes down forward by", b.downDeg(), (x, v) -> x.withShape(b.turned(b.leftDeg(), v, b.rollDeg()))));
                all.add(deg(index, "Left side lifted by", b.rollDeg(), (x, v) -> x.withShape(b.turned(b.leftDeg(), b.downDeg(), v))));
            }
            case Shape.Scan s -> {
                all.add(deg(index, "Points to the left by", s.leftDeg(), (x, v) -> x.withShape(s.turned(v, s.downDeg(), s.rollDeg()))));
                all.add(deg(index, "Slopes down forward by", s.downDeg(), (x, v) -> x.withShape(s.turned(s.leftDeg(), v, s.rollDeg()))));
                all.add(deg(index, "Left side lifted by", s.rollDeg(), (x, v) -> x.withShape(s.turned(s.leftDeg(), s.downDeg(), v))));
            }
        }
        sweep(all, o, index);
        return all;
    }

    private static void sweep(List<PieceField> all, Obstacle o, int index) {
        switch (o.sweep()) {
            case Sweep.Still _ -> { }
            case Sweep.Turns t -> {
                all.add(deg(index, "Turns back to", t.fromDeg(), (x, v) -> x.withSweep(new Sweep.Turns(t.axis(), v, t.toDeg())))
                        .meaning("From where it stands, 0 or below; right-handed about its pivot."));
                all.add(deg(index, "Turns on to", t.toDeg(), (x, v) -> x.withSweep(new Sweep.Turns(t.axis(), t.fromDeg(), v))));
                pivot(all, index, t.axis(), a -> new Sweep.Turns(a, t.fromDeg(), t.toDeg()));
            }
            case Sweep.Slides s -> {
                all.add(len(index, "Slides back to", s.from(), (x, v) -> x.withSweep(new Sweep.Slides(s.along(), v, s.to()))));
                all.add(len(index, "Slides on to", s.to(), (x, v) -> x.withSweep(new Sweep.Slides(s.along(), s.from(), v))));
            }
            case Sweep.Wanders w -> all.add(len(index, "Wanders up to", w.by(), (x, v) -> x.withSweep(new Sweep.Wanders(v))));
            case Sweep.FollowsWheel f -> {
                all.add(PieceField.number("Turns per mm of travel, °", f.degPerMm(), (j, v) -> edit(j, index,
                        (x, d) -> x.withSweep(new Sweep.FollowsWheel(f.side(), f.axis(), d)), v)));
                pivot(all, index, f.axis(), a -> new Sweep.FollowsWheel(f.side(), a, f.degPerMm()));
            }
        }
    }

    private interface About {
        Sweep with(Axis axis);
    }

    private static void pivot(List<PieceField> all, int index, Axis axis, About about) {
        Point p = axis.origin();
        all.add(len(index, "Pivot, x", p.x(), (o, v) -> o.withSweep(about.with(new Axis(new Point(v, p.y(), p.z()), axis.direction())))));
        all.add(len(index, "Pivot, y", p.y(), (o, v) -> o.withSweep(about.with(new Axis(new Point(p.x(), v, p.z()), axis.direction())))));
        all.add(len(index, "Pivot, z", p.z(), (o, v) -> o.withSweep(about.with(new Axis(new Point(p.x(), p.y(), v), axis.direction())))));
    }

    static List<PieceChoice> choices(Obstacle o, int index) {
        List<PieceChoice> all = new ArrayList<>();
        all.add(PieceChoice.of("Fixed to", Carrier.values(), Carrier::label, o.carrier(), (j, c) -> j.editSurroundings(s -> s.edit(index, x -> x.withCarrier(c)))));
        all.add(PieceChoice.yesNo("Heat", "gives off heat", "cold", o.hot(), (j, hot) -> j.editSurroundings(s -> s.edit(index, x -> x.withHot(hot))))
                .meaning("What is hot asks for a larger gap."));
        List<Sweep> ways = sweeps(o);
        List<String> words = List.of("stays", "turns (across)", "turns (fore and aft)", "slides fore and aft", "slides up and down", "wanders", "left wheel turns it", "right wheel turns it");
        all.add(new PieceChoice("Moves by itself", "Pedals and rocking engines turn, hoses wander, an anti-roll bar is turned by its wheel.", words, chosen(o.sweep()),
                (j, i) -> j.editSurroundings(s -> s.edit(index, x -> x.withSweep(ways.get(i))))));
        List<String> may = Stream.of(May.values()).map(May::label).toList();
        all.add(new PieceChoice("May it give way", "What a remedy or a route may ask of it: a battery box is moved, a rail is notched, a leaf spring or a slide bar is neither.", may,
                o.may().ordinal(), (j, i) -> j.editSurroundings(s -> s.edit(index, x -> x.withMay(Optional.of(May.values()[i]))))));
        all.add(PieceChoice.yesNo("Bearings", "bracket can be fixed", "none fixed to it", o.takesBearings(),
                (j, takes) -> j.editSurroundings(s -> s.edit(index, x -> x.withTakesBearings(takes))))
                .meaning("Whether the route finder may fix the bracket of a support bearing to it."));
        return all;
    }

    private static List<Sweep> sweeps(Obstacle o) {
        Point at = o.shape().points().getFirst();
        Axis across = new Axis(at, Vector.Y.direction());
        Axis along = new Axis(at, Vector.X.direction());
        return List.of(new Sweep.Still(), new Sweep.Turns(across, -USUAL_SWING_DEG, 0), new Sweep.Turns(along, -3, 3),
                new Sweep.Slides(Vector.X.direction(), 0, USUAL_SLIDE), new Sweep.Slides(Vector.Z.direction(), 0, USUAL_SLIDE), new Sweep.Wanders(USUAL_WANDER),
                new Sweep.FollowsWheel(Side.LEFT, across, USUAL_FOLLOW), new Sweep.FollowsWheel(Side.RIGHT, across, USUAL_FOLLOW));
    }

    private static int chosen(Sweep s) {
        return switch (s) {
            case Sweep.Still _ -> 0;
            case Sweep.Turns t -> Math.abs(t.axis().direction().y()) > 0.7 ? 1 : 2;
            case Sweep.Slides d -> Math.abs(d.along().x()) > 0.7 ? 3 : 4;
            case Sweep.Wanders _ -> 5;
            case Sweep.FollowsWheel f -> f.side() == Side.LEFT ? 6 : 7;
        };
    }

    static List<PieceField> driver(Driver d) {
        return List.of(
                length("Thigh, hip to knee", d.thigh(), (j, v) -> driver(j, new Driver(d.hip(), d.heel(), v, d.shin(), d.kneesApart()))),
                length("Shin, knee to heel", d.shin(), (j, v) -> driver(j, d.withMeasures(d.thigh(), v, d.kneesApart()))),
                length("Knees apart", d.kneesApart(), (j, v) -> driver(j, d.withMeasures(d.thigh(), d.shin(), v))));
    }

    private static Job driver(Job job, Driver d) {
        return job.editSurroundings(s -> s.withDriver(Optional.of(d)));
    }

    static List<PieceField> own(Job job) {
        OwnParts p = job.surroundings().own();
        return List.of(
                length("Gap between own parts", p.gap(), (j, v) -> own(j, o(j).withGaps(v, o(j).tyreGap(), o(j).driverGap()))),
                length("Gap round the tyres", p.tyreGap(), (j, v) -> own(j, o(j).withGaps(o(j).gap(), v, o(j).driverGap()))),
                length("Gap round the driver", p.driverGap(), (j, v) -> own(j, o(j).withGaps(o(j).gap(), o(j).tyreGap(), v))),
                guessed("Rim diameter", p.rim(), "0.6 of the tyre's", OwnParts::withRim),
                guessed("Arms and track bar, across", p.arm(), OwnParts.USUAL_ARM + " mm", OwnParts::withArm),
                guessed("Rods without a tube, across", p.rod(), OwnParts.USUAL_ROD + " mm", OwnParts::withRod),
                guessed("Steering arms, across", p.steeringArm(), OwnParts.USUAL_STEERING_ARM + " mm", OwnParts::withSteeringArm),
                guessed("Gear, across", p.gear(), OwnParts.USUAL_GEAR + " mm", OwnParts::withGear));
    }

    private static PieceField guessed(String label, Optional<Double> given, String usual, BiFunction<OwnParts, Optional<Double>, OwnParts> with) {
        return PieceField.optional(label, Measure.LENGTH, given, (j, v) -> own(j, with.apply(o(j), v)))
                .meaning("Not given, " + usual + " is guessed, and what it decides is listed as not measured yet.");
    }

    private static OwnParts o(Job j) {
        return j.surroundings().own();
    }

    private static Job own(Job job, OwnParts p) {
        return job.editSurroundings(s -> s.withOwn(p));
    }
}
