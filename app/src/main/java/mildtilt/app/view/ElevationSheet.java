package mildtilt.app.view;

import java.util.EnumMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Label;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.shape.ArcType;
import javafx.scene.shape.Rectangle;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.text.TextAlignment;
import mildtilt.app.controls.ColorToken;
import mildtilt.app.controls.ColoredPane;
import mildtilt.app.controls.Fonts;
import mildtilt.app.draw.PartPainter;
import mildtilt.app.draw.SheetView;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.drawing.Elevation;
import mildtilt.drawing.Extent;
import mildtilt.drawing.LabelPlacer;
import mildtilt.drawing.LabelPlacer.Box;
import mildtilt.drawing.Note;
import mildtilt.drawing.Outlines;
import mildtilt.drawing.Pen;
import mildtilt.drawing.Sketch;
import mildtilt.drawing.Stroke;
import mildtilt.drawing.Yokes;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.job.Element;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.position.AxlePose;
import mildtilt.units.LengthText;
import org.jspecify.annotations.Nullable;

/** One elevation to scale, redrawn for every position; points are dragged on it. */
final class ElevationSheet extends ColoredPane {

    private static final double NEAR = 9;
    /** Across the view, when it comes near to a point, mm. */
    private static final double LEAST_SEEN = 700;

    /** Of a photograph behind the drawing: seen, and not in the way of the lines. */
    private static final double PICTURE_OPACITY = 0.5;

    private final Workbench bench;
    private final Elevation elevation;
    private final Predicate<WorkStage> seen;
    private final Canvas canvas = new Canvas();
    private final PointHandles handles;
    private @Nullable SheetView view;
    private boolean userView;
    private final Map<WorkStage, SheetView> zooms = new EnumMap<>(WorkStage.class);
    private final Label pointed = new Label();
    private @Nullable PartPainter painter;
    private @Nullable FigureWriter writer;
    private Optional<BodyDrag> body = Optional.empty();
    private Optional<Extent> awaited = Optional.empty();
    private Sketch sketch = new Sketch(List.of(), List.of());
    /** Outlines of the last drawing, by the stroke itself: what does not move has the same again. */
    private Map<Stroke, List<Outlines.Flat>> hulls = new IdentityHashMap<>();

    private Map<Stroke, List<Outlines.Flat>> drawnHulls = hulls;
    private boolean large = true;
    private double pressedX;
    private double pressedY;

    /** @param seen in which stages it can be seen; in others nothing is drawn */
    ElevationSheet(Workbench bench, Elevation elevation, Predicate<WorkStage> seen) {
        this.bench = bench;
        this.elevation = elevation;
        this.seen = seen;
        getStyleClass().add("elevation");
        setId("sheet-" + elevation.label().toLowerCase(Locale.ROOT));
        handles = new PointHandles(bench, this);
        pointed.getStyleClass().add("pointed");
        pointed.setMouseTransparent(true);
        pointed.setVisible(false);
        pointed.setManaged(false);
        getChildren().addAll(canvas, handles, pointed);
        setOnMouseMoved(this::point);
        setOnMouseExited(_ -> pointed.setVisible(false));
        Rectangle clip = new Rectangle();
        clip.widthProperty().bind(widthProperty());
        clip.heightProperty().bind(heightProperty());
        setClip(clip);
        setMinSize(60, 40);
        sceneProperty().addListener((_, _, _) -> redraw());
        bench.jobProperty().addListener((_, _, _) -> redraw());
        bench.steeringInputProperty().addListener((_, _, _) -> redraw());
        bench.selectionProperty().addListener((_, _, _) -> redraw());
        bench.lengthUnitProperty().addListener((_, _, _) -> redraw());
        bench.ghostProperty().addListener((_, _, _) -> redraw());
        bench.roomProperty().addListener((_, _, _) -> redraw());
        bench.pictureBehindProperty().addListener((_, _, _) -> redraw());
        bench.shownGapProperty().addListener((_, _, _) -> redraw());
        bench.stageProperty().addListener((_, was, now) -> stage(was, now));
        bench.openedProperty().addListener((_, _, _) -> {
            zooms.clear();
            fit();
        });
        if (elevation == Elevation.PLAN) {
            bench.analysisProperty().addListener((_, _, _) -> redraw());
        }
        setOnScroll(e -> {
            if (e.getDeltaY() != 0) {
                zoom(Math.pow(1.1, Math.signum(e.getDeltaY())), e.getX(), e.getY());
            }
        });
        addEventHandler(MouseEvent.MOUSE_PRESSED, e -> {
            pressedX = e.getX();
            pressedY = e.getY();
            body = e.getButton() == MouseButton.PRIMARY
                    ? BodyDrag.of(bench, nearest(e.getX(), e.getY()))
                    : Optional.empty();
        });
        addEventHandler(MouseEvent.MOUSE_DRAGGED, this::dragged);
        addEventHandler(MouseEvent.MOUSE_RELEASED, _ -> {
            body.ifPresent(b -> b.end(bench));
            body = Optional.empty();
        });
        addEventHandler(MouseEvent.MOUSE_CLICKED, this::select);
    }

