package mildtilt.app.survey;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import mildtilt.app.workbench.LatestTask;
import mildtilt.app.workbench.PictureBehind;
import mildtilt.app.workbench.SideTab;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.id.Id;
import mildtilt.io.JobFileException;
import mildtilt.io.jobfile.PhotoFile;
import mildtilt.io.picture.PictureFile;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.Names;
import mildtilt.photograph.GreyPicture;
import mildtilt.photograph.Lens;
import mildtilt.photograph.MatchAlong;
import mildtilt.photograph.Photograph;
import mildtilt.photograph.SeenRectangle;
import mildtilt.photograph.SeenRectangle.SeenFrom;
import mildtilt.photograph.SeenRectangle.Standing;
import mildtilt.survey.Reading;
import mildtilt.survey.Survey;
import mildtilt.survey.SurveyPoint;
import mildtilt.survey.Surveyed;
import mildtilt.trials.instruments.InstrumentException;
import mildtilt.trials.instruments.InstrumentPlacement;
import mildtilt.trials.instruments.InstrumentReading;
import mildtilt.trials.instruments.PhoneOnShaft;
import mildtilt.trials.instruments.StandIn;

/** What the survey came to, and which photograph and which point are at hand. */
public final class SurveyDesk {

    /** By eye, on a picture zoomed in, ± px. */
    private static final double PRESSED = 1;

    /** Of the sides of a sheet or a tile, by a steel rule, ± mm. */
    private static final double SIDE_SPREAD = 0.5;

    /** How well what is pressed lies in a rectangle's plane, ± mm. */
    private static final double IN_PLANE = 2;

    private final Workbench bench;
    private final LatestTask<Settled> beside;
    private final LatestTask<Optional<PictureBehind>> drawing;
    private final LatestTask<PhoneRead> phone;
    private final LatestTask<Optional<Proposal>> matching;
    private final ObjectProperty<Integer> phonePort = new SimpleObjectProperty<>(StandIn.USUAL_PORT);
    private Optional<Id> behind = Optional.empty();
    private final ReadOnlyObjectWrapper<Optional<Settled>> settled = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ObjectProperty<Optional<Id>> photograph = new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<Optional<Id>> point = new SimpleObjectProperty<>(Optional.empty());

    private final ObjectProperty<List<Optional<Id>>> ends =
            new SimpleObjectProperty<>(Collections.nCopies(4, Optional.empty()));
    private final BooleanProperty inPlane = new SimpleBooleanProperty(true);
    private final ReadOnlyObjectWrapper<Optional<Proposal>> proposal = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ObjectProperty<Optional<Corners>> corners = new SimpleObjectProperty<>(Optional.empty());

    /**
     * A rectangle whose corners are being pressed.
     *
     * @param wide mm, if it was typed
     * @param high mm, if it was typed
     * @param pressed so far: lower left, lower right, upper right
     */
    record Corners(
            Id photograph, Optional<Double> wide, Optional<Double> high, SeenFrom from, List<Lens.Pixel> pressed) {

        /** Where the corners stand, in the order in which they are pressed. */
        static final List<String> PLACES = List.of("lower left", "lower right", "upper right", "upper left");

        Corners withPressed(List<Lens.Pixel> now) {
            return new Corners(photograph, wide, high, from, List.copyOf(now));
        }

        Corners withWide(Optional<Double> mm) {
            return new Corners(photograph, mm, high, from, pressed);
        }

        Corners withHigh(Optional<Double> mm) {
            return new Corners(photograph, wide, mm, from, pressed);
        }

        Corners withFrom(SeenFrom now) {
            return new Corners(photograph, wide, high, now, pressed);
        }

        boolean sized() {
            return wide.isPresent() && high.isPresent();
        }

        /** As it stands once all are pressed. */
        SeenRectangle rectangle() {
            return new SeenRectangle(
                    pressed, wide.orElseThrow(), high.orElseThrow(), SIDE_SPREAD, Standing.somewhere(from));
        }
    }

