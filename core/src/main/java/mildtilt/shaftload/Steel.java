package mildtilt.shaftload;

/** Steel as taken throughout; N, mm, s. */
public final class Steel {

    /** Young's modulus, MPa. */
    public static final double E = 205_000;

    /** Shear modulus, MPa. */
    public static final double G = 80_000;

    /** Speed of sound along a bar, sqrt(E/ρ) with 7850 kg/m³, mm/s. */
    public static final double SOUND_MM_PER_S = Math.sqrt(E * 1e12 / 7850);

    private Steel() {}
}
