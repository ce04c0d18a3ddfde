package mildtilt.app.trial;

import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import mildtilt.job.Job;
import mildtilt.trials.Setup;
import mildtilt.trials.instruments.FileInstruments;
import mildtilt.trials.instruments.InstrumentException;
import mildtilt.trials.instruments.InstrumentKind;
import mildtilt.trials.instruments.InstrumentPlacement;
import mildtilt.trials.instruments.InstrumentReading;
import mildtilt.trials.instruments.Instruments;
import mildtilt.trials.instruments.SimulatedVehicle;
import mildtilt.trials.instruments.SocketInstruments;
import mildtilt.trials.instruments.StandIn;
import org.jspecify.annotations.Nullable;

/**
 * The instruments in use, asked a few times a second on a thread of their own: a device may be slow, or gone. Its
 * properties change on the interface thread.
 */
final class InstrumentLink implements AutoCloseable {

    static final String NONE = "No instrument: type what you read.";
    private static final int EVERY_MS = 250;

    /** What is to be read. */
    record Watch(InstrumentKind kind, InstrumentPlacement mark, Setup setup, boolean rodOn) {}

    /** Makes a connection, on the link's own thread. */
    private interface Connecting {
        Instruments connect() throws InstrumentException;
    }

    private final ScheduledExecutorService worker = Executors.newSingleThreadScheduledExecutor(r -> {
        Thread t = new Thread(r, "instruments");
        t.setDaemon(true);
        return t;
    });
    private final ReadOnlyObjectWrapper<Optional<InstrumentReading>> live =
            new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyStringWrapper state = new ReadOnlyStringWrapper(NONE);
    // On the interface thread: a reading still on its way when the task changed must not count for
    // that.
    private Optional<Watch> wanted = Optional.empty();
    // Only ever touched on the worker.
    private @Nullable Instruments instruments;
    private @Nullable StandIn standIn;
    private Optional<Watch> watched = Optional.empty();
    private boolean placed;

    InstrumentLink() {
        worker.scheduleWithFixedDelay(this::poll, EVERY_MS, EVERY_MS, TimeUnit.MILLISECONDS);
    }

    ReadOnlyObjectProperty<Optional<InstrumentReading>> liveProperty() {
        return live.getReadOnlyProperty();
    }

    ReadOnlyStringProperty stateProperty() {
        return state.getReadOnlyProperty();
    }

    /** Stand-ins on a vehicle built to a plan, but not quite. */
    void standIns(Job plan, long seed) {
        connect("Stand-ins on a simulated vehicle, which may secretly differ from the plan.", () -> {
            StandIn s = new StandIn(SimulatedVehicle.builtTo(plan, seed), 0, seed + 1);
            standIn = s;
            return new SocketInstruments(s.port());
        });
    }

    void port(int port) {
        connect("Instruments on port " + port + ".", () -> new SocketInstruments(port));
    }

    void file(Path file) {
        connect("Readings from " + file.getFileName() + ".", () -> new FileInstruments(file));
    }

    void drop() {
        worker.execute(() -> {
            letGo();
            show(Optional.empty(), NONE);
        });
    }

    private void connect(String words, Connecting how) {
        worker.execute(() -> {
            letGo();
            try {
                instruments = how.connect();
                placed = false;
                show(Optional.empty(), words);
            } catch (InstrumentException e) {
                letGo();
                show(Optional.empty(), e.getMessage());
            }
        });
    }

    private void letGo() {
        if (instruments != null) {
            instruments.close();
            instruments = null;
        }
        if (standIn != null) {
            standIn.close();
            standIn = null;
        }
    }

    /** What to read from now on; nothing while the pane is hidden. */
    void watch(Optional<Watch> w) {
        wanted = w;
        live.set(Optional.empty());
        worker.execute(() -> {
            placed &= watched.equals(w);
            watched = w;
        });
    }

    void hold(boolean held) {
        worker.execute(() -> {
            try {
                if (instruments != null && watched.isPresent()) {
                    instruments.hold(watched.get().kind(), held);
                }
            } catch (InstrumentException e) {
                show(Optional.empty(), e.getMessage());
            }
        });
    }

    private void poll() {
        Instruments now = instruments;
        if (now == null || watched.isEmpty()) {
            return;
        }
        Watch w = watched.get();
        try {
            if (!placed) {
                now.hold(w.kind(), false);
                now.put(w.kind(), w.mark());
                now.stand(w.setup(), w.rodOn());
                placed = true;
            }
            InstrumentReading t = now.read(w.kind());
            Platform.runLater(() -> {
                if (wanted.equals(Optional.of(w))) {
                    live.set(Optional.of(t));
                }
            });
        } catch (InstrumentException e) {
            show(Optional.empty(), e.getMessage());
        }
    }

    private void show(Optional<InstrumentReading> taken, String words) {
        Platform.runLater(() -> {
            live.set(taken);
            state.set(words);
        });
    }

    @Override
    public void close() {
        worker.execute(this::letGo);
        worker.shutdown();
    }
}
