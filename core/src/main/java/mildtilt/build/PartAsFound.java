package mildtilt.build;

import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.withers.Withers;

/**
 * A shaft, tube or shroud as it was found, before the saw.
 *
 * @param length from end to end, mm; of a shaft that slides, at the overlap that is planned
 * @param least the shortest it can be made, mm
 * @param limit what ends it there
 */
@Withers
public record PartAsFound(double length, double least, Limit limit) implements PartAsFoundBuilder.With {

    /** What the saw has to leave, and what would free more. */
    public enum Limit {
        BEARING_SEAT("a bearing seat", "Turn a new seat further up, or press in a housing of its own"),
        BRACKET("a bracket", "Move the bracket along, and look at what it is bolted to"),
        WELD("a weld", "Cut the weld out and have it made anew and tested"),
        COLLAPSE_SECTION("its collapse section", "Nothing frees more: a collapse section is never cut or welded"),
        SPLINE("its splines or flats", "Cut splines or flats anew further up, or take a fork for the plain shaft"),
        LOCK("a lock or switch", "Move the lock or the switch along"),
        OTHER("what was found on it", "Look whether it can be moved");

        private final String label;
        private final String frees;

        Limit(String label, String frees) {
            this.label = label;
            this.frees = frees;
        }

        public String label() {
            return label;
        }

        /** What would let it be made shorter, a sentence without its full stop. */
        public String frees() {
            return frees;
        }
    }

    /** @throws ImpossibleGeometryException naming the size that can't be */
    public PartAsFound {
        if (!(length > 0)) {
            throw new ImpossibleGeometryException("The length of a part as found must be above 0.");
        }
        if (!(least >= 0 && least <= length)) {
            throw new ImpossibleGeometryException(
                    "The shortest that a part as found can be made must be from 0 to its length.");
        }
    }

    /** Before it is measured: as long as is planned. */
    public static PartAsFound usual(double planned) {
        return new PartAsFound(Math.rint(planned), Math.floor(planned), Limit.OTHER);
    }

    /** How much can be taken off at most, mm. */
    public double spare() {
        return length - least;
    }
}
