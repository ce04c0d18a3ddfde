package mildtilt.app.trial;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mildtilt.app.controls.Choices;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.TrialSheetChoice;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.job.Element;
import mildtilt.job.Names;
import mildtilt.job.Trial;
import mildtilt.steer.position.SteeringInput;
import mildtilt.trials.Measurand;
import mildtilt.trials.Setup;
import mildtilt.trials.TrialReading;
import mildtilt.trials.compare.AgainstPlan;
import mildtilt.trials.compare.MeasurementTask;
import mildtilt.trials.compare.MeasurementTask.Round;
import mildtilt.trials.instruments.InstrumentPlacement;
import mildtilt.trials.instruments.InstrumentReading;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;
import mildtilt.units.UnreadableMeasureException;

/**
 * What to measure next, readable from the vehicle: one figure large, few controls, the numbers from keyboard or
 * instrument.
 */
final class MeasurePane extends VBox {

    private static final PseudoClass SEVERAL = PseudoClass.getPseudoClass("several");

    private final Workbench bench;
    /** What parts are called in the trial at hand. */
    private Names names;

    private final TrialDesk desk;
    private final InstrumentLink link;
    private final ChoiceBox<Round> rounds = Choices.of(Round.class, Round::label, "trial-round", "What is measured");
    private final Label count = new Label();
    private final Label title = Wrap.text("", "trial-title");
    private final Label stands = Wrap.text("", "trial-stands");
    private final Label how = Wrap.text("", "hint");
    private final Label figure = new Label();
    private final Label planned = Wrap.text("", "trial-planned");
    private final FlowPane fields = new FlowPane(10, 6);
    private final Button take = new Button("Record");
    private final ToggleButton hold = new ToggleButton("Hold");
    private final Label state = Wrap.text(InstrumentLink.NONE, "hint");
    private final List<TextField> typed = new ArrayList<>();
    private final List<Double> dial = new ArrayList<>();
    /** Below 0 while it is not known what there is to measure. */
    private int index = -1;

    private Optional<ReadingEntry> entry = Optional.empty();
    private Optional<MeasurementTask> shown = Optional.empty();
    private SteeringInput hands = SteeringInput.STRAIGHT_AHEAD;
    private Optional<Element> selection = Optional.empty();

    MeasurePane(Workbench bench, TrialDesk desk, InstrumentLink link, Node instruments) {
        this.bench = bench;
        names = Names.of(bench.job());
        this.desk = desk;
        this.link = link;
        setId("trial-measure");
        getStyleClass().add("trial-measure");
        rounds.setValue(Round.LENGTHS);
        rounds.valueProperty().addListener((_, _, _) -> go(firstOpen()));
        figure.setId("trial-figure");
        figure.getStyleClass().add("trial-figure");
        figure.setMinWidth(0);
        title.setId("trial-asked");
        planned.setId("trial-planned");
        count.getStyleClass().add("hint");
        take.setId("trial-take");
        take.getStyleClass().addAll("take-remedy", "trial-button");
        take.setOnAction(_ -> take());
        take.setMinWidth(USE_PREF_SIZE);
        hold.setId("trial-hold");
        hold.getStyleClass().add("trial-button");
        hold.setOnAction(_ -> link.hold(hold.isSelected()));
        state.setId("trial-instrument");
        Region gap = new Region();
        VBox.setVgrow(gap, Priority.ALWAYS);
        HBox where = new HBox(10, rounds, count);
        where.setAlignment(Pos.CENTER_LEFT);
        HBox go = new HBox(
                10,
                take,
                hold,
                plain("Back", "trial-back", () -> go(index - 1)),
                plain("Skip", "trial-skip", () -> go(index + 1)),
                plain("Undo", "trial-undo", bench::undo));
        go.setAlignment(Pos.CENTER_LEFT);
        HBox from = new HBox(10, instruments, state);
        from.setAlignment(Pos.CENTER_LEFT);
        HBox.setHgrow(state, Priority.ALWAYS);
        fields.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(where, title, stands, how, figure, planned, gap, fields, go, from);
        link.stateProperty().addListener((_, _, s) -> state.setText(s));
        link.liveProperty().addListener((_, _, _) -> live());
        desk.resultProperty().addListener((_, _, _) -> refresh());
        bench.jobProperty().addListener((_, _, _) -> refresh());
        bench.lengthUnitProperty().addListener((_, _, _) -> {
            shown = Optional.empty();
            refresh();
        });
        desk.vehicleProperty().addListener((_, _, _) -> go(firstOpen()));
        desk.trialProperty().addListener((_, _, _) -> go(firstOpen()));
        bench.stageProperty().addListener((_, before, now) -> entered(before, now));
        bench.trialSheetProperty().addListener((_, _, _) -> watch());
        // Made when the stage is first entered: what was looked at till then is put back after.
        entered(WorkStage.COLUMN, bench.stageProperty().get());
        refresh();
    }

