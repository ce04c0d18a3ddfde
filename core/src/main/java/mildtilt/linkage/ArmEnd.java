package mildtilt.linkage;

import mildtilt.gear.ArmGear;
import mildtilt.geometry.Orbit;
import mildtilt.geometry.Point;

/** The end of a gear's arm on its circle. */
record ArmEnd(ArmGear gear, Orbit orbit) {

    ArmEnd(ArmGear gear) {
        this(gear, gear.orbit());
    }

    /** The arm alone, the input turned to the left, rad. */
    Mechanism.Broken at(double gearInputLeft) {
        double angle = gear.armAngleAt(gearInputLeft);
        return new Mechanism.Broken(gear, angle, orbit.at(angle));
    }

    Point straightAhead() {
        return gear.armEnd();
    }
}
