package mildtilt.io.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.io.JobFileException;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.photograph.Lens;
import mildtilt.photograph.MarkFinder;
import mildtilt.photograph.MarkSeen;
import mildtilt.survey.PlacedSheet;
import mildtilt.survey.Reading.Sighted;
import mildtilt.survey.Survey;
import mildtilt.survey.Surveyed;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PictureFileTest {

    @TempDir
    Path folder;

    /** The whole way: pictures drawn, written, read, their marks found, six points pressed, all of it kept in a job. */
    @Test
    void practicePicturesGiveTheirOwnTruthBack() throws Exception {
        Job job = DemoJob.MARSH_CARRIER.job().withSurvey(Survey.NONE);
        PracticeSet set = new PracticeSet(job, 2400, 1800);
        List<Path> files = set.write(folder);
        Survey survey = Survey.NONE.withSheet(
                PlacedSheet.AS_PRINTED.withLaid(Optional.of(new PlacedSheet.Laid(set.sheetAt(), 0, 0.01, 0.001))));
        Random random = new Random(11);
        for (int n = 0; n < set.count(); n++) {
            PictureFile.Read read = PictureFile.read(files.get(n));
            assertThat(read.focal35()).isEqualTo(26);
            List<MarkSeen> found = MarkFinder.find(read.picture());
            Id id = survey.nextPhotograph();
            survey = survey.with(read.photograph(id, "photos/" + read.file()), found);
            for (Map.Entry<Id, Point> ball : set.balls().entrySet()) {
                Lens.Pixel at = set.drawn(n, ball.getValue());
                survey = survey.sighted(
                        ball.getKey(),
                        ball.getKey().text(),
                        new Sighted(id, at.across() + random.nextGaussian(), at.down() + random.nextGaussian(), 1));
            }
        }
        Job with = job.withSurvey(survey);
        assertThat(JobReader.read(JobWriter.write(with)).survey()).isEqualTo(survey);
        Surveyed s = JobPoints.surveyed(with);
        assertThat(s.open()).isEmpty();
        assertThat(set.balls()).hasSize(6);
        set.balls().forEach((id, truth) -> {
            Surveyed.Place p = s.places().get(id);
            // Pressed within a pixel, 1.6 mm there, in pictures of 4 megapixels.
            assertThat(p.at().distanceTo(truth)).as("%s", id).isLessThan(Math.min(6, 3.5 * p.sd()));
        });
        set.marks().forEach((mark, truth) -> {
            Surveyed.Place p = s.places().get(Id.Kind.TARGET.number(mark));
            assertThat(p.at().distanceTo(truth)).as("mark %d", mark).isLessThan(1.5);
        });
        // What is taken out again leaves nothing behind.
        Survey less = survey;
        for (int n = 1; n <= set.count(); n++) {
            less = less.withoutPhotograph(Id.Kind.PHOTO.number(n));
        }
        assertThat(less.photographs()).isEmpty();
        assertThat(less.points()).isEmpty();
    }

    @Test
    void orientationAndColourAreRead() throws Exception {
        BufferedImage image = new BufferedImage(200, 100, BufferedImage.TYPE_INT_RGB);
        for (int x = 0; x < 200; x++) {
            for (int y = 0; y < 100; y++) {
                image.setRGB(x, y, x < 100 ? 0xff0000 : 0x00ff00);
            }
        }
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ImageIO.write(image, "png", bytes);
        PictureFile.Read read = PictureFile.read(file("colour.png", bytes.toByteArray()));
        // Red looks dark and green light: 0.299 and 0.587 of white.
        assertThat(read.picture().grey()[50 * 200 + 20] & 0xff).isEqualTo(76);
        assertThat(read.picture().grey()[50 * 200 + 150] & 0xff).isEqualTo(150);
        assertThat(read.focal35()).isZero();
        assertThat(read.turnedDeg()).isZero();
        ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
        ImageIO.write(image, "jpeg", jpeg);
        assertThat(PictureFile.read(file("turned.jpg", turned(jpeg.toByteArray(), 6)))
                        .turnedDeg())
                .isEqualTo(90);
        assertThat(PictureFile.read(file("over.jpg", turned(jpeg.toByteArray(), 3)))
                        .turnedDeg())
                .isEqualTo(180);
    }

    /** With an Exif segment that says which way is up. */
    private static byte[] turned(byte[] jpeg, int orientation) {
        ByteBuffer b = ByteBuffer.allocate(jpeg.length + 36);
        b.put(jpeg, 0, 2).putShort((short) 0xffe1).putShort((short) 34);
        b.put("Exif\0\0MM".getBytes(StandardCharsets.US_ASCII))
                .putShort((short) 42)
                .putInt(8);
        b.putShort((short) 1).putShort((short) 0x112).putShort((short) 3).putInt(1);
        b.putShort((short) orientation).putShort((short) 0).putInt(0);
        return b.put(jpeg, 2, jpeg.length - 2).array();
    }

    @Test
    void whatIsNoPhotographIsRefusedInASentence() throws Exception {
        refused(file("empty.jpg", new byte[0]), "no photograph");
        refused(file("words.jpg", "not a picture".getBytes(StandardCharsets.US_ASCII)), "no photograph");
        refused(folder.resolve("gone.jpg"), "gone.jpg");
        byte[] gif = "GIF89a\1\0\1\0\0\0\0;".getBytes(StandardCharsets.ISO_8859_1);
        refused(file("other.gif", gif), "JPEG or PNG");
        // Forty thousand pixels each way in fifty bytes: refused by its head alone.
        refused(file("huge.png", pngHead(40_000, 40_000)), "40000 × 40000");
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        BufferedImage image = new BufferedImage(300, 200, BufferedImage.TYPE_BYTE_GRAY);
        ImageIO.write(image, "png", bytes);
        byte[] whole = bytes.toByteArray();
        refused(file("cut.png", Arrays.copyOf(whole, whole.length / 2)), "damaged");
    }

    @Test
    void damagedPicturesNeverBreakTheReader() throws Exception {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(120, 100, BufferedImage.TYPE_BYTE_GRAY), "jpeg", bytes);
        Random random = new Random(8);
        List<String> refusals = new ArrayList<>();
        for (byte[] whole : List.of(turned(bytes.toByteArray(), 6), pngHead(64, 64))) {
            for (int n = 0; n < 400; n++) {
                byte[] bad = whole.clone();
                for (int k = 0; k < 1 + n % 5; k++) {
                    bad[random.nextInt(bad.length)] = (byte) random.nextInt();
                }
                try {
                    PictureFile.read(file("bad.jpg", bad));
                } catch (JobFileException e) {
                    refusals.add(e.getMessage());
                }
            }
        }
        assertThat(refusals).isNotEmpty().allMatch(m -> m.startsWith("bad.jpg: ") && m.endsWith("It was not added."));
    }

    private static byte[] pngHead(int width, int height) {
        ByteBuffer b = ByteBuffer.allocate(33);
        b.put(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n'}).putInt(13);
        b.put("IHDR".getBytes(StandardCharsets.US_ASCII)).putInt(width).putInt(height);
        b.put(new byte[] {8, 0, 0, 0, 0});
        CRC32 sum = new CRC32();
        sum.update(b.array(), 12, 17);
        return b.putInt((int) sum.getValue()).array();
    }

    private Path file(String name, byte[] bytes) throws IOException {
        return Files.write(folder.resolve(name), bytes);
    }

    private static void refused(Path file, String why) {
        assertThatThrownBy(() -> PictureFile.read(file))
                .isInstanceOf(JobFileException.class)
                .hasMessageContaining(why)
                .hasMessageEndingWith("It was not added.");
    }
}
