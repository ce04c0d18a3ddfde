package mildtilt.gear;

/** What turns the rotation of the column's last shaft into the first movement of the linkage. */
public sealed interface Gear permits RackAndPinion, ArmGear {

    /** How far the input turns from straight ahead to either end, rad. */
    double inputStop();

    /** The same gear with its output driven the other way. */
    Gear reversed();
}
