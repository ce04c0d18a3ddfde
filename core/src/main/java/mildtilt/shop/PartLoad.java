package mildtilt.shop;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mildtilt.build.EndPart;
import mildtilt.build.Piece;
import mildtilt.build.RodMakeUp;
import mildtilt.build.Stud;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Side;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.rods.Rod;
import mildtilt.steer.forces.RodLoad;

/**
 * How hard a part that is made or bought works: an arm cut from plate, a rod end's shank, its stud or bolt, its thread
 * in the body.
 * Each is judged under three forces in its rod: parked, at the rule set's kerb, and under its heavy pull at the rim.
 * Static, on
 * sound metal; fatigue, blows and welds are not in it.
 *
 * <p>Every day's load, parked, is held against the first yield of the outermost fibre; a kerb and a heavy pull, that
 * come once,
 * against the yield of the whole section ({@code Z_p}, Roark, beams of ductile metal beyond the elastic limit), after
 * which it bends
 * for good.
 *
 * <p>Plate: {@code σ = M c / I} at the hole at its root, the hole's part taken out, and where the plate between is
 * worked hardest
 * (Roark's Formulas for Stress and Strain, beams in bending). Shank: {@code F / (π/4 (d − 0.9382 p)²)}, the stress area
 * of a 60°
 * thread (ISO 898-1). Stud or bolt: held in the arm it bends with the ball about one diameter off the arm's face, so
 * that
 * {@code σ = 32 F / (π d²)}; held on both sides it is sheared twice, {@code 2 F / (π d²)}, yielding at 1/√3 of the
 * yield strength
 * (von Mises). Thread: sheared on half the cylinder of its outside diameter, {@code 2 F / (π d L)}.
 *
 * @param id of the piece, or of the rod's end and what of it
 * @param what that works, in words: "left steering arm's plate"
 * @param stress of a newton in its rod, MPa
 * @param whole load of a newton in its rod on the whole section as a stress, MPa: the same but in bending
 * @param yield that the stress is held against, MPa
 * @param parked in its rod, N
 * @param kerb in its rod, N; empty where the rule set asks for none
 * @param pull in its rod under the heavy pull, N; empty where nothing holds the wheels
 */
