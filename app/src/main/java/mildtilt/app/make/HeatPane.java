package mildtilt.app.make;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.TextField;
import mildtilt.app.controls.WordField;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.Workbench;
import mildtilt.build.WeldRecord;
import mildtilt.build.WeldRecord.Moment;
import mildtilt.build.WeldRecord.Reading;
import mildtilt.build.WeldedMetal;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.job.Job;
import mildtilt.report.Papers;
import mildtilt.runsheet.Cautions;
import mildtilt.runsheet.HeatVerdict;
import mildtilt.units.LengthText;
import mildtilt.units.Phrase;
import mildtilt.units.UnreadableMeasureException;

/** Welding and heat: what was wanted, what was read, who signed. */
final class HeatPane extends MakePane {

    HeatPane(Workbench bench, PapersDesk desk) {
        super(bench, desk, "make-heat");
        refresh();
    }

    @Override
    protected void show(Papers p) {
        title(
                "Welding and heat",
                "For cast and forged knuckles and arms above all. The temperatures are those commonly kept for a metal; the welder's own tested procedure comes before them. All in °C.");
        List<WeldRecord> welds = p.analysis().job().making().welds();
        for (int i = 0; i < welds.size(); i++) {
            record(i, welds.get(i), p.heat().get(i));
        }
        WordField add = new WordField("", t -> {
            if (!t.isBlank()) {
                make("Heat record of " + t.strip(), m -> m.withWeld(t.strip(), WeldedMetal.UNKNOWN));
            }
        });
        add.setId("heat-add");
        add.setPromptText("which knuckle, arm or shaft");
        add.setPrefWidth(240);
        row(named("Begin a record for", add));
        head("Cautions");
        for (String c : List.of(
                Cautions.QUALIFIED, Cautions.CURRENT, Cautions.HEAT, Cautions.SEALED, Cautions.ZINC, Cautions.DISCS)) {
            say(c);
        }
    }

    private static Job edit(Job j, int i, UnaryOperator<WeldRecord> edit) {
        return j.editMaking(m -> m.editWeld(i, edit));
    }

    private void record(int i, WeldRecord w, HeatVerdict judged) {
        head(w.piece());
        row(
                choice(
                        "Metal",
                        "heat-metal-" + i,
                        List.of(WeldedMetal.values()),
                        w.metal(),
                        WeldedMetal::label,
                        (j, v) -> edit(j, i, x -> x.withMetal(v))),
                number(
                        "Preheat, °C",
                        "heat-pre-" + i,
                        w.preheat(),
                        (j, v) -> edit(j, i, x -> x.withWanted(v, x.mostBetween(), x.coolPerHour()))),
                number(
                        "Most between runs, °C",
                        "heat-most-" + i,
                        w.mostBetween(),
                        (j, v) -> edit(j, i, x -> x.withWanted(x.preheat(), v, x.coolPerHour()))),
                number(
                        "Cooling, °C an hour at most",
                        "heat-cool-" + i,
                        w.coolPerHour(),
                        (j, v) -> edit(j, i, x -> x.withWanted(x.preheat(), x.mostBetween(), v))),
                words(
                        "Wire or rod",
                        "heat-filler-" + i,
                        w.filler(),
                        160,
                        (j, t) -> edit(j, i, x -> x.withWords(t, x.weldedBy(), x.inspectedBy()))),
                words(
                        "Welded by",
                        "heat-by-" + i,
                        w.weldedBy(),
                        160,
                        (j, t) -> edit(j, i, x -> x.withWords(x.filler(), t, x.inspectedBy()))),
                words(
                        "Inspected by, and how",
                        "heat-inspected-" + i,
                        w.inspectedBy(),
                        200,
                        (j, t) -> edit(j, i, x -> x.withWords(x.filler(), x.weldedBy(), t))),
                day("Day", "heat-day-" + i, w.day(), (j, d) -> edit(j, i, x -> x.withDay(d))));
        if (judged.wrong().isEmpty()) {
            say("Everything as wanted. That is a record, not an approval: have the weld inspected.");
        }
        for (Phrase x : judged.wrong()) {
            add(Wrap.text("! " + x.text(bench.lengthUnit()), "brings"));
        }
        judged.fastestCooling()
                .ifPresent(c -> hint("Fastest cooling between two readings: " + Math.round(c) + " °C an hour."));
        if (w.readings().size() > 1) {
            add(new HeatDrawing(w));
        }
        reading(i, w);
        if (!w.readings().isEmpty()) {
            hint("Read: "
                    + String.join(
                            ", ",
                            w.readings().stream()
                                    .map(r -> LengthText.trimmed(r.minutes(), 0) + " min "
                                            + LengthText.trimmed(r.celsius(), 0) + "°")
                                    .toList()));
        }
    }

    private void reading(int i, WeldRecord w) {
        TextField minutes = new TextField(LengthText.trimmed(
                w.readings().isEmpty() ? 0 : w.readings().getLast().minutes() + 10, 0));
        minutes.setId("heat-minutes-" + i);
        minutes.getStyleClass().add("measure-field");
        TextField celsius = new TextField();
        celsius.setId("heat-celsius-" + i);
        celsius.getStyleClass().add("measure-field");
        ChoiceBox<Moment> moment = choiceBox(
                "heat-moment-" + i,
                List.of(Moment.values()),
                Optional.of(
                        w.readings().isEmpty()
                                ? Moment.PREHEAT
                                : w.readings().getLast().moment()),
                Moment::label,
                _ -> {});
        Runnable take = () -> {
            try {
                double at = LengthText.parseNumber(minutes.getText());
                double c = LengthText.parseNumber(celsius.getText());
                make(
                        "Reading of " + w.piece() + ": " + LengthText.trimmed(c, 0) + " °C",
                        m -> m.editWeld(i, x -> x.withReading(new Reading(at, c, moment.getValue()))));
            } catch (UnreadableMeasureException | ImpossibleGeometryException e) {
                bench.refuse(Objects.requireNonNull(e.getMessage()));
            }
        };
        celsius.setOnAction(_ -> take.run());
        row(
                named("Minutes from the beginning", minutes),
                named("Read, °C", celsius),
                named("While", moment),
                named(" ", small("Record", "heat-take-" + i, take)),
                named(
                        " ",
                        small(
                                "Delete the last",
                                "heat-drop-" + i,
                                () -> make(
                                        "Delete the last reading of " + w.piece(),
                                        m -> m.editWeld(
                                                i,
                                                x -> x.withReadings(
                                                        x.readings()
                                                                .subList(
                                                                        0,
                                                                        Math.max(
                                                                                0,
                                                                                x.readings()
                                                                                                .size()
                                                                                        - 1))))))),
                named(
                        " ",
                        small(
                                "Delete the record",
                                "heat-out-" + i,
                                () -> make("Take out the record of " + w.piece(), m -> {
                                    List<WeldRecord> left = new ArrayList<>(m.welds());
                                    left.remove(i);
                                    return m.withWelds(left);
                                }))));
    }
}
