package mildtilt.describe;

import java.util.Arrays;
import java.util.List;

/** What every kind of size in a file can be. */
public final class Ranges {

    public static final Range COORDINATE = Range.of("coordinate", -20000, 20000, "");
    public static final Range ANGLE = Range.of("angle", -3600, 3600, "");
    public static final Range WHEEL_HEIGHT = Range.of("wheel height", 50, 1500, "of a wheel's centre above the ground");
    public static final Range WHEELBASE = Range.of("wheelbase", 300, 20000, "of anything from a cart to a land train");
    public static final Range WHEEL_TRAVEL =
            Range.of("wheel travel", 0, 1000, "of one wheel up or down from ride height");
    public static final Range TYRE_WIDTH = Range.of("tyre width", 20, 1500, "of tread");
    public static final Range RIM_OF_HANDS =
            Range.of("rim of hands", 100, 1000, "of a steering wheel, or a bar across its grips");
    public static final Range IN_A_BORE = Range.of("in a bore", 0, 500, "of what goes into a fork, a hub or a gear");
    public static final Range ADJUSTMENT = Range.of("adjustment", 0, 500, "of the steering wheel along its shaft");
    public static final Range MOVEMENT = Range.of("movement", 0, 200, "of a body on its frame");
    public static final Range SHAFT_DIAMETER =
            Range.of("shaft diameter", 3, 200, "of a shaft, its bore or what goes round it");
    public static final Range SHAFT_BORE = Range.of("shaft bore", 0, 190, "inside a shaft; 0 for solid");
    public static final Range KEY_WIDTH = Range.of("key width", 0.5, 60, "of a key in a shaft");
    public static final Range ALONG_A_SHAFT = Range.of("along a shaft", 0, 5000, "along a shaft or a column");
    public static final Range JOINT_ACROSS = Range.of("joint across", 5, 500, "what a joint sweeps out");
    public static final Range OUT_OF_LINE = Range.of("out of line", -200, 200, "of a bearing");
    public static final Range ROD_DIAMETER = Range.of("rod diameter", 2, 400, "of a rod, a tube or an arm");
    public static final Range ROD_GIVES = Range.of("rod gives", 0, 100, "along its length before it is solid");
    public static final Range WALL = Range.of("wall", 0.2, 200, "of a tube");
    public static final Range CRANK = Range.of("crank", 0, 1000, "of a bent rod");
    public static final Range RACK_SPACING =
            Range.of("rack spacing", 10, 5000, "between the pivots of a rack or a shuttle");
    public static final Range GEAR_TRAVEL = Range.of("gear travel", 1, 2000, "of a rack or a shuttle, each way");
    public static final Range BUSH_FRICTION = Range.of("bush friction", 0, 2, "of a shuttle's bushes on their bar");
    public static final Range PER_TURN = new Range("per turn", -1000, 1000, 1, "of a rack in one turn of its pinion");
    public static final Range GEAR_RATIO =
            new Range("gear ratio", -1000, 1000, 0.5, "turns of the input for one of the arm");
    public static final Range BODY_SIZE = Range.of("body size", 0.1, 20000, "of what is in the way");
    public static final Range BODY_THICKNESS = Range.of("body thickness", 0.1, 2000, "of what is in the way");
    public static final Range BETWEEN_ENDS =
            Range.of("between ends", 1, 5000, "of a damper, a spring, a strap, a shaft or a hose, end to end");
    public static final Range WANDER = Range.of("wander", 0, 2000, "of a hose or a wire, either way");
    public static final Range GAP = Range.of("gap", 0, 1000, "left free between two parts");
    public static final Range ROAD_WHEEL = Range.of("road wheel", 50, 3000, "of a rim or a tyre");
    public static final Range GRIPS_APART = Range.of("grips apart", 0, 1500, "of a handlebar or two levers");
    public static final Range GRIP_OFFSET = Range.of("grip offset", -1500, 1500, "of a grip from the hub");
    public static final Range HAND_SWING = Range.of("hand swing", 5, 180, "that hands follow, each way");
    public static final Range LEAN = Range.of("lean", -90, 90, "of a person's trunk");
    public static final Range CRANK_OF_PEDALS = Range.of("crank of pedals", 30, 300, "from axle to pedal");
    public static final Range REACH = Range.of("reach", 100, 1500, "of a person's trunk or arm");
    public static final Range LIMB = Range.of("limb", 100, 1000, "of a person");
    public static final Range KNEES = Range.of("knees", 0, 1500, "between a person's knees");
    public static final Range HOLE = Range.of("hole", 1, 300, "of a hole, a stud or a plate");
    public static final Range METAL_SIZE = Range.of("metal size", 0.1, 500, "of a bar, a plate or a margin");
    public static final Range THREAD_DIAMETER = Range.of("thread diameter", 2, 100, "of a screw thread");
    public static final Range THREAD_PITCH = Range.of("thread pitch", 0.2, 10, "of a screw thread");
    public static final Range PIECE_LENGTH = Range.of("piece length", 1, 5000, "of a piece or a part of one");
    public static final Range NUT = Range.of("nut", 0, 100, "of a nut; 0 for none");
    public static final Range BAR_LENGTH = Range.of("bar length", 100, 20000, "of a bar as it is bought");
    public static final Range TOLERANCE = Range.of("tolerance", 0.001, 1000, "how far a reading may be out");
    public static final Range STEER_ANGLE = Range.of("steer angle", 1, 89, "of a road wheel or a limit of one");
    public static final Range SMALL_ANGLE = Range.of("small angle", 0.001, 89, "that is wanted or allowed");
    public static final Range JOINT_ANGLE = Range.of("joint angle", 1, 120, "that a joint allows");
    public static final Range ARM_SWEEP = Range.of("arm sweep", 1, 179, "of a gear's arm, each way");
    public static final Range WHEEL_TILT = Range.of("wheel tilt", 0, 60, "of the steering wheel");
    public static final Range YIELD_STRENGTH = Range.of("yield strength", 50, 3000, "of steel or light metal, N/mm²");
    public static final Range TORQUE = Range.of("torque", 1, 100000, "N·m");
    public static final Range FORCE = Range.of("force", 1, 100000, "N");
    public static final Range AXLE_LOAD = Range.of("axle load", 5, 40000, "kg");
    public static final Range TYRE_GRIP = Range.of("tyre grip", 0.05, 2, "tyre on ground");
    public static final Range ROLLING = Range.of("rolling", 0, 0.5, "part of the load");
    public static final Range EFFICIENCY = Range.of("efficiency", 0.05, 1, "part of the work that comes through");
    public static final Range MARGIN = Range.of("margin", 0.1, 100, "how many times over");
    public static final Range PERCENT = Range.of("percent", 0.01, 1000, "%");
    public static final Range RULE_MARGIN = Range.of("rule margin", 0.1, 100, "how many times over");
    public static final Range RATE = Range.of("rate", 0.1, 10000, "in a second or an hour");
    public static final Range STROKE = Range.of("stroke", 0, 1000, "that a rule set asks for");
    public static final Range TRAIL = Range.of("trail", -1000, 1000, "of a steer axis on the ground");
    public static final Range KINK = Range.of("kink", 0.01, 180, "of a column");
    public static final Range TURN = Range.of("turn", 0.01, 360, "of a shaft");
    public static final Range CLASS_SIZE = Range.of("class size", 1, 100000, "of a vehicle, in a rule set");
    public static final Range SCRUB = Range.of("scrub", 0.1, 1000, "of a steer axis beside its tyre, on the ground");
    public static final Range BOLT_CIRCLE = Range.of("bolt circle", 0, 500, "of a bracket; 0 for none");
    public static final Range ROLL_STEER = Range.of("roll steer", 0.001, 100, "degrees of steer for one of roll");
    public static final Range REAR_STEER = Range.of("rear steer", -0.9, 2.5, "degrees of rear steer for one in front");
    public static final Range BRAKE_STEER =
            Range.of("brake steer", 0.001, 100, "degrees of steer for one of the axle's wind-up");
    public static final Range INTO_ANOTHER = Range.of("into another", 0, 1500, "how far one piece goes into another");
    public static final Range DIRECTION_PART =
            Range.of("direction part", -100000, 100000, "of a direction; its length does not matter");
    public static final Range ACKERMANN = Range.of("ackermann", -1000, 1000, "of true Ackermann");
    public static final Range ROAD_WHEEL_ANGLE = Range.of("road wheel angle", -90, 90, "of a road wheel in a table");
    public static final Range LINK_FRACTION = Range.of("link fraction", -1, 1, "of the line between two arm ends");
    public static final Range ROD_FRACTION = Range.of("rod fraction", 0, 1, "of a rod from its left end");
    public static final Range ENGAGEMENT = Range.of("engagement", 0, 100, "in shaft diameters");
    public static final Range KERB_TIMES = Range.of("kerb times", 0, 100, "times a wheel's own load");
    public static final Range STEER_AXIS_ANGLE = Range.of("steer axis angle", -89, 89, "caster or inclination");
    public static final Range CLASS_LEAST =
            Range.of("class least", 0, 100000, "least wheelbase of a class of vehicles");
    public static final Range SWING_BACK = Range.of("swing back", -360, 0, "of what turns by itself");
    public static final Range SWING_ON = Range.of("swing on", 0, 360, "of what turns by itself");
    public static final Range SLIDE_BACK = Range.of("slide back", -100000, 0, "of what slides by itself");
    public static final Range SLIDE_ON = Range.of("slide on", 0, 100000, "of what slides by itself");
    public static final Range PER_MM_OF_TRAVEL =
            Range.of("per mm of travel", -10, 10, "degrees for a mm of a wheel's rise");
    public static final Range COPE_ANGLE = Range.of("cope angle", 15, 165, "between two tubes");
    public static final Range KERF = Range.of("kerf", 0, 20, "of a saw");
    public static final Range FACING = Range.of("facing", 0, 50, "left on a sawn end");
    public static final Range ROOT_GAP = Range.of("root gap", 0, 10, "between butted ends");
    public static final Range THREAD_ENGAGEMENT = Range.of("thread engagement", 0.5, 5, "in thread diameters");
    public static final Range HOURS_A_WEEK = Range.of("hours a week", 0.1, 168, "worked");
    public static final Range HOURS = Range.of("hours", 0, 1000, "that a step takes");
    public static final Range PRICE = Range.of("price", 0, 1e12, "in the workshop's own currency");
    public static final Range PREHEAT = Range.of("preheat", 0, 800, "°C");
    public static final Range HEAT_BETWEEN = Range.of("heat between", 0, 900, "°C between runs");
    public static final Range MINUTES = Range.of("minutes", 0, 100000, "from the beginning");
    public static final Range CELSIUS = Range.of("celsius", -60, 1500, "°C");
    public static final Range SLOPE_READ = Range.of("slope read", -85, 85, "below level");
    public static final Range PLAN_ANGLE_READ = Range.of("plan angle read", -360, 360, "from straight forward");
    public static final Range TRAVEL_READ = Range.of("travel read", -2000, 2000, "of a wheel");
    public static final Range RUN_OUT = Range.of("run-out", 0.005, 5, "of a turned part, at most");
    public static final Range CORNER = Range.of("corner", 0, 500, "radius of a plate's corners; 0 for sharp ones");
    public static final Range SETTING = Range.of("setting", 0, 200, "how far a post is set up or down");
    public static final Range WALL_AWAY = Range.of("wall away", 200, 50000, "of a wall ahead");
    public static final Range FIGURE_READ = Range.of("figure read", -100000, 100000, "read at a trial");
    public static final Range INNER_READ = Range.of("inner read", 0.01, 89.99, "of the inner wheel on a turn plate");
    public static final Range OUTER_READ = Range.of("outer read", -30, 90, "of the outer wheel on a turn plate");
    public static final Range PIXELS = Range.of("pixels", -200000, 200000, "of a place in a photograph");
    public static final Range FOCAL = Range.of("focal", 0, 1000, "of a camera's lens");
    public static final Range DIAL = Range.of("dial", -1000, 1000, "of a dial indicator");

    private Ranges() {}

    /** All of them, in the order of this file. */
    public static List<Range> all() {
        return Arrays.stream(Ranges.class.getFields())
                .map(f -> {
                    try {
                        return (Range) f.get(null);
                    } catch (IllegalAccessException e) {
                        throw new IllegalStateException(e);
                    }
                })
                .toList();
    }
}
