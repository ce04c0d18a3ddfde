package mildtilt.survey;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Frame;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.photograph.Lens;
import mildtilt.photograph.MarkSeen;
import mildtilt.photograph.Photograph;
import mildtilt.photograph.SeenRectangle;
import mildtilt.survey.Reading.AboveSheet;
import mildtilt.survey.Reading.Along;
import mildtilt.survey.Reading.Centre;
import mildtilt.survey.Reading.Height;
import mildtilt.survey.Reading.InPlane;
import mildtilt.survey.Reading.Middle;
import mildtilt.survey.Reading.MirrorOf;
import mildtilt.survey.Reading.OnLine;
import mildtilt.survey.Reading.PhoneSlope;
import mildtilt.survey.Reading.Plumb;
import mildtilt.survey.Reading.Sighted;
import mildtilt.survey.Reading.Slope;
import mildtilt.survey.Reading.Tape;
import mildtilt.survey.Surveyed.PhotoPlace;
import mildtilt.survey.Surveyed.Place;
import mildtilt.survey.Surveyed.ReadingCheck;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.linear.SingularValueDecomposition;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.util.Pair;

/**
 * All points of a survey settled at once by least squares, each reading weighed by its ±: residuals over spread,
 * Levenberg–Marquardt by
 * Hipparchus. What the readings leave open is seen in the singular values of the last Jacobian. With Q the inverse of
 * its normal matrix a
 * point's ± is the root of Q's diagonal; a reading's redundancy is 1 − (J Q Jᵀ)ᵢᵢ, and its residual over the root of
 * that is what W. Baarda's data
 * snooping looks at (A testing procedure for use in geodetic networks, 1968).
 */
public final class SurveyFit {

    /** A direction held by less than this part of the best held one is open. */
    private static final double OPEN = 1e-7;
    /** A point that moves this much in an open direction is open itself. */
    private static final double MOVES = 1e-3;
    /** A reading seen by the others by less than this can't be checked. */
    private static final double SEEN = 0.02;

    private static final double STEP = 1e-4;

    private final List<SurveyPoint> points;
    private final Map<Id, Integer> index = new LinkedHashMap<>();
    private final Map<Id, Point> starts;
    private final Optional<PhotoFit> photos;
    private final int rows;

    private SurveyFit(Survey survey, List<SurveyPoint> points, Function<Id, Optional<Point>> plan) {
        this.points = points;
        points.forEach(p -> index.put(p.id(), index.size()));
        Map<Id, Point> known = known(plan);
        PhotoFit fit = new PhotoFit(survey, points, known, 3 * points.size());
        // Where the cameras stood is worth knowing before any point is pressed in two of them.
        photos = fit.used().isEmpty() ? Optional.empty() : Optional.of(fit);
        starts = beside(photos.map(PhotoFit::starts).orElse(known));
        rows = points.stream()
                        .flatMap(p -> p.readings().stream())
                        .filter(this::counts)
                        .mapToInt(Reading::figures)
                        .sum()
                + photos.map(PhotoFit::rows).orElse(0);
    }

    /** Whether what a reading hangs on is there. */
    private boolean counts(Reading r) {
        return switch (r) {
            case Sighted s -> photos.filter(f -> f.uses(s.photograph())).isPresent();
            case AboveSheet _ -> photos.filter(PhotoFit::seesSheet).isPresent();
            case InPlane q ->
                photos.filter(f -> f.placesRectangle(q.photograph())).isPresent();
            default -> index.keySet().containsAll(r.others());
        };
    }

