package mildtilt.app.survey;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import mildtilt.app.controls.WordField;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.AnalysisUpdate;
import mildtilt.app.workbench.Workbench;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.Names;
import mildtilt.job.PointId;
import mildtilt.survey.Reading;
import mildtilt.survey.SideDifference;
import mildtilt.survey.Survey;
import mildtilt.survey.SurveyPoint;
import mildtilt.survey.Surveyed;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** Every measured point with its readings, where that puts it, how sure it is, and which reading looks wrong. */
public final class SurveyPane extends ReadingPane {

    /** A tape read with care, an angle finder, and a phone on a shaft, ± one standard deviation. */
    private static final double TAPE = 1.5;

    private static final double ANGLE = 0.3;
    private static final double PHONE = 0.2;

    private final Runnable takeCsv;
    private final SurveyDesk desk;
    private Optional<Id> open = Optional.empty();
    private Names names;

    /** @param takeCsv asks for a CSV of points and takes them */
    public SurveyPane(Workbench bench, SurveyDesk desk, Runnable takeCsv) {
        super(bench, "survey-pane");
        this.desk = desk;
        this.takeCsv = takeCsv;
        names = Names.of(bench.job());
        desk.settledProperty().addListener((_, _, _) -> refresh());
        desk.endsProperty().addListener((_, _, _) -> refresh());
        refresh();
    }

    @Override
    protected Optional<String> missing(AnalysisUpdate worked) {
        return Optional.empty();
    }

    @Override
    protected Object basis(AnalysisUpdate worked) {
        return List.of(
                new SameOnly(bench.job()),
                desk.settledProperty().get().map(SameOnly::new),
                desk.endsProperty().get());
    }

    private void change(String what, UnaryOperator<Survey> edit) {
        bench.edit(what, j -> j.editSurvey(edit));
    }

    @Override
    protected void show(AnalysisUpdate worked) {
        Job job = bench.job();
        Survey survey = job.survey();
        names = Names.of(job);
        hint(
                "Give each point what you can measure: a plumb bob to the floor grid and a height, tapes from three marks or more, an angle finder, a mirror of the other side. More readings than needed are "
                        + "weighed against each other. ± is what two readings in three are within.");
        adding(job);
        Optional<Surveyed> s = desk.surveyed();
        s.ifPresent(this::summary);
        Map<Id, PointId> points = JobPoints.byId(job);
        for (SurveyPoint p : survey.points()) {
            point(job, p, s, Optional.ofNullable(points.get(p.id())));
        }
        s.ifPresent(x -> between(x, desk, names));
        s.ifPresent(this::skew);
    }

    private void adding(Job job) {
        List<Id> left = JobPoints.byId(job).keySet().stream()
                .filter(id -> job.survey().point(id).isEmpty())
                .sorted(Comparator.comparing(names))
                .toList();
        WordField own = new WordField("", t -> {
            if (!t.isBlank()) {
                add(
                        JobPoints.idsByLabel(job)
                                .getOrDefault(t.strip(), job.survey().nextMark()),
                        t.strip());
            }
        });
        own.setId("survey-add-mark");
        own.setPromptText("mark A on the floor");
        own.setPrefWidth(130);
        row(
                named(
                        "A point of the job",
                        choiceBox("survey-add", left, Optional.empty(), names, id -> add(id, names.apply(id)))),
                named("or a mark of its own", own),
                named(" ", small("Import points…", "survey-csv", takeCsv)));
    }

    /** A point to be measured; one that is measured already is opened. */
    private void add(Id id, String name) {
        open = Optional.of(id);
        if (bench.job().survey().point(id).isPresent()) {
            showAgain();
        } else {
            change("Measure " + name, x -> x.with(new SurveyPoint(id, name, List.of())));
        }
    }

    private void summary(Surveyed s) {
        if (s.places().isEmpty() && s.open().isEmpty()) {
            return;
        }
        say(s.places().size() + (s.places().size() == 1 ? " point is" : " points are") + " settled, with " + s.spare()
                + (s.spare() == 1 ? " reading" : " readings") + " to spare."
                + (s.spare() == 0 ? " Nothing is checked yet: one misread tape would not show." : ""));
        s.worst().ifPresentOrElse(t -> add(Wrap.text("! " + words(t), "brings")), () -> {
            if (s.spare() > 0) {
                hint("No reading looks wrong.");
            }
        });
    }

