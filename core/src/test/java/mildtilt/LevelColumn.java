package mildtilt;

import java.util.List;
import java.util.Optional;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.column.ColumnTube;
import mildtilt.column.GearInput;
import mildtilt.column.Installation;
import mildtilt.column.Joint;
import mildtilt.column.Shaft;
import mildtilt.column.Slide;
import mildtilt.column.SteeringWheel;
import mildtilt.column.YokeDimensions;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.job.Plan;
import mildtilt.job.Targets;
import mildtilt.job.Vehicle;

/** A hearse's column for a pedal-driven ferry: level, so that every length can be added up on paper. */
public final class LevelColumn {

    public static final Id UPPER = new Id("shaft-1");
    public static final Id LOWER = new Id("shaft-2");

    private LevelColumn() {}

    /** Hub at x −1000, joints at −400 and 0, the gear at 200: shafts of 600, 400 and 200 between centres. */
    public static Job job() {
        YokeDimensions fork = new YokeDimensions(40, 25, Optional.empty());
        Joint first = joint("joint-1", -400, fork);
        Column c = new Column(
                new SteeringWheel(380, new Point(-1000, 0, 900), new YokeDimensions(20, 20, Optional.empty())),
                List.of(
                        Shaft.round(UPPER, "Column shaft", 20, 0, true),
                        Shaft.round(LOWER, "Folding shaft", 20, 0, true)
                                .withSlide(Optional.of(new Slide(60, 40, 20, Optional.of(160.0)))),
                        Shaft.round(new Id("shaft-3"), "Stub", 20, 0, false)),
                List.of(first, joint("joint-2", 0, fork)),
                new GearInput(new Point(200, 0, 900), fork),
                0,
                Optional.of(new ColumnTube(45, 50, 480, 0, 12)),
                List.of(Bearing.planned(
                        new Id("bearing-1"), "Rod end", Bearing.Kind.ROD_END, Bearing.Mount.FRAME, 1, 330, 20)),
                Installation.FREE);
        return Job.of(
                "ferry",
                new Plan(
                        new Vehicle(2400, 50, 50, 30, 30, 120, Optional.empty(), 0),
                        Optional.of(c),
                        Optional.empty(),
                        Targets.USUAL));
    }

    private static Joint joint(String id, double x, YokeDimensions fork) {
        return Joint.single(new Id(id), id, new Point(x, 0, 900), 35, fork, fork);
    }
}