    /**
     * @param plan where a point is thought to be, if it is: of two places that suit as well, the one nearer to it is
     * meant
     * @param names what a point is called in what is said of it
     */
    public static Surveyed of(Survey survey, Function<Id, Optional<Point>> plan, Function<Id, String> names) {
        Map<Id, String> open = new TreeMap<>();
        List<SurveyPoint> left = new ArrayList<>(survey.points());
        // What hangs on a point that is not there, or has no reading, is open, and so is what hangs on that.
        boolean again = true;
        while (again) {
            Set<Id> there =
                    new LinkedHashSet<>(left.stream().map(SurveyPoint::id).toList());
            again = left.removeIf(p -> {
                Optional<Id> missing = p.readings().stream()
                        .flatMap(r -> r.others().stream())
                        .filter(o -> !there.contains(o))
                        .findFirst();
                if (p.readings().isEmpty()) {
                    open.put(p.id(), "Not measured yet.");
                } else {
                    missing.ifPresent(m -> open.put(
                            p.id(), "It is measured from \"" + names.apply(m) + "\", which is not located yet."));
                }
                return p.readings().isEmpty() || missing.isPresent();
            });
        }
        // What is under-measured is taken out, and the rest located again.
        while (!left.isEmpty()) {
            SurveyFit fit = new SurveyFit(survey, left, plan);
            List<SurveyPoint> bare = left.stream()
                    .filter(p -> p.readings().stream().noneMatch(fit::counts))
                    .toList();
            if (!bare.isEmpty()) {
                bare.forEach(p -> open.put(
                        p.id(),
                        p.readings().stream().anyMatch(Sighted.class::isInstance)
                                ? "It is seen only in photographs that can't be used yet."
                                : "It is measured only from points that are not located yet."));
                left.removeAll(bare);
                continue;
            }
            double[] at = fit.solved();
            Held held = fit.held(at);
            Map<Id, String> loose = fit.loose(held);
            if (loose.isEmpty()) {
                return fit.checks(at, held, open, survey);
            }
            open.putAll(loose);
            left.removeIf(p -> loose.containsKey(p.id()));
        }
        SurveyFit cameras = new SurveyFit(survey, List.of(), plan);
        if (cameras.photos.isPresent()) {
            double[] at = cameras.solved();
            return cameras.checks(at, cameras.held(at), open, survey);
        }
        return new Surveyed(Map.of(), open, List.of(), 0, Covariance.NONE, unused(survey, Optional.empty()), List.of());
    }

    /** Photographs whose cameras were not located, with why. */
    private static List<PhotoPlace> unused(Survey survey, Optional<PhotoFit> fit) {
        return survey.photographs().stream()
                .filter(p -> fit.filter(f -> f.uses(p.id())).isEmpty())
                .map(p -> new PhotoPlace(p.id(), Optional.empty(), p.lens(), Optional.empty(), 0, PhotoFit.whyNot(p)))
                .toList();
    }

    /** What is read straight off, else the plan's place. */
    private Map<Id, Point> known(Function<Id, Optional<Point>> plan) {
        Map<Id, Point> known = new HashMap<>();
        for (SurveyPoint p : points) {
            Optional<Point> planned = plan.apply(p.id());
            Optional<Plumb> plumb = first(p, Plumb.class);
            Optional<Height> height = first(p, Height.class);
            if (plumb.isPresent() || planned.isPresent() || height.isPresent()) {
                Point base = planned.orElse(new Point(0, 0, 300));
                known.put(
                        p.id(),
                        new Point(
                                plumb.map(Plumb::x).orElse(base.x()),
                                plumb.map(Plumb::y).orElse(base.y()),
                                height.map(Height::z).orElse(base.z())));
            }
        }
        return known;
    }

    /** What is not known yet is put beside what it is measured from. */
    private Map<Id, Point> beside(Map<Id, Point> known) {
        Map<Id, Point> all = new HashMap<>(known);
        for (int pass = 0; pass < points.size() + 1; pass++) {
            for (SurveyPoint p : points) {
                if (!all.containsKey(p.id())) {
                    beside(p, all).ifPresent(x -> all.put(p.id(), x));
                }
            }
        }
        return all;
    }

    private double[] start() {
        double[] at =
                new double[3 * points.size() + photos.map(PhotoFit::unknowns).orElse(0)];
        for (SurveyPoint p : points) {
            Point x = starts.getOrDefault(p.id(), new Point(0, 0, 300));
            int i = 3 * row(p.id());
            at[i] = x.x();
            at[i + 1] = x.y();
            at[i + 2] = x.z();
        }
        return at;
    }

