package mildtilt.app.compare;

import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import javafx.geometry.HPos;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.Workbench;
import mildtilt.geometry.Side;
import mildtilt.linkage.AxleSolver;
import mildtilt.linkage.RodEnd;
import mildtilt.linkage.RodEndAngles;
import mildtilt.linkage.rods.Rod;
import mildtilt.steer.HandSwing;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.forces.DrivePull;
import mildtilt.steer.forces.Effort;
import mildtilt.steer.forces.KickBack;
import mildtilt.steer.forces.RodLoad;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.range.LimitGauge;
import mildtilt.steer.range.LockLimits;
import mildtilt.suspension.CannotAssemble;
import mildtilt.suspension.CornerPose;
import mildtilt.suspension.KnucklePose;
import mildtilt.units.LengthText;
import mildtilt.units.Quantity;
import mildtilt.units.Unit;

/** Every figure of both wheels and of the rods at the current position. */
final class PositionTable extends VBox {

    private final Workbench bench;
    private final GridPane grid = new GridPane();
    private int row;

    public PositionTable(Workbench bench) {
        this.bench = bench;
        setId("hands-table");
        grid.getStyleClass().add("compare-grid");
        ColumnConstraints name = new ColumnConstraints();
        name.setHgrow(Priority.ALWAYS);
        ColumnConstraints figure = new ColumnConstraints(84);
        figure.setHalignment(HPos.RIGHT);
        grid.getColumnConstraints().addAll(name, figure, figure);
        ScrollPane scroll = Wrap.tall(grid);
        scroll.getStyleClass().add("table-scroll");
        getChildren().add(scroll);
        bench.steeringInputProperty().addListener((_, _, _) -> refresh());
        bench.jobProperty().addListener((_, _, _) -> refresh());
        bench.lengthUnitProperty().addListener((_, _, _) -> refresh());
        bench.analysisProperty().addListener((_, _, _) -> refresh());
        visibleProperty().addListener((_, _, _) -> refresh());
        refresh();
    }

    private void refresh() {
        if (!isVisible()) {
            return;
        }
        grid.getChildren().clear();
        row = 0;
        Optional<AxlePose> pose = bench.pose();
        if (pose.isEmpty()) {
            line("This job has no axle yet.", "", "");
            return;
        }
        line("", "left", "right");
        wheels(pose.get());
        pose.get().assembled().ifPresent(_ -> rods(pose.get()));
        pose.get().obstacle().map(CannotAssemble::phrase).ifPresent(p -> {
            Label why = new Label(p.text(bench.lengthUnit()));
            why.setWrapText(true);
            grid.add(why, 0, row++, 3, 1);
        });
    }

    private void wheels(AxlePose pose) {
        pair(pose, "Steer, + left", k -> Quantity.angle(k.steerDeg()));
        if (bench.steeringInput().steeringWheelDeg() == 0) {
            pair(pose, "Toe-in", k -> Quantity.angle(k.toeInDeg()));
        }
        pair(pose, "Camber", k -> Quantity.angle(k.camberDeg()));
        pair(pose, "Caster", k -> Quantity.angle(k.casterDeg()));
        pair(pose, "Kingpin inclination", k -> Quantity.angle(k.kingpinInclinationDeg()));
        pair(pose, "Scrub radius", k -> Quantity.length(k.scrubAcrossWheel()));
        pair(pose, "Trail", k -> Quantity.length(k.trailAlongWheel()));
    }

    private void pair(AxlePose pose, String name, Function<KnucklePose, Quantity> figure) {
        line(name, text(pose.left(), figure), text(pose.right(), figure));
    }

    private String text(CornerPose pose, Function<KnucklePose, Quantity> figure) {
        return switch (pose) {
            case CannotAssemble _ -> "–";
            case KnucklePose k -> figure.apply(k).text(bench.lengthUnit());
        };
    }

