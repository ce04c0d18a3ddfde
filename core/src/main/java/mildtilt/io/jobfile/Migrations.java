package mildtilt.io.jobfile;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.io.JobFileException;
import mildtilt.parts.JobParts;

/**
 * Job files of older versions brought up to the current one, a step a version, before anything else looks at them. A
 * step changes what
 * that version wrote otherwise, and passes over what it could not have written: the schema refuses that after. Words
 * and sizes in here
 * are what those versions wrote; they stay although the program may call things otherwise by now.
 */
final class Migrations {

    /**
     * From version 1 to 2, from 2 to 3, and so on. What a version only added needs no step: readers take what is usual
     * for it.
     */
    private static final List<Consumer<ObjectNode>> STEPS =
            List.of(_ -> {}, ForkSettingMigration::bringUp, _ -> {}, _ -> {}, _ -> {}, Migrations::ownParts, root -> {
                // Versions up to 7 still took forks as version 2 wrote them.
                ForkSettingMigration.bringUp(root);
                IdsForNames.bringUp(root);
            });

    private Migrations() {}

    /**
     * Changes the tree of a job into one of the current version.
     *
     * @throws JobFileException if something that only an old version had can't be as written
     */
    static void bringUp(ObjectNode root) throws JobFileException {
        JsonNode version = root.path("version");
        if (!version.isIntegralNumber() || version.asLong() < 1 || version.asLong() >= JobParts.VERSION) {
            return;
        }
        try {
            STEPS.subList(version.asInt() - 1, STEPS.size()).forEach(step -> step.accept(root));
        } catch (ImpossibleGeometryException e) {
            throw new JobFileException("This job can't exist as written. " + e.getMessage());
        }
        root.put("version", JobParts.VERSION);
    }

    /** Up to version 6 the usual size of an own part was written, too, whether anybody had given it or not. */
    private static void ownParts(ObjectNode root) {
        if (root.path("surroundings").path("own_parts") instanceof ObjectNode own) {
            Map.of(
                            "arm_diameter_mm",
                            30.0,
                            "rod_diameter_mm",
                            24.0,
                            "steering_arm_diameter_mm",
                            26.0,
                            "gear_diameter_mm",
                            50.0)
                    .forEach((key, usual) -> {
                        if (own.path(key).isNumber() && own.path(key).asDouble() == usual) {
                            own.remove(key);
                        }
                    });
        }
    }

    /** Every plan in a job: its own, then those of the variants, then those of the trials. */
    static Stream<ObjectNode> plans(ObjectNode root) {
        Stream<JsonNode> trials = each(root.path("log").path("vehicles"))
                .flatMap(v -> each(v.path("trials")))
                .map(t -> t.path("plan"));
        return Stream.of(Stream.of(root), each(root.path("variants")), trials)
                .flatMap(s -> s)
                .filter(ObjectNode.class::isInstance)
                .map(ObjectNode.class::cast);
    }

    /** The elements of an array; none of anything else. */
    static Stream<JsonNode> each(JsonNode array) {
        return array.isArray() ? StreamSupport.stream(array.spliterator(), false) : Stream.empty();
    }

    /** The elements of an array that are objects. */
    static Stream<ObjectNode> objects(JsonNode array) {
        return each(array).filter(ObjectNode.class::isInstance).map(ObjectNode.class::cast);
    }
}
