package mildtilt.build;

/** What pieces are made of, with its density. */
public enum Metal {
    STEEL("mild steel", 7850),
    ALLOY_STEEL("alloy steel", 7850),
    STAINLESS("stainless steel", 7900),
    ALUMINIUM("aluminium", 2700);

    /** Steel of more yield than this is not to be had as plain bar, MPa. */
    private static final double PLAIN_MOST = 300;

    private final String label;
    private final double density;

    Metal(String label, double density) {
        this.label = label;
        this.density = density;
    }

    public String label() {
        return label;
    }

    /** The steel that a yield strength asks for. @param mpa yield strength */
    public static Metal ofYield(double mpa) {
        return mpa > PLAIN_MOST ? ALLOY_STEEL : STEEL;
    }

    /** kg/m³. */
    public double density() {
        return density;
    }
}
