package mildtilt.steer.position;

/**
 * How finely the range is sampled: steps from the middle to each end, so that straight ahead, ride height
 * and all ends are always among the samples.
 */
public record Grid(int steerStepsEachWay, int travelStepsEachWay) {

    /** 61 steering-wheel angles by 41 travels. */
    public static final Grid USUAL = new Grid(30, 20);

    /** @throws IllegalArgumentException below one step or above 1000 */
    public Grid {
        if (steerStepsEachWay < 1 || travelStepsEachWay < 1 || steerStepsEachWay > 1000 || travelStepsEachWay > 1000) {
            throw new IllegalArgumentException("A grid needs between 1 and 1000 steps each way.");
        }
    }

    /** From {@code -low} through 0 to {@code high}, ascending, 2·steps + 1 values. */
    public static double[] spread(double low, double high, int steps) {
        double[] all = new double[2 * steps + 1];
        for (int i = 1; i <= steps; i++) {
            all[steps - i] = -low * i / steps;
            all[steps + i] = high * i / steps;
        }
        return all;
    }
}
