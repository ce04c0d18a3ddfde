package mildtilt.app.survey;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Point2D;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.text.Text;
import javafx.scene.transform.Affine;
import javafx.scene.transform.NonInvertibleTransformException;
import mildtilt.app.controls.CanvasPane;
import mildtilt.app.controls.ColorToken;
import mildtilt.app.controls.Fonts;
import mildtilt.app.workbench.SideTab;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.geometry.Frame;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.job.Names;
import mildtilt.photograph.Lens;
import mildtilt.photograph.MarkSeen;
import mildtilt.photograph.Photograph;
import mildtilt.survey.Reading.Sighted;
import mildtilt.survey.SightLine;
import mildtilt.survey.SurveyPoint;
import mildtilt.survey.Surveyed;

/**
 * One photograph, with what is seen in it. Pressing it says where the chosen point is; where that must lie by the other
 * photographs is drawn as a line, or once two have it as a circle.
 */
public final class PhotographView extends CanvasPane {

    /** So wide and high at most a picture is held to be drawn, px; places in it stay those of the file. */
    private static final double MOST_DRAWN = 4096;
    /** Of a found mark's circle, px of the file. */
    private static final double MARK_RADIUS = 8;

    private static final double ZOOM_STEP = 1.0015;
    private static final double MOST_ZOOM = 20;
    private static final double A_PRESS = 4;
    /** Along a line of sight, from here to there, mm. */
    private static final double NEAREST = 200;

    private static final double FURTHEST = 8000;
    private static final int STEPS = 120;

    private final Workbench bench;
    private final SurveyDesk desk;
    private final Text measured = new Text();
    private Optional<Path> shown = Optional.empty();
    private Names names;
    private Optional<Image> image = Optional.empty();
    /** Of the picture on the pane: pixels of the pane for one of the file, and where the picture's corner is. */
    private double scale = 1;

    private double left;
    private double top;
    private boolean fitted;
    private double pressedX;
    private double pressedY;
    private double wasLeft;
    private double wasTop;

    public PhotographView(Workbench bench, SurveyDesk desk) {
        this.bench = bench;
        this.desk = desk;
        setId("photograph-view");
        names = Names.of(bench.job());
        setFocusTraversable(true);
        measured.setFont(Fonts.text(12));
        setAccessibleText("Photograph: press where the chosen point is");
        bench.jobProperty().addListener((_, _, _) -> again());
        bench.fileProperty().addListener((_, _, _) -> again());
        desk.photographProperty().addListener((_, _, _) -> again());
        desk.pointProperty().addListener((_, _, _) -> redraw());
        desk.cornersProperty().addListener((_, _, _) -> redraw());
        desk.proposalProperty().addListener((_, _, _) -> redraw());
        desk.settledProperty().addListener((_, _, _) -> redraw());
        visibleProperty().addListener((_, _, _) -> again());
        widthProperty().addListener((_, _, _) -> showWhole());
        heightProperty().addListener((_, _, _) -> showWhole());
        addEventHandler(MouseEvent.MOUSE_PRESSED, this::pressed);
        addEventHandler(MouseEvent.MOUSE_DRAGGED, this::dragged);
        addEventHandler(MouseEvent.MOUSE_RELEASED, this::released);
        addEventHandler(ScrollEvent.SCROLL, e -> {
            zoom(Math.pow(ZOOM_STEP, e.getDeltaY()), e.getX(), e.getY());
            e.consume();
        });
        addEventHandler(KeyEvent.KEY_PRESSED, this::key);
        again();
    }

    /** Whether photographs are what is to be seen now. */
    public static boolean wanted(Workbench bench) {
        return bench.stageProperty().get() == WorkStage.SURVEY
                && bench.sideTabProperty().get() == SideTab.PHOTOGRAPHS;
    }

