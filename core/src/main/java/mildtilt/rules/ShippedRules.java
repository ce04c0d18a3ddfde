package mildtilt.rules;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import mildtilt.column.Socket.Retention;
import mildtilt.rules.Rules.Collapse;
import mildtilt.rules.Rules.VehicleClass;
import mildtilt.rules.Rules.Welding;

/** The rule sets that ship with the program, to be used as they are or copied and edited. */
public enum ShippedRules {
    CAUTIOUS_ROAD(
            "cautious-road",
            new Rules(
                    "Cautious road use",
                    "For a vehicle that will be driven on roads among others. Stricter than many builders work to; your inspecting authority may ask for more still.",
                    35,
                    10,
                    Welding.TESTED,
                    new Collapse(80, Optional.of(35.0), true),
                    1.2,
                    50,
                    EnumSet.allOf(Retention.class),
                    "Every pinch bolt through a groove with a new prevailing-torque nut or locking wire; every set screw in a drilled dimple with a jam nut and locking compound, two screws to a fork; nothing held by friction alone.",
                    true,
                    600,
                    1.5,
                    10,
                    40,
                    0.5,
                    1,
                    new WheelGeometry(1, 10, 5, 80, 0, 20, 120, 0.5, 0.5, 0.15, 3, 0.2),
                    List.of(),
                    List.of(
                            "Welded steering shafts: some inspecting authorities forbid any weld in a steering shaft, some accept one made by a licensed welder and tested after, some leave it to the builder. Ask yours before cutting.",
                            "Collapse: some ask for a column that shortens, some take a column kinked by joints, some ask for proof of either. Ask yours which.",
                            "Joint angle: makers allow from 30 to 40 degrees for the same kind of joint; the lower of the two figures holds."))),
    CLOSED_COURSE(
            "closed-course",
            new Rules(
                    "Closed course",
                    "For a vehicle that is driven hard on courses closed to traffic, inspected by an event's own scrutineers. Their rule book comes first.",
                    35,
                    8,
                    Welding.ALLOWED,
                    new Collapse(50, Optional.of(25.0), false),
                    1,
                    40,
                    EnumSet.allOf(Retention.class),
                    "Every fastener locked by wire, pin or prevailing-torque nut; set screws in drilled dimples, two to a fork, with jam nuts; looked at before every start.",
                    true,
                    800,
                    1.5,
                    6,
                    60,
                    0.3,
                    1.5,
                    new WheelGeometry(1, 15, 5, 80, 0, 20, 120, 1, 0.5, 0.1, 3, 0.2),
                    List.of(
                            new VehicleClass("Short wheelbase", 1200, 2100, 2000),
                            new VehicleClass("Long wheelbase", 2100, 3400, 2300)),
                    List.of(
                            "Joints in the cabin: some scrutineers want every joint ahead of the bulkhead, some only want those inside covered. Ask before the bulkhead is closed.",
                            "Welded shafts: some rule books want welded joints sleeved and plug-welded or pinned as well. Read yours.",
                            "Class limits of wheelbase and width differ from one organiser to the next: put your own into a copy of this set."))),
    SLOW_WORKPLACE(
            "slow-workplace",
            new Rules(
                    "Slow workplace vehicle",
                    "For a vehicle that works at walking pace off the road: in a yard, a garden, a greenhouse, a field. The rules of the workplace and its insurer come first.",
                    40,
                    20,
                    Welding.ALLOWED,
                    new Collapse(0, Optional.empty(), false),
                    1,
                    40,
                    EnumSet.allOf(Retention.class),
                    "Every fastener with a locking nut, pin or wire, where it can be seen in the daily round.",
                    true,
                    600,
                    1.25,
                    12,
                    25,
                    1,
                    0.5,
                    new WheelGeometry(0, 15, 0, 120, 0, 25, 200, 1, 1, 0.3, 5, 0.2),
                    List.of(),
                    List.of(
                            "Whether a slow vehicle needs inspection at all differs by place, by speed and by whether it ever crosses a road. Find out before it does.",
                            "Welded shafts: insurers of workplaces may ask who welded and who tested. Keep the record.")));

    private static final String EDITED = " (edited)";

    private final String file;
    private final Rules rules;

    ShippedRules(String file, Rules rules) {
        this.file = file;
        this.rules = rules;
    }

    /** What was edited under a name of its own, so that it is not taken for what ships. */
    public static Rules edited(Rules before, Rules after) {
        boolean shipped = Arrays.stream(values()).anyMatch(s -> s.rules.name().equals(after.name()));
        return shipped && !after.equals(before) ? after.withName(after.name() + EDITED) : after;
    }

    /** What a command calls it. */
    public String file() {
        return file;
    }

    public Rules rules() {
        return rules;
    }
}
