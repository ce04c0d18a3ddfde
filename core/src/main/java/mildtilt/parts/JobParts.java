package mildtilt.parts;

import java.util.List;
import mildtilt.build.Making;
import mildtilt.describe.Field.Presence;
import mildtilt.describe.Kind.Group;
import mildtilt.describe.Kind.Many;
import mildtilt.describe.Kind.Moment;
import mildtilt.describe.Kind.Reference;
import mildtilt.describe.Kind.Text;
import mildtilt.describe.Part;
import mildtilt.id.Id;
import mildtilt.job.Change;
import mildtilt.job.Job;
import mildtilt.job.TrialLog;
import mildtilt.job.Variant;
import mildtilt.job.Variants;
import mildtilt.obstacle.Surroundings;
import mildtilt.rules.ShippedRules;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.survey.Survey;

/** A whole job. */
public final class JobParts {

    /** The format's name, at the head of every job. */
    public static final String FORMAT = "mild-tilt-job";

    /** The version of the job file that is written. */
    public static final int VERSION = 8;

    private JobParts() {}

    private static final Part<Variant> VARIANT = Part.of(Variant.class)
            .needs("id", "id", Reference.to(Id.Kind.VARIANT), "its own")
            .needs("name", "name", Text.NAME, "what the bench calls it")
            .inline("plan", PlanParts.PLAN)
            .checked(v -> new SteeringTrain(Job.of("", v.plan())))
            .help("another way to build the same vehicle");

    private static final Part<Change> CHANGE = Part.of(Change.class)
            .needs("at", "at", new Moment(), "day and time")
            .needs("what", "what", Text.NOTE, "was done")
            .omits("why", "why", Text.NOTE, "", "the reason, as far as said")
            .help("something done to the plan");

    public static final Part<Job> JOB = Part.of(Job.class)
            .constant("format", FORMAT)
            .constant("version", VERSION)
            .needs("title", "title", Text.NAME, "short name of the job")
            .usual("about", "about", new Text(0, 20000), "", "free text")
            .inline("plan", PlanParts.PLAN)
            .usual(
                    "rules",
                    "rules",
                    new Group<>(RuleParts.RULES),
                    ShippedRules.CAUTIOUS_ROAD.rules(),
                    "the limits it is judged by; the built-in cautious set if left out")
            .omits(
                    "surroundings",
                    "surroundings",
                    new Group<>(ObstacleParts.SURROUNDINGS),
                    Surroundings.NONE,
                    "what is in the way of the steering")
            .omits("survey", "survey", new Group<>(SurveyParts.SURVEY), Survey.NONE, "what was measured on the vehicle")
            .omits("making", "making", new Group<>(MakingParts.MAKING), Making.NONE, "how it is made")
            .omits(
                    "log",
                    "log",
                    new Group<>(LogParts.LOG),
                    TrialLog.NONE,
                    "what was read on the vehicles built to the plan")
            .omits(
                    "changes",
                    "changes",
                    new Many<>(new Group<>(CHANGE), 0, Change.MOST),
                    List.of(),
                    "what was done to the plan so far")
            .adapted(
                    "variants",
                    "variants",
                    new Many<>(new Group<>(VARIANT), 0, 200),
                    new Presence.Usual<>(_ -> List.of(), false),
                    j -> j.variants().all(),
                    (_, all) -> new Variants(all),
                    "other ways to build the same vehicle, kept beside the plan")
            .checked(SteeringTrain::new)
            .help("a job");
}
