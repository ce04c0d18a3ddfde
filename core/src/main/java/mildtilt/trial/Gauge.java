package mildtilt.trial;

import mildtilt.geometry.Side;
import mildtilt.linkage.Rod;
import mildtilt.measure.Unit;

/** One figure that is read at a trial and that the plan has too, or that should be nothing. Parts are named as the job names them. */
public sealed interface Gauge {

    /** What the bench calls it. */
    String label();

    Unit unit();

    /** How well it is usually read, ± one standard deviation, in its unit. */
    double usualSpread();

    /** Operating angle of a joint, 0 straight. */
    record JointAngle(String joint) implements Gauge {
        @Override
        public String label() {
            return "angle of " + joint;
        }

        @Override
        public Unit unit() {
            return Unit.ANGLE;
        }

        @Override
        public double usualSpread() {
            return 0.3;
        }
    }

    /** A shaft from joint centre to joint centre, hub or gear input. */
    record ShaftLength(String shaft) implements Gauge {
        @Override
        public String label() {
            return "length of " + shaft;
        }

        @Override
        public Unit unit() {
            return Unit.LENGTH;
        }

        @Override
        public double usualSpread() {
            return 0.5;
        }
    }

    /** A rod from joint centre to joint centre. */
    record RodLength(Rod rod) implements Gauge {
        @Override
        public String label() {
            return "length of the " + rod.label();
        }

        @Override
        public Unit unit() {
            return Unit.LENGTH;
        }

        @Override
        public double usualSpread() {
            return 0.5;
        }
    }

    /** How far a wheel is turned where the lock ends, counted from straight ahead into the turn. */
    record LockAngle(Side way, Side wheel) implements Gauge {
        @Override
        public String label() {
            return wheel.label() + " wheel at full " + way.label() + " lock";
        }

        @Override
        public Unit unit() {
            return Unit.ANGLE;
        }

        @Override
        public double usualSpread() {
            return 0.3;
        }
    }

    /** The least gap between two parts over the whole range of steering and travel. */
    record Gap(String first, String second) implements Gauge {
        @Override
        public String label() {
            return "gap of " + first + " and " + second;
        }

        @Override
        public Unit unit() {
            return Unit.LENGTH;
        }

        @Override
        public double usualSpread() {
            return 0.5;
        }
    }

    /** Turns of the steering wheel from straight ahead to where the lock ends. */
    record TurnsTo(Side way) implements Gauge {
        @Override
        public String label() {
            return "turns to full " + way.label() + " lock";
        }

        @Override
        public Unit unit() {
            return Unit.TURNS;
        }

        @Override
        public double usualSpread() {
            return 0.02;
        }
    }

    /** How far the gear's input is turned to the left of the middle of its travel with the road wheels straight. */
    record GearOffCentre() implements Gauge {
        @Override
        public String label() {
            return "gear off the middle of its travel, wheels straight";
        }

        @Override
        public Unit unit() {
            return Unit.ANGLE;
        }

        @Override
        public double usualSpread() {
            return 2;
        }
    }

    /** How far the steering wheel's spokes are turned to the left with the road wheels straight. */
    record SpokesOffStraight() implements Gauge {
        @Override
        public String label() {
            return "spokes off straight, wheels straight";
        }

        @Override
        public Unit unit() {
            return Unit.ANGLE;
        }

        @Override
        public double usualSpread() {
            return 1;
        }
    }

    /** Most force at the rim to turn the wheels. @param onGround the tyres on the ground, standing still; else raised */
    record RimForce(boolean onGround) implements Gauge {
        @Override
        public String label() {
            return "force at the rim, " + (onGround ? "on its tyres, parked" : "raised");
        }

        @Override
        public Unit unit() {
            return Unit.FORCE;
        }

        @Override
        public double usualSpread() {
            return 5;
        }
    }

    /** Free movement of the rim before a road wheel stirs. @param onGround the tyres on the ground; else raised */
    record RimPlay(boolean onGround) implements Gauge {
        @Override
        public String label() {
            return "play at the rim, " + (onGround ? "on its tyres" : "raised");
        }

        @Override
        public Unit unit() {
            return Unit.LENGTH;
        }

        @Override
        public double usualSpread() {
            return 1;
        }
    }

    /** Where the steering wheel comes to rest by itself, turned and let go at walking pace; + still turned left. */
    record FreeReturn() implements Gauge {
        @Override
        public String label() {
            return "left over after free return";
        }

        @Override
        public Unit unit() {
            return Unit.ANGLE;
        }

        @Override
        public double usualSpread() {
            return 2;
        }
    }
}