    /** A place in a photograph that looks like what was pressed in another. */
    record Proposal(Id photograph, Id point, Lens.Pixel at) {}

    /** What a survey came to. */
    public record Settled(Survey of, Surveyed surveyed) {}

    public SurveyDesk(Workbench bench) {
        this.bench = bench;
        beside = new LatestTask<>(
                s -> {
                    settled.set(Optional.of(s));
                    putBehind();
                    propose();
                },
                problem -> bench.refuse("The survey could not be worked out: " + problem.getMessage()));
        drawing = new LatestTask<>(
                // Taken away while it was drawn, it stays away.
                p -> bench.pictureBehindProperty().set(p.filter(_ -> behind.isPresent())),
                problem -> bench.refuse("The photograph could not be drawn: " + problem.getMessage()));
        phone = new LatestTask<>(
                this::took, problem -> bench.refuse("The phone could not be read: " + problem.getMessage()));
        matching = new LatestTask<>(
                p -> proposal.set(p.filter(this::stillOpen)),
                problem -> bench.refuse("The photographs could not be compared: " + problem.getMessage()));
        photograph.addListener((_, _, _) -> propose());
        point.addListener((_, _, _) -> propose());
        bench.sideTabProperty().addListener((_, _, _) -> propose());
        bench.openedProperty().addListener((_, _, _) -> setBehind(Optional.empty()));
        bench.jobProperty().addListener((_, _, _) -> ask());
        bench.stageProperty().addListener((_, _, _) -> ask());
        ask();
    }

    /** The photograph that lies behind the drawing; empty if none does. */
    Optional<Id> behind() {
        return behind;
    }

    /** Puts a photograph with a rectangle behind the drawing, or takes it away. */
    void setBehind(Optional<Id> photograph) {
        behind = photograph;
        putBehind();
    }

    /** Drawn anew whenever the survey was. */
    private void putBehind() {
        Optional<Photograph> p = behind.flatMap(bench.job().survey()::photograph);
        Optional<Surveyed.PhotoPlace> place = p.flatMap(q ->
                surveyed().flatMap(s -> s.located(q.id())).filter(x -> x.plane().isPresent()));
        Optional<Path> file = p.flatMap(this::file);
        if (place.isEmpty() || file.isEmpty()) {
            bench.pictureBehindProperty().set(Optional.empty());
        } else {
            drawing.ask(() -> BehindDrawing.of(file.get(), p.get(), place.get()));
        }
    }

    /** Where the chosen point may be in the photograph that is looked at; empty if nothing there looks like it. */
    ReadOnlyObjectProperty<Optional<Proposal>> proposalProperty() {
        return proposal.getReadOnlyProperty();
    }

    /** Looks for the chosen point in the photograph that is looked at, by how it looks in one where it was pressed. */
    private void propose() {
        proposal.set(Optional.empty());
        if (bench.stageProperty().get() != WorkStage.SURVEY
                || bench.sideTabProperty().get() != SideTab.PHOTOGRAPHS) {
            return;
        }
        Optional<Photograph> here = photograph();
        Optional<SurveyPoint> chosen = point.get().flatMap(bench.job().survey()::point);
        Optional<Surveyed> s = surveyed();
        if (here.isEmpty() || chosen.isEmpty() || s.isEmpty()) {
            return;
        }
        List<Reading.Sighted> seen = chosen.get().sights();
        boolean pressedHere =
                seen.stream().anyMatch(x -> x.photograph().equals(here.get().id()));
        // With two it is known where it must be.
        if (pressedHere || seen.size() != 1) {
            return;
        }
        Reading.Sighted pressed = seen.getFirst();
        Optional<Photograph> there = bench.job().survey().photograph(pressed.photograph());
        Optional<Looked> from = there.flatMap(p -> looked(p, s.get()));
        Optional<Looked> to = looked(here.get(), s.get());
        if (from.isPresent() && to.isPresent()) {
            Lens.Pixel at = new Lens.Pixel(pressed.across(), pressed.down());
            Id id = chosen.get().id();
            matching.ask(() -> from.get()
                    .view()
                    .flatMap(a -> to.get().view().flatMap(b -> MatchAlong.of(a, at, b)))
                    .map(m -> new Proposal(here.get().id(), id, m.at())));
        }
    }

