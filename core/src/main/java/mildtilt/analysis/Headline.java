package mildtilt.analysis;

import static mildtilt.analysis.Headline.Better.HIGHER;
import static mildtilt.analysis.Headline.Better.LOWER;
import static mildtilt.analysis.Headline.Better.NEARER_0;
import static mildtilt.analysis.Headline.Better.NEITHER;
import static mildtilt.analysis.Headline.ShownIn.CLEARANCE;
import static mildtilt.analysis.Headline.ShownIn.COLUMN;
import static mildtilt.analysis.Headline.ShownIn.LINKAGE;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.IntStream;
import mildtilt.clearance.ClearanceFigures;
import mildtilt.column.Transfer;
import mildtilt.geometry.Side;
import mildtilt.steer.ArmMatch;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.TurnGeometry;
import mildtilt.steer.forces.Effort;
import mildtilt.steer.forces.KickBack;
import mildtilt.suspension.KnucklePose;
import mildtilt.units.Unit;

/**
 * The figures a fabricator compares before and after a change: each described here and nowhere else. The tables of the
 * window, the analysis
 * JSON, {@code figures.csv}, the papers, docs/figures.md and the glossary follow from it, in this order.
 */
public enum Headline {
    WORST_JOINT(
            "widest_joint_deg",
            "Widest joint angle",
            Unit.ANGLE,
            LOWER,
            "Under 30° for a plain single joint, less is smoother.",
            "The largest operating angle of any joint. 0 is straight; each joint has its own limit.",
            Headline::widestJoint,
            COLUMN,
            CLEARANCE),
    RIPPLE(
            "ripple_pct",
            "Column ripple",
            Unit.PERCENT,
            LOWER,
            "Under 10 %, peak to peak.",
            "How much quicker and slower the gear's input turns than the steering wheel, peak to peak. 0 is even.",
            w -> w.column().flatMap(c -> c.transfer()).map(Transfer::ripplePct),
            COLUMN,
            CLEARANCE),
    RATIO(
            "ratio_at_centre",
            "Ratio at centre",
            Unit.RATIO,
            NEITHER,
            "12 to 20 : 1 by hand; quicker is heavier.",
            "Degrees of steering wheel for one degree of road wheel, straight ahead.",
            steering(SteerFigures::ratioAtCentre),
            COLUMN,
            LINKAGE),
    RATIO_OVERALL(
            "ratio_lock_to_lock",
            "Ratio, lock to lock",
            Unit.RATIO,
            NEITHER,
            "12 to 20 : 1 by hand; quicker is heavier.",
            "Degrees of steering wheel for one degree of road wheel, over the whole lock.",
            steering(SteerFigures::averageRatio),
            LINKAGE),
    TURNS(
            "turns_lock_to_lock",
            "Lock to lock",
            Unit.TURNS,
            NEITHER,
            "1.5 to 4.",
            "Turns of the steering wheel from where the lock ends one way to where it ends the other.",
            always(SteerFigures::turnsAvailable),
            COLUMN,
            LINKAGE,
            CLEARANCE),
    INNER_LOCK(
            "left_lock_inner_deg",
            "Left lock, inner wheel",
            Unit.ANGLE,
            NEITHER,
            "28 to 38° of the inner wheel.",
            "Steer angle of the wheel on the inside of the turn, where the lock really ends: gear, knuckle stop or tyre.",
            always(s -> lock(s, Side.LEFT).innerDeg()),
            COLUMN,
            LINKAGE,
            CLEARANCE),
    OUTER_LOCK(
            "left_lock_outer_deg",
            "Left lock, outer wheel",
            Unit.ANGLE,
            NEITHER,
            "28 to 38° of the inner wheel.",
            "Steer angle of the wheel on the outside of the turn, with the steering wheel at full left lock.",
            always(s -> lock(s, Side.LEFT).outerDeg()),
            COLUMN,
            LINKAGE,
            CLEARANCE),
    RIGHT_INNER_LOCK(
            "right_lock_inner_deg",
            "Right lock, inner wheel",
            Unit.ANGLE,
            NEITHER,
            "28 to 38° of the inner wheel.",
            "Steer angle of the wheel on the inside of the turn, with the steering wheel at full right lock.",
            always(s -> lock(s, Side.RIGHT).innerDeg()),
            LINKAGE,
            CLEARANCE),
    REAR_INNER(
            "rear_inner_at_left_lock_deg",
            "Left lock, rear inner",
            Unit.ANGLE,
            NEITHER,
            "What the rear axle's own linkage should reach.",
            "Angle of the rear wheel on the inside of the turn that rolls about the same point as the front wheels; "
                    + "+ the other way.",
            steering(s -> lock(s, Side.LEFT).rearDeg(true)),
            LINKAGE),
    REAR_OUTER(
            "rear_outer_at_left_lock_deg",
            "Left lock, rear outer",
            Unit.ANGLE,
            NEITHER,
            "What the rear axle's own linkage should reach.",
            "Angle of the rear wheel on the outside of the turn that rolls about the same point as the front "
                    + "wheels; + the other way.",
            steering(s -> lock(s, Side.LEFT).rearDeg(false)),
            LINKAGE),
    ACKERMANN(
            "ackermann_at_20_pct",
            "Ackermann at 20°",
            Unit.PERCENT,
            NEITHER,
            "60 to 110 % for slow turns on good grip; parallel or less is chosen for fast corners.",
            "0 % turns both wheels alike, 100 % lets both roll about one point. Taken at 20° of inner wheel.",
            steering(SteerFigures::ackermannAt20Pct),
            COLUMN,
            LINKAGE,
            CLEARANCE),
    OUTER_ERROR(
            "outer_wheel_off_ideal_deg",
            "Outer wheel off ideal",
            Unit.ANGLE,
            NEARER_0,
            "",
            "How far the outer wheel is from the angle at which both wheels roll about one point, at left lock. + is turned too far.",
            steering(s -> lock(s, Side.LEFT).outerErrorDeg()),
            LINKAGE),
    CIRCLE(
            "turning_circle_mm",
            "Turning circle",
            Unit.WIDE_LENGTH,
            LOWER,
            "9 to 13 m for a car.",
            "Kerb to kerb at full lock, the wider of left and right.",
            steering(SteerFigures::circleAvailable),
            COLUMN,
            LINKAGE,
            CLEARANCE),
    BUMP_STEER_NORMAL(
            "bump_steer_normal_travel_deg",
            "Bump steer, normal travel",
            Unit.ANGLE,
            LOWER,
            "Under 0.5° over the normal travel; exactly 0 only on paper.",
            "Toe change of a wheel over the normal travel, straight ahead, peak to peak.",
            always(SteerFigures::worstNormalBumpSteerDeg),
            COLUMN,
            LINKAGE),
    BUMP_STEER(
            "bump_steer_full_travel_deg",
            "Bump steer, full travel",
            Unit.ANGLE,
            LOWER,
            "Under 0.5° over the normal travel; exactly 0 only on paper.",
            "Toe change of a wheel over its whole travel, straight ahead, peak to peak.",
            always(SteerFigures::worstBumpSteerDeg),
            LINKAGE),
    ROLL_STEER(
            "roll_steer_deg_per_deg",
            "Roll steer, per degree",
            Unit.ANGLE,
            NEARER_0,
            "Within a few hundredths of a degree for a degree of lean.",
            "Degrees both wheels steer to the left for a degree of the body leaning left.",
            steering(SteerFigures::rollSteer),
            LINKAGE),
    BRAKE_STEER(
            "brake_steer_deg_per_deg",
            "Brake steer, per degree",
            Unit.ANGLE,
            NEARER_0,
            "Within 0.2° for a degree of wind-up; soft leaf springs wind up several degrees.",
            "Degrees both wheels steer to the left for a degree that braking winds the axle up on its springs.",
            steering(SteerFigures::brakeSteer),
            LINKAGE),
    CAMBER(
            "camber_left_deg",
            "Camber, left",
            Unit.ANGLE,
            NEITHER,
            "0 to −2°.",
            "At ride height; − with the top leaning inward.",
            knuckle(KnucklePose::camberDeg),
            LINKAGE),
    CASTER(
            "caster_left_deg",
            "Caster, left",
            Unit.ANGLE,
            NEITHER,
            "2 to 7°; more pulls heavier.",
            "At ride height; + with the steer axis leaning back.",
            knuckle(KnucklePose::casterDeg),
            LINKAGE),
    SCRUB(
            "scrub_radius_left_mm",
            "Scrub radius, left",
            Unit.LENGTH,
            NEITHER,
            "−10 to 40 mm; the lever by which a wheel pulls at the steering wheel.",
            "Contact point outboard of the steer axis at the ground.",
            knuckle(KnucklePose::scrubRadius),
            LINKAGE),
    TOGGLE(
            "over_centre_margin_deg",
            "Nearest to over-centre",
            Unit.ANGLE,
            HIGHER,
            "Keep 25° and more away from it.",
            "The smallest angle that any rod and its arm keep from being in line, over all steer and travel.",
            w -> w.map().flatMap(m -> m.nearestCentre()).map(t -> t.getValue().deg()),
            LINKAGE),
    ROD_END(
            "rod_end_margin_deg",
            "Rod end's least margin",
            Unit.ANGLE,
            HIGHER,
            "Rod ends tilt 12 to 25° each way; some degrees to spare at the worst place.",
            "Tilt left in a rod end at the worst place of the range; below 0 it is past its limit.",
            Headline::rodEnd,
            LINKAGE),
    GAP(
            "gap_to_spare_mm",
            "Gap to spare",
            Unit.LENGTH,
            HIGHER,
            "0 or more: every gap is large enough.",
            "The smallest gap of the whole range, less the gap wanted there; below 0 it is too small. Blank if all gaps are ample.",
            w -> w.clearance().flatMap(ClearanceFigures::tightest).map(p -> p.margin()),
            LINKAGE,
            CLEARANCE),
    RAKE(
            "rake_worst_deg",
            "Tie rod's worst rake",
            Unit.ANGLE,
            LOWER,
            "Under 20°.",
            "In plan, from the direction its inner end moves. The rod then carries 1/cos of the force.",
            steering(s -> s.rake().values().stream().map(r -> r.worstDeg()).reduce(Math::max)),
            LINKAGE),
    GEAR_USED(
            "gear_travel_used_pct",
            "Gear travel used",
            Unit.PERCENT,
            NEITHER,
            "Just under 100 %.",
            "The part of the gear's travel used when the wheel reaches its end; over 100 % the gear is too short.",
            w -> w.match().map(ArmMatch::gearUsed).map(u -> 100 * u),
            LINKAGE),
    PARKED(
            "rim_force_parked_n",
            "Rim force, parked",
            Unit.FORCE,
            LOWER,
            "Under 250 N.",
            "The most force at the rim to turn the wheels while parked.",
            effort(Effort::worstParked),
            LINKAGE),
    CREEPING(
            "rim_force_creeping_n",
            "Rim force, creeping",
            Unit.FORCE,
            LOWER,
            "",
            "The same at walking pace.",
            effort(Effort::worstCreeping),
            LINKAGE),
    CREEPING_PER_DEGREE(
            "rim_force_creeping_n_per_deg",
            "Rim force per degree",
            Unit.FORCE_PER_DEGREE,
            NEITHER,
            "",
            "How much the rim force at walking pace grows per degree from straight ahead to full lock, the harder way. Below 0 it gets lighter toward lock.",
            effort(Effort::creepingPerDeg),
            LINKAGE),
    KICK_BACK(
            "kick_back_n",
            "Kick-back of one wheel",
            Unit.FORCE,
            LOWER,
            "Less than hands hold by surprise: under 250 N.",
            "Pull at the rim as one wheel, straight ahead, is pushed back with its own load: a hole, a rut. The "
                    + "harder side.",
            steering(s -> s.kickBack().flatMap(KickBack::worstBlow)),
            LINKAGE),
    BUCKLING(
            "buckling_margin",
            "Least buckling margin",
            Unit.TIMES,
            HIGHER,
            "4 and more.",
            "The load at which the weakest rod buckles, divided by what it carries parked.",
            steering(s -> s.rodLoads().stream()
                    .flatMap(l -> l.bucklingMargin().stream())
                    .reduce(Math::min)),
            LINKAGE),
    TIE_ROD(
            "tie_rod_left_mm",
            "Tie rod, left",
            Unit.LENGTH,
            NEITHER,
            "",
            "Left tie rod from joint centre to joint centre.",
            always(s -> s.tieRod(Side.LEFT)),
            COLUMN,
            LINKAGE);

