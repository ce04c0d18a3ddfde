package mildtilt.runsheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.build.LocatingStep;
import mildtilt.column.Column;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.job.Element;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import mildtilt.linkage.RelayPart;
import mildtilt.shop.BenchSheet;
import mildtilt.shop.CutList;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** Setting out: what stands where, in the order in which one thing locates the next. */
final class SettingOut extends Steps {

    SettingOut(StepList.Basis basis, List<RunStep> steps) {
        super(basis, steps);
    }

    void all() {
        ready();
        b.job().column().ifPresent(this::placeColumn);
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
        proven("the vehicle on stands under frame and axle, wheels chocked", level());
        if (b.job().axle().isPresent()) {
            List<Phrase> m = new ArrayList<>();
            b.steer()
                    .ifPresent(s -> m.add(Phrase.of(
                            "From one end of the gear to the other, and half of it back: the plan has {0} of "
                                    + "steering wheel to the left and {1} to the right.",
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
            proven(
                    "the wheels by string or toe plates, the gear by its mark",
                    Phrase.of("As many turns to the gear's left end as to its right, and both wheels toe alike."));
            relay();
            Point p = JobPoints.position(b.job(), new PointId.GearCentre());
            step(
                    "gear",
                    "Fix the gear in its place",
                    3,
                    0,
                    "tape, plumb bob, angle finder, clamps",
                    List.of(
                            need("centre", "both ends of its travel have to be alike"),
                            need("bar", "its arm is led to the shuttle, and all else is measured from the bar")),
                    List.of(at("Gear's middle", p)),
                    List.of());
            proven("the wheels straight ahead; the gear at its mark, clamped", betweenCentres());
            pivots();
        }
    }

    private Phrase level() {
        return b.job()
                .axle()
                .map(a -> Phrase.of(
                        "Wheel centres {0} above the ground on the left and {1} on the right; the frame level across.",
                        Quantity.length(
                                a.corner(Side.LEFT).knuckle().wheelCentre().z()),
                        Quantity.length(
                                a.corner(Side.RIGHT).knuckle().wheelCentre().z())))
                .orElse(Phrase.of("The frame is level across, and its slope fore and aft is written down."));
    }

    /** What the gear, or the bar before it, is measured by: the rods that will go in. */
    private Phrase betweenCentres() {
        Phrase all = Phrase.of("Between ball centres:");
        List<BenchSheet.RodLine> rods = b.bench().rods();
        for (BenchSheet.RodLine l : rods) {
            all = all.then(Phrase.of(
                    " " + l.rod().label() + " {0}" + (l == rods.getLast() ? "." : ";"), Quantity.length(l.length())));
        }
        return rods.isEmpty() ? Phrase.of("It stands where the plan has it.") : all;
    }

    private Optional<RelayPart> relayPart() {
        return b.job().axle().flatMap(a -> a.linkage().relay());
    }

    /** A shuttle's bar fixes everything else, so it comes before the gear. */
    private void relay() {
        if (relayPart().filter(r -> r == RelayPart.SHUTTLE).isEmpty()) {
            return;
        }
        step(
                LocatingStep.BAR.key(),
                "Fix the shuttle's bar in its place",
                3,
                0,
                "tape, level, plumb bob, clamps",
                List.of(need("centre", "the shuttle stands in its middle with the wheels straight ahead")),
                relayPoints(),
                List.of());
        proven("the wheels straight ahead, the shuttle in the bar's middle; the bar clamped", betweenCentres());
    }

    /** Of an idler, a relay arm or a bell crank. */
    private void pivots() {
        relayPart().filter(r -> r != RelayPart.SHUTTLE).ifPresent(r -> {
            step(
                    LocatingStep.PIVOTS.key(),
                    "Fix the pivot of the " + r.label(),
                    2,
                    0,
                    "tape, level, plumb bob, clamps",
                    List.of(need("gear", "it follows the gear's arm")),
                    relayPoints(),
                    List.of());
            proven("the gear at its mark, the wheels straight ahead", betweenCentres());
        });
    }

    private List<Phrase> relayPoints() {
        return Element.points(b.job(), new Element.Relay()).stream()
                .map(id -> at(CutList.capital(JobPoints.label(b.job(), id)), JobPoints.position(b.job(), id)))
                .toList();
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
        proven(
                "the seat where the driver wants it",
                Phrase.of("The driver turns the rim lock to lock without leaning out of the seat."));
        // A column that is bolted down is measured there, and the gear is led to it as well as it to the gear.
        boolean bolted = c.installation().columnAxis().isPresent();
        List<Phrase> m = new ArrayList<>();
        c.tube()
                .ifPresent(t -> m.add(Phrase.of(
                        "Tube's bearings {0} and {1} from the hub, along the shaft.",
                        Quantity.length(t.from()), Quantity.length(t.to()))));
        step(
                "mounts",
                bolted ? "Bolt the column up where it was measured" : "Tack the column to its brackets",
                4,
                0,
                "clamps, string line from hub to gear, templates of the brackets",
                bolted
                        ? List.of(need("stands", "heights are taken from the ground"))
                        : List.of(
                                need("gear", "the column is led to the gear, not the gear to the column"),
                                need("wheel", "the wheel is where the column begins")),
                m,
                List.of(Cautions.CHARGE, Cautions.CURRENT));
        proven("the gear and the steering wheel where they are", slope(c));
        List<Phrase> angles = b.bench().joints().stream()
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
        proven("forks pushed to their depth, joints with their crosses in", lengths(c));
        carriers(c);
        if (!b.notches().isEmpty()) {
            step(
                    "notches",
                    "Notch and box the rails",
                    4,
                    0,
                    "templates, hole saw for the corners, disc, welder",
                    List.of(need("mock", "the mock-up shows that there is no other way past")),
                    b.notches().stream()
                            .map(n -> Phrase.of(
                                    Phrase.name(n.rail().name()) + ", "
                                            + n.face().label() + ": {0} long, {1} high, {2} deep.",
                                    Quantity.length(n.width()),
                                    Quantity.length(n.height()),
                                    Quantity.length(n.depth())))
                            .toList(),
                    List.of(Cautions.DISCS, Cautions.CURRENT, Cautions.SEALED));
            proven(
                    "the rail, by a brace across where it is cut",
                    Phrase.of("The mocked shaft turns in the notch with the gap that was planned all round."));
        }
    }

    private static Phrase slope(Column c) {
        return Phrase.of(
                "The column slopes {0} down going forward and points {1} left; a string from the hub to the first "
                        + "joint runs through its middle.",
                Quantity.angle(c.axis(0).downDeg()), Quantity.angle(c.axis(0).leftDeg()));
    }

    private static Phrase lengths(Column c) {
        Phrase all = Phrase.of("Between centres:");
        for (int i = 0; i < c.shafts().size(); i++) {
            all = all.then(Phrase.of(
                    " " + Phrase.name(c.shafts().get(i).name()) + " {0}"
                            + (i + 1 < c.shafts().size() ? ";" : "."),
                    Quantity.length(c.length(i))));
        }
        return all;
    }

    /** Carriers stand before lengths are final: they say where the shaft really runs. */
    private void carriers(Column c) {
        if (c.bearings().isEmpty()) {
            return;
        }
        step(
                LocatingStep.CARRIERS.key(),
                "Set the bearing carriers on the mocked-up shafts and tack them",
                2,
                0,
                "clamps, templates of the brackets, a straight bar through the bearings",
                List.of(need("mock", "they go where the shaft really runs")),
                c.bearings().stream()
                        .map(x -> at(
                                "\"" + Phrase.name(x.name()) + "\" {3} along "
                                        + Phrase.name(c.shafts().get(x.shaft()).name()) + ": its middle",
                                c.place(x),
                                x.along()))
                        .toList(),
                List.of(Cautions.CURRENT));
        proven(
                "the shaft, turned by hand while each is tacked",
                Phrase.of(
                        "It turns by hand with every carrier tight; none is more than {0} out of line.",
                        Quantity.fine(b.job().rules().outOfLine())));
    }
}
