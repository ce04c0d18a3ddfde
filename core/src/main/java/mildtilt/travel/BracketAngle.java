package mildtilt.travel;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Vector;
import mildtilt.obstacle.EndFit;

/**
 * How a bracket would have to be turned for an end to tilt least: the direction of its bolt or axis, in the design
 * position, with which the most it tilts is smallest.
 *
 * @param fit with that direction
 * @param mostDeg that it then tilts
 */
public record BracketAngle(EndFit fit, double mostDeg) {

    private static final int SIDES = 8;
    private static final double COARSEST_DEG = 16;
    private static final double FINEST_DEG = 0.02;
    private static final double WORTHWHILE_DEG = 1e-4;
    private static final int TRIES = 12;

    /**
     * @param parts the part's directions from that end, as seen from what the end is fixed to, in its design position
     */
    static BracketAngle of(EndFit fit, List<Vector> parts) {
        EndFit best = fit;
        double least = most(fit, parts);
        for (double step = COARSEST_DEG; step > FINEST_DEG; step /= 2) {
            Optional<EndFit> from = Optional.empty();
            // Along a crease it would creep on by ever less.
            for (int tries = 0; tries < TRIES && !from.equals(Optional.of(best)); tries++) {
                from = Optional.of(best);
                for (EndFit near : around(best, step)) {
                    double m = most(near, parts);
                    if (m < least - WORTHWHILE_DEG) {
                        least = m;
                        best = near;
                    }
                }
            }
        }
        return new BracketAngle(best, least);
    }

    private static double most(EndFit fit, List<Vector> parts) {
        return parts.stream().mapToDouble(fit::tiltDeg).max().orElse(0);
    }

    private static List<EndFit> around(EndFit fit, double deg) {
        Direction d = fit.direction();
        Direction square = d.anySquare();
        List<EndFit> all = new ArrayList<>();
        for (int i = 0; i < SIDES; i++) {
            Vector about = d.turn(square.vector(), 2 * Math.PI * i / SIDES);
            all.add(with(
                    fit, about.direction().turn(d.vector(), Math.toRadians(deg)).direction()));
        }
        return all;
    }

    private static EndFit with(EndFit fit, Direction d) {
        return switch (fit) {
            case EndFit.Eye e -> new EndFit.Eye(d, e.allowedDeg());
            case EndFit.Ball b -> new EndFit.Ball(d, b.allowedDeg());
            case EndFit.Fitting _ -> new EndFit.Fitting(d);
        };
    }
}
