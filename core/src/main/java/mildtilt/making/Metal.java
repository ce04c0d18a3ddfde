package mildtilt.making;

/** What pieces are made of, with the density that masses are reckoned by. */
public enum Metal {
    STEEL("mild steel", 7850),
    ALLOY_STEEL("alloy steel", 7850),
    STAINLESS("stainless steel", 7900),
    ALUMINIUM("aluminium", 2700);

    private final String label;
    private final double density;

    Metal(String label, double density) {
        this.label = label;
        this.density = density;
    }

    public String label() {
        return label;
    }

    /** kg/m³. */
    public double density() {
        return density;
    }
}
