package mildtilt.start;

import mildtilt.io.jobfile.DemoJob;

/** The steering gear, where it sits and what leads from it to the knuckles. */
public enum GearChoice {
    RACK_BEHIND("Rack behind the axle", DemoJob.MARSH_CARRIER, AxleChoice.WISHBONES),
    RACK_AHEAD("Rack ahead of the axle", DemoJob.GARDEN_SHUTTLE, AxleChoice.STRUTS),
    BOX_CENTRE_LINK("Box and centre link", DemoJob.LIBRARY_BUS, AxleChoice.WISHBONES),
    BOX_SHUTTLE("Box and shuttle bar", DemoJob.SALT_RAKE, AxleChoice.WISHBONES),
    BOX_BOTH_RODS("Box, two tie rods", DemoJob.REED_SKIMMER, AxleChoice.TRAILING_ARMS),
    HANDLEBAR("Handlebar, two tie rods", DemoJob.HEATH_RIDER, AxleChoice.WISHBONES),
    BOX_TO_KNUCKLE("Box, link to knuckle", DemoJob.BOG_TENDER, AxleChoice.SPRUNG_BEAM),
    BOX_ALONG_SPRING("Box, link along frame", DemoJob.LOG_HAULER, AxleChoice.LEAF_BEAM),
    BOX_TO_SWING_BEAM("Box to swing beam", DemoJob.DUNE_WARDEN, AxleChoice.SWING_BEAMS),
    BOX_TO_TIE_ROD("Box, link to tie rod", DemoJob.HOP_PLATFORM, AxleChoice.PINNED_BEAM),
    RACK_ON_AXLE("Rack on the axle", DemoJob.VINE_SPRAYER, AxleChoice.PINNED_BEAM),
    COLUMN_ARM("Column arm, bell crank", DemoJob.GREENHOUSE_TUG, AxleChoice.FRAME_KINGPINS),
    LEVERS("Hand levers, relay arm", DemoJob.PARCEL_TRIKE, AxleChoice.FRAME_KINGPINS);

    private final String label;
    private final DemoJob example;
    private final AxleChoice usual;

    GearChoice(String label, DemoJob example, AxleChoice usual) {
        this.label = label;
        this.example = example;
        this.usual = usual;
    }

    public String label() {
        return label;
    }

    /** A vehicle that has one. */
    public DemoJob example() {
        return example;
    }

    /** The axle of that vehicle. */
    public AxleChoice usual() {
        return usual;
    }

    /** A beam that goes up and down. */
    private static boolean beam(AxleChoice axle) {
        return axle == AxleChoice.SPRUNG_BEAM || axle == AxleChoice.LEAF_BEAM;
    }

    /** Whether it can steer wheels that are carried this way. */
    public boolean suits(AxleChoice axle) {
        return axle == usual
                || axle.independent() && (usual.independent() || this == BOX_BOTH_RODS)
                || this == RACK_ON_AXLE && beam(axle);
    }
}
