package mildtilt.trials.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import mildtilt.analysis.Analysis;
import mildtilt.clearance.PairGap;
import mildtilt.column.Column;
import mildtilt.geometry.Side;
import mildtilt.id.Id;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.job.Vehicle;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.linkage.rods.Rod;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.position.Grid;
import mildtilt.trials.Measurand;
import mildtilt.trials.Setup;
import mildtilt.trials.TrialReading;
import mildtilt.trials.TrialSheet;

/**
 * One thing to be measured at a trial.
 *
 * @param round it belongs to
 * @param what is read
 * @param where to look, among the parts of the train
 * @param setup how the vehicle stands for it; what the trial says of ground, springs and wall is kept
 */
public record MeasurementTask(Round round, What what, Optional<Element> where, Setup setup) {

    /** Rounds in the order they are gone. */
    public enum Round {
        LENGTHS(
                "Angles and lengths",
                "An angle finder across both shafts of a joint; a tape or trammel from centre to centre."),
        CENTRE(
                "Centre and lock",
                "Gear in the middle and road wheels straight both at once; then to each lock, the wheels on turn plates."),
        PLATES(
                "Turn plates",
                "Zero both plates straight ahead. Turn until the inner plate shows the angle asked for, and read both."),
        WALL(
                "Wall trace",
                "Springs and bump stops off, steering wheel held still. Mark the dot at ride height; then lift the hub step by step and take how far the dot is from its mark."),
        RUN_OUT(
                "Run-out",
                "Dial square to the shaft, zero with the mark up; turn the shaft and read at equal steps. Off the vehicle in V-blocks, or between its joints."),
        RIM(
                "At the rim",
                "A pull scale square to the spoke at the rim. Raised first, then parked on its tyres. Free return at walking pace, on closed ground."),
        GAPS(
                "Gaps",
                "The tightest of the plan, each where the plan has it tightest: go through the whole range and read the smallest.");

        private final String label;
        private final String how;

        Round(String label, String how) {
            this.label = label;
            this.how = how;
        }

        public String label() {
            return label;
        }

        public String how() {
            return how;
        }
    }

    /** What is read. */
    public sealed interface What {}

    public record One(Measurand gauge) implements What {}

    public record Dot(Side wheel, boolean rodOn, double travel) implements What {}

    /** @param inner about which inner angle, degrees */
    public record Plates(Side way, double inner) implements What {}

    /** @param steps of one turn */
    public record Dial(Id shaft, double along, int steps) implements What {}

    public static final int DIAL_STEPS = 8;
    private static final int TRACE_STEPS_EACH_WAY = 3;
    private static final int STATIONS = 5;
    private static final int GAPS = 4;

    /** Whether it is read already. */
    public boolean taken(TrialSheet sheet) {
        return reading(sheet).isPresent();
    }

    public Optional<TrialReading> reading(TrialSheet sheet) {
        return sheet.readings().stream()
                .filter(r -> switch (what) {
                    case One o -> r instanceof TrialReading.Figure f && f.what().equals(o.gauge);
                    case Dot d ->
                        r instanceof TrialReading.WallDot w
                                && w.wheel() == d.wheel
                                && w.rodOn() == d.rodOn
                                && Math.abs(w.travel() - d.travel) < 0.5;
                    case Plates p ->
                        r instanceof TrialReading.PlatePair q
                                && q.way() == p.way
                                && Math.abs(q.inner() - p.inner) < 2.5;
                    case Dial d ->
                        r instanceof TrialReading.RunOut o
                                && o.shaft().equals(d.shaft)
                                && Math.abs(o.along() - d.along) < 0.5;
                })
                .findFirst();
    }

    /** In a word or two, as it stands on the bench. @param names what parts are called */
    public String title(Function<Id, String> names) {
        return switch (what) {
            case One o -> capital(o.gauge.label(names));
            case Dot d -> "Dot of the " + d.wheel.label() + " hub, tie rod " + (d.rodOn ? "on" : "off");
            case Plates p -> "Both plates, turned " + p.way.label();
            case Dial d -> "Dial on " + names.apply(d.shaft);
        };
    }

    private static String capital(String s) {
        return Character.toUpperCase(s.charAt(0)) + s.substring(1);
    }

    /** All that a plan lets ask for. */
    public static List<MeasurementTask> of(Analysis a, Setup setup) {
        List<MeasurementTask> all = new ArrayList<>();
        Job job = a.job();
        Setup ahead = setup.at(0, 0, 0);
        List<Element> train = Element.trainOf(job);
        job.column().ifPresent(c -> lengths(all, c, ahead));
        a.train().axle().ifPresent(x -> x.lengths().keySet().stream()
                .sorted()
                .forEach(rod -> all.add(new MeasurementTask(
                        Round.LENGTHS, new One(new Measurand.RodLength(rod)), at(train, rod), ahead))));
        a.steer().ifPresent(s -> turning(all, job, s, ahead));
        if (job.axle().isPresent() && job.axle().get().wheelTravel() != WheelTravel.NONE) {
            trace(all, job.vehicle(), ahead);
        }
        job.column().ifPresent(c -> runOut(all, c, ahead));
        if (job.column().isPresent() && job.axle().isPresent()) {
            for (boolean onGround : new boolean[] {false, true}) {
                for (Measurand g : List.of(new Measurand.RimForce(onGround), new Measurand.RimPlay(onGround))) {
                    all.add(new MeasurementTask(
                            Round.RIM, new One(g), Optional.of(new Element.Wheel()), ahead.withOnGround(onGround)));
                }
            }
            all.add(new MeasurementTask(
                    Round.RIM,
                    new One(new Measurand.FreeReturn()),
                    Optional.of(new Element.Wheel()),
                    ahead.withOnGround(true)));
        }
        a.clearance().ifPresent(c -> c.pairs().stream().limit(GAPS).forEach(p -> all.add(gap(p, setup))));
        return List.copyOf(all);
    }

