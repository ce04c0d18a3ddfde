package mildtilt.solve;

/** Told how far a search is, and asked whether to go on. Called from the searching threads. */
public interface Progress {

    Progress SILENT = _ -> true;

    /** @param done from 0 to 1; @return false to give the search up */
    boolean at(double done);
}
