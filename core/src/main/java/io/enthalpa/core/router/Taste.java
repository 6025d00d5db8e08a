package io.enthalpa.core.router;

import io.enthalpa.core.loss.BendLoss;
import io.enthalpa.core.loss.PipeSpec;

/** What is liked best of a way, in metres of straight pipe that cost as much. */
public enum Taste {
    /** What the air feels: a bend counts as so many metres of straight pipe as lose as much. */
    LEAST_LOSS {
        @Override
        double bend(double turn, Tube tube) {
            double k = BendLoss.coefficient(tube.bend() / tube.bore(), turn, PipeSpec.USUAL_FRICTION);
            return k * tube.bore() / PipeSpec.USUAL_FRICTION;
        }
    },
    /** Each bend is two cuts and two welds: as a metre and a half of tube. */
    FEWEST_JOINTS {
        @Override
        double bend(double turn, Tube tube) {
            return 1.5 + turn * tube.bend();
        }
    },
    /** What is bought: a bend of up to 45, 90 or 180 degrees as half a metre, three quarters and one and a half of tube, and its two welds as a quarter. */
    CHEAPEST {
        @Override
        double bend(double turn, Tube tube) {
            return stock(turn) + 0.25;
        }
    },
    /** The most beyond the gaps asked; of ways with as much, what the air feels. */
    MOST_ROOM {
        @Override
        double bend(double turn, Tube tube) {
            return LEAST_LOSS.bend(turn, tube);
        }
    };

    /** rad that a cut of stock is true to. */
    private static final double CUT = Math.toRadians(0.1);

    /** @return m of straight tube that the bend costs as much as which it is cut from; common practice, no source */
    public static double stock(double turn) {
        return turn <= Math.PI / 4 + CUT ? 0.5 : turn <= Math.PI / 2 + CUT ? 0.75 : 1.5;
    }

    /** Common practice, no source, but for the loss. @return m of straight tube that a bend is worth, its own length included */
    abstract double bend(double turn, Tube tube);

    /** @return m that bends which turn so far together cost at least besides their length: one that turns as far costs no more than several */
    double least(double turn, Tube tube) {
        double most = Math.min(turn, Tube.MOST_TURN);
        return most < Draft.STRAIGHT_ON ? 0 : Math.max(0, bend(most, tube) - most * tube.bend());
    }
}
