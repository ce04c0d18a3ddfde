package mildtilt.app.clearance;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.DoubleConsumer;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import mildtilt.app.controls.MeasureField;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.LatestTask;
import mildtilt.app.workbench.Workbench;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Vector;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Shape;
import mildtilt.scan.ScanMeasure;
import mildtilt.scan.ScanShape;
import mildtilt.survey.Reading;
import mildtilt.survey.Survey;
import mildtilt.survey.SurveyPoint;
import mildtilt.units.LengthText;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** Tubes, balls, flats, holes, rims and boxes of the selected scan, about the place that was pressed on it last. */
final class ScanBox extends VBox {

    /** How well a scan stands in the vehicle, ± mm, where nothing more is known: a tape's. */
    private static final double STANDS = 1.5;
    /** A place farther from the scan than this is not on it, mm; a hole's middle may be farther from its edge. */
    private static final double ON_IT = 10;

    private static final double IN_A_HOLE = 80;

    /** From a rim's centre to the second mark on its axis, mm. */
    private static final double AXIS_MARK = 100;

    private final Workbench bench;
    private final LatestTask<Answer> search;
    private final ScanPairsBox pairs;
    private Point place = Point.ORIGIN;
    private Optional<Answer> answer = Optional.empty();
    private boolean looking;

    private enum Kind {
        TUBE("Tube"),
        BALL("Ball"),
        FLAT("Flat"),
        HOLE("Hole"),
        RIM("Rim"),
        BOX("Box");

        private final String label;

        Kind(String label) {
            this.label = label;
        }
    }

    /**
     * @param away how far the place lies from the scan, mm; too far, and nothing was looked for
     * @param shape in the vehicle's axes
     */
    private record Answer(Obstacle of, Kind kind, double away, Optional<ScanShape> shape) {}

    ScanBox(Workbench bench) {
        super(6);
        this.bench = bench;
        setId("scan-box");
        search = new LatestTask<>(this::found, this::failed);
        pairs = new ScanPairsBox(bench);
        bench.pressedPlaceProperty()
                .addListener((_, _, now) -> now.ifPresent(p -> {
                    place = p;
                    refresh();
                }));
    }

    /** A scan that is selected, as it stands in the job. */
    private Optional<Obstacle> selected() {
        return bench.selectionProperty()
                .get()
                .filter(Element.InTheWay.class::isInstance)
                .map(e -> ((Element.InTheWay) e).index())
                .filter(i -> i < bench.job().surroundings().obstacles().size())
                .map(i -> bench.job().surroundings().obstacles().get(i))
                .filter(o -> o.shape() instanceof Shape.Scan);
    }

    /** Shows what belongs to the scan that is selected now. */
    void refresh() {
        getChildren().clear();
        Optional<Obstacle> scan = selected();
        setManaged(scan.isPresent());
        scan.ifPresent(o -> {
            Label head = new Label("Measure on " + o.name());
            head.getStyleClass().add("sub-head");
            getChildren()
                    .addAll(
                            head,
                            Wrap.text(
                                    "Press a tube, a ball, a flat, a rim's lip, a side of a box or beside a hole "
                                            + "in the 3-D view, or type a "
                                            + "place on it. "
                                            + "Then say what is there.",
                                    "hint"),
                            new FlowPane(
                                    6,
                                    4,
                                    field(
                                            "x, forward",
                                            "scan-x",
                                            place.x(),
                                            v -> place = new Point(v, place.y(), place.z())),
                                    field(
                                            "y, left",
                                            "scan-y",
                                            place.y(),
                                            v -> place = new Point(place.x(), v, place.z())),
                                    field(
                                            "z, up",
                                            "scan-z",
                                            place.z(),
                                            v -> place = new Point(place.x(), place.y(), v))));
            FlowPane kinds = new FlowPane(6, 4);
            for (Kind k : Kind.values()) {
                Button b = new Button(k.label);
                b.setId("scan-" + k.label.toLowerCase(Locale.ROOT));
                b.setDisable(looking);
                b.setOnAction(_ -> look(o, (Shape.Scan) o.shape(), k));
                kinds.getChildren().add(b);
            }
            getChildren().add(kinds);
            answer.filter(a -> a.of.equals(o)).ifPresent(this::show);
            pairs.show(o, place);
            getChildren().add(pairs);
        });
    }

