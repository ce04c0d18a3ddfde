package mildtilt.linkage.beam;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Frame;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Vector;
import mildtilt.kinematics.Body;

/** A beam axle that carries both kingpins. */
public sealed interface Beam permits Beam.Sprung, Beam.CentrePin, LeafSprung, RadiusArms, Linked {

    /** Past this the wheels would stand over each other. */
    double MOST_SINE = 0.9;

    /** Less than this is rounding, mm. */
    double NO_RISE = 1e-9;

    /**
     * On springs: it rises, rolls, and is held sideways. Springs and arms that also move it fore
     * and aft or wind it up are {@link LeafSprung}, {@link RadiusArms} and {@link Linked}.
     *
     * @param sideways unaided where the springs alone hold it, taken as rigid
     */
    record Sprung(Sideways sideways) implements Beam {

        @Override
        public String label() {
            return "beam axle on springs";
        }

        /**
         * Straight up and down, rolled about the level fore-and-aft line, then pulled sideways: by a track bar in
         * closed form, by a Watt linkage with the beam and its crank solved as bodies.
         */
        @Override
        public BeamPlacer placer(Frame design, double track) {
            return switch (sideways) {
                case TrackBar bar -> (left, right) -> risen(design, track, left, right, at -> pulled(at, design, bar));
                case Sideways.Unaided _ -> (left, right) -> risen(design, track, left, right, BeamPlacer.Place::at);
                case WattLinkage _ -> asBody(design, track, 0);
            };
        }

        private static BeamPlacer.Place risen(
                Frame design, double track, double left, double right, Function<Frame, BeamPlacer.Place> sideways) {
            double sine = (left - right) / track;
            if (Math.abs(sine) > MOST_SINE) {
                return BeamPlacer.Place.outOfReach(Math.abs(left - right) - MOST_SINE * track);
            }
            double cosine = Math.cos(Math.asin(sine));
            return sideways.apply(new Frame(
                    design.origin().plus(Vector.Z.times((left + right) / 2)),
                    Vector.X,
                    new Vector(0, cosine, sine),
                    new Vector(0, -sine, cosine)));
        }

        /** About the line through the wheel centres. */
        @Override
        public Optional<BeamPlacer> woundUp(Frame design, double track, double noseUp) {
            try {
                return Optional.of(asBody(design, track, noseUp));
            } catch (ImpossibleGeometryException e) {
                // An upright track bar holds at ride height alone: the closed form still has a pose there.
                return Optional.empty();
            }
        }

        /** The same by the general solver. */
        HeldBeam asBody(Frame design, double track, double noseUp) {
            return new HeldBeam(
                            design,
                            track,
                            (s, beam, lean) -> {
                                s.held(beam, design.origin(), Vector.X.direction())
                                        // Nose up is left-handed about the vehicle's left.
                                        .drivenSquare(Vector.X, Vector.Y.direction(), lean, beam, Vector.Z)
                                        .square(Body.FRAME, Vector.X, beam, Vector.Y);
                                sideways.hold(s, beam, design.origin());
                            },
                            (_, _) -> -noseUp)
                    .checked("What should hold the axle sideways leaves it free: it must run across the vehicle.");
        }

        /** Until the track bar is as long as it is: a line met with a sphere. */
        private static BeamPlacer.Place pulled(Frame risen, Frame design, TrackBar bar) {
            Vector w = risen.carried(bar.axleEnd(), design).minus(bar.bodyEnd());
            double square = bar.length() * bar.length() - w.x() * w.x() - w.z() * w.z();
            if (square < 0) {
                return BeamPlacer.Place.held(BeamPart.TRACK_BAR.label(), Math.hypot(w.x(), w.z()) - bar.length());
            }
            double across = Math.signum(bar.axleEnd().y() - bar.bodyEnd().y()) * Math.sqrt(square);
            Vector shift = new Vector(0, across - w.y(), 0);
            return BeamPlacer.Place.at(new Frame(risen.origin().plus(shift), risen.e(), risen.f(), risen.g()));
        }

        @Override
        public List<BeamPoint> points() {
            return sideways.points(this::withSideways);
        }

        @Override
        public List<Bar> bars() {
            return sideways.bars();
        }

        @Override
        public Sprung withSideways(Sideways by) {
            return new Sprung(by);
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
        public Sideways sideways() {
            return Sideways.UNAIDED;
        }

        @Override
        public CentrePin withSideways(Sideways by) {
            return this;
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

    /**
     * The same with the axle wound up on its springs, as brakes and drive do; empty where links, arms or a pin keep it
     * from that.
     *
     * @param noseUp rad
     */
    default Optional<BeamPlacer> woundUp(Frame design, double track, double noseUp) {
        return Optional.empty();
    }

    /** What can be measured and moved of what holds it. */
    List<BeamPoint> points();

    /** What stands between it and the frame. */
    List<Bar> bars();

    Sideways sideways();

    /** Held sideways by something else; a beam on a pin stays as it is. */
    Beam withSideways(Sideways by);

    /** The track bar, if that is what holds it sideways. */
    default Optional<TrackBar> trackBar() {
        return sideways() instanceof TrackBar bar ? Optional.of(bar) : Optional.empty();
    }
}
