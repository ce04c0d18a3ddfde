package mildtilt.suspension;

import mildtilt.geometry.RigidMove;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

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
        /** In degrees of the gear's input. */
        GEAR_TURNED_OUT,
        JOINT_LOCKED
    }

    @Override
    public CannotAssemble carried(RigidMove by) {
        return this;
    }

    /** The same for a finding, shown in any unit. */
    public Phrase phrase() {
        Quantity by =
                switch (reason) {
                    case LINK, WHEEL_TRAVEL, GEAR_END -> Quantity.length(Math.abs(amount));
                    case GEAR_TURNED_OUT, JOINT_LOCKED -> Quantity.angle(Math.abs(amount));
                };
        return Phrase.of(
                switch (reason) {
                    case LINK -> "The " + part + " is too " + (amount > 0 ? "short" : "long") + " by {0} to reach.";
                    case WHEEL_TRAVEL ->
                        "The " + part + " can't bring the wheel that far: "
                                + (amount > 0 ? "it stays low" : "it stays high") + " by {0}.";
                    case GEAR_END -> "The " + part + " meets its end: {0} more than it has.";
                    case GEAR_TURNED_OUT -> "The " + part + " meets its end: its input would have to turn {0} further.";
                    case JOINT_LOCKED -> "The joint \"" + part + "\" can't turn at {0}.";
                },
                by);
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
            case WHEEL_TRAVEL ->
                "The " + part + " can't bring the wheel that far: " + (amount > 0 ? "it stays low" : "it stays high")
                        + " by " + by + ".";
            case GEAR_END -> "The " + part + " meets its end: " + by + " more than it has.";
            case GEAR_TURNED_OUT ->
                "The " + part + " meets its end: its input would have to turn "
                        + LengthText.decimal(Math.abs(amount), 1) + " degrees further.";
            case JOINT_LOCKED ->
                "The joint \"" + part + "\" can't turn at " + LengthText.decimal(Math.abs(amount), 1) + " degrees.";
        };
    }
}
