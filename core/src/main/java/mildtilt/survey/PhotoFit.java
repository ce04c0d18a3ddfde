package mildtilt.survey;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import mildtilt.geometry.Frame;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidFit;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.photograph.Lens;
import mildtilt.photograph.MarkSeen;
import mildtilt.photograph.Photograph;
import mildtilt.photograph.Resection;
import mildtilt.photograph.SeenRectangle;
import mildtilt.photograph.TargetSheet;
import mildtilt.photograph.Turn;
import mildtilt.survey.Reading.AboveSheet;
import mildtilt.survey.Reading.InPlane;
import mildtilt.survey.Reading.Sighted;

/**
 * The photographs' share of a survey's fit: where each camera stood, where the sheet lies and how large it was printed,
 * and what each lens is like, all settled together with the points (a bundle adjustment). Photographs of one size and
 * one stated lens share a lens. A rectangle of known size in a photograph is a body of its own, with its two sides.
 *
 * <p>Its unknowns are scaled so that a step of 1 moves what is seen from about a metre by about a millimetre: angles,
 * the scale and the lens are in thousandths.
 */
final class PhotoFit {

    /** What a frame is to itself. */
    private static final Frame OWN = new Frame(Point.ORIGIN, Vector.X, Vector.Y, Vector.Z);

    private static final int PER_PHOTO = 6;
    private static final int PER_SHEET = 7;
    private static final int PER_LENS = 5;
    private static final int PER_RECTANGLE = 8;
    private static final int CORNERS = 4;
    private static final double THOUSANDTH = 1e-3;

    /** What is known of any phone's lens, ± : its centre as a part of the picture's longer side, and its distortion. */
    private static final double CENTRE_SPREAD = 0.01;

    private static final double K1_SPREAD = 0.1;
    private static final double K2_SPREAD = 0.1;

    private final int first;
    private final List<Photograph> used = new ArrayList<>();
    private final Map<Id, Integer> index = new LinkedHashMap<>();
    private final List<Frame> poses = new ArrayList<>();
    private final PlacedSheet placed;
    private final boolean seesSheet;
    private final Frame sheet;
    private final List<Photograph> lensOf = new ArrayList<>();
    private final List<Photograph> rectangles = new ArrayList<>();
    private final Map<Id, Point> starts;

    /** A rectangle where it is, and how large. */
    record Placed(Frame frame, double wide, double high) {

        Point corner(int corner) {
            Point p = SeenRectangle.corner(corner, wide, high);
            return frame.origin().plus(frame.world(p.minus(Point.ORIGIN)));
        }
    }

    /** All at one set of unknowns. */
    record State(List<Frame> poses, Frame sheet, double scale, List<Lens> lenses, Map<Id, Placed> rectangles) {}

    /**
     * @param points with where they are seen
     * @param known where points are thought to be by all else
     * @param first of the unknowns that are the photographs'
     */
    PhotoFit(Survey survey, List<SurveyPoint> points, Map<Id, Point> known, int first) {
        this.first = first;
        placed = survey.sheet();
        Map<Id, Frame> bySheet = new LinkedHashMap<>();
        for (Photograph p : survey.photographs()) {
            Resection.ofSheet(p.lens(), p.marks()).ifPresent(f -> bySheet.put(p.id(), f));
        }
        // In the sheet's frame first: that needs nothing but the photographs.
        Map<Id, Point> onSheet = new HashMap<>();
        boolean more = true;
        while (more) {
            triangulate(survey, points, bySheet, onSheet);
            more = resect(survey, points, bySheet, onSheet);
        }
        sheet = placed.laid().map(PlacedSheet.Laid::frame).orElseGet(() -> aligned(onSheet, known));
        RigidMove to = RigidMove.between(OWN, sheet);
        Map<Id, Frame> all = new LinkedHashMap<>();
        bySheet.forEach((id, f) -> all.put(id, to.frame(f)));
        for (Photograph p : survey.photographs()) {
            p.rectangle()
                    .filter(_ -> !all.containsKey(p.id()))
                    .flatMap(r -> ofRectangle(p.lens(), r))
                    .ifPresent(f -> all.put(p.id(), f));
        }
        starts = new HashMap<>(known);
        onSheet.forEach((id, p) -> starts.put(id, to.moved(p)));
        crossed(survey, points, all);
        if (resect(survey, points, all, starts)) {
            crossed(survey, points, all);
        }
        for (Photograph p : survey.photographs()) {
            Frame f = all.get(p.id());
            if (f != null) {
                index.put(p.id(), used.size());
                used.add(p);
                poses.add(f);
                if (lensOf.stream().noneMatch(p::sameLens)) {
                    lensOf.add(p);
                }
                if (p.rectangle().isPresent()) {
                    rectangles.add(p);
                }
            }
        }
        seesSheet = used.stream().anyMatch(p -> !p.marks().isEmpty());
        points.forEach(p -> inPlane(p, all).ifPresent(x -> starts.put(p.id(), x)));
    }

