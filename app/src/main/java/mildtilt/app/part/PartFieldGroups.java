package mildtilt.app.part;

import java.util.List;
import mildtilt.app.forms.PartFields;
import mildtilt.app.forms.SizeField;
import mildtilt.describe.JobPlace;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.parts.PlanParts;

/** Which sizes, points apart, each element has to type. */
final class PartFieldGroups {

    private PartFieldGroups() {}

    static List<SizeField> ofVehicle(Job job) {
        List<SizeField> all = PartFields.of(
                JobPlace.WHOLE.in("vehicle"),
                PlanParts.VEHICLE,
                job.vehicle(),
                "",
                (j, change) -> j.withVehicle(change.apply(j.vehicle())));
        all.addAll(PartFields.of(
                JobPlace.WHOLE.in("targets"),
                PlanParts.TARGETS,
                job.targets(),
                "",
                (j, change) -> j.withTargets(change.apply(j.targets()))));
        return all;
    }

    static List<SizeField> of(Job job, Element element) {
        return switch (element) {
            case Element.Wheel _, Element.ShaftAt _, Element.JointAt _, Element.Tube _, Element.BearingAt _ ->
                new ColumnFields(job.column().orElseThrow()).of(element);
            case Element.InTheWay i -> ObstacleFields.of(job, i.index());
            case Element.AtTheWheel _ ->
                ObstacleFields.driver(job.surroundings().driver().orElseThrow());
            case Element.GearElement _,
                    Element.GearArm _,
                    Element.DrivenRod _,
                    Element.Relay _,
                    Element.TieRods _,
                    Element.SteeringArms _,
                    Element.Knuckles _,
                    Element.BeamElement _,
                    Element.Tyres _ -> AxleFields.of(job, element);
        };
    }
}