    private VBox field(String label, String id, double mm, DoubleConsumer take) {
        MeasureField f = new MeasureField(
                LengthText.editable(mm, bench.lengthUnit()),
                t -> LengthText.parse(t, bench.lengthUnit()),
                v -> {
                    take.accept(v);
                    refresh();
                },
                bench::refuse);
        f.setId(id);
        f.setAccessibleText("Place on the scan, " + label);
        f.setPrefWidth(96);
        Label l = new Label(label);
        l.getStyleClass().add("hint");
        return new VBox(1, l, f);
    }

    private void look(Obstacle o, Shape.Scan scan, Kind kind) {
        looking = true;
        refresh();
        Point pressed = scan.place().inverse().moved(place);
        search.ask(() -> {
            ScanMeasure on = new ScanMeasure(scan.mesh());
            Point near = on.nearest(pressed);
            double away = near.distanceTo(pressed);
            if (away > (kind == Kind.HOLE ? IN_A_HOLE : ON_IT)) {
                return new Answer(o, kind, away, Optional.empty());
            }
            Point at = kind == Kind.HOLE ? pressed : near;
            Optional<? extends ScanShape> shape =
                    switch (kind) {
                        case TUBE -> on.tube(at, ScanMeasure.USUAL_REACH);
                        case BALL -> on.ball(at, ScanMeasure.USUAL_REACH);
                        case FLAT -> on.flat(at, ScanMeasure.USUAL_REACH);
                        case HOLE -> on.hole(at, ScanMeasure.USUAL_REACH);
                        case RIM -> on.rim(at, ScanMeasure.WIDE_REACH);
                        case BOX -> on.box(at, ScanMeasure.WIDE_REACH);
                    };
            return new Answer(o, kind, away, shape.map(s -> s.moved(scan.place())));
        });
    }

    private void found(Answer a) {
        looking = false;
        answer = Optional.of(a);
        refresh();
    }

    private void failed(Throwable problem) {
        looking = false;
        bench.refuse("That could not be measured: " + problem.getMessage());
        refresh();
    }

    private void show(Answer a) {
        if (a.away > (a.kind == Kind.HOLE ? IN_A_HOLE : ON_IT)) {
            getChildren()
                    .add(Wrap.text(
                            "That place is not on the scan: it is "
                                    + Quantity.length(a.away).text(bench.lengthUnit()) + " from it.",
                            "brings"));
            return;
        }
        if (a.shape.isEmpty()) {
            getChildren()
                    .add(Wrap.text(
                            "No " + a.kind.label.toLowerCase(Locale.ROOT)
                                    + " is found there. Press nearer to the middle of it.",
                            "brings"));
            return;
        }
        ScanShape s = a.shape.get();
        Label said = Wrap.text(words(s).text(bench.lengthUnit()), "facts-figure");
        said.setId("scan-said");
        getChildren()
                .addAll(
                        said,
                        Wrap.text(
                                "Each ± is within the scan. How well the scan itself stands in the vehicle is not "
                                        + "in it; "
                                        + "± 1.5 mm is added for marks.",
                                "hint"));
        Button keep = new Button("Keep it in the survey");
        keep.setId("scan-keep");
        keep.setOnAction(_ -> bench.edit("Keep what was measured on " + a.of.name(), j -> kept(j, a.of.name(), s)));
        FlowPane does = new FlowPane(6, 4, keep);
        solid(s).ifPresent(shape -> {
            Button put = new Button("Put a solid in its place");
            put.setId("scan-solid");
            put.setOnAction(_ -> bench.edit(
                    "Put a solid where " + a.of.name() + " has it",
                    j -> j.editSurroundings(
                            x -> x.with(Obstacle.fixed(x.free(a.of.name() + " " + shape.label()), shape)))));
            does.getChildren().add(put);
        });
        getChildren().add(does);
    }

