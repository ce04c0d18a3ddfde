package mildtilt.routes;

import java.util.List;
import mildtilt.geometry.Point;

/**
 * The numbers that settle a route.
 *
 * @param set which of the steering wheel's settings
 * @param numbers from the hub along the column to the first joint; turn of the rack, degrees; from the gear input back
 * along its
 *     axis to the last joint; how far wheel and column are set up, and along their axis toward the gear; x, y, z of
 *     each
 *     joint between. With one joint the first two are not both free
 */
record RouteParameters(int set, double[] numbers) {

    static final int ALONG_COLUMN = 0;
    static final int TILT = 1;
    static final int ALONG_GEAR = 2;
    static final int WHEEL_UP = 3;
    static final int WHEEL_ALONG = 4;
    static final int FIRST_BETWEEN = 5;

    static RouteParameters of(int set, double alongColumn, double tilt, double alongGear, List<Point> between) {
        double[] n = new double[FIRST_BETWEEN + 3 * between.size()];
        n[ALONG_COLUMN] = alongColumn;
        n[TILT] = tilt;
        n[ALONG_GEAR] = alongGear;
        for (int i = 0; i < between.size(); i++) {
            n[FIRST_BETWEEN + 3 * i] = between.get(i).x();
            n[FIRST_BETWEEN + 3 * i + 1] = between.get(i).y();
            n[FIRST_BETWEEN + 3 * i + 2] = between.get(i).z();
        }
        return new RouteParameters(set, n);
    }

    int between() {
        return (numbers.length - FIRST_BETWEEN) / 3;
    }

    Point point(int between) {
        return new Point(
                numbers[FIRST_BETWEEN + 3 * between],
                numbers[FIRST_BETWEEN + 3 * between + 1],
                numbers[FIRST_BETWEEN + 3 * between + 2]);
    }

    RouteParameters with(int number, double value) {
        double[] n = numbers.clone();
        n[number] = value;
        return new RouteParameters(set, n);
    }

    /** To what a bench can hold: whole mm and half degrees. What may be no less than parts need is rounded up. */
    RouteParameters rounded() {
        double[] n = new double[numbers.length];
        for (int i = 0; i < n.length; i++) {
            n[i] = switch (i) {
                case TILT -> Math.rint(2 * numbers[i]) / 2;
                case ALONG_COLUMN, ALONG_GEAR -> Math.ceil(numbers[i] - 1e-6);
                default -> Math.rint(numbers[i]);
            };
        }
        return new RouteParameters(set, n);
    }
}
