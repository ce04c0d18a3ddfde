package mildtilt.analysis;

import java.util.Optional;
import mildtilt.clearance.ClearanceFigures;
import mildtilt.column.ColumnTrain;
import mildtilt.steer.ArmMatch;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.range.TravelMap;

/** The results that headline figures come from; empty where a job lacks the part or it could not be worked out. */
record FigureOrigins(
        Optional<ColumnTrain> column,
        Optional<SteerFigures> steer,
        Optional<TravelMap> map,
        Optional<ArmMatch> match,
        Optional<ClearanceFigures> clearance) {}
