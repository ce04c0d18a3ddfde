package mildtilt.column;

/** How a joint passes rotation on. Angles rad. */
public sealed interface JointKind {

    /** One cross in two forks. */
    record Single() implements JointKind {}

    /**
     * Two crosses in one yoke, taken as an ideal constant-velocity joint.
     *
     * @param centred whether a ball or socket inside keeps the yoke halving the angle; without one the shafts on both
     *     sides must each be held by bearings of their own
     */
    record Double(boolean centred) implements JointKind {}

    /** A flexible disc or block between two flanges: even over the small angle it allows. */
    record Coupling() implements JointKind {}

    default String label() {
        return switch (this) {
            case Single _ -> "single joint";
            case Double d -> d.centred() ? "double joint, self-centring" : "double joint";
            case Coupling _ -> "flexible coupling";
        };
    }

    /** The largest operating angle commonly allowed, degrees. */
    default double usualLimitDeg() {
        return switch (this) {
            case Single _ -> 35;
            case Double _ -> 70;
            case Coupling _ -> 4;
        };
    }

    /** The unevenness {@code tan²(angle/2)}: 0 for a joint that passes rotation evenly. */
    default double unevenness(double angle) {
        return switch (this) {
            case Single _ -> Math.tan(angle / 2) * Math.tan(angle / 2);
            case Double _, Coupling _ -> 0;
        };
    }

    /** From the pin of its wheel-side fork to the pin of its gear-side fork when the joint is straight. */
    default double pinAdvance() {
        return switch (this) {
            case Single _ -> Math.PI / 2;
            case Double _, Coupling _ -> 0;
        };
    }

    /** The angle at and beyond which the joint can't turn at all. */
    default double lockUpAngle() {
        return switch (this) {
            case Single _, Coupling _ -> Math.PI / 2;
            case Double _ -> Math.PI;
        };
    }

    /** Whether it keeps the ends of both shafts in one place, so that one shaft can hold the other. */
    default boolean locates() {
        return switch (this) {
            case Single _, Coupling _ -> true;
            case Double d -> d.centred();
        };
    }
}
