package mildtilt.clearance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import mildtilt.analysis.Analysis;
import mildtilt.clearance.FreeSpace.Way;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.obstacle.Carrier;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Shape;
import mildtilt.solid.Gaps;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.travel.CarriedStart;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.Test;

/** Where a thing on the frame can go: by hand between still things, against the gaps where things move. */
class FreeSpaceTest {

    /** Far above and outside of everything that moves. */
    private static final Point ALONE = new Point(0, 4000, 3000);

    private static Job with(Obstacle... things) {
        Job job = DemoJob.MARSH_CARRIER.job();
        for (Obstacle o : things) {
            job = job.editSurroundings(s -> s.with(o));
        }
        return job;
    }

    private static FreeSpace of(Job job, String name) {
        Obstacle o = job.surroundings().obstacles().stream()
                .filter(x -> x.name().equals(name))
                .findFirst()
                .orElseThrow();
        return FreeSpace.of(job, o.id()).orElseThrow();
    }

    /** A ball of 100 between two plates 300 and 260 away from its middle: it may touch what stands still as it does. */
    @Test
    void ballBetweenPlatesGoesAsFarAsTheyLeave() {
        FreeSpace s = of(
                with(
                        Obstacle.fixed("ball", new Shape.Sphere(ALONE, 100)),
                        Obstacle.fixed("wall", new Shape.Box(ALONE.plus(new Vector(0, 350, 0)), 900, 100, 900)),
                        Obstacle.fixed("floor", new Shape.Box(ALONE.plus(new Vector(0, 0, -310)), 900, 900, 100))),
                "ball");
        assertThat(s.isFree()).isTrue();
        assertThat(s.places()).isEmpty();
        assertThat(s.way(Way.LEFT).mm()).isCloseTo(300 - 50, within(0.2));
        assertThat(s.way(Way.LEFT).endsAt()).contains("wall");
        assertThat(s.way(Way.DOWN).mm()).isCloseTo(260 - 50, within(0.2));
        assertThat(s.way(Way.UP).mm()).isEqualTo(FreeSpace.FARTHEST);
        assertThat(s.way(Way.UP).endsAt()).isEmpty();
    }

    /** A box on a shelf, and let into its back by 3: it slides, comes off, and goes no deeper. */
    @Test
    void whatTouchesMayBeLeftButNotRunThrough() {
        FreeSpace s = of(
                with(
                        Obstacle.fixed("battery", new Shape.Box(ALONE, 200, 100, 100)),
                        Obstacle.fixed("shelf", new Shape.Box(ALONE.plus(new Vector(0, 0, -52)), 400, 300, 4)),
                        Obstacle.fixed("back", new Shape.Box(ALONE.plus(new Vector(0, -97, 0)), 400, 100, 300)),
                        Obstacle.fixed("post", new Shape.Box(ALONE.plus(new Vector(400, 0, 0)), 20, 100, 300))),
                "battery");
        assertThat(s.isFree()).isTrue();
        assertThat(s.way(Way.DOWN).mm()).isLessThanOrEqualTo(1);
        assertThat(s.way(Way.DOWN).endsAt()).contains("shelf");
        assertThat(s.way(Way.RIGHT).mm()).isLessThanOrEqualTo(1);
        assertThat(s.way(Way.RIGHT).endsAt()).contains("back");
        assertThat(s.way(Way.UP).endsAt()).isEmpty();
        assertThat(s.way(Way.AHEAD).mm()).isCloseTo(400 - 10 - 100, within(0.2));
        assertThat(s.way(Way.AHEAD).endsAt()).contains("post");
    }

    /**
     * Beside the moving tyre every way ends where the gap that is wanted begins, and not before: by the gaps' own
     * search.
     */
    @Test
    void waysEndWhereTheWantedGapBegins() {
        Job job = with(Obstacle.fixed("box", new Shape.Box(new Point(-520, -250, 620), 120, 120, 120)));
        FreeSpace s = of(job, "box");
        assertThat(s.isFree()).isTrue();
        int ended = 0;
        for (Way w : Way.values()) {
            FreeSpace.Reach r = s.way(w);
            if (r.endsAt().isPresent()) {
                ended++;
                assertThat(margin(job, w.along().times(r.mm()))).as(w.label()).isGreaterThan(-0.2);
                assertThat(margin(job, w.along().times(r.mm() + 1)))
                        .as(w.label() + ", a millimetre more, by " + r.endsAt())
                        .isLessThan(0.2);
            }
        }
        assertThat(ended).isGreaterThan(2);
    }

