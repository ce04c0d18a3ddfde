package mildtilt.app.part;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowable;

import java.util.ArrayList;
import java.util.List;
import mildtilt.app.forms.ChoiceField;
import mildtilt.app.forms.SizeField;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class PartFieldsTest {

    private static final double[] TYPED = {1e7, -1e7, 0, 0.3, 999};

    /** Sizes that are worked into others, so that the others refuse them. */
    private static final String WITHOUT_RANGE =
            "joint-angle|(gear-)?arm-length.*|.*-(down|left|lean|toward)|.*-tube-outside-mm|vehicle-loads-front-axle-kg|pivot-[xyz]";

    /**
     * Whatever is typed into any field of any part: either the job takes it, and its file does, or it is refused in the
     * words of the file.
     */
    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void fieldRefusalsMatchFileRefusals(DemoJob demo) throws Exception {
        Job job = demo.job();
        int refused = 0;
        for (Element e : Element.of(job)) {
            for (SizeField f : PartFieldGroups.of(job, e)) {
                for (double v : TYPED) {
                    Throwable said = catchThrowable(() -> f.set().apply(job, v));
                    if (said == null) {
                        continue;
                    }
                    assertThat(said).as(f.label()).isInstanceOf(ImpossibleGeometryException.class);
                    boolean range = said.getMessage().matches(".* is -?[0-9.]+.*; it can(?:'t)? be .*");
                    refused += range ? 1 : 0;
                    assertThat(range || Math.abs(v) < 1e6 || f.id().matches(WITHOUT_RANGE))
                            .as(f.label() + " " + v + ": " + said.getMessage())
                            .isTrue();
                }
            }
        }
        assertThat(refused).isGreaterThan(60);
    }

    /** Two of one id in a pane would take each other's focus, and a test the wrong one. */
    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void everySizeAndChoiceOfAPartHasAnIdOfItsOwn(DemoJob demo) {
        Job job = demo.job();
        for (Element e : Element.of(job)) {
            assertThat(PartFieldGroups.of(job, e))
                    .as(e.toString())
                    .extracting(SizeField::id)
                    .doesNotHaveDuplicates()
                    .allMatch(id -> id.matches("[a-z0-9-]+"));
            List<ChoiceField> choices = new ArrayList<>();
            job.column().ifPresent(c -> choices.addAll(new ColumnFields(c).choices(e)));
            job.axle().ifPresent(a -> choices.addAll(AxleFields.choices(a, e)));
            assertThat(choices).as(e.toString()).extracting(ChoiceField::id).doesNotHaveDuplicates();
        }
        assertThat(PartFieldGroups.ofVehicle(job)).extracting(SizeField::id).doesNotHaveDuplicates();
        assertThat(JobPoints.of(job)).extracting(PointId::code).doesNotHaveDuplicates();
    }

    @Test
    void fieldSentenceEqualsFileSentence() {
        Job job = DemoJob.LIBRARY_BUS.job();
        SizeField ratio = PartFieldGroups.of(job, new Element.GearElement()).stream()
                .filter(f -> f.id().equals("axle-gear-ratio"))
                .findFirst()
                .orElseThrow();
        String file = JobWriter.write(job).replaceFirst("\"ratio\" : -?[0-9.]+", "\"ratio\" : 4000");
        Throwable inFile = catchThrowable(() -> JobReader.read(file));
        assertThatThrownBy(() -> ratio.set().apply(job, 4000.0))
                .hasMessage(inFile.getMessage())
                .hasMessage("Axle, gear, ratio is 4000; it can be -1000 to 1000.");
        List<SizeField> joint = PartFieldGroups.of(job, new Element.JointAt(0));
        assertThat(joint)
                .extracting(SizeField::id)
                .contains("column-joints-max-angle-deg", "column-joints-gear-side-take-off-mm");
    }
}
