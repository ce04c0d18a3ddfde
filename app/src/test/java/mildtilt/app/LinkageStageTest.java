package mildtilt.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import mildtilt.analysis.Headline;
import mildtilt.app.workbench.SideTab;
import mildtilt.app.workbench.WorkStage;
import mildtilt.arms.KnuckleChange;
import mildtilt.arms.KnuckleEdits;
import mildtilt.column.HandBar;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.job.Variant;
import mildtilt.linkage.DragLink;
import mildtilt.linkage.KnuckleArm;
import mildtilt.linkage.MountedOn;
import mildtilt.linkage.RelayArm;
import mildtilt.linkage.beam.BeamKind;
import mildtilt.linkage.beam.LeafSprung;
import mildtilt.linkage.beam.SidewaysKind;
import mildtilt.solve.Goal;
import mildtilt.steer.position.SteeringInput;
import mildtilt.suspension.SplitLinks;
import mildtilt.suspension.Strut;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The linkage stage as a fabricator uses it, in the real window, on vehicles of every kind. */
@ExtendWith(WindowExtension.class)
class LinkageStageTest {

    private AppWindow app;

    @Start
    void open(Stage stage) throws Exception {
        app = new AppWindow(
                stage, DemoJob.LIBRARY_BUS.job(), AppWindow.temporary().resolve("state"));
    }

    @AfterEach
    void close(FxRobot robot) {
        robot.interact(app::close);
    }

    private double now(Headline h) {
        return app.bench
                .analysisProperty()
                .get()
                .orElseThrow()
                .now()
                .headlines()
                .get(h)
                .orElseThrow();
    }

    private static void press(FxRobot robot, String id) {
        AppWindow.until(() -> robot.lookup(id).tryQuery().isPresent());
        robot.interact(
                () -> robot.lookup(id).<ButtonBase>queryAs(ButtonBase.class).fire());
    }

    private static void type(FxRobot robot, String id, String text) {
        robot.interact(() -> {
            TextField field = robot.lookup(id).queryAs(TextField.class);
            field.requestFocus();
            field.setText(text);
            field.getOnAction().handle(null);
        });
    }

    @Test
    void armChangeIsTriedKeptAndApplied(FxRobot robot) {
        robot.clickOn("#stage-linkage");
        app.settle();
        double ratio = now(Headline.RATIO);
        // Shorter and in: told as a change from the piece as opened, and written out for the bench.
        robot.clickOn("#side-arms");
        type(robot, "#knuckle-lengthen", "-12");
        type(robot, "#knuckle-out", "-1/8\"");
        app.settle();
        assertThat(now(Headline.RATIO)).isLessThan(ratio);
        KnuckleChange made = KnuckleEdits.between(DemoJob.LIBRARY_BUS.job(), app.bench.job(), KnuckleArm.LEFT_STEERING);
        assertThat(made.lengthen()).isCloseTo(-12, within(1e-9));
        assertThat(made.out()).isCloseTo(-3.175, within(1e-9));
        Set<Node> steps = Set.copyOf(robot.lookup("#arms-pane .step").queryAll());
        assertThat(steps).anySatisfy(s -> assertThat(((Label) s).getText()).contains("12.0 mm toward the steer axis"));
        assertThat(robot.lookup("#knuckle-lengthen").queryAs(TextField.class).getText())
                .isEqualTo("−12 mm");
        assertThat(app.text(robot, "#before-outer_error")).isNotEmpty();

        // Kept under a name; the plan taken back; both in one table.
        robot.clickOn("#side-variants");
        robot.interact(
                () -> robot.lookup("#variant-name").queryAs(TextField.class).setText("short arms"));
        press(robot, "#keep-variant");
        robot.interact(() -> {
            app.bench.undo();
            app.bench.undo();
            app.bench.undo();
        });
        assertThat(app.bench.job()).isEqualTo(DemoJob.LIBRARY_BUS.job());
        robot.interact(() -> {
            app.bench.redo();
            app.bench.redo();
            app.bench.redo();
        });
        app.settle();
        AppWindow.until(
                () -> robot.lookup("#variants-table .sub-head").queryAll().size() == 3);
        press(robot, "#take-variant-1");
        app.settle();
        assertThat(app.bench.job().variants().all())
                .extracting(Variant::name)
                .containsExactly("Plan before short arms");
        press(robot, "#drop-variant-2");
        assertThat(app.bench.job().variants().all()).isEmpty();
        assertThat(app.bench.undoable().orElseThrow()).contains("Delete the variant");
    }

