package mildtilt.travel;

import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.obstacle.EndFit;
import mildtilt.steer.position.AxlePose;
import mildtilt.units.Quantity;

/**
 * What a part may not go past as steering and wheels move.
 *
 * @param part whose it is
 * @param name of the part, or of the end of it
 * @param limit mm or degrees, as the kind says
 * @param endsTravel whether the part is there to end the travel, so that meeting it is no fault
 * @param value of one pose that is assembled, in the same unit
 * @param tilting what tilts on what, where that is the value
 */
public record Bound(
        Id part,
        Element element,
        String name,
        Kind kind,
        double limit,
        boolean endsTravel,
        ToDoubleFunction<AxlePose> value,
        Optional<Tilting> tilting) {

    /**
     * A part on an end or a joint.
     *
     * @param fit in the design position
     * @param part its direction as seen from what holds the fit, in that one's design position
     * @param with the job with another fit there
     */
    public record Tilting(EndFit fit, Function<AxlePose, Vector> part, BiFunction<Job, EndFit, Job> with) {}

    /** One of a length. */
    Bound(
            Id part,
            Element element,
            String name,
            Kind kind,
            double limit,
            boolean endsTravel,
            ToDoubleFunction<AxlePose> value) {
        this(part, element, name, kind, limit, endsTravel, value, Optional.empty());
    }

    /** One of a tilt. */
    static Bound tilt(Id part, Element element, String name, Tilting t) {
        return new Bound(
                part,
                element,
                name,
                Kind.TILT,
                t.fit.mostTiltDeg(),
                false,
                p -> t.fit.tiltDeg(t.part.apply(p)),
                Optional.of(t));
    }

    /** What is measured, and which way it runs out. */
    public enum Kind {
        /** Its ends too far apart, mm. */
        LONGEST("pulled out to its end"),
        /** Its ends too near, mm. */
        SHORTEST("pushed in to its end"),
        /** A spring has come loose, mm. */
        LOOSE("loose"),
        /** A strap has come taut, mm. */
        TAUT("taut"),
        /** A bump stop has met, mm. */
        MET("met"),
        /** A hose is stretched out, mm. */
        STRETCHED("stretched out"),
        /** A hose is bent too sharply: radius, mm. */
        BENT("bent too sharply"),
        /** An end or a joint tilts, degrees. */
        TILT("out of angle"),
        /** A drop link comes in line with the arm of its bar: degrees from there. */
        IN_LINE("in line with its arm");

        private final String label;

        Kind(String label) {
            this.label = label;
        }

        /** How the part stands that is past it. */
        public String label() {
            return label;
        }

        /** Whether more of the value is nearer to the limit. */
        boolean upward() {
            return switch (this) {
                case LONGEST, LOOSE, TAUT, STRETCHED, TILT -> true;
                case SHORTEST, MET, BENT, IN_LINE -> false;
            };
        }

        public boolean isAngle() {
            return this == TILT || this == IN_LINE;
        }
    }

    /** What is left of a value until the limit. */
    public double margin(double at) {
        return kind.upward() ? limit - at : at - limit;
    }

    public double margin(AxlePose pose) {
        return margin(value.applyAsDouble(pose));
    }

    /** Whether it ends the travel of a pose that is assembled: a spring that comes loose does not. */
    public boolean ends(AxlePose pose) {
        return kind != Kind.LOOSE && margin(pose) < 0;
    }

    /** A value of it in its unit. */
    public Quantity quantity(double of) {
        return kind.isAngle() ? Quantity.angle(of) : Quantity.length(of);
    }
}
