package mildtilt.app.survey;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import mildtilt.app.controls.MeasureField;
import mildtilt.app.controls.Wrap;
import mildtilt.app.forms.PartFields;
import mildtilt.app.workbench.AnalysisUpdate;
import mildtilt.app.workbench.Workbench;
import mildtilt.describe.JobPlace;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.Names;
import mildtilt.parts.SurveyParts;
import mildtilt.photograph.Lens;
import mildtilt.photograph.Photograph;
import mildtilt.photograph.SeenRectangle;
import mildtilt.photograph.SeenRectangle.SeenFrom;
import mildtilt.photograph.SeenRectangle.Standing;
import mildtilt.survey.PlacedSheet;
import mildtilt.survey.PlacedSheet.Laid;
import mildtilt.survey.Reading;
import mildtilt.survey.SightLine;
import mildtilt.survey.SurveyPoint;
import mildtilt.survey.Surveyed;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;
import mildtilt.units.Quantity;
import mildtilt.units.Unit;

/** The photographs of a survey in the order of the work: the sheet, the pictures, the points pressed in them. */
public final class PhotographsPane extends ReadingPane {

    /** mm. */
    private static final double OUT_OF_PLANE = 10;

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
        desk.cornersProperty().addListener((_, _, _) -> refresh());
        desk.endsProperty().addListener((_, _, _) -> refresh());
        desk.proposalProperty().addListener((_, _, _) -> refresh());
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
                desk.pointProperty().get(),
                desk.cornersProperty().get(),
                desk.endsProperty().get(),
                desk.proposalProperty().get());
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
            desk.photograph().ifPresent(this::rectangle);
        }
        s.filter(_ -> some).ifPresent(x -> between(x, desk, names));
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

    /** Of the photograph that is looked at: a rectangle of known size in it. */
    private void rectangle(Photograph p) {
        head("A rectangle in " + p.name());
        Optional<SurveyDesk.Corners> pressing =
                desk.cornersProperty().get().filter(c -> c.photograph().equals(p.id()));
        if (p.rectangle().isPresent()) {
            known(p, p.rectangle().get());
        } else if (pressing.isPresent()) {
            corners(pressing.get());
        } else {
            hint("A sheet, a tile or a door whose sides you know, in the plane you want to measure in: "
                    + "then this one picture is enough, without the printed sheet.");
            row(small("Measure by a rectangle…", "photos-rectangle", () -> desk.cornersProperty()
                    .set(Optional.of(new SurveyDesk.Corners(
                            p.id(), Optional.empty(), Optional.empty(), SeenFrom.LEFT, List.of())))));
        }
    }

    /** While the corners are pressed. */
    private void corners(SurveyDesk.Corners c) {
        row(
                named("Wide", typed("photos-rectangle-wide", c.wide(), SurveyDesk.Corners::withWide)),
                named("High", typed("photos-rectangle-high", c.high(), SurveyDesk.Corners::withHigh)));
        row(named(
                "It stands",
                choiceBox(
                        "photos-rectangle-from",
                        List.of(SeenFrom.values()),
                        Optional.of(c.from()),
                        SeenFrom::label,
                        f -> desk.cornersProperty()
                                .set(desk.cornersProperty().get().map(x -> x.withFrom(f))))));
        hint(
                c.sized()
                        ? "Now press its "
                                + SurveyDesk.Corners.PLACES.get(c.pressed().size()) + " corner, looking at it."
                        : "Type both, then press its corners.");
        row(small("Leave it", "photos-rectangle-leave", () -> desk.cornersProperty()
                .set(Optional.empty())));
    }

    private Node typed(
            String id, Optional<Double> now, BiFunction<SurveyDesk.Corners, Optional<Double>, SurveyDesk.Corners> set) {
        LengthUnit unit = bench.lengthUnit();
        MeasureField field = MeasureField.optional(
                now.map(v -> LengthText.inField(v, unit)).orElse(""),
                t -> LengthText.parse(t, unit),
                v -> desk.cornersProperty().set(desk.cornersProperty().get().map(c -> set.apply(c, v))),
                bench::refuse);
        field.setId(id);
        return field;
    }

    private static Job edit(Job j, Photograph p, UnaryOperator<SeenRectangle> change) {
        return j.editSurvey(
                s -> s.editPhotograph(p.id(), q -> q.withRectangle(q.rectangle().map(change))));
    }

    private static Job stand(Job j, Photograph p, UnaryOperator<Standing> change) {
        return edit(j, p, r -> r.withStands(change.apply(r.stands())));
    }

    private void known(Photograph p, SeenRectangle r) {
        Standing stands = r.stands();
        JobPlace at = JobPlace.WHOLE.in("rectangle");
        row(PartFields.of(at, SurveyParts.RECTANGLE, r, "", (j, change) -> edit(j, p, change)).stream()
                .map(this::size)
                .toArray(Node[]::new));
        row(choice(
                "It stands",
                "photos-rectangle-from",
                List.of(SeenFrom.values()),
                stands.from(),
                SeenFrom::label,
                (j, f) -> stand(j, p, s -> s.withFrom(f))));
        hint(
                stands.placed()
                        ? "Where its lower left corner is on the vehicle:"
                        : "Where on the vehicle it is, nothing says yet: distances and angles between points hold, "
                                + "their places do not. Type where its lower left corner is, and the ± of that.");
        row(
                length(
                        "x, forward",
                        "rectangle-x",
                        stands.at().x(),
                        (j, v) -> stand(j, p, s -> s.withAt(new Point(v, s.at().y(), s.at().z())))),
                length(
                        "y, left",
                        "rectangle-y",
                        stands.at().y(),
                        (j, v) -> stand(j, p, s -> s.withAt(new Point(s.at().x(), v, s.at().z())))),
                length(
                        "Height",
                        "rectangle-z",
                        stands.at().z(),
                        (j, v) -> stand(j, p, s -> s.withAt(new Point(s.at().x(), s.at().y(), v)))));
        row(
                PartFields.of(at.in("stands"), SurveyParts.STANDING, stands, "", (j, change) -> stand(j, p, change))
                        .stream()
                        .map(this::size)
                        .toArray(Node[]::new));
        tick(
                "What I press lies in its plane",
                "photos-in-plane",
                desk.inPlaneProperty().get(),
                desk.inPlaneProperty()::set);
        tick(
                "Show it behind the " + BehindDrawing.elevation(r).label().toLowerCase(Locale.ROOT) + " view",
                "photos-behind",
                desk.behind().filter(p.id()::equals).isPresent(),
                on -> desk.setBehind(on ? Optional.of(p.id()) : Optional.empty()));
        hint("A straight edge tells how the lens bends things, which is most of the ±: press three places of it or "
                + "more, and give those between the reading \"On the line through two\".");
        row(small(
                "Take the rectangle out",
                "photos-rectangle-out",
                () -> bench.edit(
                        "Take the rectangle out of " + p.name(),
                        j -> j.editSurvey(s -> s.editPhotograph(p.id(), q -> q.withRectangle(Optional.empty()))))));
    }

    private void tick(String text, String id, boolean on, Consumer<Boolean> set) {
        CheckBox box = new CheckBox(text);
        box.setId(id);
        box.setSelected(on);
        box.setOnAction(_ -> set.accept(box.isSelected()));
        add(box);
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
        String marks = p.rectangle().isPresent() && p.marks().isEmpty()
                ? "A rectangle"
                : p.marks().size() + (p.marks().size() == 1 ? " mark" : " marks") + " of the sheet";
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
        desk.proposalProperty()
                .get()
                .filter(x -> x.point().equals(point.get()))
                .ifPresent(x -> row(
                        named("A place here looks the same:", small("Take it", "photos-take", desk::takeProposal))));
        seen.forEach(this::add);
        place(job, point.get(), s);
    }

    /** What it costs if a point that one picture places does not lie in the plane it is said to. */
    private void aside(Job job, Id point, Surveyed s) {
        Optional<SurveyPoint> measured = job.survey().point(point);
        List<Reading.Sighted> seen = measured.map(SurveyPoint::sights).orElse(List.of());
        if (seen.size() != 1
                || measured.orElseThrow().readings().stream().noneMatch(Reading.InPlane.class::isInstance)) {
            return;
        }
        s.located(seen.getFirst().photograph())
                .filter(q -> q.plane().isPresent())
                .ifPresent(q -> {
                    Lens.Pixel at = new Lens.Pixel(
                            seen.getFirst().across(), seen.getFirst().down());
                    double aside = SightLine.of(q.camera().get(), q.lens(), at)
                            .aside(q.plane().get());
                    say(
                            "If it stands {0} before that plane or behind it, it is {1} aside of this.",
                            Quantity.length(OUT_OF_PLANE), Quantity.length(OUT_OF_PLANE * aside));
                });
    }

    private void place(Job job, Id point, Optional<Surveyed> s) {
        Optional<Surveyed.Place> place = s.map(x -> x.places().get(point));
        place.ifPresent(this::where);
        s.ifPresent(x -> aside(job, point, x));
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