    private void again() {
        if (!isVisible()) {
            return;
        }
        names = Names.of(bench.job());
        Optional<Photograph> now = desk.photograph();
        // By its file: another job's first photograph has the same id.
        Optional<Path> file = now.flatMap(desk::file).filter(Files::isRegularFile);
        if (!file.equals(shown)) {
            shown = file;
            setUserData(file);
            fitted = false;
            image = now.flatMap(p -> file.map(f -> {
                double by = Math.min(1, MOST_DRAWN / Math.max(p.width(), p.height()));
                Image i = new Image(f.toUri().toString(), p.width() * by, p.height() * by, false, true, true);
                i.progressProperty().addListener((_, _, done) -> {
                    if (done.doubleValue() >= 1) {
                        redraw();
                    }
                });
                return i;
            }));
        }
        redraw();
    }

    private void fit(Photograph p, double w, double h) {
        boolean side = p.turnedDeg() % 180 != 0;
        double across = side ? p.height() : p.width();
        double down = side ? p.width() : p.height();
        scale = Math.min(w / across, h / down);
        left = (w - across * scale) / 2;
        top = (h - down * scale) / 2;
        fitted = true;
    }

    /** A place of the file on the pane. */
    private static Affine toPane(Photograph p, double scale, double left, double top) {
        Affine a = new Affine();
        a.appendTranslation(left, top);
        a.appendScale(scale, scale);
        switch (p.turnedDeg()) {
            case 90 -> a.appendTranslation(p.height(), 0);
            case 180 -> a.appendTranslation(p.width(), p.height());
            case 270 -> a.appendTranslation(0, p.width());
            default -> {}
        }
        a.appendRotation(p.turnedDeg());
        return a;
    }

    private Affine toPane(Photograph p) {
        return toPane(p, scale, left, top);
    }

    @Override
    protected void draw(GraphicsContext g, double w, double h) {
        if (!isVisible() || w < 10 || h < 10) {
            return;
        }
        Optional<Photograph> now = desk.photograph();
        if (now.isEmpty()) {
            drawNothing(
                    g, 24, h, "No photographs yet.", "Print the sheet, take some, and add them: the panel says how.");
            return;
        }
        Photograph p = now.get();
        if (image.isEmpty() || image.get().isError()) {
            drawNothing(g, 24, h, "Not there: " + p.file(), "Its places are kept. Put the file back beside the job.");
            return;
        }
        if (!fitted) {
            fit(p, w, h);
        }
        Affine to = toPane(p);
        g.save();
        g.setTransform(to);
        g.drawImage(image.get(), 0, 0, p.width(), p.height());
        g.restore();
        g.setLineWidth(1.4);
        g.setFont(Fonts.text(12));
        double round = Math.clamp(MARK_RADIUS * scale, 2, 8);
        for (MarkSeen m : p.marks()) {
            circle(g, to, new Lens.Pixel(m.across(), m.down()), round, ColorToken.FINE);
        }
        corners(p).ifPresent(c -> rectangle(g, to, c.pressed(), false));
        p.rectangle().ifPresent(r -> rectangle(g, to, r.corners(), true));
        Job job = bench.job();
        Optional<Id> chosen = desk.pointProperty().get();
        for (SurveyPoint q : job.survey().points()) {
            sight(q, p)
                    .ifPresent(s -> cross(
                            g,
                            to,
                            new Lens.Pixel(s.across(), s.down()),
                            names.apply(q.id()),
                            chosen.filter(q.id()::equals).isPresent()));
        }
        desk.surveyed().ifPresent(s -> chosen.ifPresent(c -> guide(g, to, p, s, c)));
        proposed(p).ifPresent(at -> {
            g.setLineDashes(4, 4);
            circle(g, to, at, 12, ColorToken.ACCENT);
            g.setLineDashes();
        });
    }

    private static Optional<Sighted> sight(SurveyPoint q, Photograph p) {
        return q.sights().stream().filter(s -> s.photograph().equals(p.id())).findFirst();
    }

    /** The rectangle of this photograph that is being pressed. */
    private Optional<SurveyDesk.Corners> corners(Photograph p) {
        return desk.cornersProperty().get().filter(c -> c.photograph().equals(p.id()));
    }

