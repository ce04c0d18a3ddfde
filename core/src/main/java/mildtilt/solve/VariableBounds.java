package mildtilt.solve;

/** What may be changed, and how far from where it is: mm or degrees as the variable says. */
public record VariableBounds(DesignVariable variable, double least, double most) {

    /** Further than anything on a vehicle is moved, mm or degrees. */
    public static final double FURTHEST = 1000;

    /** Whether something can be let go so far either way. */
    public static boolean canReach(double reach) {
        return reach > 0 && reach <= FURTHEST;
    }

    /** @throws IllegalArgumentException if there is nothing between the ends */
    public VariableBounds {
        if (!(least <= 0 && most >= 0 && most > least)) {
            throw new IllegalArgumentException("A variable's bounds must go from 0 or below to 0 or above.");
        }
    }

    public static VariableBounds either(DesignVariable variable, double reach) {
        return new VariableBounds(variable, -reach, reach);
    }
}