    /** Whether what is proposed is still looked for: nothing was pressed there, or another chosen, meanwhile. */
    private boolean stillOpen(Proposal p) {
        return photograph().filter(q -> q.id().equals(p.photograph())).isPresent()
                && point.get().equals(Optional.of(p.point()))
                && bench.job()
                        .survey()
                        .point(p.point())
                        .filter(q -> q.sights().stream()
                                .noneMatch(s -> s.photograph().equals(p.photograph())))
                        .isPresent();
    }

    /** A photograph whose file is there and whose camera is known. */
    private record Looked(Path file, Photograph photograph, Surveyed.PhotoPlace place) {

        /** Unpacks it; empty if it can't be. */
        Optional<MatchAlong.View> view() {
            try {
                GreyPicture picture = PictureFile.read(file).picture();
                boolean same = picture.width() == photograph.width() && picture.height() == photograph.height();
                return same
                        ? Optional.of(
                                new MatchAlong.View(picture, place.camera().orElseThrow(), place.lens()))
                        : Optional.empty();
            } catch (JobFileException e) {
                // Nothing is proposed from what can't be read; the view says that the file is not there.
                return Optional.empty();
            }
        }
    }

    private Optional<Looked> looked(Photograph p, Surveyed s) {
        Optional<Path> file = file(p).filter(Files::isRegularFile);
        return file.flatMap(f -> s.located(p.id()).map(x -> new Looked(f, p, x)));
    }

    /** On which port of this machine a phone's angles are read. */
    ObjectProperty<Integer> phonePortProperty() {
        return phonePort;
    }

    /**
     * Takes what a phone on a shaft shows into a reading. @param at its place among the point's readings; @param turned
     * end for end
     */
    void readPhone(Id point, int at, Reading.PhoneSlope was, boolean turned) {
        int port = phonePort.get();
        Optional<InstrumentPlacement.OnShaft> lies = PhoneOnShaft.between(bench.job(), was.from(), point, turned);
        phone.ask(() -> {
            try {
                InstrumentReading r = PhoneOnShaft.read(port, lies);
                return new PhoneRead(point, at, was, turned, Optional.of(r), "");
            } catch (InstrumentException e) {
                return new PhoneRead(point, at, was, turned, Optional.empty(), e.getMessage());
            }
        });
    }

    private record PhoneRead(
            Id point, int at, Reading.PhoneSlope was, boolean turned, Optional<InstrumentReading> read, String why) {}

    /** Put where it belongs, unless that has changed meanwhile. */
    private void took(PhoneRead p) {
        if (p.read.isEmpty()) {
            bench.refuse(p.why);
            return;
        }
        boolean there = bench.job()
                .survey()
                .point(p.point)
                .map(SurveyPoint::readings)
                .filter(r -> p.at < r.size() && r.get(p.at).equals(p.was))
                .isPresent();
        if (!there) {
            bench.refuse("That reading was changed while the phone was read: read it again.");
            return;
        }
        double shows = p.read.get().values().getFirst();
        boolean taken = bench.edit(
                "Read the phone" + (p.turned ? ", turned" : ""),
                j -> j.editSurvey(s -> s.edit(
                        p.point,
                        q -> q.with(
                                p.at,
                                new Reading.PhoneSlope(
                                        p.was.from(),
                                        p.turned ? p.was.firstDeg() : shows,
                                        p.turned ? shows : -shows,
                                        p.read.get().spread())))));
        if (taken && !p.turned) {
            // Until then it counts as a phone that shows nothing wrong.
            bench.say("Now turn the phone end for end in its place, and read it turned.");
        }
    }