    private void rectangle(GraphicsContext g, Affine to, List<Lens.Pixel> corners, boolean closed) {
        List<Point2D> at =
                corners.stream().map(c -> to.transform(c.across(), c.down())).toList();
        g.setStroke(ink(ColorToken.LOOK));
        for (int i = 0; i < at.size(); i++) {
            Point2D a = at.get(i);
            g.strokeOval(a.getX() - 5, a.getY() - 5, 10, 10);
            if (closed || i + 1 < at.size()) {
                Point2D b = at.get((i + 1) % at.size());
                g.strokeLine(a.getX(), a.getY(), b.getX(), b.getY());
            }
        }
    }

    private void circle(GraphicsContext g, Affine to, Lens.Pixel at, double r, ColorToken ink) {
        Point2D c = to.transform(at.across(), at.down());
        g.setStroke(ink(ink));
        g.strokeOval(c.getX() - r, c.getY() - r, 2 * r, 2 * r);
    }

    private void cross(GraphicsContext g, Affine to, Lens.Pixel at, String name, boolean chosen) {
        Point2D c = to.transform(at.across(), at.down());
        double r = chosen ? 12 : 8;
        g.setStroke(ink(chosen ? ColorToken.LOOK : ColorToken.ACCENT));
        g.strokeLine(c.getX() - r, c.getY(), c.getX() + r, c.getY());
        g.strokeLine(c.getX(), c.getY() - r, c.getX(), c.getY() + r);
        measured.setText(name);
        double wide = measured.getLayoutBounds().getWidth() + 8;
        g.setFill(ink(ColorToken.PAPER));
        g.fillRect(c.getX() + 10, c.getY() - 22, wide, 17);
        g.setFill(ink(ColorToken.LINE));
        g.fillText(name, c.getX() + 14, c.getY() - 9);
    }

    /** Where the chosen point must lie by the other photographs. */
    private void guide(GraphicsContext g, Affine to, Photograph p, Surveyed s, Id chosen) {
        Optional<Surveyed.PhotoPlace> here = s.located(p.id());
        if (here.isEmpty()) {
            return;
        }
        Frame camera = here.get().camera().orElseThrow();
        Optional<Point> at = Optional.ofNullable(s.places().get(chosen)).map(Surveyed.Place::at);
        if (at.isPresent()) {
            drawn(camera, here.get().lens(), at.get()).ifPresent(d -> circle(g, to, d, 9, ColorToken.LOOK));
            return;
        }
        Optional<SurveyPoint> point = bench.job().survey().point(chosen);
        if (point.isEmpty()) {
            return;
        }
        g.setStroke(ink(ColorToken.LOOK));
        for (Photograph other : bench.job().survey().photographs()) {
            Optional<Sighted> seen = sight(point.get(), other);
            Optional<Surveyed.PhotoPlace> there = s.located(other.id());
            if (other.id().equals(p.id()) || seen.isEmpty() || there.isEmpty()) {
                continue;
            }
            SightLine line = SightLine.of(
                    there.get().camera().orElseThrow(),
                    there.get().lens(),
                    new Lens.Pixel(seen.get().across(), seen.get().down()));
            List<Point2D> path = new ArrayList<>();
            for (int i = 0; i <= STEPS; i++) {
                double far = NEAREST * Math.pow(FURTHEST / NEAREST, (double) i / STEPS);
                drawn(camera, here.get().lens(), line.from().plus(line.along().times(far)))
                        .ifPresent(d -> path.add(to.transform(d.across(), d.down())));
            }
            for (int i = 1; i < path.size(); i++) {
                g.strokeLine(
                        path.get(i - 1).getX(),
                        path.get(i - 1).getY(),
                        path.get(i).getX(),
                        path.get(i).getY());
            }
        }
    }

    /** Where the chosen point may be in this photograph. */
    private Optional<Lens.Pixel> proposed(Photograph p) {
        return desk.proposalProperty()
                .get()
                .filter(x -> x.photograph().equals(p.id())
                        && desk.pointProperty().get().equals(Optional.of(x.point())))
                .map(SurveyDesk.Proposal::at);
    }

