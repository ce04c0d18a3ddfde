package mildtilt.findings;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import mildtilt.analysis.Analysis;
import mildtilt.column.Adjustment;
import mildtilt.column.Bearing;
import mildtilt.column.Bearing.Kind;
import mildtilt.column.Bearing.Mount;
import mildtilt.column.Column;
import mildtilt.column.JointKind;
import mildtilt.column.ShaftProfile;
import mildtilt.column.Slide;
import mildtilt.column.Socket;
import mildtilt.column.Socket.Retention;
import mildtilt.columnrange.JointBend;
import mildtilt.columnrange.TrainEdits;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.io.jobfile.CatalogueFile;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.rules.RuleLimit;
import mildtilt.rules.Rules;
import mildtilt.rules.Rules.VehicleClass;
import mildtilt.rules.Rules.Welding;
import mildtilt.rules.ShippedRules;
import mildtilt.steer.position.Grid;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A sound column broken in one way at a time: the fault is told, and every remedy offered cures it. */
class ColumnFaultsTest {

    private static final Grid COARSE = new Grid(4, 3);
    private static final Job SOUND = DemoJob.GARDEN_SHUTTLE.job();

    /**
     * @param says what its sentences must hold
     * @param remedies how many are offered at the least
     */
    record Broken(String name, Job job, Fault fault, Severity severity, String says, int remedies) {
        @Override
        public String toString() {
            return name;
        }
    }

    private static Broken broken(
            String name, Fault fault, Severity severity, String says, int remedies, UnaryOperator<Column> edit) {
        return new Broken(name, SOUND.editColumn(edit), fault, severity, says, remedies);
    }

    private static Broken judged(
            String name, Fault fault, Severity severity, String says, int remedies, UnaryOperator<Rules> rules) {
        return new Broken(name, SOUND.withRules(rules.apply(SOUND.rules())), fault, severity, says, remedies);
    }

    private static Column bearing(Column c, int shaft, double along, double bore) {
        return c.withBearings(Stream.concat(
                        c.bearings().stream(),
                        Stream.of(Bearing.planned(
                                Id.Kind.BEARING.next(c.partIds()),
                                "Steady",
                                Kind.PILLOW_BLOCK,
                                Mount.FRAME,
                                shaft,
                                along,
                                bore)))
                .toList());
    }

    private static Column lower(Column c, UnaryOperator<Socket> gearSide) {
        return c.editJoint(
                0,
                j -> j.withFits(
                        j.wheelSide(),
                        j.gearSide()
                                .withSocket(gearSide.apply(j.gearSide().socket().orElseThrow()))));
    }