    /** Which way is better, other things alike. */
    public enum Better {
        HIGHER("Higher is better."),
        LOWER("Lower is better."),
        NEARER_0("Nearer to 0 is better."),
        NEITHER("");

        private final String sentence;

        Better(String sentence) {
            this.sentence = sentence;
        }
    }

    /** At what work it stands in the table of figures. */
    public enum ShownIn {
        COLUMN,
        LINKAGE,
        CLEARANCE
    }

    private final String key;
    private final String label;
    private final Unit unit;
    private final Better better;
    private final String usual;
    private final String meaning;
    private final Function<FigureOrigins, Optional<Double>> from;
    private final Set<ShownIn> where;

    Headline(
            String key,
            String label,
            Unit unit,
            Better better,
            String usual,
            String meaning,
            Function<FigureOrigins, Optional<Double>> from,
            ShownIn first,
            ShownIn... others) {
        this.key = key;
        this.label = label;
        this.unit = unit;
        this.better = better;
        this.usual = usual;
        this.meaning = meaning;
        this.from = from;
        this.where = EnumSet.of(first, others);
    }

    /** What it is called in files. The unit is at its end. */
    public String key() {
        return key;
    }

    public String label() {
        return label;
    }

    /** Also says how finely it is worth showing. */
    public Unit unit() {
        return unit;
    }

