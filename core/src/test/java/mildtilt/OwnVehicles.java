package mildtilt;

import java.time.LocalDate;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import mildtilt.job.Job;
import mildtilt.job.VehicleScale;
import mildtilt.start.AxleChoice;
import mildtilt.start.GearChoice;
import mildtilt.start.StartingVehicle;

/** Vehicles of every gear and axle in sizes of their own, without findings: what a property must hold for. */
public enum OwnVehicles {
    NARROW_RACK(AxleChoice.WISHBONES, GearChoice.RACK_BEHIND, 1180, 1900, 540),
    WIDE_RACK(AxleChoice.STRUTS, GearChoice.RACK_AHEAD, 1610, 2780, 690),
    CENTRE_LINK(AxleChoice.STRUTS, GearChoice.BOX_CENTRE_LINK, 1530, 2640, 720),
    SHUTTLE(AxleChoice.WISHBONES, GearChoice.BOX_SHUTTLE, 1390, 2300, 620),
    SPRUNG_BEAM(AxleChoice.SPRUNG_BEAM, GearChoice.BOX_TO_KNUCKLE, 1570, 2900, 810),
    PINNED_BEAM(AxleChoice.PINNED_BEAM, GearChoice.BOX_TO_TIE_ROD, 1290, 2050, 700),
    FRAME_KINGPINS(AxleChoice.FRAME_KINGPINS, GearChoice.COLUMN_ARM, 1120, 1800, 480),
    TRAILING_ARMS(AxleChoice.TRAILING_ARMS, GearChoice.BOX_BOTH_RODS, 1240, 1960, 610),
    HANDLEBAR(AxleChoice.WISHBONES, GearChoice.HANDLEBAR, 980, 1310, 570),
    LEVERS(AxleChoice.FRAME_KINGPINS, GearChoice.LEVERS, 860, 1240, 520);

    private static final Map<OwnVehicles, Job> JOBS = new ConcurrentHashMap<>();

    private final AxleChoice axle;
    private final GearChoice gear;
    private final VehicleScale sizes;

    OwnVehicles(AxleChoice axle, GearChoice gear, double track, double wheelbase, double tyre) {
        this.axle = axle;
        this.gear = gear;
        sizes = new VehicleScale(track, wheelbase, tyre);
    }

    /** Worked out once: what is cured in a new vehicle takes a second. */
    public Job job() {
        return JOBS.computeIfAbsent(
                this, v -> new StartingVehicle(v.axle, v.gear, v.sizes, Set.of()).job(LocalDate.of(2026, 4, 20)));
    }
}