    private void rods(AxlePose pose) {
        AxleSolver axle = bench.train().axle().orElseThrow();
        LimitGauge gauge = new LimitGauge(axle, bench.job().targets());
        Map<RodEnd, Double> tilt = new EnumMap<>(RodEnd.class);
        Map<RodEnd, Double> arm = new EnumMap<>(RodEnd.class);
        axle.atRodEnds(pose.stance(), new RodEndAngles.Visitor() {
            @Override
            public void tilt(RodEnd end, double deg) {
                tilt.put(end, deg);
            }

            @Override
            public void arm(RodEnd end, double deg) {
                // What judges is how far it is off centre.
            }

            @Override
            public void offCentre(RodEnd end, double deg) {
                arm.put(end, deg);
            }
        });
        boolean one = axle.axle().oneTieRod();
        RodEnd left = one ? RodEnd.TIE_LEFT : RodEnd.LEFT_OUTER;
        RodEnd right = one ? RodEnd.TIE_RIGHT : RodEnd.RIGHT_OUTER;
        line("Tie rod to over-centre", angle(arm, left), angle(arm, right));
        line("Rod end tilt, at the arm", tilt(tilt, gauge, left), tilt(tilt, gauge, right));
        if (!one) {
            line("Rod end tilt, inner", tilt(tilt, gauge, RodEnd.LEFT_INNER), tilt(tilt, gauge, RodEnd.RIGHT_INNER));
        }
        for (RodEnd end : RodEnd.values()) {
            if (end.rod() != Rod.LEFT_TIE_ROD && end.rod() != Rod.RIGHT_TIE_ROD && end.rod() != Rod.TIE_ROD) {
                if (tilt.containsKey(end)) {
                    line(capital(end.rod().label()) + " tilt, " + end.label(), "", tilt(tilt, gauge, end));
                }
                if (arm.containsKey(end)) {
                    line(capital(end.rod().label()) + " over-centre, " + end.label(), "", angle(arm, end));
                }
            }
        }
        effort();
        bench.analysisProperty().get().flatMap(w -> w.now().steer()).ifPresent(this::wholeRange);
    }

    private String rakeForce(SteerFigures s, Side side) {
        return Objects.requireNonNull(s.rake().get(side))
                .forceFactor()
                .map(f -> Quantity.times(f).text(bench.lengthUnit()))
                .orElse("beyond");
    }

    /** What holds for the whole lock, at any position. */
    private void wholeRange(SteerFigures s) {
        s.hands().ifPresent(this::hands);
        s.effort()
                .ifPresent(e -> line(
                        e.gear().unit() == Unit.FORCE ? "Rack force, parked" : "Arm torque, parked",
                        "",
                        e.gear().text(bench.lengthUnit())));
        s.kickBack().ifPresent(this::kickBack);
        s.drivePull().ifPresent(this::drivePull);
        s.play().ifPresent(p -> {
            line(
                    "Free in its rods, wheel",
                    Quantity.angle(p.leftDeg()).text(bench.lengthUnit()),
                    Quantity.angle(p.rightDeg()).text(bench.lengthUnit()));
            line("… in the hands", "", Quantity.angle(p.steeringWheelDeg()).text(bench.lengthUnit()));
        });
        if (!s.rake().isEmpty()) {
            line("Tie rod rake, worst", rake(s, Side.LEFT), rake(s, Side.RIGHT));
            line("… its force, times", rakeForce(s, Side.LEFT), rakeForce(s, Side.RIGHT));
        }
        for (RodLoad l : s.rodLoads()) {
            String rod = capital(l.rod().label());
            l.bucklingMargin()
                    .ifPresent(
                            m -> line(rod + " buckles at", "", Quantity.times(m).text(bench.lengthUnit())));
            l.stress()
                    .ifPresent(x ->
                            line(rod + " stress, worst", "", Quantity.stress(x).text(bench.lengthUnit())));
        }
        for (Side way : Side.values()) {
            for (LockLimits.Hit hit : s.limits().toward(way)) {
                line(
                        "Turning " + way.label() + ": " + hit.limit().label(),
                        "",
                        Quantity.angle(Math.abs(hit.steeringWheelDeg())).text(bench.lengthUnit()));
            }
        }
    }

