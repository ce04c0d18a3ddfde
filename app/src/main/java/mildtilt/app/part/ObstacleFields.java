package mildtilt.app.part;

import static mildtilt.app.forms.SizeField.length;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import mildtilt.app.forms.ChoiceField;
import mildtilt.app.forms.PartFields;
import mildtilt.app.forms.SizeField;
import mildtilt.describe.JobPlace;
import mildtilt.describe.Ranges;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.obstacle.AntiRollBar;
import mildtilt.obstacle.CarriedShape;
import mildtilt.obstacle.Carrier;
import mildtilt.obstacle.Driver;
import mildtilt.obstacle.EndFit;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Obstacle.May;
import mildtilt.obstacle.PartEnd;
import mildtilt.obstacle.Sweep;
import mildtilt.obstacle.TwoEnded;
import mildtilt.parts.ObstacleParts;
import mildtilt.steer.position.CarrierMotion;
import mildtilt.travel.TravelStop;

/** The sizes and choices of what is in the way, of the driver, and of the own parts that only clearances ask for. */
final class ObstacleFields {

    private static final double USUAL_SWING_DEG = 20;
    private static final double USUAL_SLIDE = 40;
    private static final double USUAL_WANDER = 10;
    private static final double USUAL_FOLLOW = 0.2;
    private static final double USUAL_TILT = 20;

    private ObstacleFields() {}

    static List<SizeField> of(Job job, int index) {
        Obstacle o = job.surroundings().obstacles().get(index);
        JobPlace at = JobPlace.WHOLE.in("surroundings").in("obstacles").at(index);
        PartFields.Edit<Obstacle> edit = (j, change) -> j.editSurroundings(s -> s.edit(index, change));
        List<SizeField> all = PartFields.of(at, ObstacleParts.OBSTACLE, o, "", edit);
        all.addAll(PartFields.of(
                at.in("shape"),
                ObstacleParts.SHAPE,
                o.shape(),
                "",
                (j, change) -> edit.apply(j, x -> x.withShape(change.apply(x.shape())))));
        if (!(o.sweep() instanceof Sweep.Still)) {
            all.addAll(PartFields.of(
                    at.in("sweep"),
                    ObstacleParts.SWEEP,
                    o.sweep(),
                    "",
                    (j, change) -> edit.apply(j, x -> x.withSweep(change.apply(x.sweep())))));
        }
        if (o.shape() instanceof TwoEnded t) {
            ends(all, at.in("shape"), t, edit);
        }
        if (o.shape() instanceof AntiRollBar bar) {
            links(all, at.in("shape"), bar, edit);
        }
        if (TravelStop.is(job, o)) {
            String what = TravelStop.endsDroop(o) ? "Droop" : "Bump";
            TravelStop.left(job, index)
                    .ifPresent(mm -> all.addFirst(length(
                                    "travel-left",
                                    what + " it leaves",
                                    mm,
                                    (j, v) -> TravelStop.set(j, index, travel(o, v)))
                            .meaning("Straight ahead. Type the travel you want, and its length is set for it.")));
        }
        switch (o.sweep()) {
            case Sweep.Turns t -> pivot(all, index, t.axis(), a -> new Sweep.Turns(a, t.fromDeg(), t.toDeg()));
            case Sweep.FollowsWheel f ->
                pivot(all, index, f.axis(), a -> new Sweep.FollowsWheel(f.side(), a, f.degPerMm()));
            case Sweep.Still _, Sweep.Slides _, Sweep.Wanders _ -> {}
        }
        return all;
    }

    /** Refused as the vehicle's own travel is. */
    private static double travel(Obstacle o, double mm) {
        return PartFields.within(
                JobPlace.WHOLE.in("vehicle").in(TravelStop.endsDroop(o) ? "droop_mm" : "bump_mm"),
                mm,
                Ranges.WHEEL_TRAVEL);
    }

    private static void ends(List<SizeField> all, JobPlace at, TwoEnded t, PartFields.Edit<Obstacle> edit) {
        for (boolean first : new boolean[] {true, false}) {
            t.end(first)
                    .fit()
                    .ifPresent(fit -> all.addAll(PartFields.of(
                            at.in(first ? "from" : "to").in("fit"),
                            ObstacleParts.END_FIT,
                            fit,
                            first ? ", one end" : ", other end",
                            (j, change) -> edit.apply(
                                    j,
                                    o -> withEnd(
                                            o, first, e -> e.withFit(e.fit().map(change)))))));
        }
    }

