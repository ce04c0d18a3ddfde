package mildtilt.shop;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.column.Seat;
import mildtilt.column.Shaft;
import mildtilt.job.Job;
import mildtilt.making.Section;
import mildtilt.making.ShaftJoin;
import mildtilt.making.ShaftJoin.School;
import mildtilt.measure.Phrase;
import mildtilt.measure.Quantity;
import mildtilt.rules.Rules;

/**
 * What a join in a shaft is made with, by one school, so that it carries as much twist as the shaft itself.
 *
 * <p>A round shaft of diameter d and bore b carries {@code T = τ π (d⁴ − b⁴) / (16 d)}. A sleeve is as strong where
 * {@code (D⁴ − d⁴) / D = (d⁴ − b⁴) / d}, times the ratio of both yields. A fillet of throat a round the shaft carries
 * {@code τ 2π (d/2)² a}, so {@code a = (d⁴ − b⁴) / (8 d³)}. Plug welds of diameter h at the surface carry {@code n τ (π h²/4) d/2}. A
 * bolt through the middle carries {@code 2 (π s²/4) τ d/2} in its two planes. (Statics of thin rings; the shear yield is taken
 * as 0.577 of the tensile.)
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
 * @param near bearings and joints that the heat or the weld's current would reach, with their distance, mm
 * @param noRoom why it does not go on the shaft there; empty where it does
 * @param costs what this school costs
 */