    private String words(Surveyed.ReadingCheck t) {
        return names.apply(t.point()) + ", " + t.reading().label(names) + ", looks wrong: misread by about "
                + text(new Quantity(t.misread(), t.reading().unit()))
                + " if the others are right, " + LengthText.decimal(t.times(), 0) + " times what its ± lets expect.";
    }

    /** For the ids of a point's controls. */
    private static String key(SurveyPoint p) {
        return p.id().text().replaceAll("[._]", "-");
    }

    private void point(Job job, SurveyPoint p, Optional<Surveyed> s, Optional<PointId> id) {
        String key = key(p);
        Button title = new Button(names.apply(p.id()));
        title.setId("survey-point-" + key);
        title.getStyleClass().add("step-title");
        title.setMaxWidth(Double.MAX_VALUE);
        title.setAlignment(Pos.CENTER_LEFT);
        title.setWrapText(true);
        title.setOnAction(_ -> {
            open = isOpen(p) ? Optional.empty() : Optional.of(p.id());
            showAgain();
        });
        HBox.setHgrow(title, Priority.ALWAYS);
        HBox row = new HBox(6, title);
        row.getStyleClass().add("obstacle-row");
        add(row);
        Optional<Surveyed.Place> place = s.map(x -> x.places().get(p.id()));
        place.ifPresent(this::where);
        s.map(x -> x.open().get(p.id())).ifPresent(why -> add(Wrap.text(why, "brings")));
        if (place.isPresent() && id.isPresent()) {
            Point plan = JobPoints.position(job, id.get());
            double off = plan.distanceTo(place.get().at());
            if (off > 0.05) {
                Point to = place.get().at();
                Button put = small(
                        "Put it there",
                        "survey-put-" + key,
                        () -> bench.edit(
                                "Put " + names.apply(p.id()) + " where it was measured",
                                "It was surveyed there.",
                                j -> JobPoints.moved(j, id.get(), to)));
                put.getStyleClass().add("take-remedy");
                Label far = Wrap.text(
                        Phrase.of("{0} from where the plan has it", Quantity.length(off))
                                .text(bench.lengthUnit()),
                        "hint");
                HBox.setHgrow(far, Priority.ALWAYS);
                far.setMaxWidth(Double.MAX_VALUE);
                add(new HBox(8, far, put));
            } else {
                hint("The plan has it there.");
            }
        }
        if (isOpen(p)) {
            for (int i = 0; i < p.readings().size(); i++) {
                reading(job, p, i, s);
            }
            addReading(job, p);
        }
    }

    private void reading(Job job, SurveyPoint p, int i, Optional<Surveyed> s) {
        String id = key(p) + "-" + i;
        Reading r = p.readings().get(i);
        List<Node> fields = new ArrayList<>(readingFields(job, p, i, id, names));
        fields.add(named(
                " ",
                small(
                        "×",
                        "survey-drop-" + id,
                        () -> change(
                                "Delete a reading of " + names.apply(p.id()),
                                x -> x.edit(p.id(), q -> q.without(i))))));
        hint(capital(r.label(names))
                + s.flatMap(x -> x.checks().stream()
                                .filter(t -> t.point().equals(p.id()) && t.index() == i)
                                .findFirst())
                        .map(t -> !t.checked()
                                ? ": nothing checks it"
                                : ": off by " + text(new Quantity(t.off(), r.unit())))
                        .orElse(""));
        row(fields.toArray(Node[]::new));
        if (r instanceof Reading.PhoneSlope phone) {
            phone(p, i, id, phone);
        }
    }

    /** A phone that is read over a port need not be typed off. */
    private void phone(SurveyPoint p, int i, String id, Reading.PhoneSlope r) {
        WordField port = new WordField(Integer.toString(desk.phonePortProperty().get()), t -> {
            if (t.strip().matches("\\d{1,5}")
                    && Integer.parseInt(t.strip()) >= 1
                    && Integer.parseInt(t.strip()) <= 65_535) {
                desk.phonePortProperty().set(Integer.parseInt(t.strip()));
            } else {
                bench.refuse("A port is a whole number from 1 to 65535, not \"" + t + "\".");
            }
        });
        port.setId("survey-phone-port-" + id);
        port.setPrefWidth(70);
        row(
                named("On port", port),
                named(" ", small("Read it", "survey-phone-" + id, () -> desk.readPhone(p.id(), i, r, false))),
                named(
                        " ",
                        small(
                                "Read it turned",
                                "survey-phone-turned-" + id,
                                () -> desk.readPhone(p.id(), i, r, true))));
    }

