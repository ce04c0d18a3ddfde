package mildtilt.linkage.corner;

import java.util.Optional;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Frame;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;

/** A beam axle that carries both kingpins. */
public sealed interface Beam {

    /**
     * On springs: it rises, rolls, and is held sideways by a track bar. Springs and arms that also move it fore
     * and aft or wind it up are not followed.
     *
     * @param trackBar empty where the springs alone hold it sideways, taken as rigid
     */
    record Sprung(Optional<TrackBar> trackBar) implements Beam {}

    /** On a pin in its middle, without springs: it only rolls. */
    record CentrePin(Axis pin) implements Beam {

        /** @throws ImpossibleGeometryException if the pin does not run fore and aft */
        public CentrePin {
            if (Math.abs(pin.direction().x()) < 0.5) {
                throw new ImpossibleGeometryException("The axle's centre pin must run fore and aft.");
            }
        }
    }

    /** @param bodyEnd on the frame, mm; @param axleEnd on the beam, mm */
    record TrackBar(Point bodyEnd, Point axleEnd) {

        /** @throws ImpossibleGeometryException if it has no length */
        public TrackBar {
            if (bodyEnd.distanceTo(axleEnd) < 1) {
                throw new ImpossibleGeometryException("The track bar has no length.");
            }
        }

        public double length() {
            return bodyEnd.distanceTo(axleEnd);
        }
    }

    /**
     * Where the beam has gone.
     *
     * @param now empty if it can't be there
     * @param missing how much longer (+) or shorter (−) the track bar would have to be, or how far the axle
     *     would have to rise that can't, mm
     */
    record Place(Optional<Frame> now, double missing) {}

    /**
     * The beam with its wheel centres risen from the design position.
     *
     * @param design the beam's frame in the design position: origin midway between the wheel centres
     * @param track between the wheel centres, mm
     */
    default Place place(Frame design, double track, double left, double right) {
        double sine = (left - right) / track;
        if (Math.abs(sine) > 0.9) {
            return new Place(Optional.empty(), Math.abs(left - right) - 0.9 * track);
        }
        double roll = Math.asin(sine);
        double rise = (left + right) / 2;
        return switch (this) {
            case CentrePin c -> {
                if (Math.abs(rise) > 1e-9) {
                    yield new Place(Optional.empty(), rise);
                }
                // The pin may point forward or back; a roll that lifts the left wheel is about forward.
                double about = Math.signum(c.pin.direction().x()) * roll;
                yield new Place(
                        Optional.of(new Frame(
                                c.pin.turned(design.origin(), about),
                                c.pin.direction().turn(Vector.X, about),
                                c.pin.direction().turn(Vector.Y, about),
                                c.pin.direction().turn(Vector.Z, about))),
                        0);
            }
            case Sprung s -> {
                Vector y = new Vector(0, Math.cos(roll), sine);
                Vector z = new Vector(0, -sine, Math.cos(roll));
                Frame risen = new Frame(design.origin().plus(Vector.Z.times(rise)), Vector.X, y, z);
                yield s.trackBar
                        .map(bar -> pulled(risen, design, bar))
                        .orElseGet(() -> new Place(Optional.of(risen), 0));
            }
        };
    }

    /** The beam pulled sideways until its track bar is as long as it is: a line met with a sphere. */
    private static Place pulled(Frame risen, Frame design, TrackBar bar) {
        Vector w = risen.carried(bar.axleEnd, design).minus(bar.bodyEnd);
        double square = bar.length() * bar.length() - w.x() * w.x() - w.z() * w.z();
        if (square < 0) {
            return new Place(Optional.empty(), Math.hypot(w.x(), w.z()) - bar.length());
        }
        double across = Math.signum(bar.axleEnd.y() - bar.bodyEnd.y()) * Math.sqrt(square);
        Vector shift = new Vector(0, across - w.y(), 0);
        return new Place(Optional.of(new Frame(risen.origin().plus(shift), risen.e(), risen.f(), risen.g())), 0);
    }
}
