package mildtilt.trials.instruments;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import mildtilt.trials.Setup;

/** Instruments that answer the line protocol on a port of this machine. */
public final class SocketInstruments implements Instruments {

    private static final int PATIENCE_MS = 2000;

    private final int port;
    private final Socket socket = new Socket();
    private final BufferedReader in;

    /** @throws InstrumentException if nothing answers there, or not in this protocol */
    public SocketInstruments(int port) throws InstrumentException {
        this.port = port;
        try {
            socket.connect(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), PATIENCE_MS);
            socket.setSoTimeout(PATIENCE_MS);
            in = new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8));
        } catch (IOException | IllegalArgumentException e) {
            close();
            throw new InstrumentException("No instrument answers on port " + port + ": " + e.getMessage()
                    + ". Start it, or read it yourself and type what it shows.");
        }
        String hello = ask("hello " + StandIn.VERSION);
        if (!hello.startsWith("hello " + StandIn.VERSION)) {
            close();
            throw new InstrumentException(
                    "What answers on port " + port + " is no instrument of this protocol: \"" + hello + "\".");
        }
    }

    private synchronized String ask(String line) throws InstrumentException {
        try {
            socket.getOutputStream().write((line + "\n").getBytes(StandardCharsets.UTF_8));
            socket.getOutputStream().flush();
            return StandIn.line(in).orElseThrow(() -> new IOException("it hung up"));
        } catch (IOException e) {
            throw new InstrumentException("The instrument on port " + port + " does not answer: " + e.getMessage()
                    + ". Type what it shows, or connect it again.");
        }
    }

    @Override
    public InstrumentReading read(InstrumentKind kind) throws InstrumentException {
        String answer = ask("read " + kind.key());
        Optional<InstrumentReading> taken = InstrumentReading.parse(answer).filter(t -> t.kind() == kind);
        if (taken.isEmpty()) {
            throw new InstrumentException(
                    answer.startsWith("no ")
                            ? sentence(answer)
                            : "The " + kind.label() + " answered what is no reading: \"" + answer + "\".");
        }
        return taken.get();
    }

    private static String sentence(String no) {
        return Character.toUpperCase(no.charAt(3)) + no.substring(4) + ".";
    }

    @Override
    public void hold(InstrumentKind kind, boolean held) throws InstrumentException {
        String answer = ask((held ? "hold " : "free ") + kind.key());
        if (answer.startsWith("no ")) {
            throw new InstrumentException(sentence(answer));
        }
    }

    @Override
    public boolean put(InstrumentKind kind, InstrumentPlacement mark) throws InstrumentException {
        return wanted(ask("put " + kind.key() + " " + mark.text()));
    }

    @Override
    public boolean stand(Setup s, boolean rodOn) throws InstrumentException {
        return wanted(ask("stand " + LineText.number(s.steeringWheelDeg()) + " " + LineText.number(s.travelLeft()) + " "
                + LineText.number(s.travelRight()) + (rodOn ? " rod-on " : " rod-off ")
                + (s.onGround() ? "ground " : "raised ") + LineText.number(s.wall())));
    }

    /**
     * Whether the position was accepted. A real instrument may ignore it; a stand-in that refuses would go on reading
     * the position before.
     *
     * @throws InstrumentException if it refused
     */
    private boolean wanted(String answer) throws InstrumentException {
        if (answer.equals("ok")) {
            return true;
        }
        if (answer.equals("no") || answer.equals("no need") || answer.startsWith("no need ")) {
            return false;
        }
        throw new InstrumentException(
                answer.startsWith("no ")
                        ? "The instrument can't be put there: " + sentence(answer)
                        : "The instrument answered \"" + answer
                                + "\" when it was given its place, so its reading would be of another place.");
    }

    @Override
    public void close() {
        try {
            socket.close();
        } catch (IOException e) {
            // It is gone either way.
        }
    }
}