    @Test
    void gearIsPlacedBySolving(FxRobot robot) {
        robot.interact(() -> {
            app.bench.stageProperty().set(WorkStage.LINKAGE);
            app.bench.edit("raise", j -> j.editAxle(a -> a.withGearMoved(new Vector(0, 0, 15))));
        });
        app.settle();
        assertThat(now(Headline.BUMP_STEER_NORMAL)).isGreaterThan(0.3);
        Job before = app.bench.job();
        robot.clickOn("#side-solve");
        // One thing may not be changed, another only a little.
        press(robot, "#knob-gear-fore-aft");
        robot.interact(
                () -> robot.lookup("#knob-gear-tilt").queryAs(CheckBox.class).fire());
        type(robot, "#reach-pivot-spacing", "15 mm");
        press(robot, "#run-work-out");
        AppWindow.until(() -> robot.lookup("#answer-0-take").tryQuery().isPresent());
        assertThat(app.bench.job()).as("nothing changes until one is applied").isSameAs(before);
        assertThat(robot.lookup("#answers").query().lookupAll(".finding-what"))
                .isNotEmpty()
                .noneSatisfy(l -> assertThat(((Label) l).getText()).containsIgnoringCase("forward"));
        press(robot, "#answer-0-keep");
        assertThat(app.bench.job().variants().all()).hasSize(1);
        robot.interact(() -> app.bench.undo());
        press(robot, "#run-work-out");
        AppWindow.until(() -> robot.lookup("#answer-0-take").tryQuery().isPresent());
        press(robot, "#answer-0-take");
        app.settle();
        assertThat(now(Headline.BUMP_STEER_NORMAL)).isLessThan(0.1);
        robot.interact(() -> app.bench.undo());
        assertThat(app.bench.job()).isEqualTo(before);
        // Less to hold: the rim's force is asked for in newtons, and is what the analysis then says.
        robot.interact(() -> robot.lookup("#goal")
                .queryAs(ChoiceBox.class)
                .getSelectionModel()
                .select(Goal.LIGHT_STEERING.ordinal()));
        double wanted = Math.rint(now(Headline.PARKED) * 0.9);
        type(robot, "#want-rim-force", String.valueOf(wanted));
        press(robot, "#run-work-out");
        AppWindow.until(() -> robot.lookup("#answer-0-take").tryQuery().isPresent());
        press(robot, "#answer-0-take");
        app.settle();
        assertThat(now(Headline.PARKED)).isLessThan(wanted + 3.2);
        robot.interact(() -> app.bench.undo());
        // The stops, with the bolt where it is on this knuckle.
        robot.interact(() -> robot.lookup("#goal")
                .queryAs(ChoiceBox.class)
                .getSelectionModel()
                .selectLast());
        type(robot, "#stop-radius", "80");
        press(robot, "#run-work-out");
        AppWindow.until(() -> robot.lookup("#answers .finding-what").tryQuery().isPresent());
        assertThat(robot.lookup("#answers .finding-what").queryAs(Label.class).getText())
                .contains("80.0 mm from the steer axis");
    }

