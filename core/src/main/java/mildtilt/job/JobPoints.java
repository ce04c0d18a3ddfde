package mildtilt.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import mildtilt.column.Column;
import mildtilt.gear.ArmGear;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Placing;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.id.Id;
import mildtilt.job.PointId.BearingMiddle;
import mildtilt.job.PointId.CrankPivot;
import mildtilt.job.PointId.DrivenPoint;
import mildtilt.job.PointId.GearArmEnd;
import mildtilt.job.PointId.GearCentre;
import mildtilt.job.PointId.GearInput;
import mildtilt.job.PointId.Hub;
import mildtilt.job.PointId.IdlerEnd;
import mildtilt.job.PointId.IdlerPivot;
import mildtilt.job.PointId.InnerPivot;
import mildtilt.job.PointId.JointCentre;
import mildtilt.job.PointId.OnBeam;
import mildtilt.job.PointId.OnCorner;
import mildtilt.job.PointId.OnLinkage;
import mildtilt.job.PointId.RelayDragLinkPoint;
import mildtilt.job.PointId.RelayLinkPoint;
import mildtilt.job.PointId.RelayPivot;
import mildtilt.job.PointId.ShuttleBushes;
import mildtilt.linkage.ArmTieRods;
import mildtilt.linkage.LinkagePoint;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.beam.BeamPoint;
import mildtilt.obstacle.AntiRollBar;
import mildtilt.obstacle.Driver;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Shape;
import mildtilt.obstacle.TwoEnded;
import mildtilt.survey.SurveyFit;
import mildtilt.survey.Surveyed;

/** The points of a job: which there are, where each is, and the job with one of them moved. */
public final class JobPoints {

    private JobPoints() {}

    /** A job's points by their ids. */
    public static Map<Id, PointId> byId(Job job) {
        Map<Id, PointId> all = new TreeMap<>();
        of(job).forEach(p -> all.put(id(job, p), p));
        return all;
    }

    /**
     * What a point is referred to as in files: where it belongs to a part that has an id, a part of that.
     *
     * @throws IllegalArgumentException if this job has no such point
     */
    public static Id id(Job job, PointId point) {
        return switch (point) {
            case Hub _ -> new Id("hub");
            case JointCentre j -> column(job).joints().get(j.index()).id().part("centre");
            case GearInput _ -> new Id("gear_input");
            case BearingMiddle b -> column(job).bearings().get(b.index()).id().part("middle");
            case GearCentre _ -> new Id("gear.centre");
            case GearArmEnd _ -> new Id("gear.arm_end");
            case IdlerPivot _ -> new Id("idler.pivot");
            case IdlerEnd _ -> new Id("idler.end");
            case CrankPivot _ -> new Id("bell_crank.pivot");
            case RelayPivot _ -> new Id("relay_arm.pivot");
            case RelayLinkPoint _ -> new Id("relay_arm.link_point");
            case RelayDragLinkPoint _ -> new Id("relay_arm.drag_link_point");
            case DrivenPoint _ -> new Id("driven_point");
            case ShuttleBushes _ -> new Id("shuttle.bushes");
            case InnerPivot e -> new Id(e.side().code() + ".inner_pivot");
            case OnBeam b -> new Id(b.which().id());
            case PointId.ObstaclePoint o -> obstacle(job, o).id().part(String.valueOf(o.point() + 1));
            case PointId.DriverHip _ -> new Id("driver.hip");
            case PointId.DriverHeel _ -> new Id("driver.heel");
            case OnCorner c -> new Id(c.side().code()).part(Id.of(c.which()).text());
        };
    }

    /**
     * What a person would call each point of a job, and each mark of its survey, and so what a list from elsewhere may
     * call it.
     */
    public static Map<String, Id> idsByLabel(Job job) {
        Map<String, Id> all = new TreeMap<>();
        job.survey().points().stream()
                .filter(p -> p.id().is(Id.Kind.MARK) || p.id().is(Id.Kind.TARGET))
                .forEach(p -> all.putIfAbsent(p.name(), p.id()));
        of(job).forEach(p -> all.putIfAbsent(label(job, p), id(job, p)));
        return all;
    }

    /** The job's survey settled: where a point may be in two places, the one nearer to the plan. */
    public static Surveyed surveyed(Job job) {
        Map<Id, PointId> points = byId(job);
        return SurveyFit.of(
                job.survey(), id -> Optional.ofNullable(points.get(id)).map(p -> position(job, p)), Names.of(job));
    }

