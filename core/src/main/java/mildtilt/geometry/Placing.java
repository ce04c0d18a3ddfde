package mildtilt.geometry;

/** Puts what stands on the vehicle elsewhere. */
public interface Placing {

    Point point(Point p);

    Direction direction(Direction d);

    default Axis axis(Axis a) {
        return new Axis(point(a.origin()), direction(a.direction()));
    }

    /** By a vector, mm. */
    static Placing moved(Vector by) {
        return new Placing() {
            @Override
            public Point point(Point p) {
                return p.plus(by);
            }

            @Override
            public Direction direction(Direction d) {
                return d;
            }
        };
    }

    /** To the mirror place ahead of or behind a plane across the vehicle. @param x of that plane, mm */
    static Placing foreAft(double x) {
        return new Placing() {
            @Override
            public Point point(Point p) {
                return new Point(2 * x - p.x(), p.y(), p.z());
            }

            @Override
            public Direction direction(Direction d) {
                return new Direction(-d.x(), d.y(), d.z());
            }
        };
    }
}
