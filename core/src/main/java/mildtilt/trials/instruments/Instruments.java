package mildtilt.trials.instruments;

import mildtilt.trials.Setup;

/** Instruments that can be read, wherever they are. Not to be called on the interface thread: a device may be slow. */
public interface Instruments extends AutoCloseable {

    /** @throws InstrumentException if it does not answer, or what it answers is no reading */
    InstrumentReading read(InstrumentKind kind) throws InstrumentException;

    /** Presses or lets go its button. */
    void hold(InstrumentKind kind, boolean held) throws InstrumentException;

    /**
     * Tells a stand-in where it is put. A real instrument is where the hand holds it, and need not know.
     *
     * @return whether it wanted to know
     * @throws InstrumentException if it can't be put there: what it reads would be of the place before
     */
    boolean put(InstrumentKind kind, InstrumentPlacement mark) throws InstrumentException;

    /**
     * Sends a stand-in the vehicle's position; a real vehicle needs none. @return whether it was accepted. @throws
     * InstrumentException if it can't stand so
     */
    boolean stand(Setup setup, boolean rodOn) throws InstrumentException;

    @Override
    void close();
}
