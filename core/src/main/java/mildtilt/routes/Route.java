package mildtilt.routes;

import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Point;
import mildtilt.job.Job;
import mildtilt.units.Phrase;

/**
 * One way to lead the column.
 *
 * @param why what it is offered for, each in a few words
 * @param job with it built
 * @param points hub, joint centres, gear input
 * @param widestDeg largest operating angle
 * @param spareDeg the least any joint is inside its limit over the whole range
 * @param ripplePct with the forks as they can really be marked
 * @param spareGap the least any part of the column leaves over the gap it needs, mm; empty where all leave plenty
 * @param tightest the two that leave it, in words
 * @param stroke free stroke toward the driver, mm
 * @param length of all shafts together, mm
 * @param tiltDeg the rack turned by
 * @param wheel how the steering wheel is set, in words; empty as planned
 * @param bearings what must be held besides, and what slides, as sentences
 * @param toGet what is bought or made besides what is there already
 */
public record Route(
        List<String> why,
        Job job,
        List<Point> points,
        double widestDeg,
        double spareDeg,
        double ripplePct,
        Optional<Double> spareGap,
        String tightest,
        double stroke,
        double length,
        double tiltDeg,
        Phrase wheel,
        List<Phrase> bearings,
        List<Phrase> toGet) {

    public int joints() {
        return points.size() - 2;
    }

    Route offeredFor(List<String> reasons) {
        return new Route(
                reasons, job, points, widestDeg, spareDeg, ripplePct, spareGap, tightest, stroke, length, tiltDeg,
                wheel, bearings, toGet);
    }
}