    /** Points that lines of sight of all cameras cross at begin there, unless they were known. */
    private void crossed(Survey survey, List<SurveyPoint> points, Map<Id, Frame> cameras) {
        Map<Id, Point> crossings = new HashMap<>();
        triangulate(survey, points, cameras, crossings);
        crossings.forEach(starts::putIfAbsent);
    }

    /** Where a camera stood by the rectangle alone, that being where it is said to be. */
    private static Optional<Frame> ofRectangle(Lens lens, SeenRectangle r) {
        List<Resection.Drawn> drawn = new ArrayList<>();
        for (int c = 0; c < CORNERS; c++) {
            drawn.add(new Resection.Drawn(
                    SeenRectangle.corner(c, r.wide(), r.high()), r.corners().get(c)));
        }
        return Resection.inPlane(lens, drawn)
                .map(RigidMove.between(OWN, r.stands().frame())::frame);
    }

    /** Where one line of sight meets the plane that a point is said to lie in; empty where two lines place it. */
    private Optional<Point> inPlane(SurveyPoint p, Map<Id, Frame> cameras) {
        List<Sighted> seen =
                p.sights().stream().filter(s -> uses(s.photograph())).toList();
        if (seen.size() != 1) {
            return Optional.empty();
        }
        Photograph photograph = used.get(photo(seen.getFirst().photograph()));
        SightLine line = SightLine.of(
                Objects.requireNonNull(cameras.get(photograph.id())),
                photograph.lens(),
                new Lens.Pixel(seen.getFirst().across(), seen.getFirst().down()));
        for (Reading r : p.readings()) {
            Optional<Frame> plane =
                    switch (r) {
                        case AboveSheet _ -> Optional.of(sheet);
                        case InPlane q ->
                            rectangle(q.photograph()).map(x -> x.stands().frame());
                        default -> Optional.empty();
                    };
            double height = r instanceof AboveSheet a ? a.height() : r instanceof InPlane q ? q.height() : 0;
            Optional<Point> at = plane.flatMap(f -> line.meets(f, height));
            if (at.isPresent()) {
                return at;
            }
        }
        return Optional.empty();
    }

    /** The rectangle in a photograph that is used. */
    private Optional<SeenRectangle> rectangle(Id photograph) {
        return uses(photograph) ? used.get(photo(photograph)).rectangle() : Optional.empty();
    }

    /** Whether it is known where the rectangle in a photograph is. */
    boolean placesRectangle(Id photograph) {
        return rectangle(photograph).isPresent();
    }

    /** Where points are to begin: by the photographs, else as they were known. */
    Map<Id, Point> starts() {
        return starts;
    }

    boolean uses(Id photograph) {
        return index.containsKey(photograph);
    }

    List<Photograph> used() {
        return used;
    }

    boolean seesSheet() {
        return seesSheet;
    }

    /** Why a photograph can't be used. */
    static String whyNot(Photograph p) {
        if (p.rectangle().isPresent() || p.marks().size() >= Resection.LEAST_IN_PLANE) {
            return "What is marked in it allows no place for its camera: are the corners and the size right?";
        }
        return "It shows " + p.marks().size() + (p.marks().size() == 1 ? " mark" : " marks")
                + " of the sheet: four are needed, or the corners of a rectangle, or six points that other photographs "
                + "or readings locate.";
    }