    static Stream<Broken> faults() {
        Vector beside = new Vector(0, 30, 0);
        return Stream.of(
                broken(
                        "a joint too far over",
                        Fault.JOINT_OVER_LIMIT,
                        Severity.STOP,
                        "binds",
                        0,
                        c -> JointBend.withAngle(c, 0, 37)),
                broken(
                        "only at the worst of the tilt",
                        Fault.JOINT_OVER_LIMIT,
                        Severity.STOP,
                        "with the wheel tilted",
                        0,
                        c -> JointBend.withAngle(c, 0, 30)
                                .withWheel(c.wheel().withAdjustment(new Adjustment(0, 0, 12, 12, Optional.empty())))),
                judged(
                        "a joint over the rule set's limit",
                        Fault.JOINT_OVER_LIMIT,
                        Severity.STOP,
                        "the rule set's limit of 5.0°",
                        0,
                        r -> r.with(RuleLimit.JOINT_ANGLE, 5)),
                broken(
                        "a coupling bent",
                        Fault.JOINT_OVER_LIMIT,
                        Severity.STOP,
                        "tears its disc",
                        0,
                        c -> JointBend.withAngle(c, 0, 8).editJoint(0, j -> j.withKind(new JointKind.Coupling())
                                .withMaxAngleDeg(4))),
                broken("clocked wrong", Fault.RIPPLE, Severity.STOP, "clocked wrong", 1, c -> JointBend.withAngle(
                                c, 0, 30)
                        .editShaft(1, s -> s.withClockingDeg(85))),
                broken(
                        "three joints and no bearing",
                        Fault.SHAFT_FLOATS,
                        Severity.STOP,
                        "1 bearing more is needed",
                        2,
                        ColumnFaultsTest::three),
                broken(
                        "a double joint with nothing steadying it",
                        Fault.SHAFT_FLOATS,
                        Severity.STOP,
                        "does not centre itself",
                        1,
                        c -> c.editJoint(1, j -> j.withKind(new JointKind.Double(false)))),
                broken(
                        "a bare shaft in no bearing",
                        Fault.SHAFT_FLOATS,
                        Severity.STOP,
                        "Nothing holds the shaft at the wheel",
                        1,
                        c -> c.withTube(Optional.empty())),
                broken(
                        "overlap too short",
                        Fault.SLIDE_SHORT,
                        Severity.STOP,
                        "overlaps",
                        1,
                        c -> sliding(c, new Slide(35, 40, 60))),
                broken("comes apart", Fault.SLIDE_SHORT, Severity.STOP, "comes apart", 1, c -> sliding(
                                c, new Slide(6, 0, 60))
                        .withInstallation(c.installation().withFrameMovement(12))),
                broken("bottoms", Fault.SLIDE_BOTTOMS, Severity.STOP, "bottoms", 1, c -> sliding(
                                c, new Slide(90, 40, 3))
                        .withInstallation(c.installation().withFrameMovement(12))),
                new Broken(
                        "one joint between body and frame",
                        DemoJob.SALT_RAKE
                                .job()
                                .editColumn(
                                        c -> c.withInstallation(c.installation().withFrameMovement(4))),
                        Fault.CAN_NOT_FOLLOW,
                        Severity.STOP,
                        "4.0 mm off the line of the gear's input",
                        1),
                new Broken(
                        "no joint and a reach",
                        DemoJob.GREENHOUSE_TUG
                                .job()
                                .editColumn(c -> c.withWheel(
                                        c.wheel().withAdjustment(new Adjustment(0, 0, 3, 3, Optional.of(100.0))))),
                        Fault.CAN_NOT_FOLLOW,
                        Severity.STOP,
                        "carry the wheel",
                        0),
                broken(
                        "nothing gives",
                        Fault.MUST_SLIDE,
                        Severity.STOP,
                        "has no sliding part",
                        1,
                        c -> c.withInstallation(c.installation().withFrameMovement(5))),
                broken(
                        "a joint beside the measured column",
                        Fault.AXES_MISS,
                        Severity.STOP,
                        "off the axis of the column",
                        1,
                        c -> c.withInstallation(c.installation().withColumnAxis(Optional.of(c.axis(0))))
                                .editJoint(0, j -> j.withCentre(j.centre().plus(beside)))),
                broken(
                        "a spline of other teeth",
                        Fault.ENDS_DO_NOT_FIT,
                        Severity.STOP,
                        "36-tooth spline",
                        1,
                        c -> c.editShaft(2, s -> s.withProfile(new ShaftProfile.Splined(18, 54)))),
                broken(
                        "an end too large",
                        Fault.ENDS_DO_NOT_FIT,
                        Severity.STOP,
                        "does not go into Upper joint",
                        2,
                        c -> c.editShaft(1, s -> s.withEnds(Optional.of(new ShaftProfile.Round(20)), s.gearEnd()))),
                broken(
                        "an end too small",
                        Fault.ENDS_DO_NOT_FIT,
                        Severity.STOP,
                        "rattles",
                        1,
                        c -> c.editShaft(1, s -> s.withEnds(Optional.of(new ShaftProfile.Round(15)), s.gearEnd()))),
                broken(
                        "round in a spline",
                        Fault.ENDS_DO_NOT_FIT,
                        Severity.STOP,
                        "does not fit",
                        2,
                        c -> lower(c, s -> new Socket(new ShaftProfile.Splined(19, 36), Retention.PINCH_BOLT))),
                broken(
                        "flats of another width",
                        Fault.ENDS_DO_NOT_FIT,
                        Severity.STOP,
                        "flats of different widths",
                        1,
                        c -> lower(c, s -> new Socket(new ShaftProfile.DoubleD(19, 15), Retention.SET_SCREW))
                                .editShaft(
                                        1,
                                        s -> s.withEnds(Optional.of(new ShaftProfile.DoubleD(19, 14)), s.gearEnd()))),
                broken(
                        "a bearing past the end",
                        Fault.BEARING_OFF_SHAFT,
                        Severity.STOP,
                        "does not sit on Lower shaft",
                        1,
                        c -> bearing(c, 1, 900, 19)),
                broken(
                        "a bearing on the fork",
                        Fault.BEARING_OFF_SHAFT,
                        Severity.STOP,
                        "does not sit on Lower shaft",
                        1,
                        c -> bearing(c, 1, 10, 19)),
                broken(
                        "a tube longer than its shaft",
                        Fault.BEARING_OFF_SHAFT,
                        Severity.STOP,
                        "has ended",
                        1,
                        c -> c.withTube(c.tube().map(t -> t.withTo(740)))),
                broken(
                        "a bearing too small",
                        Fault.BEARING_BORE,
                        Severity.STOP,
                        "does not go through",
                        1,
                        c -> bearing(c, 1, 200, 17)),
                broken(
                        "a bearing too large",
                        Fault.BEARING_BORE,
                        Severity.LOOK,
                        "rattles",
                        1,
                        c -> bearing(c, 1, 200, 25)),
                broken(
                        "a shaft too thin",
                        Fault.SHAFT_WEAK,
                        Severity.STOP,
                        "carries a heavy pull",
                        0,
                        c -> c.editShaft(1, s -> s.withYieldMpa(100))),
                broken(
                        "a joint too small",
                        Fault.JOINT_WEAK,
                        Severity.STOP,
                        "is made for 40 N·m",
                        0,
                        c -> c.editJoint(0, j -> j.withTorqueNm(Optional.of(40.0)))),
                judged(
                        "a pinch bolt not accepted",
                        Fault.HOLD_NOT_ACCEPTED,
                        Severity.STOP,
                        "does not accept",
                        1,
                        r -> r.withHolds(
                                Set.of(Retention.SET_SCREW, Retention.NUT, Retention.ONE_PIECE, Retention.WELD))),
                judged(
                        "welding to be tested",
                        Fault.WELDED_SHAFT,
                        Severity.LOOK,
                        "wants that weld tested",
                        0,
                        r -> r.withWelding(Welding.TESTED)),
                judged(
                        "welding forbidden",
                        Fault.WELDED_SHAFT,
                        Severity.STOP,
                        "forbids",
                        1,
                        r -> r.withWelding(Welding.FORBIDDEN)),
                judged(
                        "engagement too short",
                        Fault.ENGAGEMENT_SHORT,
                        Severity.STOP,
                        "goes 24.0 mm into the steering wheel's hub",
                        1,
                        r -> r.with(RuleLimit.ENGAGEMENT, 1.6)),
                broken(
                        "a bearing out of line",
                        Fault.BEARINGS_FIGHT,
                        Severity.LOOK,
                        "fights the others",
                        1,
                        c -> bearing(c, 1, 200, 19).editBearing(0, b -> b.withOff(3, -2))),
                judged(
                        "spans too long",
                        Fault.SPAN_LONG,
                        Severity.LOOK,
                        "hang free",
                        1,
                        r -> r.with(RuleLimit.SPAN, 120)),
                judged("winds up", Fault.WIND_UP, Severity.LOOK, "wind up", 0, r -> r.with(RuleLimit.WIND_UP, 0.5)),
                new Broken(
                        "feels quicker one way",
                        DemoJob.SALT_RAKE.job().editColumn(c -> JointBend.withAngle(c.withFirstForkDeg(45), 0, 22)),
                        Fault.LOPSIDED,
                        Severity.LOOK,
                        "quicker to the",
                        2),
                judged("no collapsing part", Fault.FRONT_PUSH, Severity.LOOK, "Advice", 1, r -> r.with(
                                RuleLimit.STROKE, 60)
                        .withoutKink()),
                new Broken(
                        "joints in the cabin",
                        SOUND.editColumn(
                                        c -> c.withInstallation(c.installation().withBulkhead(Optional.of(-200.0))))
                                .withRules(SOUND.rules().withJointInCabin(false)),
                        Fault.JOINT_IN_CABIN,
                        Severity.LOOK,
                        "Upper joint",
                        0),
                new Broken(
                        "in no class",
                        SOUND.withRules(classes(3000, 3100, 2000)),
                        Fault.OUT_OF_CLASS,
                        Severity.LOOK,
                        "in none of the classes",
                        0),
                new Broken(
                        "too wide for the class",
                        SOUND.withRules(classes(1000, 3100, 900)),
                        Fault.OUT_OF_CLASS,
                        Severity.LOOK,
                        "is wider than the class",
                        0));
    }

