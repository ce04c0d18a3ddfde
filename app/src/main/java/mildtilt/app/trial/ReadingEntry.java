package mildtilt.app.trial;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Side;
import mildtilt.trials.Measurand;
import mildtilt.trials.TrialReading;
import mildtilt.trials.compare.MeasurementTask;
import mildtilt.trials.instruments.InstrumentReading;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;
import mildtilt.units.Quantity;
import mildtilt.units.Unit;
import mildtilt.units.UnreadableMeasureException;

/** The entry for one measuring task: its figures, how they are shown, and the reading they make. */
record ReadingEntry(MeasurementTask task) {

    /** @param name what the figure is called; empty where there is one only */
    record Part(String name, Unit unit, boolean needed) {}

    List<Part> parts() {
        return switch (task.what()) {
            case MeasurementTask.One o -> List.of(new Part("", o.gauge().unit(), true));
            case MeasurementTask.Dot _ ->
                List.of(
                        new Part("to the left (− to the right)", Unit.LENGTH, true),
                        new Part("up (− down), if read", Unit.LENGTH, false));
            case MeasurementTask.Plates p ->
                List.of(
                        new Part("inner, " + p.way().label() + " wheel", Unit.ANGLE, true),
                        new Part("outer, " + p.way().other().label() + " wheel", Unit.ANGLE, true));
            case MeasurementTask.Dial _ -> List.of(new Part("", Unit.FINE_LENGTH, true));
        };
    }

    /** ± where nothing says otherwise. */
    double usualSpread() {
        return switch (task.what()) {
            case MeasurementTask.One o -> o.gauge().usualSpread();
            case MeasurementTask.Dot _ -> 1;
            case MeasurementTask.Plates _ -> 0.25;
            case MeasurementTask.Dial _ -> 0.01;
        };
    }

    /** What an instrument shows as the figures of this. */
    List<Double> figures(InstrumentReading t) {
        return switch (task.what()) {
            case MeasurementTask.One o ->
                switch (o.gauge()) {
                    case Measurand.LockAngle g ->
                        List.of(g.way().sign() * t.values().get(g.wheel() == Side.LEFT ? 0 : 1));
                    default -> List.of(t.values().getFirst());
                };
            case MeasurementTask.Dot _ -> t.values();
            case MeasurementTask.Plates p -> {
                double left = p.way().sign() * t.values().get(0);
                double right = p.way().sign() * t.values().get(1);
                yield p.way() == Side.LEFT ? List.of(left, right) : List.of(right, left);
            }
            case MeasurementTask.Dial _ -> List.of(t.values().getFirst());
        };
    }

    /** @throws UnreadableMeasureException naming what can't be read */
    static double parse(Part part, String text, LengthUnit lengths) {
        return switch (part.unit) {
            case LENGTH, FINE_LENGTH -> LengthText.parse(text, lengths);
            case ANGLE -> LengthText.parseDegrees(text);
            // As it is shown, so it is typed.
            case FORCE -> LengthText.parseNumber(text) * (lengths == LengthUnit.MM ? 1 : Unit.NEWTON_PER_POUND);
            default -> LengthText.parseNumber(text);
        };
    }

    String text(List<Double> figures, LengthUnit lengths) {
        List<String> all = new ArrayList<>();
        List<Part> parts = parts();
        for (int i = 0; i < Math.min(parts.size(), figures.size()); i++) {
            all.add(new Quantity(figures.get(i), parts.get(i).unit).text(lengths));
        }
        return String.join("  /  ", all);
    }

    /** @param figures one a part, the last ones left out where they need not be; for a dial one a step */
    TrialReading reading(List<Double> figures, double spread, String by) {
        return switch (task.what()) {
            case MeasurementTask.One o -> new TrialReading.Figure(o.gauge(), figures.getFirst(), spread, by);
            case MeasurementTask.Dot d ->
                new TrialReading.WallDot(
                        d.wheel(),
                        d.rodOn(),
                        d.travel(),
                        figures.getFirst(),
                        figures.size() > 1 ? figures.get(1) : 0,
                        spread,
                        by);
            case MeasurementTask.Plates p ->
                new TrialReading.PlatePair(p.way(), figures.get(0), figures.get(1), spread, by);
            case MeasurementTask.Dial d -> new TrialReading.RunOut(d.shaft(), d.along(), figures, spread, by);
        };
    }

    /** The figures of one that was read. */
    static List<Double> figures(TrialReading r) {
        return switch (r) {
            case TrialReading.Figure f -> List.of(f.value());
            case TrialReading.WallDot d -> List.of(d.left(), d.up());
            case TrialReading.PlatePair p -> List.of(p.inner(), p.outer());
            case TrialReading.RunOut o ->
                List.of(o.dial().stream().mapToDouble(Double::doubleValue).max().orElse(0)
                        - o.dial().stream()
                                .mapToDouble(Double::doubleValue)
                                .min()
                                .orElse(0));
        };
    }

    /** How many times it is read before it is one reading. */
    int steps() {
        return task.what() instanceof MeasurementTask.Dial d ? d.steps() : 1;
    }

    Optional<Boolean> rodOn() {
        return task.what() instanceof MeasurementTask.Dot d ? Optional.of(d.rodOn()) : Optional.empty();
    }
}