    /** Every point of a job, from steering wheel to tyres, left before right. */
    public static List<PointId> of(Job job) {
        List<PointId> all = new ArrayList<>();
        job.column().ifPresent(c -> {
            all.add(new Hub());
            for (int i = 0; i < c.joints().size(); i++) {
                all.add(new JointCentre(i));
            }
            all.add(new GearInput());
            for (int i = 0; i < c.bearings().size(); i++) {
                all.add(new BearingMiddle(i));
            }
        });
        job.axle().ifPresent(a -> {
            all.addAll(ofGear(a));
            all.addAll(ofLinkage(a));
            for (Side side : Side.values()) {
                a.corner(side).points().keySet().forEach(p -> all.add(new OnCorner(side, p)));
            }
            all.addAll(ofBeam(a));
        });
        for (int i = 0; i < job.surroundings().obstacles().size(); i++) {
            all.addAll(Element.points(job, new Element.InTheWay(i)));
        }
        job.surroundings().driver().ifPresent(_ -> all.addAll(Element.points(job, new Element.AtTheWheel())));
        return all;
    }

    static List<PointId> ofGear(SteeredAxle a) {
        return a.gear() instanceof ArmGear ? List.of(new GearCentre(), new GearArmEnd()) : List.of(new GearCentre());
    }

    /** What stands between the gear and the tie rods, their inner ends last. */
    static List<PointId> ofLinkage(SteeredAxle a) {
        return a.linkage().points(a).stream().map(p -> id(p.which())).toList();
    }

    private static PointId id(LinkagePoint.Which which) {
        return switch (which) {
            case IDLER_PIVOT -> new IdlerPivot();
            case IDLER_END -> new IdlerEnd();
            case CRANK_PIVOT -> new CrankPivot();
            case RELAY_PIVOT -> new RelayPivot();
            case RELAY_LINK -> new RelayLinkPoint();
            case RELAY_DRAG_LINK -> new RelayDragLinkPoint();
            case DRIVEN -> new DrivenPoint();
            case BUSHES -> new ShuttleBushes();
            case LEFT_INNER -> new InnerPivot(Side.LEFT);
            case RIGHT_INNER -> new InnerPivot(Side.RIGHT);
        };
    }

    private static LinkagePoint ofLinkage(Job job, PointId id) {
        SteeredAxle a = axle(job);
        return a.linkage().points(a).stream()
                .filter(p -> id(p.which()).equals(id))
                .findFirst()
                .orElseThrow(() -> noSuch(id));
    }

    private static BeamPoint ofBeam(Job job, OnBeam id) {
        return axle(job).beam().stream()
                .flatMap(b -> b.points().stream())
                .filter(p -> p.which() == id.which())
                .findFirst()
                .orElseThrow(() -> noSuch(id));
    }

    static List<PointId> ofBeam(SteeredAxle a) {
        return a.beam().stream()
                .flatMap(b -> b.points().stream())
                .<PointId>map(p -> new OnBeam(p.which()))
                .toList();
    }

    static boolean hasInnerPivots(SteeredAxle a) {
        return ofLinkage(a).contains(new InnerPivot(Side.LEFT));
    }

    /** What a fabricator calls the point. */
    public static String label(Job job, PointId id) {
        return switch (id) {
            case Hub _ -> "steering wheel hub";
            case JointCentre j -> column(job).joints().get(j.index()).name() + ", centre";
            case GearInput _ -> "gear input";
            case BearingMiddle b -> column(job).bearings().get(b.index()).name() + ", middle";
            case GearCentre _ ->
                axle(job).gear() instanceof RackAndPinion
                        ? "rack, midway between pivots"
                        : "gear's arm, point on its shaft";
            case GearArmEnd _ -> "end of the gear's arm";
            case OnLinkage _ -> ofLinkage(job, id).label();
            case OnBeam b -> b.which().label();
            case PointId.ObstaclePoint o -> pointLabel(obstacle(job, o), o.point());
            case PointId.DriverHip _ -> "driver's hip";
            case PointId.DriverHeel _ -> "driver's heel";
            case OnCorner c -> c.side().label() + " " + c.which().label();
        };
    }

    /** Where the point is, mm. @throws IllegalArgumentException if this job has no such point */
    public static Point position(Job job, PointId id) {
        return switch (id) {
            case Hub _ -> column(job).hub();
            case JointCentre j -> column(job).joints().get(j.index()).centre();
            case GearInput _ -> column(job).gearInput();
            case BearingMiddle b -> column(job).place(column(job).bearings().get(b.index()));
            case GearCentre _ ->
                switch (axle(job).gear()) {
                    case RackAndPinion r -> r.centre();
                    case ArmGear g -> g.axis().origin();
                };
            case GearArmEnd _ -> arm(job, id).armEnd();
            case OnLinkage _ -> ofLinkage(job, id).at();
            case OnBeam b -> ofBeam(job, b).at();
            case PointId.ObstaclePoint o -> obstacle(job, o).shape().points().get(o.point());
            case PointId.DriverHip _ -> driver(job).hip();
            case PointId.DriverHeel _ -> driver(job).heel();
            case OnCorner c ->
                Optional.ofNullable(axle(job).corner(c.side()).points().get(c.which()))
                        .orElseThrow(() -> noSuch(id));
        };
    }