    private static Rules classes(double from, double to, double wide) {
        return SOUND.rules().withClasses(List.of(new VehicleClass("one", from, to, wide)));
    }

    private static Column three(Column c) {
        return TrainEdits.split(c, 1, c.joints().getFirst().withName("Middle joint"));
    }

    private static Column sliding(Column c, Slide slide) {
        return c.editShaft(1, s -> s.withSlide(Optional.of(slide)));
    }

    private static List<Finding> findings(Job job, Fault fault) {
        return Analysis.of(job, COARSE, CatalogueFile.shipped()).findings().stream()
                .filter(f -> f.fault() == fault)
                .toList();
    }

    @Test
    void soundColumnHasNoColumnFaults() {
        faults().map(Broken::fault)
                .distinct()
                .forEach(f -> assertThat(findings(SOUND, f)).as(f.toString()).isEmpty());
    }

    @ParameterizedTest
    @MethodSource("faults")
    void eachColumnFaultIsReportedAndCured(Broken b) {
        List<Finding> found = findings(b.job, b.fault);
        assertThat(found).isNotEmpty();
        Finding f = found.getFirst();
        assertThat(f.severity()).isEqualTo(b.severity);
        assertThat(f.what().text(LengthUnit.MM) + " " + f.why().text(LengthUnit.MM))
                .contains(b.says);
        assertThat(f.remedies()).hasSizeGreaterThanOrEqualTo(b.remedies);
        for (Remedy r : f.remedies()) {
            Job cured = r.edit().apply(b.job);
            assertThat(findings(cured, b.fault).stream()
                            .filter(x ->
                                    x.element().equals(f.element()) && x.what().equals(f.what())))
                    .as(r.action().text(LengthUnit.INCH_FRACTION))
                    .isEmpty();
            assertThat(findings(cured, b.fault)).hasSizeLessThan(found.size() + 1);
        }
    }

