package mildtilt.shop;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.build.Section;
import mildtilt.build.ShaftJoin;
import mildtilt.build.ShaftJoin.School;
import mildtilt.column.Column;
import mildtilt.column.Shaft;
import mildtilt.column.ShaftProfile;
import mildtilt.column.Slide;
import mildtilt.job.Job;
import mildtilt.rules.Rules;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * What a join in a shaft is made with, by one school, and how much of the shaft's twist it carries.
 *
 * <p>A round shaft of diameter d and bore b carries {@code T = τ π (d⁴ − b⁴) / (16 d)}; a sleeve, a plug or a spigot is
 * such a shaft
 * itself. A fillet of throat a round the shaft carries {@code τ 2π (d/2)² a}, and is no larger than the wall it is laid
 * on. Each
 * plug weld of diameter h is sheared where the two parts meet, at the radius r of the bore or the spigot, and carries
 * {@code τ (π h²/4) r}: those of one side of the joint carry the whole, not both sides together. A bolt through the
 * middle carries
 * {@code 2 (π s²/4) τ d/2} in its two planes; it presses on a solid shaft with {@code 6 T / (s d²)}, on a tube's wall t
 * with
 * {@code T / (d s t)}, and its hole weakens a solid shaft by {@code s d²/6} of its modulus, a tube by {@code s / (π
 * r)}. A butt weld
 * adds the twist of the ring that it joins, if it goes through the whole wall and was tested. (Statics of thin rings
 * and of short
 * bolts; the shear yield is taken as 0.577 of the tensile, pressure up to 1.5 of it.) Static: nothing is said of
 * fatigue.
 *
 * @param shaft 0 the one at the wheel
 * @param along from the cut shaft's wheel end, mm
 * @param verdict what the rule set says of it
 * @param wheelSideEnd how the piece on the wheel side is prepared
 * @param wheelSideExtra what the piece on the wheel side is cut longer than to the join, mm; below 0 shorter
 * @param parts that the join takes besides
 * @param dimensions in words, the largest thing first
 * @param runOut most run-out of the joined shaft beside the join, dial reading, mm
 * @param runOutAtBearings most run-out where a bearing sits, dial reading, mm
 * @param near bearings, joints and sliding parts that get hotter than they bear
 * @param carries part of the shaft's twist that it carries without its butt weld, 1 for all of it
 * @param withButt the same with a butt weld that goes through the whole wall; as {@code carries} where it has none
 * @param noRoom why it does not go on the shaft there; empty where it does
 * @param mayNotClose that it lies where the shaft's halves slide, should they meet in its middle; where they meet is
 *     not said
 * @param costs what this school costs
 */
