package mildtilt.io.pdf;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import mildtilt.analysis.Analysis;
import mildtilt.curve.Curve;
import mildtilt.curve.Scale;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;

/** Curves on a sheet, with their scales and what is used of their range. */
final class CurvePdf {

    private static final double[] WIDTHS = {1.2, 0.7, 0.7, 0.5};
    private static final float[][] DASHES = {{}, {}, {4, 2}, {1.5f, 2}};

    private final PdfSheet sheet;
    private final LengthUnit unit;

    CurvePdf(PdfSheet sheet, LengthUnit unit) {
        this.sheet = sheet;
        this.unit = unit;
    }

    /** Draws one in a box. */
    void draw(Curve curve, Analysis a, double x, double y, double w, double h) throws IOException {
        List<Curve.Series> all = curve.series(a);
        List<Curve.Run> runs = all.stream().flatMap(s -> s.runs().stream()).toList();
        sheet.text(sheet.bold, 10, x, y + 9, curve.title());
        double left = x + 42;
        double top = y + 27;
        double bottom = y + h - 30;
        double right = x + w - 6;
        Scale across = Scale.over(runs, List.of(), 0, curve.shown(unit), left, right, w / 60);
        Scale up = Scale.over(runs, List.of(), 1, curve.shownUp(unit), bottom, top, h / 30);
        used(curve.used(a), curve, across, top, bottom);
        sheet.pen(0.3, 0.75);
        for (double v = across.first(); v <= across.last() + across.step() / 2; v += across.step()) {
            sheet.line(across.at(v), top, across.at(v), bottom);
            sheet.textMiddle(sheet.regular, 9, across.at(v), bottom + 10, LengthText.decimal(v, across.decimals()));
        }
        for (double v = up.first(); v <= up.last() + up.step() / 2; v += up.step()) {
            sheet.line(left, up.at(v), right, up.at(v));
            sheet.textRight(sheet.regular, 9, left - 3, up.at(v) + 3, LengthText.decimal(v, up.decimals()));
        }
        sheet.textMiddle(
                sheet.regular,
                9,
                (left + right) / 2,
                bottom + 21,
                curve.across(
                        unit,
                        a.train()
                                .axle()
                                .filter(s -> s.axle().wheelTravel() == WheelTravel.ROLL_ONLY)
                                .isPresent()));
        sheet.text(sheet.regular, 9, x, top - 6, curve.unit(unit));
        for (int i = 0; i < all.size(); i++) {
            int style = Math.min(i, WIDTHS.length - 1);
            sheet.pen(WIDTHS[style], 0);
            sheet.dash(DASHES[style]);
            for (Curve.Run run : all.get(i).runs()) {
                double[] xy = new double[2 * run.points().size()];
                for (int k = 0; k < run.points().size(); k++) {
                    xy[2 * k] = across.at(run.points().get(k)[0] * curve.shown(unit));
                    xy[2 * k + 1] = up.at(run.points().get(k)[1] * curve.shownUp(unit));
                }
                sheet.path(xy, false);
            }
            if (!all.get(i).name().isEmpty()) {
                double nx = right - 130;
                double ny = top + 10 + 11 * i;
                sheet.line(nx, ny - 2.5, nx + 18, ny - 2.5);
                sheet.text(sheet.regular, 9, nx + 21, ny, all.get(i).name());
            }
            sheet.dash();
        }
    }

    private void used(Optional<Curve.Used> used, Curve curve, Scale across, double top, double bottom)
            throws IOException {
        if (used.isEmpty()) {
            return;
        }
        sheet.pen(0.8, 0.45);
        sheet.dash(2, 2);
        for (double v : new double[] {used.get().from(), used.get().to()}) {
            double at = v * curve.shown(unit);
            if (at >= across.low() && at <= across.high()) {
                sheet.line(across.at(at), top, across.at(at), bottom);
            }
        }
        sheet.dash();
    }
}
