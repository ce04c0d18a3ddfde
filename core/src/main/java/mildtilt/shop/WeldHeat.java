package mildtilt.shop;

/**
 * How hot a shaft gets beside one run of a weld round it, laid without a stop on a cold shaft.
 *
 * <p>The run's heat Q goes into a section of the shaft at once and spreads both ways along it, while the surface loses
 * some to the air. With density and heat capacity ρc, section A, perimeter P, diffusivity α and loss h,
 *
 * <pre>T(x, t) = Q / (ρc A √(4π α t)) · exp(−x² / 4αt − λt),   λ = h P / (ρc A)</pre>
 *
 * (an instantaneous plane source in an infinite rod with losses). At a distance x it is hottest when
 * {@code 4αλt² + 2αt = x²}. Real shafts end in forks, which take heat up: that keeps them cooler. The next run on a shaft that is still
 * warm makes it hotter.
 *
 * @param joules that the run leaves in the shaft
 * @param area of the shaft's section, mm²
 * @param perimeter of it that the air cools, mm
 */
public record WeldHeat(double joules, double area, double perimeter) {

    /** What spoils a bearing's grease and seals, °C. */
    public static final double GREASE = 100;

    /** What spoils plastic and rubber: pins and sleeves of a sliding shaft, the disc of a coupling; °C. */
    public static final double PLASTIC = 80;

    /** Of the air and of a cold shaft, °C. */
    static final double AIR = 20;

    /** What an arc leaves in the work for a mm³ of weld metal, J: a fillet of 6 mm leg takes about 0.9 kJ a mm. */
    private static final double PER_MM3 = 50;

    /** Of steel, J/(mm³ K). */
    static final double CAPACITY = 3.9e-3;

    /** Of steel, mm²/s. */
    static final double DIFFUSIVITY = 12;

    /** Air and radiation together at such temperatures, W/(mm² K). */
    static final double LOSS = 20e-6;

    private static final double FARTHEST = 2000;

    /** Section of the thickest run, of 6 mm leg, mm². */
    private static final double RUN = 18;

    /** Of a run of a weld round a shaft. @param metal of the whole weld, mm³ @param bore 0 for a solid shaft */
    static WeldHeat run(double metal, double diameter, double bore) {
        return new WeldHeat(
                PER_MM3 * Math.min(metal, RUN * Math.PI * diameter),
                Math.PI / 4 * (diameter * diameter - bore * bore),
                Math.PI * diameter);
    }

    /** The hottest that it gets at a distance from the weld along the shaft, °C; at most what melts steel. */
    public double peak(double away) {
        double lambda = LOSS * perimeter / (CAPACITY * area);
        double x2 = Math.max(away, 1) * Math.max(away, 1);
        // The root of 4αλt² + 2αt = x², in the form that stays exact for small losses.
        double t = x2 / (DIFFUSIVITY + Math.sqrt(DIFFUSIVITY * DIFFUSIVITY + 4 * DIFFUSIVITY * lambda * x2));
        double rise = joules
                / (CAPACITY * area * Math.sqrt(4 * Math.PI * DIFFUSIVITY * t))
                * Math.exp(-x2 / (4 * DIFFUSIVITY * t) - lambda * t);
        return Math.min(1500, AIR + rise);
    }

    /** How far from the weld it stays below a temperature, mm. @param celsius above the air's */
    public double reach(double celsius) {
        double near = 0;
        double far = FARTHEST;
        for (int i = 0; i < 50; i++) {
            double middle = (near + far) / 2;
            if (peak(middle) > celsius) {
                near = middle;
            } else {
                far = middle;
            }
        }
        return far;
    }
}