    /** The stage moves the steering and the selection to each task, and restores both when it is left. */
    private void entered(WorkStage before, WorkStage now) {
        if (now == WorkStage.TRIAL) {
            hands = bench.steeringInput();
            selection = bench.selectionProperty().get();
            refresh();
            entry.ifPresent(e -> look(e.task()));
        } else if (before == WorkStage.TRIAL) {
            bench.steerTo(hands);
            bench.selectionProperty().set(selection);
        }
        watch();
    }

    private static Button plain(String text, String id, Runnable run) {
        Button b = new Button(text);
        b.setId(id);
        b.getStyleClass().add("trial-button");
        b.setMinWidth(USE_PREF_SIZE);
        b.setOnAction(_ -> run.run());
        return b;
    }

    /** What there is to measure in this round, of the plan as it was at the trial. */
    private List<MeasurementTask> round() {
        return desk.result()
                .map(x -> x.asked().stream()
                        .filter(a -> a.round() == rounds.getValue())
                        .toList())
                .orElse(List.of());
    }

    private int firstOpen() {
        List<MeasurementTask> all = round();
        Optional<Trial> t = desk.trial();
        for (int i = 0; i < all.size(); i++) {
            if (t.isPresent() && !all.get(i).taken(t.get().sheet())) {
                return i;
            }
        }
        return 0;
    }

    private void go(int to) {
        index = Math.clamp(to, 0, Math.max(0, round().size() - 1));
        dial.clear();
        shown = Optional.empty();
        refresh();
    }

    private void refresh() {
        if (bench.stageProperty().get() != WorkStage.TRIAL) {
            return;
        }
        List<MeasurementTask> all = round();
        Optional<Trial> trial = desk.trial();
        if (trial.isEmpty() || all.isEmpty()) {
            entry = Optional.empty();
            shown = Optional.empty();
            index = -1;
            title.setText(
                    trial.isEmpty()
                            ? "Begin a trial to record readings."
                            : desk.result().isEmpty()
                                    ? "Working out what to measure …"
                                    : "This vehicle has nothing to measure here.");
            how.setText(
                    trial.isEmpty()
                            ? "A trial keeps what was changed, how the vehicle stood, every reading, and the plan as it is now."
                            : "");
            List.of(stands, figure, planned, count).forEach(l -> l.setText(""));
            fields.getChildren().setAll(trial.isEmpty() ? List.of(begin()) : List.of());
            typed.clear();
            nothingToTake(true);
            watch();
            return;
        }
        nothingToTake(false);
        index = index < 0 ? firstOpen() : Math.min(index, all.size() - 1);
        MeasurementTask a = all.get(index);
        names = desk.result().map(t -> t.figures().names()).orElseGet(() -> Names.of(bench.job()));
        long done = all.stream().filter(x -> x.taken(trial.get().sheet())).count();
        count.setText((index + 1) + " of " + all.size() + " · " + done + " read");
        if (!shown.equals(Optional.of(a))) {
            shown = Optional.of(a);
            entry = Optional.of(new ReadingEntry(a));
            ask(a);
            watch();
        }
        title.setText(a.title(names));
        stands.setText(stands(a).text(bench.lengthUnit()));
        how.setText(a.round().how());
        read(a, trial.get());
    }

    private Button begin() {
        return plain("Begin a trial", "trial-begin", desk::begin);
    }

    private void nothingToTake(boolean none) {
        take.setDisable(none);
        hold.setDisable(none);
    }

