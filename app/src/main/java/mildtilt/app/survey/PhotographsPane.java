package mildtilt.app.survey;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.AnalysisUpdate;
import mildtilt.app.workbench.Workbench;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.Names;
import mildtilt.photograph.Photograph;
import mildtilt.survey.PlacedSheet;
import mildtilt.survey.PlacedSheet.Laid;
import mildtilt.survey.Reading;
import mildtilt.survey.SurveyPoint;
import mildtilt.survey.Surveyed;
import mildtilt.units.Quantity;
import mildtilt.units.Unit;

/** The photographs of a survey in the order of the work: the sheet, the pictures, the points pressed in them. */
public final class PhotographsPane extends ReadingPane {

    private final SurveyDesk desk;
    private final Files files;
    private Names names;

    /** What is asked of files. */
    public interface Files {
        /** Writes the printed sheet. */
        void sheet();

        /** Asks for photographs and puts them into the survey. */
        void add();
    }

    public PhotographsPane(Workbench bench, SurveyDesk desk, Files files) {
        super(bench, "photographs-pane");
        this.desk = desk;
        this.files = files;
        names = Names.of(bench.job());
        desk.settledProperty().addListener((_, _, _) -> refresh());
        desk.photographProperty().addListener((_, _, _) -> refresh());
        desk.pointProperty().addListener((_, _, _) -> refresh());
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
                desk.photographProperty().get(),
                desk.pointProperty().get());
    }

    @Override
    protected void show(AnalysisUpdate worked) {
        Job job = bench.job();
        names = Names.of(job);
        Optional<Surveyed> s = desk.surveyed();
        boolean some = !job.survey().photographs().isEmpty();
        if (some) {
            // What is done over and over comes first.
            head("Press a point in two or more");
            pressing(job, s);
            s.flatMap(Surveyed::worst).ifPresent(this::wrong);
            head("Photographs");
            photographs(job, s);
        }
        head(some ? "The sheet" : "1. Print the sheet");
        sheet(job.survey().sheet());
        if (!some) {
            head("2. Take three photographs or more");
            hint("The sheet in all of them, from places a stride apart, one lens, no zoom. "
                    + "Marks that are stuck on are found by themselves.");
            photographs(job, s);
        }
    }

    private void wrong(Surveyed.ReadingCheck t) {
        String off = text(new Quantity(t.misread(), t.reading().unit()));
        add(Wrap.text(
                "! " + names.apply(t.point()) + ", " + t.reading().label(names) + ", looks wrong: off by about " + off
                        + " if the others are right.",
                "brings"));
    }

    private void photographs(Job job, Optional<Surveyed> s) {
        for (Photograph p : job.survey().photographs()) {
            photograph(p, s);
        }
        row(small("Add photographs…", "photos-add", files::add));
    }

    private void sheet(PlacedSheet sheet) {
        row(small("Save the sheet…", "photos-sheet", files::sheet));
        row(length(
                "Its bar measures",
                "photos-bar",
                sheet.bar(),
                (j, v) -> j.editSurvey(x -> x.withSheet(x.sheet().withBar(v)))));
        if (sheet.laid().isEmpty()) {
            hint("Does it lie on the floor grid, arrow along it? Then say where, and points come in the "
                    + "vehicle's axes. If not, measure three of the points another way as well.");
            row(small(
                    "It lies on the floor grid",
                    "photos-laid",
                    () -> bench.edit("Say where the sheet lies", j -> lay(j, Optional.of(Laid.BY_EYE)))));
            return;
        }
        Laid l = sheet.laid().get();
        row(
                length(
                        "Cross, x",
                        "photos-laid-x",
                        l.at().x(),
                        (j, v) -> lay(j, l, new Point(v, l.at().y(), l.at().z()))),
                length(
                        "y, left",
                        "photos-laid-y",
                        l.at().y(),
                        (j, v) -> lay(j, l, new Point(l.at().x(), v, l.at().z()))),
                length(
                        "Height",
                        "photos-laid-z",
                        l.at().z(),
                        (j, v) -> lay(j, l, new Point(l.at().x(), l.at().y(), v))));
        row(
                angle(
                        "Arrow to the left",
                        "photos-laid-turned",
                        l.turnedDeg(),
                        (j, v) -> lay(j, Optional.of(new Laid(l.at(), v, l.spread(), l.spreadDeg())))),
                length(
                        "±",
                        "photos-laid-spread",
                        l.spread(),
                        (j, v) -> lay(j, Optional.of(new Laid(l.at(), l.turnedDeg(), v, l.spreadDeg())))),
                angle(
                        "± of its lie",
                        "photos-laid-spread-deg",
                        l.spreadDeg(),
                        (j, v) -> lay(j, Optional.of(new Laid(l.at(), l.turnedDeg(), l.spread(), v)))));
        row(small(
                "It was not laid to the grid",
                "photos-laid-out",
                () -> bench.edit("Do not say where the sheet lies", j -> lay(j, Optional.empty()))));
    }

    private static Job lay(Job j, Laid l, Point at) {
        return lay(j, Optional.of(new Laid(at, l.turnedDeg(), l.spread(), l.spreadDeg())));
    }

    private static Job lay(Job j, Optional<Laid> laid) {
        return j.editSurvey(x -> x.withSheet(x.sheet().withLaid(laid)));
    }

    private void photograph(Photograph p, Optional<Surveyed> s) {
        Button title = new Button(p.name());
        title.setId("photo-show-" + p.id().text());
        title.getStyleClass().add("step-title");
        title.setMaxWidth(Double.MAX_VALUE);
        title.setAlignment(Pos.CENTER_LEFT);
        title.setOnAction(_ -> desk.photographProperty().set(Optional.of(p.id())));
        HBox.setHgrow(title, Priority.ALWAYS);
        HBox row = new HBox(
                6,
                title,
                small(
                        "×",
                        "photo-drop-" + p.id().text(),
                        () -> bench.edit(
                                "Take out the photograph " + p.name(),
                                j -> j.editSurvey(x -> x.withoutPhotograph(p.id())))));
        row.getStyleClass().add("obstacle-row");
        if (desk.photograph().filter(q -> q.id().equals(p.id())).isPresent()) {
            row.getStyleClass().add("chosen");
        }
        add(row);
        String marks = p.marks().size() + (p.marks().size() == 1 ? " mark" : " marks") + " of the sheet";
        Optional<Surveyed.PhotoPlace> place = s.flatMap(x -> x.photographs().stream()
                .filter(q -> q.photograph().equals(p.id()))
                .findFirst());
        if (place.filter(q -> q.camera().isPresent()).isPresent()) {
            hint(marks + "; what is seen is off by "
                    + text(new Quantity(place.get().off(), Unit.PIXEL)) + ".");
        } else {
            hint(marks + ".");
            place.ifPresent(q -> add(Wrap.text(q.why(), "brings")));
        }
    }

    private void pressing(Job job, Optional<Surveyed> s) {
        List<Id> all = Stream.concat(
                        JobPoints.of(job).stream().map(p -> JobPoints.id(job, p)),
                        job.survey().points().stream().map(SurveyPoint::id))
                .distinct()
                .toList();
        row(named(
                "The point you press",
                choiceBox("photos-point", all, desk.pointProperty().get(), names, id -> desk.pointProperty()
                        .set(Optional.of(id)))));
        Optional<Id> point = desk.pointProperty().get();
        if (point.isEmpty()) {
            hint("Choose one, then press it in the picture. Scroll to zoom in, drag to move the picture.");
            return;
        }
        Optional<SurveyPoint> measured = point.flatMap(job.survey()::point);
        List<Node> seen = new ArrayList<>();
        measured.ifPresent(p -> {
            for (int i = 0; i < p.readings().size(); i++) {
                if (p.readings().get(i) instanceof Reading.Sighted r) {
                    int at = i;
                    Label l = Wrap.text(
                            names.apply(r.photograph())
                                    + s.flatMap(x -> x.checks().stream()
                                                    .filter(t -> t.point().equals(p.id()) && t.index() == at)
                                                    .findFirst())
                                            .map(t -> t.checked()
                                                    ? ": off by " + text(new Quantity(t.off(), Unit.PIXEL))
                                                    : ": nothing checks it")
                                            .orElse(""),
                            "hint");
                    l.setMaxWidth(Double.MAX_VALUE);
                    HBox.setHgrow(l, Priority.ALWAYS);
                    seen.add(new HBox(
                            6,
                            l,
                            small(
                                    "×",
                                    "photos-unpress-" + r.photograph().text(),
                                    () -> bench.edit(
                                            "Take a place of " + names.apply(p.id()) + " off a photograph",
                                            j -> j.editSurvey(x -> x.edit(p.id(), q -> q.without(at)))))));
                }
            }
        });
        if (seen.isEmpty()) {
            hint("Not pressed yet. Press it in the picture.");
        }
        seen.forEach(this::add);
        place(job, point.get(), s);
    }

    private void place(Job job, Id point, Optional<Surveyed> s) {
        Optional<Surveyed.Place> place = s.map(x -> x.places().get(point));
        place.ifPresent(this::where);
        s.map(x -> x.open().get(point)).ifPresent(why -> add(Wrap.text(why, "brings")));
        Optional.ofNullable(JobPoints.byId(job).get(point))
                .flatMap(id -> place.map(x -> small(
                        "Put it there",
                        "photos-put",
                        () -> bench.edit(
                                "Put " + names.apply(point) + " where it was measured",
                                "It was surveyed there.",
                                j -> JobPoints.moved(j, id, x.at())))))
                .ifPresent(this::row);
    }
}
