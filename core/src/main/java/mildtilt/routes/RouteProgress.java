package mildtilt.routes;

import java.util.List;

/** Told how far a search is and what it has found, and asked whether to go on. Called from the searching threads. */
public interface RouteProgress {

    RouteProgress SILENT = (_, _) -> true;

    /**
     * @param done from 0 to 1
     * @param found the routes so far, best first
     * @return false to give the search up
     */
    boolean at(double done, List<Route> found);
}
