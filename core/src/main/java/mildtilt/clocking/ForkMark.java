package mildtilt.clocking;

import java.util.Optional;
import mildtilt.column.Column;
import mildtilt.column.ForkSetting;
import mildtilt.column.Socket;

/**
 * How to set or mark the gear-end fork of a shaft against its wheel-end fork at the bench.
 *
 * @param deg from the wheel-end fork pin to the gear-end fork pin, + clockwise seen from the wheel end
 * @param arc the same measured round the shaft's gear end, where the fork goes on, mm, always positive
 * @param diameter of that end, mm
 * @param teeth which teeth to use, where the ends have some
 */
public record ForkMark(double deg, double arc, double diameter, Optional<Teeth> teeth) {

    /** Nearer than this the forks are marked in line, degrees. */
    private static final double IN_LINE = 0.05;

    private static final double ON_A_TOOTH = 0.02;

    /**
     * Teeth counted clockwise seen from the wheel end, below 0 anticlockwise, from where the parts go together at their
     * index.
     *
     * @param atWheelEnd teeth to go on at the fork at the wheel end; the shaft turns in that fork
     * @param atGearEnd teeth to go on at the fork at the gear end; that fork turns on the shaft
     */
    public record Teeth(int atWheelEnd, int wheelEndTeeth, int atGearEnd, int gearEndTeeth) {

        /** The fewest teeth first; of as many, those at the gear end. */
        private int effort() {
            return 1000 * (Math.abs(atWheelEnd) + Math.abs(atGearEnd)) + Math.abs(atWheelEnd);
        }
    }

    /** The way to turn, seen from the wheel end. */
    public String way() {
        return way(deg);
    }

    /** The same for any clocking, degrees. */
    public static String way(double deg) {
        return isInLine(deg) ? "in line" : deg > 0 ? "clockwise" : "anticlockwise";
    }

    public static boolean isInLine(double deg) {
        return Math.abs(deg) < IN_LINE;
    }

    /** The same place of a pin in (−90, 90], degrees: half a turn brings it back into line. */
    public static double withinHalfTurn(double deg) {
        double within = half(deg);
        return within <= -90 + 1e-9 ? within + 180 : within;
    }

    /** The teeth in words; empty where there are none to count. */
    public String teethText() {
        return teeth.map(t -> {
                    String gear = t.atGearEnd == 0 && t.atWheelEnd != 0
                            ? ""
                            : count(t.atGearEnd, t.gearEndTeeth, "the gear-end fork", "on the shaft");
                    String wheel = t.atWheelEnd == 0
                            ? ""
                            : count(t.atWheelEnd, t.wheelEndTeeth, "the shaft", "in its wheel-end fork");
                    return gear + (gear.isEmpty() || wheel.isEmpty() ? "" : ", ") + wheel;
                })
                .orElse("");
    }

    /** @param which what is turned; @param in what it is turned on or in, which stays */
    private static String count(int n, int of, String which, String in) {
        if (n == 0) {
            return which + " " + in + " at the index tooth";
        }
        return which + " " + Math.abs(n) + (Math.abs(n) == 1 ? " tooth" : " teeth") + " of " + of
                + (n > 0 ? " clockwise " : " anticlockwise ") + in;
    }

    /** The mark for a clocking of a shaft between two joints, whether it is set so now or not. */
    public static ForkMark of(Column c, int shaft, double deg) {
        // The strip sits on the end that goes into the fork, which may be turned down.
        double d = c.shafts().get(shaft).gearEndSeat().diameter();
        return new ForkMark(deg, Math.abs(Math.toRadians(deg) * d / 2), d, teeth(c, shaft, deg));
    }

    /**
     * The fewest teeth that give a clocking, counted from the index; empty without splines or where no tooth gives it.
     */
    private static Optional<Teeth> teeth(Column c, int shaft, double deg) {
        if (!(c.setting(shaft) instanceof ForkSetting.Stepped s)) {
            return Optional.empty();
        }
        int wheel = ways(c.wheelEndFit(shaft).socket());
        int gear = ways(c.gearEndFit(shaft).socket());
        if (wheel < 3 && gear < 3) {
            return Optional.empty();
        }
        Teeth best = null;
        for (int a = -wheel / 2; a <= wheel / 2; a++) {
            // The shaft turned on by a teeth in its wheel-end fork carries the gear-end fork along.
            double rest = Math.IEEEremainder(deg - s.indexDeg() - (wheel == 0 ? 0 : a * 360.0 / wheel), 360);
            int b = gear == 0 ? 0 : nearestTooth(rest, gear);
            double off = half(rest - (gear == 0 ? 0 : b * 360.0 / gear));
            Teeth found = new Teeth(a, wheel, b, gear);
            if (Math.abs(off) < ON_A_TOOTH && (best == null || found.effort() < best.effort())) {
                best = found;
            }
        }
        return Optional.ofNullable(best);
    }

    /** The tooth, of least count either way, that comes nearest to an angle or to half a turn from it. */
    private static int nearestTooth(double deg, int teeth) {
        double step = 360.0 / teeth;
        int one = (int) Math.rint(deg / step);
        int other = (int) Math.rint((deg - Math.copySign(180, deg)) / step);
        double missOne = Math.abs(half(deg - one * step));
        double missOther = Math.abs(half(deg - other * step));
        return missOne < missOther - 1e-9 || missOne < missOther + 1e-9 && Math.abs(one) <= Math.abs(other)
                ? one
                : other;
    }

    private static double half(double deg) {
        return Math.IEEEremainder(deg, 180);
    }

    private static int ways(Optional<Socket> socket) {
        return socket.map(Socket::waysPerTurn).orElse(0);
    }
}
