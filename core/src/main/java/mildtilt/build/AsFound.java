package mildtilt.build;

import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.linkage.KnuckleArm;
import mildtilt.withers.Withers;

/**
 * Parts that are on the bench already, as they were found.
 *
 * @param shafts by a shaft's id: should it be taken out, what was found is missed rather than taken for another
 * @param tube of the column
 * @param shroud the cover round it
 * @param arms steering arms of used knuckles, by where the end of each is with its knuckle in place, straight ahead
 */
@Withers
public record AsFound(
        Map<Id, PartAsFound> shafts,
        Optional<PartAsFound> tube,
        Optional<ShroudAsFound> shroud,
        Map<KnuckleArm, ArmAsFound> arms)
        implements AsFoundBuilder.With {

    public static final AsFound NOTHING = new AsFound(Map.of(), Optional.empty(), Optional.empty(), Map.of());

    /** A steering arm as it is. @param end the middle of the joint at its end, mm */
    public record ArmAsFound(Point end) {}

    public AsFound {
        shafts = Collections.unmodifiableMap(new TreeMap<>(shafts));
        arms = Collections.unmodifiableMap(new TreeMap<>(arms));
    }

    /** Nothing found but these of the column. */
    public AsFound(Map<Id, PartAsFound> shafts, Optional<PartAsFound> tube, Optional<ShroudAsFound> shroud) {
        this(shafts, tube, shroud, Map.of());
    }

    /** With an arm as found, or with nothing said of it. */
    public AsFound withArm(KnuckleArm arm, Optional<Point> end) {
        Map<KnuckleArm, ArmAsFound> all = new TreeMap<>(arms);
        end.ifPresentOrElse(p -> all.put(arm, new ArmAsFound(p)), () -> all.remove(arm));
        return withArms(all);
    }

    public Optional<PartAsFound> shaft(Id id) {
        return Optional.ofNullable(shafts.get(id));
    }

    /** With a shaft as found, or with nothing said of it. */
    public AsFound withShaft(Id id, Optional<PartAsFound> part) {
        Map<Id, PartAsFound> all = new TreeMap<>(shafts);
        part.ifPresentOrElse(p -> all.put(id, p), () -> all.remove(id));
        return withShafts(all);
    }
}
