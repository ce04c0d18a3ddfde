package mildtilt.column;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import mildtilt.column.Bearing.Kind;
import mildtilt.column.Bearing.Mount;
import mildtilt.column.Socket.Retention;
import mildtilt.geometry.Direction;
import mildtilt.id.Id;

/** Columns of every kind of part in any sizes that can be, for properties that must hold of all. */
public final class RandomColumns {

    private final Random r;

    public RandomColumns(long seed) {
        r = new Random(seed);
    }

    public Column next() {
        int joints = r.nextInt(6);
        Column c = TestColumns.random(r, joints);
        List<Shaft> shafts = new ArrayList<>();
        List<Joint> all = new ArrayList<>();
        for (int i = 0; i <= joints; i++) {
            shafts.add(shaft(c.shafts().get(i), i > 0 && i < joints));
        }
        for (Joint j : c.joints()) {
            all.add(joint(j));
        }
        List<Bearing> bearings = new ArrayList<>();
        for (int i = r.nextInt(3); i > 0; i--) {
            int on = r.nextInt(joints + 1);
            bearings.add(new Bearing(
                    Id.Kind.BEARING.number(1 + i),
                    "Bearing " + i,
                    Kind.values()[r.nextInt(4)],
                    Mount.values()[r.nextInt(2)],
                    on,
                    round(r.nextDouble() * c.length(on)),
                    15 + r.nextInt(12),
                    maybe() ? round(r.nextGaussian()) : 0,
                    maybe() ? round(r.nextGaussian()) : 0,
                    maybe()));
        }
        Optional<ColumnTube> tube = maybe()
                ? Optional.of(new ColumnTube(
                        38 + r.nextInt(20), 20, 20 + round(r.nextDouble() * 120 + 10), r.nextInt(3) * 40))
                : Optional.empty();
        Adjustment adjustment = maybe()
                ? Adjustment.NONE
                : new Adjustment(
                        r.nextInt(40),
                        r.nextInt(40),
                        r.nextInt(8),
                        r.nextInt(8),
                        maybe() ? Optional.of((double) r.nextInt(150)) : Optional.empty());
        Installation installation = new Installation(
                maybe() ? Optional.of(Direction.along(1, round(r.nextGaussian() * 0.2), -0.6)) : Optional.empty(),
                maybe() ? 0 : r.nextInt(8),
                maybe() ? Optional.of(-500.0 + r.nextInt(200)) : Optional.empty());
        GearInput gear = new GearInput(
                c.gearInput(), fit(), maybe() ? Optional.of(Direction.along(0.7, 0.1, -1)) : Optional.empty());
        return new Column(
                new SteeringWheel(
                        300 + r.nextInt(150),
                        c.hub(),
                        fit(),
                        adjustment,
                        maybe() ? Optional.empty() : Optional.of(HandBar.Kind.values()[r.nextInt(2)].usual())),
                shafts,
                all,
                gear,
                round(r.nextGaussian() * 40),
                tube,
                bearings,
                installation);
    }

    private boolean maybe() {
        return r.nextBoolean();
    }

    /** As it is written in a file without a tail of digits. */
    private static double round(double v) {
        // Nought has no sign in a file.
        return Math.rint(v * 8) / 8 + 0.0;
    }

    private Shaft shaft(Shaft s, boolean between) {
        ShaftProfile profile = seat();
        Optional<Slide> slide = maybe()
                ? Optional.empty()
                : Optional.of(new Slide(40 + r.nextInt(60), 20 + r.nextInt(40), r.nextInt(60)));
        return new Shaft(
                s.id(),
                s.name(),
                profile,
                maybe() ? 0 : profile.roundNoStronger() * 0.6,
                235 + r.nextInt(400),
                maybe() ? Optional.empty() : Optional.of(seat()),
                maybe() ? Optional.empty() : Optional.of(seat()),
                between ? round(s.clockingDeg()) : 0,
                maybe() ? 0 : round(r.nextGaussian() * 20),
                between && r.nextInt(5) == 0,
                maybe(),
                slide,
                maybe());
    }

    private ShaftProfile seat() {
        double d = 17 + r.nextInt(10);
        return switch (r.nextInt(4)) {
            case 0 -> new ShaftProfile.Round(d);
            case 1 -> new ShaftProfile.Splined(d, 9 + r.nextInt(40));
            case 2 -> new ShaftProfile.DoubleD(d, round(d * 0.8));
            default -> new ShaftProfile.Keyed(d, 5);
        };
    }

    private YokeDimensions fit() {
        Set<Retention> holds = EnumSet.allOf(Retention.class);
        return new YokeDimensions(
                r.nextInt(45),
                r.nextInt(30),
                maybe()
                        ? Optional.empty()
                        : Optional.of(new Socket(
                                seat(),
                                holds.stream()
                                        .skip(r.nextInt(holds.size()))
                                        .findFirst()
                                        .orElseThrow())));
    }

    private Joint joint(Joint j) {
        JointKind kind =
                switch (r.nextInt(5)) {
                    case 0 -> new JointKind.Double(true);
                    case 1 -> new JointKind.Double(false);
                    case 2 -> new JointKind.Coupling();
                    default -> new JointKind.Single();
                };
        return new Joint(j.id(), j.name(), kind, j.centre(), kind.usualLimitDeg(), fit(), fit())
                .withTorqueNm(maybe() ? Optional.empty() : Optional.of(40.0 + r.nextInt(300)))
                .withSwingDiameter(maybe() ? Optional.empty() : Optional.of(40.0 + r.nextInt(30)))
                .withTypical(maybe());
    }
}
