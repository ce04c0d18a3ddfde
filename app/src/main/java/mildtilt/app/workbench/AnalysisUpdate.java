package mildtilt.app.workbench;

import java.util.Map;
import java.util.Optional;
import mildtilt.analysis.Analysis;
import mildtilt.analysis.Effect;
import mildtilt.findings.Remedy;

/**
 * What the background worked out: the job's analysis, that of the job it is compared with, and what each
 * remedy would do that is looked at. Figures come first, the effects a moment after them; not at all while something
 * is dragged.
 *
 * @param whole whether the effects of all that are looked at are there
 */
public record AnalysisUpdate(Analysis now, Optional<Analysis> before, Map<Remedy, Effect> effects, boolean whole) {}