    public Better better() {
        return better;
    }

    /** What is usual, in a sentence; empty if nothing is. */
    public String usual() {
        return usual;
    }

    /** What it is, in a sentence or two. */
    public String meaning() {
        return meaning;
    }

    /** Its full explanation: what it is, what is usual, which way is better. */
    public String explanation() {
        return meaning
                + (usual.isEmpty() ? "" : " Usual: " + usual)
                + (better.sentence.isEmpty() ? "" : " " + better.sentence);
    }

    public boolean placeOf(ShownIn w) {
        return where.contains(w);
    }

    /** Empty if the job has none. */
    Optional<Double> of(FigureOrigins s) {
        return from.apply(s);
    }

    private static Function<FigureOrigins, Optional<Double>> steering(Function<SteerFigures, Optional<Double>> of) {
        return w -> w.steer().flatMap(of);
    }

    private static Function<FigureOrigins, Optional<Double>> always(Function<SteerFigures, Double> of) {
        return w -> w.steer().map(of);
    }

    private static Function<FigureOrigins, Optional<Double>> knuckle(Function<KnucklePose, Double> of) {
        return w -> w.steer().map(SteerFigures::left).map(of);
    }

    private static Function<FigureOrigins, Optional<Double>> effort(Function<Effort, Double> of) {
        return w -> w.steer().flatMap(SteerFigures::effort).map(of);
    }

    private static TurnGeometry lock(SteerFigures s, Side side) {
        return s.lock(side).turn();
    }

    private static Optional<Double> widestJoint(FigureOrigins w) {
        return w.column().flatMap(c -> IntStream.range(0, c.column().joints().size())
                .mapToObj(c::jointAngleDeg)
                .reduce(Math::max));
    }

    private static Optional<Double> rodEnd(FigureOrigins w) {
        return w.map().flatMap(m -> m.extremes().tilts().values().stream()
                .flatMap(t -> t.allowedDeg().map(a -> a - t.deg()).stream())
                .reduce(Math::min));
    }
}
