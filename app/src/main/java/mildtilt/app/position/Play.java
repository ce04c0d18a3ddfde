package mildtilt.app.position;

import java.util.Optional;
import javafx.animation.AnimationTimer;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.SimpleBooleanProperty;
import mildtilt.app.workbench.Workbench;
import mildtilt.geometry.Side;
import mildtilt.job.Vehicle;
import mildtilt.steer.position.SteeringInput;

/** Turns the wheel from lock to lock, cycles the travel of both wheels, or both at once, until it is paused. */
final class Play {

    /** Seconds from lock to lock and back at ordinary speed. */
    private static final double STEER_SECONDS = 6;
    /** Not a multiple of the other, so that together they go through all combinations. */
    private static final double TRAVEL_SECONDS = 2.6;

    private final Workbench bench;
    private final BooleanProperty steer = new SimpleBooleanProperty();
    private final BooleanProperty travel = new SimpleBooleanProperty();
    private double speed = 1;
    private double steerPhase;
    private double travelPhase;
    private Optional<Long> last = Optional.empty();

    private final AnimationTimer timer = new AnimationTimer() {
        @Override
        public void handle(long nanos) {
            double seconds = last.map(l -> (nanos - l) / 1e9).orElse(0.0);
            last = Optional.of(nanos);
            // A pause of the machine is no jump of the wheel.
            move(Math.min(seconds, 0.2));
        }
    };

    Play(Workbench bench) {
        this.bench = bench;
        steer.addListener((_, _, on) -> begin(on));
        travel.addListener((_, _, on) -> begin(on));
        // What is changed is not changed under a moving wheel.
        bench.openedProperty().addListener((_, _, _) -> pause());
        bench.stageProperty().addListener((_, _, _) -> pause());
    }

    BooleanProperty steerProperty() {
        return steer;
    }

    BooleanProperty travelProperty() {
        return travel;
    }

    /** @param times ordinary speed */
    void speed(double times) {
        speed = times;
    }

    void pause() {
        steer.set(false);
        travel.set(false);
    }

    private void begin(boolean on) {
        if (on && !(steer.get() && travel.get())) {
            // From where the wheel is: it does not jump.
            SteeringInput h = bench.steeringInput();
            Vehicle v = bench.job().vehicle();
            double stop = h.steeringWheelDeg() >= 0 ? left() : -right();
            steerPhase = stop == 0 ? 0 : Math.asin(Math.clamp(h.steeringWheelDeg() / stop, -1, 1));
            double end = h.travelLeft() >= 0 ? v.bump() : v.droop();
            travelPhase = end == 0 ? 0 : Math.asin(Math.clamp(h.travelLeft() / end, -1, 1));
        }
        if (steer.get() || travel.get()) {
            last = Optional.empty();
            timer.start();
        } else {
            timer.stop();
        }
    }

    private double left() {
        return bench.train().stopDeg(Side.LEFT).orElse(360.0);
    }

    private double right() {
        return bench.train().stopDeg(Side.RIGHT).orElse(-360.0);
    }

    private void move(double seconds) {
        SteeringInput h = bench.steeringInput();
        Vehicle v = bench.job().vehicle();
        steerPhase += steer.get() ? 2 * Math.PI * seconds * speed / STEER_SECONDS : 0;
        travelPhase += travel.get() ? 2 * Math.PI * seconds * speed / TRAVEL_SECONDS : 0;
        double s = Math.sin(steerPhase);
        double t = Math.sin(travelPhase);
        double wheel = steer.get() ? s * (s >= 0 ? left() : -right()) : h.steeringWheelDeg();
        double up = t * (t >= 0 ? v.bump() : v.droop());
        bench.steerTo(
                travel.get()
                        ? new SteeringInput(wheel, up, up)
                        : new SteeringInput(wheel, h.travelLeft(), h.travelRight()));
    }
}
