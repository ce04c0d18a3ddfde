package mildtilt.findings.checks;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mildtilt.build.Piece;
import mildtilt.build.RodMakeUp;
import mildtilt.build.Stud;
import mildtilt.clearance.ClearanceFigures;
import mildtilt.column.Column;
import mildtilt.column.ShaftProfile;
import mildtilt.column.Socket;
import mildtilt.column.Socket.Retention;
import mildtilt.column.YokeDimensions;
import mildtilt.columnrange.ColumnFigures;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.linkage.Shuttle;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.beam.Bar;
import mildtilt.linkage.beam.BarTilt;
import mildtilt.linkage.beam.Beam;
import mildtilt.linkage.beam.LeafSprung;
import mildtilt.linkage.beam.WattLinkage;
import mildtilt.linkage.corner.JointTilt;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.linkage.rods.Rod;
import mildtilt.linkage.rods.RodEnds;
import mildtilt.obstacle.CarriedShape;
import mildtilt.obstacle.TwoEnded;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.forces.RodLoad;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * What was not judged of a job, and what is missing for it. Where a thing is neither among the findings nor here, it
 * was looked
 * at and is fine by the rule set.
 *
 * @param matter what was not judged, always in the same words
 * @param element where in the train, the first of several
 * @param missing what to give, or what to look at oneself
 */
public record NotJudged(String matter, Element element, Phrase missing) {

    /** Friction of dry steel on steel that a clamp may be trusted with. */
    static final double CLAMP_FRICTION = 0.12;

    /**
     * Pull of an M8 bolt of class 8.8 tightened to 70 % of its proof stress (36.6 mm² × 580 MPa × 0.7; ISO 898-1), N.
     */
    static final double M8_PULL = 0.7 * 580 * 36.6;

    /** The same of an M10 bolt, 58 mm². */
    static final double M10_PULL = 0.7 * 580 * 58;

    public static List<NotJudged> of(
            Job job,
            Optional<ColumnFigures> column,
            Optional<SteerFigures> steer,
            Optional<ClearanceFigures> clearance) {
        Gatherer g = new Gatherer(job);
        if (job.column().isPresent()) {
            g.column(job.column().get(), column);
        } else {
            g.add("The column", new Element.GearElement(), "this job has no column");
        }
        job.axle()
                .ifPresentOrElse(
                        a -> g.axle(a, steer),
                        () -> g.add("Gear, linkage and wheels", new Element.Wheel(), "this job has no axle"));
        job.axle().ifPresent(g::joints);
        job.axle().ifPresent(g::travel);
        job.axle().ifPresent(g::bushes);
        job.axle().ifPresent(g::windUp);
        if (job.vehicle().rearSteer() != 0) {
            g.add(
                    "Whether the rear wheels keep to their part of the front wheels' angle, and stand straight on "
                            + "the road",
                    new Element.Tyres(),
                    "the rear axle's linkage is a job of its own, turned round");
        }
        g.room(clearance);
        g.always();
        return List.copyOf(g.all);
    }

    private static final class Gatherer {
        final Job job;
        final List<NotJudged> all = new ArrayList<>();

        Gatherer(Job job) {
            this.job = job;
        }

        void add(String matter, Element at, String missing) {
            all.add(new NotJudged(matter, at, Phrase.of(missing)));
        }

        /** One line for all that lack the same. */
        void group(String matter, Map<String, Element> who, String missing) {
            if (!who.isEmpty()) {
                add(
                        matter,
                        who.values().iterator().next(),
                        missing + ": " + who.keySet().stream().map(Phrase::name).collect(Collectors.joining(", ")));
            }
        }

