package io.enthalpa.core.exchanger;

/**
 * A charge cooler as chosen: a make known by its card, in a size.
 *
 * @param construction as the maker calls it, "bar-and-plate"
 * @param size         of the finned block
 * @param portBore     m
 * @param card         measured on this make
 */
public record CoreSpec(String construction, CoreSize size, double portBore, ChargeCard card) {
    /** @return kg of metal that heats up, by volume from the card */
    public double metalMass() {
        return card.metalMass() * size.volume() / card.size().volume();
    }
}
