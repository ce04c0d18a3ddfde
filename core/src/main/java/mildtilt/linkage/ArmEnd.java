package mildtilt.linkage;

import mildtilt.gear.ArmGear;
import mildtilt.geometry.Orbit;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;

/** The end of a gear's arm on its circle. */
record ArmEnd(ArmGear gear, Orbit orbit) {

    ArmEnd(ArmGear gear) {
        this(gear, gear.orbit());
    }

    /** The arm alone, the input turned to the left, rad, the gear moved with what it is bolted to. */
    Mechanism.Broken at(double gearInputLeft, RigidMove gearMove) {
        double angle = gear.armAngleAt(gearInputLeft);
        Point end = gearMove.point(orbit.at(angle));
        return new Mechanism.Broken(gearMove.stays() ? gear : gear.placed(gearMove), angle, end);
    }

    Point straightAhead() {
        return gear.armEnd();
    }
}
