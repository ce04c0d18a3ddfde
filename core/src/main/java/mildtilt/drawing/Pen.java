package mildtilt.drawing;

/** What a line stands for; each surface chooses width and ink for it. */
public enum Pen {
    GROUND,
    CENTRE_LINE,
    STEERING_WHEEL,
    SHAFT,
    JOINT,
    FORK_PIN,
    RACK,
    TIE_ROD,
    STEERING_ARM,
    WISHBONE,
    STEER_AXIS,
    TYRE
}