    /** How the vehicle stands for it, in words. */
    private Phrase stands(MeasurementTask a) {
        Setup s = a.setup();
        return switch (a.what()) {
            case MeasurementTask.Dot d ->
                d.travel() == 0
                        ? Phrase.of(
                                "At ride height: the mark itself. The wall stands {0} ahead.",
                                Quantity.length(s.wall()))
                        : Phrase.of(
                                "Hub {0} " + (d.travel() > 0 ? "up" : "down")
                                        + (d.rodOn() ? "." : ", held straight ahead by hand."),
                                Quantity.length(Math.abs(d.travel())));
            case MeasurementTask.Plates p ->
                Phrase.of(
                        "Turn " + Phrase.name(p.way().label()) + " until the inner plate says about {0}.",
                        Quantity.angle(p.inner()));
            case MeasurementTask.Dial d ->
                Phrase.of(
                        "{0} from its wheel end. Step " + (Math.min(dial.size(), d.steps() - 1) + 1) + " of "
                                + d.steps() + ": mark turned to {1}.",
                        Quantity.length(d.along()),
                        Quantity.angle(360.0 * Math.min(dial.size(), d.steps() - 1) / d.steps()));
            case MeasurementTask.One o
            when o.gauge() instanceof Measurand.RimForce
                    || o.gauge() instanceof Measurand.RimPlay
                    || o.gauge() instanceof Measurand.FreeReturn ->
                Phrase.of(s.onGround() ? "On its tyres, straight ahead." : "Raised, straight ahead.");
            case MeasurementTask.One _ ->
                s.steeringWheelDeg() == 0 && s.travelLeft() == 0 && s.travelRight() == 0
                        ? Phrase.of("Straight ahead, at ride height.")
                        : Phrase.of(
                                "Steering wheel at {0} to the " + (s.steeringWheelDeg() >= 0 ? "left" : "right")
                                        + ", left wheel {1} up, right wheel {2} up.",
                                Quantity.angle(Math.abs(s.steeringWheelDeg())),
                                Quantity.length(s.travelLeft()),
                                Quantity.length(s.travelRight()));
        };
    }

    private void ask(MeasurementTask a) {
        typed.clear();
        fields.getChildren().clear();
        ReadingEntry e = new ReadingEntry(a);
        for (int i = 0; i < e.parts().size(); i++) {
            TextField f = new TextField();
            f.setId("trial-typed-" + i);
            f.getStyleClass().add("trial-typed");
            f.setPromptText("type it");
            f.setOnAction(_ -> take());
            f.setAccessibleText(a.title(names) + " " + e.parts().get(i).name());
            typed.add(f);
            Label l = new Label(e.parts().get(i).name());
            l.getStyleClass().add("hint");
            fields.getChildren().add(e.parts().get(i).name().isEmpty() ? f : new VBox(1, l, f));
        }
        if (bench.stageProperty().get() == WorkStage.TRIAL) {
            look(a);
        }
    }

    /** The vehicle drawing shows the task. */
    private void look(MeasurementTask a) {
        bench.selectionProperty().set(a.where());
        bench.steerTo(new SteeringInput(
                a.setup().steeringWheelDeg(), a.setup().travelLeft(), a.setup().travelRight()));
    }

    /** The large figure: live from an instrument, else as it was read, else none yet. */
    private void read(MeasurementTask a, Trial trial) {
        ReadingEntry e = new ReadingEntry(a);
        Optional<TrialReading> taken = a.reading(trial.sheet());
        Optional<InstrumentReading> now = link.liveProperty().get();
        figure.pseudoClassStateChanged(SEVERAL, e.parts().size() > 1);
        figure.setText(now.map(t -> e.text(e.figures(t), bench.lengthUnit()))
                .or(() -> taken.map(r -> e.text(ReadingEntry.figures(r), bench.lengthUnit())))
                .orElse("–"));
        planned.setText(result(a, taken));
        hold.setSelected(now.map(InstrumentReading::held).orElse(false));
        hold.setText(hold.isSelected() ? "Held" : "Hold");
        hold.setDisable(now.isEmpty());
    }

