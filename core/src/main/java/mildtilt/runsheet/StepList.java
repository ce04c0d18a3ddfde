package mildtilt.runsheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mildtilt.build.Piece;
import mildtilt.build.RodMakeUp;
import mildtilt.catalogue.Catalogue;
import mildtilt.clearance.Notch;
import mildtilt.clearance.PairGap;
import mildtilt.clocking.ForkMark;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.column.Socket.Retention;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import mildtilt.runsheet.RunStep.Need;
import mildtilt.shop.BenchSheet;
import mildtilt.shop.CutList;
import mildtilt.shop.Fits;
import mildtilt.shop.FoundFigures;
import mildtilt.shop.JoinFigures;
import mildtilt.shop.RackRodFigures;
import mildtilt.shop.RodFigures;
import mildtilt.shop.StopFigures;
import mildtilt.steer.SteerFigures;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** The steps that a job takes, made from what is in it: a job without a column has none of a column's. */
public final class StepList {

    /** What the steps are made from. */
    public record Basis(
            Job job,
            BenchSheet bench,
            CutList cuts,
            List<RodFigures> rods,
            List<RackRodFigures> rackRods,
            StopFigures stops,
            List<JoinFigures> joins,
            List<FoundFigures> found,
            Optional<SteerFigures> steer,
            List<Notch> notches,
            Optional<PairGap> tightest) {}

    private final Basis b;
    private final List<RunStep> steps = new ArrayList<>();

    private StepList(Basis basis) {
        b = basis;
    }

    public static List<RunStep> of(Basis basis) {
        StepList list = new StepList(basis);
        list.ready();
        list.b.job.column().ifPresent(list::placeColumn);
        list.cut();
        list.b.job.column().ifPresent(list::shafts);
        list.linkage();
        list.stops();
        list.trial();
        list.finish();
        return List.copyOf(list.steps);
    }

    private void step(
            String key,
            String title,
            double hours,
            double wait,
            String tools,
            List<Need> needs,
            List<Phrase> measure,
            List<String> cautions) {
        List<Need> there = needs.stream()
                .filter(n -> steps.stream().anyMatch(s -> s.key().equals(n.key())))
                .toList();
        steps.add(new RunStep(key, title, there, measure, tools, wait, cautions, hours, false));
    }

    private static Need need(String key, String why) {
        return new Need(key, why);
    }

    private boolean welded() {
        boolean forks = b.job.column().stream().anyMatch(c -> c.joints().stream()
                .anyMatch(j -> welded(j.wheelSide().socket().map(s -> s.hold()))
                        || welded(j.gearSide().socket().map(s -> s.hold()))));
        return forks
                || b.joins.stream().anyMatch(j -> j.join().school().welded())
                || !b.job.making().welds().isEmpty()
                || brackets()
                || !b.notches.isEmpty()
                || b.rods.stream().anyMatch(r -> r.makeUp().body().kind() == RodMakeUp.BodyKind.BUNGS);
    }

    private static boolean welded(Optional<Retention> hold) {
        return hold.filter(h -> h == Retention.WELD).isPresent();
    }

    private boolean brackets() {
        return b.job.making().pieces().stream()
                .anyMatch(p -> p instanceof Piece.BearingBracket || p instanceof Piece.CopedTube);
    }

    private void ready() {
        step(
                "stands",
                "Set the vehicle on stands, level, at ride height",
                1.5,
                0,
                "stands, level, tape, blocks at ride height in place of the springs",
                List.of(),
                List.of(),
                List.of(Cautions.STANDS));
        if (b.job.axle().isPresent()) {
            List<Phrase> m = new ArrayList<>();
            b.steer.ifPresent(s -> m.add(Phrase.of(
                    "From one end of the gear to the other, and half of it back: the plan has {0} of steering wheel to the left and {1} to the right.",
                    Quantity.turns(s.leftReach().stopDeg() / 360),
                    Quantity.turns(Math.abs(s.rightReach().stopDeg()) / 360))));
            step(
                    "centre",
                    "Set wheels straight ahead and centre the gear; mark both",
                    1,
                    0,
                    "string or toe plates, paint pen",
                    List.of(need("stands", "a vehicle that leans gives every height wrong")),
                    m,
                    List.of());
            Point p = JobPoints.position(b.job, new PointId.GearCentre());
            step(
                    "gear",
                    "Fix the gear in its place",
                    3,
                    0,
                    "tape, plumb bob, angle finder, clamps",
                    List.of(need("centre", "both ends of its travel have to be alike")),
                    List.of(at("Gear's middle", p)),
                    List.of());
        }
    }