    /** Where a place is drawn; empty if it is not ahead of the camera. */
    private static Optional<Lens.Pixel> drawn(Frame camera, Lens lens, Point at) {
        Vector v = camera.local(at.minus(camera.origin()));
        return v.z() > 10 && Math.hypot(v.x(), v.y()) < 2 * v.z() ? Optional.of(lens.drawn(v)) : Optional.empty();
    }

    private void showWhole() {
        fitted = false;
        redraw();
    }

    private void zoom(double by, double x, double y) {
        Optional<Photograph> p = desk.photograph();
        if (p.isEmpty() || !fitted) {
            return;
        }
        double to = Math.clamp(scale * by, 0.02, MOST_ZOOM);
        left = x - (x - left) * to / scale;
        top = y - (y - top) * to / scale;
        scale = to;
        redraw();
    }

    private void pressed(MouseEvent e) {
        requestFocus();
        pressedX = e.getX();
        pressedY = e.getY();
        wasLeft = left;
        wasTop = top;
    }

    private boolean moved(MouseEvent e) {
        return Math.hypot(e.getX() - pressedX, e.getY() - pressedY) > A_PRESS;
    }

    private void dragged(MouseEvent e) {
        if (moved(e)) {
            left = wasLeft + e.getX() - pressedX;
            top = wasTop + e.getY() - pressedY;
            redraw();
        }
    }

    private void released(MouseEvent e) {
        if (e.getButton() != MouseButton.PRIMARY || moved(e)) {
            return;
        }
        desk.photograph().filter(_ -> fitted).ifPresent(p -> {
            try {
                Point2D at = toPane(p).inverseTransform(e.getX(), e.getY());
                press(p, new Lens.Pixel(at.getX(), at.getY()));
            } catch (NonInvertibleTransformException x) {
                throw new IllegalStateException(x);
            }
        });
    }

    /** The chosen point is there. */
    private void press(Photograph p, Lens.Pixel at) {
        if (at.across() < 0 || at.down() < 0 || at.across() > p.width() || at.down() > p.height()) {
            return;
        }
        Optional<SurveyDesk.Corners> corners = corners(p);
        if (corners.isPresent()) {
            if (corners.get().sized()) {
                desk.press(corners.get(), at);
            } else {
                bench.refuse("Type how wide and how high the rectangle is first, in the panel.");
            }
            return;
        }
        Optional<Id> chosen = desk.pointProperty().get();
        if (chosen.isEmpty()) {
            bench.refuse("Choose the point you press first, in the panel.");
            return;
        }
        desk.press(p, chosen.get(), at);
    }

    /** Arrows move the chosen point's place by a quarter of a pixel; plus and minus zoom; 0 shows the whole. */
    private void key(KeyEvent e) {
        double x = 0;
        double y = 0;
        switch (e.getCode()) {
            case LEFT -> x = -1;
            case RIGHT -> x = 1;
            case UP -> y = -1;
            case DOWN -> y = 1;
            case PLUS, EQUALS, ADD -> zoom(1.25, getWidth() / 2, getHeight() / 2);
            case MINUS, SUBTRACT -> zoom(0.8, getWidth() / 2, getHeight() / 2);
            case DIGIT0, NUMPAD0 -> showWhole();
            case ENTER -> desk.takeProposal();
            default -> {
                return;
            }
        }
        e.consume();
        double dx = x / 4;
        double dy = y / 4;
        if (x != 0 || y != 0) {
            desk.photograph().ifPresent(p -> desk.pointProperty()
                    .get()
                    .flatMap(bench.job().survey()::point)
                    .flatMap(q -> sight(q, p))
                    .ifPresent(s -> {
                        Point2D by = turnedBack(p, dx, dy);
                        press(p, new Lens.Pixel(s.across() + by.getX(), s.down() + by.getY()));
                    }));
        }
    }

    private static Point2D turnedBack(Photograph p, double dx, double dy) {
        return switch (p.turnedDeg()) {
            case 90 -> new Point2D(dy, -dx);
            case 180 -> new Point2D(-dx, -dy);
            case 270 -> new Point2D(-dy, dx);
            default -> new Point2D(dx, dy);
        };
    }
}
