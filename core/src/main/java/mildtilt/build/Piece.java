package mildtilt.build;

import java.util.Optional;
import mildtilt.gear.ArmGear;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Side;
import mildtilt.id.Id;
import mildtilt.linkage.KnuckleArm;
import mildtilt.linkage.SteeredAxle;
import mildtilt.withers.Withers;

/** A piece that is made besides shafts and rods. Lengths mm, angles degrees. */
public sealed interface Piece {

    Id id();

    String name();

    /** The same piece under another id. */
    default Piece under(Id other) {
        return switch (this) {
            case Length p -> p.withId(other);
            case ArmPlate p -> p.withId(other);
            case BearingBracket p -> p.withId(other);
            case CopedTube p -> p.withId(other);
            case CentringJig p -> p.withId(other);
        };
    }

    /** Sleeve, spacer or any other length of bar or tube, cut square. */
    @Withers
    record Length(Id id, String name, Section section, Metal metal, double length, int left, int right)
            implements Piece, PieceLengthBuilder.With {
        public Length {
            above0(name, length, "length");
            counts(name, left, right);
        }
    }

    /** Which arm a plate is cut for: its length is the job's. */
    enum ArmOf {
        LEFT_STEERING_ARM("left steering arm"),
        RIGHT_STEERING_ARM("right steering arm"),
        DRAG_LINK_ARM("drag-link arm"),
        GEAR_ARM("gear's arm");

        private final String label;

        ArmOf(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }

        /** From the axis it turns about, square, to the joint at its end, mm; empty where a vehicle has no such arm. */
        public Optional<Double> length(SteeredAxle axle) {
            return switch (this) {
                case LEFT_STEERING_ARM -> Optional.of(KnuckleArm.LEFT_STEERING.length(axle));
                case RIGHT_STEERING_ARM -> Optional.of(KnuckleArm.RIGHT_STEERING.length(axle));
                case DRAG_LINK_ARM -> axle.dragLinkSide().map(_ -> KnuckleArm.DRAG_LINK.length(axle));
                case GEAR_ARM -> axle.gear() instanceof ArmGear g ? Optional.of(g.armLength()) : Optional.empty();
            };
        }

        static ArmOf steering(Side side) {
            return side == Side.LEFT ? LEFT_STEERING_ARM : RIGHT_STEERING_ARM;
        }
    }

    /**
     * A flat arm: a hole at its root, a hole at its end, and metal round both.
     *
     * @param margin from a hole's edge to the plate's edge
     */
    @Withers
    record ArmPlate(Id id, String name, ArmOf of, double thickness, double rootHole, double endHole, double margin)
            implements Piece, PieceArmPlateBuilder.With {
        public ArmPlate {
            above0(name, thickness, "thickness");
            above0(name, rootHole, "root hole");
            above0(name, endHole, "end hole");
            above0(name, margin, "margin");
        }
    }

    /**
     * A plate square to a shaft that carries one of its bearings and stands with its foot on something in the way.
     *
     * @param bearing a bearing's of the column
     * @param foot of the thing it stands on, an obstacle's
     * @param footWidth of the foot, along what it stands on
     * @param hole for the bearing or its shaft
     * @param bolts that hold the bearing, evenly round; 0 for none
     */
    @Withers
    record BearingBracket(
            Id id,
            String name,
            Id bearing,
            Id foot,
            double thickness,
            double footWidth,
            double hole,
            int bolts,
            double boltCircle,
            double boltHole,
            double margin)
            implements Piece, PieceBearingBracketBuilder.With {
        public BearingBracket {
            above0(name, thickness, "thickness");
            above0(name, footWidth, "foot width");
            above0(name, hole, "hole");
            above0(name, margin, "margin");
            if (bolts < 0 || bolts > 12) {
                throw new ImpossibleGeometryException("\"" + name + "\" can have up to 12 bolts.");
            }
            if (bolts > 0 && !(boltHole > 0 && boltCircle > hole + boltHole)) {
                throw new ImpossibleGeometryException(
                        "The bolts of \"" + name + "\" must lie clear of its middle hole.");
            }
        }
    }

    /**
     * How a tube's end meets another round tube, or a flat.
     *
     * @param into diameter of what it meets; 0 for a flat
     * @param angleDeg between both tubes' axes, or between the axis and the flat; 90 square
     * @param offset how far the other's axis lies to the left of the tube's, seen along the tube toward this end with
     * its 0 line up; that line, unturned,
     *     lies in the narrower angle where the angle is below 90
     * @param turnDeg of this end's cope about the tube, against the other end's
     */
    record Meeting(double into, double angleDeg, double offset, double turnDeg) {
        public static final Meeting SQUARE = new Meeting(0, 90, 0, 0);

        public Meeting {
            if (!(into >= 0) || !(angleDeg >= 15 && angleDeg <= 165)) {
                throw new ImpossibleGeometryException(
                        "A cope's angle must be between 15 and 165 degrees, and what it meets can't be negative.");
            }
        }

        public boolean square() {
            return into == 0 && angleDeg == 90;
        }
    }

    /**
     * A stay or strut of tube with copes. Its length runs from axis to axis of what it meets; to the middle of a flat's
     * face.
     */
    @Withers
    record CopedTube(
            Id id,
            String name,
            Section.Tube section,
            Metal metal,
            double length,
            Meeting from,
            Meeting to,
            int left,
            int right)
            implements Piece, PieceCopedTubeBuilder.With {
        public CopedTube {
            above0(name, length, "length");
            counts(name, left, right);
            for (Meeting m : new Meeting[] {from, to}) {
                if (m.into() > 0 && Math.abs(m.offset()) + section.outside() / 2 > m.into() / 2 + 1e-9) {
                    throw new ImpossibleGeometryException("\"" + name
                            + "\" is wider than the tube it meets, or stands off its side: no cope fits it.");
                }
            }
        }
    }

    /**
     * A plastic jig in two halves that holds two round shafts in line while they are tacked.
     *
     * @param length in all
     * @param wall over the larger shaft
     */
    @Withers
    record CentringJig(Id id, String name, double one, double other, double length, double wall)
            implements Piece, PieceCentringJigBuilder.With {
        public CentringJig {
            above0(name, one, "first diameter");
            above0(name, other, "second diameter");
            above0(name, wall, "wall");
            if (!(length >= 2 * Math.max(one, other))) {
                throw new ImpossibleGeometryException(
                        "The jig \"" + name
                                + "\" must be at least twice as long as the larger shaft is thick, or it holds nothing in line.");
            }
        }
    }

    private static void above0(String name, double mm, String what) {
        if (!(mm > 0) || !Double.isFinite(mm)) {
            throw new ImpossibleGeometryException("The " + what + " of \"" + name + "\" must be above 0.");
        }
    }

    private static void counts(String name, int left, int right) {
        if (left < 0 || right < 0 || left + right < 1 || left + right > 200) {
            throw new ImpossibleGeometryException("Of \"" + name + "\" at least one and at most two hundred are made.");
        }
    }
}
