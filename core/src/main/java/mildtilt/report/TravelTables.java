package mildtilt.report;

import java.util.List;
import java.util.Optional;
import mildtilt.shop.CutList;
import mildtilt.travel.BoundUse;
import mildtilt.travel.TravelEnd;
import mildtilt.travel.TravelFigures;
import mildtilt.units.Quantity;

/** How far the wheels may travel and what ends it, as tables. */
public final class TravelTables {

    private TravelTables() {}

    static List<Table> of(Optional<TravelFigures> figures) {
        return figures.map(f -> List.of(usable(f.rows()), limits(f.uses()))).orElse(List.of());
    }

    /** Usable travel at every position of the steering that is gone through. */
    public static Table usable(List<TravelFigures.Row> rows) {
        return new Table(
                "usable-travel",
                "Usable travel",
                List.of("steering_wheel_deg", "bump_mm", "bump_ends_at", "droop_mm", "droop_ends_at"),
                List.of("Steering wheel", "Bump", "Bump ends at", "Droop", "Droop ends at"),
                rows.stream()
                        .map(r -> List.of(
                                Cell.of(Quantity.angle(r.steeringWheelDeg())),
                                Cell.of(Quantity.length(r.bump().mm())),
                                Cell.of(end(r.bump())),
                                Cell.of(Quantity.length(r.droop().mm())),
                                Cell.of(end(r.droop()))))
                        .toList());
    }

    private static String end(TravelEnd e) {
        return e.cause().map(TravelEnd.Cause::what).orElse("stated travel");
    }

    /** Of every part between two ends and every joint, how much of its limit is used. */
    public static Table limits(List<BoundUse> uses) {
        return new Table(
                "travel-limits",
                "Lengths and tilts over the travel",
                List.of("part", "limit", "of", "at_ride_height", "nearest_to_limit", "left"),
                List.of("Part", "Limit", "Of", "At ride height", "Nearest to its limit", "Left"),
                uses.stream()
                        .map(u -> List.of(
                                Cell.of(CutList.capital(u.bound().name())),
                                Cell.of(u.bound().kind().label()),
                                Cell.of(u.bound().quantity(u.bound().limit())),
                                Cell.of(u.bound().quantity(u.atRest())),
                                Cell.of(u.bound().quantity(u.nearest())),
                                Cell.of(u.bound().quantity(u.margin()))))
                        .toList());
    }
}