    @Test
    void mapAndCurvesMoveTheSteering(FxRobot robot) {
        robot.interact(() -> app.bench.stageProperty().set(WorkStage.LINKAGE));
        app.settle();
        robot.clickOn("#plot");
        assertThat(app.bench.steeringInput().travelLeft()).isCloseTo(2.5, within(25.0));
        robot.moveBy(60, 0).clickOn(MouseButton.PRIMARY);
        assertThat(app.bench.steeringInput().travelLeft()).isGreaterThan(10);
        assertThat(app.bench.steeringInput().travelRight())
                .isEqualTo(app.bench.steeringInput().travelLeft());
        press(robot, "#show-map");
        robot.interact(() -> app.stage.getScene().getRoot().layout());
        robot.moveTo("#map").moveBy(-30, -20).clickOn(MouseButton.PRIMARY);
        assertThat(app.bench.steeringInput().steeringWheelDeg()).isNotZero();
        assertThat(app.bench.steeringInput().travelLeft()).isGreaterThan(5);
        press(robot, "#at-hands");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#hands-table .figure-now").queryAll().size()).isGreaterThan(20);
    }

    @Test
    void beamsRollAndFrameKingpinsStay(FxRobot robot) {
        robot.interact(() -> app.bench.open(DemoJob.HOP_PLATFORM.job(), Optional.empty()));
        robot.interact(() -> app.bench.steerTo(new SteeringInput(0, 30, 0)));
        assertThat(app.bench.steeringInput()).isEqualTo(new SteeringInput(0, 30, -30));
        robot.interact(() -> app.bench.steerTo(new SteeringInput(0, 30, 55)));
        assertThat(app.bench.steeringInput()).isEqualTo(new SteeringInput(0, -55, 55));
        robot.interact(() -> app.bench.open(DemoJob.GREENHOUSE_TUG.job(), Optional.empty()));
        robot.interact(() -> app.bench.steerTo(new SteeringInput(10, 5, 5)));
        assertThat(app.bench.steeringInput()).isEqualTo(new SteeringInput(10, 0, 0));
        assertThat(robot.lookup("#travel-left").query().getAccessibleText()).contains("fixed to the frame");
    }

    @Test
    void everyDemoShowsEverySideTab(FxRobot robot) {
        for (DemoJob demo : DemoJob.values()) {
            robot.interact(() -> app.bench.open(demo.job(), Optional.empty()));
            app.settle();
            for (SideTab tab : SideTab.values()) {
                // Every use of the side on every third vehicle or so, every vehicle with every third use.
                if ((tab.ordinal() + demo.ordinal()) % 3 != 0) {
                    continue;
                }
                robot.interact(() -> {
                    app.bench
                            .stageProperty()
                            .set(tab.belongsTo(WorkStage.LINKAGE) ? WorkStage.LINKAGE : WorkStage.COLUMN);
                    app.bench.sideTabProperty().set(tab);
                    app.bench.steerTo(new SteeringInput(tab.ordinal() * 15, 10, 10));
                });
                app.nothingIsCutOff(demo + ", " + tab);
            }
            robot.interact(() -> app.bench.sideTabProperty().set(SideTab.FINDINGS));
            for (Element e : Element.trainOf(demo.job())) {
                robot.interact(() -> app.bench.showPart(Optional.of(e)));
                WaitForAsyncUtils.waitForFxEvents();
                assertThat(robot.lookup("#piece .measure-field").queryAll())
                        .as(demo + ", " + e)
                        .isNotEmpty();
                assertThat(AppWindow.cutOff(robot.lookup("#piece").query()))
                        .as(demo + ", " + e)
                        .isEmpty();
            }
        }
    }

