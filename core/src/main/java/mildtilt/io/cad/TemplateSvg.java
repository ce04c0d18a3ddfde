package mildtilt.io.cad;

import java.io.StringWriter;
import java.util.Locale;
import java.util.stream.Collectors;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import mildtilt.template.FlatPattern;
import mildtilt.template.PatternMark;
import mildtilt.template.PatternMark.Layer;
import mildtilt.units.LengthUnit;

/** A pattern as SVG in true millimetres: one group for what is cut, one for what is marked, one for the words. */
public final class TemplateSvg {

    private static final String NAMESPACE = "http://www.w3.org/2000/svg";
    private static final double MARGIN = 10;
    private static final double HAIR = 0.1;

    private final FlatPattern pattern;
    private final LengthUnit unit;
    private final XMLStreamWriter xml;
    private final FlatPattern.Bounds box;

    private TemplateSvg(FlatPattern pattern, LengthUnit unit, XMLStreamWriter xml) {
        this.pattern = pattern;
        this.unit = unit;
        this.xml = xml;
        box = pattern.bounds();
    }

    public static String write(FlatPattern pattern, LengthUnit unit) {
        StringWriter out = new StringWriter();
        try {
            XMLStreamWriter xml = XMLOutputFactory.newFactory().createXMLStreamWriter(out);
            new TemplateSvg(pattern, unit, xml).document();
            xml.close();
        } catch (XMLStreamException e) {
            throw new IllegalStateException(e);
        }
        return out.toString();
    }

    private static String n(double mm) {
        return String.format(Locale.ROOT, "%.4f", mm).replaceAll("0+$", "").replaceAll("\\.$", "");
    }

    private String x(double x) {
        return n(x - box.left() + MARGIN);
    }

    private String y(double y) {
        return n(box.top() - y + MARGIN);
    }

    private void document() throws XMLStreamException {
        double w = box.width() + 2 * MARGIN;
        double h = box.height() + 2 * MARGIN;
        xml.writeStartDocument("UTF-8", "1.0");
        xml.writeStartElement("svg");
        xml.writeDefaultNamespace(NAMESPACE);
        attributes("width", n(w) + "mm", "height", n(h) + "mm", "viewBox", "0 0 " + n(w) + " " + n(h));
        element("title", pattern.name());
        element("desc", pattern.how().text(unit));
        for (Layer layer : Layer.values()) {
            if (pattern.inks().stream().anyMatch(ink -> on(ink, layer))) {
                layer(layer.name().toLowerCase(Locale.ROOT), colour(layer), layer);
            }
        }
        xml.writeStartElement("g");
        attributes("id", "text", "fill", "#303030", "font-family", "sans-serif");
        for (PatternMark ink : pattern.inks()) {
            if (ink instanceof PatternMark.Words words) {
                words(words);
            }
        }
        xml.writeEndElement();
        xml.writeEndElement();
        xml.writeEndDocument();
    }

    private static boolean on(PatternMark ink, Layer layer) {
        return switch (ink) {
            case PatternMark.Path p -> p.layer() == layer;
            case PatternMark.Circle c -> c.layer() == layer;
            case PatternMark.Words _ -> false;
        };
    }

    private static String colour(Layer layer) {
        return switch (layer) {
            case CUT -> "#c00000";
            case MARK -> "#0050a0";
            case OUTLINE -> "#000000";
            case HIDDEN, CENTRE -> "#707070";
            case SIZE -> "#404040";
        };
    }

    private void layer(String id, String stroke, Layer layer) throws XMLStreamException {
        xml.writeStartElement("g");
        attributes("id", id, "fill", "none", "stroke", stroke, "stroke-width", n(HAIR));
        for (PatternMark ink : pattern.inks()) {
            switch (ink) {
                case PatternMark.Path p
                when p.layer() == layer -> {
                    xml.writeEmptyElement(p.closed() ? "polygon" : "polyline");
                    attributes(
                            "points",
                            p.spots().stream()
                                    .map(s -> x(s.x()) + "," + y(s.y()))
                                    .collect(Collectors.joining(" ")));
                }
                case PatternMark.Circle c
                when c.layer() == layer -> {
                    xml.writeEmptyElement("circle");
                    attributes("cx", x(c.centre().x()), "cy", y(c.centre().y()), "r", n(c.radius()));
                }
                case PatternMark.Path _, PatternMark.Circle _, PatternMark.Words _ -> {}
            }
        }
        xml.writeEndElement();
    }

    private void words(PatternMark.Words w) throws XMLStreamException {
        xml.writeStartElement("text");
        attributes("x", x(w.at().x()), "y", y(w.at().y()), "font-size", n(w.height() * 1.4));
        if (w.anchor() != PatternMark.Anchor.START) {
            attributes("text-anchor", w.anchor().name().toLowerCase(Locale.ROOT));
        }
        if (w.upward()) {
            attributes("transform", "rotate(-90 " + x(w.at().x()) + " " + y(w.at().y()) + ")");
        }
        xml.writeCharacters(readable(w.text().text(unit)));
        xml.writeEndElement();
    }

    private void element(String name, String text) throws XMLStreamException {
        xml.writeStartElement(name);
        xml.writeCharacters(readable(text));
        xml.writeEndElement();
    }

    /** Without the few characters that no XML may hold. */
    private static String readable(String text) {
        return text.codePoints()
                .filter(c -> c == '\t'
                        || c == '\n'
                        || c >= 0x20 && c != 0xFFFE && c != 0xFFFF && !(c >= 0xD800 && c <= 0xDFFF))
                .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
                .toString();
    }

    private void attributes(String... pairs) throws XMLStreamException {
        for (int i = 0; i < pairs.length; i += 2) {
            xml.writeAttribute(pairs[i], pairs[i + 1]);
        }
    }
}
