package mildtilt.app.findings;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mildtilt.app.workbench.AnalysisUpdate;
import mildtilt.app.workbench.MakeSheet;
import mildtilt.app.workbench.ViewChoice;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.clearance.PairGap;
import mildtilt.drawing.Elevation;
import mildtilt.findings.Finding;
import mildtilt.geometry.Point;
import mildtilt.job.Element;
import mildtilt.steer.position.SteeringInput;

/** Takes the window to where something was found: stage, view, zoom, position, and the part lit. */
final class FindingPlace {

    private FindingPlace() {}

    static void show(Workbench bench, AnalysisUpdate worked, Finding f) {
        WorkStage stage = WorkStage.of(f);
        bench.stageProperty().set(stage);
        bench.selectionProperty().set(Optional.of(f.element()).filter(Element.of(bench.job())::contains));
        if (stage == WorkStage.MAKE) {
            bench.makeSheetProperty().set(sheet(f));
            return;
        }
        Optional<PairGap> pair = worked.now().clearance().stream()
                .flatMap(c -> c.pairs().stream())
                .filter(p -> stage == WorkStage.CLEARANCE && p.label().equals(f.about()))
                .findFirst();
        if (pair.isPresent()) {
            bench.lookAt(pair.get());
        } else {
            bench.steerTo(f.at().map(a -> new SteeringInput(a.steeringWheelDeg(), a.travelLeft(), a.travelRight()))
                    .orElse(SteeringInput.STRAIGHT_AHEAD));
        }
        List<Point> around = pair.map(p -> List.of(p.onFirst(), p.onSecond()))
                .orElseGet(() -> bench.sketch().strokes().stream()
                        .filter(s -> s.element().equals(Optional.of(f.element())))
                        .flatMap(s -> s.points().stream())
                        .toList());
        bench.viewProperty().set(pair.map(FindingPlace::clearest).orElse(ViewChoice.usual(stage)));
        if (!around.isEmpty()) {
            bench.spotlightProperty().set(Optional.of(new Workbench.Spotlight(around)));
        }
    }

    /** The elevation in which the two nearest places of a pair lie farthest apart. */
    private static ViewChoice clearest(PairGap p) {
        return Arrays.stream(Elevation.values())
                .max(Comparator.comparingDouble(e -> Math.hypot(
                        e.across(p.onFirst()) - e.across(p.onSecond()), e.up(p.onFirst()) - e.up(p.onSecond()))))
                .map(ViewChoice::of)
                .orElse(ViewChoice.SIDE);
    }

    private static MakeSheet sheet(Finding f) {
        return switch (f.fault()) {
            case STUD_DOES_NOT_SEAT, THREADS_DIFFER, STUD_IN_SINGLE_SHEAR, BODY_TOO_WEAK -> MakeSheet.FITS;
            case FOUND_TOO_LONG, FOUND_TOO_SHORT -> MakeSheet.FOUND;
            case HEAT_SPOILS, JOIN_WEAK, JOIN_LOST, JOIN_FORBIDDEN, JOIN_TO_BE_TESTED -> MakeSheet.JOINS;
            default -> MakeSheet.RODS;
        };
    }
}
