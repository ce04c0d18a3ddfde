package mildtilt.build;

/**
 * What a knuckle, arm or shaft is made of, as far as welding cares, with the temperatures that are commonly kept. The
 * welder's own tested procedure comes before these.
 */
public enum WeldedMetal {
    MILD_STEEL("mild steel, up to 0.25 % carbon", true, 20, 250, 400),
    MEDIUM_CARBON("medium-carbon forging, 0.3 to 0.5 % carbon", true, 200, 350, 60),
    ALLOY_FORGING("alloy forging, hardened and tempered", true, 260, 380, 50),
    CAST_STEEL("cast steel", true, 150, 350, 60),
    CAST_IRON("cast iron of any kind", false, 20, 900, 60),
    UNKNOWN("not known yet", false, 20, 900, 60);

    private final String label;
    private final boolean weldable;
    private final double preheat;
    private final double mostBetween;
    private final double coolPerHour;

    WeldedMetal(String label, boolean weldable, double preheat, double mostBetween, double coolPerHour) {
        this.label = label;
        this.weldable = weldable;
        this.preheat = preheat;
        this.mostBetween = mostBetween;
        this.coolPerHour = coolPerHour;
    }

    public String label() {
        return label;
    }

    /** Whether a steering part of it may be welded at all. */
    public boolean weldable() {
        return weldable;
    }

    public double preheat() {
        return preheat;
    }

    public double mostBetween() {
        return mostBetween;
    }

    public double coolPerHour() {
        return coolPerHour;
    }
}