    private static void lengths(List<MeasurementTask> all, Column c, Setup ahead) {
        for (int i = 0; i < c.joints().size(); i++) {
            all.add(new MeasurementTask(
                    Round.LENGTHS,
                    new One(new Measurand.JointAngle(c.joints().get(i).id())),
                    Optional.of(new Element.JointAt(i)),
                    ahead));
        }
        for (int i = 0; i < c.shafts().size(); i++) {
            all.add(new MeasurementTask(
                    Round.LENGTHS,
                    new One(new Measurand.ShaftLength(c.shafts().get(i).id())),
                    Optional.of(new Element.ShaftAt(i)),
                    ahead));
        }
    }

    private static Optional<Element> at(List<Element> train, Rod rod) {
        Element e = Element.of(rod);
        return train.contains(e) ? Optional.of(e) : Optional.empty();
    }

    private static void turning(List<MeasurementTask> all, Job job, SteerFigures s, Setup ahead) {
        Optional<Element> gear = Optional.of(new Element.GearElement());
        all.add(new MeasurementTask(Round.CENTRE, new One(new Measurand.GearOffCentre()), gear, ahead));
        if (job.column().isPresent()) {
            all.add(new MeasurementTask(
                    Round.CENTRE, new One(new Measurand.SpokesOffStraight()), Optional.of(new Element.Wheel()), ahead));
        }
        for (Side way : Side.values()) {
            Setup lock = ahead.at(s.lock(way).turn().steeringWheelDeg(), 0, 0);
            all.add(new MeasurementTask(
                    Round.CENTRE,
                    new One(new Measurand.TurnsTo(way)),
                    Optional.of(job.column().isPresent() ? new Element.Wheel() : new Element.GearElement()),
                    lock));
            for (Side wheel : Side.values()) {
                all.add(new MeasurementTask(
                        Round.CENTRE,
                        new One(new Measurand.LockAngle(way, wheel)),
                        Optional.of(new Element.Tyres()),
                        lock));
            }
        }
        for (Side way : Side.values()) {
            double most = s.lock(way).turn().innerDeg();
            for (double inner = 10; inner < most - 2; inner += 5) {
                double sw = steeringFor(s, way, inner);
                all.add(new MeasurementTask(
                        Round.PLATES, new Plates(way, inner), Optional.of(new Element.Tyres()), ahead.at(sw, 0, 0)));
            }
        }
    }

    /** The approximate inner angle, for display only. */
    private static double steeringFor(SteerFigures s, Side way, double inner) {
        return s.rows().stream()
                .filter(r -> r.turn().filter(t -> t.turned() == way).isPresent())
                .min((p, q) -> Double.compare(
                        Math.abs(p.turn().orElseThrow().innerDeg() - inner),
                        Math.abs(q.turn().orElseThrow().innerDeg() - inner)))
                .map(SteerFigures.SteerRow::steeringWheelDeg)
                .orElse(0.0);
    }

    private static void trace(List<MeasurementTask> all, Vehicle v, Setup ahead) {
        for (Side side : Side.values()) {
            for (boolean rodOn : new boolean[] {true, false}) {
                for (double z : Grid.spread(v.droop(), v.bump(), TRACE_STEPS_EACH_WAY)) {
                    double travel = Math.rint(z);
                    all.add(new MeasurementTask(
                            Round.WALL,
                            new Dot(side, rodOn, travel),
                            Optional.of(new Element.Knuckles()),
                            side == Side.LEFT ? ahead.at(0, travel, 0) : ahead.at(0, 0, travel)));
                }
            }
        }
    }

    private static void runOut(List<MeasurementTask> all, Column c, Setup ahead) {
        for (int i = 0; i < c.shafts().size(); i++) {
            double length = c.start(i).distanceTo(c.end(i));
            for (int k = 0; k < STATIONS; k++) {
                all.add(new MeasurementTask(
                        Round.RUN_OUT,
                        new Dial(
                                c.shafts().get(i).id(),
                                Math.rint(length * (0.12 + 0.76 * k / (STATIONS - 1))),
                                DIAL_STEPS),
                        Optional.of(new Element.ShaftAt(i)),
                        ahead));
            }
        }
    }

    private static MeasurementTask gap(PairGap p, Setup setup) {
        return new MeasurementTask(
                Round.GAPS,
                new One(new Measurand.Gap(p.firstId(), p.secondId())),
                Optional.of(p.firstElement()),
                setup.at(
                        p.where().steeringWheelDeg(),
                        p.where().travelLeft(),
                        p.where().travelRight()));
    }
}
