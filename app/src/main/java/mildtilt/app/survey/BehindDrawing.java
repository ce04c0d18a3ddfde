package mildtilt.app.survey;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import javafx.scene.image.Image;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import mildtilt.app.workbench.PictureBehind;
import mildtilt.drawing.Elevation;
import mildtilt.geometry.Frame;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.photograph.Photograph;
import mildtilt.photograph.SeenRectangle;
import mildtilt.photograph.SquareOn;
import mildtilt.photograph.SquareOn.Picture;
import mildtilt.survey.Surveyed.PhotoPlace;

/** Draws the plane of a photograph's rectangle square on, to lie behind the elevation that looks at it. */
final class BehindDrawing {

    /** So many pixels at most, the longer side of what is drawn and of the photograph it is drawn from. */
    private static final int LONGEST = 1500;

    private static final int LONGEST_READ = 3000;
    /** What is shown about the rectangle, in its own longer side. */
    private static final double ABOUT = 2.5;
    /** And at least so far each way, mm. */
    private static final double LEAST_ABOUT = 1000;
    /** A plane seen from a way within this of edge on is not drawn. */
    private static final double LEAST_FACING = 0.2;

    private BehindDrawing() {}

    static Elevation elevation(SeenRectangle r) {
        return switch (r.stands().from()) {
            case LEFT, RIGHT -> Elevation.SIDE;
            case FRONT, BACK -> Elevation.FRONT;
            case ABOVE -> Elevation.PLAN;
        };
    }

    /** Takes a second or so; empty if the file is no picture. @param place of the camera, with the rectangle's plane */
    static Optional<PictureBehind> of(Path file, Photograph p, PhotoPlace place) {
        SeenRectangle r = p.rectangle().orElseThrow();
        Frame plane = place.plane().orElseThrow();
        Elevation elevation = elevation(r);
        Vector toward = elevation.right().cross(elevation.upward());
        double facing = plane.g().dot(toward);
        if (Math.abs(facing) < LEAST_FACING) {
            return Optional.empty();
        }
        double by = Math.min(1, (double) LONGEST_READ / Math.max(p.width(), p.height()));
        Image taken = new Image(file.toUri().toString(), p.width() * by, p.height() * by, false, true);
        if (taken.isError()) {
            return Optional.empty();
        }
        double room = Math.max(LEAST_ABOUT, ABOUT * Math.max(r.wide(), r.high()) / 2);
        List<Point> about = IntStream.range(0, 4)
                .mapToObj(c -> SeenRectangle.corner(c, r.wide(), r.high()))
                .map(c -> plane.origin().plus(plane.world(c.minus(Point.ORIGIN))))
                .toList();
        double left = about.stream().mapToDouble(elevation::across).min().orElseThrow() - room;
        double right = about.stream().mapToDouble(elevation::across).max().orElseThrow() + room;
        double low = about.stream().mapToDouble(elevation::up).min().orElseThrow() - room;
        double top = about.stream().mapToDouble(elevation::up).max().orElseThrow() + room;
        double mm = Math.max(right - left, top - low) / LONGEST;
        int w = (int) Math.ceil((right - left) / mm);
        int h = (int) Math.ceil((top - low) / mm);
        int tw = (int) taken.getWidth();
        int th = (int) taken.getHeight();
        int[] pixels = new int[tw * th];
        taken.getPixelReader().getPixels(0, 0, tw, th, PixelFormat.getIntArgbInstance(), pixels, 0, tw);
        Picture drawn = SquareOn.drawn(
                new Picture(tw, th, pixels), place.camera().orElseThrow(), place.lens(), p.width(), w, h, (x, y) -> {
                    Point on = Point.ORIGIN.plus(elevation.inSpace(left + x * mm, top - y * mm));
                    return on.plus(toward.times(plane.g().dot(plane.origin().minus(on)) / facing));
                });
        WritableImage image = new WritableImage(w, h);
        image.getPixelWriter().setPixels(0, 0, w, h, PixelFormat.getIntArgbInstance(), drawn.argb(), 0, w);
        return Optional.of(new PictureBehind(elevation, image, left, top, w * mm, h * mm));
    }
}
