package mildtilt.trials.instruments;

import java.util.Optional;
import mildtilt.column.Column;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;

/** A phone that lies along a shaft and is read over the line protocol. */
public final class PhoneOnShaft {

    /** Of two places that are meant to be one, mm. */
    private static final double SAME = 0.01;

    private PhoneOnShaft() {}

    /**
     * Reads it once. Not to be called on the interface thread.
     *
     * @param lies where it lies, for a stand-in; empty if the job has no such shaft
     * @throws InstrumentException if nothing answers there, or what answers is no reading
     */
    public static InstrumentReading read(int port, Optional<InstrumentPlacement.OnShaft> lies)
            throws InstrumentException {
        try (Instruments at = new SocketInstruments(port)) {
            if (lies.isPresent()) {
                at.put(InstrumentKind.PHONE, lies.get());
            }
            return at.read(InstrumentKind.PHONE);
        }
    }

    /**
     * The shaft that runs from one point of a job to another, and which way the phone lies on it. @param turned end for
     * end
     */
    public static Optional<InstrumentPlacement.OnShaft> between(Job job, Id from, Id to, boolean turned) {
        Optional<Point> a = place(job, from);
        Optional<Point> b = place(job, to);
        if (a.isEmpty() || b.isEmpty() || job.column().isEmpty()) {
            return Optional.empty();
        }
        Column c = job.column().get();
        for (int i = 0; i < c.shafts().size(); i++) {
            boolean along = c.start(i).distanceTo(a.get()) < SAME && c.end(i).distanceTo(b.get()) < SAME;
            boolean back = c.start(i).distanceTo(b.get()) < SAME && c.end(i).distanceTo(a.get()) < SAME;
            if (along || back) {
                return Optional.of(
                        new InstrumentPlacement.OnShaft(c.shafts().get(i).id(), 0, back != turned ? 180 : 0));
            }
        }
        return Optional.empty();
    }

    private static Optional<Point> place(Job job, Id id) {
        PointId point = JobPoints.byId(job).get(id);
        return point == null ? Optional.empty() : Optional.of(JobPoints.position(job, point));
    }
}
