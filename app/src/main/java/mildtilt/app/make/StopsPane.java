package mildtilt.app.make;

import mildtilt.app.workbench.Workbench;
import mildtilt.build.StopBolt;
import mildtilt.report.Papers;
import mildtilt.units.Phrase;

/** What ends the lock as bolts, gaps and collars, and the way back to straight ahead. */
final class StopsPane extends MakePane {

    StopsPane(Workbench bench, PapersDesk desk) {
        super(bench, desk, "make-stops");
        refresh();
    }

    @Override
    protected void show(Papers p) {
        title(
                "Stops",
                "The knuckles' stops end the lock, one degree or more before the gear, a rod or a tyre would. Turn "
                        + "plates decide: where arms hold the wheel, a gap is within 3 %.");
        if (p.analysis().steer().isEmpty()) {
            hint("This job has no steered axle yet that goes from lock to lock.");
            return;
        }
        StopBolt bolt = p.analysis().job().making().stopBolt();
        row(
                length(
                        "Steer axis to the bolt's head",
                        "stop-bolt-radius",
                        bolt.radius(),
                        (j, v) -> j.editMaking(m -> m.withStopBolt(m.stopBolt().withRadius(v)))),
                maybeLength(
                        "Face to pad, straight ahead",
                        "stop-bolt-face",
                        bolt.faceToPad(),
                        (j, v) -> j.editMaking(m -> m.withStopBolt(m.stopBolt().withFaceToPad(v)))));
        if (bolt.equals(StopBolt.USUAL)) {
            hint("Measure where the bolt's head meets its pad; 60 mm is only to begin with.");
        }
        if (p.stops().bolts().isEmpty()) {
            hint("No knuckle stop is set yet: give its angle under Part, Knuckles, or let Solve for, Lock "
                    + "stops find it.");
        }
        for (Phrase order : p.stops().orders()) {
            say(order.text(bench.lengthUnit()));
        }
    }
}
