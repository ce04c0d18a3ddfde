package mildtilt.column;

import java.util.Optional;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.id.Id;
import mildtilt.withers.Withers;

/**
 * A shaft between two joints, or between a joint and the hub or gear.
 *
 * @param id a shaft's of its column
 * @param profile form and outside size over its length
 * @param bore inside diameter of a tube, mm; 0 for a solid shaft
 * @param yieldMpa yield strength of the material, MPa
 * @param wheelEnd form of the end toward the wheel; as the profile if empty
 * @param gearEnd form of the end toward the gear; as the profile if empty
 * @param clockingDeg from wheel-end fork pin to gear-end fork pin, degrees, + clockwise seen from the
 *     wheel end; 0 on the first and last shaft, which have one fork only
 * @param indexDeg one clocking that splined, flatted or keyed ends allow as they are made, degrees
 * @param forksFixed whether both forks are fixed to it, so that it can't be clocked
 * @param toCut whether the fabricator cuts this shaft to length; false for a part used as it comes
 * @param slide if its length can change
 * @param typical whether its sizes are still typical ones that nobody has measured on the part itself
 */
@Withers
public record Shaft(
        Id id,
        String name,
        ShaftProfile profile,
        double bore,
        double yieldMpa,
        Optional<ShaftProfile> wheelEnd,
        Optional<ShaftProfile> gearEnd,
        double clockingDeg,
        double indexDeg,
        boolean forksFixed,
        boolean toCut,
        Optional<Slide> slide,
        boolean typical)
        implements ShaftBuilder.With {

    /** Of plain mild steel bar, MPa. */
    public static final double MILD_STEEL = 235;

    /** @throws ImpossibleGeometryException naming the size that can't be */
    public Shaft {
        if (!(bore >= 0 && bore < profile.roundNoStronger())) {
            throw new ImpossibleGeometryException(
                    "The bore of \"" + name + "\" must be smaller than the shaft, or 0 for a solid one.");
        }
        if (!(yieldMpa > 0)) {
            throw new ImpossibleGeometryException("The yield strength of \"" + name + "\" must be above 0.");
        }
        if (!Double.isFinite(clockingDeg) || !Double.isFinite(indexDeg)) {
            throw new ImpossibleGeometryException("The clocking of \"" + name + "\" is not a number.");
        }
    }

    /** Plain, round, solid, of mild steel. */
    public static Shaft round(Id id, String name, double diameter, double clockingDeg, boolean toCut) {
        return new Shaft(
                id,
                name,
                new ShaftProfile.Round(diameter),
                0,
                MILD_STEEL,
                Optional.empty(),
                Optional.empty(),
                clockingDeg,
                0,
                false,
                toCut,
                Optional.empty(),
                false);
    }

    public double diameter() {
        return profile.diameter();
    }

    public ShaftProfile wheelEndSeat() {
        return wheelEnd.orElse(profile);
    }

    public ShaftProfile gearEndSeat() {
        return gearEnd.orElse(profile);
    }

    public Shaft withDiameter(double mm) {
        return withProfile(profile.withDiameter(mm));
    }

    public Shaft withEnds(Optional<ShaftProfile> wheel, Optional<ShaftProfile> gear) {
        return withWheelEnd(wheel).withGearEnd(gear);
    }
}