    private static Phrase words(ScanShape s) {
        return switch (s) {
            case ScanShape.Tube t ->
                Phrase.of(
                        "Tube of {0} ± {1}, {2} long, {3} below level, {4} to the left. Its axis ± {5}, ± {6}.",
                        Quantity.length(t.diameter()),
                        Quantity.length(t.diameterSpread()),
                        Quantity.length(t.from().distanceTo(t.to())),
                        Quantity.angle(t.to().minus(t.from()).direction().downDeg()),
                        Quantity.angle(t.to().minus(t.from()).direction().leftDeg()),
                        Quantity.length(t.spread()),
                        Quantity.angle(t.spreadDeg()));
            case ScanShape.Ball b ->
                Phrase.of(
                        "Ball of {0} ± {1}; centre x {2}, y {3}, z {4}, ± {5}.",
                        Quantity.length(b.diameter()),
                        Quantity.length(b.diameterSpread()),
                        Quantity.length(b.centre().x()),
                        Quantity.length(b.centre().y()),
                        Quantity.length(b.centre().z()),
                        Quantity.length(b.spread()));
            case ScanShape.Flat f ->
                Phrase.of(
                        "Flat; square to it is {0} below level, {1} to the left, ± {2}. It lies ± {3}.",
                        Quantity.angle(f.out().downDeg()),
                        Quantity.angle(f.out().leftDeg()),
                        Quantity.angle(f.spreadDeg()),
                        Quantity.length(f.spread()));
            case ScanShape.Rim r ->
                Phrase.of(
                        "It spins about an axis {0} below level, {1} to the left, ± {2}. The circle of {3} ± {4} "
                                + "through the pressed place has its centre at x {5}, y {6}, z {7}, ± {8}.",
                        Quantity.angle(r.axis().downDeg()),
                        Quantity.angle(r.axis().leftDeg()),
                        Quantity.angle(r.spreadDeg()),
                        Quantity.length(r.diameter()),
                        Quantity.length(r.diameterSpread()),
                        Quantity.length(r.centre().x()),
                        Quantity.length(r.centre().y()),
                        Quantity.length(r.centre().z()),
                        Quantity.length(r.spread()));
            case ScanShape.Box b ->
                Phrase.of(
                        "Box of {0} × {1} × {2}, the first square to the pressed side, ± {3}. " + b.sides()
                                + " of its six sides were scanned; the others are where these end.",
                        Quantity.length(b.deep()),
                        Quantity.length(b.wide()),
                        Quantity.length(b.high()),
                        Quantity.angle(b.spreadDeg()));
            case ScanShape.Hole h ->
                Phrase.of(
                        "Hole of {0} ± {1}; centre x {2}, y {3}, z {4}, ± {5}.",
                        Quantity.length(h.diameter()),
                        Quantity.length(h.diameterSpread()),
                        Quantity.length(h.centre().x()),
                        Quantity.length(h.centre().y()),
                        Quantity.length(h.centre().z()),
                        Quantity.length(h.spread()));
        };
    }

    /** As the obstacle it is, without its triangles. */
    private static Optional<Shape> solid(ScanShape s) {
        return switch (s) {
            case ScanShape.Tube t -> Optional.of(new Shape.Cylinder(t.from(), t.to(), t.diameter()));
            case ScanShape.Ball b -> Optional.of(new Shape.Sphere(b.centre(), b.diameter()));
            case ScanShape.Box b -> {
                double[] deg = new RigidMove(
                                b.first().vector(),
                                b.second().vector(),
                                b.third().vector(),
                                new Vector(0, 0, 0))
                        .placingDeg();
                yield Optional.of(new Shape.Box(b.centre(), b.deep(), b.wide(), b.high(), deg[0], deg[1], deg[2]));
            }
            case ScanShape.Flat _, ScanShape.Hole _, ScanShape.Rim _ -> Optional.empty();
        };
    }

    private record Mark(String name, Point at, double spread) {}

    private static Job kept(Job job, String scan, ScanShape s) {
        List<Mark> marks = new ArrayList<>();
        switch (s) {
            case ScanShape.Tube t -> {
                marks.add(new Mark(scan + ": axis, one end", t.from(), t.spread()));
                marks.add(new Mark(scan + ": axis, other end", t.to(), t.spread()));
            }
            case ScanShape.Ball b -> marks.add(new Mark(scan + ": ball", b.centre(), b.spread()));
            case ScanShape.Flat f -> marks.add(new Mark(scan + ": flat", f.middle(), f.spread()));
            case ScanShape.Rim r -> {
                marks.add(new Mark(scan + ": rim", r.centre(), r.spread()));
                // A second place of the axis, a rim's width on, tells how it lies.
                marks.add(new Mark(
                        scan + ": spin axis, 100 mm on",
                        r.centre().plus(r.axis().times(AXIS_MARK)),
                        Math.hypot(r.spread(), AXIS_MARK * Math.toRadians(r.spreadDeg()))));
            }
            case ScanShape.Box b -> marks.add(new Mark(scan + ": box", b.centre(), b.spread()));
            case ScanShape.Hole h -> marks.add(new Mark(scan + ": hole", h.centre(), h.spread()));
        }
        return job.editSurvey(x -> {
            Survey all = x;
            for (Mark m : marks) {
                double spread = Math.hypot(m.spread, STANDS);
                all = all.with(new SurveyPoint(
                        all.nextMark(),
                        m.name,
                        List.of(new Reading.Plumb(m.at.x(), m.at.y(), spread), new Reading.Height(m.at.z(), spread))));
            }
            return all;
        });
    }
}
