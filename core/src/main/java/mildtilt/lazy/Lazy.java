package mildtilt.lazy;

import java.util.Objects;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** A value computed once, on first use. */
public final class Lazy<T> {

    private volatile @Nullable Supplier<T> how;
    private @Nullable T done;

    private Lazy(Supplier<T> how) {
        this.how = how;
    }

    public static <T> Lazy<T> of(Supplier<T> how) {
        return new Lazy<>(how);
    }

    /** Whether it is there already, so that asking for it takes no time. */
    public boolean isDone() {
        return how == null;
    }

    public synchronized T get() {
        Supplier<T> open = how;
        if (open != null) {
            done = open.get();
            // What it was worked out from is no longer needed, and may be large.
            how = null;
        }
        return Objects.requireNonNull(done);
    }
}