    private static Phrase at(String what, Point p) {
        return Phrase.of(
                what + " at x {0}, y {1}, z {2}.",
                Quantity.length(p.x()),
                Quantity.length(p.y()),
                Quantity.length(p.z()));
    }

    private void placeColumn(Column c) {
        step(
                "wheel",
                "Set seat and steering wheel where the driver wants them",
                1,
                0,
                "seat in place, tape",
                List.of(need("stands", "heights are taken from the ground")),
                List.of(at("Hub", c.hub())),
                List.of());
        List<Phrase> m = new ArrayList<>();
        for (Bearing x : c.bearings()) {
            m.add(at(
                    "\"" + Phrase.name(x.name()) + "\" {3} along "
                            + Phrase.name(c.shafts().get(x.shaft()).name()) + ": its middle",
                    c.place(x),
                    x.along()));
        }
        c.tube()
                .ifPresent(t -> m.add(Phrase.of(
                        "Tube's bearings {0} and {1} from the hub, along the shaft.",
                        Quantity.length(t.from()), Quantity.length(t.to()))));
        step(
                "mounts",
                "Tack column and bearings to their brackets",
                4,
                0,
                "clamps, string line from hub to gear, templates of the brackets",
                List.of(
                        need("gear", "the column is led to the gear, not the gear to the column"),
                        need("wheel", "the wheel is where the column begins")),
                m,
                List.of(Cautions.CHARGE, Cautions.CURRENT));
        List<Phrase> angles = b.bench.joints().stream()
                .map(j -> Phrase.of(
                        Phrase.name(j.name()) + ": {0} straight ahead, never over {1} (limit {2}).",
                        Quantity.angle(j.angleDeg()),
                        Quantity.angle(j.worstDeg()),
                        Quantity.angle(j.limitDeg())))
                .toList();
        step(
                "mock",
                "Mock the shafts up in wood or scrap tube and measure the joint angles",
                3,
                0,
                "dowel or scrap tube, joints in hand, angle finder, thread",
                List.of(need("mounts", "a shaft is as long as its ends are apart, and they are only known now")),
                angles,
                List.of());
        if (!b.notches.isEmpty()) {
            step(
                    "notches",
                    "Notch and box the rails",
                    4,
                    0,
                    "templates, hole saw for the corners, disc, welder",
                    List.of(need("mock", "the mock-up shows that there is no other way past")),
                    b.notches.stream()
                            .map(n -> Phrase.of(
                                    Phrase.name(n.rail().name()) + ", "
                                            + n.face().label() + ": {0} long, {1} high, {2} deep.",
                                    Quantity.length(n.width()),
                                    Quantity.length(n.height()),
                                    Quantity.length(n.depth())))
                            .toList(),
                    List.of(Cautions.DISCS, Cautions.CURRENT, Cautions.SEALED));
        }
    }

    private static Phrase at(String what, Point p, double along) {
        return Phrase.of(
                what + " at x {0}, y {1}, z {2}.",
                Quantity.length(p.x()),
                Quantity.length(p.y()),
                Quantity.length(p.z()),
                Quantity.length(along));
    }

