package mildtilt.rules;

import mildtilt.units.Unit;

/** The figures of a rule set, each by its name on the screen. */
public enum RuleLimit {
    JOINT_ANGLE("Joint angle, at most", Unit.ANGLE),
    RIPPLE("Ripple, at most", Unit.PERCENT),
    STROKE("Free stroke, at least", Unit.LENGTH),
    KINK("or kink instead, at least", Unit.ANGLE),
    ENGAGEMENT("Engagement in diameters, at least", Unit.TIMES),
    OVERLAP("Overlap of a slide, at least", Unit.LENGTH),
    HEAVY_PULL("Heavy pull at the rim", Unit.FORCE),
    STRENGTH("Strength margin, at least", Unit.TIMES),
    WIND_UP("Wind-up, at most", Unit.ANGLE),
    SPAN("Spans shake at, at least", Unit.HERTZ),
    OUT_OF_LINE("Bearing out of line, at most", Unit.LENGTH),
    KERB("Kerb pushes with, times the wheel's load", Unit.TIMES),
    CASTER_MIN("Caster, at least", Unit.ANGLE),
    CASTER_MAX("Caster, at most", Unit.ANGLE),
    TRAIL_MIN("Mechanical trail, at least", Unit.LENGTH),
    TRAIL_MAX("Mechanical trail, at most", Unit.LENGTH),
    KINGPIN_MIN("Kingpin inclination, at least", Unit.ANGLE),
    KINGPIN_MAX("Kingpin inclination, at most", Unit.ANGLE),
    SCRUB("Scrub radius either way, at most", Unit.LENGTH),
    TOE("Static toe of a wheel, at most", Unit.ANGLE),
    APART("Left and right steer axis differ by, at most", Unit.ANGLE),
    ROLL_STEER("Steer for a degree of roll, at most", Unit.ANGLE),
    LOCK_APART("Left and right lock differ by, at most", Unit.ANGLE),
    BRAKE_STEER("Steer for a degree of spring wind-up, most", Unit.ANGLE);

    private final String label;
    private final Unit unit;

    RuleLimit(String label, Unit unit) {
        this.label = label;
        this.unit = unit;
    }

    public String label() {
        return label;
    }

    public Unit unit() {
        return unit;
    }
}
