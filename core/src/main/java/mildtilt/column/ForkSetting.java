package mildtilt.column;

import mildtilt.geometry.ImpossibleGeometryException;

/** At which clock angles the gear-end fork of a shaft can be set against its wheel-end fork. */
public sealed interface ForkSetting {

    /** Welded or clamped on a plain shaft: any angle. */
    record AnyAngle() implements ForkSetting {}

    /**
     * On a spline or flats: whole steps only.
     *
     * @param stepDeg 10 for 36 teeth, 180 for two flats; degrees, above 0 and at most 180
     */
    record Stepped(double stepDeg) implements ForkSetting {
        public Stepped {
            if (!(stepDeg > 0 && stepDeg <= 180)) {
                throw new ImpossibleGeometryException("A clocking step must be above 0 and at most 180 degrees.");
            }
        }

        /**
         * The settings that differ, degrees from 0 up to but not including 180: half a turn brings a
         * fork's pin back into line.
         */
        public double[] settings() {
            int n = Math.max(1, (int) Math.floor(180 / stepDeg + 1e-9));
            double[] all = new double[n];
            for (int i = 0; i < n; i++) {
                all[i] = i * stepDeg;
            }
            return all;
        }
    }

    /** Already made for good: stays as it is. */
    record Fixed() implements ForkSetting {}
}