    private void cut() {
        if (b.cuts.lines().isEmpty()) {
            return;
        }
        step(
                "cut",
                "Saw and face everything on the cut list",
                0.3 * b.cuts.lines().size() + 0.5,
                0,
                "saw, square, file or lathe",
                List.of(
                        need("mock", "a shaft cut from the plan alone is cut from what was measured first"),
                        need("notches", "a rail that is notched otherwise moves the shaft")),
                Stream.concat(
                                b.cuts.lines().stream()
                                        .limit(12)
                                        .map(l -> Phrase.of(
                                                l.count() + " × " + Phrase.name(l.name()) + ": finished {0}, saw {1}.",
                                                Quantity.length(l.finished()),
                                                Quantity.length(l.saw()))),
                                b.found.stream().map(f -> Phrase.of(Phrase.name(f.name()) + ", as found: ")
                                        .then(f.order())))
                        .toList(),
                List.of(Cautions.DISCS));
        if (!b.cuts.plates().isEmpty()) {
            step(
                    "plates",
                    "Cut the plates by their templates",
                    0.7 * b.cuts.plates().size(),
                    0,
                    "templates printed at full size, centre punch, drill",
                    List.of(),
                    List.of(Phrase.of(
                            "The bar on every sheet must be {0} long, or the sheet was not printed at full size.",
                            Quantity.length(100))),
                    List.of(Cautions.DISCS));
        }
    }

    private void shafts(Column c) {
        List<Phrase> marks = new ArrayList<>();
        for (BenchSheet.ShaftLine s : b.bench.shafts()) {
            s.mark()
                    .ifPresent(m -> marks.add(
                            ForkMark.isInLine(m.deg())
                                    ? Phrase.of(Phrase.name(s.name()) + ": both forks in line.")
                                    : Phrase.of(
                                            Phrase.name(s.name()) + ": gear-end fork {0} " + m.way()
                                                    + " from the wheel-end fork, seen from the wheel: {1} round Ø {2}.",
                                            Quantity.angle(Math.abs(m.deg())),
                                            Quantity.fine(m.arc()),
                                            Quantity.length(m.diameter()))));
        }
        step(
                "forks",
                "Clock the forks and clamp or tack them",
                2,
                0,
                "strips wrapped round, V-blocks, angle finder",
                List.of(need("cut", "the strips go on the cut shafts"), need("mock", "the angles set the clocking")),
                marks,
                b.joins.isEmpty() ? List.of() : List.of(Cautions.CURRENT));
        for (int i = 0; i < b.joins.size(); i++) {
            JoinFigures j = b.joins.get(i);
            List<Phrase> m = new ArrayList<>(j.dimensions());
            m.add(Phrase.of(
                    "Run-out beside the join no more than {0}, at a bearing no more than {1}.",
                    Quantity.fine(j.runOut()), Quantity.fine(j.runOutAtBearings())));
            j.near()
                    .forEach(n ->
                            m.add(n.sentence().then(" Take it off, or weld in short runs with a wet rag between.")));
            step(
                    j.join().id().text(),
                    "Make the join in " + j.shaftName() + ": "
                            + j.join().school().label() + (j.join().school().welded() ? ", tacked only" : ""),
                    3,
                    0,
                    "jig or V-blocks, dial indicator",
                    List.of(
                            need("cut", "its pieces are cut"),
                            need("forks", "the forks say how the two are turned against each other")),
                    m,
                    j.join().school().welded()
                            ? List.of(Cautions.QUALIFIED, Cautions.HEAT, Cautions.CURRENT, Cautions.SEALED)
                            : List.of());
        }
        step(
                "shafts",
                "Put the train together from wheel to gear",
                1.5,
                0,
                "",
                List.of(
                        need("forks", "they are clocked off the vehicle"),
                        need(
                                b.joins.isEmpty()
                                        ? ""
                                        : b.joins.getFirst().join().id().text(),
                                "a shaft in two is one before it goes in")),
                List.of(
                        Phrase.of(
                                "It must turn by hand all the way round with the gear off its arms, no tighter in one place than in another.")),
                List.of());
    }

