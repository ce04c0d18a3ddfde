package mildtilt.build;

import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import mildtilt.id.Id;
import mildtilt.withers.Withers;

/**
 * Parts of the column that are on the bench already, as they were found.
 *
 * @param shafts by a shaft's id: should it be taken out, what was found is missed rather than taken for another
 * @param tube of the column
 * @param shroud the cover round it
 */
@Withers
public record AsFound(Map<Id, PartAsFound> shafts, Optional<PartAsFound> tube, Optional<ShroudAsFound> shroud)
        implements AsFoundBuilder.With {

    public static final AsFound NOTHING = new AsFound(Map.of(), Optional.empty(), Optional.empty());

    public AsFound {
        shafts = Collections.unmodifiableMap(new TreeMap<>(shafts));
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