        void column(Column c, Optional<ColumnFigures> figures) {
            Map<String, Element> torque = new LinkedHashMap<>();
            Map<String, Element> swing = new LinkedHashMap<>();
            Map<String, Element> bores = new LinkedHashMap<>();
            for (int i = 0; i < c.joints().size(); i++) {
                Element at = new Element.JointAt(i);
                if (c.joints().get(i).torqueNm().isEmpty()) {
                    torque.put(c.joints().get(i).name(), at);
                }
                if (c.joints().get(i).swingDiameter().isEmpty()) {
                    swing.put(c.joints().get(i).name(), at);
                }
                if (c.joints().get(i).wheelSide().socket().isEmpty()
                        || c.joints().get(i).gearSide().socket().isEmpty()) {
                    bores.put(c.joints().get(i).name(), at);
                }
            }
            if (c.wheel().fit().socket().isEmpty()) {
                bores.put("the wheel's hub", new Element.Wheel());
            }
            if (c.gear().fit().socket().isEmpty()) {
                bores.put("the gear's input", new Element.GearElement());
            }
            group("Whether a shaft's end goes in, and what keeps it there", bores, "bore and retention not given");
            group("A joint's strength", torque, "the most torque its maker allows not given");
            group("How much room a joint sweeps", swing, "the circle its ears and screws sweep not given");
            if (c.gear().axis().isEmpty()) {
                add(
                        "Whether the last shaft is in line with the gear's input",
                        new Element.GearElement(),
                        "which way the input points not measured");
            }
            clamps(c, figures);
            add(
                    "Bolts and welds of the column's brackets",
                    c.tube().isPresent() ? new Element.Tube() : new Element.Wheel(),
                    "no size is asked for; the bearings' side loads are on the page of the column");
        }

        /** Round ends that a pinch bolt or set screws hold: by friction they carry little. */
        void clamps(Column c, Optional<ColumnFigures> figures) {
            Map<String, Element> round = new LinkedHashMap<>();
            double least = Double.POSITIVE_INFINITY;
            double most = 0;
            for (int i = 0; i < c.joints().size(); i++) {
                for (YokeDimensions f :
                        List.of(c.joints().get(i).wheelSide(), c.joints().get(i).gearSide())) {
                    Optional<Socket> s = f.socket()
                            .filter(x -> x.seat() instanceof ShaftProfile.Round
                                    && (x.hold() == Retention.PINCH_BOLT || x.hold() == Retention.SET_SCREW));
                    if (s.isPresent()) {
                        round.put(c.joints().get(i).name(), new Element.JointAt(i));
                        least = Math.min(least, s.get().seat().diameter());
                        int joint = i;
                        most = Math.max(
                                most,
                                figures.flatMap(ColumnFigures::load)
                                        .map(l -> l.joints().get(joint).torque())
                                        .orElse(0.0));
                    }
                }
            }
            if (round.isEmpty()) {
                return;
            }
            all.add(new NotJudged(
                    "A round shaft in a fork without teeth",
                    round.values().iterator().next(),
                    Phrase.of(
                            "clamped alone it would slip: by friction an M8 bolt holds {0} and "
                                    + "an M10 {1}" + (most > 0 ? "; a heavy pull needs {2}" : "")
                                    + ". See that bolt or screw lies in a notch or dimple of the shaft, or weld, key or tooth it: "
                                    + round.keySet().stream().map(Phrase::name).collect(Collectors.joining(", ")),
                            Quantity.torque(clamp(M8_PULL, least)),
                            Quantity.torque(clamp(M10_PULL, least)),
                            Quantity.torque(most))));
        }

        /**
         * Torque that a clamp holds by friction: pressed together by the bolt's pull on two lines, each holds half of μ
         * F d; N·mm.
         */
        static double clamp(double pull, double diameter) {
            return CLAMP_FRICTION * pull * diameter;
        }

