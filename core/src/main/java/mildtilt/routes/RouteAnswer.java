package mildtilt.routes;

import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Point;
import mildtilt.units.Phrase;

/**
 * What came of a search.
 *
 * @param routes the short list; none where there is no way
 * @param considered how many candidates were weighed
 * @param blocked what keeps the nearest miss from being a route and by how little; empty where there are routes
 * @param nearest the nearest miss
 */
public record RouteAnswer(List<Route> routes, long considered, List<Phrase> blocked, Optional<List<Point>> nearest) {

    static final RouteAnswer GIVEN_UP = new RouteAnswer(List.of(), 0, List.of(), Optional.empty());
}
