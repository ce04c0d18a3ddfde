package mildtilt.analysis;

import java.util.Optional;
import mildtilt.clearance.ClearanceFigures;
import mildtilt.column.ColumnTrain;
import mildtilt.steer.ArmMatch;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.TravelMap;

/** What the headline figures are taken from; what a job has not got, or could not be worked out, is empty. */
record FigureOrigins(
        Optional<ColumnTrain> column,
        Optional<SteerFigures> steer,
        Optional<TravelMap> map,
        Optional<ArmMatch> match,
        Optional<ClearanceFigures> clearance) {}
