package mildtilt.linkage.beam;

import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Frame;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;

/** A beam axle that carries both kingpins. */
public sealed interface Beam permits Beam.Sprung, Beam.CentrePin, LeafSprung, RadiusArms, Linked {

    /** Past this the wheels would stand over each other. */
    double MOST_SINE = 0.9;

    /** Less than this is rounding, mm. */
    double NO_RISE = 1e-9;

    /**
     * On springs: it rises, rolls, and is held sideways by a track bar. Springs and arms that also move it fore
     * and aft or wind it up are {@link LeafSprung}, {@link RadiusArms} and {@link Linked}.
     *
     * @param trackBar empty where the springs alone hold it sideways, taken as rigid
     */
    record Sprung(Optional<TrackBar> trackBar) implements Beam {

        @Override
        public String label() {
            return "beam axle on springs";
        }

        /** Straight up and down, rolled about the level fore-and-aft line, then pulled sideways by its track bar. */
        @Override
        public BeamPlacer placer(Frame design, double track) {
            return (left, right) -> {
                double sine = (left - right) / track;
                if (Math.abs(sine) > MOST_SINE) {
                    return BeamPlacer.Place.outOfReach(Math.abs(left - right) - MOST_SINE * track);
                }
                double cosine = Math.cos(Math.asin(sine));
                Frame risen = new Frame(
                        design.origin().plus(Vector.Z.times((left + right) / 2)),
                        Vector.X,
                        new Vector(0, cosine, sine),
                        new Vector(0, -sine, cosine));
                return trackBar.map(bar -> pulled(risen, design, bar)).orElseGet(() -> BeamPlacer.Place.at(risen));
            };
        }

        /** Until the track bar is as long as it is: a line met with a sphere. */
        private static BeamPlacer.Place pulled(Frame risen, Frame design, TrackBar bar) {
            Vector w = risen.carried(bar.axleEnd, design).minus(bar.bodyEnd);
            double square = bar.length() * bar.length() - w.x() * w.x() - w.z() * w.z();
            if (square < 0) {
                return BeamPlacer.Place.held(BeamPart.TRACK_BAR.label(), Math.hypot(w.x(), w.z()) - bar.length());
            }
            double across = Math.signum(bar.axleEnd.y() - bar.bodyEnd.y()) * Math.sqrt(square);
            Vector shift = new Vector(0, across - w.y(), 0);
            return BeamPlacer.Place.at(new Frame(risen.origin().plus(shift), risen.e(), risen.f(), risen.g()));
        }

        @Override
        public List<BeamPoint> points() {
            return trackBarPoints();
        }

        @Override
        public List<Bar> bars() {
            return trackBarBars();
        }

        @Override
        public Sprung withBar(Optional<TrackBar> bar) {
            return new Sprung(bar);
        }
    }

    /** On a pin in its middle, without springs: it only rolls. */
    record CentrePin(Axis pin) implements Beam {

        /** @throws ImpossibleGeometryException if the pin does not run fore and aft */
        public CentrePin {
            if (Math.abs(pin.direction().x()) < 0.5) {
                throw new ImpossibleGeometryException("The axle's centre pin must run fore and aft.");
            }
        }

        @Override
        public String label() {
            return "beam axle on a centre pin";
        }

        @Override
        public BeamPlacer placer(Frame design, double track) {
            return (left, right) -> {
                double sine = (left - right) / track;
                double rise = (left + right) / 2;
                if (Math.abs(sine) > MOST_SINE) {
                    return BeamPlacer.Place.outOfReach(Math.abs(left - right) - MOST_SINE * track);
                }
                if (Math.abs(rise) > NO_RISE) {
                    return BeamPlacer.Place.outOfReach(rise);
                }
                // The pin may point forward or back; a roll that lifts the left wheel is about forward.
                double about = Math.signum(pin.direction().x()) * Math.asin(sine);
                return BeamPlacer.Place.at(new Frame(
                        pin.turned(design.origin(), about),
                        pin.direction().turn(Vector.X, about),
                        pin.direction().turn(Vector.Y, about),
                        pin.direction().turn(Vector.Z, about)));
            };
        }

        @Override
        public List<BeamPoint> points() {
            return List.of(new BeamPoint(
                    BeamPoint.Which.CENTRE_PIN, pin.origin(), p -> new CentrePin(new Axis(p, pin.direction()))));
        }

        @Override
        public List<Bar> bars() {
            return List.of();
        }

        @Override
        public Optional<TrackBar> trackBar() {
            return Optional.empty();
        }

        @Override
        public CentrePin withBar(Optional<TrackBar> bar) {
            return this;
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

    /** What the trade calls it. */
    String label();

    /**
     * Made ready to be moved.
     *
     * @param design the beam's frame in the design position: origin midway between the wheel centres
     * @param track between the wheel centres, mm
     */
    BeamPlacer placer(Frame design, double track);

    /** What can be measured and moved of what holds it. */
    List<BeamPoint> points();

    /** What stands between it and the frame. */
    List<Bar> bars();

    Optional<TrackBar> trackBar();

    /** With another track bar or none; a beam that has no room for one stays as it is. */
    Beam withBar(Optional<TrackBar> bar);

    /** The ends of the track bar, if it has one. */
    default List<BeamPoint> trackBarPoints() {
        return trackBar()
                .map(t -> List.of(
                        new BeamPoint(
                                BeamPoint.Which.TRACK_BAR_BODY,
                                t.bodyEnd(),
                                p -> withBar(Optional.of(new TrackBar(p, t.axleEnd())))),
                        new BeamPoint(
                                BeamPoint.Which.TRACK_BAR_AXLE,
                                t.axleEnd(),
                                p -> withBar(Optional.of(new TrackBar(t.bodyEnd(), p))))))
                .orElse(List.of());
    }

    default List<Bar> trackBarBars() {
        return trackBar()
                .map(t -> List.of(new Bar(BeamPart.TRACK_BAR, t.bodyEnd(), t.axleEnd(), List.of())))
                .orElse(List.of());
    }
}
