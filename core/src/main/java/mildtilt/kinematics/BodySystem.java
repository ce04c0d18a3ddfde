package mildtilt.kinematics;

import java.util.ArrayList;
import java.util.List;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;

/**
 * Rigid bodies and what joins them, in the design pose. As many independent equations as unknowns, six for each body that moves;
 * {@link PoseSolver} finds the poses.
 *
 * <p>Example, a wishbone corner: two arms on hinges, a knuckle on two balls, a tie rod as a distance, and the height of the wheel
 * as an input.
 */
public final class BodySystem {

    /** Not an input: the value of the design pose. */
    static final int NONE = -1;

    private final List<Point> references = new ArrayList<>();
    private final List<Equation> equations = new ArrayList<>();
    private final List<Rod> rods = new ArrayList<>();
    private int inputs;

    /**
     * A rod whose length can be asked about.
     *
     * @param name for the answer
     * @param input that adds to its length
     */
    record Rod(String name, double length, int input) {}

    /** @param reference a point of the body, best near its middle; it only keeps numbers small */
    public Body body(Point reference) {
        references.add(reference);
        return new Body(references.size() - 1);
    }

    /** A new input, 0 in the design pose. */
    public int input() {
        return inputs++;
    }

    /** A ball joint at a point. */
    public BodySystem ball(Body a, Body b, Point at) {
        equations.add(new Equation.Coincident(a, at, b, at));
        return this;
    }

    /** A hinge, free to turn about its axis. */
    public BodySystem hinge(Body a, Body b, Axis axis) {
        ball(a, b, axis.origin());
        return parallel(a, b, axis.direction());
    }

    /** A hinge turned by an input, radians, right-handed about the axis, of b against a. */
    public BodySystem drivenHinge(Body a, Body b, Axis axis, int angle) {
        hinge(a, b, axis);
        Direction across = axis.direction().anySquare();
        Vector third = axis.direction().cross(across.vector());
        equations.add(new Equation.Square(a, across.vector(), axis.direction().vector(), angle, b, third));
        return this;
    }

    /** A slider along an axis, moved by an input, mm. */
    public BodySystem drivenSlider(Body a, Body b, Axis axis, int way) {
        slider(a, b, axis);
        equations.add(new Equation.Along(a, axis.origin(), axis.direction().vector(), way, b, axis.origin()));
        return this;
    }

    /** A slider along an axis that does not turn about it. */
    public BodySystem slider(Body a, Body b, Axis axis) {
        Direction u = axis.direction().anySquare();
        Vector v = axis.direction().cross(u.vector());
        onLine(a, axis, b, axis.origin());
        parallel(a, b, axis.direction());
        equations.add(new Equation.Square(a, u.vector(), axis.direction().vector(), NONE, b, v));
        return this;
    }

    /** A universal joint: a ball that passes rotation, by two pins that stay square. */
    public BodySystem universal(Body a, Direction pinOfA, Body b, Direction pinOfB, Point at) {
        ball(a, b, at);
        equations.add(new Equation.Square(a, pinOfA.vector(), pinOfA.vector(), NONE, b, pinOfB.vector()));
        return this;
    }

    /** A point of b slides along a line of a. */
    public BodySystem onLine(Body a, Axis line, Body b, Point at) {
        Direction u = line.direction().anySquare();
        Vector v = line.direction().cross(u.vector());
        equations.add(new Equation.Along(a, line.origin(), u.vector(), NONE, b, at));
        equations.add(new Equation.Along(a, line.origin(), v, NONE, b, at));
        return this;
    }

    /** A direction stays common to both bodies. */
    public BodySystem parallel(Body a, Body b, Direction common) {
        Direction u = common.anySquare();
        Vector v = common.cross(u.vector());
        equations.add(new Equation.Square(a, common.vector(), common.vector(), NONE, b, u.vector()));
        equations.add(new Equation.Square(a, common.vector(), common.vector(), NONE, b, v));
        return this;
    }

    /** Two vectors that are square in the design pose stay so: no spin, no yaw, whatever is wanted. */
    public BodySystem square(Body a, Vector ofA, Body b, Vector ofB) {
        equations.add(new Equation.Square(a, ofA, ofA, NONE, b, ofB));
        return this;
    }

    /** A vector of the frame, turned about an axis by an input, rad, stays square to one of the body. */
    public BodySystem drivenSquare(Vector ofFrame, Direction axis, int angle, Body b, Vector ofB) {
        equations.add(new Equation.Square(Body.FRAME, ofFrame, axis.vector(), angle, b, ofB));
        return this;
    }

    /** A rod with a ball at either end, as a distance. */
    public BodySystem rod(String name, Body a, Point onA, Body b, Point onB) {
        int longer = input();
        rods.add(new Rod(name, onA.distanceTo(onB), longer));
        equations.add(new Equation.Distance(a, onA, b, onB, onA.distanceTo(onB), longer));
        return this;
    }

    /** How far a point has gone along a direction of the frame: an input, mm. */
    public BodySystem driven(Body b, Point at, Direction along, int way) {
        equations.add(new Equation.Along(Body.FRAME, at, along.vector(), way, b, at));
        return this;
    }

    /** A point stays where it is along a direction of the frame. */
    public BodySystem held(Body b, Point at, Direction along) {
        equations.add(new Equation.Along(Body.FRAME, at, along.vector(), NONE, b, at));
        return this;
    }

    List<Point> references() {
        return references;
    }

    List<Equation> equations() {
        return equations;
    }

    List<Rod> rods() {
        return rods;
    }

    /** How many inputs there are. */
    public int inputs() {
        return inputs;
    }
}