    private boolean isOpen(SurveyPoint p) {
        return open.filter(p.id()::equals).isPresent();
    }

    private static String capital(String text) {
        return Character.toUpperCase(text.charAt(0)) + text.substring(1);
    }

    private void addReading(Job job, SurveyPoint p) {
        List<Id> others = others(job, p);
        MenuButton add = new MenuButton("Add a reading");
        add.setId("survey-read-" + key(p));
        add.getItems()
                .addAll(
                        item(p, "Plumb bob to the floor grid", "plumb", new Reading.Plumb(0, 0, TAPE)),
                        item(p, "Height above the floor", "height", new Reading.Height(300, TAPE)));
        if (!job.survey().photographs().isEmpty()) {
            add.getItems().add(item(p, "Above the plane of the sheet", "above-sheet", new Reading.AboveSheet(0, TAPE)));
        }
        job.survey().photographs().stream()
                .filter(q -> q.rectangle().isPresent())
                .findFirst()
                .ifPresent(q -> add.getItems()
                        .add(item(
                                p,
                                "In the plane of a photograph's rectangle",
                                "in-plane",
                                new Reading.InPlane(q.id(), 0, TAPE))));
        if (!others.isEmpty()) {
            Id first = others.getFirst();
            add.getItems()
                    .addAll(
                            item(p, "Tape from another point", "tape", new Reading.Tape(first, 500, TAPE)),
                            item(
                                    p,
                                    "Angle finder and plan angle from another point",
                                    "slope",
                                    new Reading.Slope(first, 20, 0, ANGLE)),
                            item(
                                    p,
                                    "Slope of a shaft by phone, read twice",
                                    "phone-slope",
                                    new Reading.PhoneSlope(first, 20, -20, PHONE)),
                            item(p, "Mirror of the other side", "mirror", new Reading.MirrorOf(first, 3)));
        }
        if (others.size() > 1) {
            add.getItems()
                    .addAll(
                            item(
                                    p,
                                    "So far along a line",
                                    "along",
                                    new Reading.Along(others.get(0), others.get(1), 100, TAPE)),
                            item(
                                    p,
                                    "Midway between two",
                                    "middle",
                                    new Reading.Middle(others.get(0), others.get(1), TAPE)),
                            item(
                                    p,
                                    "On the line through two",
                                    "on-line",
                                    new Reading.OnLine(others.get(0), others.get(1), TAPE)));
        }
        if (others.size() > 2) {
            add.getItems()
                    .add(item(
                            p,
                            "Middle of the circle through three",
                            "centre",
                            new Reading.Centre(others.get(0), others.get(1), others.get(2), TAPE)));
        }
        row(
                add,
                small(
                        "Delete it from the survey",
                        "survey-out-" + key(p),
                        () -> change("Take " + names.apply(p.id()) + " out of the survey", x -> x.without(p.id()))));
    }

    private MenuItem item(SurveyPoint p, String text, String id, Reading r) {
        MenuItem i = new MenuItem(text);
        i.setId("survey-add-" + id);
        i.setOnAction(_ -> change(
                "A reading of " + names.apply(p.id()) + ": " + text.toLowerCase(Locale.ROOT),
                x -> x.edit(p.id(), q -> q.with(r))));
        return i;
    }

    /** Left against right, and the axle against square. */
    private void skew(Surveyed s) {
        SideDifference skew = SideDifference.of(s, names);
        if (skew.pairs().isEmpty()) {
            return;
        }
        head("Left against right");
        LengthUnit unit = bench.lengthUnit();
        table(
                List.of("Left less mirrored right", "x", "y", "z"),
                skew.pairs().stream()
                        .map(p -> List.of(
                                p.what() + (p.real() ? "" : " (within the measuring)"),
                                LengthText.format(p.off().x(), unit),
                                LengthText.format(p.off().y(), unit),
                                LengthText.format(p.off().z(), unit)))
                        .toList());
        skew.axleDeg()
                .ifPresent(d -> say(
                        "The axle is {0} from square to the frame, ± {1}"
                                + (Math.abs(d) > 2 * skew.axleSd()
                                        ? ", the " + (d > 0 ? "left" : "right") + " wheel ahead."
                                        : ": square as far as was measured."),
                        Quantity.angle(Math.abs(d)),
                        Quantity.angle(skew.axleSd())));
    }
}
