package mildtilt.io.cad;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import de.javagl.jgltf.model.AccessorFloatData;
import de.javagl.jgltf.model.GltfModel;
import de.javagl.jgltf.model.NodeModel;
import de.javagl.jgltf.model.io.GltfModelReader;
import java.io.ByteArrayInputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import mildtilt.drawing.VehicleModel;
import mildtilt.drawing.VehicleModel.Part;
import mildtilt.gear.RackAndPinion;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.scan.ScanFile;
import mildtilt.job.Job;
import mildtilt.steer.position.SteeringInput;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Models as other programs read them: the glTF ones through a library, OBJ and STL through our own scans' reader. */
class ModelFileTest {

    private static final Job JOB = DemoJob.MARSH_CARRIER.job();

    @TempDir
    Path folder;

    private static GltfModel read(byte[] glb) throws Exception {
        return new GltfModelReader().readWithoutReferences(new ByteArrayInputStream(glb));
    }

    /** Least and most of x, y and z over all parts. */
    private static double[][] box(List<Part> parts) {
        double[][] box = {{1e9, 1e9, 1e9}, {-1e9, -1e9, -1e9}};
        for (Part p : parts) {
            float[] at = p.skin().points();
            for (int i = 0; i < at.length; i++) {
                box[0][i % 3] = Math.min(box[0][i % 3], at[i]);
                box[1][i % 3] = Math.max(box[1][i % 3], at[i]);
            }
        }
        return box;
    }

    @Test
    void everyPartIsInTheGlbByItsNameInMetresAndUpright() throws Exception {
        List<Part> parts = new VehicleModel(JOB).at(SteeringInput.STRAIGHT_AHEAD);
        GltfModel model = read(ModelFile.glb(parts));
        assertThat(model.getNodeModels())
                .extracting(NodeModel::getName)
                .containsExactlyElementsOf(parts.stream().map(Part::name).toList())
                .contains("Lower shaft", "left tie rod", "rack housing", "Upper joint");
        double[][] box = box(parts);
        double[][] seen = {{1e9, 1e9, 1e9}, {-1e9, -1e9, -1e9}};
        model.getMeshModels().forEach(m -> m.getMeshPrimitiveModels().forEach(p -> {
            AccessorFloatData at =
                    (AccessorFloatData) p.getAttributes().get("POSITION").getAccessorData();
            for (int i = 0; i < at.getNumElements(); i++) {
                for (int k = 0; k < 3; k++) {
                    seen[0][k] = Math.min(seen[0][k], at.get(i, k));
                    seen[1][k] = Math.max(seen[1][k], at.get(i, k));
                }
            }
        }));
        for (int end = 0; end < 2; end++) {
            // The vehicle's left, up and forward are the model's x, y and z.
            assertThat(seen[end][0]).isCloseTo(box[end][1] / 1000, within(1e-6));
            assertThat(seen[end][1]).isCloseTo(box[end][2] / 1000, within(1e-6));
            assertThat(seen[end][2]).isCloseTo(box[end][0] / 1000, within(1e-6));
        }
    }

    @Test
    void theMovingOneShowsOnePositionAtATimeAndHoldsWhatStaysOnce() throws Exception {
        List<List<Part>> positions = new VehicleModel(JOB).lockToLock();
        GltfModel model = read(ModelFile.moving(positions));
        assertThat(model.getAnimationModels()).hasSize(1);
        var channels = model.getAnimationModels().getFirst().getChannels();
        assertThat(channels).hasSize(VehicleModel.POSITIONS);
        int times = channels.getFirst().getSampler().getInput().getCount();
        for (int t = 0; t < times; t++) {
            int now = t;
            double shown = channels.stream()
                    .mapToDouble(
                            c -> ((AccessorFloatData) c.getSampler().getOutput().getAccessorData()).get(now, 0))
                    .sum();
            assertThat(shown).as("positions shown at step %d", t).isEqualTo(1);
        }
        List<String> names =
                model.getNodeModels().stream().map(NodeModel::getName).toList();
        assertThat(names).filteredOn("engine block"::equals).hasSize(1);
        assertThat(names).filteredOn("left tie rod"::equals).hasSize(VehicleModel.POSITIONS);
        // From one lock to the other the rack goes all its way, to the left for the left one.
        RackAndPinion rack = (RackAndPinion) JOB.axle().orElseThrow().gear();
        double moved = middleY(positions.getLast(), "rack bar") - middleY(positions.getFirst(), "rack bar");
        assertThat(Math.abs(moved)).isCloseTo(2 * rack.travelEachWay(), within(0.01));
    }

    private static double middleY(List<Part> parts, String name) {
        double[][] box = box(parts.stream().filter(p -> p.name().equals(name)).toList());
        return (box[0][1] + box[1][1]) / 2;
    }

    @Test
    void ourOwnReaderOfScansTakesAllThree() throws Exception {
        List<Part> parts = new VehicleModel(JOB).at(new SteeringInput(120, 0, 0));
        Path obj = Files.write(folder.resolve("a.obj"), ModelFile.obj(parts));
        Path stl = Files.write(folder.resolve("a.stl"), ModelFile.stl(parts));
        ScanFile.Read fromObj = ScanFile.read(obj);
        ScanFile.Read fromStl = ScanFile.read(stl);
        int all = parts.stream().mapToInt(p -> p.skin().triangles().length / 3).sum();
        assertThat(fromStl.count()).isGreaterThan(1000).isLessThanOrEqualTo(all);
        assertThat(fromObj.count()).isGreaterThan(1000).isLessThanOrEqualTo(all);
        ScanFile.Read fromGlb = ScanFile.read(Files.write(folder.resolve("a.glb"), ModelFile.glb(parts)));
        assertThat(fromGlb.count()).isGreaterThan(1000).isLessThanOrEqualTo(all);
        double[][] box = box(parts);
        for (int k = 0; k < 3; k++) {
            // glTF is in metres; its axes are turned back to the vehicle's.
            assertThat(1000 * fromGlb.size()[k]).isCloseTo(box[1][k] - box[0][k], within(1e-3));
            assertThat(fromObj.size()[k]).isCloseTo(box[1][k] - box[0][k], within(1e-3));
            assertThat(fromStl.size()[k]).isCloseTo(box[1][k] - box[0][k], within(1e-3));
        }
        assertThat(Files.readAllLines(obj))
                .filteredOn(l -> l.startsWith("o "))
                .containsExactlyElementsOf(
                        parts.stream().map(p -> "o " + p.name()).toList());
    }

    @ParameterizedTest
    @EnumSource
    void everyDemoHasAModelAtEveryPositionBetweenItsLocks(DemoJob demo) {
        List<List<Part>> positions = new VehicleModel(demo.job()).lockToLock();
        int parts = positions.getFirst().size();
        assertThat(parts).isGreaterThan(5);
        assertThat(positions).allMatch(p -> p.size() == parts);
    }
}