    private static <T extends Reading> Optional<T> first(SurveyPoint p, Class<T> kind) {
        return p.readings().stream().filter(kind::isInstance).map(kind::cast).findFirst();
    }

    private static Optional<Point> beside(SurveyPoint p, Map<Id, Point> known) {
        for (Reading r : p.readings()) {
            if (r.others().isEmpty() || !known.keySet().containsAll(r.others())) {
                continue;
            }
            Point from = known(known, r.others().getFirst());
            switch (r) {
                case MirrorOf _ -> {
                    return Optional.of(from.mirrored());
                }
                case Middle m -> {
                    return Optional.of(from.midwayTo(known(known, m.other())));
                }
                case Along a -> {
                    return Optional.of(from.plus(
                            known(known, a.toward()).minus(from).direction().times(a.length())));
                }
                case Slope s -> {
                    return Optional.of(from.plus(
                            Direction.ofSlope(s.downDeg(), s.leftDeg()).times(300)));
                }
                // Above the marks on the floor, as most things are.
                case Tape t -> {
                    List<Point> all = p.readings().stream()
                            .filter(Tape.class::isInstance)
                            .flatMap(x -> x.others().stream())
                            .filter(known::containsKey)
                            .map(known::get)
                            .toList();
                    double x = all.stream().mapToDouble(Point::x).average().orElse(from.x());
                    double y = all.stream().mapToDouble(Point::y).average().orElse(from.y());
                    return Optional.of(new Point(x, y, from.z() + t.length() * 0.6));
                }
                case OnLine l -> {
                    return Optional.of(from.midwayTo(known(known, l.other())));
                }
                case Centre c -> {
                    return circumcentre(from, known(known, c.other()), known(known, c.third()));
                }
                case AboveSheet _, InPlane _, PhoneSlope _, Plumb _, Height _, Sighted _ -> {}
            }
        }
        return Optional.empty();
    }

    /** Empty if the three are on one line. */
    private static Optional<Point> circumcentre(Point a, Point b, Point c) {
        Vector u = b.minus(a);
        Vector v = c.minus(a);
        Vector n = u.cross(v);
        double n2 = n.dot(n);
        return n2 < 1e-6
                ? Optional.empty()
                : Optional.of(a.plus(n.cross(u)
                        .times(v.dot(v))
                        .plus(v.cross(n).times(u.dot(u)))
                        .times(1 / (2 * n2))));
    }

    private static Point known(Map<Id, Point> known, Id point) {
        return Objects.requireNonNull(known.get(point));
    }

    private double[] solved() {
        LeastSquaresOptimizer.Optimum o = new LevenbergMarquardtOptimizer()
                .optimize(new LeastSquaresBuilder()
                        .start(start())
                        .target(new double[rows])
                        .model((RealVector x) ->
                                new Pair<>(new ArrayRealVector(residuals(x.toArray())), jacobian(x.toArray())))
                        .maxEvaluations(2000)
                        .maxIterations(2000)
                        .build());
        return o.getPoint().toArray();
    }

    private static Point at(double[] x, int i) {
        return new Point(x[3 * i], x[3 * i + 1], x[3 * i + 2]);
    }

    /** Which of the points it is, from 0. */
    private int row(Id point) {
        return Objects.requireNonNull(index.get(point));
    }

    private Point at(double[] x, Id point) {
        return at(x, row(point));
    }

