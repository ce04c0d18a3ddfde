package mildtilt.rules;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import mildtilt.column.Socket.Retention;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.withers.Withers;

/**
 * The limits a column is judged by. They are the builder's own choice of caution, never a law: local rules come first.
 *
 * @param name short name of the set
 * @param about whom it is meant for
 * @param jointDeg most operating angle of any single joint, degrees, even where the joint itself allows more
 * @param ripplePct most ripple of the column, percent
 * @param welding whether a steering shaft or fork may be welded
 * @param collapse what a blow from the front must find
 * @param engagementTimes least engagement of a shaft in a fork, in diameters of the shaft
 * @param overlap least overlap of a sliding shaft, mm
 * @param holds what may keep a shaft's end in a fork
 * @param locking how every fastener is to be locked, in words
 * @param jointInCabin whether a joint may stand inside the cabin
 * @param heavyPull at the rim, that nothing may fail under, N
 * @param strengthMargin least yield strength over stress under that pull
 * @param windUpDeg most twist of all shafts together under that pull, degrees
 * @param spanHz least frequency at which an unsupported span may shake, Hz
 * @param outOfLine most that a bearing may be out of line where a shaft has more than two supports, mm
 * @param kerbTimes how many times its own load a wheel is pushed back with by a kerb or a hole, that nothing may yield
 * under
 * @param geometry what is usual of the wheels' geometry
 * @param classes of vehicle the set is meant for; none for any vehicle
 * @param differ where authorities differ, one sentence each
 */