    /** Where a photograph is kept; empty as long as the job is in no file. */
    Optional<Path> file(Photograph p) {
        return bench.fileProperty().get().map(f -> PhotoFile.beside(f, p.file()));
    }

    private void ask() {
        Survey survey = bench.job().survey();
        if (bench.stageProperty().get() != WorkStage.SURVEY
                || settled.get().filter(s -> s.of.equals(survey)).isPresent()) {
            return;
        }
        Job job = bench.job();
        beside.ask(() -> new Settled(survey, JobPoints.surveyed(job)));
    }

    ReadOnlyObjectProperty<Optional<Settled>> settledProperty() {
        return settled.getReadOnlyProperty();
    }

    /** What the job's survey came to; empty while it is being worked out. */
    Optional<Surveyed> surveyed() {
        return settled.get().filter(x -> x.of.equals(bench.job().survey())).map(Settled::surveyed);
    }

    /** The photograph to look at; the first if none was pressed. */
    Optional<Photograph> photograph() {
        Survey s = bench.job().survey();
        return photograph.get().flatMap(s::photograph).or(() -> s.photographs().stream()
                .findFirst());
    }

    ObjectProperty<Optional<Id>> photographProperty() {
        return photograph;
    }

    /** The rectangle whose corners are being pressed; empty if none is. */
    ObjectProperty<Optional<Corners>> cornersProperty() {
        return corners;
    }

    /** Puts the next corner of a rectangle there; the fourth makes it. */
    void press(Corners of, Lens.Pixel at) {
        List<Lens.Pixel> now = new ArrayList<>(of.pressed());
        now.add(at);
        Corners next = of.withPressed(now);
        if (now.size() < Corners.PLACES.size()) {
            corners.set(Optional.of(next));
            return;
        }
        boolean made = bench.edit(
                "Measure by a rectangle",
                j -> j.editSurvey(
                        s -> s.editPhotograph(of.photograph(), p -> p.withRectangle(Optional.of(next.rectangle())))));
        corners.set(made ? Optional.empty() : Optional.of(of.withPressed(List.of())));
    }

    /** Whether what is pressed in a photograph with a rectangle lies in its plane. */
    BooleanProperty inPlaneProperty() {
        return inPlane;
    }

    /** A point is seen there in a photograph, by eye. */
    void press(Photograph p, Id point, Lens.Pixel at) {
        press(p, point, at, PRESSED);
    }

    private void press(Photograph p, Id point, Lens.Pixel at, double spread) {
        String name = Names.of(bench.job()).apply(point);
        bench.edit(
                "Press " + name + " in " + p.name(),
                j -> j.editSurvey(s -> placed(
                        s.sighted(point, name, new Reading.Sighted(p.id(), at.across(), at.down(), spread)),
                        point,
                        p)));
    }

    /** Presses the chosen point where it is proposed, if it is. */
    void takeProposal() {
        proposal.get()
                .flatMap(x -> bench.job().survey().photograph(x.photograph()).map(p ->
                        (Runnable) () -> press(p, x.point(), x.at(), MatchAlong.SPREAD)))
                .ifPresent(Runnable::run);
    }

    /** A point pressed in a photograph: in the plane of its rectangle, if that is said and nothing else places it. */
    private Survey placed(Survey s, Id point, Photograph p) {
        List<Reading> readings = s.point(point).map(SurveyPoint::readings).orElse(List.of());
        boolean alone = readings.size() == 1;
        return alone && inPlane.get() && p.rectangle().isPresent()
                ? s.edit(point, q -> q.with(new Reading.InPlane(p.id(), 0, IN_PLANE)))
                : s;
    }

    /** Between which points is measured: the ends of a line, then of another; empty where none is chosen. */
    ObjectProperty<List<Optional<Id>>> endsProperty() {
        return ends;
    }

    /** The point to press in the photographs. */
    ObjectProperty<Optional<Id>> pointProperty() {
        return point;
    }
}
