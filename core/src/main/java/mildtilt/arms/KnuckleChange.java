package mildtilt.arms;

/**
 * What is done to one arm on a knuckle.
 *
 * @param lengthen along the arm, mm; below 0 shortens it
 * @param out of the arm's end across the arm toward the wheel, mm; below 0 toward the vehicle's middle
 * @param raise of the arm's end along the steer axis, mm; below 0 drops it
 * @param rollBossDeg of the boss about the arm, degrees; above 0 its top goes toward the wheel
 * @param pitchBossDeg of the boss along the arm, degrees; above 0 its top goes away from the steer axis
 */
public record KnuckleChange(double lengthen, double out, double raise, double rollBossDeg, double pitchBossDeg) {

    public static final KnuckleChange NONE = new KnuckleChange(0, 0, 0, 0, 0);

    public KnuckleChange with(Part part, double amount) {
        return new KnuckleChange(
                part == Part.LENGTHEN ? amount : lengthen,
                part == Part.OUT ? amount : out,
                part == Part.RAISE ? amount : raise,
                part == Part.ROLL_BOSS ? amount : rollBossDeg,
                part == Part.PITCH_BOSS ? amount : pitchBossDeg);
    }

    public double get(Part part) {
        return switch (part) {
            case LENGTHEN -> lengthen;
            case OUT -> out;
            case RAISE -> raise;
            case ROLL_BOSS -> rollBossDeg;
            case PITCH_BOSS -> pitchBossDeg;
        };
    }

    /** The parts of a change; the first three in mm, the others in degrees. */
    public enum Part {
        LENGTHEN("Longer (−shorter)"),
        OUT("End out (−in)"),
        RAISE("End up (−down)"),
        ROLL_BOSS("Boss top out (−in)"),
        PITCH_BOSS("Boss top along the arm");

        private final String label;

        Part(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }

        public boolean inDegrees() {
            return this == ROLL_BOSS || this == PITCH_BOSS;
        }
    }

    public boolean movesEnd() {
        return lengthen != 0 || out != 0 || raise != 0;
    }

    public boolean turnsBoss() {
        return rollBossDeg != 0 || pitchBossDeg != 0;
    }
}
