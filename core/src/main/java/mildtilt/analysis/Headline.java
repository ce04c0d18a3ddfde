package mildtilt.analysis;

import mildtilt.measure.Unit;

/** The figures a fabricator compares before and after a change. */
public enum Headline {
    WORST_JOINT("Widest joint angle", Unit.ANGLE,
            "The largest operating angle of any joint. 0 is straight; each joint has its own limit."),
    RIPPLE("Column ripple", Unit.PERCENT,
            "How much quicker and slower the gear's input turns than the hands, peak to peak. 0 is even."),
    RATIO("Ratio at centre", Unit.RATIO,
            "Degrees of steering wheel for one degree of road wheel, straight ahead."),
    TURNS("Lock to lock", Unit.TURNS, "Turns of the steering wheel from one end to the other."),
    INNER_LOCK("Left lock, inner wheel", Unit.ANGLE,
            "Steer angle of the wheel on the inside of the turn, with the steering wheel at full left lock."),
    OUTER_LOCK("Left lock, outer wheel", Unit.ANGLE,
            "Steer angle of the wheel on the outside of the turn, with the steering wheel at full left lock."),
    ACKERMANN("Ackermann at 20°", Unit.PERCENT,
            "0 % turns both wheels alike, 100 % lets both roll about one point. Taken at 20° of inner wheel."),
    BUMP_STEER("Bump steer", Unit.ANGLE, "Toe change of a wheel over its whole travel, straight ahead, peak to peak."),
    CIRCLE("Turning circle", Unit.LENGTH, "Kerb to kerb at full lock, the wider of left and right."),
    TIE_ROD("Tie rod, left", Unit.LENGTH, "Left tie rod from pivot centre to pivot centre.");

    private final String label;
    private final Unit unit;
    private final String meaning;

    Headline(String label, Unit unit, String meaning) {
        this.label = label;
        this.unit = unit;
        this.meaning = meaning;
    }

    public String label() {
        return label;
    }

    public Unit unit() {
        return unit;
    }

    public String meaning() {
        return meaning;
    }
}
