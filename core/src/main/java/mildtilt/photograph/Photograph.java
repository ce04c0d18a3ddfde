package mildtilt.photograph;

import java.util.List;
import java.util.Optional;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.id.Id;
import mildtilt.withers.Withers;

/**
 * A photograph that is measured from. What is seen in it of the vehicle is written with the points themselves.
 *
 * @param file beside the job
 * @param width px, as the camera stored it
 * @param height px
 * @param focal35 the lens, as the length that would see as much on a picture of 36 × 24 mm; 0 if it is not known
 * @param turnedDeg clockwise, by a multiple of 90°, to show it upright
 * @param marks of the printed sheet that are seen in it
 * @param rectangle of known size that is seen in it, if one was pressed
 */
@Withers
public record Photograph(
        Id id,
        String name,
        String file,
        int width,
        int height,
        double focal35,
        int turnedDeg,
        List<MarkSeen> marks,
        Optional<SeenRectangle> rectangle)
        implements PhotographBuilder.With {

    /** Of a picture of 36 × 24 mm, mm. */
    private static final double DIAGONAL_35 = Math.hypot(36, 24);
    /** About that of a phone's main camera, where it is not known. */
    private static final double USUAL_35 = 26;

    /** @throws ImpossibleGeometryException if it is empty or huge, turned askew, or has one mark twice */
    public Photograph {
        marks = List.copyOf(marks);
        PhotoName.check(file);
        if (width < 100 || height < 100 || (long) width * height > GreyPicture.MOST_PIXELS) {
            throw new ImpossibleGeometryException("A photograph must have 100 pixels each way at least, and "
                    + GreyPicture.MOST_PIXELS / 1_000_000 + " million in all at most.");
        }
        if (!(focal35 >= 0 && focal35 <= 1000) || turnedDeg % 90 != 0) {
            throw new ImpossibleGeometryException(
                    "A lens must be from 0 to 1000 mm, and a photograph turned by 0, 90, 180 or 270 degrees.");
        }
        if (marks.stream().map(MarkSeen::mark).distinct().count() < marks.size()) {
            throw new ImpossibleGeometryException("\"" + name + "\" has one mark of the sheet twice; keep one.");
        }
    }

    /** By which a corner of its rectangle is spoken of. @param corner from 0 */
    public Id corner(int corner) {
        return id.part("corner_" + (corner + 1));
    }

    /** What its lens is thought to be before anything is fitted. */
    public Lens lens() {
        double focal = (focal35 > 0 ? focal35 : USUAL_35) / DIAGONAL_35 * Math.hypot(width, height);
        return Lens.usual(width, height, focal);
    }

    /** How well that focal length is known, as a part of it: of a phone's own word, or of a guess. */
    public double focalSpread() {
        return focal35 > 0 ? 0.05 : 0.25;
    }

    /** Whether both were taken with one lens, as far as can be told. */
    public boolean sameLens(Photograph o) {
        return width == o.width && height == o.height && focal35 == o.focal35;
    }
}