    /** Of what moves past the last obstacle, shifted, and of what stands still beside it. */
    private static double margin(Job job, Vector shift) {
        Obstacle last = job.surroundings().obstacles().getLast();
        Job there = new FreeSpace.Place(shift).take(job, last.id());
        double moving = Clearances.of(there, new SteeringTrain(there), b -> b.id().equals(last.id())).stream()
                .mapToDouble(PairGap::margin)
                .min()
                .orElse(Double.POSITIVE_INFINITY);
        double still = there.surroundings().obstacles().stream()
                .filter(o -> !o.id().equals(last.id()) && o.carrier() == Carrier.FRAME)
                .mapToDouble(o -> Gaps.between(
                                last.shape().shifted(shift).solid(), o.shape().solid())
                        .mm())
                .min()
                .orElse(Double.POSITIVE_INFINITY);
        return Math.min(moving, still);
    }

    /** The tray bracket stands in the tyre's way: what is offered cures it, and so much less does not. */
    @Test
    void offeredPlacesAreFree() {
        Job job = DemoJob.MARSH_CARRIER.job();
        FreeSpace s = of(job, "tray bracket");
        assertThat(s.isFree()).isFalse();
        assertThat(s.places()).isNotEmpty().isSortedAccordingTo((a, b) -> Double.compare(a.mm(), b.mm()));
        Obstacle bracket = job.surroundings().obstacles().getLast();
        for (FreeSpace.Place place : s.places()) {
            assertThat(shortOf(place.take(job, bracket.id()), bracket))
                    .as("at " + place)
                    .isLessThan(0.1);
        }
        FreeSpace.Place nearest = s.places().getFirst();
        Vector less = nearest.shift().times(1 - 3 / nearest.mm());
        assertThat(shortOf(new FreeSpace.Place(less).take(job, bracket.id()), bracket))
                .isGreaterThan(1);
    }

    /** By how much the smallest gap of the whole analysis is too small, mm. */
    private static double shortOf(Job job, Obstacle thing) {
        return Analysis.of(job).clearance().orElseThrow().pairs().stream()
                .filter(p -> p.firstId().equals(thing.id()) || p.secondId().equals(thing.id()))
                .mapToDouble(p -> -p.margin())
                .max()
                .orElse(0);
    }

    /**
     * A bar whose arms and links go along with the wheels: as far as it may go, every gap of the whole range is kept.
     */
    @Test
    void antiRollBarIsMovedWithAllThatItSweeps() {
        Job bare = DemoJob.GARDEN_SHUTTLE.job();
        Obstacle bar = CarriedStart.ANTI_ROLL_BAR.on(bare).orElseThrow();
        Job job = bare.editSurroundings(s -> s.with(bar));
        assertThat(FreeSpace.canBeAsked(bar)).isTrue();
        FreeSpace s = of(job, bar.name());
        assertThat(s.isFree()).isTrue();
        int ended = 0;
        for (Way w : Way.values()) {
            if (s.way(w).endsAt().isPresent()) {
                ended++;
                assertThat(margin(job, w.along().times(s.way(w).mm())))
                        .as(w.label())
                        .isGreaterThan(-0.3);
            }
        }
        assertThat(ended).isGreaterThan(1);
    }

    @Test
    void onlyWhatIsOnTheFrameIsAsked() {
        Obstacle box = Obstacle.fixed("box", new Shape.Box(ALONE, 100, 100, 100));
        assertThat(FreeSpace.canBeAsked(box)).isTrue();
        Job job = with(box.withCarrier(Carrier.LEFT_KNUCKLE));
        assertThat(FreeSpace.of(job, job.surroundings().obstacles().getLast().id()))
                .isEmpty();
        assertThat(new FreeSpace.Place(new Vector(0, -12, 40)).words().text(LengthUnit.MM))
                .isEqualTo("40.0 mm up and 12.0 mm to the right");
    }
}