    /** What was read less what the places say, each over its spread. */
    private double[] residuals(double[] x) {
        double[] r = new double[rows];
        int k = 0;
        Optional<PhotoFit.State> state = photos.map(f -> f.state(x));
        for (SurveyPoint p : points) {
            Point at = at(x, p.id());
            for (Reading reading : p.readings()) {
                if (!counts(reading)) {
                    continue;
                }
                double s = reading.spread();
                switch (reading) {
                    case Plumb q -> {
                        r[k++] = (at.x() - q.x()) / s;
                        r[k++] = (at.y() - q.y()) / s;
                    }
                    case Height h -> r[k++] = (at.z() - h.z()) / s;
                    case Tape t -> r[k++] = (at.distanceTo(at(x, t.from())) - t.length()) / s;
                    case Along a -> {
                        Point from = at(x, a.from());
                        Vector line = at(x, a.toward()).minus(from);
                        double n = Math.max(1e-9, line.norm());
                        Vector off = at.minus(from).minus(line.times(a.length() / n));
                        k = put(r, k, off, s);
                    }
                    case Slope q -> {
                        Vector d = at.minus(at(x, q.from()));
                        r[k++] = (downDeg(d) - q.downDeg()) / s;
                        r[k++] = Math.IEEEremainder(Math.toDegrees(Math.atan2(d.y(), d.x())) - q.leftDeg(), 360) / s;
                    }
                    case PhoneSlope q -> r[k++] = (downDeg(at.minus(at(x, q.from()))) - q.downDeg()) / q.slopeSpread();
                    case AboveSheet q -> {
                        Frame sheet = state.orElseThrow().sheet();
                        r[k++] = (sheet.g().dot(at.minus(sheet.origin())) - q.height()) / s;
                    }
                    case InPlane q -> {
                        Frame plane = Objects.requireNonNull(
                                        state.orElseThrow().rectangles().get(q.photograph()))
                                .frame();
                        r[k++] = (plane.g().dot(at.minus(plane.origin())) - q.height()) / s;
                    }
                    case OnLine l -> {
                        Point one = at(x, l.one());
                        Vector line = at(x, l.other()).minus(one);
                        line = line.times(1 / Math.max(1e-9, line.norm()));
                        // Of two axes square to the line; which does not change while the line moves a little.
                        Vector across = line.cross(Math.abs(line.z()) < 0.9 ? Vector.Z : Vector.X);
                        across = across.times(1 / across.norm());
                        Vector off = at.minus(one);
                        r[k++] = off.dot(across) / s;
                        r[k++] = off.dot(line.cross(across)) / s;
                    }
                    case Centre c -> {
                        Point[] rim = {at(x, c.one()), at(x, c.other()), at(x, c.third())};
                        double[] far = {
                            at.distanceTo(rim[0]), at.distanceTo(rim[1]), at.distanceTo(rim[2]),
                        };
                        // As good as three distances less one unknown radius, all of one ±.
                        r[k++] = (far[0] - far[1]) / Math.sqrt(2) / s;
                        r[k++] = (far[0] + far[1] - 2 * far[2]) / Math.sqrt(6) / s;
                        Vector n = rim[1].minus(rim[0]).cross(rim[2].minus(rim[0]));
                        r[k++] = at.minus(rim[0]).dot(n) / Math.max(1e-9, n.norm()) / s;
                    }
                    case Sighted q -> {
                        Lens.Pixel drawn = photos.orElseThrow().drawn(state.orElseThrow(), q.photograph(), at);
                        r[k++] = (drawn.across() - q.across()) / s;
                        r[k++] = (drawn.down() - q.down()) / s;
                    }
                    case Middle m -> k = put(r, k, at.minus(at(x, m.one()).midwayTo(at(x, m.other()))), s);
                    case MirrorOf m -> k = put(r, k, at.minus(at(x, m.of()).mirrored()), s);
                }
            }
        }
        if (photos.isPresent()) {
            photos.get().put(r, k, state.orElseThrow(), x);
        }
        return r;
    }

    private static double downDeg(Vector d) {
        return Math.toDegrees(Math.atan2(-d.z(), Math.hypot(d.x(), d.y())));
    }

    private static int put(double[] r, int k, Vector off, double s) {
        r[k] = off.x() / s;
        r[k + 1] = off.y() / s;
        r[k + 2] = off.z() / s;
        return k + 3;
    }

    private RealMatrix jacobian(double[] x) {
        double[][] j = new double[rows][x.length];
        for (int c = 0; c < x.length; c++) {
            double was = x[c];
            x[c] = was + STEP;
            double[] more = residuals(x);
            x[c] = was - STEP;
            double[] less = residuals(x);
            x[c] = was;
            for (int i = 0; i < rows; i++) {
                j[i][c] = (more[i] - less[i]) / (2 * STEP);
            }
        }
        return new Array2DRowRealMatrix(j, false);
    }