    private void linkage() {
        if (b.job.axle().isEmpty()) {
            return;
        }
        List<Piece.ArmPlate> arms = b.job.making().pieces().stream()
                .filter(p -> p instanceof Piece.ArmPlate)
                .map(p -> (Piece.ArmPlate) p)
                .toList();
        if (!arms.isEmpty()) {
            step(
                    "arms",
                    "Fit the arms",
                    3,
                    0,
                    "reamers, feeler gauge",
                    List.of(
                            need("plates", "they are cut from plate"),
                            need("centre", "their angle is taken straight ahead")),
                    List.of(),
                    List.of(Cautions.QUALIFIED));
        }
        List<Phrase> studs = Fits.of(b.job, Catalogue.NONE).stream()
                .filter(f -> f.kind() == Fits.Kind.STUD)
                .map(f -> Phrase.of(Phrase.name(f.what()) + ": ").then(f.note()))
                .toList();
        if (!studs.isEmpty()) {
            step(
                    "studs",
                    "Try every stud in its arm",
                    1.5,
                    0,
                    "engineer's blue, reamer of the stud's taper",
                    List.of(need("arms", "the arms are there")),
                    studs,
                    List.of());
        }
        List<Phrase> m = new ArrayList<>();
        for (RodFigures r : b.rods) {
            m.add(Phrase.of(
                    r.rod().label() + ": {0} between centres; {1} and {2} of thread in, never under {3} and {4}.",
                    Quantity.length(r.centres()),
                    Quantity.length(r.outer().engaged()),
                    Quantity.length(r.inner().engaged()),
                    Quantity.length(r.outer().least()),
                    Quantity.length(r.inner().least())));
        }
        for (RackRodFigures r : b.rackRods) {
            m.add(Phrase.of(r.rod().label() + ", the rack's own: ")
                    .then(r.order())
                    .then(Phrase.of(
                            " Screw the end on to {0} between centres: {1} of thread in, never under {2}.",
                            Quantity.length(r.centres()),
                            Quantity.length(Math.max(0, r.engaged())),
                            Quantity.length(r.least()))));
        }
        b.bench.rods().stream()
                .filter(l -> b.rods.stream().noneMatch(r -> r.rod() == l.rod())
                        && b.rackRods.stream().noneMatch(r -> r.rod() == l.rod()))
                .forEach(
                        l -> m.add(Phrase.of(l.rod().label() + ": {0} between centres.", Quantity.length(l.length()))));
        step(
                "rods",
                "Make up the rods and put them in",
                3,
                0,
                "taps, vice, tape between ball centres",
                List.of(
                        need("studs", "an end that does not seat is changed before the rod is made for it"),
                        need("cut", "the bodies are cut"),
                        need("gear", "a rod reaches from the gear to the arm")),
                m,
                b.rods.stream().anyMatch(r -> r.makeUp().body().kind() == RodMakeUp.BodyKind.BUNGS)
                        ? List.of(Cautions.SEALED, Cautions.QUALIFIED)
                        : List.of());
        List<Phrase> toe = new ArrayList<>();
        b.rods.stream()
                .filter(r -> r.toePerTurn().isPresent())
                .forEach(r -> toe.add(Phrase.of(
                        r.rod().label() + ": a turn that lengthens it gives {0} of toe-"
                                + (r.toePerTurn().get() > 0 ? "in." : "out."),
                        Quantity.angle(Math.abs(r.toePerTurn().get())))));
        b.rackRods.stream()
                .filter(r -> r.toePerTurn().isPresent())
                .forEach(r -> toe.add(Phrase.of(
                        r.rod().label() + ": a turn of the rod that lengthens it gives {0} of toe-"
                                + (r.toePerTurn().get() > 0 ? "in." : "out."),
                        Quantity.angle(Math.abs(r.toePerTurn().get())))));
        step(
                "toe",
                "Set toe with gear and steering wheel centred",
                1,
                0,
                "toe plates or string, two spanners",
                List.of(
                        need("rods", "the rods set it"),
                        need("shafts", "the wheel's spokes are level at the gear's centre")),
                toe,
                List.of());
    }

    /** Both locks alike, and nothing but the stops takes the blow. */
    private void stops() {
        if (b.stops.back().isEmpty()) {
            return;
        }
        step(
                "stops",
                "Set the lock stops on turn plates, both locks alike",
                1,
                0,
                "turn plates, feeler strips, two spanners",
                List.of(need("toe", "a lock is read from straight ahead")),
                b.stops.orders(),
                List.of());
    }

