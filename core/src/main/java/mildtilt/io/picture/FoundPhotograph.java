package mildtilt.io.picture;

import java.nio.file.Path;
import java.util.List;
import mildtilt.id.Id;
import mildtilt.io.JobFileException;
import mildtilt.photograph.MarkFinder;
import mildtilt.photograph.MarkSeen;
import mildtilt.photograph.Photograph;
import mildtilt.survey.Survey;

/**
 * A photograph that was read and searched for marks, before it is part of a survey. Its picture is let go: forty of
 * them would fill the memory.
 *
 * @param photograph with an id and a file of its own still to come
 */
public record FoundPhotograph(Photograph photograph, List<MarkSeen> marks) {

    /** @throws JobFileException if it is no photograph that can be used */
    public static FoundPhotograph in(Path file) throws JobFileException {
        PictureFile.Read read = PictureFile.read(file);
        return new FoundPhotograph(
                read.photograph(Id.Kind.PHOTO.first(), read.file().replaceAll("[^A-Za-z0-9._-]|\\.\\.", "-")),
                MarkFinder.find(read.picture()));
    }

    /** A survey with it. @param beside how its copy is named from the job's folder */
    public Survey into(Survey survey, String beside) {
        return survey.with(photograph.withId(survey.nextPhotograph()).withFile(beside), marks);
    }
}