    @Test
    void ackermannSchoolAndTableAreSet(FxRobot robot) {
        robot.interact(() -> {
            app.bench.stageProperty().set(WorkStage.LINKAGE);
            app.bench.showPart(Optional.of(new Element.SteeringArms()));
        });
        app.settle();
        robot.interact(() -> robot.lookup("#school")
                .queryAs(ChoiceBox.class)
                .getSelectionModel()
                .select(1));
        assertThat(app.bench.job().targets().ackermannMaxPct()).isEqualTo(15);
        robot.interact(() -> robot.lookup("#school")
                .queryAs(ChoiceBox.class)
                .getSelectionModel()
                .selectLast());
        assertThat(app.bench.job().targets().outerTable().orElseThrow().rows()).hasSize(3);
        type(robot, "#outer-table", "10 9.4, 20 17.9, 32 26");
        assertThat(app.bench.job().targets().outerTable().orElseThrow().outerAt(32))
                .isEqualTo(26);
        type(robot, "#outer-table", "10 9.4, 20");
        assertThat(app.text(robot, "#message")).contains("\"20\" is not a pair");
        type(robot, "#outer-table", "20 9, 10 4");
        assertThat(app.text(robot, "#message")).contains("must rise");
        assertThat(app.bench.job().targets().outerTable().orElseThrow().outerAt(32))
                .isEqualTo(26);
    }

    @Test
    void asymmetricSidesHaveOwnFields(FxRobot robot) {
        robot.interact(() -> {
            app.bench.stageProperty().set(WorkStage.LINKAGE);
            app.bench.sideTabProperty().set(SideTab.ARMS);
        });
        app.settle();
        press(robot, "#own-right");
        assertThat(app.bench.job().axle().orElseThrow().ownRight()).isPresent();
        robot.interact(() -> robot.lookup("#knuckle-which")
                .queryAs(ChoiceBox.class)
                .getSelectionModel()
                .selectLast());
        type(robot, "#knuckle-raise", "7");
        Job job = app.bench.job();
        assertThat(KnuckleEdits.between(DemoJob.LIBRARY_BUS.job(), job, KnuckleArm.RIGHT_STEERING)
                        .raise())
                .isCloseTo(7, within(1e-9));
        assertThat(KnuckleEdits.between(DemoJob.LIBRARY_BUS.job(), job, KnuckleArm.LEFT_STEERING)
                        .movesEnd())
                .isFalse();
        assertThat(robot.lookup("#arms-pane .step").queryAll())
                .anySatisfy(s -> assertThat(((Label) s).getText()).contains("right steering arm"));
        // The boss is turned in degrees, and told as what an angle finder shows.
        type(robot, "#knuckle-roll-boss", "5");
        assertThat(robot.lookup("#arms-pane .step").queryAll())
                .anySatisfy(s -> assertThat(((Label) s).getText()).contains("its stud leans"));
        robot.interact(() -> {
            app.bench.sideTabProperty().set(SideTab.FINDINGS);
            app.bench.showPart(Optional.of(new Element.Knuckles()));
        });
        assertThat(robot.lookup("#piece .measure-field").queryAll().stream()
                        .map(Node::getId)
                        .toList())
                .contains("field-axle-left-limits-stop-inner-deg", "field-axle-right-limits-stop-inner-deg");
        robot.interact(() -> app.bench.sideTabProperty().set(SideTab.ARMS));
        press(robot, "#own-right");
        assertThat(app.bench.job().axle().orElseThrow().ownRight()).isEmpty();
    }

    @Test
    void swappedKnucklesAndFlippedGearAreReported(FxRobot robot) {
        robot.interact(() -> {
            app.bench.stageProperty().set(WorkStage.LINKAGE);
            app.bench.sideTabProperty().set(SideTab.ARMS);
        });
        press(robot, "#swap-knuckles");
        app.settle();
        robot.interact(() -> app.bench.sideTabProperty().set(SideTab.FINDINGS));
        assertThat(app.text(robot, "#notes-head")).contains(" stop").doesNotStartWith("0 stop");
        robot.interact(() -> app.bench.sideTabProperty().set(SideTab.ARMS));
        press(robot, "#flip-gear");
        app.settle();
        assertThat(app.bench.analysisProperty().get().orElseThrow().now().findings())
                .anyMatch(f -> f.fault() == Fault.REVERSED_ACKERMANN);
        robot.interact(() -> {
            app.bench.undo();
            app.bench.undo();
        });
        press(robot, "#reverse-gear");
        app.settle();
        assertThat(app.bench
                        .analysisProperty()
                        .get()
                        .orElseThrow()
                        .now()
                        .findings()
                        .getFirst()
                        .fault())
                .isEqualTo(Fault.WRONG_WAY);
        // Nothing can be worked out for a vehicle that steers the wrong way, and it says so.
        robot.interact(() -> app.bench.sideTabProperty().set(SideTab.SOLVE));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#run-work-out").queryButton().isDisabled()).isTrue();
        robot.interact(app.bench::undo);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#run-work-out").queryButton().isDisabled()).isFalse();
    }

