package mildtilt.analysis;

import mildtilt.measure.Unit;

/** The figures a fabricator compares before and after a change. */
public enum Headline {
    WORST_JOINT("Widest joint angle", Unit.ANGLE, Group.COLUMN,
            "The largest operating angle of any joint. 0 is straight; each joint has its own limit."),
    RIPPLE("Column ripple", Unit.PERCENT, Group.COLUMN,
            "How much quicker and slower the gear's input turns than the hands, peak to peak. 0 is even."),
    RATIO("Ratio at centre", Unit.RATIO, Group.TURNING,
            "Degrees of steering wheel for one degree of road wheel, straight ahead."),
    RATIO_OVERALL("Ratio, lock to lock", Unit.RATIO, Group.TURNING,
            "Degrees of steering wheel for one degree of road wheel, over the whole lock."),
    TURNS("Lock to lock", Unit.TURNS, Group.TURNING, "Turns of the steering wheel from where the lock ends one way to where it ends the other."),
    INNER_LOCK("Left lock, inner wheel", Unit.ANGLE, Group.TURNING,
            "Steer angle of the wheel on the inside of the turn, where the lock really ends: gear, knuckle stop or tyre."),
    OUTER_LOCK("Left lock, outer wheel", Unit.ANGLE, Group.TURNING,
            "Steer angle of the wheel on the outside of the turn, with the steering wheel at full left lock."),
    RIGHT_INNER_LOCK("Right lock, inner wheel", Unit.ANGLE, Group.TURNING,
            "Steer angle of the wheel on the inside of the turn, with the steering wheel at full right lock."),
    ACKERMANN("Ackermann at 20°", Unit.PERCENT, Group.TURNING,
            "0 % turns both wheels alike, 100 % lets both roll about one point. Taken at 20° of inner wheel."),
    OUTER_ERROR("Outer wheel off ideal", Unit.ANGLE, Group.TURNING,
            "Outer wheel's angle less the one at which both wheels roll about one point, at left lock. + is turned too much."),
    CIRCLE("Turning circle", Unit.LENGTH, Group.TURNING, "Kerb to kerb at full lock, the wider of left and right."),
    BUMP_STEER_NORMAL("Bump steer, normal travel", Unit.ANGLE, Group.TRAVEL,
            "Toe change of a wheel over the normal travel, straight ahead, peak to peak."),
    BUMP_STEER("Bump steer, full travel", Unit.ANGLE, Group.TRAVEL,
            "Toe change of a wheel over its whole travel, straight ahead, peak to peak."),
    ROLL_STEER("Roll steer, per degree", Unit.ANGLE, Group.TRAVEL,
            "Degrees both wheels steer to the left for a degree of the body leaning left."),
    CAMBER("Camber, left", Unit.ANGLE, Group.TRAVEL, "At ride height; − with the top leaning inward."),
    CASTER("Caster, left", Unit.ANGLE, Group.TRAVEL, "At ride height; + with the steer axis leaning back."),
    SCRUB("Scrub radius, left", Unit.LENGTH, Group.TRAVEL, "Contact point outboard of the steer axis at the ground."),
    TOGGLE("Nearest to over-centre", Unit.ANGLE, Group.MARGIN,
            "Least angle between any rod and its arm and their being in line, over the whole steer and travel."),
    ROD_END("Rod end's least margin", Unit.ANGLE, Group.MARGIN,
            "Tilt a rod end still allows at the worst place of the range; below 0 it is past its angle."),
    GAP("Gap to spare", Unit.LENGTH, Group.MARGIN,
            "The least that any gap in the whole range leaves over what it needs; below 0 it is too small. None is told where all leave plenty."),
    RAKE("Tie rod's worst rake", Unit.ANGLE, Group.MARGIN,
            "In plan, against the way its inner end moves. It carries 1/cos of the force."),
    GEAR_USED("Gear travel used", Unit.PERCENT, Group.MARGIN,
            "Of the gear's travel, what is used when the wheel meets its end; over 100 % the gear is short."),
    PARKED("Rim force, parked", Unit.FORCE, Group.MARGIN, "Most force at the rim to turn the wheels standing still."),
    CREEPING("Rim force, creeping", Unit.FORCE, Group.MARGIN, "The same at walking pace."),
    BUCKLING("Least buckling margin", Unit.TIMES, Group.MARGIN,
            "The load at which the weakest rod buckles over what it carries parked."),
    TIE_ROD("Tie rod, left", Unit.LENGTH, Group.MARGIN, "Left tie rod from joint centre to joint centre.");

    /** What a headline is about. */
    public enum Group {
        COLUMN,
        TURNING,
        TRAVEL,
        MARGIN
    }

    private final String label;
    private final Unit unit;
    private final Group group;
    private final String meaning;

    Headline(String label, Unit unit, Group group, String meaning) {
        this.label = label;
        this.unit = unit;
        this.group = group;
        this.meaning = meaning;
    }

    public String label() {
        return label;
    }

    public Unit unit() {
        return unit;
    }

    public Group group() {
        return group;
    }

    public String meaning() {
        return meaning;
    }
}