public record JoinFigures(
        ShaftJoin join,
        int shaft,
        String shaftName,
        double along,
        Verdict verdict,
        String wheelSideEnd,
        String gearSideEnd,
        double wheelSideExtra,
        double gearSideExtra,
        double rootGap,
        List<Part> parts,
        List<Phrase> dimensions,
        double runOut,
        double runOutAtBearings,
        List<ReachedByHeat> near,
        double carries,
        double withButt,
        Optional<Phrase> noRoom,
        Optional<Phrase> mayNotClose,
        String costs) {

    /** @param count for one join */
    public record Part(
            String name, Section section, String material, double length, String ends, int count, Phrase note) {}

    /** What a rule set says of a join. */
    public enum Verdict {
        ALLOWED("allowed"),
        TESTED("allowed if tested after"),
        FORBIDDEN("forbidden");

        private final String label;

        Verdict(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** Steel of sleeves, plugs and couplers that welds well and is to be had anywhere, MPa. */
    private static final double PLAIN_YIELD = 235;
    /** Of a bolt of class 8.8, MPa. */
    private static final double BOLT_YIELD = 640;

    private static final double SHEAR = 0.577;
    /** A bolt may press on the wall of its hole with so many times the yield. */
    private static final double PRESSURE = 1.5;

    private static final int MOST_BOLTS = 4;
    private static final double[] BOLTS = {6, 8, 10, 12, 14, 16, 20, 24};
    /** Half of what a bearing takes up along a shaft, mm. */
    private static final double BEARING = 10;
    /** Of the bevel at a butted end, from square, degrees. */
    private static final double BEVEL = 30;

    public static Verdict verdict(Rules rules, School school) {
        return !school.welded()
                ? Verdict.ALLOWED
                : switch (rules.welding()) {
                    case ALLOWED -> Verdict.ALLOWED;
                    case TESTED -> Verdict.TESTED;
                    case FORBIDDEN -> Verdict.FORBIDDEN;
                };
    }

    /** Of every join that is on a shaft that is cut. */
    public static List<JoinFigures> of(Job job) {
        List<JoinFigures> all = new ArrayList<>();
        job.making().joins().forEach(j -> of(job, j).ifPresent(all::add));
        return List.copyOf(all);
    }

    /** Empty where there is no such shaft, it is not cut, or the join lies past its ends. */
    public static Optional<JoinFigures> of(Job job, ShaftJoin join) {
        if (job.column().isEmpty()) {
            return Optional.empty();
        }
        Column c = job.column().get();
        for (int i = 0; i < c.shafts().size(); i++) {
            Shaft s = c.shafts().get(i);
            double along = join.along() - c.wheelEndFit(i).shortening();
            if (s.id().equals(join.shaft())
                    && (s.toCut() || job.making().asFound().shaft(s.id()).isPresent())
                    && along > s.diameter()
                    && along < c.cutLength(i) - s.diameter()) {
                return Optional.of(new Sizes(job, c, i, join, along).figures());
            }
        }
        return Optional.empty();
    }

    private static final class Sizes {
        private final Job job;
        private final Column column;
        private final int index;
        private final ShaftJoin join;
        private final double along;
        private final Shaft shaft;
        /** What is joined: the round part of the profile. */
        private final double d;

        private final double bore;
        private final double gap;

        Sizes(Job job, Column column, int index, ShaftJoin join, double along) {
            this.job = job;
            this.column = column;
            this.index = index;
            this.join = join;
            this.along = along;
            shaft = column.shafts().get(index);
            d = shaft.diameter();
            bore = shaft.bore();
            gap = job.making().workshop().rootGap();
        }

        /** d⁴ − b⁴ over d: the shaft's twist, but for what all have in common, mm³. */
        private double twist() {
            return (Math.pow(d, 4) - Math.pow(bore, 4)) / d;
        }

        JoinFigures figures() {
            return switch (join.school()) {
                case SLEEVE -> sleeve();
                case PLUG -> bore > 0 ? plug() : spigot();
                case ONE_PIECE -> onePiece();
                case COUPLING -> coupling();
            };
        }

        /** Yield of the shaft over that of plain steel, which sleeves, plugs and welds are assumed to be. */
        private double stronger() {
            return shaft.yieldMpa() / PLAIN_YIELD;
        }

        private JoinFigures sleeve() {
            double inside = d + 0.1;
            double leg = Math.ceil(throat() * Math.sqrt(2) * 2) / 2;
            // The fillet lies on the sleeve's end: its wall is no thinner than the leg.
            double outside = Math.ceil(Math.max(sleeveOutside(twist() * stronger()), inside + 2 * leg) * 2) / 2;
            double length = 3 * d + gap;
            Part part = new Part(
                    shaft.name() + " sleeve",
                    Section.round(outside, inside),
                    "steel that welds",
                    length,
                    "faced square, bored to slip on",
                    1,
                    Phrase.of("Bored {0} to slip on without shake.", Quantity.fine(inside)));
            double fillet = 8 * d * d * leg / Math.sqrt(2) / (twist() * stronger());
            double tube = (Math.pow(outside, 4) - Math.pow(inside, 4)) / outside / (twist() * stronger());
            return figures(
                    "butt end bevelled 30°",
                    "butt end bevelled 30°",
                    -gap / 2,
                    -gap / 2,
                    gap,
                    1.5 * d + leg,
                    List.of(run(0, butt(bore)), run(1.5 * d + leg, leg * leg / 2 * Math.PI * (d + 2 * leg / 3))),
                    List.of(part),
                    List.of(
                            Phrase.of(
                                    "Sleeve {0} outside, bored {1}, {2} long: {3} over either end.",
                                    Quantity.fine(outside),
                                    Quantity.fine(inside),
                                    Quantity.length(length),
                                    Quantity.length((length - gap) / 2)),
                            Phrase.of(
                                    "Butt weld over a root gap of {0} first, ground flush; then a fillet of {1} leg round either end of the sleeve, all round.",
                                    Quantity.length(gap), Quantity.length(leg)),
                            Phrase.of(
                                    "Two holes of {0} in the sleeve's middle to see that both ends meet.",
                                    Quantity.length(Math.max(3, Math.round(d / 5))))),
                    Math.min(fillet, tube),
                    bore,
                    "Costs no length and shows what was done; two or three welds to be made and tested, and a bulge that must clear what is near.");
        }

        /** (D⁴ − d⁴) / D = wanted, by halving. */
        private double sleeveOutside(double wanted) {
            double low = d;
            double high = 4 * d;
            for (int i = 0; i < 60; i++) {
                double mid = (low + high) / 2;
                if ((Math.pow(mid, 4) - Math.pow(d + 0.1, 4)) / mid < wanted) {
                    low = mid;
                } else {
                    high = mid;
                }
            }
            return high;
        }

        /** Of a fillet round the shaft as strong as plain steel of the shaft's own yield would be, mm. */
        private double throat() {
            return twist() * stronger() / (8 * d * d);
        }

        /** Weld metal of a butt weld down to a diameter, its gap and both bevels, mm³. */
        private double butt(double inner) {
            double wall = (d - inner) / 2;
            double bevels = wall * wall * Math.tan(Math.toRadians(BEVEL));
            return gap * Math.PI / 4 * (d * d - inner * inner) + bevels * 2 * Math.PI * (inner / 2 + 2 * wall / 3);
        }

        /** @param off from the join, either way, mm @param metal of the whole weld, mm³ */
        private ReachedByHeat.Run run(double off, double metal) {
            return new ReachedByHeat.Run(off, WeldHeat.run(metal, d, bore));
        }

        /** Weld metal of one plug weld through the wall over a diameter, mm³. */
        private double plugMetal(double inner) {
            return Math.PI / 4 * plugHole() * plugHole() * (d - inner) / 2;
        }

        private double plugHole() {
            return Math.max(5, Math.round(d / 3));
        }

        /**
         * On one side of the joint, even, so that they go in pairs across. @param part of the shaft's twist they are to
         * carry. @param across where the parts meet, mm
         */
        private int plugs(double part, double across) {
            double h = plugHole();
            double n = part * twist() * stronger() / (2 * h * h * across);
            return Math.max(2, (int) Math.ceil(n / 2 - 1e-9) * 2);
        }

        /** Room along the shaft for so many, mm. */
        private double room(int plugs) {
            return (plugs + 1) * plugHole();
        }

        private JoinFigures plug() {
            int n = plugs(1, bore);
            double each = Math.max(1.5 * d, room(n));
            Part part = new Part(
                    shaft.name() + " plug",
                    new Section.Bar(bore),
                    "steel that welds",
                    2 * each,
                    "turned to press in, 1 mm × 30° lead at both ends",
                    1,
                    Phrase.of(
                            "Turned {0} to {1}: {2} to {3} over the bore.",
                            Quantity.fine(bore + 0.02),
                            Quantity.fine(bore + 0.05),
                            Quantity.fine(0.02),
                            Quantity.fine(0.05)));
            double welds = n * 2 * Math.pow(plugHole(), 2) * bore / (twist() * stronger());
            double bar = Math.pow(bore, 3) / (twist() * stronger());
            return figures(
                    "bevelled 30°, bored for the plug",
                    "bevelled 30°, bored for the plug",
                    -gap / 2,
                    -gap / 2,
                    gap,
                    each,
                    List.of(run(0, butt(bore)), run(each, plugMetal(bore))),
                    List.of(part),
                    List.of(
                            Phrase.of("Plug pressed {0} into either tube.", Quantity.length(each)),
                            Phrase.of(
                                    n
                                            + " plug welds of {0} in each tube, over the plug, in pairs across, each pair a quarter turn on and {1} from the last: those of one tube alone carry what passes.",
                                    Quantity.length(plugHole()),
                                    Quantity.length(2 * plugHole())),
                            Phrase.of("Butt weld round over a root gap of {0}.", Quantity.length(gap)),
                            vent()),
                    Math.min(welds, bar),
                    bore,
                    "Nothing stands out from the shaft; needs a lathe for the press fit, and welds to be tested. The plug closes the tube: vent it.");
        }

        private JoinFigures spigot() {
            double spigot = Math.round(0.6 * d);
            double bar = Math.pow(spigot, 3) / twist();
            int n = plugs(bar, spigot);
            double deep = Math.max(1.2 * d, room(n));
            double welds = n * 2 * Math.pow(plugHole(), 2) * spigot / (twist() * stronger());
            return figures(
                    "bored for the spigot, bevelled 30°",
                    "turned to a spigot, bevelled 30°",
                    -gap / 2,
                    -gap / 2 + deep + gap,
                    gap,
                    deep,
                    List.of(run(0, butt(spigot)), run(deep, plugMetal(spigot))),
                    List.of(),
                    List.of(
                            Phrase.of(
                                    "Spigot {0} on the gear-side piece, {1} long, turned {2} to {3} over its bore.",
                                    Quantity.fine(spigot),
                                    Quantity.length(deep),
                                    Quantity.fine(0.02),
                                    Quantity.fine(0.05)),
                            Phrase.of(
                                    n
                                            + " plug welds of {0} in the bored piece only, over the spigot, in pairs across, each pair a quarter turn on and {1} from the last. The other piece is solid "
                                            + "there: holes in it would hold nothing.",
                                    Quantity.length(plugHole()),
                                    Quantity.length(2 * plugHole())),
                            Phrase.of(
                                    "Butt weld round over a root gap of {0}, down to the spigot.",
                                    Quantity.length(gap)),
                            vent()),
                    Math.min(welds, bar),
                    spigot,
                    "Nothing stands out from the shaft; needs a lathe for the press fit, and welds to be tested. The spigot is thin: the butt weld does the work.");
        }

        private static Phrase vent() {
            return Phrase.of(
                    "Drill {0} through to the closed space before welding, so that air and oil can get out; plug it after.",
                    Quantity.length(2));
        }

        private JoinFigures onePiece() {
            return figures(
                    "as the shaft's end",
                    "as the shaft's end",
                    0,
                    0,
                    0,
                    0,
                    List.of(),
                    List.of(),
                    List.of(
                            Phrase.of(
                                    "No join: one bar of {0} and {1} length, ends cut on it.",
                                    Quantity.fine(d), Quantity.length(column.cutLength(index))),
                            Phrase.of(
                                    "A radius of {0} at every step in diameter; no tool marks across.",
                                    Quantity.length(Math.max(1, Math.round(d / 10))))),
                    1,
                    d,
                    "Nothing to come apart and nothing to test; it costs most, and a wrong length means a new shaft.");
        }

        /** Bolts on one side and what they carry of the shaft's twist. */
        private record Bolts(int count, double size, double shear, double pressure, double left) {

            double carry() {
                return Math.min(1, Math.min(left, Math.min(shear, pressure)));
            }
        }

        private Bolts bolts(int count, double size) {
            double whole = SHEAR * shaft.yieldMpa() * Math.PI * twist() / 16;
            double shear = count * Math.PI * size * size / 4 * SHEAR * BOLT_YIELD * d / whole;
            double wall = (d - bore) / 2;
            double pressing = bore > 0 ? count * d * size * wall : count * size * d * d / 6;
            double left =
                    bore > 0 ? 1 - size / (Math.PI * (d + bore) / 4) : 1 - size * d * d / 6 * 16 / (Math.PI * twist());
            return new Bolts(
                    count,
                    size,
                    shear,
                    pressing * PRESSURE * Math.min(shaft.yieldMpa(), PLAIN_YIELD) / whole,
                    Math.max(0, left));
        }

        /** Two to four to a side, of the size that leaves most; no thicker than half the shaft. */
        private Bolts bolts() {
            Bolts best = bolts(2, BOLTS[0]);
            for (int n = 2; n <= MOST_BOLTS; n++) {
                for (double size : BOLTS) {
                    Bolts b = bolts(n, size);
                    if (size <= d / 2 && b.carry() > best.carry() + 1e-9) {
                        best = b;
                    }
                }
            }
            return best;
        }

        private JoinFigures coupling() {
            Bolts b = bolts();
            double size = b.size;
            double outside = Math.ceil(Math.max(sleeveOutside(twist() * stronger()), d + 4 * size / 2));
            double inside = d + 0.03;
            double each = Math.max(2 * d, 3 * size * (b.count + 0.5));
            Part part = new Part(
                    shaft.name() + " coupler",
                    Section.round(outside, inside),
                    "steel",
                    2 * each,
                    "faced square, reamed to a close slide",
                    1,
                    Phrase.of("Reamed {0}.", Quantity.fine(inside)));
            String weakest = b.carry() >= 1
                    ? ""
                    : b.carry() == b.left
                            ? "their holes in the shaft"
                            : b.carry() == b.shear ? "their shear" : "their pressure in the shaft";
            return figures(
                    "faced square, cross-drilled in the coupler",
                    "faced square, cross-drilled in the coupler",
                    0,
                    0,
                    0,
                    each,
                    List.of(),
                    List.of(part),
                    List.of(
                            Phrase.of(
                                    "Coupler {0} outside, reamed {1}, {2} long: {3} on either shaft.",
                                    Quantity.fine(outside),
                                    Quantity.fine(inside),
                                    Quantity.length(2 * each),
                                    Quantity.length(each)),
                            Phrase.of(
                                    "On either side " + b.count + " bolts M" + Math.round(size)
                                            + " class 8.8 right through, plain shank in the shear planes, a quarter turn apart and {0} between; reamed to fit, "
                                            + "each with a new prevailing-torque nut.",
                                    Quantity.length(3 * size)),
                            Phrase.of(
                                    weakest.isEmpty()
                                            ? "They leave the shaft its whole strength."
                                            : "What limits them is " + weakest + ".")),
                    b.carry(),
                    d,
                    "No heat and nothing to test, and it comes apart; the heaviest and thickest, weakens the shaft by its holes, and every nut has to be locked and looked at.");
        }

        /**
         * @param reach of what is on the join, either side of it, mm
         * @param runs of its welds
         * @param carries without a butt weld
         * @param inner of the ring that a butt weld joins, mm; the shaft's own diameter where there is none
         */
        private JoinFigures figures(
                String wheelEnd,
                String gearEnd,
                double wheelExtra,
                double gearExtra,
                double rootGap,
                double reach,
                List<ReachedByHeat.Run> runs,
                List<Part> parts,
                List<Phrase> dims,
                double carries,
                double inner,
                String costs) {
            double runOut = job.rules().outOfLine();
            double alone = Math.min(1, carries);
            double butt = Math.min(1, alone + (Math.pow(d, 4) - Math.pow(inner, 4)) / d / (twist() * stronger()));
            List<Phrase> all = new ArrayList<>(dims);
            if (join.school() != School.ONE_PIECE) {
                all.add(
                        alone > 0.995
                                ? Phrase.of("It carries the shaft's whole twist"
                                        + (join.school().welded()
                                                ? " without its butt weld, which is in reserve."
                                                : "."))
                                : inner < d
                                        ? Phrase.of(
                                                "Without its butt weld it carries {0} of the shaft's twist, with one that goes through the whole wall and was tested, {1}.",
                                                Quantity.percent(100 * alone), Quantity.percent(100 * butt))
                                        : Phrase.of(
                                                "It carries {0} of the shaft's twist.", Quantity.percent(100 * alone)));
            }
            return new JoinFigures(
                    join,
                    index,
                    shaft.name(),
                    along,
                    JoinFigures.verdict(job.rules(), join.school()),
                    wheelEnd,
                    gearEnd,
                    wheelExtra,
                    gearExtra,
                    rootGap,
                    parts,
                    List.copyOf(all),
                    runOut,
                    runOut / 2,
                    ReachedByHeat.byJoin(column, index, join.along(), runs),
                    alone,
                    butt,
                    noRoom(reach),
                    slides(reach).filter(_ -> !overlapKnown()),
                    costs);
        }

        private boolean overlapKnown() {
            return shaft.slide().flatMap(Slide::middle).isPresent();
        }

        /** Why a sliding shaft could not close. */
        private Optional<Phrase> slides(double reach) {
            return column.slidesOver(index)
                    .filter(s -> reach > 0 && s.distance(join.along()) < reach)
                    .map(s -> Phrase.of(
                            "Its halves slide in each other from {0} to {1} along, and it takes {2} on either side: "
                                    + "a weld or a sleeve there stops the shaft from closing.",
                            Quantity.length(s.from()), Quantity.length(s.to()), Quantity.length(reach)));
        }

        /** What is on the join has to stay clear of both forks and of every bearing. */
        private Optional<Phrase> noRoom(double reach) {
            double toWheelFork = along - column.wheelEndFit(index).engagement();
            double toGearFork =
                    column.cutLength(index) - along - column.gearEndFit(index).engagement();
            if (reach > Math.min(toWheelFork, toGearFork)) {
                return Optional.of(Phrase.of(
                        "It takes {0} on either side of the join; there are {1} to what its wheel end goes into and {2} to what its gear end goes into.",
                        Quantity.length(reach),
                        Quantity.length(Math.max(0, toWheelFork)),
                        Quantity.length(Math.max(0, toGearFork))));
            }
            Optional<ShaftJoin> other = job.making().joins().stream()
                    .filter(o -> o != join
                            && !o.equals(join)
                            && o.shaft().equals(join.shaft())
                            && reach > 0
                            && Math.abs(o.along() - join.along()) < 2 * reach)
                    .findFirst();
            if (other.isPresent()) {
                return other.map(o -> Phrase.of(
                        "Another join is {0} from it, and each takes {1} on either side.",
                        Quantity.length(Math.abs(o.along() - join.along())), Quantity.length(reach)));
            }
            Optional<Phrase> slides = slides(reach).filter(_ -> overlapKnown());
            if (slides.isPresent()) {
                return slides;
            }
            double from = column.wheelEndFit(index).shortening();
            return column.bearings().stream()
                    .filter(b ->
                            b.shaft() == index && reach > 0 && Math.abs(b.along() - from - along) < reach + BEARING)
                    .findFirst()
                    .map(b -> Phrase.of(
                            "\"" + Phrase.name(b.name())
                                    + "\" sits {0} from the join, and it takes {1} on either side.",
                            Quantity.length(Math.abs(b.along() - from - along)),
                            Quantity.length(reach)));
        }
    }

    /** What it gets too hot and can't be taken apart first. */
    public List<ReachedByHeat> spoils() {
        return near.stream().filter(n -> !n.comesOff()).toList();
    }

    /** Whether the profile at the join is round, so that a sleeve or a coupler goes over it. */
    public static boolean joinable(Shaft s) {
        return s.profile() instanceof ShaftProfile.Round;
    }
}