    Elevation elevation() {
        return elevation;
    }

    Optional<SheetView> view() {
        return Optional.ofNullable(view);
    }

    boolean large() {
        return large;
    }

    /** The large pane shows every point of the stage to drag; the small ones only those of the selection. */
    void setLarge(boolean is) {
        if (large != is) {
            large = is;
            fit();
        }
    }

    /** Each stage has the zoom the user left it with. */
    private void stage(WorkStage was, WorkStage now) {
        if (userView && view != null) {
            zooms.put(was, view);
        } else {
            zooms.remove(was);
        }
        SheetView left = zooms.get(now);
        userView = left != null;
        view = left;
        redraw();
    }

    /** Shows all of the vehicle. */
    void fit() {
        userView = false;
        redraw();
    }

    /** Comes near to some points, with room about them. */
    void lookAt(List<Point> around) {
        Extent there = Extent.of(
                new Sketch(List.of(new Stroke.Line(Optional.empty(), Pen.GAP, around)), List.of()), elevation);
        double room = Math.max(LEAST_SEEN, 1.8 * Math.max(there.width(), there.height()));
        Extent wide = new Extent(
                there.middleAcross() - room / 2,
                there.middleUp() - room / 2,
                there.middleAcross() + room / 2,
                there.middleUp() + room / 2);
        if (getWidth() < 20 || getHeight() < 20) {
            // Not laid out yet: what it is to show then.
            awaited = Optional.of(wide);
            return;
        }
        view = SheetView.fitting(elevation, wide, getWidth(), getHeight() - 16);
        userView = true;
        redraw();
    }

    /** Where figures stand on the sheet, pixels; for the tests. */
    List<Box> figures() {
        return writer == null ? List.of() : writer.written();
    }

    /** Bars of the steering train on the sheet, as {x1, y1, x2, y2, half width}, pixels; for the tests. */
    List<double[]> darkBars() {
        return painter == null ? List.of() : painter.darkBars();
    }

    /** A selected part goes with the pointer; elsewhere the sheet does. */
    private void dragged(MouseEvent e) {
        if (body.isPresent() && view != null && !e.isStillSincePress()) {
            body.get()
                    .to(
                            bench,
                            elevation.inSpace(
                                    Math.rint((e.getX() - pressedX) / view.pixelsPerMm()),
                                    Math.rint((pressedY - e.getY()) / view.pixelsPerMm())));
        } else {
            pan(e);
        }
    }

    private void pan(MouseEvent e) {
        if (view == null || bench.dragging() || e.isConsumed() || body.isPresent()) {
            return;
        }
        shift(e.getX() - pressedX, e.getY() - pressedY);
        pressedX = e.getX();
        pressedY = e.getY();
    }

    void shift(double pixelsRight, double pixelsDown) {
        if (view != null) {
            view = view.moved(pixelsRight, pixelsDown);
            userView = true;
            redraw();
        }
    }

    void zoom(double factor, double aroundX, double aroundY) {
        if (view != null) {
            view = view.zoomed(factor, aroundX, aroundY);
            userView = true;
            redraw();
        }
    }

    private void select(MouseEvent e) {
        if (view == null || !e.isStillSincePress() || e.getButton() != MouseButton.PRIMARY) {
            return;
        }
        bench.showPart(nearest(e.getX(), e.getY()));
    }

    private Optional<Element> nearest(double x, double y) {
        Optional<Element> part = painter == null ? Optional.empty() : painter.at(x, y);
        if (part.isPresent()) {
            return part;
        }
        double best = NEAR;
        Optional<Element> found = Optional.empty();
        for (Stroke s : sketch.strokes()) {
            for (int i = 1; i < s.points().size() && shown(s.element(), scanned(s)); i++) {
                double d = distance(s.points().get(i - 1), s.points().get(i), x, y);
                if (d < best && s.element().isPresent()) {
                    best = d;
                    found = s.element();
                }
            }
        }
        return found;
    }

