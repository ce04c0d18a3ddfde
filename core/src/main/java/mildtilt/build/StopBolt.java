package mildtilt.build;

import java.util.Optional;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.withers.Withers;

/**
 * Where a knuckle's lock stop acts.
 *
 * @param radius from the steer axis to where the bolt's head meets its pad, mm
 * @param faceToPad from the face that the bolt is screwed into to the pad, straight ahead, along the bolt, mm; if
 *     measured
 */
@Withers
public record StopBolt(double radius, Optional<Double> faceToPad) implements StopBoltBuilder.With {

    /** To begin with: to be measured. */
    public static final StopBolt USUAL = new StopBolt(60, Optional.empty());

    /** @throws ImpossibleGeometryException naming the size that can't be */
    public StopBolt {
        if (!(radius > 0) || faceToPad.filter(f -> !(f > 0)).isPresent()) {
            throw new ImpossibleGeometryException("A stop bolt's distances must be above 0.");
        }
    }
}
