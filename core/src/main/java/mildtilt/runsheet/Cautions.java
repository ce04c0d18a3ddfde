package mildtilt.runsheet;

/** What can hurt at the bench, said where the step needs it. */
public final class Cautions {

    public static final String STANDS =
            "Never work under a vehicle on a jack. Stands under frame or axle, wheels chocked, rock it before you go under.";
    public static final String DISCS =
            "Eyes, ears and breath: shield over glasses, a mask for grinding dust, no disc past its date or speed, guard on, nobody in the line of the sparks.";
    public static final String CURRENT =
            "Battery off. Clamp the return on the piece being welded, close to the weld: welding current through a bearing, joint or gear pits it.";
    public static final String HEAT = "Bearings, seals, boots, plastic and greased joints come off before heat.";
    public static final String SEALED =
            "A closed tube bursts when it is heated: drill a vent, dry it out, plug it when cold. Never weld on what has held fuel, brake cleaner or gas.";
    public static final String QUALIFIED =
            "Steering parts are welded only by qualified people under local rules, then inspected. Some places forbid it: ask before the arc is struck.";
    public static final String ZINC = "Grind plating and paint off well back: zinc and cadmium fumes poison.";
    public static final String CHARGE =
            "A column or wheel with a pyrotechnic charge (air bag, powered collapse) is left to those trained for it: not unbolted, drilled, heated or powered.";
    public static final String NOT_DRIVEN =
            "Nothing is driven until everything on this sheet is ticked and someone other than its builder has looked it over.";

    private Cautions() {}
}
