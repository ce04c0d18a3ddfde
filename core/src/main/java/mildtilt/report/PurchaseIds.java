package mildtilt.report;

import mildtilt.build.Metal;
import mildtilt.build.ScrewThread;
import mildtilt.build.Section;
import mildtilt.id.Id;
import mildtilt.units.LengthText;

/** Ids of what is bought by its sizes alone. They are in job files: what they are made of stays as it is. */
public final class PurchaseIds {

    private PurchaseIds() {}

    /** {@code jam_nut.m16_p2_right}. */
    public static Id jamNut(ScrewThread t) {
        return new Id("jam_nut").part("m" + number(t.major(), 2) + "_p" + number(t.pitch(), 2) + "_" + Id.of(t.hand()));
    }

    /** {@code bar.steel.d25_w3_l6000}, without the wall for a solid bar. @param length mm */
    public static Id bar(Metal metal, Section section, double length) {
        String size =
                switch (section) {
                    case Section.Bar b -> "d" + number(b.diameter(), 2);
                    case Section.Tube t -> "d" + number(t.outside(), 2) + "_w" + number(t.wall(), 2);
                };
        return new Id("bar").part(Id.of(metal).text()).part(size + "_l" + number(length, 1));
    }

    /** {@code plate.t12}. @param thickness mm */
    public static Id plate(double thickness) {
        return new Id("plate").part("t" + number(thickness, 3));
    }

    private static String number(double v, int decimals) {
        return LengthText.trimmed(v, decimals).replace('.', '_');
    }
}