    /** Points that two lines of sight cross at, in the frame of the cameras. */
    private static void triangulate(
            Survey survey, List<SurveyPoint> points, Map<Id, Frame> cameras, Map<Id, Point> to) {
        for (SurveyPoint p : points) {
            List<SightLine> lines = new ArrayList<>();
            for (Sighted s : p.sights()) {
                Frame camera = cameras.get(s.photograph());
                if (camera != null) {
                    Lens lens = survey.photograph(s.photograph()).orElseThrow().lens();
                    lines.add(SightLine.of(camera, lens, new Lens.Pixel(s.across(), s.down())));
                }
            }
            SightLine.crossing(lines).ifPresent(x -> to.put(p.id(), x));
        }
    }

    /** Cameras that see enough of the points that are known. @return whether one was found */
    private static boolean resect(
            Survey survey, List<SurveyPoint> points, Map<Id, Frame> cameras, Map<Id, Point> known) {
        boolean found = false;
        for (Photograph p : survey.photographs()) {
            if (cameras.containsKey(p.id())) {
                continue;
            }
            List<Resection.Drawn> drawn = new ArrayList<>();
            for (SurveyPoint q : points) {
                Point at = known.get(q.id());
                if (at != null) {
                    q.sights().stream()
                            .filter(s -> s.photograph().equals(p.id()))
                            .forEach(s -> drawn.add(new Resection.Drawn(at, new Lens.Pixel(s.across(), s.down()))));
                }
            }
            Optional<Frame> f = Resection.inSpace(p.lens(), drawn);
            f.ifPresent(x -> cameras.put(p.id(), x));
            found |= f.isPresent();
        }
        return found;
    }

    /** The sheet put so that what was seen comes nearest to where it is thought to be; flat on the floor if unknown. */
    private static Frame aligned(Map<Id, Point> onSheet, Map<Id, Point> known) {
        List<Point> from = new ArrayList<>();
        List<Point> to = new ArrayList<>();
        onSheet.forEach((id, p) -> {
            Point k = known.get(id);
            if (k != null) {
                from.add(p);
                to.add(k);
            }
        });
        return RigidFit.of(from, to).map(m -> m.frame(OWN)).orElseGet(PlacedSheet.Laid.BY_EYE::frame);
    }

    int unknowns() {
        return PER_PHOTO * used.size()
                + (seesSheet ? PER_SHEET : 0)
                + PER_LENS * lensOf.size()
                + PER_RECTANGLE * rectangles.size();
    }

    int rows() {
        int marks = used.stream().mapToInt(p -> p.marks().size()).sum();
        return 2 * marks
                + (seesSheet ? 1 + (placed.laid().isPresent() ? 6 : 0) : 0)
                + PER_LENS * lensOf.size()
                + (2 * CORNERS + PER_RECTANGLE) * rectangles.size();
    }

    State state(double[] x) {
        List<Frame> now = new ArrayList<>();
        int k = first;
        for (Frame f : poses) {
            now.add(Turn.by(vector(x, k), vector(x, k + 3).times(THOUSANDTH), f));
            k += PER_PHOTO;
        }
        Frame s = sheet;
        double scale = placed.scale();
        if (seesSheet) {
            s = Turn.by(vector(x, k), vector(x, k + 3).times(THOUSANDTH), sheet);
            scale *= 1 + THOUSANDTH * x[k + 6];
            k += PER_SHEET;
        }
        List<Lens> lenses = new ArrayList<>();
        for (Photograph p : lensOf) {
            Lens l = p.lens();
            lenses.add(new Lens(
                    l.focal() * Math.exp(THOUSANDTH * x[k]),
                    l.across() + x[k + 1],
                    l.down() + x[k + 2],
                    THOUSANDTH * x[k + 3],
                    THOUSANDTH * x[k + 4]));
            k += PER_LENS;
        }
        Map<Id, Placed> placedRectangles = new HashMap<>();
        for (Photograph p : rectangles) {
            SeenRectangle r = p.rectangle().orElseThrow();
            placedRectangles.put(
                    p.id(),
                    new Placed(
                            Turn.by(
                                    vector(x, k),
                                    vector(x, k + 3).times(THOUSANDTH),
                                    r.stands().frame()),
                            r.wide() * Math.exp(THOUSANDTH * x[k + 6]),
                            r.high() * Math.exp(THOUSANDTH * x[k + 7])));
            k += PER_RECTANGLE;
        }
        return new State(now, s, scale, lenses, placedRectangles);
    }

