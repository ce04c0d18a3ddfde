package mildtilt.template;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import mildtilt.analysis.Analysis;
import mildtilt.build.Metal;
import mildtilt.build.Piece;
import mildtilt.build.Piece.ArmOf;
import mildtilt.build.Piece.Meeting;
import mildtilt.build.Section;
import mildtilt.clearance.Notch;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.id.NamedPart;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.obstacle.CarriedShape;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Shape;
import mildtilt.obstacle.Surroundings;
import mildtilt.solid.TriangleMesh;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TemplatesTest {

    private final Job demo = DemoJob.MARSH_CARRIER.job();

    private static FlatPattern pattern(Templates t, String name) {
        return t.patterns().stream()
                .filter(p -> p.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new AssertionError(name + " not among "
                        + t.patterns().stream().map(FlatPattern::name).toList() + t.open()));
    }

    private Templates of(Job job, Piece... pieces) {
        return Templates.of(job.editMaking(m -> m.withPieces(List.of(pieces))), List.of());
    }

    /** A point on the cut edge lies on the other tube: the axes set up in space, the distance measured there. */
    @ParameterizedTest
    @CsvSource({"45, 62, 0", "50, 90, 8", "60, 40, -10", "80, 125, 15", "0, 60, 0", "30, 90, 2.5"})
    void copeMatchesTubeIntersection(double into, double angle, double offset) {
        Meeting m = new Meeting(into, angle, offset, 0);
        Direction branch = Direction.along(0, 0, 1);
        double a = Math.toRadians(angle);
        Vector other = new Vector(Math.sin(a), 0, Math.cos(a));
        Point on = new Point(0, offset, 0);
        for (double r : new double[] {5, 10, 12.4}) {
            for (int deg = 0; deg < 360; deg += 7) {
                double phi = Math.toRadians(deg);
                double z = Cope.at(m, r, phi, 1);
                Point p = new Point(0, 0, 0)
                        .plus(new Vector(r * Math.cos(phi), r * Math.sin(phi), 0))
                        .plus(branch.times(z));
                Vector from = p.minus(on);
                double far = from.minus(other.times(from.dot(other))).norm();
                if (into > 0) {
                    assertThat(far).isCloseTo(into / 2, within(1e-9));
                } else {
                    // A flat square to x cos − z sin: its distance to the plane through the axis.
                    assertThat(from.dot(new Vector(Math.cos(a), 0, -Math.sin(a))))
                            .isCloseTo(0, within(1e-9));
                }
            }
        }
    }

    @Test
    void stayLengthMatchesDrawing() {
        // Square between two tubes of 50: at the sides of the tube nothing is cut away but the sagitta.
        Piece.CopedTube stay = new Piece.CopedTube(
                Id.Kind.PIECE.first(),
                "Stay",
                new Section.Tube(25, 2),
                Metal.STEEL,
                300,
                new Meeting(50, 90, 0, 0),
                new Meeting(50, 90, 0, 90),
                1,
                0);
        Cope cope = Cope.of(stay);
        double deepest = Math.sqrt(25 * 25 - 12.5 * 12.5);
        assertThat(cope.longest())
                .as("the least of both cuts is at the outer skin")
                .isCloseTo(300 - 2 * Math.sqrt(25 * 25 - 10.5 * 10.5), within(0.02));
        assertThat(cope.shortest()).isBetween(300 - 50.0, 300 - 25 - deepest);
        FlatPattern first = pattern(of(demo, stay), "Stay, first end");
        assertThat(first.bounds().width()).isCloseTo(Math.PI * 25, within(1e-9));
        Piece.CopedTube plain = new Piece.CopedTube(
                Id.Kind.PIECE.first(),
                "Plain",
                new Section.Tube(25, 2),
                Metal.STEEL,
                300,
                Meeting.SQUARE,
                Meeting.SQUARE,
                1,
                0);
        assertThat(Cope.of(plain).longest()).isCloseTo(300, within(1e-9));
        assertThat(of(demo, plain).patterns()).noneMatch(p -> p.name().startsWith("Plain"));
    }

    @Test
    void armPlateMatchesJobArm() {
        FlatPattern p = pattern(
                of(demo, new Piece.ArmPlate(Id.Kind.PIECE.first(), "Arm", ArmOf.LEFT_STEERING_ARM, 12, 30, 16, 11)),
                "Arm");
        List<PatternMark.Circle> holes = p.inks().stream()
                .filter(PatternMark.Circle.class::isInstance)
                .map(PatternMark.Circle.class::cast)
                .toList();
        double length = demo.axle()
                .orElseThrow()
                .left()
                .suspension()
                .steerAxis()
                .distanceTo(demo.axle().orElseThrow().left().knuckle().tieRodPoint());
        assertThat(holes.get(0).centre().distanceTo(holes.get(1).centre())).isCloseTo(length, within(1e-9));
        // The outline keeps its margin round both holes, all the way.
        PatternMark.Path outline = (PatternMark.Path) p.inks().getFirst();
        for (PatternMark.Circle hole : holes) {
            double nearest = outline.spots().stream()
                    .mapToDouble(s -> s.distanceTo(hole.centre()))
                    .min()
                    .orElseThrow();
            assertThat(nearest - hole.radius()).isCloseTo(11, within(1e-6));
        }
        // Two circles and a trapezium: area of the hull of two circles less both holes.
        double r1 = 26;
        double r2 = 19;
        double alpha = Math.acos((r1 - r2) / length);
        double hull = r1 * r1 * (Math.PI - alpha) + r2 * r2 * alpha + Math.sin(alpha) * length * (r1 + r2);
        assertThat(p.area()).isCloseTo(hull - Math.PI * (15 * 15 + 8 * 8), within(hull * 1e-3));
        assertThat(of(demo, new Piece.ArmPlate(Id.Kind.PIECE.first(), "None", ArmOf.GEAR_ARM, 12, 30, 16, 11))
                        .open())
                .as("a rack has no arm")
                .hasSize(1);
        assertThat(of(demo, new Piece.ArmPlate(Id.Kind.PIECE.first(), "Fat", ArmOf.LEFT_STEERING_ARM, 12, 300, 160, 11))
                        .open()
                        .getFirst()
                        .text(LengthUnit.MM))
                .contains("run into each other");
    }

    private static final List<Shape> FEET = List.of(
            new Shape.Box(new Point(-300, 350, 430), 900, 60, 60, 10, 6, 4),
            new Shape.Cylinder(new Point(-700, 390, 440), new Point(0, 300, 400), 60),
            new Shape.Tube(List.of(new Point(-700, 390, 440), new Point(0, 300, 400)), 50),
            new Shape.Plate(
                    List.of(
                            new Point(-700, 300, 400),
                            new Point(0, 250, 420),
                            new Point(0, 600, 400),
                            new Point(-700, 650, 380)),
                    6));

    /** How far a point is above a shape's surface, mm. */
    private static double above(Shape shape, Point p) {
        return switch (shape) {
            case Shape.Box b -> {
                Vector off = p.minus(b.centre());
                yield Math.max(
                        Math.max(
                                Math.abs(off.dot(b.place().ex())) - b.length() / 2,
                                Math.abs(off.dot(b.place().ey())) - b.width() / 2),
                        Math.abs(off.dot(b.place().ez())) - b.height() / 2);
            }
            case Shape.Cylinder c -> Axis.through(c.from(), c.to()).distanceTo(p) - c.diameter() / 2;
            case Shape.Tube t ->
                Axis.through(t.line().getFirst(), t.line().getLast()).distanceTo(p) - t.diameter() / 2;
            case Shape.Plate q -> {
                Vector square = q.corners()
                        .get(1)
                        .minus(q.corners().get(0))
                        .cross(q.corners().get(2).minus(q.corners().get(0)))
                        .direction()
                        .vector();
                yield Math.abs(p.minus(q.corners().getFirst()).dot(square)) - q.thickness() / 2;
            }
            case Shape.Sphere _, Shape.Scan _, CarriedShape _ -> throw new IllegalStateException();
        };
    }

    /**
     * Each place of the foot's edge, put back into the vehicle, lies on what the bracket stands on; the plate is square
     * to the shaft.
     */
    @Test
    void bracketFootMatchesRailAngle() {
        Column c = demo.column()
                .orElseThrow()
                .withBearings(List.of(Bearing.planned(
                        Id.Kind.BEARING.first(), "Steady", Bearing.Kind.FLANGE, Bearing.Mount.FRAME, 1, 150, 19)));
        for (Shape shape : FEET) {
            Job job = demo.withColumn(c).withSurroundings(Surroundings.NONE.with(Obstacle.fixed("rail", shape)));
            FlatPattern p = pattern(
                    of(
                            job,
                            new Piece.BearingBracket(
                                    Id.Kind.PIECE.first(),
                                    "Foot",
                                    Id.Kind.BEARING.first(),
                                    Id.Kind.OBSTACLE.first(),
                                    6,
                                    30,
                                    20,
                                    2,
                                    46,
                                    8,
                                    8)),
                    "Foot");
            PatternMark.Path outline = (PatternMark.Path) p.inks().getFirst();
            Point middle = c.place(c.bearings().getFirst());
            Vector axis = c.axis(1).vector();
            List<PatternPoint> edge = outline.spots().subList(0, 41);
            assertThat(edge.getLast().x() - edge.getFirst().x()).isCloseTo(30, within(1e-9));
            // Which way the foot points is not in the pattern: every way round the shaft is tried, and one must do.
            double best = Double.POSITIVE_INFINITY;
            for (int deg = 0; deg < 360; deg++) {
                Vector up = c.axis(1).turn(c.axis(1).anySquare().vector(), Math.toRadians(deg));
                Vector right = up.negated().cross(axis);
                double worst = 0;
                for (PatternPoint s : edge) {
                    Point at = middle.plus(right.times(s.x())).plus(up.times(s.y()));
                    worst = Math.max(worst, Math.abs(above(shape, at)));
                }
                best = Math.min(best, worst);
            }
            assertThat(best).as(shape.label()).isLessThan(0.01);
        }
    }

    @Test
    void impossibleBracketSaysWhy() {
        Column c = demo.column()
                .orElseThrow()
                .withBearings(List.of(Bearing.planned(
                        Id.Kind.BEARING.first(), "Steady", Bearing.Kind.FLANGE, Bearing.Mount.FRAME, 1, 150, 19)));
        Piece.BearingBracket b = new Piece.BearingBracket(
                Id.Kind.PIECE.first(),
                "Foot",
                Id.Kind.BEARING.first(),
                Id.Kind.OBSTACLE.first(),
                6,
                30,
                20,
                2,
                46,
                8,
                8);
        Map<Shape, String> why = new HashMap<>(Map.of(
                new Shape.Sphere(new Point(-400, 300, 300), 100),
                "not drawn onto a",
                new Shape.Box(new Point(-2000, 300, 300), 50, 50, 50),
                "does not meet",
                new Shape.Box(
                        c.place(c.bearings().getFirst())
                                .plus(c.axis(1).anySquare().times(90)),
                        20,
                        20,
                        20),
                "wider"));
        why.forEach((shape, says) -> {
            Templates t =
                    of(demo.withColumn(c).withSurroundings(Surroundings.NONE.with(Obstacle.fixed("thing", shape))), b);
            assertThat(t.patterns()).noneMatch(p -> p.name().equals("Foot"));
            assertThat(t.open().getFirst().text(LengthUnit.MM))
                    .as(shape.label())
                    .contains(says);
        });
        assertThat(of(demo, b).open().getFirst().text(LengthUnit.MM)).contains("any more");
    }

    /** Wrapped round, a mark stands where the clocking says, seen from the wheel. */
    @ParameterizedTest
    @CsvSource({"20", "-35", "0", "88", "-90"})
    void clockingStripMatchesClocking(double clocking) {
        Job job = demo.editColumn(c -> c.editShaft(1, s -> s.withClockingDeg(clocking)));
        FlatPattern p = pattern(Templates.of(job, List.of()), "Lower shaft, gear end strip");
        assertThat(p.bounds().width()).isCloseTo(Math.PI * 19, within(1e-9));
        double[] marks = p.inks().stream()
                .filter(PatternMark.Path.class::isInstance)
                .map(PatternMark.Path.class::cast)
                .filter(l -> !l.closed()
                        && l.spots().getFirst().x() == l.spots().getLast().x()
                        && Math.abs(l.spots().getFirst().y()
                                        - l.spots().getLast().y())
                                > 20)
                .mapToDouble(l -> l.spots().getFirst().x())
                .sorted()
                .toArray();
        assertThat(marks).hasSize(2);
        Column c = job.column().orElseThrow();
        Vector axis = c.axis(1).vector();
        Vector zero = c.axis(1).anySquare().vector();
        // The strip lies with the wheel up, print out: to the right on it is up × outward, which is about −axis.
        for (double x : marks) {
            double turned = Math.toDegrees(x / 9.5);
            Vector there = c.axis(1).turn(zero, -Math.toRadians(turned));
            double isAt = Math.toDegrees(Math.atan2(axis.dot(zero.cross(there)), zero.dot(there)));
            assertThat(Math.IEEEremainder(isAt - clocking, 180)).isCloseTo(0, within(1e-6));
        }
    }

    @Test
    void notchTemplatesLineAndBox() {
        Shape.Box rail = new Shape.Box(new Point(-320, 270, 425), 1300, 50, 60);
        Job job = demo.withSurroundings(Surroundings.NONE.with(Obstacle.fixed("rail", rail)));
        Notch n = new Notch(
                0,
                new NamedPart(Id.Kind.OBSTACLE.first(), "rail"),
                new NamedPart(Id.Kind.SHAFT.number(2), "lower shaft"),
                Notch.Face.TOP,
                18,
                90,
                50,
                false,
                210,
                new Point(-300, 270, 455),
                List.of());
        Templates t = Templates.of(job, List.of(n));
        FlatPattern lining = pattern(t, "Notch in rail (top), lining");
        assertThat(lining.bounds().width()).isEqualTo(18 + 90 + 18);
        assertThat(lining.bounds().height()).isEqualTo(50);
        FlatPattern side = pattern(t, "Notch in rail (top), side plate");
        assertThat(side.bounds().width()).isEqualTo(210);
        assertThat(side.bounds().height()).as("as high as the rail").isEqualTo(60);
        assertThat(side.area()).isCloseTo(210 * 60 - 90 * 18, within(1e-9));
        Notch pocket = new Notch(
                0,
                new NamedPart(Id.Kind.OBSTACLE.first(), "rail"),
                new NamedPart(Id.Kind.SHAFT.number(2), "lower shaft"),
                Notch.Face.LEFT,
                18,
                90,
                30,
                false,
                210,
                new Point(-300, 295, 425),
                List.of());
        assertThat(Templates.of(job, List.of(pocket)).patterns())
                .noneMatch(p -> p.name().endsWith("side plate"));
    }

    @ParameterizedTest
    @CsvSource({"19, 19, 90, 8", "19, 25, 100, 10", "12, 30, 80, 6", "16, 15.875, 60, 5"})
    void jigIsClosedAndFitsShafts(double one, double other, double length, double wall) {
        TriangleMesh mesh = JigMesh.of(new Piece.CentringJig(Id.Kind.PIECE.first(), "j", one, other, length, wall));
        Map<Long, Integer> edges = new HashMap<>();
        int[] t = mesh.trianglesCopy();
        float[] p = mesh.cornersCopy();
        double volume = 0;
        for (int i = 0; i < t.length; i += 3) {
            for (int k = 0; k < 3; k++) {
                edges.merge((long) t[i + k] << 32 | t[i + (k + 1) % 3], 1, Integer::sum);
            }
            double[][] v = new double[3][];
            for (int k = 0; k < 3; k++) {
                v[k] = new double[] {p[3 * t[i + k]], p[3 * t[i + k] + 1], p[3 * t[i + k] + 2]};
            }
            volume += (v[0][0] * (v[1][1] * v[2][2] - v[1][2] * v[2][1])
                            - v[0][1] * (v[1][0] * v[2][2] - v[1][2] * v[2][0])
                            + v[0][2] * (v[1][0] * v[2][1] - v[1][1] * v[2][0]))
                    / 6;
        }
        // Every edge is used once each way: closed, and all facing outward.
        edges.forEach((e, n) -> {
            assertThat(n).isEqualTo(1);
            assertThat(edges).containsKey(e << 32 | e >>> 32);
        });
        double larger = (Math.max(one, other) + 0.2) / 2;
        double outer = Math.max(larger + 4 + 3, larger + wall);
        assertThat(volume)
                .isBetween(
                        0.3 * Math.PI * (outer * outer - larger * larger) * length,
                        Math.PI * outer * outer * length - Math.PI * Math.pow(Math.min(one, other) / 2, 2) * length);
        for (int i = 0; i < p.length; i += 3) {
            double r = Math.hypot(p[i], p[i + 1]);
            assertThat(r)
                    .isGreaterThanOrEqualTo((p[i + 2] < 0 ? one : p[i + 2] > 0 ? other : Math.min(one, other)) / 2);
        }
    }

    @Test
    void demoNotchesMatchClearances() {
        Analysis a = Analysis.of(demo);
        List<Notch> notches = a.clearance().orElseThrow().notches();
        Templates t = Templates.of(demo, notches);
        assertThat(t.patterns().stream()
                        .filter(p -> p.name().startsWith("Notch") && !p.name().contains(","))
                        .count())
                .isEqualTo(notches.size());
    }
}
