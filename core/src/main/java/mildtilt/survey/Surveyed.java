package mildtilt.survey;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import mildtilt.geometry.Frame;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.photograph.Lens;

/**
 * The result of a survey.
 *
 * @param places where each settled point is
 * @param open what can't be settled, with why
 * @param checks every reading of a located point against the fit
 * @param spare how many readings more there are than are needed
 * @param together the covariance of all places
 * @param photographs where each camera stood
 * @param marks every mark of the printed sheet and every corner of a rectangle in each photograph, against the fit
 */
public record Surveyed(
        Map<Id, Place> places,
        Map<Id, String> open,
        List<ReadingCheck> checks,
        int spare,
        Covariance together,
        List<PhotoPlace> photographs,
        List<ReadingCheck> marks) {

    /** More than this many of its own ± off is more than chance. */
    public static final double SUSPECT = 3;

    /** The same of a place in a photograph: there are hundreds of them, and one or two over three are chance. */
    public static final double SUSPECT_SIGHT = 4;

    /** @param sdX ± of x, mm, one standard deviation, and so on */
    public record Place(Point at, double sdX, double sdY, double sdZ) {

        public double sd() {
            return Math.sqrt(sdX * sdX + sdY * sdY + sdZ * sdZ);
        }
    }

    /**
     * A photograph after the fit.
     *
     * @param camera its directions to the right and down in the picture, and ahead; empty if it can't be used
     * @param lens as fitted
     * @param plane of its rectangle, toward who looks; empty if it has none
     * @param off px, the root of the mean square over all that is seen in it
     * @param why it can't be used; empty if it is
     */
    public record PhotoPlace(
            Id photograph, Optional<Frame> camera, Lens lens, Optional<Frame> plane, double off, String why) {}

    /**
     * @param point whose reading
     * @param index among its readings
     * @param off how far what was read is from what all say, in its own unit; the worst of several figures
     * @param misread how far it would have to be misread for the others to say what they say, in its own unit; more
     *     than
     * {@code off}, as a wrong reading draws
     *     the point to itself
     * @param times {@code off} in its own ±, allowing for how much of it the other readings can see
     * @param checked whether other readings can see it at all
     */
    public record ReadingCheck(
            Id point, int index, Reading reading, double off, double misread, double times, boolean checked) {

        /** In place of an index: of a mark of the printed sheet, or a corner of a rectangle. */
        public static final int OF_SHEET = -1;

        public boolean suspect() {
            return checked && times > (reading instanceof Reading.Sighted ? SUSPECT_SIGHT : SUSPECT);
        }
    }

    /** A photograph after the fit; empty if its camera was not located. */
    public Optional<PhotoPlace> located(Id photograph) {
        return photographs.stream()
                .filter(p -> p.photograph().equals(photograph) && p.camera().isPresent())
                .findFirst();
    }

    /**
     * The reading most likely to be wrong, if one is. The worst alone: a wrong one makes its neighbours look wrong. A
     * tape and the place of the mark it
     * is held to can't be told apart where nothing else is measured from there; then it is the one that is off by more.
     */
    public Optional<ReadingCheck> worst() {
        List<ReadingCheck> all = Stream.concat(checks.stream(), marks.stream()).toList();
        double most = all.stream()
                .filter(ReadingCheck::suspect)
                .mapToDouble(ReadingCheck::times)
                .max()
                .orElse(0);
        return all.stream()
                .filter(t -> t.suspect() && t.times > 0.99 * most)
                .max(Comparator.comparingDouble(ReadingCheck::off));
    }
}
