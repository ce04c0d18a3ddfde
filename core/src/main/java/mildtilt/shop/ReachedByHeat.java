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
 * A part on a shaft that a weld gets hotter than it bears, if the weld is laid in one go and the part stays on.
 *
 * @param away from the middle of the weld along the shaft, mm
 * @param peak that it gets to, °C
 * @param bears °C
 * @param half of the length that is welded, mm
 */
public record ReachedByHeat(String name, double away, double peak, double bears, double half, WeldHeat heat) {

    /** Part of a shaft's diameter that a fillet round a fork's end has for its leg. */
    private static final double FORK_LEG = 0.25;

    /** From the weld's middle, mm: further than this it stays cool enough. */
    public double keep() {
        return half + heat.reach(bears);
    }

    /** What to know of it, a sentence. */
    public Phrase sentence() {
        return Phrase.of(
                Phrase.name(name) + " is {0} away: welded in one go it gets to about {1} there, {2} is the most. {3} "
                        + "would keep it cool enough.",
                Quantity.length(away),
                Quantity.temperature(peak),
                Quantity.temperature(bears),
                Quantity.length(keep()));
    }

    /** Round a join. @param at from the shaft's wheel-end centre, mm @param half of the length that is welded, mm */
    static List<ReachedByHeat> byJoin(Column c, int shaft, double at, double half, WeldHeat heat) {
        List<ReachedByHeat> all = new ArrayList<>(onShaft(c, shaft, at, half, heat));
        if (shaft > 0) {
            joint(c.joints().get(shaft - 1), at, half, heat, all);
        }
        if (shaft < c.joints().size()) {
            joint(c.joints().get(shaft), c.length(shaft) - at, half, heat, all);
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
                leg,
                WeldHeat.round(metal, d, c.shafts().get(shaft).bore()));
    }

    private static List<ReachedByHeat> onShaft(Column c, int shaft, double at, double half, WeldHeat heat) {
        List<ReachedByHeat> all = new ArrayList<>();
        for (Bearing b : c.bearings()) {
            if (b.shaft() == shaft) {
                add(b.name(), Math.abs(b.along() - at), half, WeldHeat.GREASE, heat, all);
            }
        }
        if (shaft == 0) {
            c.tube().ifPresent(t -> {
                add("Upper bearing of the column tube", Math.abs(t.from() - at), half, WeldHeat.GREASE, heat, all);
                add("Lower bearing of the column tube", Math.abs(t.to() - at), half, WeldHeat.GREASE, heat, all);
            });
        }
        c.slidesOver(shaft)
                .ifPresent(s -> add(
                        "The sliding part, with its plastic or grease",
                        s.distance(at),
                        half,
                        WeldHeat.PLASTIC,
                        heat,
                        all));
        return all;
    }

    private static void joint(Joint j, double away, double half, WeldHeat heat, List<ReachedByHeat> all) {
        add(
                j.name(),
                away,
                half,
                j.kind() instanceof JointKind.Coupling ? WeldHeat.PLASTIC : WeldHeat.GREASE,
                heat,
                all);
    }

    private static void add(
            String name, double away, double half, double bears, WeldHeat heat, List<ReachedByHeat> all) {
        double peak = heat.peak(away - half);
        if (peak > bears) {
            all.add(new ReachedByHeat(name, away, peak, bears, half, heat));
        }
    }
}