    private static void links(List<SizeField> all, JobPlace at, AntiRollBar bar, PartFields.Edit<Obstacle> edit) {
        for (Side side : Side.values()) {
            bar.arm(side)
                    .fit()
                    .ifPresent(fit -> all.addAll(PartFields.of(
                            at.in(side.code()).in("fit"),
                            ObstacleParts.END_FIT,
                            fit,
                            ", " + side.label() + " arm",
                            (j, change) -> edit.apply(
                                    j,
                                    o -> withArm(o, side, a -> a.withFit(a.fit().map(change)))))));
            bar.arm(side)
                    .link()
                    .fit()
                    .ifPresent(fit -> all.addAll(PartFields.of(
                            at.in(side.code()).in("link").in("fit"),
                            ObstacleParts.END_FIT,
                            fit,
                            ", " + side.label() + " link",
                            (j, change) -> edit.apply(
                                    j,
                                    o -> withArm(
                                            o,
                                            side,
                                            a -> a.withLink(a.link()
                                                    .withFit(a.link().fit().map(change))))))));
        }
    }

    private static Obstacle withArm(Obstacle o, Side side, UnaryOperator<AntiRollBar.Arm> change) {
        return o.shape() instanceof AntiRollBar bar ? o.withShape(bar.withArm(side, change.apply(bar.arm(side)))) : o;
    }

    /** Where the bar's bushes and its links are fixed, and whether the links' ends are eyes. */
    private static void barChoices(List<ChoiceField> all, Job job, AntiRollBar bar, int index) {
        all.add(carrier(
                "bushes-on",
                "Bushes on",
                job,
                bar.on(),
                (j, c) -> j.editSurroundings(
                        s -> s.edit(index, o -> o.shape() instanceof AntiRollBar b ? o.withShape(b.withOn(c)) : o))));
        for (Side side : Side.values()) {
            String id = side.code() + "-link";
            String name = side == Side.LEFT ? "Left link" : "Right link";
            AntiRollBar.Arm arm = bar.arm(side);
            all.add(carrier(
                    id + "-on",
                    name + " fixed to",
                    job,
                    arm.link().on(),
                    (j, c) -> j.editSurroundings(s -> s.edit(
                            index,
                            o -> withArm(o, side, a -> a.withLink(a.link().withOn(c)))))));
            EndFit eye = new EndFit.Eye(bar.usualBolt(side), USUAL_TILT);
            all.add(ChoiceField.yesNo(
                            id + "-ends",
                            name + "'s ends",
                            "eyes on bolts",
                            "not known",
                            arm.fit().isPresent(),
                            (j, eyes) -> j.editSurroundings(s -> s.edit(
                                    index,
                                    o -> withArm(o, side, a -> a.withFit(
                                                    eyes ? Optional.of(a.fit().orElse(eye)) : Optional.empty())
                                            .withLink(a.link()
                                                    .withFit(
                                                            eyes
                                                                    ? Optional.of(a.link()
                                                                            .fit()
                                                                            .orElse(eye))
                                                                    : Optional.empty()))))))
                    .meaning("How far a link's ends may tilt is only looked at where it is known how they are held."));
        }
    }

    private static Obstacle withEnd(Obstacle o, boolean first, UnaryOperator<PartEnd> change) {
        return o.shape() instanceof TwoEnded t
                ? o.withShape(
                        first ? t.between(change.apply(t.from()), t.to()) : t.between(t.from(), change.apply(t.to())))
                : o;
    }

    private interface About {
        Sweep with(Axis axis);
    }

    private static void pivot(List<SizeField> all, int index, Axis axis, About about) {
        Point p = axis.origin();
        BiFunction<Job, Point, Job> set = (j, q) ->
                j.editSurroundings(s -> s.edit(index, o -> o.withSweep(about.with(new Axis(q, axis.direction())))));
        all.add(length("pivot-x", "Pivot, x", p.x(), (j, v) -> set.apply(j, new Point(v, p.y(), p.z()))));
        all.add(length("pivot-y", "Pivot, y", p.y(), (j, v) -> set.apply(j, new Point(p.x(), v, p.z()))));
        all.add(length("pivot-z", "Pivot, z", p.z(), (j, v) -> set.apply(j, new Point(p.x(), p.y(), v))));
    }

