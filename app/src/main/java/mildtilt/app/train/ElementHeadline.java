package mildtilt.app.train;

import java.util.Optional;
import java.util.stream.Stream;
import mildtilt.analysis.Analysis;
import mildtilt.analysis.Headline;
import mildtilt.gear.ArmGear;
import mildtilt.job.Element;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.rods.Rod;
import mildtilt.units.LengthUnit;
import mildtilt.units.Quantity;
import mildtilt.units.Unit;

/** The one figure that matters most at each element. */
final class ElementHeadline {

    private ElementHeadline() {}

    static String of(Analysis a, Element element, LengthUnit unit) {
        return switch (element) {
            case Element.Wheel _ ->
                a.headlines()
                        .get(Headline.TURNS)
                        .map(v -> a.job().column().orElseThrow().wheel().bar().isPresent()
                                ? Quantity.angle(360 * v).text(unit)
                                : Headline.TURNS.unit().format(v, unit))
                        .orElseGet(() -> Quantity.length(
                                        2 * a.job().column().orElseThrow().handRadius())
                                .text(unit));
            case Element.ShaftAt s -> {
                var line = a.bench().shafts().get(s.index());
                yield Quantity.length(line.cut().orElse(line.centres())).text(unit);
            }
            case Element.JointAt j ->
                Quantity.angle(a.bench().joints().get(j.index()).angleDeg()).text(unit);
            case Element.Tube _ ->
                text(a.job().column().flatMap(c -> c.tube()).map(t -> t.to() - t.from()), Unit.LENGTH, unit);
            case Element.BearingAt b ->
                Quantity.length(a.job()
                                .column()
                                .orElseThrow()
                                .bearings()
                                .get(b.index())
                                .bore())
                        .text(unit);
            case Element.GearElement _ -> figure(a, Headline.RATIO, unit);
            case Element.GearArm _ ->
                text(a.job().axle().flatMap(SteeredAxle::armGear).map(ArmGear::armLength), Unit.LENGTH, unit);
            case Element.DrivenRod _ -> text(drivenRod(a), Unit.LENGTH, unit);
            case Element.Relay _ -> figure(a, Headline.TOGGLE, unit);
            case Element.BeamElement _ -> figure(a, Headline.ROLL_STEER, unit);
            case Element.TieRods _ -> figure(a, Headline.TIE_ROD, unit);
            case Element.SteeringArms _ -> figure(a, Headline.ACKERMANN, unit);
            case Element.Knuckles _ -> figure(a, Headline.BUMP_STEER_NORMAL, unit);
            case Element.Tyres _ -> figure(a, Headline.INNER_LOCK, unit);
            case Element.InTheWay i ->
                text(
                        a.clearance()
                                .flatMap(c ->
                                        c.pairs().stream().filter(p -> p.has(i)).findFirst())
                                .map(p -> p.gap()),
                        Unit.LENGTH,
                        unit);
            case Element.AtTheWheel d ->
                text(
                        a.clearance()
                                .flatMap(c ->
                                        c.pairs().stream().filter(p -> p.has(d)).findFirst())
                                .map(p -> p.gap()),
                        Unit.LENGTH,
                        unit);
        };
    }

    private static String figure(Analysis a, Headline h, LengthUnit unit) {
        return text(a.headlines().get(h), h.unit(), unit);
    }

    private static String text(Optional<Double> value, Unit what, LengthUnit unit) {
        return value.map(v -> what.format(v, unit)).orElse("none");
    }

    private static Optional<Double> drivenRod(Analysis a) {
        return a.steer().flatMap(s -> Stream.of(
                        Rod.CENTRE_LINK, Rod.INTERMEDIATE_LINK, Rod.DRAG_LINK, Rod.DRAG_ROD, Rod.SHORT_LINK)
                .filter(s.lengths()::containsKey)
                .map(s.lengths()::get)
                .findFirst());
    }

    /** What the figure is. */
    static String meaning(Analysis a, Element element) {
        return plainMeaning(a, element) + (typical(a, element) ? ", typical" : "");
    }

    /** Whether its sizes are a catalogue's still. */
    private static boolean typical(Analysis a, Element element) {
        return a.job()
                .column()
                .map(c -> switch (element) {
                    case Element.ShaftAt s -> c.shafts().get(s.index()).typical();
                    case Element.JointAt j -> c.joints().get(j.index()).typical();
                    case Element.BearingAt b -> c.bearings().get(b.index()).typical();
                    case Element.Wheel _,
                            Element.Tube _,
                            Element.GearElement _,
                            Element.GearArm _,
                            Element.DrivenRod _,
                            Element.Relay _,
                            Element.TieRods _,
                            Element.SteeringArms _,
                            Element.Knuckles _,
                            Element.BeamElement _,
                            Element.Tyres _,
                            Element.InTheWay _,
                            Element.AtTheWheel _ -> false;
                })
                .orElse(false);
    }

    private static String plainMeaning(Analysis a, Element element) {
        return switch (element) {
            case Element.Wheel _ ->
                a.steer().isPresent()
                        ? "lock to lock"
                        : "across the " + a.job().column().orElseThrow().wheel().held();
            case Element.ShaftAt s -> a.bench().shafts().get(s.index()).cut().isPresent() ? "cut to" : "centres";
            case Element.JointAt _ -> "angle";
            case Element.Tube _ -> "bearing span";
            case Element.BearingAt _ -> "bore";
            case Element.GearElement _ -> "ratio";
            case Element.GearArm _ -> "length";
            case Element.DrivenRod _ -> "centres";
            case Element.Relay _ -> "to over-centre";
            case Element.BeamElement _ -> "roll steer per °";
            case Element.TieRods _ -> a.job().axle().orElseThrow().oneTieRod() ? "centres" : "left, centres";
            case Element.SteeringArms _ -> "Ackermann 20°";
            case Element.Knuckles _ -> "bump steer";
            case Element.Tyres _ -> "left lock, inner";
            case Element.InTheWay _, Element.AtTheWheel _ -> "smallest gap";
        };
    }
}
