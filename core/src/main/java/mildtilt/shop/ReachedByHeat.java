package mildtilt.shop;

import java.util.ArrayList;
import java.util.List;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.column.Joint;
import mildtilt.column.JointKind;
import mildtilt.column.Socket.Retention;
import mildtilt.column.YokeDimensions;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * A part on a shaft that a run of a weld gets hotter than it bears, if the part stays on.
 *
 * @param away from the middle of the weld along the shaft, mm
 * @param peak that it gets to, °C
 * @param bears °C
 * @param comesOff whether it is a joint, which is apart while its shaft is welded
 * @param runs that are laid
 */
public record ReachedByHeat(String name, double away, double peak, double bears, boolean comesOff, List<Run> runs) {

    /** A run of a weld. @param off from the middle of what is welded, either way along the shaft, mm */
    record Run(double off, WeldHeat heat) {

        double peak(double away) {
            return heat.peak(away - off);
        }
    }

    /** Part of a shaft's diameter that a fillet round a fork's end has for its leg. */
    private static final double FORK_LEG = 0.25;

    /** From the weld's middle, mm: further than this it stays cool enough. */
    public double keep() {
        return runs.stream().mapToDouble(r -> r.off + r.heat.reach(bears)).max().orElseThrow();
    }

    /** What to know of it, a sentence. */
    public Phrase sentence() {
        return Phrase.of(
                Phrase.name(name) + " is {0} away: one run round the shaft gets it to about {1}; {2} is the most. From "
                        + "{3} on it stays cool enough, if each run cools before the next.",
                Quantity.length(away),
                Quantity.temperature(peak),
                Quantity.temperature(bears),
                Quantity.length(keep()));
    }

    /** Round a join. @param at from the shaft's wheel-end centre, mm */
    static List<ReachedByHeat> byJoin(Column c, int shaft, double at, List<Run> runs) {
        List<ReachedByHeat> all = new ArrayList<>(onShaft(c, shaft, at, runs));
        if (shaft > 0) {
            joint(c.joints().get(shaft - 1), at, runs, all);
        }
        if (shaft < c.joints().size()) {
            joint(c.joints().get(shaft), c.length(shaft) - at, runs, all);
        }
        return List.copyOf(all);
    }

    /** By the fillet round a fork that is welded onto a shaft; its own joint is apart then. */
    public static List<ReachedByHeat> byFork(Column c, int shaft, boolean gearEnd) {
        YokeDimensions fit = gearEnd ? c.gearEndFit(shaft) : c.wheelEndFit(shaft);
        if (fit.socket().filter(s -> s.hold() == Retention.WELD).isEmpty()) {
            return List.of();
        }
        double d = c.shafts().get(shaft).diameter();
        double leg = FORK_LEG * d;
        double metal = leg * leg / 2 * Math.PI * (d + 2 * leg / 3);
        double at = gearEnd ? c.length(shaft) - fit.takeOff() : fit.takeOff();
        // The fork beyond takes heat up as so much shaft would.
        return onShaft(
                c,
                shaft,
                at,
                List.of(new Run(
                        leg, WeldHeat.run(metal, d, c.shafts().get(shaft).bore()))));
    }

    private static List<ReachedByHeat> onShaft(Column c, int shaft, double at, List<Run> runs) {
        List<ReachedByHeat> all = new ArrayList<>();
        for (Bearing b : c.bearings()) {
            if (b.shaft() == shaft) {
                add(b.name(), Math.abs(b.along() - at), WeldHeat.GREASE, false, runs, all);
            }
        }
        if (shaft == 0) {
            c.tube().ifPresent(t -> {
                add("Upper bearing of the column tube", Math.abs(t.from() - at), WeldHeat.GREASE, false, runs, all);
                add("Lower bearing of the column tube", Math.abs(t.to() - at), WeldHeat.GREASE, false, runs, all);
            });
        }
        // A join where the halves slide is refused for that.
        c.slidesOver(shaft)
                .filter(s -> s.distance(at) > 0)
                .ifPresent(s -> add(
                        "The sliding part, with its plastic or grease",
                        s.distance(at),
                        WeldHeat.PLASTIC,
                        false,
                        runs,
                        all));
        return all;
    }

    private static void joint(Joint j, double away, List<Run> runs, List<ReachedByHeat> all) {
        add(
                j.name(),
                away,
                j.kind() instanceof JointKind.Coupling ? WeldHeat.PLASTIC : WeldHeat.GREASE,
                true,
                runs,
                all);
    }

    private static void add(
            String name, double away, double bears, boolean comesOff, List<Run> runs, List<ReachedByHeat> all) {
        double peak = runs.stream().mapToDouble(r -> r.peak(away)).max().orElse(0);
        if (peak > bears) {
            all.add(new ReachedByHeat(name, away, peak, bears, comesOff, runs));
        }
    }
}