    @Test
    void remedyShowsWhatItWouldBreak(FxRobot robot) {
        // Rod ends with no room to spare: arms bent in for Ackermann tilt them too far.
        robot.interact(() -> {
            app.bench.open(
                    DemoJob.MARSH_CARRIER
                            .job()
                            .editAxle(a -> a.withCorner(
                                    Side.LEFT,
                                    a.left().withRodEnds(a.left().rodEnds().withAllowedDeg(9.9)))),
                    Optional.empty());
            app.bench.stageProperty().set(WorkStage.LINKAGE);
        });
        app.settleWhole();
        List<Finding> found =
                app.bench.analysisProperty().get().orElseThrow().now().findings();
        int ackermann = IntStream.range(0, found.size())
                .filter(i -> found.get(i).fault() == Fault.ACKERMANN)
                .findFirst()
                .orElseThrow();
        AppWindow.openRow(robot, "#finding-" + ackermann);
        app.settleWhole();
        assertThat(robot.lookup("#notes .brings").queryAll().stream()
                        .map(n -> ((Label) n).getText())
                        .toList())
                .anySatisfy(t -> assertThat(t).startsWith("But then: Left tie rod's outer end over its tilt"));
    }

    @Test
    void searchIsCancelledAndArmMatchShown(FxRobot robot) {
        robot.interact(() -> {
            app.bench.stageProperty().set(WorkStage.LINKAGE);
            app.bench.sideTabProperty().set(SideTab.SOLVE);
        });
        app.settle();
        Job before = app.bench.job();
        press(robot, "#run-work-out");
        assertThat(robot.lookup("#give-up").query().isVisible()).isTrue();
        press(robot, "#give-up");
        assertThat(robot.lookup("#run-work-out").query().isVisible()).isTrue();
        assertThat(robot.lookup("#answer-0").tryQuery()).isEmpty();
        robot.interact(() -> robot.lookup("#goal")
                .queryAs(ChoiceBox.class)
                .getSelectionModel()
                .select(Goal.ARM_MATCH.ordinal()));
        press(robot, "#run-work-out");
        AppWindow.until(() -> robot.lookup("#answer-2-take").tryQuery().isPresent());
        assertThat(robot.lookup("#answers .step").queryAs(Label.class).getText())
                .contains("knuckle stop")
                .contains("of the gear's travel");
        // Either the knuckle arms change, or the gear's arm, or its travel.
        assertThat(robot.lookup("#answers .finding-card").queryAll()).hasSize(3);
        assertThat(app.bench.job()).isSameAs(before);
        // How far a thing may go must be above nothing.
        robot.interact(() -> robot.lookup("#goal")
                .queryAs(ChoiceBox.class)
                .getSelectionModel()
                .selectFirst());
        type(robot, "#reach-gear-height", "-3");
        assertThat(app.text(robot, "#message")).contains("above 0");
    }

