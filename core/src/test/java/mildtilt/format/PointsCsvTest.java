package mildtilt.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import mildtilt.geometry.Point;
import mildtilt.obstacle.Surroundings;
import mildtilt.survey.Reading;
import mildtilt.survey.Survey;
import mildtilt.survey.SurveyFit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PointsCsvTest {

    @TempDir
    private Path folder;

    private PointsCsv.Read read(String text) throws Exception {
        return PointsCsv.read(Files.writeString(folder.resolve("p.csv"), text));
    }

    /** Each: a head and a line, which columns they are taken for, in which unit, and where the point then is. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "name,x_mm,y_mm,z_mm / hub,-1060,380,1010 | 0 1 2 3 | MM | -1060 380 1010",
        "Point;X (cm);Y (cm);Height (cm) / hub;-106,5;38;101 | 0 1 2 3 | CM | -1065 380 1010",
        "x (in),y (in),z (in),label / 10,-1/2,3,hub | 3 0 1 2 | INCH | none",
        "x in,y in,z in,label / 10,-2.5,3,hub | 3 0 1 2 | INCH | 254 -63.5 76.2",
        "remark,mark,height m,forward m,left m / good,hub,1.01,-1.06,0.38 | 1 3 4 2 | M | -1060 380 1010"})
    void headsAreUnderstood(String text, String columns, FileUnit unit, String place) throws Exception {
        PointsCsv.Read read = read(text.replace(" / ", "\n"));
        PointsCsv.Match match = PointsCsv.guess(read);
        assertThat(match.name() + " " + match.x() + " " + match.y() + " " + match.z()).isEqualTo(columns);
        assertThat(match.unit()).isEqualTo(unit);
        if (place.equals("none")) {
            assertThatThrownBy(() -> PointsCsv.take(Survey.NONE, read, match)).isInstanceOf(JobFileException.class).hasMessageContaining("line 2").hasMessageContaining("-1/2");
            return;
        }
        String[] at = place.split(" ");
        Point p = SurveyFit.of(PointsCsv.take(Survey.NONE, read, match), _ -> Optional.empty()).places().get("hub").at();
        assertThat(p.distanceTo(new Point(Double.parseDouble(at[0]), Double.parseDouble(at[1]), Double.parseDouble(at[2])))).isLessThan(1e-6);
    }

    @Test
    void ourOwnPointsComeBackAndReplaceWhatWasMeasured() throws Exception {
        Survey before = Survey.NONE.edit("steering wheel hub", p -> p.with(new Reading.Height(5, 1))).edit("mark", p -> p.with(new Reading.Height(0, 1)));
        PointsCsv.Read read = read(CsvFiles.points(DemoJob.MARSH_CARRIER.job().withSurroundings(Surroundings.NONE)));
        Survey all = PointsCsv.take(before, read, PointsCsv.guess(read));
        assertThat(all.points()).hasSize(read.rows().size() + 1);
        assertThat(SurveyFit.of(all, _ -> Optional.empty()).places().get("steering wheel hub").at()).satisfies(p -> assertThat(p.distanceTo(new Point(-1060, 380, 1010))).isLessThan(1e-6));
        assertThat(all.point("mark")).isEqualTo(before.point("mark"));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"a,b | at least four columns", "name,x,y,z | at least four columns", "name,x,y,z / ,1,2,3 | has no name", "name,x,y,z / p,1,2,NaN | not a usable number",
        "name,x,y,z / p,1,2 | not a usable number", "name,x,y,z / p,1,2,1e9 | within 100 m"})
    void whatCanNotBeTakenIsRefused(String text, String says) {
        assertThatThrownBy(() -> {
            PointsCsv.Read r = read(text.replace(" / ", "\n"));
            PointsCsv.take(Survey.NONE, r, PointsCsv.guess(r));
        }).isInstanceOf(JobFileException.class).hasMessageContaining(says);
    }
}
