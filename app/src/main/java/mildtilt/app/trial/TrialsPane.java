package mildtilt.app.trial;

import java.nio.file.Files;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import mildtilt.app.controls.WordField;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.AnalysisUpdate;
import mildtilt.app.workbench.Workbench;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Side;
import mildtilt.id.Id;
import mildtilt.io.jobfile.PhotoFile;
import mildtilt.job.BuiltVehicle;
import mildtilt.job.Job;
import mildtilt.job.Trial;
import mildtilt.trials.Measurand;
import mildtilt.trials.Setup;
import mildtilt.trials.Tolerances;
import mildtilt.trials.TrialReading;
import mildtilt.trials.TrialSheet;
import mildtilt.trials.compare.TrialTables;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * The vehicles of the batch and their trials: what was changed, how it stood, what was read against the plan, photos,
 * remarks.
 */
final class TrialsPane extends TrialPane {

    private final Runnable addPhoto;

    TrialsPane(Workbench bench, TrialDesk desk, Runnable addPhoto) {
        super(bench, desk, "trial-list");
        this.addPhoto = addPhoto;
        refresh();
    }

    @Override
    protected Optional<String> missing(AnalysisUpdate worked) {
        return Optional.empty();
    }

    @Override
    protected void show(AnalysisUpdate worked) {
        title(
                "Trials",
                "Tack, cycle, measure, write down. A trial keeps what was changed, how the vehicle stood, every reading, and the plan as it was then.");
        vehicles();
        desk.trial().ifPresent(t -> {
            head(t.sheet().name());
            words(t);
            setup(t);
            desk.result().ifPresent(d -> show(t, d));
            photos(t);
        });
    }

    private void vehicles() {
        BuiltVehicle v = desk.vehicle();
        WordField another = new WordField("", t -> {
            if (!t.isBlank()) {
                Id id = bench.job().log().nextId();
                if (bench.edit("Another vehicle: " + t.strip(), j -> j.editLog(l -> l.with(t.strip())))) {
                    bench.job().log().vehicle(id).ifPresent(desk::choose);
                }
            }
        });
        another.setId("trial-another");
        another.setPromptText("name of another");
        another.setPrefWidth(130);
        WordField name = new WordField(v.name(), t -> rename(v, t.strip()));
        name.setId("trial-vehicle-name");
        name.setPrefWidth(130);
        row(
                named(
                        "Vehicle of the batch",
                        choiceBox(
                                "trial-vehicle",
                                bench.job().log().vehicles(),
                                Optional.of(v),
                                BuiltVehicle::name,
                                b -> {
                                    if (!b.id().equals(desk.vehicle().id())) {
                                        desk.choose(b);
                                        showAgain();
                                    }
                                })),
                named("Called", name),
                named("Add to the batch", another),
                named("Trial", choiceBox("trial-choice", v.trials(), desk.trial(), Trial::name, t -> {
                    desk.trialProperty().set(Optional.of(t.id()));
                    showAgain();
                })),
                named(" ", small("Begin a trial", "trial-begin-trial", desk::begin)));
    }

    private void rename(BuiltVehicle v, String to) {
        if (!to.isEmpty()) {
            bench.edit("Call " + v.name() + " " + to, j -> j.editLog(l -> l.edit(v.id(), b -> b.withName(to))));
        }
    }

    private void words(Trial t) {
        TrialSheet s = t.sheet();
        WordField name = new WordField(s.name(), x -> {
            if (!x.isBlank()) {
                desk.editTrial("Call it " + x.strip(), y -> y.withName(x.strip()));
            }
        });
        name.setId("trial-name");
        name.setPrefWidth(150);
        row(
                named("Called", name),
                field("By", "trial-by", s.by(), 110, (x, v) -> x.withWords(v, x.changed(), x.remarks())),
                field(
                        "Changed since the one before",
                        "trial-changed",
                        s.changed(),
                        300,
                        (x, v) -> x.withWords(x.by(), v, x.remarks())),
                named(
                        " ",
                        small(
                                "Delete the trial",
                                "trial-out-trial",
                                () -> desk.edit("Take out " + s.name(), b -> b.withoutTrial(t.id())))));
        row(field("Remarks", "trial-remarks", s.remarks(), 620, (x, v) -> x.withWords(x.by(), x.changed(), v)));
    }