    /**
     * What the readings hold, by the singular values of their Jacobian. @param v a column for each, over the unknowns
     */
    private record Held(RealMatrix jacobian, double[] s, RealMatrix v) {

        /** The inverse of the normal matrix, without what is open. */
        RealMatrix inverse() {
            RealMatrix by = v.copy();
            for (int c = 0; c < s.length; c++) {
                double f = s[c] > OPEN * s[0] ? 1 / s[c] : 0;
                for (int i = 0; i < by.getRowDimension(); i++) {
                    by.setEntry(i, c, by.getEntry(i, c) * f);
                }
            }
            return by.multiply(by.transpose());
        }
    }

    private Held held(double[] x) {
        RealMatrix j = jacobian(x);
        // With many rows the decomposition is taken of R alone: it has the same values, and far fewer rows.
        boolean tall = j.getRowDimension() > j.getColumnDimension();
        RealMatrix r = tall
                ? new QRDecomposition(j)
                        .getR()
                        .getSubMatrix(0, j.getColumnDimension() - 1, 0, j.getColumnDimension() - 1)
                : j;
        SingularValueDecomposition svd = new SingularValueDecomposition(r);
        return new Held(j, svd.getSingularValues(), svd.getV());
    }

    /** Points that can still move without any reading changing, with how many figures of them are open. */
    private Map<Id, String> loose(Held held) {
        double[] s = held.s;
        double most = s.length > 0 ? s[0] : 0;
        RealMatrix v = held.v;
        Map<Id, String> open = new LinkedHashMap<>();
        for (SurveyPoint p : points) {
            int i = 3 * row(p.id());
            double moved = 0;
            for (int c = 0; c < v.getColumnDimension(); c++) {
                if (s[c] <= OPEN * most) {
                    moved += Math.hypot(Math.hypot(v.getEntry(i, c), v.getEntry(i + 1, c)), v.getEntry(i + 2, c));
                }
            }
            // With fewer readings than unknowns the decomposition has fewer columns: what they do not span is open too.
            double spanned = 0;
            for (int axis = 0; axis < 3; axis++) {
                for (int c = 0; c < v.getColumnDimension(); c++) {
                    spanned += v.getEntry(i + axis, c) * v.getEntry(i + axis, c);
                }
            }
            if (moved > MOVES || spanned < 3 - MOVES) {
                int read = p.readings().stream()
                        .filter(this::counts)
                        .mapToInt(Reading::figures)
                        .sum();
                open.put(p.id(), whyOpen(p, read));
            }
        }
        return open;
    }

    /** @param read how many figures its readings settle */
    private static String whyOpen(SurveyPoint p, int read) {
        boolean seen = p.readings().stream().anyMatch(Sighted.class::isInstance);
        if (seen && read >= 3) {
            return "Its photographs hang together, but nothing ties them to the vehicle yet: say where the sheet lies, "
                    + "or give three of the points in them readings of other kinds.";
        }
        if (seen && read == 2) {
            return "It is seen in one photograph: press it in another that was taken from elsewhere, or say how "
                    + "far it lies "
                    + "above the floor or the sheet.";
        }
        return read < 3
                ? "Its readings settle " + read + (read == 1 ? " figure" : " figures")
                        + " of three: measure it once more, from elsewhere."
                : "Its readings leave it free to move: they are all from one line or one plane. Measure it from "
                        + "somewhere else.";
    }