public record PartLoad(
        Kind kind,
        Id id,
        String what,
        Rod rod,
        double stress,
        double whole,
        double yield,
        double parked,
        Optional<Double> kerb,
        Optional<Double> pull) {

    /** Of plain structural steel plate or bar (S235, EN 10025-2), MPa. */
    public static final double PLATE_YIELD = 235;

    /** Of a rod end's shank: quenched and tempered carbon steel as the least of usual ends is made of, MPa. */
    public static final double SHANK_YIELD = 350;

    /** Of a property class 8.8 bolt or a stud as strong (ISO 898-1), MPa. */
    public static final double BOLT_YIELD = 640;

    private static final double ROOT_3 = Math.sqrt(3);

    /** What works. */
    public enum Kind {
        ARM_PLATE,
        SHANK,
        STUD,
        THREAD
    }

    /** What a part is pushed and pulled by. */
    public enum Load {
        PARKED("parked"),
        KERB("at a kerb"),
        PULL("under a heavy pull at the rim");

        private final String label;

        Load(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** In its rod, N. */
    public Optional<Double> force(Load load) {
        return switch (load) {
            case PARKED -> Optional.of(parked);
            case KERB -> kerb;
            case PULL -> pull;
        };
    }

    /** Of a newton in its rod, as the load is judged, MPa. */
    public double stress(Load load) {
        return load == Load.PARKED ? stress : whole;
    }

    /** Yield over stress. */
    public Optional<Double> margin(Load load) {
        return force(load).filter(f -> f > 0).map(f -> yield / (stress(load) * f));
    }

    /** Of every plate, end and thread that is known. Where something is missing, nothing is said of it here. */
    public static List<PartLoad> of(Job job, List<RodLoad> loads, List<RodFigures> rods) {
        List<PartLoad> all = new ArrayList<>();
        Map<Rod, RodLoad> of = loads.stream().collect(Collectors.toMap(RodLoad::rod, Function.identity()));
        job.axle().ifPresent(axle -> {
            for (Piece piece : job.making().pieces()) {
                if (piece instanceof Piece.ArmPlate p) {
                    plate(axle, p, of, all);
                }
            }
        });
        for (RodFigures r : rods) {
            RodLoad load = of.get(r.rod());
            if (load != null) {
                end(r, true, load, all);
                end(r, false, load, all);
            }
        }
        return List.copyOf(all);
    }

    private static void plate(SteeredAxle axle, Piece.ArmPlate p, Map<Rod, RodLoad> loads, List<PartLoad> all) {
        Optional<Double> length = p.of().length(axle);
        Optional<RodLoad> load = pushedBy(axle, p.of()).stream()
                .flatMap(rod -> Stream.ofNullable(loads.get(rod)))
                .reduce(PartLoad::together);
        if (length.isEmpty() || load.isEmpty()) {
            return;
        }
        add(
                all,
                Kind.ARM_PLATE,
                p.id(),
                "Plate \"" + p.name() + "\"",
                load.get(),
                plateStress(p, length.get()),
                plateWhole(p, length.get()),
                PLATE_YIELD);
    }

    /** What two rods at one arm do to it: as one is pulled the other one is pushed, both the same way. */
    private static RodLoad together(RodLoad a, RodLoad b) {
        return new RodLoad(
                a.rod(),
                a.force() + b.force(),
                a.kerbForce().flatMap(x -> b.kerbForce().map(y -> x + y)),
                a.pullForce().flatMap(x -> b.pullForce().map(y -> x + y)),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    /**
     * The rods at the end of an arm: of a steering arm, its tie rod; of a gear's arm that both tie rods begin on,
     * both.
     */
    static List<Rod> pushedBy(SteeredAxle axle, Piece.ArmOf of) {
        return switch (of) {
            case LEFT_STEERING_ARM, RIGHT_STEERING_ARM -> {
                Side side = of == Piece.ArmOf.LEFT_STEERING_ARM ? Side.LEFT : Side.RIGHT;
                yield List.of(
                        axle.oneTieRod() ? Rod.TIE_ROD : side == Side.LEFT ? Rod.LEFT_TIE_ROD : Rod.RIGHT_TIE_ROD);
            }
            case DRAG_LINK_ARM -> List.of(Rod.DRAG_LINK);
            case GEAR_ARM -> {
                List<Rod> driven = axle.linkage().drivenRods();
                yield axle.gear() instanceof RackAndPinion
                        ? List.of()
                        : driven.isEmpty() ? List.of(Rod.LEFT_TIE_ROD, Rod.RIGHT_TIE_ROD) : List.of(driven.getFirst());
            }
        };
    }

    /**
     * Largest bending stress in an arm's plate for a newton square to the arm at its end, MPa.
     *
     * <p>At the hole at its root {@code 6 L B / (t (B³ − d³))}; between the holes the plate, from B wide at the root to
     * b at the
     * end, has {@code 6 (L − x) / (t w(x)²)}, at its most at the root or, where b is under half of B, at {@code x = 2 L
     * − B / k}
     * with k the taper.
     *
     * @param length of the arm, mm
     */
    public static double plateStress(Piece.ArmPlate p, double length) {
        double root = root(p);
        double atHole = 6 * length * root / (p.thickness() * (Math.pow(root, 3) - Math.pow(p.rootHole(), 3)));
        return Math.max(atHole, 6 * betweenHoles(p, length) / p.thickness());
    }

    /**
     * The same with the whole section at its yield: {@code 4 L / (t (B² − d²))} at the root's hole, {@code 4 (L − x) /
     * (t w(x)²)} between.
     */
    public static double plateWhole(Piece.ArmPlate p, double length) {
        double root = root(p);
        return Math.max(
                4 * length / (p.thickness() * (root * root - p.rootHole() * p.rootHole())),
                4 * betweenHoles(p, length) / p.thickness());
    }

    private static double root(Piece.ArmPlate p) {
        return p.rootHole() + 2 * p.margin();
    }

    /** The most that (L − x) / w² comes to between the holes, 1/mm. */
    private static double betweenHoles(Piece.ArmPlate p, double length) {
        double taper = (root(p) - p.endHole() - 2 * p.margin()) / length;
        double x = taper > 0 ? Math.clamp(2 * length - root(p) / taper, 0, length) : 0;
        double wide = root(p) - taper * x;
        return (length - x) / (wide * wide);
    }

    private static void end(RodFigures r, boolean atOuter, RodLoad load, List<PartLoad> all) {
        RodMakeUp.End e = r.makeUp().end(atOuter);
        EndPart part = e.part();
        String at = r.rod().label() + "'s " + r.end(atOuter).label();
        double stressed = part.thread().major() - 0.9382 * part.thread().pitch();
        add(
                all,
                Kind.SHANK,
                end(r, atOuter).part("shank"),
                "shank of the " + at,
                load,
                4 / (Math.PI * stressed * stressed),
                4 / (Math.PI * stressed * stressed),
                SHANK_YIELD);
        double d = r.makeUp().tap(atOuter).major();
        double engaged = r.end(atOuter).engaged();
        if (engaged > 0) {
            add(
                    all,
                    Kind.THREAD,
                    end(r, atOuter).part("thread"),
                    "thread of the " + at,
                    load,
                    2 / (Math.PI * d * engaged),
                    2 / (Math.PI * d * engaged),
                    r.tube().yield() / ROOT_3);
        }
        boolean both = e.doubleShear();
        switch (part.stud()) {
            case Stud.OnGear _ -> {}
            case Stud.Bolt b -> stud(r, atOuter, "bolt of the " + at, b.diameter(), both, load, all);
            case Stud.Taper t -> stud(r, atOuter, "stud of the " + at, t.large(), both, load, all);
        }
    }

    private static Id end(RodFigures r, boolean atOuter) {
        return Id.of(r.rod()).part(atOuter ? "outer" : "inner");
    }

    private static void stud(
            RodFigures r, boolean atOuter, String what, double d, boolean both, RodLoad load, List<PartLoad> all) {
        double sheared = 2 / (Math.PI * d * d);
        add(
                all,
                Kind.STUD,
                end(r, atOuter).part("stud"),
                what,
                load,
                both ? sheared : 32 / (Math.PI * d * d),
                both ? sheared : 6 / (d * d),
                both ? BOLT_YIELD / ROOT_3 : BOLT_YIELD);
    }

    private static void add(
            List<PartLoad> all,
            Kind kind,
            Id id,
            String what,
            RodLoad load,
            double stress,
            double whole,
            double yield) {
        all.add(new PartLoad(
                kind, id, what, load.rod(), stress, whole, yield, load.force(), load.kerbForce(), load.pullForce()));
    }
}
