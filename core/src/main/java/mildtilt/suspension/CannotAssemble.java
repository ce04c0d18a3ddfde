package mildtilt.suspension;

import java.util.Locale;

/**
 * A pose that can't be put together.
 *
 * @param part what is in the way, e.g. "left tie rod"
 * @param amount by how much; + too short, − too long for links; mm, or degrees for a joint
 * @param reason what kind of obstacle
 */
public record CannotAssemble(String part, double amount, Reason reason) implements CornerPose {

    public enum Reason {
        LINK,
        WHEEL_TRAVEL,
        GEAR_END,
        JOINT_LOCKED
    }

    public CannotAssemble named(String prefix) {
        return new CannotAssemble(prefix + " " + part, amount, reason);
    }

    /** A sentence for the user, lengths in mm. */
    public String sentence() {
        return switch (reason) {
            case LINK -> mm("The %s is too %s by %.2f mm to reach.", part, amount > 0 ? "short" : "long", amount);
            case WHEEL_TRAVEL -> mm("The %s can't bring the wheel that far: %2$s by %3$.2f mm.", part,
                    amount > 0 ? "it stays low" : "it stays high", amount);
            case GEAR_END -> mm("The %s meets its end%s: %.2f mm more than it has.", part, "", amount);
            case JOINT_LOCKED -> mm("The joint \"%s\" can't turn%s at %.1f degrees.", part, "", amount);
        };
    }

    private static String mm(String form, String part, String word, double amount) {
        return String.format(Locale.ROOT, form, part, word, Math.abs(amount));
    }
}