    @Test
    void linkageStageByKeyboardInInches(FxRobot robot) {
        SideTab[] tabs =
                Arrays.stream(SideTab.values()).filter(t -> t != SideTab.PART).toArray(SideTab[]::new);
        KeyCode[] digits = {
            KeyCode.DIGIT1,
            KeyCode.DIGIT2,
            KeyCode.DIGIT3,
            KeyCode.DIGIT4,
            KeyCode.DIGIT5,
            KeyCode.DIGIT6,
            KeyCode.DIGIT7,
            KeyCode.DIGIT8,
            KeyCode.DIGIT9,
            KeyCode.DIGIT0
        };
        robot.press(KeyCode.CONTROL, KeyCode.R).release(KeyCode.R, KeyCode.CONTROL);
        assertThat(app.bench.sideTabProperty().get()).isEqualTo(SideTab.ROUTES);
        for (int i = digits.length - 1; i >= 0; i--) {
            robot.press(KeyCode.CONTROL, KeyCode.ALT, digits[i]).release(digits[i], KeyCode.ALT, KeyCode.CONTROL);
            WaitForAsyncUtils.waitForFxEvents();
            assertThat(app.bench.sideTabProperty().get()).isEqualTo(tabs[i]);
            assertThat(tabs[i].belongsTo(app.bench.stageProperty().get())).isTrue();
        }
        robot.interact(() -> app.bench.lengthUnitProperty().set(LengthUnit.INCH));
        robot.interact(() -> app.bench.sideTabProperty().set(SideTab.SOLVE));
        assertThat(robot.lookup("#reach-gear-height").queryAs(TextField.class).getText())
                .endsWith("\"");
        press(robot, "#at-hands");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#hands-table .figure-now").queryAll().stream()
                        .map(n -> ((Label) n).getText())
                        .toList())
                .anyMatch(x -> x.endsWith("lbf"))
                .anyMatch(x -> x.endsWith("psi"))
                .anyMatch(x -> x.endsWith("\""))
                .noneMatch(x -> x.endsWith("mm"));
        // Every curve and the map can be shown in inches.
        @SuppressWarnings("unchecked")
        ChoiceBox<Object> curve = robot.lookup("#curve").queryAs(ChoiceBox.class);
        for (Object c : curve.getItems()) {
            robot.interact(() -> curve.setValue(c));
            WaitForAsyncUtils.waitForFxEvents();
        }
        press(robot, "#show-map");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#map").query().isVisible()).isTrue();
    }

    @Test
    void newJobStartsUnsaved(FxRobot robot) {
        robot.interact(() -> app.shell.documents().newLike(app.stage, DemoJob.SALT_RAKE));
        app.settle();
        assertThat(app.bench.job().title()).isEqualTo("New job");
        assertThat(app.bench.job().axle()).isEqualTo(DemoJob.SALT_RAKE.job().axle());
        assertThat(app.bench.unsaved()).isTrue();
        assertThat(app.text(robot, "#message")).contains("type or drag each to your own");
        robot.interact(() -> app.bench.open(DemoJob.HOP_PLATFORM.job(), Optional.empty()));
        robot.interact(() -> app.shell.documents().openDemo(app.stage, DemoJob.BOG_TENDER));
        assertThat(app.bench.job()).isEqualTo(DemoJob.BOG_TENDER.job());
        assertThat(app.bench.unsaved()).isFalse();
    }

    private void choose(FxRobot robot, String id, int option) {
        AppWindow.until(() -> robot.lookup(id).tryQuery().isPresent());
        robot.interact(() ->
                robot.lookup(id).queryAs(ChoiceBox.class).getSelectionModel().select(option));
        app.settle();
    }

    /** A rack that was taken as on the frame is said to be on the axle: the column turns it as the axle rolls. */
    @Test
    void gearIsBoltedToTheAxleAndTheAxleHeldOtherwise(FxRobot robot) {
        Job framed = DemoJob.VINE_SPRAYER.job().editAxle(a -> a.withStatedGearOn(Optional.of(MountedOn.FRAME)));
        robot.interact(() -> app.bench.open(framed, Optional.empty()));
        app.settle();
        robot.interact(() -> {
            app.bench.stageProperty().set(WorkStage.LINKAGE);
            app.bench.showPart(Optional.of(new Element.GearElement()));
        });
        app.settle();
        double fixed = now(Headline.BUMP_STEER_NORMAL);
        robot.interact(() -> app.bench.steerTo(new SteeringInput(0, 60, -60)));
        double input = app.bench.pose().orElseThrow().gearInputDeg();
        assertThat(input).isZero();
        choose(robot, "#choice-axle-gear-on", 2);
        assertThat(app.bench.job().plan()).isEqualTo(DemoJob.VINE_SPRAYER.job().plan());
        assertThat(Math.abs(app.bench.pose().orElseThrow().gearInputDeg())).isGreaterThan(3);
        assertThat(now(Headline.BUMP_STEER_NORMAL)).isNotEqualTo(fixed);
        // The range says what the travel does to the column.
        robot.interact(() -> {
            app.bench.stageProperty().set(WorkStage.COLUMN);
            app.bench.sideTabProperty().set(SideTab.RANGE);
        });
        AppWindow.untilSays(robot, "#range-pane", "The gear is on the axle");
        // Held by leaf springs instead of a pin: their points can be typed at once.
        robot.interact(() -> {
            app.bench.steerTo(SteeringInput.STRAIGHT_AHEAD);
            app.bench.stageProperty().set(WorkStage.LINKAGE);
            app.bench.showPart(Optional.of(new Element.BeamElement()));
        });
        choose(robot, "#choice-axle-beam-kind", BeamKind.LEAF_SPRINGS.ordinal());
        LeafSprung leaves =
                (LeafSprung) app.bench.job().axle().orElseThrow().beam().orElseThrow();
        AppWindow.type(robot, "#field-z-left-eye", "505");
        assertThat(app.bench.job().axle().orElseThrow().beam())
                .contains(leaves.withLeft(leaves.left()
                        .withEye(new Point(
                                leaves.left().eye().x(), leaves.left().eye().y(), 505))));
        choose(robot, "#choice-axle-beam-sideways", SidewaysKind.WATT_ON_AXLE.ordinal());
        assertThat(SidewaysKind.of(app.bench
                        .job()
                        .axle()
                        .orElseThrow()
                        .beam()
                        .orElseThrow()
                        .sideways()))
                .isEqualTo(SidewaysKind.WATT_ON_AXLE);
        AppWindow.type(robot, "#field-z-left-watt-outer", "575");
        app.settle();
        app.nothingIsCutOff("the beam's points");
        robot.interact(() -> {
            app.bench.undo();
            app.bench.undo();
            app.bench.undo();
            app.bench.undo();
        });
        assertThat(app.bench.job().plan()).isEqualTo(DemoJob.VINE_SPRAYER.job().plan());
    }

    /** Rear wheels that steer as well make the circle smaller, and their angles at lock have figures. */
    @Test
    void rearSteerIsTypedBesideTheTyres(FxRobot robot) {
        show(robot, DemoJob.LOG_HAULER, WorkStage.LINKAGE, new Element.Tyres());
        double circle = now(Headline.CIRCLE);
        AppWindow.type(robot, "#field-vehicle-rear-steer-times", "1");
        app.settle();
        assertThat(now(Headline.CIRCLE)).isBetween(0.5 * circle, 0.65 * circle);
        assertThat(now(Headline.REAR_INNER)).isGreaterThan(now(Headline.REAR_OUTER));
        Job before = app.bench.job();
        AppWindow.type(robot, "#field-vehicle-rear-steer-times", "7");
        assertThat(app.text(robot, "#message")).contains("rear steer times is 7", "Nothing was changed");
        assertThat(app.bench.job()).isSameAs(before);
        robot.interact(() -> app.bench.undo());
        app.settle();
        assertThat(now(Headline.CIRCLE)).isEqualTo(circle);
    }

    private void show(FxRobot robot, DemoJob demo, WorkStage stage, Element element) {
        robot.interact(() -> app.bench.open(demo.job(), Optional.empty()));
        app.settle();
        robot.interact(() -> {
            app.bench.stageProperty().set(stage);
            app.bench.showPart(Optional.of(element));
        });
        app.settle();
    }

    @Test
    void relayArmIsPutBetweenGearAndDragLink(FxRobot robot) {
        show(robot, DemoJob.BOG_TENDER, WorkStage.LINKAGE, new Element.DrivenRod());
        choose(robot, "#choice-axle-linkage-relay-arm", 1);
        DragLink link = (DragLink) app.bench.job().axle().orElseThrow().linkage();
        RelayArm relay = link.relayArm().orElseThrow();
        assertThat(Element.of(app.bench.job())).contains(new Element.Relay());
        robot.interact(() -> app.bench.showPart(Optional.of(new Element.Relay())));
        app.settle();
        AppWindow.type(
                robot,
                "#field-z-relay-link-point",
                String.valueOf(relay.linkPoint().z() + 12));
        DragLink moved = (DragLink) app.bench.job().axle().orElseThrow().linkage();
        assertThat(moved.relayArm().orElseThrow().linkPoint().z())
                .isCloseTo(relay.linkPoint().z() + 12, within(1e-9));
        assertThat(moved.relayArm().orElseThrow().dragLinkPoint()).isEqualTo(relay.dragLinkPoint());
        app.settle();
        app.nothingIsCutOff("a relay arm");
        robot.interact(() -> {
            app.bench.undo();
            app.bench.undo();
        });
        assertThat(app.bench.job().plan()).isEqualTo(DemoJob.BOG_TENDER.job().plan());
    }

    @Test
    void armsBecomeSeparateLinksAndTheAxisFollows(FxRobot robot) {
        show(robot, DemoJob.GARDEN_SHUTTLE, WorkStage.LINKAGE, new Element.Knuckles());
        double scrub = figure(Headline.SCRUB);
        choose(robot, "#choice-axle-left-suspension-kind", 1);
        SplitLinks links =
                (SplitLinks) app.bench.job().axle().orElseThrow().left().suspension();
        assertThat(figure(Headline.SCRUB))
                .as("both links end in the ball joint still")
                .isCloseTo(scrub, within(1e-6));
        // The front link's joint further out: the lines meet further out, the scrub radius shrinks.
        AppWindow.type(
                robot,
                "#field-x-lower-front-outer-left",
                String.valueOf(links.lowerFront().outer().x() + 45));
        assertThat(Math.abs(figure(Headline.SCRUB) - scrub)).isGreaterThan(1);
        app.nothingIsCutOff("separate links");
        choose(robot, "#choice-axle-left-suspension-kind", 0);
        assertThat(app.bench.job().axle().orElseThrow().left().suspension()).isInstanceOf(Strut.class);
    }

    @Test
    void handlebarTakesTheWheelsPlaceAndLegsPedal(FxRobot robot) {
        show(robot, DemoJob.HEATH_RIDER, WorkStage.COLUMN, new Element.Wheel());
        choose(robot, "#choice-column-steering-wheel-hand-bar-kind", 0);
        assertThat(app.bench.job().column().orElseThrow().wheel().bar()).isEmpty();
        choose(robot, "#choice-column-steering-wheel-hand-bar-kind", 1 + HandBar.Kind.TILLER.ordinal());
        HandBar tiller = app.bench.job().column().orElseThrow().wheel().bar().orElseThrow();
        assertThat(tiller.kind()).isEqualTo(HandBar.Kind.TILLER);
        assertThat(robot.lookup("#wheel-dial").query().getAccessibleText()).startsWith("Tiller");
        app.settle();
        app.nothingIsCutOff("a tiller");
        show(robot, DemoJob.PARCEL_TRIKE, WorkStage.CLEARANCE, new Element.AtTheWheel());
        choose(robot, "#choice-surroundings-driver-pedals", 0);
        assertThat(app.bench.job().surroundings().driver().orElseThrow().pedals())
                .isEmpty();
        robot.interact(app.bench::undo);
        assertThat(app.bench.job().surroundings().driver().orElseThrow().pedals())
                .isPresent();
        app.settle();
        app.nothingIsCutOff("pedals");
    }

    private double figure(Headline h) {
        app.settle();
        return now(h);
    }
}
