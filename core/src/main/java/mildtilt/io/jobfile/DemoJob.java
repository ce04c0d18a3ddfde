package mildtilt.io.jobfile;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import mildtilt.io.JobFileException;
import mildtilt.job.Job;

/** The demo vehicles that ship with the program, one for each kind of steering. All of them are invented. */
public enum DemoJob {
    /** With faults planted in its column and its arms. */
    MARSH_CARRIER("marsh-carrier", "Marsh rescue carrier", "rack behind the axle, double wishbones"),
    GARDEN_SHUTTLE("garden-shuttle", "Botanic garden shuttle", "rack ahead of the axle, struts"),
    LIBRARY_BUS("library-bus", "Travelling library", "steering box, pitman, idler and centre link"),
    BOG_TENDER("bog-tender", "Peat fire tender", "beam axle on springs, drag link to the knuckle, track bar"),
    HOP_PLATFORM("hop-platform", "Hop-garden platform", "beam axle on a centre pin, drag link to the tie rod"),
    GREENHOUSE_TUG("greenhouse-tug", "Greenhouse tug", "column arm, bell crank, knuckles on the frame"),
    SALT_RAKE("salt-rake", "Salt-pan rake carrier", "pitman arm, shuttle on a bar"),
    VINE_SPRAYER("vine-sprayer", "Vineyard sprayer", "rack bolted to a beam axle on a centre pin"),
    LOG_HAULER("log-hauler", "Log hauler", "beam axle on leaf springs, drag link along the spring"),
    DUNE_WARDEN("dune-warden", "Dune warden", "swing beams with radius arms, drag link to the knuckle"),
    REED_SKIMMER("reed-skimmer", "Reed skimmer", "trailing arms on link pins, both tie rods on the box's arm"),
    HEATH_RIDER("heath-rider", "Heath rider", "handlebar, both tie rods on the stem's arm"),
    PARCEL_TRIKE("parcel-trike", "Parcel trike", "hand levers, relay arm, drag link, pedalling legs");

    private final String file;
    private final String title;
    private final String steering;

    DemoJob(String file, String title, String steering) {
        this.file = file;
        this.title = title;
        this.steering = steering;
    }

    /** Its name on the command line. */
    public String file() {
        return file;
    }

    public String title() {
        return title;
    }

    /** What kind of steering it has. */
    public String steering() {
        return steering;
    }

    public Job job() {
        try (InputStream in = DemoJob.class.getResourceAsStream("/mildtilt/demo/" + file + JobFile.ENDING)) {
            return JobReader.read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (JobFileException e) {
            throw new IllegalStateException("the demo " + file + " is damaged", e);
        }
    }
}