    private double distance(Point a, Point b, double x, double y) {
        SheetView v = Objects.requireNonNull(view);
        return PartPainter.distance(v.x(a), v.y(a), v.x(b), v.y(b), x, y);
    }

    /** Says something beside a place of the sheet; nothing where it is empty. */
    void say(String words, double x, double y) {
        pointed.setVisible(!words.isEmpty());
        pointed.setText(words);
        pointed.autosize();
        pointed.relocate(Math.clamp(x + 14, 0, Math.max(0, getWidth() - pointed.getWidth() - 4)), Math.max(2, y - 30));
    }

    /** Names what is under the pointer, with its figure. */
    private void point(MouseEvent e) {
        Optional<Element> part = view == null || bench.dragging() ? Optional.empty() : nearest(e.getX(), e.getY());
        part.ifPresent(p -> {
            String figure = sketch.notes().stream()
                    .filter(n -> n.element().equals(p))
                    .findFirst()
                    .map(n -> "  " + n.figure().text(bench.lengthUnit()))
                    .orElse("");
            say(Element.label(bench.job(), p) + figure, e.getX(), e.getY());
        });
        pointed.setVisible(part.isPresent());
    }

    @Override
    protected void redraw() {
        double w = getWidth();
        double h = getHeight();
        // A view that is not chosen is in no scene, and draws when it is.
        if (getScene() == null
                || w < 20
                || h < 20
                || !seen.test(bench.stageProperty().get())) {
            return;
        }
        canvas.setWidth(w);
        canvas.setHeight(h);
        sketch = bench.sketch();
        // While a point is dragged the sheet holds still under the pointer.
        if (view == null || !userView && !bench.dragging()) {
            view = SheetView.fitting(
                    elevation,
                    Extent.of(StageParts.inSight(bench.stageProperty().get(), sketch), elevation),
                    w,
                    h - 16);
        }
        if (awaited.isPresent()) {
            view = SheetView.fitting(elevation, awaited.get(), w, h - 16);
            userView = true;
            awaited = Optional.empty();
        }
        SheetView v = view;
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, w, h);
        g.setLineCap(StrokeLineCap.ROUND);
        bench.pictureBehindProperty()
                .get()
                .filter(p -> p.elevation() == elevation)
                .ifPresent(p -> {
                    g.setGlobalAlpha(PICTURE_OPACITY);
                    double k = v.pixelsPerMm();
                    g.drawImage(
                            p.image(),
                            v.originX() + p.left() * k,
                            v.originY() - p.top() * k,
                            p.width() * k,
                            p.height() * k);
                    g.setGlobalAlpha(1);
                });
        SheetFrame frame = new SheetFrame(g, v, w, h, this::ink);
        frame.datum(elevation, large);
        LabelPlacer placer = new LabelPlacer(new Box(2, 2, w - 4, h - 22));
        boolean constructing =
                large && elevation == Elevation.PLAN && bench.stageProperty().get() == WorkStage.LINKAGE;
        Optional<Box> inset = constructing ? TurnInset.box(w, h, bench, box -> hidden(v, box)) : Optional.empty();
        boolean swept = large
                && (bench.stageProperty().get() == WorkStage.LINKAGE
                        || bench.stageProperty().get() == WorkStage.CLEARANCE);
        sketch.construction().strokes().stream()
                .filter(s -> s.pen() == Pen.ENVELOPE ? swept : constructing)
                .forEach(s -> constructionLine(g, v, s));
        inset.ifPresent(placer::keepClear);
        painter = new PartPainter(
                g,
                v,
                this::ink,
                bench.selectionProperty().get().filter(Element.of(bench.job())::contains),
                this::ofStage);
        painter.draw(
                bench.parts().stream()
                        .filter(p -> shown(Optional.of(p.element()), false))
                        .toList(),
                bench.columnNow()
                        .map(c -> Yokes.of(c, bench.steeringInput().steeringWheelDeg()))
                        .orElse(List.of()),
                placer);
        drawnHulls = new IdentityHashMap<>();
        boolean assembled = bench.pose().flatMap(AxlePose::assembled).isPresent();
        for (Stroke s : sketch.strokes()) {
            if (shown(s.element(), scanned(s))
                    && (!s.pen().solid() || scanned(s) || !assembled && s.pen().onAxle())) {
                stroke(g, v, s, placer);
            }
        }
        hulls = drawnHulls;
        ClearanceMarks marks = new ClearanceMarks(bench, g, v, this::ink);
        bench.ghost().ifPresent(p -> marks.ghost(p, large));
        handles.update(v);
        handles.angleSeen(v).ifPresent(a -> bend(g, a));
        handles.keepClear(placer);
        FigureWriter figures = new FigureWriter(g, v, this::ink, placer, bench.lengthUnit());
        writer = figures;
        // What is selected is written first: it finds room before all else.
        for (boolean chosen : new boolean[] {true, false}) {
            for (Note note : sketch.notes()) {
                if (selected(Optional.of(note.element())) == chosen
                        && note.belongsIn(elevation)
                        && !sketch.hides(note, elevation)
                        && (chosen
                                || large
                                        && ofStage(note.element())
                                        && bench.stageProperty().get() != WorkStage.CLEARANCE)) {
                    figures.write(note, chosen ? ColorToken.ACCENT : ColorToken.LINE, FigureWriter.font(large));
                }
            }
        }
        if (constructing) {
            for (Note note : sketch.construction().notes()) {
                figures.beside(
                        note.figure().text(bench.lengthUnit()),
                        v.x(note.at()),
                        v.y(note.at()),
                        ColorToken.ACCENT,
                        Fonts.text(12));
            }
        }
        bench.shownGap().ifPresent(p -> marks.gap(p, figures));
        bench.room().ifPresent(r -> marks.room(r, figures));
        if (large && bench.stageProperty().get() == WorkStage.CLEARANCE) {
            marks.names(sketch, figures);
        }
        inset.ifPresent(box -> TurnInset.draw(g, box, bench, this::ink));
        frame.scaleBar(bench.lengthUnit());
        if (constructing) {
            locks(g, w, h);
        }
        g.setGlobalAlpha(1);
    }

    /**
     * What is in the way is drawn where the column or the room round it is worked on; of a scan only the outline beside
     * the column.
     */
    private boolean shown(Optional<Element> element, boolean scanned) {
        WorkStage stage = bench.stageProperty().get();
        if (stage == WorkStage.COLUMN && scanned) {
            return false;
        }
        return stage != WorkStage.LINKAGE
                || !(element.orElse(null) instanceof Element.InTheWay
                        || element.orElse(null) instanceof Element.AtTheWheel);
    }

    /** How much of what matters a box would hide, strong lines counting double. */
    private double hidden(SheetView v, Box box) {
        double sum = 0;
        for (Stroke s : Stream.concat(sketch.strokes().stream(), sketch.construction().strokes().stream())
                .toList()) {
            double weight =
                    s.pen() == Pen.TURN_AXIS || !s.element().map(this::ofStage).orElse(false)
                            ? 0.2
                            : s.pen().matters() ? 2 : 0.7;
            boolean crossed = false;
            for (int i = 1; i < s.points().size() && !crossed; i++) {
                crossed = box.crossedBy(
                        v.x(s.points().get(i - 1)),
                        v.y(s.points().get(i - 1)),
                        v.x(s.points().get(i)),
                        v.y(s.points().get(i)));
            }
            sum += crossed ? weight : 0;
        }
        return sum;
    }

    /** What ends the lock each way. */
    private void locks(GraphicsContext g, double w, double h) {
        bench.analysisProperty().get().flatMap(x -> x.now().steer()).ifPresent(s -> {
            g.setFill(ink(ColorToken.ACCENT));
            g.setFont(Fonts.text(12));
            g.setTextAlign(TextAlignment.RIGHT);
            g.setTextBaseline(VPos.CENTER);
            g.fillText(
                    "Lock ends: left " + lock(s, Side.LEFT) + ", right " + lock(s, Side.RIGHT),
                    w - 8,
                    h - 10,
                    w * 0.66);
        });
    }

    private static String lock(SteerFigures s, Side way) {
        SteerFigures.Lock lock = s.lock(way);
        return lock.hit().limit().label() + " at "
                + LengthText.decimal(Math.abs(lock.turn().steeringWheelDeg()), 0) + "°";
    }

    /**
     * The operating angle of the selected joint: from where the shaft before would go straight on, to the shaft after.
     */
    private void bend(GraphicsContext g, AngleHandle.Seen a) {
        g.setStroke(ink(ColorToken.ACCENT));
        g.setLineWidth(1.2);
        g.setLineDashes(4, 3);
        double on = a.radius() + 14;
        g.strokeLine(a.x(), a.y(), a.x() + on * Math.cos(a.straightOn()), a.y() + on * Math.sin(a.straightOn()));
        g.setLineDashes();
        g.strokeArc(
                a.x() - a.radius(),
                a.y() - a.radius(),
                2 * a.radius(),
                2 * a.radius(),
                -Math.toDegrees(a.straightOn()),
                -Math.toDegrees(a.between()),
                ArcType.OPEN);
    }

    private void constructionLine(GraphicsContext g, SheetView v, Stroke s) {
        if (s instanceof Stroke.Outline tyre) {
            List<Outlines.Flat> hull = Outlines.of(tyre, elevation);
            double[] xs = hull.stream()
                    .mapToDouble(f -> v.originX() + f.across() * v.pixelsPerMm())
                    .toArray();
            double[] ys = hull.stream()
                    .mapToDouble(f -> v.originY() - f.up() * v.pixelsPerMm())
                    .toArray();
            boolean envelope = s.pen() == Pen.ENVELOPE;
            g.setGlobalAlpha(envelope ? 0.04 : 0.07);
            g.setFill(ink(ColorToken.ACCENT));
            g.fillPolygon(xs, ys, xs.length);
            g.setGlobalAlpha(envelope ? 0.16 : 0.45);
            g.setStroke(ink(ColorToken.ACCENT));
            g.setLineWidth(0.8);
            g.setLineDashes(3, 3);
            g.strokePolygon(xs, ys, xs.length);
            g.setLineDashes();
            g.setGlobalAlpha(1);
            return;
        }
        double[] xs = s.points().stream().mapToDouble(v::x).toArray();
        double[] ys = s.points().stream().mapToDouble(v::y).toArray();
        if (s.pen() == Pen.LOCK_ARC && s.element().equals(Optional.of(new Element.Tyres()))) {
            g.setGlobalAlpha(0.1);
            g.setFill(ink(ColorToken.ACCENT));
            g.fillPolygon(xs, ys, xs.length);
            g.setGlobalAlpha(1);
        }
        g.setStroke(ink(s.pen() == Pen.TURN_AXIS ? ColorToken.FAINT : ColorToken.ACCENT));
        g.setLineWidth(1);
        g.setLineDashes(s.pen() == Pen.TURN_AXIS ? new double[] {12, 4, 2, 4} : new double[] {4, 3});
        g.strokePolyline(xs, ys, xs.length);
        g.setLineDashes();
    }

    private boolean ofStage(Element element) {
        return StageParts.about(bench.stageProperty().get(), element);
    }

    private boolean selected(Optional<Element> element) {
        return element.isPresent() && bench.selectionProperty().get().equals(element);
    }

    private void stroke(GraphicsContext g, SheetView v, Stroke s, LabelPlacer placer) {
        boolean chosen = selected(s.element());
        boolean quiet =
                PenLook.quiet(s.pen()) || !s.element().map(this::ofStage).orElse(false);
        g.setStroke(ink(
                chosen
                        ? ColorToken.ACCENT
                        : quiet ? ColorToken.FAINT : s.pen() == Pen.HOT ? ColorToken.LOOK : ColorToken.LINE));
        g.setLineWidth(PenLook.width(s.pen()) * (large ? 1 : 0.6) + (chosen ? 1.5 : 0));
        if (s.pen() == Pen.SWEPT) {
            g.setLineDashes(3, 3);
        }
        if (scanned(s)) {
            g.setLineWidth(0.6);
        }
        if (s.pen() == Pen.STEER_AXIS) {
            g.setLineDashes(9, 3, 2, 3);
        }
        switch (s) {
            case Stroke.Line line -> {
                double[] xs = line.points().stream().mapToDouble(v::x).toArray();
                double[] ys = line.points().stream().mapToDouble(v::y).toArray();
                g.strokePolyline(xs, ys, xs.length);
                for (int i = 1; i < xs.length && s.pen().matters(); i++) {
                    placer.keepClear(xs[i - 1], ys[i - 1], xs[i], ys[i]);
                }
            }
            case Stroke.Outline outline -> {
                List<Outlines.Flat> hull = hull(outline);
                double[] xs = hull.stream()
                        .mapToDouble(f -> v.originX() + f.across() * v.pixelsPerMm())
                        .toArray();
                double[] ys = hull.stream()
                        .mapToDouble(f -> v.originY() - f.up() * v.pixelsPerMm())
                        .toArray();
                g.strokePolygon(xs, ys, xs.length);
            }
        }
        g.setLineDashes();
    }

    private List<Outlines.Flat> hull(Stroke.Outline outline) {
        List<Outlines.Flat> known = hulls.get(outline);
        List<Outlines.Flat> hull = known != null ? known : Outlines.of(outline, elevation);
        drawnHulls.put(outline, hull);
        return hull;
    }

    /** A triangle of a scan: there are many. */
    private static boolean scanned(Stroke s) {
        return s instanceof Stroke.Line && (s.pen() == Pen.OBSTACLE || s.pen() == Pen.HOT);
    }
}
