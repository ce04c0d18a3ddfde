package mildtilt.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import mildtilt.geometry.Frame;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.photograph.GreyPicture;
import mildtilt.photograph.Lens;
import mildtilt.photograph.MarkFinder;
import mildtilt.photograph.MarkSeen;
import mildtilt.photograph.Photograph;
import mildtilt.photograph.PracticeScene;
import mildtilt.photograph.TargetSheet;
import mildtilt.scan.ScanMeasure;
import mildtilt.scan.ScanShape;
import mildtilt.solid.TriangleMesh;
import mildtilt.survey.PlacedSheet;
import mildtilt.survey.Reading.Sighted;
import mildtilt.survey.StatedUncertainty;
import mildtilt.survey.Survey;
import mildtilt.survey.SurveyFit;
import mildtilt.survey.SurveyPoint;
import mildtilt.survey.Surveyed;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Measuring with a phone: marks of a picture of 12 megapixels, twelve pictures together, a tube on a scan. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 2, time = 2)
@Measurement(iterations = 3, time = 2)
public class PhoneBenchmark {

    private static final int WIDTH = 4000;
    private static final int HEIGHT = 3000;
    private static final int POINTS = 30;
    private static final Lens LENS = new Lens(3010, 2012, 1490, 0.04, -0.02);
    private static final Frame SHEET = PlacedSheet.Laid.BY_EYE.frame();

    private final GreyPicture picture = picture();
    private final Survey twelve = twelve();
    private final ScanMeasure scan = scan();

    private static GreyPicture picture() {
        Frame floor = new Frame(new Point(0, 0, -1), SHEET.e(), SHEET.f(), SHEET.g());
        return new PracticeScene(
                        List.of(
                                PracticeScene.Sheet.target(SHEET),
                                new PracticeScene.Sheet(floor, 5000, 5000, Map.of(), 110)),
                        LENS,
                        WIDTH,
                        HEIGHT)
                .picture(PracticeScene.looking(new Point(-1200, 200, 1300), new Point(0, 0, 100)), 1);
    }

    private static Survey twelve() {
        Random random = new Random(1);
        List<Photograph> photographs = new ArrayList<>();
        List<Frame> cameras = new ArrayList<>();
        for (int n = 0; n < 12; n++) {
            double t = 2 * Math.PI * n / 12;
            Frame camera = PracticeScene.looking(
                    new Point(1700 * Math.cos(t), 1700 * Math.sin(t), 1100 + 150 * (n % 3)), new Point(0, 0, 250));
            List<MarkSeen> marks = new ArrayList<>();
            for (int m = 1; m <= TargetSheet.ON_SHEET; m++) {
                Point p = TargetSheet.place(m);
                Lens.Pixel d = drawn(camera, SHEET.origin().plus(SHEET.world(new Vector(p.x(), p.y(), 0))));
                marks.add(new MarkSeen(m, d.across() + 0.2 * random.nextGaussian(), d.down()));
            }
            cameras.add(camera);
            photographs.add(new Photograph(
                    Id.Kind.PHOTO.number(n + 1),
                    "Picture " + n,
                    n + ".jpg",
                    WIDTH,
                    HEIGHT,
                    26,
                    0,
                    marks,
                    Optional.empty()));
        }
        List<SurveyPoint> points = new ArrayList<>();
        for (int i = 0; i < POINTS; i++) {
            Point at = new Point(
                    1000 * random.nextDouble() - 500, 1000 * random.nextDouble() - 500, 700 * random.nextDouble());
            SurveyPoint p = new SurveyPoint(Id.Kind.MARK.number(i + 1), "Mark " + i, List.of());
            for (int n = 0; n < 12; n++) {
                Lens.Pixel d = drawn(cameras.get(n), at);
                p = p.with(new Sighted(
                        Id.Kind.PHOTO.number(n + 1),
                        d.across() + random.nextGaussian(),
                        d.down() + random.nextGaussian(),
                        1));
            }
            points.add(p);
        }
        return new Survey(
                points,
                StatedUncertainty.USUAL,
                photographs,
                PlacedSheet.AS_PRINTED.withLaid(Optional.of(PlacedSheet.Laid.BY_EYE)));
    }

    private static Lens.Pixel drawn(Frame camera, Point p) {
        return LENS.drawn(camera.local(p.minus(camera.origin())));
    }

    /** A tube of 300 mm across the middle of a field of half a million triangles, 1 mm of noise on all. */
    private static ScanMeasure scan() {
        Random random = new Random(2);
        int n = 500;
        float[] corners = new float[3 * n * n];
        int[] triangles = new int[6 * (n - 1) * (n - 1)];
        int t = 0;
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                double x = 2.0 * (i - n / 2.0);
                double y = 2.0 * (j - n / 2.0);
                double z = Math.abs(y) < 19.5 && Math.abs(x) < 150 ? Math.sqrt(400 - y * y) : 0;
                int at = 3 * (i * n + j);
                corners[at] = (float) (x + random.nextGaussian() / 2);
                corners[at + 1] = (float) (y + random.nextGaussian() / 2);
                corners[at + 2] = (float) (z + random.nextGaussian());
                if (i + 1 < n && j + 1 < n) {
                    int a = i * n + j;
                    for (int c : new int[] {a, a + 1, a + n, a + 1, a + n + 1, a + n}) {
                        triangles[t++] = c;
                    }
                }
            }
        }
        return new ScanMeasure(new TriangleMesh(corners, triangles));
    }

    @Benchmark
    public List<MarkSeen> marksOfTwelveMegapixels() {
        return MarkFinder.find(picture);
    }

    @Benchmark
    public Surveyed twelvePicturesTogether() {
        return SurveyFit.of(twelve, _ -> Optional.empty(), Id::text);
    }

    @Benchmark
    public Optional<ScanShape.Tube> tubeOnAScan() {
        return scan.tube(new Point(0, 0, 20), ScanMeasure.USUAL_REACH);
    }
}