public record Rules(
        String name,
        String about,
        double jointDeg,
        double ripplePct,
        Welding welding,
        Collapse collapse,
        double engagementTimes,
        double overlap,
        Set<Retention> holds,
        String locking,
        boolean jointInCabin,
        double heavyPull,
        double strengthMargin,
        double windUpDeg,
        double spanHz,
        double outOfLine,
        double kerbTimes,
        WheelGeometry geometry,
        List<VehicleClass> classes,
        List<String> differ) {

    /** Whether a steering shaft may be welded. */
    public enum Welding {
        ALLOWED("allowed"),
        TESTED("allowed if tested after"),
        FORBIDDEN("forbidden");

        private final String label;

        Welding(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /**
     * What must keep a blow from the front from driving the wheel at the driver. Two schools: a column that collapses,
     * or a column that is kinked so that it folds.
     *
     * @param stroke least free stroke of sliding and collapsing parts, mm; 0 if none is required
     * @param kinkDeg the sum of the joints' angles that is taken instead, if it is
     * @param straightForbidden whether a column that is all but a straight bar from gear to driver, without that
     * stroke, is a
     *     stop; else it is a thing to look at
     */
    public record Collapse(double stroke, Optional<Double> kinkDeg, boolean straightForbidden) {

        /** A set that asks for a stroke forbids a straight bar without it. */
        public Collapse(double stroke, Optional<Double> kinkDeg) {
            this(stroke, kinkDeg, stroke > 0);
        }

        public Collapse {
            if (!(stroke >= 0) || kinkDeg.filter(k -> !(k > 0)).isPresent()) {
                throw new ImpossibleGeometryException(
                        "The stroke wanted can't be negative, and a kink taken instead must be above 0.");
            }
        }
    }

    /**
     * @param wheelbaseMin mm
     * @param wheelbaseMax mm
     * @param widthMax over the tyres, mm
     * @param shaftHoleMax of the hole that the column goes through in the bulkhead, mm, where the class has a limit
     */
    @Withers
    public record VehicleClass(
            String name, double wheelbaseMin, double wheelbaseMax, double widthMax, Optional<Double> shaftHoleMax)
            implements RulesVehicleClassBuilder.With {

        /** With any hole. */
        public VehicleClass(String name, double wheelbaseMin, double wheelbaseMax, double widthMax) {
            this(name, wheelbaseMin, wheelbaseMax, widthMax, Optional.empty());
        }

        public VehicleClass {
            if (!(wheelbaseMin >= 0 && wheelbaseMax > wheelbaseMin && widthMax > 0)) {
                throw new ImpossibleGeometryException("The class \"" + name
                        + "\" must have a largest wheelbase above its least, and a width above 0.");
            }
            if (shaftHoleMax.filter(h -> !(h > 0)).isPresent()) {
                throw new ImpossibleGeometryException(
                        "The shaft hole of the class \"" + name + "\" must be above 0, or left out.");
            }
        }
    }

    /** @throws ImpossibleGeometryException naming the limit that can't be */
    public Rules {
        holds = Set.copyOf(holds);
        classes = List.copyOf(classes);
        differ = List.copyOf(differ);
        if (!(jointDeg > 0 && jointDeg < 90)) {
            throw new ImpossibleGeometryException("The most angle of a joint must be between 0 and 90 degrees.");
        }
        if (!(ripplePct > 0 && heavyPull > 0 && strengthMargin > 0 && windUpDeg > 0 && spanHz > 0)) {
            throw new ImpossibleGeometryException(
                    "Ripple, pull, strength margin, wind-up and span frequency of a rule set must be above 0.");
        }
        if (!(kerbTimes >= 0)) {
            throw new ImpossibleGeometryException("A kerb's push can't be negative.");
        }
        if (!(engagementTimes >= 0 && overlap >= 0 && outOfLine >= 0)) {
            throw new ImpossibleGeometryException(
                    "Engagement, overlap and out-of-line of a rule set can't be negative.");
        }
        if (holds.isEmpty()) {
            throw new ImpossibleGeometryException("A rule set must accept at least one way to keep a shaft in a fork.");
        }
    }

    public boolean accepts(Retention hold) {
        return holds.contains(hold) && !(hold == Retention.WELD && welding == Welding.FORBIDDEN);
    }

    public Rules withName(String n) {
        return with(n, welding, collapse, holds, jointInCabin);
    }

    public Rules withWelding(Welding w) {
        return with(name, w, collapse, holds, jointInCabin);
    }

    public Rules withJointInCabin(boolean may) {
        return with(name, welding, collapse, holds, may);
    }

    public Rules withHolds(Set<Retention> h) {
        return with(name, welding, collapse, h, jointInCabin);
    }

    /** @throws ImpossibleGeometryException if the limit can't be so */
    public Rules with(RuleLimit limit, double v) {
        WheelGeometry g = geometry;
        return new Rules(
                name,
                about,
                set(RuleLimit.JOINT_ANGLE, jointDeg, limit, v),
                set(RuleLimit.RIPPLE, ripplePct, limit, v),
                welding,
                new Collapse(
                        set(RuleLimit.STROKE, collapse.stroke, limit, v),
                        limit == RuleLimit.KINK ? Optional.of(v) : collapse.kinkDeg,
                        collapse.straightForbidden),
                set(RuleLimit.ENGAGEMENT, engagementTimes, limit, v),
                set(RuleLimit.OVERLAP, overlap, limit, v),
                holds,
                locking,
                jointInCabin,
                set(RuleLimit.HEAVY_PULL, heavyPull, limit, v),
                set(RuleLimit.STRENGTH, strengthMargin, limit, v),
                set(RuleLimit.WIND_UP, windUpDeg, limit, v),
                set(RuleLimit.SPAN, spanHz, limit, v),
                set(RuleLimit.OUT_OF_LINE, outOfLine, limit, v),
                set(RuleLimit.KERB, kerbTimes, limit, v),
                new WheelGeometry(
                        set(RuleLimit.CASTER_MIN, g.casterMinDeg(), limit, v),
                        set(RuleLimit.CASTER_MAX, g.casterMaxDeg(), limit, v),
                        set(RuleLimit.TRAIL_MIN, g.trailMin(), limit, v),
                        set(RuleLimit.TRAIL_MAX, g.trailMax(), limit, v),
                        set(RuleLimit.KINGPIN_MIN, g.kingpinMinDeg(), limit, v),
                        set(RuleLimit.KINGPIN_MAX, g.kingpinMaxDeg(), limit, v),
                        set(RuleLimit.SCRUB, g.scrubMax(), limit, v),
                        set(RuleLimit.TOE, g.toeDeg(), limit, v),
                        set(RuleLimit.APART, g.apartDeg(), limit, v),
                        set(RuleLimit.ROLL_STEER, g.rollSteer(), limit, v),
                        set(RuleLimit.LOCK_APART, g.lockApartDeg(), limit, v),
                        set(RuleLimit.BRAKE_STEER, g.brakeSteer(), limit, v)),
                classes,
                differ);
    }

    /** With no kink taken in place of free stroke. */
    public Rules withoutKink() {
        return with(
                name,
                welding,
                new Collapse(collapse.stroke, Optional.empty(), collapse.straightForbidden),
                holds,
                jointInCabin);
    }

    public Rules withClasses(List<VehicleClass> c) {
        return new Rules(
                name,
                about,
                jointDeg,
                ripplePct,
                welding,
                collapse,
                engagementTimes,
                overlap,
                holds,
                locking,
                jointInCabin,
                heavyPull,
                strengthMargin,
                windUpDeg,
                spanHz,
                outOfLine,
                kerbTimes,
                geometry,
                c,
                differ);
    }

    /** A limit's figure; empty where the set asks nothing of the kind. */
    public Optional<Double> get(RuleLimit limit) {
        return switch (limit) {
            case JOINT_ANGLE -> Optional.of(jointDeg);
            case RIPPLE -> Optional.of(ripplePct);
            case STROKE -> Optional.of(collapse.stroke);
            case KINK -> collapse.kinkDeg;
            case ENGAGEMENT -> Optional.of(engagementTimes);
            case OVERLAP -> Optional.of(overlap);
            case HEAVY_PULL -> Optional.of(heavyPull);
            case STRENGTH -> Optional.of(strengthMargin);
            case WIND_UP -> Optional.of(windUpDeg);
            case SPAN -> Optional.of(spanHz);
            case OUT_OF_LINE -> Optional.of(outOfLine);
            case KERB -> Optional.of(kerbTimes);
            case CASTER_MIN -> Optional.of(geometry.casterMinDeg());
            case CASTER_MAX -> Optional.of(geometry.casterMaxDeg());
            case TRAIL_MIN -> Optional.of(geometry.trailMin());
            case TRAIL_MAX -> Optional.of(geometry.trailMax());
            case KINGPIN_MIN -> Optional.of(geometry.kingpinMinDeg());
            case KINGPIN_MAX -> Optional.of(geometry.kingpinMaxDeg());
            case SCRUB -> Optional.of(geometry.scrubMax());
            case TOE -> Optional.of(geometry.toeDeg());
            case APART -> Optional.of(geometry.apartDeg());
            case ROLL_STEER -> Optional.of(geometry.rollSteer());
            case LOCK_APART -> Optional.of(geometry.lockApartDeg());
            case BRAKE_STEER -> Optional.of(geometry.brakeSteer());
        };
    }

    private Rules with(String n, Welding w, Collapse c, Set<Retention> h, boolean inCabin) {
        return new Rules(
                n,
                about,
                jointDeg,
                ripplePct,
                w,
                c,
                engagementTimes,
                overlap,
                h,
                locking,
                inCabin,
                heavyPull,
                strengthMargin,
                windUpDeg,
                spanHz,
                outOfLine,
                kerbTimes,
                geometry,
                classes,
                differ);
    }

    private static double set(RuleLimit which, double was, RuleLimit limit, double v) {
        return which == limit ? v : was;
    }
}
