package mildtilt.knuckle;

/**
 * What is done to one steering arm.
 *
 * @param lengthen along the arm, mm; below 0 shortens it
 * @param out of the arm's end across the arm toward the wheel, mm; below 0 toward the vehicle's middle
 * @param raise of the arm's end along the steer axis, mm; below 0 drops it
 * @param rollBossDeg of the boss about the arm, degrees; above 0 its top goes toward the wheel
 * @param pitchBossDeg of the boss along the arm, degrees; above 0 its top goes away from the steer axis
 */
public record KnuckleChange(double lengthen, double out, double raise, double rollBossDeg, double pitchBossDeg) {

    public static final KnuckleChange NONE = new KnuckleChange(0, 0, 0, 0, 0);

    public boolean movesEnd() {
        return lengthen != 0 || out != 0 || raise != 0;
    }

    public boolean turnsBoss() {
        return rollBossDeg != 0 || pitchBossDeg != 0;
    }
}
