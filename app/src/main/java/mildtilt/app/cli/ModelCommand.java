package mildtilt.app.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import mildtilt.drawing.VehicleModel;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.io.JobFileException;
import mildtilt.io.SafeFiles;
import mildtilt.io.cad.ModelFile;
import mildtilt.io.jobfile.JobFile;
import mildtilt.steer.position.SteeringInput;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** The steering and what is in its way as a model for other programs. */
@Command(
        name = "model",
        mixinStandardHelpOptions = true,
        description = "Writes the steering and what is in its way as a model for other programs: .glb, .obj or .stl.")
final class ModelCommand implements Callable<Integer> {

    @Parameters(index = "0", paramLabel = "FILE", description = "a job file")
    private Path file = Path.of("");

    @Parameters(index = "1", paramLabel = "MODEL", description = "where to write it, ending in .glb, .obj or .stl")
    private Path to = Path.of("");

    @Option(names = "--hands", paramLabel = "DEG", description = "of the steering wheel, + left", defaultValue = "0")
    private double hands;

    @Option(names = "--left", paramLabel = "MM", description = "travel of the left wheel, + up", defaultValue = "0")
    private double left;

    @Option(names = "--right", paramLabel = "MM", description = "travel of the right wheel, + up", defaultValue = "0")
    private double right;

    @Option(names = "--moving", description = "from lock to lock and back, in a .glb")
    private boolean moving;

    @Override
    public Integer call() {
        try {
            VehicleModel model = new VehicleModel(JobFile.open(file));
            String name = String.valueOf(to.getFileName()).toLowerCase(Locale.ROOT);
            if (moving && !name.endsWith(".glb")) {
                throw new ImpossibleGeometryException("Only a .glb can move: end the model's name so.");
            }
            if (moving) {
                SafeFiles.replace(to, ModelFile.moving(model.lockToLock()));
                return 0;
            }
            if (!(Math.abs(hands) <= 3600 && Math.abs(left) <= 1000 && Math.abs(right) <= 1000)) {
                throw new ImpossibleGeometryException(
                        "A steering wheel turns within 3600°, and a wheel travels within 1000 mm.");
            }
            List<VehicleModel.Part> parts = model.at(new SteeringInput(hands, left, right));
            if (parts.isEmpty()) {
                System.err.println(file.getFileName() + ": there is no part in it yet.");
                return Main.NOTHING_FOUND;
            }
            SafeFiles.replace(to, ModelFile.write(name, parts));
            return 0;
        } catch (JobFileException | ImpossibleGeometryException e) {
            System.err.println(e.getMessage());
            return Main.BAD_INPUT;
        } catch (IOException e) {
            System.err.println(to.getFileName() + " could not be written: " + SafeFiles.reason(e));
            return Main.BAD_INPUT;
        }
    }
}
