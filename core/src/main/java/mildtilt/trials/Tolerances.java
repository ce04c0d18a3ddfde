package mildtilt.trials;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.TreeMap;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.units.Unit;

/** How far what is measured may be from the plan, each in its unit; a builder's own, not a standard. */
public record Tolerances(Map<Kind, Double> all) {

    /** What is alike in how far it may be off. Files know a kind by its name. */
    public enum Kind {
        JOINT_DEG("Joint angles", Unit.ANGLE, 1),
        /** Shafts and rods. */
        LENGTH_MM("Lengths", Unit.LENGTH, 1.5),
        /** Wheels at full lock, and on turn plates. */
        LOCK_DEG("At lock", Unit.ANGLE, 1),
        /** How much less than planned a gap may be. */
        GAP_MM("Gaps", Unit.LENGTH, 2),
        TOE_DEG("Toe over travel", Unit.ANGLE, 0.1),
        TURNS("Turns to lock", Unit.TURNS, 0.1),
        /** Gear and spokes off the middle. */
        CENTRE_DEG("Centre", Unit.ANGLE, 5),
        /** At the rim. */
        PLAY_MM("Play", Unit.LENGTH, 15),
        /** Left over after free return. */
        RETURN_DEG("Return", Unit.ANGLE, 10);

        private final String label;
        private final Unit unit;
        private final double usual;

        Kind(String label, Unit unit, double usual) {
            this.label = label;
            this.unit = unit;
            this.usual = usual;
        }

        public String label() {
            return label;
        }

        public Unit unit() {
            return unit;
        }
    }

    public static final Tolerances USUAL = new Tolerances(Map.of());

    /** A scale pulled by hand, N. */
    private static final double PULL = 20;

    /** @param all what is not in it is as usual */
    public Tolerances {
        Map<Kind, Double> whole = new EnumMap<>(Kind.class);
        for (Kind k : Kind.values()) {
            double t = all.getOrDefault(k, k.usual);
            if (!(t > 0 && t <= 1000)) {
                throw new ImpossibleGeometryException("A tolerance must be above 0 and no more than 1000.");
            }
            whole.put(k, t);
        }
        all = Collections.unmodifiableMap(new TreeMap<>(whole));
    }

    public double of(Kind k) {
        return all.getOrDefault(k, k.usual);
    }

    /** How far a figure may be off, in its unit. */
    public double of(Measurand g) {
        return switch (g) {
            case Measurand.JointAngle _ -> of(Kind.JOINT_DEG);
            case Measurand.ShaftLength _, Measurand.RodLength _ -> of(Kind.LENGTH_MM);
            case Measurand.LockAngle _ -> of(Kind.LOCK_DEG);
            case Measurand.Gap _ -> of(Kind.GAP_MM);
            case Measurand.TurnsTo _ -> of(Kind.TURNS);
            case Measurand.GearOffCentre _, Measurand.SpokesOffStraight _ -> of(Kind.CENTRE_DEG);
            case Measurand.RimForce _ -> PULL;
            case Measurand.RimPlay _ -> of(Kind.PLAY_MM);
            case Measurand.FreeReturn _ -> of(Kind.RETURN_DEG);
        };
    }

    public Tolerances with(Kind k, double t) {
        Map<Kind, Double> changed = new EnumMap<>(all);
        changed.put(k, t);
        return new Tolerances(changed);
    }
}
