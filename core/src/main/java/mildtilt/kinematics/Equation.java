package mildtilt.kinematics;

import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;

/**
 * One constraint between two bodies; joints are made of these. Points and vectors are those of the design pose and move with the
 * body that is named before them.
 */
sealed interface Equation {

    /** How many scalar equations it is. */
    default int rows() {
        return 1;
    }

    Body a();

    Body b();

    /** The two points stay together. */
    record Coincident(Body a, Point onA, Body b, Point onB) implements Equation {
        @Override
        public int rows() {
            return 3;
        }
    }

    /** The two vectors stay square to each other, the first turned about its own axis by an input. */
    record Square(Body a, Vector ofA, Vector turnedAbout, int input, Body b, Vector ofB) implements Equation {}

    /** The point of b lies a given way along the normal from the point of a; the way is an input, or 0. */
    record Along(Body a, Point onA, Vector normal, int input, Body b, Point onB) implements Equation {}

    /** The two points keep their distance; what is added to it is an input, or 0. */
    record Distance(Body a, Point onA, Body b, Point onB, double length, int input) implements Equation {}
}
