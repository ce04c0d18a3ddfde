package mildtilt.linkage;

/** What carries the gear's movement to the steering arms. */
public sealed interface Linkage permits RackTieRods, CentreLink, DragLink, BellCrank, Shuttle {

    /** What the trade calls it. */
    default String label() {
        return switch (this) {
            case RackTieRods _ -> "rack and tie rods";
            case CentreLink _ -> "pitman, idler and centre link";
            case DragLink _ -> "drag link and tie rod";
            case BellCrank _ -> "centre bell crank";
            case Shuttle _ -> "shuttle on a bar";
        };
    }
}
