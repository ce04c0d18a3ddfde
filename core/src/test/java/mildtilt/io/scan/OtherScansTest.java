package mildtilt.io.scan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import mildtilt.drawing.VehicleModel;
import mildtilt.io.JobFileException;
import mildtilt.io.cad.ModelFile;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.steer.position.SteeringInput;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** PLY in its three forms and glTF: read, and refused in a sentence where they are damaged. */
class OtherScansTest {

    /** A roof of two quads: six corners, each with a colour that is of no use here. */
    private static final float[][] CORNERS = {
        {0, 0, 0}, {100, 0, 0}, {0, 50, 40}, {100, 50, 40}, {0, 100, 0}, {100, 100, 0}
    };

    private static final int[][] FACES = {{0, 1, 3, 2}, {2, 3, 5, 4}};

    @TempDir
    Path folder;

    private static byte[] ply(String format, String more) {
        String head = "ply\nformat " + format + " 1.0\ncomment made up\nelement vertex 6\nproperty uchar red\n"
                + "property float x\nproperty double y\nproperty float z\nelement face 2\n"
                + "property list uchar int vertex_indices\nproperty short flags\n" + more + "end_header\n";
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.writeBytes(head.getBytes(StandardCharsets.US_ASCII));
        if (format.equals("ascii")) {
            StringBuilder s = new StringBuilder();
            for (float[] c : CORNERS) {
                s.append("200 ")
                        .append(c[0])
                        .append(' ')
                        .append(c[1])
                        .append(' ')
                        .append(c[2])
                        .append('\n');
            }
            for (int[] f : FACES) {
                s.append("4 ")
                        .append(f[0])
                        .append(' ')
                        .append(f[1])
                        .append(' ')
                        .append(f[2])
                        .append(' ')
                        .append(f[3]);
                s.append(" -7\n");
            }
            out.writeBytes(s.toString().getBytes(StandardCharsets.US_ASCII));
            return out.toByteArray();
        }
        ByteBuffer b = ByteBuffer.allocate(6 * 17 + 2 * 19)
                .order(format.contains("little") ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN);
        for (float[] c : CORNERS) {
            b.put((byte) 200).putFloat(c[0]).putDouble(c[1]).putFloat(c[2]);
        }
        for (int[] f : FACES) {
            b.put((byte) 4).putInt(f[0]).putInt(f[1]).putInt(f[2]).putInt(f[3]).putShort((short) -7);
        }
        out.writeBytes(b.array());
        return out.toByteArray();
    }

    private Path file(String name, byte[] bytes) throws IOException {
        return Files.write(folder.resolve(name), bytes);
    }

    @ParameterizedTest
    @ValueSource(strings = {"ascii", "binary_little_endian", "binary_big_endian"})
    void plyIsReadInEachOfItsForms(String format) throws Exception {
        ScanFile.Read read = ScanFile.read(file("roof.ply", ply(format, "")));
        assertThat(read.count()).isEqualTo(4);
        assertThat(read.size()).containsExactly(100, 100, 40);
        assertThat(read.faults().openEdges()).isEqualTo(6);
    }

    @Test
    void whatCannotBeReadIsSaid() throws Exception {
        byte[] whole = ply("binary_little_endian", "");
        refused(Arrays.copyOf(whole, whole.length - 5), "cut short");
        refused("solid".getBytes(StandardCharsets.US_ASCII), "no PLY file");
        refused(text("ply\nformat ascii 1.0\nelement vertex 1\nproperty float x\nend_header\n1\n"), "no x, y and z");
        refused(
                text("ply\nformat ascii 1.0\nelement vertex 1\nproperty float x\nproperty float y\n"
                        + "property float z\nend_header\n1 2 3\n"),
                "points only");
        refused(text("ply\nformat ascii 1.0\nelement vertex 999999999\nend_header\n"), "Thin the scan out");
        refused(text("ply\nformat clay 1.0\nend_header\n"), "\"clay\"");
        refused(
                new String(ply("ascii", ""), StandardCharsets.US_ASCII)
                        .replace("4 0 1 3 2", "4 0 1 9 2")
                        .getBytes(StandardCharsets.US_ASCII),
                "not there");
        assertThatThrownBy(() -> ScanFile.read(file("a.glb", text("glTF and no more"))))
                .isInstanceOf(JobFileException.class)
                .hasMessageContaining("no glTF file");
    }

    private static byte[] text(String s) {
        return s.getBytes(StandardCharsets.US_ASCII);
    }

    private void refused(byte[] bytes, String why) {
        assertThatThrownBy(() -> ScanFile.read(file("bad.ply", bytes)))
                .isInstanceOf(JobFileException.class)
                .hasMessageContaining(why)
                .hasMessageEndingWith("Nothing was imported.");
    }

    @Test
    void damagedFilesNeverBreakTheReader() throws Exception {
        List<VehicleModel.Part> some = new VehicleModel(DemoJob.MARSH_CARRIER.job())
                .at(SteeringInput.STRAIGHT_AHEAD)
                .subList(0, 3);
        Random random = new Random(6);
        List<String> refusals = new ArrayList<>();
        for (var e : List.of(
                Map.entry("m.ply", ply("binary_big_endian", "")),
                Map.entry("t.ply", ply("ascii", "")),
                Map.entry("m.glb", ModelFile.glb(some)))) {
            for (int n = 0; n < 500; n++) {
                byte[] bad = e.getValue().clone();
                int head = Math.min(bad.length, 3000);
                for (int k = 0; k < 1 + n % 4; k++) {
                    bad[random.nextInt(n % 2 == 0 ? head : bad.length)] = (byte) random.nextInt();
                }
                try {
                    ScanFile.read(file(e.getKey(), bad));
                } catch (JobFileException x) {
                    refusals.add(x.getMessage());
                }
            }
        }
        assertThat(refusals).isNotEmpty().allMatch(m -> m.endsWith("Nothing was imported."));
    }
}
