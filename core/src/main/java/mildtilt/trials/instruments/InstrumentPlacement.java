package mildtilt.trials.instruments;

import java.util.Optional;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Side;
import mildtilt.id.Id;
import mildtilt.trials.Measurand;
import mildtilt.trials.compare.MeasurementTask;

/** Where an instrument is put. */
public sealed interface InstrumentPlacement {

    /** As the protocol writes it. */
    String text();

    record OnJoint(Id joint) implements InstrumentPlacement {
        @Override
        public String text() {
            return "joint " + joint;
        }
    }

    record OnWheel(Side side) implements InstrumentPlacement {
        @Override
        public String text() {
            return "wheel " + side.label();
        }
    }

    /** @param along mm from the shaft's wheel end; @param turnedDeg of the shaft, from the mark up */
    record OnShaft(Id shaft, double along, double turnedDeg) implements InstrumentPlacement {
        @Override
        public String text() {
            return "shaft " + LineText.number(along) + " " + LineText.number(turnedDeg) + " " + shaft;
        }
    }

    record AtRim() implements InstrumentPlacement {
        @Override
        public String text() {
            return "rim";
        }
    }

    record UnderWheels() implements InstrumentPlacement {
        @Override
        public String text() {
            return "plates";
        }
    }

    /** Empty where the text says no such place. */
    static Optional<InstrumentPlacement> parse(String text) {
        String[] w = text.strip().split("\\s+", 2);
        String rest = w.length > 1 ? w[1] : "";
        return switch (w[0]) {
            case "joint" -> id(rest).map(OnJoint::new);
            case "wheel" ->
                rest.equals("left")
                        ? Optional.of(new OnWheel(Side.LEFT))
                        : rest.equals("right") ? Optional.of(new OnWheel(Side.RIGHT)) : Optional.empty();
            case "shaft" -> {
                String[] s = rest.split("\\s+", 3);
                yield s.length < 3
                        ? Optional.empty()
                        : LineText.number(s[0]).flatMap(along -> LineText.number(s[1])
                                .flatMap(turned -> id(s[2]).map(on -> new OnShaft(on, along, turned))));
            }
            case "rim" -> Optional.of(new AtRim());
            case "plates" -> Optional.of(new UnderWheels());
            default -> Optional.empty();
        };
    }

    private static Optional<Id> id(String text) {
        try {
            return Optional.of(new Id(text));
        } catch (ImpossibleGeometryException e) {
            return Optional.empty();
        }
    }

    /** The instrument for a measuring task, if there is one. */
    static Optional<InstrumentKind> kind(MeasurementTask asked) {
        return switch (asked.what()) {
            case MeasurementTask.One o ->
                switch (o.gauge()) {
                    case Measurand.JointAngle _ -> Optional.of(InstrumentKind.ANGLE_FINDER);
                    case Measurand.LockAngle _ -> Optional.of(InstrumentKind.TURN_PLATES);
                    case Measurand.RimForce _ -> Optional.of(InstrumentKind.PULL_SCALE);
                    case Measurand.ShaftLength _,
                            Measurand.RodLength _,
                            Measurand.Gap _,
                            Measurand.TurnsTo _,
                            Measurand.GearOffCentre _,
                            Measurand.SpokesOffStraight _,
                            Measurand.RimPlay _,
                            Measurand.FreeReturn _ -> Optional.empty();
                };
            case MeasurementTask.Dot _ -> Optional.of(InstrumentKind.LASER);
            case MeasurementTask.Plates _ -> Optional.of(InstrumentKind.TURN_PLATES);
            case MeasurementTask.Dial _ -> Optional.of(InstrumentKind.DIAL);
        };
    }

    /** Where it is put for that. @param step of the turn of a shaft, 0 the first */
    static InstrumentPlacement of(MeasurementTask asked, int step) {
        return switch (asked.what()) {
            case MeasurementTask.One o ->
                switch (o.gauge()) {
                    case Measurand.JointAngle g -> new OnJoint(g.joint());
                    case Measurand.RimForce _ -> new AtRim();
                    case Measurand.LockAngle _,
                            Measurand.ShaftLength _,
                            Measurand.RodLength _,
                            Measurand.Gap _,
                            Measurand.TurnsTo _,
                            Measurand.GearOffCentre _,
                            Measurand.SpokesOffStraight _,
                            Measurand.RimPlay _,
                            Measurand.FreeReturn _ -> new UnderWheels();
                };
            case MeasurementTask.Dot d -> new OnWheel(d.wheel());
            case MeasurementTask.Plates _ -> new UnderWheels();
            case MeasurementTask.Dial d -> new OnShaft(d.shaft(), d.along(), 360.0 * step / d.steps());
        };
    }
}