    private interface Said {
        TrialSheet with(TrialSheet s, String text);
    }

    private Node field(String label, String id, String value, double width, Said said) {
        WordField f = new WordField(
                value, t -> desk.editTrial(label + (t.isBlank() ? " cleared" : ": " + t), s -> said.with(s, t)));
        f.setId(id);
        f.setPrefWidth(width);
        return named(label, f);
    }

    private void setup(Trial t) {
        Setup s = t.sheet().setup();
        Id id = t.id();
        row(
                tick(
                        "On its tyres",
                        "trial-ground",
                        s.onGround(),
                        on -> desk.editTrial(
                                on ? "On its tyres" : "Raised",
                                x -> x.withSetup(x.setup().withOnGround(on)))),
                tick(
                        "Springs off",
                        "trial-springs",
                        s.springsOff(),
                        on -> desk.editTrial(
                                on ? "Springs off" : "Springs on",
                                x -> x.withSetup(x.setup().withOff(on, x.setup().stopsOff())))),
                tick(
                        "Bump stops off",
                        "trial-stops",
                        s.stopsOff(),
                        on -> desk.editTrial(
                                on ? "Stops off" : "Stops on",
                                x -> x.withSetup(x.setup().withOff(x.setup().springsOff(), on)))),
                length("Wall ahead of the wheels", "trial-wall", s.wall(), (j, v) -> at(j, id, u -> u.withWall(v))),
                angle(
                        "Steering wheel at",
                        "trial-steering",
                        s.steeringWheelDeg(),
                        (j, v) -> at(j, id, u -> u.at(v, u.travelLeft(), u.travelRight()))),
                length(
                        "Left wheel up",
                        "trial-travel-left",
                        s.travelLeft(),
                        (j, v) -> at(j, id, u -> u.at(u.steeringWheelDeg(), v, u.travelRight()))),
                length(
                        "Right wheel up",
                        "trial-travel-right",
                        s.travelRight(),
                        (j, v) -> at(j, id, u -> u.at(u.steeringWheelDeg(), u.travelLeft(), v))));
    }

    private Job at(Job j, Id trial, UnaryOperator<Setup> edit) {
        return j.editLog(l -> l.edit(
                desk.vehicle().id(), b -> b.editTrial(trial, t -> t.edit(s -> s.withSetup(edit.apply(s.setup()))))));
    }

    private static Node tick(String label, String id, boolean on, Consumer<Boolean> take) {
        CheckBox c = new CheckBox(label);
        c.setId(id);
        c.setSelected(on);
        c.setOnAction(_ -> take.accept(c.isSelected()));
        return named(" ", c);
    }

    @Override
    protected void show(Trial t, TrialDesk.TrialResult result) {
        if (result.figures().trial().sheet().readings().isEmpty()) {
            hint("Nothing is read yet: go to the sheet \"Measure\".");
            return;
        }
        long out = result.figures().out();
        head("Planned against measured");
        if (!result.figures().figures().isEmpty()) {
            say(
                    out == 0
                            ? "No figure is out of its tolerance."
                            : out + (out == 1 ? " figure is" : " figures are") + " not as planned.");
            table(
                    TrialTables.figures(desk.vehicle().name(), result.figures()),
                    "what+state",
                    "planned",
                    "read",
                    "off",
                    "tolerance",
                    "by");
        }
        lockToLock(t);
        tolerances();
        result.figures()
                .traces()
                .forEach(x -> say(
                        "Wall trace of the " + x.wheel().label()
                                + " wheel: {0} of toe over what was read, at most {1} from the plan.",
                        Quantity.angle(x.peakToPeak(-1e4, 1e4).orElse(0.0)),
                        Quantity.angle(x.worstOff())));
        result.figures().plates().stream()
                .flatMap(r -> r.off().stream())
                .mapToDouble(Math::abs)
                .max()
                .ifPresent(v -> say("Turn plates: the outer wheel at most {0} from the plan.", Quantity.angle(v)));
        result.figures()
                .runOuts()
                .forEach(r -> say(Phrase.name(result.figures().names().apply(r.shaft())) + ": "
                        + r.verdict().label() + "."));
        result.cause().ifPresent(d -> hint("The sheet \"Diagnosis\" shows likely causes."));
    }