    /** One joint between a column and a gear that are both bolted down. */
    @Test
    void missingAxesGetShimOrTwoJoints() {
        Job bus = DemoJob.LIBRARY_BUS.job();
        assertThat(findings(bus, Fault.AXES_MISS)).isEmpty();
        Job missing = bus.editColumn(c -> c.withHub(c.hub().plus(new Vector(0, 12, 3))));
        Finding f = findings(missing, Fault.AXES_MISS).getFirst();
        assertThat(f.severity()).isEqualTo(Severity.STOP);
        assertThat(f.what().text(LengthUnit.MM)).contains("miss each other by");
        assertThat(f.remedies()).hasSize(2);
        assertThat(f.remedies().getFirst().action().text(LengthUnit.MM)).contains("to the right");
        for (Remedy r : f.remedies()) {
            assertThat(findings(r.edit().apply(missing), Fault.AXES_MISS))
                    .as(r.action().text(LengthUnit.MM))
                    .isEmpty();
        }
        assertThat(f.remedies()
                        .get(1)
                        .edit()
                        .apply(missing)
                        .column()
                        .orElseThrow()
                        .joints())
                .hasSize(2);
        // The joint merely put beside where the axes meet.
        Job beside =
                bus.editColumn(c -> c.editJoint(0, j -> j.withCentre(j.centre().plus(new Vector(20, 0, 0)))));
        assertThat(findings(beside, Fault.AXES_MISS).getFirst().what().text(LengthUnit.MM))
                .contains("from the joint");
    }

