package mildtilt.app.workbench;

import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;

/** Background work; of several requests only the newest one's result is used. */
public final class LatestTask<V> {

    private final Consumer<V> take;
    private final Consumer<Throwable> failed;
    private int request;

    /** @param take on the interface thread; @param failed on the interface thread */
    public LatestTask(Consumer<V> take, Consumer<Throwable> failed) {
        this.take = take;
        this.failed = failed;
    }

    /** To be called on the interface thread. */
    public void ask(Supplier<V> work) {
        int mine = ++request;
        CompletableFuture.supplyAsync(work)
                .whenComplete((v, problem) -> Platform.runLater(() -> {
                    if (mine == request) {
                        if (problem == null) {
                            take.accept(v);
                        } else {
                            failed.accept(problem.getCause() == null ? problem : problem.getCause());
                        }
                    }
                }));
    }
}
