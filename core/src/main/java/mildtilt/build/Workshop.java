package mildtilt.build;

import java.util.List;
import java.util.Optional;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.withers.Withers;

/**
 * What the workshop has and how it works.
 *
 * @param sets how many of the vehicle are made
 * @param kerf of the saw, mm
 * @param facing left on every sawn end to be faced or ground off, mm
 * @param rootGap between two ends that are butted to be welded, mm
 * @param usualBar length of a bar bought new, mm
 * @param engagementTimes least thread engagement of a rod's end, in thread diameters
 * @param tubeWall of the column tube, if it is made and not bought, mm
 * @param stock bars and offcuts on hand
 * @param fixture where the fixture's lengths are measured from
 */
@Withers
public record Workshop(
        int sets,
        double kerf,
        double facing,
        double rootGap,
        double usualBar,
        double engagementTimes,
        Paper paper,
        Optional<Double> tubeWall,
        List<StockBar> stock,
        FixtureDatum fixture)
        implements WorkshopBuilder.With {

    public static final Workshop USUAL =
            new Workshop(1, 2, 1, 1.5, 3000, 1.5, Paper.A4, Optional.empty(), List.of(), FixtureDatum.ORIGIN);

    /** The sheet that templates are printed on, mm. */
    public enum Paper {
        A4("A4", 210, 297),
        LETTER("Letter", 215.9, 279.4);

        private final String label;
        private final double width;
        private final double height;

        Paper(String label, double width, double height) {
            this.label = label;
            this.width = width;
            this.height = height;
        }

        public String label() {
            return label;
        }

        public double width() {
            return width;
        }

        public double height() {
            return height;
        }
    }

    /** @param x of its zero, in the vehicle's own axes, mm; @param tableZ height of its table in them, mm */
    public record FixtureDatum(double x, double tableZ) {
        public static final FixtureDatum ORIGIN = new FixtureDatum(0, 0);
    }

    /** @param length mm; @param count of that length on hand */
    public record StockBar(Section section, Metal metal, double length, int count) {
        public StockBar {
            if (!(length > 0) || count < 1 || count > 200) {
                throw new ImpossibleGeometryException("A bar on hand needs a length above 0 and a count of 1 to 200.");
            }
        }
    }

    /** @throws ImpossibleGeometryException naming the figure that can't be */
    public Workshop {
        stock = List.copyOf(stock);
        if (sets < 1 || sets > 100) {
            throw new ImpossibleGeometryException("The number of sets must be 1 to 100.");
        }
        if (!(kerf >= 0 && kerf < 20) || !(facing >= 0 && facing < 50) || !(rootGap >= 0 && rootGap < 10)) {
            throw new ImpossibleGeometryException("Saw kerf, facing and root gap can't be negative or that wide.");
        }
        if (!(usualBar > 0)) {
            throw new ImpossibleGeometryException("The length of a new bar must be above 0.");
        }
        if (!(engagementTimes >= 0.5 && engagementTimes <= 5)) {
            throw new ImpossibleGeometryException(
                    "The least thread engagement must be between half a diameter and five.");
        }
    }

    public Workshop withSaw(double k, double face, double gap) {
        return new Workshop(sets, k, face, gap, usualBar, engagementTimes, paper, tubeWall, stock, fixture);
    }
}
