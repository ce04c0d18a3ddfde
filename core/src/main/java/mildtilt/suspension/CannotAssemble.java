package mildtilt.suspension;

import mildtilt.measure.LengthText;
import mildtilt.measure.LengthUnit;

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

    /** A sentence for the user, lengths in mm to a hundredth. */
    public String sentence() {
        return sentence(LengthUnit.MM);
    }

    /** A sentence for the user, in the unit that is shown. */
    public String sentence(LengthUnit unit) {
        String by = unit == LengthUnit.MM
                ? LengthText.decimal(Math.abs(amount), 2) + " mm"
                : LengthText.format(Math.abs(amount), unit);
        return switch (reason) {
            case LINK -> "The " + part + " is too " + (amount > 0 ? "short" : "long") + " by " + by + " to reach.";
            case WHEEL_TRAVEL -> "The " + part + " can't bring the wheel that far: "
                    + (amount > 0 ? "it stays low" : "it stays high") + " by " + by + ".";
            case GEAR_END -> "The " + part + " meets its end: " + by + " more than it has.";
            case JOINT_LOCKED -> "The joint \"" + part + "\" can't turn at "
                    + LengthText.decimal(Math.abs(amount), 1) + " degrees.";
        };
    }
}