    /** Both turns together, and whether the gear stands in the middle of its travel when the wheels are straight. */
    private void lockToLock(Trial t) {
        Optional<Double> left = turns(t, Side.LEFT);
        Optional<Double> right = turns(t, Side.RIGHT);
        if (left.isPresent() && right.isPresent()) {
            double apart = left.get() - right.get();
            say(
                    "Lock to lock {0}; "
                            + (Math.abs(apart) < 0.05
                                    ? "as far one way as the other."
                                    : "{1} further to the " + (apart > 0 ? "left" : "right")
                                            + ": gear and road wheels are not straight ahead together, or the stops differ."),
                    Quantity.turns(left.get() + right.get()),
                    Quantity.turns(Math.abs(apart)));
        }
    }

    private static Optional<Double> turns(Trial t, Side way) {
        return t.sheet().figures().stream()
                .filter(f -> f.what().equals(new Measurand.TurnsTo(way)))
                .map(TrialReading.Figure::value)
                .findFirst();
    }

    private void tolerances() {
        hint("How far a reading may differ before it counts as out of tolerance. Set your own.");
        row(Arrays.stream(Tolerances.Kind.values()).map(this::tolerance).toArray(Node[]::new));
    }

    private Node tolerance(Tolerances.Kind k) {
        String id = "tol-" + k.name().toLowerCase(Locale.ROOT).replaceAll("_.*", "");
        double now = bench.job().log().tolerances().of(k);
        BiFunction<Job, Double, Job> set =
                (j, v) -> j.editLog(l -> l.withTolerances(l.tolerances().with(k, v)));
        return switch (k.unit()) {
            case LENGTH -> length(k.label(), id, now, set);
            case ANGLE -> angle(k.label(), id, now, set);
            default -> number(k.label(), id, now, set);
        };
    }

    private void photos(Trial t) {
        head("Photos");
        FlowPane shots = new FlowPane(10, 6);
        for (String p : t.sheet().photos()) {
            VBox one = new VBox(2);
            bench.fileProperty()
                    .get()
                    .map(f -> PhotoFile.beside(f, p))
                    .filter(Files::isRegularFile)
                    .ifPresentOrElse(
                            f -> {
                                ImageView v =
                                        new ImageView(new Image(f.toUri().toString(), 160, 110, true, true, true));
                                v.setAccessibleText("Photo " + p);
                                one.getChildren().add(v);
                            },
                            () -> one.getChildren().add(Wrap.text("Not there: " + p, "brings")));
            one.getChildren()
                    .addAll(
                            new Label(p),
                            small(
                                    "Delete",
                                    "trial-photo-out-" + p.replaceAll("[^a-zA-Z0-9]", "-"),
                                    () -> desk.editTrial("Take out a photo", s -> {
                                        List<String> left = new ArrayList<>(s.photos());
                                        left.remove(p);
                                        return s.withPhotos(left);
                                    })));
            shots.getChildren().add(one);
        }
        if (!shots.getChildren().isEmpty()) {
            add(shots);
        }
        row(small("Add a photo…", "trial-add-photo", addPhoto));
        hint("Photos are copied beside the job, into the folder \"" + PhotoFile.FOLDER + "\", and named from there.");
    }

    /** Adds a photo, already copied into the job's folder, to the current trial. */
    static void added(TrialDesk desk, String name) throws ImpossibleGeometryException {
        desk.editTrial("Add a photo", s -> {
            List<String> all = new ArrayList<>(s.photos());
            all.add(name);
            return s.withPhotos(all);
        });
    }
}