    private String result(MeasurementTask a, Optional<TrialReading> taken) {
        StringBuilder s = new StringBuilder();
        planned.getStyleClass().removeAll("trial-out", "trial-fine");
        if (a.what() instanceof MeasurementTask.One o) {
            desk.result()
                    .flatMap(t -> AgainstPlan.planned(o.gauge(), t.figures().then()))
                    .ifPresent(p -> s.append("Planned ")
                            .append(new Quantity(p, o.gauge().unit()).text(bench.lengthUnit())));
            desk.result()
                    .flatMap(t -> t.figures().figures().stream()
                            .filter(f -> f.read().what().equals(o.gauge()))
                            .findFirst())
                    .filter(_ -> taken.isPresent())
                    .ifPresent(f -> {
                        s.append(s.isEmpty() ? "" : "  ·  ")
                                .append("read ")
                                .append(new Quantity(f.read().value(), o.gauge().unit()).text(bench.lengthUnit()))
                                .append(": ")
                                .append(f.state().label());
                        planned.getStyleClass()
                                .add(
                                        f.state() == AgainstPlan.State.OUT || f.state() == AgainstPlan.State.PAST_LIMIT
                                                ? "trial-out"
                                                : "trial-fine");
                    });
            return s.toString();
        }
        return taken.map(r -> "Read: " + new ReadingEntry(a).text(ReadingEntry.figures(r), bench.lengthUnit())
                        + (r instanceof TrialReading.RunOut ? " on the dial, most less least" : ""))
                .orElse("Not read yet");
    }

    private void live() {
        desk.trial().ifPresent(t -> shown.ifPresent(a -> read(a, t)));
    }

    private void watch() {
        boolean looked = bench.stageProperty().get() == WorkStage.TRIAL
                && bench.trialSheetProperty().get() == TrialSheetChoice.BENCH;
        link.watch(entry.filter(_ -> looked)
                .flatMap(e -> InstrumentPlacement.kind(e.task()).map(kind -> {
                    Setup s = e.task().setup();
                    return new InstrumentLink.Watch(
                            kind,
                            InstrumentPlacement.of(e.task(), dial.size()),
                            s,
                            e.rodOn().orElse(true));
                })));
    }

    /** Takes what is typed, or else what the instrument shows. */
    private void take() {
        if (entry.isEmpty()) {
            return;
        }
        ReadingEntry e = entry.get();
        boolean any = typed.stream().anyMatch(f -> !f.getText().isBlank());
        Optional<InstrumentReading> now = link.liveProperty().get();
        if (!any && now.isEmpty()) {
            bench.refuse("Nothing to record: type the reading, or connect an instrument.");
            return;
        }
        try {
            List<Double> figures = any ? typed(e) : e.figures(now.orElseThrow());
            double spread = any ? e.usualSpread() : now.orElseThrow().spread();
            String by = any ? TrialReading.TYPED : now.orElseThrow().kind().label();
            if (e.steps() > 1) {
                dial.add(figures.getFirst());
                if (dial.size() < e.steps()) {
                    typed.forEach(TextField::clear);
                    link.hold(false);
                    refresh();
                    watch();
                    return;
                }
                figures = List.copyOf(dial);
            }
            TrialReading r = e.reading(figures, spread, by);
            if (desk.take("Read: " + e.task().title(names), r)) {
                link.hold(false);
                go(index + 1);
                typed.stream().findFirst().ifPresent(Node::requestFocus);
            } else {
                dial.clear();
            }
        } catch (UnreadableMeasureException | ImpossibleGeometryException x) {
            bench.refuse(Objects.requireNonNull(x.getMessage()));
        }
    }

    private List<Double> typed(ReadingEntry e) {
        List<Double> all = new ArrayList<>();
        for (int i = 0; i < typed.size(); i++) {
            if (!typed.get(i).getText().isBlank() || e.parts().get(i).needed()) {
                all.add(ReadingEntry.parse(e.parts().get(i), typed.get(i).getText(), bench.lengthUnit()));
            }
        }
        return all;
    }

    /** Where readings come from. */
    static MenuButton sources(List<MenuItem> items) {
        MenuButton m = new MenuButton("Instruments");
        m.setId("trial-sources");
        m.getItems().addAll(items);
        m.setMinWidth(USE_PREF_SIZE);
        return m;
    }
}
