package mildtilt.io.jobfile;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import mildtilt.io.JobFileException;
import mildtilt.io.SafeFiles;
import mildtilt.io.SafeName;
import mildtilt.job.BuiltVehicle;
import mildtilt.job.Job;
import mildtilt.job.Trial;

/**
 * Photos of trials and photographs that are measured from: copied into a folder beside the job and named from the
 * job's own folder, so that both can be moved
 * together.
 */
public final class PhotoFile {

    /** Beside the job. */
    public static final String FOLDER = "photos";

    private static final List<String> ENDINGS = List.of(".jpg", ".jpeg", ".png");
    private static final long LARGEST_BYTES = 60L << 20;

    private PhotoFile() {}

    /**
     * Copies a photo beside a job under a name that is free there.
     *
     * @return the name to write into the job
     * @throws JobFileException if it is no photo, too large, or can't be copied; nothing is changed then
     */
    public static String copyBeside(Path job, Path photo) throws JobFileException {
        String name = String.valueOf(photo.getFileName());
        String ending = ENDINGS.stream()
                .filter(name.toLowerCase(Locale.ROOT)::endsWith)
                .findFirst()
                .orElseThrow(
                        () -> new JobFileException(name + " is no photo that can be shown: take a JPG or PNG file."));
        try {
            SafeFiles.needPlainNamed(photo, "a photo");
            if (Files.size(photo) > LARGEST_BYTES) {
                throw new JobFileException(name + " is larger than 60 MB: make it smaller first.");
            }
            Path folder = job.toAbsolutePath().resolveSibling(FOLDER);
            Files.createDirectories(folder);
            String plain = SafeName.of(name.substring(0, name.length() - ending.length()));
            String free = plain + ending;
            for (int n = 2; Files.exists(folder.resolve(free)); n++) {
                free = plain + "-" + n + ending;
            }
            SafeFiles.replace(folder.resolve(free), Files.readAllBytes(photo));
            return FOLDER + "/" + free;
        } catch (IOException e) {
            throw new JobFileException(
                    name + " could not be copied beside the job: " + e.getMessage() + ". The job is as it was.");
        }
    }

    /** Where a photo named in a job lies. */
    public static Path beside(Path job, String name) {
        return job.toAbsolutePath().resolveSibling(name);
    }

    /** Copies all photos of a job that is saved elsewhere; those that are there already, or are lost, are left. */
    public static void copyAlong(Job job, Path from, Path to) throws IOException {
        List<String> all = new ArrayList<>();
        for (BuiltVehicle b : job.log().vehicles()) {
            for (Trial t : b.trials()) {
                all.addAll(t.sheet().photos());
            }
        }
        job.survey().photographs().forEach(p -> all.add(p.file()));
        for (String name : all) {
            Path old = beside(from, name);
            Path now = beside(to, name);
            if (Files.isRegularFile(old) && !Files.exists(now)) {
                Files.createDirectories(now.getParent());
                // Whole or not at all: half a photo would be taken for one that is there already.
                SafeFiles.replace(now, Files.readAllBytes(old));
            }
        }
    }
}