    /** What one wheel alone does to the hands: the way the rim goes with it. */
    private void kickBack(KickBack k) {
        KickBack.Wheel l = k.wheel(Side.LEFT);
        KickBack.Wheel r = k.wheel(Side.RIGHT);
        line("Hands, one bump", way(l.turn().map(Quantity::angle)), way(r.turn().map(Quantity::angle)));
        line("Hands, wheel hit", pull(l, KickBack.Pull::blow), pull(r, KickBack.Pull::blow));
        line("Hands, one brake", pull(l, KickBack.Pull::braked), pull(r, KickBack.Pull::braked));
    }

    private String pull(KickBack.Wheel w, Function<KickBack.Pull, Double> which) {
        return way(w.pull().map(which).map(Quantity::force));
    }

    /** Its size, and an arrow the way it goes. */
    private String way(Optional<Quantity> q) {
        return q.map(x -> (x.value() >= 0 ? "← " : "→ ")
                        + new Quantity(Math.abs(x.value()), x.unit()).text(bench.lengthUnit()))
                .orElse("–");
    }

    private void drivePull(DrivePull d) {
        for (DrivePull.Row at : d.rows()) {
            line(
                    "Drive pulls, " + Quantity.angle(at.steeringWheelDeg()).text(bench.lengthUnit()),
                    "",
                    way(Optional.of(Quantity.force(at.pull()))));
        }
    }

    private void hands(HandSwing h) {
        line(
                "Full lock, " + h.bar().kind().label(),
                Quantity.angle(h.leftDeg()).text(bench.lengthUnit()),
                Quantity.angle(h.rightDeg()).text(bench.lengthUnit()));
        line("Grip forward, at most", "", Quantity.length(h.ahead()).text(bench.lengthUnit()));
        line("Grip back, at most", "", Quantity.length(h.back()).text(bench.lengthUnit()));
        h.reach()
                .ifPresent(r -> line(
                        "Farthest from shoulder", "", Quantity.length(r.mm()).text(bench.lengthUnit())));
    }

    private void effort() {
        String held = capital(bench.job().column().map(c -> c.wheel().held()).orElse("rim"));
        Effort.at(bench.train(), bench.job(), bench.steeringInput().steeringWheelDeg())
                .ifPresent(e -> {
                    line(
                            held + " force, parked",
                            "",
                            Quantity.force(e.row().parked()).text(bench.lengthUnit()));
                    line(
                            held + " force, creeping",
                            "",
                            Quantity.force(e.row().creeping()).text(bench.lengthUnit()));
                    line(
                            "Weight returns it with",
                            "",
                            Quantity.force(e.row().returning()).text(bench.lengthUnit()));
                    line(
                            "… in a bend, 0.3 g",
                            "",
                            Quantity.force(e.row().inBend()).text(bench.lengthUnit()));
                    e.rodForce()
                            .forEach((rod, n) -> line(
                                    capital(rod.label()) + " force",
                                    "",
                                    Quantity.force(n).text(bench.lengthUnit())));
                });
    }

    private String rake(SteerFigures s, Side side) {
        return Quantity.angle(Objects.requireNonNull(s.rake().get(side)).worstDeg())
                .text(bench.lengthUnit());
    }

    private String angle(Map<RodEnd, Double> map, RodEnd end) {
        return Optional.ofNullable(map.get(end))
                .map(d -> Quantity.angle(d).text(bench.lengthUnit()))
                .orElse("–");
    }

    private String tilt(Map<RodEnd, Double> map, LimitGauge gauge, RodEnd end) {
        double allowed = gauge.allowedTiltDeg(end);
        return map.containsKey(end)
                ? angle(map, end) + (Double.isFinite(allowed) ? " of " + LengthText.trimmed(allowed, 1) + "°" : "")
                : "–";
    }

    private static String capital(String s) {
        return Character.toUpperCase(s.charAt(0)) + s.substring(1);
    }

    private void line(String name, String left, String right) {
        Label l = new Label(left);
        Label r = new Label(right);
        l.getStyleClass().add("figure-now");
        r.getStyleClass().add("figure-now");
        grid.addRow(row++, new Label(name), l, r);
    }
}
