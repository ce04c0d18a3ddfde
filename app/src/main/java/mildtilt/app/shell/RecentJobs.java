package mildtilt.app.shell;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import mildtilt.io.SafeFiles;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The jobs that were opened or saved last, a path a line, newest first. A convenience: errors are logged, not shown.
 */
public final class RecentJobs {

    private static final Logger LOG = LoggerFactory.getLogger(RecentJobs.class);
    private static final int MOST = 12;

    private final Path file;

    /** @param folder of what the program keeps for this user */
    public RecentJobs(Path folder) {
        file = folder.resolve("recent.txt");
    }

    public List<Path> all() {
        List<Path> all = new ArrayList<>();
        try {
            if (Files.isRegularFile(file)) {
                for (String line : Files.readAllLines(file, StandardCharsets.UTF_8)) {
                    Path p = Path.of(line);
                    if (!line.isBlank() && Files.isRegularFile(p) && all.size() < MOST) {
                        all.add(p);
                    }
                }
            }
        } catch (IOException | InvalidPathException e) {
            LOG.warn("the list of jobs can't be read: {}", e.toString());
        }
        return all;
    }

    public void add(Path job) {
        Path whole = job.toAbsolutePath();
        List<String> lines = new ArrayList<>(List.of(whole.toString()));
        all().stream().filter(p -> !p.equals(whole)).limit(MOST - 1).forEach(p -> lines.add(p.toString()));
        try {
            Files.createDirectories(file.getParent());
            SafeFiles.replace(file, String.join("\n", lines).getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            LOG.warn("the list of jobs can't be kept: {}", e.toString());
        }
    }
}
