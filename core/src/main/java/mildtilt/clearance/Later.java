package mildtilt.clearance;

import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** Something worked out once, when it is first asked for. */
public final class Later<T> {

    private final Supplier<T> how;
    private @Nullable T done;

    private Later(Supplier<T> how) {
        this.how = how;
    }

    public static <T> Later<T> of(Supplier<T> how) {
        return new Later<>(how);
    }

    public synchronized T get() {
        T known = done;
        if (known == null) {
            known = how.get();
            done = known;
        }
        return known;
    }
}
