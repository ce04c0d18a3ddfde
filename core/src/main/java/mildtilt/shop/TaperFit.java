package mildtilt.shop;

import java.util.Optional;
import mildtilt.build.Hole;
import mildtilt.build.Stud;

/**
 * How a tapered stud sits in a tapered hole.
 *
 * <p>With the stud's large end p above the arm's face, its diameter at depth z below the face is {@code L − r (p + z)};
 * the hole's
 * is {@code D − q z}. It goes in until they meet: at the ball's face where the stud's rate r is the greater, at the
 * nut's face where the
 * hole's rate q is.
 *
 * @param proud how far the stud's large end stands above the arm's face, mm; below 0 it has sunk into the hole
 * @param contact length along which taper and hole face each other, mm
 * @param through how far the taper comes out at the nut's side, mm; below 0 it ends inside
 * @param play difference of diameters at the end where they do not touch, mm
 * @param playAtNut whether that is the nut's side
 */
record TaperFit(double proud, double contact, double through, double play, boolean playAtNut) {

    /**
     * Tapers that differ by no more than this in diameter over the arm bear over all their length when drawn tight, mm.
     */
    static final double SAME_RATE = 0.05;
    /** Of the arm's thickness that must be in contact. */
    static final double LEAST_CONTACT = 0.75;

    static TaperFit of(Stud.Taper stud, Hole.Tapered hole) {
        double t = hole.thickness();
        double r = stud.rate();
        double q = hole.rate();
        double proud = (stud.large() - hole.large() + Math.max(0, q - r) * t) / r;
        double deep = stud.length() - proud;
        double contact = Math.max(0, Math.min(t, deep) - Math.max(0, -proud));
        return new TaperFit(proud, contact, deep - t, Math.abs(r - q) * t, r > q);
    }

    SeatingResult seating(Hole.Tapered hole) {
        if (contact <= 0) {
            return proud > 0 ? SeatingResult.TOO_LARGE : SeatingResult.SINKS;
        }
        if (play > SAME_RATE) {
            return SeatingResult.RATTLES;
        }
        if (proud < 0) {
            return SeatingResult.SINKS;
        }
        return contact < LEAST_CONTACT * hole.thickness()
                ? SeatingResult.STANDS_PROUD
                : through > 0 ? SeatingResult.NUT_RUNS_OUT : SeatingResult.FITS;
    }

    /**
     * The hole that this stud would seat in: its large end a millimetre proud, or as much as keeps its small end
     * inside; the arm as thick as it
     * is, or faced down to the stud where that is too short for it. Empty where so steep a taper would have come to a
     * point before that.
     */
    static Optional<Hole.Tapered> holeFor(Stud.Taper stud, double is) {
        double thickness = is > (stud.length() - 1) / LEAST_CONTACT ? stud.length() - 0.5 : is;
        double proud = Math.max(1, stud.length() - thickness + 0.5);
        double small = stud.large() - stud.rate() * (proud + thickness);
        return small > 0
                ? Optional.of(new Hole.Tapered(stud.large() - stud.rate() * proud, small, thickness))
                : Optional.empty();
    }
}
