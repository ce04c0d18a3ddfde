package mildtilt.trials.instruments;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.trials.Setup;

/**
 * The stand-ins of all instruments on one simulated vehicle, answering the line protocol on this machine alone: a
 * server on the loopback address, one
 * conversation a connection, each with its own places and its own held readings.
 */
public final class StandIn implements AutoCloseable {

    static final int VERSION = 2;
    static final int LONGEST_LINE = 500;
    static final int MOST_TALKING = 64;

    private final SimulatedVehicle vehicle;
    private final ServerSocket server;
    private final Random noise;
    private final Set<Socket> talking = ConcurrentHashMap.newKeySet();

    /** Where they listen if nobody says otherwise. */
    public static final int USUAL_PORT = 47_110;

    /**
     * @param port to listen on; 0 for any that is free
     * @throws InstrumentException if the port can't be had
     */
    public StandIn(SimulatedVehicle vehicle, int port, long seed) throws InstrumentException {
        this.vehicle = vehicle;
        noise = new Random(seed);
        try {
            server = new ServerSocket(port, MOST_TALKING, InetAddress.getLoopbackAddress());
        } catch (IOException e) {
            throw new InstrumentException("The stand-ins can't listen on port " + port + ": " + e.getMessage()
                    + ". Choose another port, or 0 for any that is free.");
        }
        Thread.ofVirtual().name("stand-in").start(this::serve);
    }

    public int port() {
        return server.getLocalPort();
    }

    private void serve() {
        while (!server.isClosed()) {
            try {
                Socket socket = server.accept();
                if (talking.size() < MOST_TALKING) {
                    // Counted before it talks: many that come at once are many.
                    talking.add(socket);
                    Thread.ofVirtual().start(() -> talk(socket));
                } else {
                    socket.close();
                }
            } catch (IOException e) {
                // One caller that could not be taken must not be the last; where the machine has no handles left they
                // come back after a while.
                LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(20));
            }
        }
    }

    private void talk(Socket socket) {
        Talk talk = new Talk();
        try (socket;
                BufferedReader in =
                        new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8));
                OutputStream out = socket.getOutputStream()) {
            for (Optional<String> line = line(in); line.isPresent(); line = line(in)) {
                out.write((talk.answer(line.get()) + "\n").getBytes(StandardCharsets.UTF_8));
                out.flush();
            }
        } catch (IOException e) {
            // The other side went away; the next one begins anew.
        } finally {
            talking.remove(socket);
        }
    }

    /** A line, no longer than may be: what is beyond ends the conversation, so that nobody can fill the memory. */
    static Optional<String> line(BufferedReader in) throws IOException {
        StringBuilder s = new StringBuilder();
        for (int c = in.read(); c >= 0; c = in.read()) {
            if (c == '\n') {
                return Optional.of(s.toString());
            }
            if (s.length() >= LONGEST_LINE) {
                return Optional.empty();
            }
            s.append((char) c);
        }
        return Optional.empty();
    }

    private final class Talk {
        private final Map<InstrumentKind, InstrumentPlacement> marks = new EnumMap<>(InstrumentKind.class);
        private final Map<InstrumentKind, InstrumentReading> held = new EnumMap<>(InstrumentKind.class);
        private Setup setup = Setup.RAISED;
        private boolean rodOn = true;

        String answer(String line) {
            String[] w = line.strip().split("\\s+", 3);
            return switch (w[0]) {
                case "hello" ->
                    w.length > 1 && w[1].equals(Integer.toString(VERSION))
                            ? "hello " + VERSION + " stand-ins on a simulated vehicle"
                            : "no I speak version " + VERSION;
                case "list" -> list();
                case "read", "hold", "free" ->
                    w.length < 2
                            ? "no which instrument?"
                            : InstrumentKind.of(w[1])
                                    .map(k -> one(w[0], k))
                                    .orElse("no there is no instrument \"" + w[1] + "\"");
                case "put" ->
                    w.length < 3
                            ? "no put what where?"
                            : InstrumentKind.of(w[1])
                                    .map(k -> put(k, w[2]))
                                    .orElse("no there is no instrument \"" + w[1] + "\"");
                case "stand" -> stand(line.strip().split("\\s+"));
                default -> "no I do not know \"" + w[0] + "\"";
            };
        }

        private String list() {
            StringBuilder s = new StringBuilder();
            for (InstrumentKind k : InstrumentKind.values()) {
                s.append("instrument ")
                        .append(k.key())
                        .append(' ')
                        .append(k.unit())
                        .append(' ')
                        .append(LineText.number(k.spread()))
                        .append('\n');
            }
            return s + "end";
        }

        private String one(String what, InstrumentKind kind) {
            if (what.equals("free")) {
                held.remove(kind);
                return "ok";
            }
            Optional<InstrumentReading> now =
                    Optional.ofNullable(held.get(kind)).or(() -> read(kind));
            if (now.isEmpty()) {
                return "no there is nothing for the " + kind.label()
                        + " to read there: choose another place, or stand the vehicle as it can stand";
            }
            if (what.equals("hold")) {
                held.put(
                        kind,
                        new InstrumentReading(
                                kind, now.get().values(), now.get().spread(), true));
                return "ok";
            }
            return now.get().line();
        }

        private Optional<InstrumentReading> read(InstrumentKind kind) {
            InstrumentPlacement mark = marks.getOrDefault(kind, new InstrumentPlacement.UnderWheels());
            return vehicle.shown(kind, mark, setup, rodOn)
                    .map(values -> new InstrumentReading(
                            kind,
                            values.stream()
                                    .map(v -> rounded(v + kind.spread() * gaussian(), kind.step()))
                                    .toList(),
                            kind.spread(),
                            false));
        }

        private String put(InstrumentKind kind, String where) {
            Optional<InstrumentPlacement> mark = InstrumentPlacement.parse(where);
            mark.ifPresent(m -> marks.put(kind, m));
            return mark.isPresent() ? "ok" : "no there is no such place: \"" + where + "\"";
        }

        /** {@code stand STEERING LEFT RIGHT rod-on|rod-off raised|ground WALL}. */
        private String stand(String[] w) {
            List<Optional<Double>> figures = w.length == 7
                    ? List.of(
                            LineText.number(w[1]), LineText.number(w[2]), LineText.number(w[3]), LineText.number(w[6]))
                    : List.of(Optional.empty());
            if (figures.stream().anyMatch(Optional::isEmpty)
                    || !w[4].startsWith("rod-")
                    || !w[5].equals("raised") && !w[5].equals("ground")) {
                return "no stand how? stand STEERING LEFT RIGHT rod-on|rod-off raised|ground WALL";
            }
            try {
                setup = new Setup(
                        w[5].equals("ground"),
                        false,
                        false,
                        figures.get(0).orElseThrow(),
                        figures.get(1).orElseThrow(),
                        figures.get(2).orElseThrow(),
                        figures.get(3).orElseThrow());
            } catch (ImpossibleGeometryException e) {
                return "no " + e.getMessage();
            }
            rodOn = w[4].equals("rod-on");
            return "ok";
        }
    }

    private synchronized double gaussian() {
        return noise.nextGaussian();
    }

    private static double rounded(double v, double step) {
        return Math.rint(v / step) * step;
    }

    @Override
    public void close() {
        try {
            server.close();
            for (Socket s : talking) {
                s.close();
            }
        } catch (IOException e) {
            // It is gone either way.
        }
    }
}