    private static Vector vector(double[] x, int k) {
        return new Vector(x[k], x[k + 1], x[k + 2]);
    }

    Lens lens(State s, Id photograph) {
        Photograph p = used.get(photo(photograph));
        for (int i = 0; i < lensOf.size(); i++) {
            if (lensOf.get(i).sameLens(p)) {
                return s.lenses.get(i);
            }
        }
        throw new IllegalStateException("no lens");
    }

    private int photo(Id photograph) {
        return Objects.requireNonNull(index.get(photograph));
    }

    Frame camera(State s, Id photograph) {
        return s.poses.get(photo(photograph));
    }

    /** Where a point is drawn. */
    Lens.Pixel drawn(State s, Id photograph, Point p) {
        Frame camera = camera(s, photograph);
        return lens(s, photograph).drawn(camera.local(p.minus(camera.origin())));
    }

    /** Where a mark of the sheet is. */
    static Point mark(State s, int mark) {
        Point p = TargetSheet.place(mark);
        return s.sheet.origin().plus(s.sheet.world(new Vector(p.x() * s.scale, p.y() * s.scale, 0)));
    }

    /**
     * Puts the photographs' own rows from k on: marks of the sheet and corners of the rectangle, photograph by
     * photograph; where the sheet was laid, its scale, the lenses, and where the rectangles were and how large.
     */
    int put(double[] r, int k, State s, double[] x) {
        int at = k;
        for (Photograph p : used) {
            for (MarkSeen m : p.marks()) {
                Lens.Pixel d = drawn(s, p.id(), mark(s, m.mark()));
                r[at++] = (d.across() - m.across()) / MarkSeen.SPREAD;
                r[at++] = (d.down() - m.down()) / MarkSeen.SPREAD;
            }
            if (p.rectangle().isPresent()) {
                Placed there = Objects.requireNonNull(s.rectangles.get(p.id()));
                for (int c = 0; c < CORNERS; c++) {
                    Lens.Pixel pressed = p.rectangle().get().corners().get(c);
                    Lens.Pixel d = drawn(s, p.id(), there.corner(c));
                    r[at++] = (d.across() - pressed.across()) / SeenRectangle.CORNER_SPREAD;
                    r[at++] = (d.down() - pressed.down()) / SeenRectangle.CORNER_SPREAD;
                }
            }
        }
        int u = first + PER_PHOTO * used.size();
        if (seesSheet) {
            r[at++] = (s.scale / placed.scale() - 1) * placed.bar() / placed.barSpread();
            if (placed.laid().isPresent()) {
                PlacedSheet.Laid laid = placed.laid().get();
                at = stood(r, at, laid.frame(), s.sheet, laid.spread(), laid.spreadDeg());
            }
            u += PER_SHEET;
        }
        for (Photograph p : lensOf) {
            double centre = CENTRE_SPREAD * Math.max(p.width(), p.height());
            r[at++] = THOUSANDTH * x[u] / p.focalSpread();
            r[at++] = x[u + 1] / centre;
            r[at++] = x[u + 2] / centre;
            r[at++] = THOUSANDTH * x[u + 3] / K1_SPREAD;
            r[at++] = THOUSANDTH * x[u + 4] / K2_SPREAD;
            u += PER_LENS;
        }
        for (Photograph p : rectangles) {
            SeenRectangle q = p.rectangle().orElseThrow();
            SeenRectangle.Standing stands = q.stands();
            Placed there = Objects.requireNonNull(s.rectangles.get(p.id()));
            at = stood(r, at, stands.frame(), there.frame, stands.spread(), stands.spreadDeg());
            r[at++] = (there.wide - q.wide()) / q.spread();
            r[at++] = (there.high - q.high()) / q.spread();
        }
        return at;
    }

    /** The six rows of where a body was said to be. */
    private static int stood(double[] r, int k, Frame said, Frame is, double spread, double spreadDeg) {
        int at = k;
        Vector off = is.origin().minus(said.origin());
        Vector turn = Turn.between(said, is);
        for (double d : new double[] {off.x(), off.y(), off.z()}) {
            r[at++] = d / spread;
        }
        for (double d : new double[] {turn.x(), turn.y(), turn.z()}) {
            r[at++] = Math.toDegrees(d) / spreadDeg;
        }
        return at;
    }
}