    private Surveyed checks(double[] x, Held held, Map<Id, String> open, Survey survey) {
        RealMatrix j = held.jacobian;
        RealMatrix q = held.inverse();
        Map<Id, Place> places = new LinkedHashMap<>();
        for (SurveyPoint p : points) {
            int i = 3 * row(p.id());
            places.put(p.id(), new Place(at(x, p.id()), sd(q, i), sd(q, i + 1), sd(q, i + 2)));
        }
        Rows checked = new Rows(residuals(x), j, j.multiply(q));
        List<ReadingCheck> checks = new ArrayList<>();
        Map<Id, List<Double>> offs = new HashMap<>();
        for (SurveyPoint p : points) {
            for (int n = 0; n < p.readings().size(); n++) {
                if (counts(p.readings().get(n))) {
                    ReadingCheck c = checked.next(p.id(), n, p.readings().get(n));
                    checks.add(c);
                    if (c.reading() instanceof Sighted s) {
                        offs.computeIfAbsent(s.photograph(), _ -> new ArrayList<>())
                                .add(c.off());
                    }
                }
            }
        }
        List<ReadingCheck> marks = new ArrayList<>();
        List<PhotoPlace> cameras = new ArrayList<>(unused(survey, photos));
        if (photos.isPresent()) {
            PhotoFit fit = photos.get();
            for (Photograph p : fit.used()) {
                for (MarkSeen m : p.marks()) {
                    Sighted seen = new Sighted(p.id(), m.across(), m.down(), MarkSeen.SPREAD);
                    ReadingCheck c = checked.next(PlacedSheet.mark(m.mark()), ReadingCheck.OF_SHEET, seen);
                    marks.add(c);
                    offs.computeIfAbsent(p.id(), _ -> new ArrayList<>()).add(c.off());
                }
                List<Lens.Pixel> corners =
                        p.rectangle().map(SeenRectangle::corners).orElse(List.of());
                for (int i = 0; i < corners.size(); i++) {
                    Lens.Pixel at = corners.get(i);
                    Sighted seen = new Sighted(p.id(), at.across(), at.down(), SeenRectangle.CORNER_SPREAD);
                    ReadingCheck c = checked.next(p.corner(i), ReadingCheck.OF_SHEET, seen);
                    marks.add(c);
                    offs.computeIfAbsent(p.id(), _ -> new ArrayList<>()).add(c.off());
                }
            }
            PhotoFit.State state = fit.state(x);
            for (Photograph p : fit.used()) {
                double rms = Math.sqrt(offs.getOrDefault(p.id(), List.of()).stream()
                        .mapToDouble(d -> d * d)
                        .average()
                        .orElse(0));
                cameras.add(new PhotoPlace(
                        p.id(),
                        Optional.of(fit.camera(state, p.id())),
                        fit.lens(state, p.id()),
                        Optional.ofNullable(state.rectangles().get(p.id())).map(PhotoFit.Placed::frame),
                        rms,
                        ""));
            }
        }
        int n = 3 * points.size() - 1;
        return new Surveyed(
                places,
                open,
                List.copyOf(checks),
                rows - x.length,
                new Covariance(
                        List.copyOf(places.keySet()),
                        n < 0 ? new double[0][0] : q.getSubMatrix(0, n, 0, n).getData()),
                List.copyOf(cameras),
                List.copyOf(marks));
    }

    /** Goes through the rows of the fit, reading by reading. @param jq the Jacobian times the inverse */
    private static final class Rows {
        private final double[] v;
        private final RealMatrix j;
        private final RealMatrix jq;
        private int k;

        Rows(double[] v, RealMatrix j, RealMatrix jq) {
            this.v = v;
            this.j = j;
            this.jq = jq;
        }

        ReadingCheck next(Id point, int index, Reading reading) {
            double off = 0;
            double misread = 0;
            double times = 0;
            boolean seenByOthers = false;
            for (int f = 0; f < reading.figures(); f++, k++) {
                double seen = 1 - jq.getRowVector(k).dotProduct(j.getRowVector(k));
                off = Math.max(off, Math.abs(v[k]) * reading.spread());
                if (seen > SEEN) {
                    seenByOthers = true;
                    misread = Math.max(misread, Math.abs(v[k]) * reading.spread() / seen);
                    times = Math.max(times, Math.abs(v[k]) / Math.sqrt(seen));
                }
            }
            return new ReadingCheck(point, index, reading, off, misread, times, seenByOthers);
        }
    }

    private static double sd(RealMatrix q, int i) {
        return Math.sqrt(Math.max(0, q.getEntry(i, i)));
    }
}