    private void trial() {
        List<Phrase> m = new ArrayList<>();
        b.steer.ifPresent(s -> {
            for (Side side : Side.values()) {
                SteerFigures.Lock lock = s.locks().get(side);
                if (lock != null) {
                    m.add(Phrase.of(
                            "Full " + side.label() + " lock: inner wheel {0}, outer {1}.",
                            Quantity.angle(Math.abs(lock.turn().innerDeg())),
                            Quantity.angle(Math.abs(lock.turn().outerDeg()))));
                }
            }
        });
        b.tightest.ifPresent(p -> m.add(Phrase.of(
                "Tightest: " + Phrase.name(p.first()) + " to " + Phrase.name(p.second()) + ", {0}.",
                Quantity.length(p.gap()))));
        m.add(Phrase.of("Steering wheel left, both road wheels left. Straight ahead it comes back even."));
        step(
                "trial",
                "Trial: lock to lock at full bump, ride height and full droop",
                2,
                0,
                "jack under each hub in turn, feeler strips, turn plates",
                List.of(
                        need("toe", "it is tried as it will run"),
                        need("stops", "the stops end the lock, not the gear"),
                        need("shafts", "the whole train is in"),
                        need("rods", "both wheels are held")),
                m,
                List.of(Cautions.STANDS));
        step(
                "witness",
                "Show the trial to someone other than yourself",
                0.5,
                0,
                "",
                List.of(need("trial", "there is something to show")),
                List.of(),
                List.of());
    }

    private void finish() {
        if (welded()) {
            step(
                    "ask",
                    "Ask the authority what welds it takes, by whom, and how tested",
                    0.5,
                    3,
                    "",
                    List.of(),
                    List.of(Phrase.of("This job is judged by \""
                            + Phrase.name(b.job.rules().name()) + "\": welded shafts "
                            + b.job.rules().welding().label() + ".")),
                    List.of(Cautions.QUALIFIED));
            step(
                    "strip",
                    "Take bearings, joints, boots and seals off",
                    1.5,
                    0,
                    "",
                    List.of(need("witness", "what is welded can't be moved any more")),
                    List.of(),
                    List.of(Cautions.HEAT));
            step(
                    "weld",
                    "Weld for good",
                    4,
                    1,
                    "preheat, crayons or probe, record sheet",
                    List.of(
                            need("strip", "heat and current ruin them"),
                            need("ask", "some welds may not be made at all"),
                            need("trial", "full travel first: a foul found after costs the part")),
                    b.job.making().welds().stream()
                            .map(w -> Phrase.of(
                                    w.piece()
                                            + ": {0} before the arc, no more than {1} between runs, then cooling by no more than "
                                            + Math.round(w.coolPerHour()) + " °C an hour.",
                                    Quantity.temperature(w.preheat()),
                                    Quantity.temperature(w.mostBetween())))
                            .toList(),
                    List.of(Cautions.QUALIFIED, Cautions.CURRENT, Cautions.SEALED, Cautions.ZINC));
            step(
                    "test",
                    "Have the welds inspected or tested",
                    1,
                    5,
                    "",
                    List.of(need("weld", "cold, and not before")),
                    List.of(),
                    List.of(Cautions.QUALIFIED));
        }
        step(
                "lock",
                "Put it together for good; lock every fastener and mark it with paint",
                3,
                0,
                "torque wrench, new prevailing-torque nuts, split pins, wire, compound",
                List.of(
                        need("test", "a weld that fails comes out again"),
                        need("witness", "the trial was seen"),
                        need("strip", "what came off goes on again")),
                List.of(Phrase.of(b.job.rules().locking())),
                List.of());
        step(
                "again",
                "Trial once more, full travel, both locks, engine hot and cold side",
                1,
                0,
                "",
                List.of(need("lock", "as it will be driven")),
                List.of(),
                List.of(Cautions.STANDS));
        step(
                "inspect",
                "Have it inspected where the law wants it, and by someone else in any case",
                1,
                3,
                "job book",
                List.of(need("again", "it is whole")),
                List.of(),
                List.of(Cautions.NOT_DRIVEN));
        step(
                "drive",
                "First drive, slow, off the road; then check every fastener again",
                1.5,
                0,
                "",
                List.of(need("inspect", "nothing is driven until checked")),
                List.of(),
                List.of(Cautions.NOT_DRIVEN));
    }
}
