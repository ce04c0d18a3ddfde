package mildtilt.io.jobfile;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import mildtilt.geometry.ImpossibleGeometryException;

/** Up to version 2 a shaft said how its gear-end fork can be set; since then that follows from the fork's bore. */
final class ForkSettingMigration {

    private ForkSettingMigration() {}

    static void bringUp(ObjectNode root) {
        Migrations.plans(root).forEach(plan -> {
            JsonNode shafts = plan.path("column").path("shafts");
            for (int i = 0; i < shafts.size(); i++) {
                if (shafts.get(i) instanceof ObjectNode shaft) {
                    try {
                        bringUp(shaft, plan.path("column").path("joints").path(i));
                    } catch (ImpossibleGeometryException e) {
                        throw new ImpossibleGeometryException(
                                "At column, shafts number " + (i + 1) + ": " + e.getMessage());
                    }
                }
            }
        });
    }

    private static void bringUp(ObjectNode shaft, JsonNode joint) {
        String fork = shaft.path("fork").asText("any");
        if (fork.equals("stepped") && joint instanceof ObjectNode j) {
            stepped(shaft, j);
        }
        if (fork.equals("fixed")) {
            shaft.put("forks_fixed", true);
        }
        if (fork.equals("fixed") || fork.equals("stepped") || fork.equals("any")) {
            shaft.remove("fork");
            shaft.remove("fork_step_deg");
        }
    }

    private static void stepped(ObjectNode shaft, ObjectNode joint) {
        String name = shaft.path("name").asText();
        if (!shaft.path("fork_step_deg").isNumber()) {
            throw new ImpossibleGeometryException(
                    "A stepped fork needs \"fork_step_deg\", a number, and \"" + name + "\" has none.");
        }
        if (joint.path("wheel_side").has("socket")) {
            throw new ImpossibleGeometryException(
                    "\"" + name
                            + "\" has a \"fork_step_deg\" and its fork a socket: the step follows from the socket, so leave \"fork\" out.");
        }
        double ways = 360 / shaft.path("fork_step_deg").asDouble();
        int whole = (int) Math.rint(ways);
        if (!(Math.abs(ways - whole) < 1e-6 && whole >= 2)) {
            throw new ImpossibleGeometryException(
                    "\"fork_step_deg\" of \"" + name + "\" must go into a whole turn evenly.");
        }
        double d = shaft.path("diameter_mm").asDouble(20);
        ObjectNode side = joint.path("wheel_side") instanceof ObjectNode there ? there : joint.putObject("wheel_side");
        seat(side.putObject("socket"), d, whole).put("hold", "pinch_bolt");
        seat(shaft.putObject("gear_end"), d, whole);
    }

    /** Two flats for two ways, else a spline of as many teeth. */
    private static ObjectNode seat(ObjectNode o, double diameter, int ways) {
        o.put("diameter_mm", diameter);
        return ways == 2
                ? o.put("form", "double_d").put("across_flats_mm", 0.8 * diameter)
                : o.put("form", "spline").put("teeth", ways);
    }
}
