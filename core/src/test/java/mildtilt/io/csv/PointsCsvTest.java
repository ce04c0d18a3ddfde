package mildtilt.io.csv;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.io.FileUnit;
import mildtilt.io.JobFileException;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.obstacle.Surroundings;
import mildtilt.steer.position.SteeringInput;
import mildtilt.survey.Reading;
import mildtilt.survey.Survey;
import mildtilt.survey.SurveyFit;
import mildtilt.survey.SurveyPoint;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PointsCsvTest {

    private static final Id HUB = new Id("hub");
    private static final Job NOTHING = Job.of(
            "nothing",
            DemoJob.MARSH_CARRIER.job().plan().withColumn(Optional.empty()).withAxle(Optional.empty()));

    @TempDir
    private Path folder;

    private PointsCsv.Read read(String text) throws Exception {
        return PointsCsv.read(Files.writeString(folder.resolve("p.csv"), text));
    }

    /** Each: a head and a line, which columns they are taken for, in which unit, and where the point then is. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "name,x_mm,y_mm,z_mm / hub,-1060,380,1010 | 0 1 2 3 | MM | -1060 380 1010",
                "Point;X (cm);Y (cm);Height (cm) / hub;-106,5;38;101 | 0 1 2 3 | CM | -1065 380 1010",
                "x (in),y (in),z (in),label / 10,-1/2,3,hub | 3 0 1 2 | INCH | none",
                "x in,y in,z in,label / 10,-2.5,3,hub | 3 0 1 2 | INCH | 254 -63.5 76.2",
                "remark,mark,height m,forward m,left m / good,hub,1.01,-1.06,0.38 | 1 3 4 2 | M | -1060 380 1010"
            })
    void headsAreUnderstood(String text, String columns, FileUnit unit, String place) throws Exception {
        PointsCsv.Read read = read(text.replace(" / ", "\n"));
        PointsCsv.Match match = PointsCsv.guess(read);
        assertThat(match.name() + " " + match.x() + " " + match.y() + " " + match.z())
                .isEqualTo(columns);
        assertThat(PointsCsv.unitOf(read, match.x())).contains(unit);
        if (place.equals("none")) {
            assertThatThrownBy(() -> PointsCsv.take(NOTHING, read, match))
                    .isInstanceOf(JobFileException.class)
                    .hasMessageContaining("line 2")
                    .hasMessageContaining("-1/2");
            return;
        }
        String[] at = place.split(" ");
        Point p = SurveyFit.of(PointsCsv.take(NOTHING, read, match), _ -> Optional.empty(), Id::text)
                .places()
                .get(Id.Kind.MARK.first())
                .at();
        assertThat(p.distanceTo(
                        new Point(Double.parseDouble(at[0]), Double.parseDouble(at[1]), Double.parseDouble(at[2]))))
                .isLessThan(1e-6);
    }

    @Test
    void exportedPointsRoundTrip() throws Exception {
        Id mark = Id.Kind.MARK.first();
        Survey before = Survey.NONE
                .with(new SurveyPoint(HUB, "steering wheel hub", List.of(new Reading.Height(5, 1))))
                .with(new SurveyPoint(mark, "mark", List.of(new Reading.Height(0, 1))));
        Job job =
                DemoJob.MARSH_CARRIER.job().withSurroundings(Surroundings.NONE).withSurvey(before);
        PointsCsv.Read read = read(CsvFiles.points(job));
        Survey all = PointsCsv.take(job, read, PointsCsv.guess(read));
        assertThat(all.points()).hasSize(read.rows().size() + 1);
        assertThat(SurveyFit.of(all, _ -> Optional.empty(), Id::text)
                        .places()
                        .get(HUB)
                        .at())
                .satisfies(p ->
                        assertThat(p.distanceTo(new Point(-1060, 380, 1010))).isLessThan(1e-6));
        assertThat(all.point(mark)).isEqualTo(before.point(mark));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "a,b | at least four columns",
                "name,x,y,z | at least four columns",
                "name,x,y,z / ,1,2,3 | has no name",
                "name,x,y,z / p,1,2,NaN | not a usable number",
                "name,x,y,z / p,1,2 | not a usable number",
                "name,x,y,z / p,1,2,1e9 | within 100 m"
            })
    void whatCanNotBeTakenIsRefused(String text, String says) {
        assertThatThrownBy(() -> {
                    PointsCsv.Read r = read(text.replace(" / ", "\n"));
                    PointsCsv.take(NOTHING, r, PointsCsv.guess(r));
                })
                .isInstanceOf(JobFileException.class)
                .hasMessageContaining(says);
    }

    /**
     * Each: a line below "name;x;y;z" in mm, parted by what its marks say, and where the point is; or what the refusal
     * says.
     */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "name,x mm,y mm,z mm / p,\"1,234\",2,3 | 1234 2 3",
                "name,x mm,y mm,z mm / p,\"1,234.5\",\"-2,000\",3 | 1234.5 -2000 3",
                "name,x mm,y mm,z mm / p,\"10,5\",2,3 | 10.5 2 3",
                "name;x mm;y mm;z mm / p;1,234;2;3 | 1.234 2 3",
                "name;x mm;y mm;z mm / p;1.234,5;2;3 | 1234.5 2 3",
                "name;x mm;y mm;z mm / p;1.234;2,5;3 | 1234 2.5 3",
                "name;x mm;y mm;z mm / p;1.234;2;3 | 1.234 2 3",
                "name\tx mm\ty mm\tz mm / p\t1'234.5\t−2\t1e2 | 1234.5 -2 100",
                "name\tx mm\ty mm\tz mm / p\t1 234\t2\t3 | 1234 2 3",
                "name\tx mm\ty mm\tz mm / p\t1,234\t2\t3 | Write all numbers one way",
                "name;x mm;y mm;z mm / p;1,5;2.5;3 | Write all numbers one way",
                "name,x in mm,y in inches,z [cm] / p,1,2,3 | 1 50.8 30",
                "name,x in feet,y,z / p,1,2,3 | give them in mm, cm, m or inches",
                "name,x,x,z / p,1,2,3 | two columns are called \"x\"",
                "name,x,y,z / p,5d,2,3 | \"5d\" is not a usable number in the column \"x\"",
                "name,x,y,z / p,0x1p3,2,3 | \"0x1p3\" is not a usable number",
                "name,x,y,z / p,Infinity,2,3 | not a usable number",
                "name,x,y,z / p,1e999,2,3 | too large",
                "name,x,y,z / p,\"12,34,5\",2,3 | not a usable number",
                "name,x,y,z / p,1,2,\"3 | line 2: a quotation mark is out of place",
                "name,x,y,z / p,1,2,\"3\"4 | line 2: a quotation mark is out of place"
            })
    void numbersAreReadAsTheTableWritesThem(String text, String says) throws Exception {
        for (Charset charset : List.of(
                StandardCharsets.UTF_8,
                StandardCharsets.UTF_16LE,
                StandardCharsets.UTF_16BE,
                Charset.forName("windows-1252"))) {
            for (String mark : charset.name().startsWith("UTF") ? List.of("", "\uFEFF") : List.of("")) {
                String whole = mark + text.replace(" / ", "\r\n").replace("\\t", "\t");
                if (!charset.newEncoder().canEncode(whole)) {
                    continue;
                }
                Path file = Files.write(folder.resolve("p.csv"), whole.getBytes(charset));
                if (says.matches("[-0-9. ]+")) {
                    PointsCsv.Read r = PointsCsv.read(file);
                    Point p = SurveyFit.of(
                                    PointsCsv.take(NOTHING, r, PointsCsv.guess(r)), _ -> Optional.empty(), Id::text)
                            .places()
                            .get(Id.Kind.MARK.first())
                            .at();
                    String[] at = says.split(" ");
                    assertThat(p.distanceTo(new Point(
                                    Double.parseDouble(at[0]), Double.parseDouble(at[1]), Double.parseDouble(at[2]))))
                            .as(charset + " " + p)
                            .isLessThan(1e-9);
                } else {
                    assertThatThrownBy(() -> {
                                PointsCsv.Read r = PointsCsv.read(file);
                                PointsCsv.take(NOTHING, r, PointsCsv.guess(r));
                            })
                            .isInstanceOf(JobFileException.class)
                            .hasMessageContaining(says)
                            .satisfies(e -> assertThat(e.getMessage()).hasSizeLessThan(300));
                }
            }
        }
    }

    @Test
    void legacyEncodingsAreRead() throws Exception {
        PointsCsv.Read read = PointsCsv.read(Files.write(
                folder.resolve("p.csv"), "Größe;x;y;z\nÖse;1;2;3\n".getBytes(Charset.forName("windows-1252"))));
        assertThat(read.rows().getFirst().getFirst()).isEqualTo("Öse");
        assertThat(read.heads()).startsWith("Größe");
    }

    /** Positions go through the same reader. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "\uFEFFsteering_wheel_deg,travel_left_mm,travel_right_mm / 10,0,-5 | 10 0 -5",
                "steering_wheel_deg;travel_left_mm;travel_right_mm / 10,5;0;2 | 10.5 0 2",
                "travel_left_in\tsteering wheel (deg)\ttravel_right_cm / 1\t-90\t2 | -90 25.4 20",
                "steering_wheel_deg,travel_left,travel_right_mm / 1,2,3 | names no unit",
                "steering_wheel_deg,travel_left_mm,travel_right_mm / 1,2,3000 | line 2: travel_right_mm is 3000; it can be -2000 to 2000 mm",
                "steering_wheel_deg,travel_left_mm / 1,2 | must name a column \"travel_right_mm\""
            })
    void positionsAreReadTheSameWay(String text, String says) throws Exception {
        Path file = Files.writeString(
                folder.resolve("h.csv"),
                text.replace(" / ", "\n").replace("\\t", "\t").replace("\\uFEFF", "\uFEFF"));
        if (says.matches("[-0-9. ]+")) {
            SteeringInput h = PositionsCsv.read(file).getFirst();
            String[] at = says.split(" ");
            assertThat(List.of(h.steeringWheelDeg(), h.travelLeft(), h.travelRight()))
                    .containsExactly(Double.parseDouble(at[0]), Double.parseDouble(at[1]), Double.parseDouble(at[2]));
        } else {
            assertThatThrownBy(() -> PositionsCsv.read(file))
                    .isInstanceOf(JobFileException.class)
                    .hasMessageContaining(says);
        }
    }
}
