package mildtilt.start;

import mildtilt.io.jobfile.DemoJob;

/** What carries the steered wheels. */
public enum AxleChoice {
    WISHBONES("Double wishbones", DemoJob.MARSH_CARRIER),
    STRUTS("Struts", DemoJob.GARDEN_SHUTTLE),
    TRAILING_ARMS("Trailing arms", DemoJob.REED_SKIMMER),
    SWING_BEAMS("Swing beams", DemoJob.DUNE_WARDEN),
    SPRUNG_BEAM("Beam on coils", DemoJob.BOG_TENDER),
    LEAF_BEAM("Beam on leaf springs", DemoJob.LOG_HAULER),
    PINNED_BEAM("Beam on a centre pin", DemoJob.HOP_PLATFORM),
    FRAME_KINGPINS("Kingpins on the frame", DemoJob.GREENHOUSE_TUG);

    private final String label;
    private final DemoJob example;

    AxleChoice(String label, DemoJob example) {
        this.label = label;
        this.example = example;
    }

    public String label() {
        return label;
    }

    /** A vehicle that has one. */
    public DemoJob example() {
        return example;
    }

    /**
     * Each wheel on links of its own that any gear on the frame can steer. Trailing arms are not: they carry the wheel
     * straight
     * up, which only long tie rods follow.
     */
    boolean independent() {
        return switch (this) {
            case WISHBONES, STRUTS -> true;
            case TRAILING_ARMS, SWING_BEAMS, SPRUNG_BEAM, LEAF_BEAM, PINNED_BEAM, FRAME_KINGPINS -> false;
        };
    }
}
