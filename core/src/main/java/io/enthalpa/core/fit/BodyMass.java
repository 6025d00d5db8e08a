package io.enthalpa.core.fit;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.exchanger.ChargeCooler;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.waterloop.TankSpec;
import java.util.OptionalDouble;

/** What a body weighs where nobody put it on a scale; common practice, no source, but for a core, whose metal is counted. */
public final class BodyMass {
    /** kg/m3 of a radiator with its water, tanks included. */
    public static final double RADIATOR_DENSITY = 900;
    /** kg of an electric coolant pump. */
    public static final double PUMP = 1.2;
    /** kg of an empty tank, and of each m3 that it holds. */
    private static final double TANK = 1;

    private static final double TANK_WALL = 60;
    private static final double WATER_DENSITY = 1000;

    private BodyMass() {}

    /** @return kg of an empty tank, ice and water left out */
    public static double emptyTank(double capacity) {
        return TANK + TANK_WALL * capacity;
    }

    /** @return kg with what is in it; empty where it has to be weighed */
    public static OptionalDouble of(BuildOption option, Stand stand) {
        if (stand.mass().isPresent()) {
            return stand.mass();
        }
        return switch (stand.what()) {
            case CORE -> {
                ChargeCooler cooler =
                        new ChargeCooler(Bodies.core(option, stand).spec());
                yield OptionalDouble.of(cooler.heatCapacity() / ChargeCooler.ALUMINIUM_HEAT_CAPACITY);
            }
            case RADIATOR -> {
                CoreSize size =
                        Bodies.loop(option, stand).radiator().orElseThrow().size();
                yield OptionalDouble.of(RADIATOR_DENSITY * size.volume());
            }
            case TANK -> {
                TankSpec tank = Bodies.loop(option, stand).tank().orElseThrow();
                yield OptionalDouble.of(emptyTank(tank.capacity()) + WATER_DENSITY * tank.capacity());
            }
            case PUMP -> OptionalDouble.of(PUMP);
            default -> OptionalDouble.empty();
        };
    }
}
