package mildtilt.app.cli;

import java.util.concurrent.TimeUnit;

/** Tells on the error stream how far a long piece of work has come, once a second; nothing of a short one. Ctrl-C ends it. */
final class Progress {

    private static final long EVERY = TimeUnit.SECONDS.toNanos(1);

    private final String what;
    private final int all;
    private long last = System.nanoTime();

    Progress(String what, int all) {
        this.what = what;
        this.all = all;
    }

    void at(int done) {
        long now = System.nanoTime();
        if (now - last >= EVERY) {
            last = now;
            System.err.println(done + " of " + all + " " + what);
        }
    }
}
