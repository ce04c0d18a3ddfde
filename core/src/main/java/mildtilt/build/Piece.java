package mildtilt.build;

import java.util.List;
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
            case TurnedShaft p -> p.withId(other);
            case BearingHousing p -> p.withId(other);
            case AdapterPlate p -> p.withId(other);
            case SteadyPost p -> p.withId(other);
        };
    }

    /** The same piece under another name. */
    default Piece called(String other) {
        return switch (this) {
            case Length p -> p.withName(other);
            case ArmPlate p -> p.withName(other);
            case BearingBracket p -> p.withName(other);
            case CopedTube p -> p.withName(other);
            case CentringJig p -> p.withName(other);
            case TurnedShaft p -> p.withName(other);
            case BearingHousing p -> p.withName(other);
            case AdapterPlate p -> p.withName(other);
            case SteadyPost p -> p.withName(other);
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

    /** How far below its nominal size a turned diameter may lie: a tolerance of ISO 286. */
    enum TurnedFit {
        H6("h6"),
        H7("h7"),
        H9("h9");

        private final String label;

        TurnedFit(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /**
     * A groove turned all round, for a pinch bolt.
     *
     * @param fromEnd from the shaft's end to the groove's middle
     */
    record Groove(double fromEnd, double width, double depth) {
        public Groove {
            if (!(fromEnd > 0 && width > 0 && depth > 0)) {
                throw new ImpossibleGeometryException("A groove's place, width and depth must be above 0.");
            }
        }
    }

    /**
     * One end of a turned shaft.
     *
     * @param length of its spline, flats, key or seat, from the end
     * @param pinFromFlatDeg of the fork that goes there: from a flat, key or tooth of its bore to its pin, clockwise
     *     seen
     *     from the wheel; 0 where they are in line
     */
    @Withers
    record TurnedEnd(double length, double pinFromFlatDeg, Optional<Groove> groove)
            implements PieceTurnedEndBuilder.With {
        public TurnedEnd {
            if (!(length > 0)) {
                throw new ImpossibleGeometryException("The end of a turned shaft must be longer than 0.");
            }
        }
    }

    /**
     * A shaft of the column made in one piece on a lathe: its sizes are the column's.
     *
     * @param shaft a shaft's of the column
     * @param fit of its turned diameters
     * @param centres whether both ends are centre-drilled
     * @param runOut most of the seats between centres, as a dial reads it
     */
    @Withers
    record TurnedShaft(
            Id id,
            String name,
            Id shaft,
            TurnedEnd wheelEnd,
            TurnedEnd gearEnd,
            TurnedFit fit,
            boolean centres,
            double runOut)
            implements Piece, PieceTurnedShaftBuilder.With {
        public TurnedShaft {
            above0(name, runOut, "run-out");
        }
    }

    /**
     * A clamping housing for a bearing: a length of tube slit along, with a lug on either side of the slit.
     *
     * @param bearing a bearing's of the column
     * @param bearingOutside diameter of its outer ring
     * @param bearingWidth of that ring
     * @param lugThickness of the flat a lug is cut from
     * @param lugHeight beyond the tube's outside
     * @param bolts along it that draw the lugs together
     */
    @Withers
    record BearingHousing(
            Id id,
            String name,
            Id bearing,
            double bearingOutside,
            double bearingWidth,
            Section.Tube section,
            double length,
            double slit,
            double lugThickness,
            double lugHeight,
            int bolts,
            double boltHole,
            int left,
            int right)
            implements Piece, PieceBearingHousingBuilder.With {
        public BearingHousing {
            above0(name, bearingOutside, "bearing's outside");
            above0(name, bearingWidth, "bearing's width");
            above0(name, length, "length");
            above0(name, slit, "slit");
            above0(name, lugThickness, "lugs' thickness");
            above0(name, lugHeight, "lugs' height");
            above0(name, boltHole, "bolt hole");
            counts(name, left, right);
            if (bolts < 1 || bolts > 6) {
                throw new ImpossibleGeometryException("\"" + name + "\" is drawn together by 1 to 6 bolts.");
            }
        }
    }

    /** @param x from the plate's left edge, mm; @param y from its lower edge, mm */
    record PlateHole(double x, double y, double diameter) {
        public PlateHole {
            if (!(diameter > 0) || !Double.isFinite(x) || !Double.isFinite(y)) {
                throw new ImpossibleGeometryException("A hole's diameter must be above 0.");
            }
        }
    }

    /**
     * A plate with holes, between a part and what it is bolted to.
     *
     * @param corner radius of its corners; 0 for sharp ones
     */
    @Withers
    record AdapterPlate(
            Id id,
            String name,
            double width,
            double height,
            double thickness,
            double corner,
            List<PlateHole> holes,
            int left,
            int right)
            implements Piece, PieceAdapterPlateBuilder.With {
        public AdapterPlate {
            holes = List.copyOf(holes);
            above0(name, width, "width");
            above0(name, height, "height");
            above0(name, thickness, "thickness");
            counts(name, left, right);
            if (!(corner >= 0 && corner <= Math.min(width, height) / 2)) {
                throw new ImpossibleGeometryException(
                        "The corners of \"" + name + "\" can't be rounder than half its narrower side, nor below 0.");
            }
        }
    }

    /**
     * A threaded post that carries a bearing on a tab, with a nut above and a nut below the tab to set its height.
     *
     * @param bearing a bearing's of the column
     * @param foot of the thing the tab is fixed to, an obstacle's
     * @param mouth from the bearing's middle to the mouth of the hole that the post is screwed into
     * @param engaged how far it is screwed in
     * @param tab thickness of the tab
     * @param standOff from the surface of what the tab is fixed to, to the tab's upper face
     * @param nut height of each nut with its washer
     * @param adjust how far it can be set up and down
     */
    @Withers
    record SteadyPost(
            Id id,
            String name,
            Id bearing,
            Id foot,
            ScrewThread thread,
            double mouth,
            double engaged,
            double tab,
            double standOff,
            double nut,
            double adjust)
            implements Piece, PieceSteadyPostBuilder.With {
        public SteadyPost {
            above0(name, mouth, "bearing's middle to the hole's mouth");
            above0(name, engaged, "thread in the bearing");
            above0(name, tab, "tab's thickness");
            above0(name, standOff, "tab's height");
            above0(name, nut, "nut's height");
            if (!(adjust >= 0)) {
                throw new ImpossibleGeometryException("How far \"" + name + "\" can be set can't be negative.");
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
