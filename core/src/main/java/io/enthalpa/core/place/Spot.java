package io.enthalpa.core.place;

import java.util.Optional;

/**
 * Where a piece stands in a charge path.
 *
 * @param row   that it stands in
 * @param index its number there, from 0
 */
public record Spot(Row row, int index) implements Subject {
    /**
     * A row of pieces: the path itself, or a leg of a pair in it.
     *
     * @param leg empty for the path itself
     */
    public record Row(Optional<Leg> leg) {
        public static final Row PATH = new Row(Optional.empty());

        public Spot at(int index) {
            return new Spot(this, index);
        }

        /** @return whether both are legs of one pair */
        public boolean isBeside(Row other) {
            return leg.isPresent()
                    && other.leg.isPresent()
                    && leg.get().pair() == other.leg.get().pair()
                    && leg.get().number() != other.leg.get().number();
        }
    }

    /**
     * @param pair   number of the pair in the path, from 0
     * @param number of the leg, 0 or 1
     */
    public record Leg(int pair, int number) {}

    /** @return the piece of this number in the path itself */
    public static Spot of(int index) {
        return Row.PATH.at(index);
    }

    /** @return the row of a leg of the pair that stands here */
    public Row leg(int number) {
        return new Row(Optional.of(new Leg(index, number)));
    }
}