    /** The demo's rack, turned in its clamps as offered, brings its joint inside; nothing of the axle changes. */
    @Test
    void rotatingRackIsOfferedForOverbentJoint() {
        Job demo = DemoJob.MARSH_CARRIER.job();
        Finding f = findings(demo, Fault.JOINT_OVER_LIMIT).getFirst();
        Remedy turn = f.remedies().getLast();
        assertThat(turn.action().text(LengthUnit.MM))
                .isEqualTo("Turn the rack 9.0° in its clamps, the top of its input back");
        Job turned = turn.edit().apply(demo);
        assertThat(findings(turned, Fault.JOINT_OVER_LIMIT)).isEmpty();
        assertThat(turned.axle()).isEqualTo(demo.axle());
        // A steering box is not turned so.
        assertThat(findings(
                                DemoJob.BOG_TENDER.job().editColumn(c -> JointBend.withAngle(c, 1, 37)),
                                Fault.JOINT_OVER_LIMIT)
                        .getFirst()
                        .remedies())
                .noneMatch(r -> r.action().text(LengthUnit.MM).contains("rack"));
    }

    @Test
    void nearestStandardBoresAreOffered() {
        Job odd = SOUND.editColumn(c -> bearing(c.editShaft(1, s -> s.withDiameter(20.6)), 1, 200, 19.05));
        Finding f = findings(odd, Fault.BEARING_BORE).getFirst();
        assertThat(f.why().text(LengthUnit.MM))
                .contains("next standard bore below is 20.0 mm")
                .contains("next above is 22.0 mm")
                .contains("sleeve takes up 0.7 mm");
        Job turned = f.remedies().getFirst().edit().apply(odd);
        assertThat(turned.column().orElseThrow().shafts().get(1).diameter()).isEqualTo(20);
        assertThat(findings(turned, Fault.BEARING_BORE)).isEmpty();
        // Where the shaft is splined a bearing has nothing to run on.
        Job splined = SOUND.editColumn(c -> bearing(c, 2, 30, 18));
        assertThat(findings(splined, Fault.BEARING_BORE).getFirst().what().text(LengthUnit.MM))
                .contains("nothing round to run on");
    }

    @Test
    void stricterRulesFindAtLeastAsMuch() {
        for (DemoJob demo : DemoJob.values()) {
            Job job = demo.job().withRules(ShippedRules.SLOW_WORKPLACE.rules());
            long lenient =
                    Analysis.of(job, COARSE, CatalogueFile.shipped()).findings().size();
            long strict = Analysis.of(
                            job.withRules(ShippedRules.CAUTIOUS_ROAD.rules()), COARSE, CatalogueFile.shipped())
                    .findings()
                    .size();
            assertThat(strict).as(demo.toString()).isGreaterThanOrEqualTo(lenient);
        }
    }

    /** Nothing a rule set or a check says calls a design approved. */
    @Test
    void noTextCallsADesignApproved() {
        faults().flatMap(b -> Analysis.of(b.job, COARSE, CatalogueFile.shipped()).findings().stream())
                .flatMap(f -> Stream.of(f.what().text(LengthUnit.MM), f.why().text(LengthUnit.INCH)))
                .forEach(t -> assertThat(t)
                        .doesNotContainIgnoringCase("approve")
                        .doesNotContainIgnoringCase("is safe")
                        .doesNotContain("{"));
        for (ShippedRules s : ShippedRules.values()) {
            assertThat(s.rules().differ()).as(s.toString()).isNotEmpty();
            assertThat(String.join(" ", s.rules().differ())).containsPattern("(?i)ask|check|read yours");
        }
    }
}
