package mildtilt.report;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Frame;
import mildtilt.geometry.Point;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.Names;
import mildtilt.job.PointId;
import mildtilt.survey.SideDifference;
import mildtilt.survey.SurveyPoint;
import mildtilt.survey.Surveyed;
import mildtilt.units.Quantity;
import mildtilt.units.Unit;

/** What measuring a vehicle came to. */
public final class SurveyTables {

    private SurveyTables() {}

    /** Where each point is, every reading against the fit, and how far both sides differ; those that have rows. */
    public static List<Table> of(Job job) {
        Surveyed s = JobPoints.surveyed(job);
        Names names = Names.of(job);
        return List.of(places(job, s, names), readings(s, names), photographs(s, names), sides(s, names)).stream()
                .filter(t -> !t.rows().isEmpty())
                .toList();
    }

    private static Table places(Job job, Surveyed s, Names names) {
        List<List<Cell>> rows = new ArrayList<>();
        for (SurveyPoint p : job.survey().points()) {
            Optional<Surveyed.Place> at = Optional.ofNullable(s.places().get(p.id()));
            Optional<Point> plan = Optional.ofNullable(JobPoints.byId(job).get(p.id()))
                    .map((PointId id) -> JobPoints.position(job, id));
            rows.add(List.of(
                    Cell.of(names.apply(p.id())),
                    length(at.map(a -> a.at().x())),
                    length(at.map(a -> a.at().y())),
                    length(at.map(a -> a.at().z())),
                    length(at.map(Surveyed.Place::sdX)),
                    length(at.map(Surveyed.Place::sdY)),
                    length(at.map(Surveyed.Place::sdZ)),
                    length(at.flatMap(a -> plan.map(x -> x.distanceTo(a.at())))),
                    Cell.of(Optional.ofNullable(s.open().get(p.id())).orElse("")),
                    Cell.of(p.id().text())));
        }
        return new Table(
                "survey-points",
                "Points as measured; " + s.spare() + " readings to spare",
                List.of(
                        "point",
                        "x_mm",
                        "y_mm",
                        "z_mm",
                        "spread_x_mm",
                        "spread_y_mm",
                        "spread_z_mm",
                        "from_plan_mm",
                        "open",
                        "id"),
                List.of("Point", "x, forward", "y, left", "z, up", "± x", "± y", "± z", "From the plan", "Open", "Key"),
                rows);
    }

    private static Table readings(Surveyed s, Names names) {
        List<List<Cell>> rows = new ArrayList<>();
        Optional<Surveyed.ReadingCheck> worst = s.worst();
        List<Surveyed.ReadingCheck> all = new ArrayList<>(s.checks());
        // Of the printed sheet's many marks only those that look wrong are worth a row.
        s.marks().stream().filter(Surveyed.ReadingCheck::suspect).forEach(all::add);
        for (Surveyed.ReadingCheck c : all) {
            rows.add(List.of(
                    Cell.of(names.apply(c.point())),
                    Cell.of(c.reading().label(names)),
                    Cell.of(new Quantity(c.off(), c.reading().unit())),
                    Cell.of(Quantity.times(c.times())),
                    Cell.of(worst.filter(c::equals).isPresent() ? "looks wrong" : ""),
                    Cell.of(c.point().text())));
        }
        return new Table(
                "survey-readings",
                "Readings against all of them together",
                List.of("point", "reading", "off", "times_spread", "state", "id"),
                List.of("Point", "Reading", "Off by", "Times its ±", "", "Key"),
                rows);
    }

    private static Table photographs(Surveyed s, Names names) {
        List<List<Cell>> rows = new ArrayList<>();
        for (Surveyed.PhotoPlace p : s.photographs()) {
            Optional<Point> at = p.camera().map(Frame::origin);
            rows.add(List.of(
                    Cell.of(names.apply(p.photograph())),
                    length(at.map(Point::x)),
                    length(at.map(Point::y)),
                    length(at.map(Point::z)),
                    Cell.of(p.camera().map(_ -> new Quantity(p.off(), Unit.PIXEL))),
                    Cell.of(p.why()),
                    Cell.of(p.photograph().text())));
        }
        return new Table(
                "survey-photographs",
                "Photographs: where each was taken from",
                List.of("photograph", "x_mm", "y_mm", "z_mm", "off_px", "open", "id"),
                List.of("Photograph", "x, forward", "y, left", "z, up", "Off by", "Open", "Key"),
                rows);
    }

    private static Table sides(Surveyed s, Names names) {
        SideDifference d = SideDifference.of(s, names);
        List<List<Cell>> rows = new ArrayList<>();
        for (SideDifference.Pair p : d.pairs()) {
            rows.add(List.of(
                    Cell.of(p.what()),
                    Cell.of(Quantity.length(p.off().x())),
                    Cell.of(Quantity.length(p.off().y())),
                    Cell.of(Quantity.length(p.off().z())),
                    Cell.of(Quantity.length(p.sd())),
                    Cell.of(p.real() ? "differs" : "within ±")));
        }
        return new Table(
                "survey-sides",
                "Left against right, mirrored",
                List.of("point", "dx_mm", "dy_mm", "dz_mm", "spread_mm", "state"),
                List.of("Point", "Forward", "Outward", "Up", "±", ""),
                rows);
    }

    private static Cell length(Optional<Double> mm) {
        return Cell.of(mm.map(Quantity::length));
    }
}
