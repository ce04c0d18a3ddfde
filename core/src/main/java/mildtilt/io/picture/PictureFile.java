package mildtilt.io.picture;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Directory;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.MemoryCacheImageInputStream;
import mildtilt.id.Id;
import mildtilt.io.JobFileException;
import mildtilt.io.SafeFiles;
import mildtilt.photograph.GreyPicture;
import mildtilt.photograph.Photograph;

/** A photograph as a camera wrote it: its shades, and what it says of its lens and of which way is up. */
public final class PictureFile {

    /** So large at most; a phone's are a tenth of that. */
    public static final long LARGEST_BYTES = 60L << 20;

    private PictureFile() {}

    /**
     * @param file its name
     * @param focal35 as {@link mildtilt.photograph.Photograph} has it; 0 if the file does not say
     * @param turnedDeg clockwise, to show it upright: 0, 90, 180 or 270
     */
    public record Read(String file, GreyPicture picture, double focal35, int turnedDeg) {

        /** The file's, without its ending; never empty, and not as long as a file's may be. */
        private String name() {
            String name = file.replaceFirst("\\.[^.]*$", "").strip();
            return name.isEmpty()
                    ? "photograph"
                    : name.substring(
                            0, name.offsetByCodePoints(0, Math.min(80, name.codePointCount(0, name.length()))));
        }

        /** As a survey keeps it. @param beside how its copy is named from the job's folder */
        public Photograph photograph(Id id, String beside) {
            return new Photograph(
                    id,
                    name(),
                    beside,
                    picture.width(),
                    picture.height(),
                    focal35,
                    turnedDeg,
                    List.of(),
                    Optional.empty());
        }
    }

    /** @throws JobFileException if it is no photograph, damaged or too large, saying which */
    public static Read read(Path file) throws JobFileException {
        String name = String.valueOf(file.getFileName() == null ? file : file.getFileName());
        try {
            SafeFiles.needPlain(file, "a photograph");
            long size = Files.size(file);
            if (size > LARGEST_BYTES) {
                throw new JobFileException(
                        "it is larger than " + (LARGEST_BYTES >> 20) + " MB: make it smaller first.");
            }
            byte[] bytes = Files.readAllBytes(file);
            GreyPicture picture = picture(bytes);
            Optional<Metadata> said = said(bytes);
            return new Read(name, picture, focal35(said), turned(said));
        } catch (JobFileException e) {
            throw new JobFileException(name + ": " + e.getMessage() + " It was not added.");
        } catch (IOException e) {
            throw new JobFileException(name + " can't be read: " + SafeFiles.reason(e) + " It was not added.");
        }
    }

    /** Its size is looked at before any of it is unpacked, so that a small file can't fill the memory. */
    private static GreyPicture picture(byte[] bytes) throws JobFileException {
        try (ImageInputStream in = new MemoryCacheImageInputStream(new ByteArrayInputStream(bytes))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            ImageReader reader = readers.hasNext() ? readers.next() : null;
            if (reader == null
                    || !reader.getFormatName().toLowerCase(Locale.ROOT).matches("jpe?g|png")) {
                throw new JobFileException("it is no photograph that can be read: take a JPEG or PNG file.");
            }
            try {
                reader.setInput(in, true, true);
                int width = reader.getWidth(0);
                int height = reader.getHeight(0);
                if ((long) width * height > GreyPicture.MOST_PIXELS) {
                    throw new JobFileException("it has " + width + " × " + height + " pixels; up to "
                            + GreyPicture.MOST_PIXELS / 1_000_000 + " million can be taken. Make it smaller first.");
                }
                return grey(reader.read(0));
            } finally {
                reader.dispose();
            }
        } catch (OutOfMemoryError e) {
            throw new JobFileException("there is not enough memory to unpack it. Make it smaller first.");
        } catch (IOException | IllegalArgumentException | IndexOutOfBoundsException | NegativeArraySizeException e) {
            throw new JobFileException("the file is damaged: it can't be unpacked. Copy it again from where it came.");
        }
    }

    private static GreyPicture grey(BufferedImage image) {
        int width = image.getWidth();
        int height = image.getHeight();
        byte[] grey = new byte[width * height];
        if (image.getType() == BufferedImage.TYPE_BYTE_GRAY) {
            image.getRaster().getDataElements(0, 0, width, height, grey);
            return new GreyPicture(width, height, grey);
        }
        int[] row = new int[width];
        for (int y = 0; y < height; y++) {
            image.getRGB(0, y, width, 1, row, 0, width);
            for (int x = 0; x < width; x++) {
                int c = row[x];
                // How light the three colours look, after ITU-R BT.601.
                grey[y * width + x] =
                        (byte) ((299 * (c >> 16 & 0xff) + 587 * (c >> 8 & 0xff) + 114 * (c & 0xff) + 500) / 1000);
            }
        }
        return new GreyPicture(width, height, grey);
    }

    /** Nothing if it can't be read: what a camera says of itself is a help, no more. */
    private static Optional<Metadata> said(byte[] bytes) {
        try {
            return Optional.of(ImageMetadataReader.readMetadata(new ByteArrayInputStream(bytes), bytes.length));
        } catch (ImageProcessingException | IOException e) {
            return Optional.empty();
        }
    }

    private static double focal35(Optional<Metadata> said) {
        return said.map(m -> m.getFirstDirectoryOfType(ExifSubIFDDirectory.class))
                .map(d -> d.getDoubleObject(ExifSubIFDDirectory.TAG_35MM_FILM_EQUIV_FOCAL_LENGTH))
                .filter(f -> f >= 5 && f <= 1000)
                .orElse(0.0);
    }

    private static int turned(Optional<Metadata> said) {
        return switch (said.map(m -> (Directory) m.getFirstDirectoryOfType(ExifIFD0Directory.class))
                .map(d -> d.getInteger(ExifIFD0Directory.TAG_ORIENTATION))
                .orElse(1)) {
            case 3, 4 -> 180;
            case 5, 6 -> 90;
            case 7, 8 -> 270;
            default -> 0;
        };
    }
}