    static List<ChoiceField> choices(Job job, int index) {
        Obstacle o = job.surroundings().obstacles().get(index);
        List<ChoiceField> all = new ArrayList<>();
        if (o.shape() instanceof TwoEnded t) {
            endChoices(all, job, t, index);
        } else if (o.shape() instanceof AntiRollBar bar) {
            barChoices(all, job, bar, index);
        } else {
            all.add(carrier(
                    "carrier",
                    "Fixed to",
                    job,
                    o.carrier(),
                    (j, c) -> j.editSurroundings(s -> s.edit(index, x -> x.withCarrier(c)))));
        }
        all.add(ChoiceField.yesNo(
                        "hot",
                        "Heat",
                        "gives off heat",
                        "cold",
                        o.hot(),
                        (j, hot) -> j.editSurroundings(s -> s.edit(index, x -> x.withHot(hot))))
                .meaning("Hot parts need a larger gap."));
        boolean between = o.shape() instanceof CarriedShape;
        List<Sweep> ways = between ? List.of(new Sweep.Still(), new Sweep.Wanders(USUAL_WANDER)) : sweeps(o);
        List<String> words = between
                ? List.of("stays", "wanders")
                : List.of(
                        "stays",
                        "turns (across)",
                        "turns (fore and aft)",
                        "slides fore and aft",
                        "slides up and down",
                        "wanders",
                        "left wheel turns it",
                        "right wheel turns it");
        all.add(new ChoiceField(
                "sweep",
                "Moves by itself",
                "Pedals and rocking engines turn, hoses wander, an anti-roll bar is turned by its wheel.",
                words,
                between ? o.sweep() instanceof Sweep.Wanders ? 1 : 0 : chosen(o.sweep()),
                (j, i) -> j.editSurroundings(s -> s.edit(index, x -> x.withSweep(ways.get(i))))));
        List<String> may = Stream.of(May.values()).map(May::label).toList();
        all.add(new ChoiceField(
                "may",
                "May it give way",
                "What a remedy or a route may ask of it: a battery box is moved, a rail is notched, a leaf spring or a slide bar is neither.",
                may,
                o.may().ordinal(),
                (j, i) -> j.editSurroundings(s -> s.edit(index, x -> x.withMay(Optional.of(May.values()[i]))))));
        if (between) {
            return all;
        }
        all.add(ChoiceField.yesNo(
                        "takes-bearings",
                        "Bearings",
                        "bracket can be fixed",
                        "none fixed to it",
                        o.takesBearings(),
                        (j, takes) -> j.editSurroundings(s -> s.edit(index, x -> x.withTakesBearings(takes))))
                .meaning("Whether the route finder may fix the bracket of a support bearing to it."));
        return all;
    }

    /** Of the parts that this axle has. */
    private static ChoiceField carrier(
            String id, String label, Job job, Carrier now, BiFunction<Job, Carrier, Job> set) {
        List<Carrier> all = Stream.of(Carrier.values())
                .filter(c -> c == now
                        || job.axle().map(a -> CarrierMotion.exists(a, c)).orElse(c == Carrier.FRAME))
                .toList();
        return new ChoiceField(
                id,
                label,
                "",
                all.stream().map(Carrier::label).toList(),
                all.indexOf(now),
                (j, i) -> set.apply(j, all.get(i)));
    }

    private static void endChoices(List<ChoiceField> all, Job job, TwoEnded t, int index) {
        for (boolean first : new boolean[] {true, false}) {
            String id = first ? "from" : "to";
            String which = first ? "One end" : "Other end";
            PartEnd end = t.end(first);
            all.add(carrier(
                    id + "-on",
                    which + " fixed to",
                    job,
                    end.on(),
                    (j, c) -> j.editSurroundings(s -> s.edit(index, o -> withEnd(o, first, e -> e.withOn(c))))));
            List<Optional<EndFit>> fits = fits(t, first);
            all.add(new ChoiceField(
                    id + "-fit",
                    which + " held by",
                    "How far an end may tilt is only looked at where it is known how it is held.",
                    fits.stream()
                            .map(f -> f.map(EndFit::label).orElse("not known"))
                            .toList(),
                    fits.indexOf(end.fit()),
                    (j, i) -> j.editSurroundings(
                            s -> s.edit(index, o -> withEnd(o, first, e -> e.withFit(fits.get(i)))))));
        }
    }

