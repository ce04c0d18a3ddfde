package mildtilt.suspension;

/** The points that make a corner; which of them there are depends on the suspension. */
public enum CornerPoint {
    LOWER_INNER_FRONT("lower arm, front pivot"),
    LOWER_INNER_REAR("lower arm, rear pivot"),
    LOWER_BALL_JOINT("lower ball joint"),
    UPPER_INNER_FRONT("upper arm, front pivot"),
    UPPER_INNER_REAR("upper arm, rear pivot"),
    UPPER_BALL_JOINT("upper ball joint"),
    LOWER_FRONT_OUTER("lower front link, joint at the knuckle"),
    LOWER_REAR_OUTER("lower rear link, joint at the knuckle"),
    UPPER_FRONT_OUTER("upper front link, joint at the knuckle"),
    UPPER_REAR_OUTER("upper rear link, joint at the knuckle"),
    STRUT_TOP("strut top mount"),
    STRUT_LOWER("point low on the strut"),
    LOWER_ARM_PIVOT("lower trailing arm, pivot"),
    LOWER_ARM_END("lower trailing arm, end"),
    UPPER_ARM_PIVOT("upper trailing arm, pivot"),
    UPPER_ARM_END("upper trailing arm, end"),
    KINGPIN_LOWER("kingpin, lower point"),
    KINGPIN_UPPER("kingpin, upper point"),
    BEAM_PIVOT("swing beam, pivot on the frame"),
    BEAM_ARM("radius arm, joint on the frame"),
    WHEEL_CENTRE("wheel centre"),
    TIE_ROD_POINT("tie-rod point on the steering arm");

    private final String label;

    CornerPoint(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
