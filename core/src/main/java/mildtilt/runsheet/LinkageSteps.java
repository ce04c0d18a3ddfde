package mildtilt.runsheet;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import mildtilt.build.LocatingStep;
import mildtilt.build.Piece;
import mildtilt.build.RodMakeUp;
import mildtilt.catalogue.Catalogue;
import mildtilt.linkage.SteeredAxle;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.TwoEnded;
import mildtilt.shop.CutList;
import mildtilt.shop.Fits;
import mildtilt.shop.RackRodFigures;
import mildtilt.shop.RodFigures;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** Arms, rods, toe and stops, and the hoses that have to follow. */
final class LinkageSteps extends Steps {

    LinkageSteps(StepList.Basis basis, List<RunStep> steps) {
        super(basis, steps);
    }

    void all() {
        linkage();
        stops();
        hoses();
    }

    private void linkage() {
        if (b.job().axle().isEmpty()) {
            return;
        }
        List<Piece.ArmPlate> arms = b.job().making().pieces().stream()
                .filter(p -> p instanceof Piece.ArmPlate)
                .map(p -> (Piece.ArmPlate) p)
                .toList();
        if (!arms.isEmpty() || !b.arms().isEmpty()) {
            step(
                    "arms",
                    "Fit the arms",
                    3,
                    0,
                    "reamers, feeler gauge",
                    List.of(
                            need("plates", "they are cut from plate"),
                            need("centre", "their angle is taken straight ahead")),
                    armLengths(arms),
                    List.of(Cautions.QUALIFIED));
            proven("the knuckle straight ahead", Phrase.of("Both sides measure alike from the steer axis."));
        }
        List<Phrase> studs = Fits.of(b.job(), Catalogue.NONE).stream()
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
            proven("the arm; its hole clean and dry", Phrase.of("Blue on three quarters of the taper at least."));
        }
        List<Phrase> m = new ArrayList<>();
        for (RodFigures r : b.rods()) {
            m.add(Phrase.of(
                    r.rod().label() + ": {0} between centres; {1} and {2} of thread in, never under {3} and {4}.",
                    Quantity.length(r.centres()),
                    Quantity.length(r.outer().engaged()),
                    Quantity.length(r.inner().engaged()),
                    Quantity.length(r.outer().least()),
                    Quantity.length(r.inner().least())));
        }
        for (RackRodFigures r : b.rackRods()) {
            m.add(Phrase.of(r.rod().label() + ", the rack's own: ")
                    .then(r.order())
                    .then(Phrase.of(
                            " Screw the end on to {0} between centres: {1} of thread in, never under {2}.",
                            Quantity.length(r.centres()),
                            Quantity.length(Math.max(0, r.engaged())),
                            Quantity.length(r.least()))));
        }
        b.bench().rods().stream()
                .filter(l -> b.rods().stream().noneMatch(r -> r.rod() == l.rod())
                        && b.rackRods().stream().noneMatch(r -> r.rod() == l.rod()))
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
                        need("gear", "a rod reaches from the gear to the arm"),
                        need("pivots", "its inner end is there")),
                m,
                b.rods().stream().anyMatch(r -> r.makeUp().body().kind() == RodMakeUp.BodyKind.BUNGS)
                        ? List.of(Cautions.SEALED, Cautions.QUALIFIED)
                        : List.of());
        proven(
                "the wheels straight ahead, the gear at its mark",
                Phrase.of("Between ball centres as above, and every jam nut tight."));
        List<Phrase> toe = new ArrayList<>();
        b.rods().stream()
                .filter(r -> r.toePerTurn().isPresent())
                .forEach(r -> toe.add(Phrase.of(
                        r.rod().label() + ": a turn that lengthens it gives {0} of toe-"
                                + (r.toePerTurn().get() > 0 ? "in." : "out."),
                        Quantity.angle(Math.abs(r.toePerTurn().get())))));
        b.rackRods().stream()
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
        proven(
                "the gear at its mark, spokes level",
                Phrase.of("The rims measured in front and behind, and again turned half round, differ by the toe "
                        + "wanted."));
    }

    /** Arms made from plate by their length, arms of used knuckles by what is cut and moved. */
    private List<Phrase> armLengths(List<Piece.ArmPlate> plates) {
        SteeredAxle axle = b.job().axle().orElseThrow();
        Stream<Phrase> found = b.arms().stream().flatMap(a -> a.steps().stream()
                .map(s -> Phrase.of(CutList.capital(a.name()) + ": ").then(s)));
        Stream<Phrase> made = plates.stream().flatMap(a -> a.of().length(axle).stream()
                .map(mm -> Phrase.of(
                        Phrase.name(a.name()) + ": {0} from its axis, square, to its end.", Quantity.length(mm))));
        return Stream.concat(made, found).toList();
    }

    /** Both locks alike, and nothing but the stops takes the blow. */
    private void stops() {
        if (b.stops().back().isEmpty()) {
            return;
        }
        step(
                "stops",
                "Set the lock stops on turn plates, both locks alike",
                1,
                0,
                "turn plates, feeler strips, two spanners",
                List.of(need("toe", "a lock is read from straight ahead")),
                b.stops().orders(),
                List.of());
        proven(
                "the wheels on turn plates, at ride height",
                Phrase.of("Both locks alike on the plates, and the gear not at its end."));
    }

    /** What follows the wheels goes in last, and is laid over all they do. */
    private void hoses() {
        List<Obstacle> hoses = b.job().surroundings().obstacles().stream()
                .filter(o -> o.shape() instanceof TwoEnded.Hose)
                .toList();
        if (hoses.isEmpty()) {
            return;
        }
        step(
                LocatingStep.HOSES.key(),
                "Lay the hoses and fix them",
                1.5,
                0,
                "clips, a second pair of hands at the wheel",
                List.of(
                        need("rods", "they clear the rods"),
                        need("shafts", "they clear the shafts"),
                        need("stops", "they are laid over the lock that there is")),
                hoses.stream()
                        .map(o -> o.shape() instanceof TwoEnded.Hose h
                                ? Phrase.of(
                                        Phrase.name(o.name()) + ": {0} long, never bent tighter than {1}.",
                                        Quantity.length(h.length()),
                                        Quantity.length(h.leastRadius()))
                                : Phrase.of(""))
                        .toList(),
                List.of());
        proven(
                "the wheel at full lock, at full bump and at full droop",
                Phrase.of("Lock to lock at either end of the travel none pulls straight, kinks or rubs."));
    }
}
