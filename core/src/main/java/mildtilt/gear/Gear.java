package mildtilt.gear;

import mildtilt.geometry.Placing;

/** What turns the rotation of the column's last shaft into the first movement of the linkage. */
public sealed interface Gear permits RackAndPinion, ArmGear {

    /** How far the input turns from straight ahead to either end, rad. */
    double inputStop();

    /** What it is called where it stands in the train: "Rack". */
    String label();

    /** What to do for one that drives the other way, as an order to the bench. */
    String howToReverse();

    /** With all of it put elsewhere. */
    Gear placed(Placing placing);

    /** The same gear with its output driven the other way. */
    Gear reversed();
}
