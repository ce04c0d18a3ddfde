package mildtilt.app.view;

import java.util.List;
import java.util.stream.Stream;
import mildtilt.app.workbench.WorkStage;
import mildtilt.drawing.Pen;
import mildtilt.drawing.Sketch;
import mildtilt.drawing.Stroke;
import mildtilt.job.Element;

/** Which parts of the train a stage is about: they are drawn strongest and settle how far a view reaches. */
final class StageParts {

    private StageParts() {}

    static boolean about(WorkStage stage, Element element) {
        return switch (element) {
            case Element.InTheWay _, Element.AtTheWheel _ -> stage == WorkStage.CLEARANCE;
            case Element.Wheel _, Element.ShaftAt _, Element.JointAt _, Element.Tube _, Element.BearingAt _ ->
                stage != WorkStage.LINKAGE;
            case Element.GearElement _,
                    Element.GearArm _,
                    Element.DrivenRod _,
                    Element.Relay _,
                    Element.TieRods _,
                    Element.SteeringArms _,
                    Element.Knuckles _,
                    Element.BeamElement _,
                    Element.Tyres _ -> stage != WorkStage.COLUMN;
        };
    }

    /** What is to be seen whole when a stage opens: all of the vehicle, in the linkage stage all of the axle. */
    static Sketch inSight(WorkStage stage, Sketch sketch) {
        if (stage != WorkStage.LINKAGE) {
            return sketch;
        }
        // The sectors that the wheels turn through and where the tyres come to, too.
        return new Sketch(
                Stream.concat(
                                of(stage, sketch).strokes().stream(),
                                sketch.construction().strokes().stream()
                                        .filter(s -> s.pen() == Pen.LOCK_ARC || s.pen() == Pen.ENVELOPE))
                        .toList(),
                List.of());
    }

    /** The strokes a stage is about; all of them where the job has none of those. */
    static Sketch of(WorkStage stage, Sketch sketch) {
        List<Stroke> about = sketch.strokes().stream()
                .filter(s -> s.element().map(e -> about(stage, e)).orElse(false))
                .toList();
        return about.isEmpty() ? sketch : new Sketch(about, List.of());
    }
}
