package mildtilt.io.cad;

import java.util.List;
import java.util.Locale;
import mildtilt.template.FlatPattern;
import mildtilt.template.PatternMark;
import mildtilt.template.PatternPoint;
import mildtilt.units.LengthUnit;

/**
 * A pattern or a drawing as DXF of release 12, which every cutting table reads: millimetres, lines that are cut on the
 * layer CUT, marks on MARK, other edges, middle lines and sizes on layers of their own, words on TEXT.
 */
public final class TemplateDxf {

    private final StringBuilder out = new StringBuilder();
    private final LengthUnit unit;

    private TemplateDxf(LengthUnit unit) {
        this.unit = unit;
    }

    /** ASCII text; letters beyond it are written as their code. */
    public static String write(FlatPattern pattern, LengthUnit unit) {
        TemplateDxf dxf = new TemplateDxf(unit);
        FlatPattern.Bounds b = pattern.bounds();
        dxf.put(0, "SECTION")
                .put(2, "HEADER")
                .put(9, "$ACADVER")
                .put(1, "AC1009")
                .put(9, "$EXTMIN")
                .at(10, b.left(), b.bottom())
                .put(30, 0)
                .put(9, "$EXTMAX")
                .at(10, b.right(), b.top())
                .put(30, 0)
                .put(0, "ENDSEC");
        dxf.put(0, "SECTION")
                .put(2, "TABLES")
                .put(0, "TABLE")
                .put(2, "LTYPE")
                .put(70, 1)
                .put(0, "LTYPE")
                .put(2, "CONTINUOUS")
                .put(70, 0)
                .put(3, "Solid line")
                .put(72, 65)
                .put(73, 0)
                .put(40, 0.0)
                .put(0, "ENDTAB")
                .put(0, "TABLE")
                .put(2, "LAYER")
                .put(70, 2 + PatternMark.Layer.values().length);
        dxf.layer("0", 7);
        for (PatternMark.Layer layer : PatternMark.Layer.values()) {
            dxf.layer(layer.name(), colour(layer));
        }
        dxf.layer("TEXT", 8);
        dxf.put(0, "ENDTAB").put(0, "ENDSEC").put(0, "SECTION").put(2, "ENTITIES");
        pattern.inks().forEach(dxf::ink);
        dxf.put(0, "ENDSEC").put(0, "EOF");
        return dxf.out.toString();
    }

    private void ink(PatternMark ink) {
        switch (ink) {
            case PatternMark.Path p
            when p.spots().size() == 2 && !p.closed() -> {
                PatternPoint a = p.spots().get(0);
                PatternPoint b = p.spots().get(1);
                put(0, "LINE")
                        .put(8, p.layer().name())
                        .at(10, a.x(), a.y())
                        .put(30, 0)
                        .at(11, b.x(), b.y())
                        .put(31, 0);
            }
            case PatternMark.Path p -> path(p.layer().name(), p.spots(), p.closed());
            case PatternMark.Circle c ->
                put(0, "CIRCLE")
                        .put(8, c.layer().name())
                        .at(10, c.centre().x(), c.centre().y())
                        .put(30, 0)
                        .put(40, c.radius());
            case PatternMark.Words w ->
                put(0, "TEXT")
                        .put(8, "TEXT")
                        .at(10, w.at().x(), w.at().y())
                        .put(30, 0)
                        .put(40, w.height())
                        .put(1, ascii(w.text().text(unit)))
                        .put(50, w.upward() ? 90.0 : 0.0)
                        .anchored(w);
        }
    }

    private void anchored(PatternMark.Words w) {
        int side =
                switch (w.anchor()) {
                    case START -> 0;
                    case MIDDLE -> 1;
                    case END -> 2;
                };
        if (side > 0) {
            put(72, side).at(11, w.at().x(), w.at().y()).put(31, 0);
        }
    }

    private static int colour(PatternMark.Layer layer) {
        return switch (layer) {
            case CUT -> 1;
            case MARK -> 5;
            case OUTLINE -> 7;
            case HIDDEN -> 8;
            case CENTRE -> 4;
            case SIZE -> 3;
        };
    }

    private void path(String layer, List<PatternPoint> spots, boolean closed) {
        put(0, "POLYLINE").put(8, layer).put(66, 1).at(10, 0, 0).put(30, 0).put(70, closed ? 1 : 0);
        for (PatternPoint s : spots) {
            put(0, "VERTEX").put(8, layer).at(10, s.x(), s.y()).put(30, 0);
        }
        put(0, "SEQEND").put(8, layer);
    }

    private TemplateDxf layer(String name, int colour) {
        return put(0, "LAYER").put(2, name).put(70, 0).put(62, colour).put(6, "CONTINUOUS");
    }

    /** An x and a y, whose code is ten more. */
    private TemplateDxf at(int code, double x, double y) {
        return put(code, x).put(code + 10, y);
    }

    private TemplateDxf put(int code, double v) {
        return put(code, String.format(Locale.ROOT, "%.6f", v));
    }

    private TemplateDxf put(int code, int v) {
        return put(code, Integer.toString(v));
    }

    private TemplateDxf put(int code, String v) {
        out.append(String.format(Locale.ROOT, "%3d", code))
                .append('\n')
                .append(v)
                .append('\n');
        return this;
    }

    /** No line ends, which would end the value; nor what begins a code: two percent signs, a caret. */
    private static String ascii(String text) {
        StringBuilder s = new StringBuilder();
        text.chars().forEach(c -> {
            if (c == '%' && s.length() > 0 && s.charAt(s.length() - 1) == '%') {
                s.append(" %");
            } else if (c == '^') {
                s.append("^ ");
            } else if (c < 0x20 || c == 0x7F) {
                s.append(' ');
            } else if (c < 0x7F) {
                s.append((char) c);
            } else {
                s.append(String.format(Locale.ROOT, "\\U+%04X", c));
            }
        });
        return s.toString();
    }
}