    /**
     * The job with a point moved. Where the right side is the mirror image of the left, both sides move.
     *
     * @throws mildtilt.geometry.ImpossibleGeometryException if the parts can't be so; the old job stays good
     * @throws IllegalArgumentException if this job has no such point
     */
    public static Job moved(Job job, PointId id, Point to) {
        return switch (id) {
            case Hub _ -> job.withColumn(column(job).withHub(to));
            case JointCentre j -> {
                Column c = column(job);
                yield job.withColumn(
                        c.withJoint(j.index(), c.joints().get(j.index()).withCentre(to)));
            }
            case GearInput _ -> job.withColumn(column(job).withGearInput(to));
            case BearingMiddle b -> job.withColumn(slid(column(job), b.index(), to));
            case GearCentre _ ->
                job.editAxle(a -> a.withGear(
                        switch (a.gear()) {
                            case RackAndPinion r -> r.withCentre(to);
                            case ArmGear g ->
                                g.placed(Placing.moved(to.minus(g.axis().origin())));
                        }));
            case GearArmEnd _ ->
                job.editAxle(a -> {
                    ArmGear g = arm(job, id);
                    SteeredAxle moved = a.withGear(g.withArmEnd(to));
                    // Holes in the arm go with its end.
                    return a.linkage() instanceof ArmTieRods r
                            ? moved.withLinkage(r.placed(g, Placing.moved(to.minus(g.armEnd()))))
                            : moved;
                });
            case OnLinkage _ -> job.withAxle(ofLinkage(job, id).moved().apply(to));
            case OnBeam b -> job.editAxle(a -> a.withBeam(ofBeam(job, b).moved().apply(to)));
            case PointId.ObstaclePoint o -> {
                Obstacle was = obstacle(job, o);
                yield job.editSurroundings(
                        s -> s.edit(o.index(), _ -> was.withShape(was.shape().withPoint(o.point(), to))));
            }
            case PointId.DriverHip _ ->
                job.editSurroundings(s -> s.withDriver(Optional.of(driver(job).withHip(to))));
            case PointId.DriverHeel _ ->
                job.editSurroundings(s -> s.withDriver(Optional.of(driver(job).withHeel(to))));
            case OnCorner c ->
                job.editAxle(a -> a.withCorner(c.side(), a.corner(c.side()).withPoint(c.which(), to)));
        };
    }

    /** To the nearest place of its shaft, no further than the shaft's ends. */
    private static Column slid(Column c, int bearing, Point to) {
        int shaft = c.bearings().get(bearing).shaft();
        double along = c.axis(shaft).dot(to.minus(c.start(shaft)));
        return c.editBearing(bearing, b -> b.on(shaft, Math.clamp(along, 0, c.length(shaft))));
    }

    private static Obstacle obstacle(Job job, PointId.ObstaclePoint id) {
        if (id.index() < job.surroundings().obstacles().size()) {
            return job.surroundings().obstacles().get(id.index());
        }
        throw noSuch(id);
    }

    private static final List<String> BAR_POINTS = List.of(
            ", left bush",
            ", left arm's end",
            ", left link's other end",
            ", right bush",
            ", right arm's end",
            ", right link's other end");

    private static String pointLabel(Obstacle o, int point) {
        return o.name()
                + switch (o.shape()) {
                    case Shape.Box _, Shape.Sphere _ -> ", middle";
                    case Shape.Scan _ -> ", origin of the scan";
                    case Shape.Cylinder _, TwoEnded _ -> point == 0 ? ", one end" : ", other end";
                    case AntiRollBar _ -> BAR_POINTS.get(point);
                    case Shape.Tube _ -> ", point " + (point + 1);
                    case Shape.Plate _ -> ", corner " + (point + 1);
                };
    }

    private static Driver driver(Job job) {
        return job.surroundings().driver().orElseThrow(() -> new IllegalArgumentException("This job has no driver."));
    }

    private static IllegalArgumentException noSuch(PointId id) {
        return new IllegalArgumentException("This job has no such point: " + id);
    }

    private static Column column(Job job) {
        return job.column().orElseThrow(() -> new IllegalArgumentException("This job has no column."));
    }

    private static SteeredAxle axle(Job job) {
        return job.axle().orElseThrow(() -> new IllegalArgumentException("This job has no steered axle."));
    }

    private static ArmGear arm(Job job, PointId id) {
        if (axle(job).gear() instanceof ArmGear g) {
            return g;
        }
        throw noSuch(id);
    }
}
