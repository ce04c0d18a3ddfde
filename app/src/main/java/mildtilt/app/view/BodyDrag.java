package mildtilt.app.view;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.app.workbench.Workbench;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;

/** A selected part taken hold of by its body: all its points go the same way, as one change. */
final class BodyDrag {

    private record Held(PointId id, Point from) {}

    private final String name;
    private final List<Held> points;
    private boolean moved;

    private BodyDrag(String name, List<Held> points) {
        this.name = name;
        this.points = points;
    }

    /**
     * Empty where the part under the pointer is not the selected one, has no points of its own, or the wheels are
     * turned: its
     * points lie elsewhere then.
     */
    static Optional<BodyDrag> of(Workbench bench, Optional<Element> under) {
        if (under.isEmpty()
                || !under.equals(bench.selectionProperty().get())
                || !bench.steeringInput().straightAhead()
                || !movable(under.get())) {
            return Optional.empty();
        }
        Job job = bench.job();
        List<Held> points = new ArrayList<>();
        Element.points(job, under.get()).forEach(id -> points.add(new Held(id, JobPoints.position(job, id))));
        return points.isEmpty() ? Optional.empty() : Optional.of(new BodyDrag(Element.label(job, under.get()), points));
    }

    private static boolean movable(Element e) {
        return switch (e) {
            case Element.Wheel _,
                    Element.ShaftAt _,
                    Element.JointAt _,
                    Element.GearElement _,
                    Element.SteeringArms _,
                    Element.InTheWay _ -> true;
            // A bearing and a tube slide along their shaft, a rod is where its ends are; the rest is held by suspension
            // and tyres.
            case Element.Tube _,
                    Element.BearingAt _,
                    Element.GearArm _,
                    Element.DrivenRod _,
                    Element.Relay _,
                    Element.TieRods _,
                    Element.Knuckles _,
                    Element.BeamElement _,
                    Element.Tyres _,
                    Element.AtTheWheel _ -> false;
        };
    }

    void to(Workbench bench, Vector by) {
        if (!moved) {
            bench.beginDrag();
            moved = true;
        }
        bench.drag(start -> {
            Job now = start;
            for (Held h : points) {
                now = JobPoints.moved(now, h.id, h.from.plus(by));
            }
            return now;
        });
    }

    void end(Workbench bench) {
        if (moved && bench.dragging()) {
            bench.endDrag("Move " + name);
        }
    }
}
