package mildtilt.app.cli;

import java.util.Locale;
import java.util.concurrent.TimeUnit;

/**
 * Tells on the error stream how far a long piece of work has come, once a second; nothing of a short one. Ctrl-C ends
 * it. For any thread.
 */
final class Progress {

    private static final long EVERY = TimeUnit.SECONDS.toNanos(1);

    private final String what;
    private long last = System.nanoTime();

    /** @param what is worked through, as "positions" */
    Progress(String what) {
        this.what = what;
    }

    /** @param part from 0 to 1 */
    synchronized void at(double part) {
        long now = System.nanoTime();
        if (now - last >= EVERY) {
            last = now;
            System.err.println(String.format(Locale.ROOT, "%s: %.0f %%", what, 100 * part));
        }
    }
}