    /** What an end may be held by, that which holds it among them. */
    private static List<Optional<EndFit>> fits(TwoEnded t, boolean first) {
        Direction along = t.end(!first).at().minus(t.end(first).at()).direction();
        List<EndFit> fresh = t instanceof TwoEnded.Hose
                ? List.of(new EndFit.Fitting(along))
                : List.of(new EndFit.Eye(along.anySquare(), USUAL_TILT), new EndFit.Ball(along, USUAL_TILT));
        List<Optional<EndFit>> all = new ArrayList<>(List.of(Optional.empty()));
        for (EndFit f : fresh) {
            all.add(Optional.of(t.end(first)
                    .fit()
                    .filter(now -> now.getClass() == f.getClass())
                    .orElse(f)));
        }
        return all;
    }

    private static List<Sweep> sweeps(Obstacle o) {
        Point at = o.shape().points().getFirst();
        Axis across = new Axis(at, Vector.Y.direction());
        Axis along = new Axis(at, Vector.X.direction());
        return List.of(
                new Sweep.Still(),
                new Sweep.Turns(across, -USUAL_SWING_DEG, 0),
                new Sweep.Turns(along, -3, 3),
                new Sweep.Slides(Vector.X.direction(), 0, USUAL_SLIDE),
                new Sweep.Slides(Vector.Z.direction(), 0, USUAL_SLIDE),
                new Sweep.Wanders(USUAL_WANDER),
                new Sweep.FollowsWheel(Side.LEFT, across, USUAL_FOLLOW),
                new Sweep.FollowsWheel(Side.RIGHT, across, USUAL_FOLLOW));
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

    private static final JobPlace DRIVER = JobPlace.WHOLE.in("surroundings").in("driver");

    static List<SizeField> driver(Driver d) {
        List<SizeField> all = PartFields.of(DRIVER, ObstacleParts.DRIVER, d, "", ObstacleFields::driver);
        d.pedals().ifPresent(p -> {
            JobPlace at = DRIVER.in("pedals");
            all.addAll(PartFields.of(
                    at,
                    ObstacleParts.PEDALS,
                    p,
                    "",
                    (j, change) -> driver(j, x -> x.withPedals(x.pedals().map(change)))));
            all.add(length(
                    at.in("x").id(),
                    "Pedal axle, x",
                    p.axle().x(),
                    (j, v) -> axle(j, new Point(v, p.axle().y(), p.axle().z()))));
            all.add(length(
                    at.in("z").id(),
                    "Pedal axle, z",
                    p.axle().z(),
                    (j, v) -> axle(j, new Point(p.axle().x(), p.axle().y(), v))));
        });
        return all;
    }

    private static Job driver(Job job, UnaryOperator<Driver> edit) {
        return job.editSurroundings(s -> s.withDriver(s.driver().map(edit)));
    }

    private static Job axle(Job job, Point to) {
        PartFields.within(DRIVER.in("pedals").in("axle_mm"), to.x(), Ranges.COORDINATE);
        PartFields.within(DRIVER.in("pedals").in("axle_mm"), to.z(), Ranges.COORDINATE);
        return driver(job, d -> d.withPedals(d.pedals().map(p -> new Driver.Pedals(to, p.crank(), p.apart()))));
    }

    static List<ChoiceField> driverChoices(Driver d) {
        return List.of(ChoiceField.yesNo(
                        DRIVER.in("pedals").id(),
                        "Feet",
                        "rest on the floor",
                        "turn pedals",
                        d.pedals().isEmpty(),
                        (j, floor) -> driver(j, x -> floor ? x.withPedals(Optional.empty()) : x.onUsualPedals()))
                .meaning("Legs that turn pedals are looked at all round their turn: knees come up as the bar swings."));
    }

    static List<SizeField> own(Job job) {
        return PartFields.of(
                JobPlace.WHOLE.in("surroundings").in("own_parts"),
                ObstacleParts.OWN,
                job.surroundings().own(),
                "",
                (j, change) -> j.editSurroundings(s -> s.withOwn(change.apply(s.own()))));
    }
}