public record JoinFigures(
        ShaftJoin join, int shaft, double along, Verdict verdict, String wheelSideEnd, String gearSideEnd, double wheelSideExtra,
        double gearSideExtra, double rootGap, List<Part> parts, List<Phrase> dimensions, double runOut, double runOutAtBearings,
        List<Near> near, Optional<Phrase> noRoom, String costs) {

    /** @param count for one join */
    public record Part(String name, Section section, String material, double length, String ends, int count, Phrase note) {}

    /** @param away along the shaft from the join, mm */
    public record Near(String name, double away) {}

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
    private static final double[] BOLTS = {6, 8, 10, 12, 14, 16, 20, 24};
    /** Half of what a bearing takes up along a shaft, mm. */
    private static final double BEARING = 10;
    /** Heat travels this far along a shaft before it harms grease and seals, mm. */
    private static final double HEAT_REACH = 150;

    public static Verdict verdict(Rules rules, School school) {
        return !school.welded() ? Verdict.ALLOWED : switch (rules.welding()) {
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
            if (s.name().equals(join.shaft()) && s.toCut() && along > s.diameter() && along < c.cutLength(i) - s.diameter()) {
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

        private JoinFigures sleeve() {
            double inside = d + 0.1;
            double outside = Math.ceil(sleeveOutside(twist() * shaft.yieldMpa() / PLAIN_YIELD) * 2) / 2;
            double length = 3 * d + gap;
            double leg = Math.ceil(throat() * Math.sqrt(2) * 2) / 2;
            Part part = new Part(shaft.name() + " sleeve", Section.round(outside, inside), "steel that welds", length, "faced square, bored to slip on", 1,
                    Phrase.of("Bored {0} to slip on without shake.", Quantity.fine(inside)));
            return figures("butt end bevelled 30°", "butt end bevelled 30°", -gap / 2, -gap / 2, gap, 1.5 * d + leg, List.of(part), List.of(
                    Phrase.of("Sleeve {0} outside, bored {1}, {2} long: {3} over either end.", Quantity.fine(outside), Quantity.fine(inside), Quantity.length(length), Quantity.length((length - gap) / 2)),
                    Phrase.of("Butt weld over a root gap of {0} first, ground flush; then a fillet of {1} leg round either end of the sleeve.", Quantity.length(gap), Quantity.length(leg)),
                    Phrase.of("Two holes of {0} in the sleeve's middle to see that both ends meet.", Quantity.length(Math.max(3, Math.round(d / 5))))),
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
            return twist() * shaft.yieldMpa() / PLAIN_YIELD / (8 * d * d);
        }

        private double plugHole() {
            return Math.max(5, Math.round(d / 3));
        }

        /** Even, so that they go in pairs across. */
        private int plugs() {
            double h = plugHole();
            double n = twist() * shaft.yieldMpa() / PLAIN_YIELD / (2 * h * h * d);
            return Math.max(2, (int) Math.ceil(n / 2) * 2);
        }

        private JoinFigures plug() {
            double each = 1.5 * d;
            Part part = new Part(shaft.name() + " plug", new Section.Bar(bore), "steel that welds", 2 * each, "turned to press in, 1 mm × 30° lead at both ends", 1,
                    Phrase.of("Turned {0} to {1}: {2} to {3} over the bore.", Quantity.fine(bore + 0.02), Quantity.fine(bore + 0.05), Quantity.fine(0.02), Quantity.fine(0.05)));
            return figures("bevelled 30°, bored for the plug", "bevelled 30°, bored for the plug", -gap / 2, -gap / 2, gap, each, List.of(part), List.of(
                    Phrase.of("Plug pressed {0} into either tube.", Quantity.length(each)), plugText(),
                    Phrase.of("Butt weld round over a root gap of {0}.", Quantity.length(gap)), vent()),
                    "Nothing stands out from the shaft; needs a lathe for the press fit, and welds to be tested. The plug closes the tube: vent it.");
        }

        private JoinFigures spigot() {
            double spigot = Math.round(0.6 * d);
            double deep = 1.2 * d;
            return figures("bored for the spigot, bevelled 30°", "turned to a spigot, bevelled 30°", -gap / 2, -gap / 2 + deep + gap, gap, deep, List.of(), List.of(
                    Phrase.of("Spigot {0} on the gear-side piece, {1} long, turned {2} to {3} over its bore.", Quantity.fine(spigot), Quantity.length(deep), Quantity.fine(0.02), Quantity.fine(0.05)),
                    plugText(), Phrase.of("Butt weld round over a root gap of {0}, down to the spigot.", Quantity.length(gap)), vent()),
                    "Nothing stands out from the shaft; needs a lathe for the press fit, and welds to be tested. The spigot alone carries about a fifth: the welds do the work.");
        }

        private Phrase plugText() {
            return Phrase.of(plugs() + " plug welds of {0}, half on either side of the joint, in pairs across and a quarter turn apart.", Quantity.length(plugHole()));
        }

        private static Phrase vent() {
            return Phrase.of("Drill {0} through to the closed space before welding, so that air and oil can get out; plug it after.", Quantity.length(2));
        }

        private JoinFigures onePiece() {
            return figures("as the shaft's end", "as the shaft's end", 0, 0, 0, 0, List.of(), List.of(
                    Phrase.of("No join: one bar of {0} and {1} length, ends cut on it.", Quantity.fine(d), Quantity.length(column.cutLength(index))),
                    Phrase.of("A radius of {0} at every step in diameter; no tool marks across.", Quantity.length(Math.max(1, Math.round(d / 10))))),
                    "Nothing to come apart and nothing to test; the dearest, and the whole shaft is made anew if its length was wrong.");
        }

        private JoinFigures coupling() {
            double shearOfBolt = SHEAR * BOLT_YIELD;
            int bolts = 2;
            // Each of the bolts carries in two planes at the shaft's surface.
            double wanted = Math.sqrt(SHEAR * shaft.yieldMpa() * Math.PI * twist() / 16 / (bolts * Math.PI / 4 * shearOfBolt * d));
            double bolt = 0;
            for (double b : BOLTS) {
                if (b >= wanted) {
                    bolt = b;
                    break;
                }
            }
            double size = bolt == 0 ? BOLTS[BOLTS.length - 1] : bolt;
            double outside = Math.ceil(Math.max(sleeveOutside(twist() * shaft.yieldMpa() / PLAIN_YIELD), d + 4 * size / 2));
            double inside = d + 0.03;
            double each = Math.max(2 * d, 6 * size);
            double left = Math.max(0, 1 - size * d * d / 6 * 16 / (Math.PI * twist()));
            Part part = new Part(shaft.name() + " coupler", Section.round(outside, inside), "steel", 2 * each, "faced square, reamed to a close slide", 1,
                    Phrase.of("Reamed {0}.", Quantity.fine(inside)));
            return figures("faced square, cross-drilled in the coupler", "faced square, cross-drilled in the coupler", 0, 0, 0, each, List.of(part), List.of(
                    Phrase.of("Coupler {0} outside, reamed {1}, {2} long: {3} on either shaft.", Quantity.fine(outside), Quantity.fine(inside), Quantity.length(2 * each), Quantity.length(each)),
                    Phrase.of("On either side " + bolts + " bolts M" + Math.round(size) + " class 8.8 right through, plain shank in the shear planes, a quarter turn apart and {0} between; reamed to fit, "
                            + "each with a new prevailing-torque nut.", Quantity.length(3 * size)),
                    Phrase.of("A hole of M" + Math.round(size) + " leaves {0} of the shaft's strength in twist: see that the margin in the Column stage allows it.", Quantity.percent(100 * left))),
                    "No heat and nothing to test, and it comes apart; the heaviest and thickest, weakens the shaft by its holes, and every nut has to be locked and looked at.");
        }

        private JoinFigures figures(String wheelEnd, String gearEnd, double wheelExtra, double gearExtra, double rootGap, double reach, List<Part> parts, List<Phrase> dims, String costs) {
            double runOut = job.rules().outOfLine();
            return new JoinFigures(join, index, along, JoinFigures.verdict(job.rules(), join.school()), wheelEnd, gearEnd, wheelExtra, gearExtra, rootGap, parts, dims,
                    runOut, runOut / 2, near(), noRoom(reach), costs);
        }

        /** What is on the join has to stay clear of both forks and of every bearing. */
        private Optional<Phrase> noRoom(double reach) {
            double toWheelFork = along - column.wheelEndFit(index).engagement();
            double toGearFork = column.cutLength(index) - along - column.gearEndFit(index).engagement();
            if (reach > Math.min(toWheelFork, toGearFork)) {
                return Optional.of(Phrase.of("It takes {0} on either side of the join; there are {1} to what its wheel end goes into and {2} to what its gear end goes into.", Quantity.length(reach),
                        Quantity.length(Math.max(0, toWheelFork)), Quantity.length(Math.max(0, toGearFork))));
            }
            Optional<ShaftJoin> other = job.making().joins().stream().filter(o -> o != join && !o.equals(join) && o.shaft().equals(join.shaft()) && reach > 0 && Math.abs(o.along() - join.along()) < 2 * reach)
                    .findFirst();
            if (other.isPresent()) {
                return other.map(o -> Phrase.of("Another join is {0} from it, and each takes {1} on either side.", Quantity.length(Math.abs(o.along() - join.along())), Quantity.length(reach)));
            }
            double from = column.wheelEndFit(index).shortening();
            return column.bearings().stream().filter(b -> b.shaft() == index && reach > 0 && Math.abs(b.along() - from - along) < reach + BEARING).findFirst()
                    .map(b -> Phrase.of("\"" + b.name() + "\" sits {0} from the join, and it takes {1} on either side.", Quantity.length(Math.abs(b.along() - from - along)), Quantity.length(reach)));
        }

        private List<Near> near() {
            List<Near> all = new ArrayList<>();
            if (!join.school().welded()) {
                return all;
            }
            double at = join.along();
            for (Bearing b : column.bearings()) {
                if (b.shaft() == index) {
                    all.add(new Near(b.name(), Math.abs(b.along() - at)));
                }
            }
            if (index == 0) {
                column.tube().ifPresent(t -> {
                    all.add(new Near("upper bearing of the column tube", Math.abs(t.from() - at)));
                    all.add(new Near("lower bearing of the column tube", Math.abs(t.to() - at)));
                });
            }
            if (index > 0) {
                all.add(new Near(column.joints().get(index - 1).name(), at));
            }
            if (index < column.joints().size()) {
                all.add(new Near(column.joints().get(index).name(), column.length(index) - at));
            }
            return all.stream().filter(n -> n.away <= HEAT_REACH).toList();
        }
    }

    /** Whether the profile at the join is round, so that a sleeve or a coupler goes over it. */
    public static boolean joinable(Shaft s) {
        return s.profile() instanceof Seat.Round;
    }
}
