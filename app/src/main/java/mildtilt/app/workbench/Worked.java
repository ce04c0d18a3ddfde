package mildtilt.app.workbench;

import java.util.Map;
import java.util.Optional;
import mildtilt.analysis.Analysis;
import mildtilt.analysis.Effect;
import mildtilt.check.Remedy;

/**
 * What the background worked out: the job's analysis, that of the job it is compared with, and what each
 * remedy would do.
 */
public record Worked(Analysis now, Optional<Analysis> before, Map<Remedy, Effect> effects) {}
