package mildtilt.format;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.id.Id;
import mildtilt.survey.Reading;
import mildtilt.survey.Stated;
import mildtilt.survey.Survey;
import mildtilt.survey.SurveyPoint;

/** A survey as JSON, both ways. */
final class SurveyJson {

    private SurveyJson() {}

    static ObjectNode write(Survey survey) {
        ObjectNode o = JobWriter.object();
        ArrayNode points = o.putArray("points");
        survey.points().forEach(p -> {
            ObjectNode n = points.addObject();
            n.put("id", p.id().text());
            n.put("name", p.name());
            ArrayNode readings = n.putArray("readings");
            p.readings().forEach(r -> readings.add(reading(r)));
        });
        if (!survey.stated().equals(Stated.USUAL)) {
            ObjectNode n = o.putObject("stated");
            JobWriter.number(n, "point_mm", survey.stated().point());
            JobWriter.number(n, "clocking_deg", survey.stated().clockingDeg());
            JobWriter.number(n, "again_mm", survey.stated().again());
        }
        return o;
    }

    private static ObjectNode reading(Reading reading) {
        ObjectNode o = JobWriter.object();
        switch (reading) {
            case Reading.Plumb r -> {
                o.put("kind", "plumb");
                JobWriter.number(o, "x_mm", r.x());
                JobWriter.number(o, "y_mm", r.y());
            }
            case Reading.Height r -> {
                o.put("kind", "height");
                JobWriter.number(o, "z_mm", r.z());
            }
            case Reading.Tape r -> {
                o.put("kind", "tape");
                o.put("begins_at", r.from().text());
                JobWriter.number(o, "length_mm", r.length());
            }
            case Reading.Along r -> {
                o.put("kind", "along");
                o.put("begins_at", r.from().text());
                o.put("toward", r.toward().text());
                JobWriter.number(o, "length_mm", r.length());
            }
            case Reading.Slope r -> {
                o.put("kind", "slope");
                o.put("begins_at", r.from().text());
                JobWriter.number(o, "down_deg", r.downDeg());
                JobWriter.number(o, "left_deg", r.leftDeg());
            }
            case Reading.Middle r -> {
                o.put("kind", "middle");
                o.put("begins_at", r.one().text());
                o.put("ends_at", r.other().text());
            }
            case Reading.MirrorOf r -> {
                o.put("kind", "mirror");
                o.put("begins_at", r.of().text());
            }
        }
        JobWriter.number(o, "spread", reading.spread());
        return o;
    }

    static Survey read(JsonNode o) {
        List<SurveyPoint> points = new ArrayList<>();
        for (JsonNode p : o.path("points")) {
            points.add(JobReader.at("points number " + (points.size() + 1), () -> {
                List<Reading> readings = new ArrayList<>();
                for (JsonNode r : p.path("readings")) {
                    readings.add(JobReader.at("readings number " + (readings.size() + 1), () -> reading(r)));
                }
                return new SurveyPoint(JobReader.id(p, "id"), p.path("name").asText(), readings);
            }));
        }
        JsonNode n = o.path("stated");
        Stated usual = Stated.USUAL;
        return new Survey(points, JobReader.at("stated", () -> new Stated(JobReader.number(n, "point_mm", usual.point()), JobReader.number(n, "clocking_deg", usual.clockingDeg()),
                JobReader.number(n, "again_mm", usual.again()))));
    }

    private static Reading reading(JsonNode o) {
        double spread = o.path("spread").asDouble();
        Supplier<Id> from = () -> JobReader.id(o, "begins_at");
        double length = o.path("length_mm").asDouble();
        return switch (o.path("kind").asText()) {
            case "plumb" -> new Reading.Plumb(o.path("x_mm").asDouble(), o.path("y_mm").asDouble(), spread);
            case "height" -> new Reading.Height(o.path("z_mm").asDouble(), spread);
            case "tape" -> new Reading.Tape(from.get(), length, spread);
            case "along" -> new Reading.Along(from.get(), JobReader.id(o, "toward"), length, spread);
            case "slope" -> new Reading.Slope(from.get(), o.path("down_deg").asDouble(), o.path("left_deg").asDouble(), spread);
            case "middle" -> new Reading.Middle(from.get(), JobReader.id(o, "ends_at"), spread);
            case "mirror" -> new Reading.MirrorOf(from.get(), spread);
            default -> throw new ImpossibleGeometryException("There is no kind of reading \"" + o.path("kind").asText() + "\".");
        };
    }
}
