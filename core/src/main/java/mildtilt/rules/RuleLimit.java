package mildtilt.rules;

import mildtilt.measure.Unit;

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
    OUT_OF_LINE("Bearing out of line, at most", Unit.LENGTH);

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