        void axle(SteeredAxle axle, Optional<SteerFigures> steer) {
            Element ends = new Element.TieRods();
            Map<String, Element> bolts = new LinkedHashMap<>();
            Map<String, Element> tilts = new LinkedHashMap<>();
            Map<String, Element> tubes = new LinkedHashMap<>();
            Map<String, Element> make = new LinkedHashMap<>();
            Map<String, Element> own = new LinkedHashMap<>();
            Map<String, Element> holes = new LinkedHashMap<>();
            for (Rod rod : steer.map(s -> s.lengths().keySet().stream().sorted().toList())
                    .orElse(List.of())) {
                Element at = Element.of(rod);
                Optional<RodEnds> e = axle.rodEnds(rod);
                Optional<RodMakeUp> made = job.making().rod(rod);
                if (e.flatMap(RodEnds::outerBolt).isEmpty()) {
                    bolts.put(rod.label() + ", outer end", at);
                }
                if (e.flatMap(RodEnds::innerBolt).isEmpty()
                        && made.filter(m -> m.inner().part().stud() instanceof Stud.OnGear)
                                .isEmpty()) {
                    bolts.put(rod.label() + ", inner end", at);
                }
                if (e.flatMap(RodEnds::allowedDeg).isEmpty()) {
                    tilts.put(rod.label(), at);
                }
                if (e.flatMap(RodEnds::tube).isEmpty()) {
                    tubes.put(rod.label(), at);
                }
                if (job.making().rackRod(rod).isPresent()) {
                    own.put(rod.label(), at);
                } else if (made.isEmpty()) {
                    make.put(rod.label(), at);
                }
                for (boolean outer : new boolean[] {true, false}) {
                    made.map(m -> m.end(outer))
                            .filter(x -> x.hole().isEmpty() && !(x.part().stud() instanceof Stud.OnGear))
                            .ifPresent(_ -> holes.put(rod.label() + (outer ? ", outer end" : ", inner end"), at));
                }
            }
            group("How far a rod end tilts", bolts, "its bolt's direction not given");
            group("Whether a rod end tilts too far", tilts, "the tilt it allows not given");
            if (job.vehicle().loads().isEmpty()) {
                add(
                        "Effort, and every load on rods, arms and rod ends",
                        new Element.Tyres(),
                        "the mass on the front axle not given");
            } else {
                group("Whether a rod buckles", tubes, "its tube not given");
            }
            group("Thread in use, lock nuts, studs and shanks", make, "how the rod is made up not given");
            group("Whether the stud of a screwed-on end seats in its arm, and what it carries", own, "not asked for");
            group("Whether a stud seats in its arm", holes, "the arm's hole not measured");
            arms(axle);
            steer.ifPresent(s -> gearBolts(s.rodLoads()));
            if (job.vehicle().bump() == 0 && job.vehicle().droop() == 0) {
                add("Bump steer, and all that springing moves", ends, "the wheels' travel is 0");
            }
        }

        void arms(SteeredAxle axle) {
            List<Piece.ArmOf> plates = job.making().pieces().stream()
                    .filter(Piece.ArmPlate.class::isInstance)
                    .map(p -> ((Piece.ArmPlate) p).of())
                    .toList();
            Map<String, Element> arms = new LinkedHashMap<>();
            for (Piece.ArmOf of : Piece.ArmOf.values()) {
                if (!plates.contains(of) && of.length(axle).isPresent()) {
                    arms.put(
                            of.label(),
                            of == Piece.ArmOf.GEAR_ARM ? new Element.GearArm() : new Element.SteeringArms());
                }
            }
            group("Whether an arm bends", arms, "no plate of it is given, with its thickness and root");
        }

        /** The force on the gear's mounts is shown, not judged. */
        void gearBolts(List<RodLoad> loads) {
            // Both tie rods pull at a rack together; an arm's gear is pushed by the one rod at its arm.
            boolean together = loads.stream().noneMatch(l -> Element.of(l.rod()) instanceof Element.DrivenRod);
            Stream<RodLoad> on =
                    loads.stream().filter(l -> together || Element.of(l.rod()) instanceof Element.DrivenRod);
            double force = on.mapToDouble(l -> Stream.of(
                                    l.force(),
                                    l.kerbForce().orElse(0.0),
                                    l.pullForce().orElse(0.0))
                            .max(Double::compare)
                            .orElse(0.0))
                    .sum();
            if (force > 0) {
                all.add(new NotJudged(
                        "The gear's bolts and bracket",
                        new Element.GearElement(),
                        Phrase.of(
                                "no size is asked for; they must hold {0} along the rods (heavy pull, kerb or "
                                        + "parked, the most), and what its lever does besides. Clamped plates hold by friction: "
                                        + (int) Math.max(2, Math.ceil(force / (CLAMP_FRICTION * M10_PULL)))
                                        + " bolts M10 of class 8.8 for that force alone",
                                Quantity.force(force))));
            }
        }

