package mildtilt.bearings;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.id.Id;

/**
 * A place for one more bearing.
 *
 * <p>A shaft held at one end and by a bearing moves its free end by L/a times the bearing's play, with a from the held
 * end
 * to the bearing: it does most close to the joint that would else be free, and on the longer shaft.
 *
 * @param shaft 0 the first
 * @param along from the shaft's wheel-end centre, mm
 * @param toJoint from the bearing to the joint it steadies, mm
 * @param joint which joint it steadies
 * @param gain how much more the joint moves than the bearing lets the shaft; 1 at best
 */
public record BearingPlace(int shaft, double along, double toJoint, int joint, double gain) {

    /** Room for the bearing's housing beyond the face of the fork, mm. */
    private static final double HOUSING = 20;

    /** The places worth having, best first; empty where nothing floats or no shaft has room. */
    public static List<BearingPlace> of(Column c) {
        int missing = Supports.of(c).missing();
        List<BearingPlace> all = new ArrayList<>();
        if (missing == 0) {
            return all;
        }
        for (int shaft = 0; shaft < c.joints().size(); shaft++) {
            // Near its gear-end joint.
            double off = c.gearEndFit(shaft).takeOff() + HOUSING;
            add(c, shaft, c.length(shaft) - off, off, shaft, c.length(shaft) / (c.length(shaft) - off), missing, all);
        }
        for (int shaft = 1; shaft < c.joints().size(); shaft++) {
            // Near its wheel-end joint.
            double off = c.wheelEndFit(shaft).takeOff() + HOUSING;
            add(c, shaft, off, off, shaft - 1, c.length(shaft) / (c.length(shaft) - off), missing, all);
        }
        all.sort(Comparator.comparingDouble(BearingPlace::gain));
        return all;
    }

    private static void add(
            Column c,
            int shaft,
            double along,
            double toJoint,
            int joint,
            double gain,
            int missing,
            List<BearingPlace> all) {
        boolean room = along >= HOUSING && along <= c.length(shaft) - HOUSING && gain < 3 && gain >= 1;
        boolean clear = c.supportsOn(shaft).stream().allMatch(s -> Math.abs(s - along) > 2 * HOUSING);
        if (room
                && clear
                && Supports.missingWith(c, shaft, along, c.shafts().get(shaft).diameter()) < missing) {
            all.add(new BearingPlace(shaft, along, toJoint, joint, gain));
        }
    }

    /** The column with a rod end there, mounted on the frame. */
    public Column putOn(Column c) {
        List<Bearing> all = new ArrayList<>(c.bearings());
        all.add(Bearing.planned(
                Id.Kind.BEARING.next(c.partIds()),
                name(c),
                Bearing.Kind.ROD_END,
                Bearing.Mount.FRAME,
                shaft,
                along,
                c.shafts().get(shaft).diameter()));
        return c.withBearings(all);
    }

    private static String name(Column c) {
        int n = 1;
        while (true) {
            String name = "Support bearing" + (n == 1 ? "" : " " + n);
            if (c.bearings().stream().noneMatch(b -> b.name().equals(name))) {
                return name;
            }
            n++;
        }
    }
}
