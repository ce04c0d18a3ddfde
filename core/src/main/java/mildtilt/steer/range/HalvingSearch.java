package mildtilt.steer.range;

/**
 * The least of a cost near a place of {@link WheelRange}: by steps that halve, to all eight sides.
 *
 * @param part of the way to that travel's lock, −1 to 1
 * @param z travel of the left wheel, mm
 * @param cost there
 */
public record HalvingSearch(double part, double z, double cost) {

    /** What a place costs; NaN where there is nothing to weigh. */
    public interface Cost {
        double at(double part, double z);
    }

    /**
     * How finely it is looked.
     *
     * @param finest step of the part at which it ends
     * @param tries so often at the most with one step
     */
    public record Fineness(double finest, int tries) {}

    /**
     * From here on.
     *
     * @param low least travel, mm
     * @param high most travel, mm
     * @param steerStep first step of the part
     * @param travelStep first step of the travel, mm; 0 where the wheels do not travel
     */
    public HalvingSearch refined(
            Cost of, double low, double high, double steerStep, double travelStep, Fineness fineness) {
        double p = part;
        double t = z;
        double least = cost;
        double steer = steerStep;
        double travel = travelStep;
        for (; steer > fineness.finest; steer /= 2, travel /= 2) {
            boolean better = true;
            for (int tries = 0; better && tries < fineness.tries; tries++) {
                better = false;
                for (int i = -1; i <= 1; i++) {
                    for (int j = travel == 0 ? 0 : -1; j <= (travel == 0 ? 0 : 1); j++) {
                        double nextPart = Math.clamp(p + i * steer, -1, 1);
                        double nextZ = Math.clamp(t + j * travel, low, high);
                        double c = nextPart == p && nextZ == t ? Double.NaN : of.at(nextPart, nextZ);
                        if (c < least) {
                            least = c;
                            p = nextPart;
                            t = nextZ;
                            better = true;
                        }
                    }
                }
            }
        }
        return new HalvingSearch(p, t, least);
    }
}