        /** What a fabricator finds when the suspension is cycled by hand, and nobody has given. */
        void travel(SteeredAxle axle) {
            boolean travels = axle.wheelTravel() != WheelTravel.NONE
                    && job.vehicle().bump() + job.vehicle().droop() > 0;
            if (travels && job.surroundings().obstacles().stream().noneMatch(o -> o.shape() instanceof TwoEnded)) {
                add(
                        "Whether a damper, a spring, a strap, a hose or a driven shaft ends the travel",
                        new Element.Knuckles(),
                        "none is given; cycle the suspension at straight ahead and at both locks, or add them "
                                + "under Clearance");
            }
        }

        /** Joints of the suspension whose tilt is not known. */
        void joints(SteeredAxle axle) {
            Map<String, Element> unknown = new LinkedHashMap<>();
            JointTilt.joints(axle.left().suspension()).stream()
                    .filter(at -> axle.left().joint(at).isEmpty())
                    .forEach(at -> unknown.put(at.label(), new Element.Knuckles()));
            axle.beam().stream().flatMap(b -> b.bars().stream()).map(Bar::part).forEach(part -> {
                for (boolean onAxle : new boolean[] {false, true}) {
                    if (BarTilt.tilts(part, onAxle)
                            && axle.barTilt(part, onAxle).isEmpty()) {
                        unknown.put(BarTilt.label(part, onAxle), new Element.BeamElement());
                    }
                }
            });
            group("Whether a joint of the suspension tilts too far", unknown, "the tilt it allows not given");
            if (axle.beam().filter(b -> b.sideways() instanceof WattLinkage).isPresent()) {
                add(
                        "Whether an end of a Watt rod tilts too far",
                        new Element.BeamElement(),
                        "not worked out; cycle the axle by hand and look at all four");
            }
        }

        /** What the brakes do to an axle that nothing in the job keeps from turning. */
        void windUp(SteeredAxle axle) {
            String matter = "Whether the brakes wind the axle up on its springs, and steer the wheels";
            boolean leaves = axle.beam().filter(LeafSprung.class::isInstance).isPresent();
            if (axle.beam().filter(Beam.Sprung.class::isInstance).isPresent()) {
                add(
                        matter,
                        new Element.BeamElement(),
                        "what keeps it from turning is not given; choose leaf springs, radius arms or links");
            } else if (leaves && axle.gearOnAxle()) {
                add(matter, new Element.BeamElement(), "not worked out where the gear is on the axle");
            }
        }

        void bushes(SteeredAxle axle) {
            if (axle.linkage() instanceof Shuttle s && s.bar().isEmpty()) {
                add(
                        "Whether the shuttle jams on its bar, and how much its friction adds",
                        new Element.Relay(),
                        "how far its bushes are apart not given");
            }
        }

        void room(Optional<ClearanceFigures> clearance) {
            if (job.surroundings().obstacles().stream().allMatch(o -> o.shape() instanceof CarriedShape)) {
                add("Room past frame, engine, axle and footwell", new Element.Tyres(), "nothing in the way is given");
            }
            if (clearance.isEmpty()) {
                add("Every gap", new Element.Tyres(), "the linkage can't be assembled anywhere");
            }
        }

        void always() {
            add(
                    "Fatigue, blows at speed, heat, the quality of welds and of bought parts",
                    new Element.Wheel(),
                    "no program can see these: they need inspection, tests, and the person responsible for the vehicle");
        }
    }
}
