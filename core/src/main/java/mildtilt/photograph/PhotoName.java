package mildtilt.photograph;

import mildtilt.geometry.ImpossibleGeometryException;

/** How a photo beside a job is named in it. */
public final class PhotoName {

    private PhotoName() {}

    /** @throws ImpossibleGeometryException if it leads out of the job's folder */
    public static void check(String name) {
        if (name.isBlank()
                || name.startsWith("/")
                || name.contains("..")
                || name.contains("\\")
                || name.contains(":")
                || name.chars().anyMatch(Character::isISOControl)) {
            throw new ImpossibleGeometryException("A photo must be in the job's folder and named from there, not \""
                    + name.replaceAll("\\p{Cntrl}", "·") + "\".");
        }
    }
}
