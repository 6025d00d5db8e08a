package io.enthalpa.core.room;

import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * One of the points at which a body is held. The bolt stays where it is when the body is moved: a strap reaches to the nearest place of it.
 *
 * @param name     "upper left strap"
 * @param carrier  that the bolt is in, by name
 * @param bolt     m, its place in the room
 * @param thread   m, its diameter
 * @param existing whether it is there already
 * @param hold     what is between bolt and body
 */
public record Mount(String name, String carrier, Vector3D bolt, double thread, boolean existing, Hold hold) {
    /** What is between a bolt and the body. */
    public sealed interface Hold permits Strap, Bobbin, Tab {}

    /**
     * A flat strap from the bolt to the body.
     *
     * @param width    m
     * @param thickness m
     * @param standing whether it stands on its edge, so that it gives sideways; otherwise it lies flat and gives up and down
     */
    public record Strap(double width, double thickness, Metal metal, boolean standing) implements Hold {}

    /**
     * A rubber bobbin between bolt and body.
     *
     * @param axis  along which it is pressed together
     * @param axial N/m along its axis
     * @param shear N/m across it
     * @param load  N that it may carry standing; 0 where nobody knows
     */
    public record Bobbin(Axis axis, double axial, double shear, double load) implements Hold {}

    /** A lug of the body itself under the bolt's head. @param slotted whether its hole lets the body grow */
    public record Tab(boolean slotted) implements Hold {}

    /** Of the room. */
    public enum Axis {
        UP(Vector3D.PLUS_K),
        BACK(Vector3D.PLUS_I),
        RIGHT(Vector3D.PLUS_J);

        private final Vector3D way;

        Axis(Vector3D way) {
            this.way = way;
        }

        public Vector3D way() {
            return way;
        }
    }

    /**
     * Modulus and yield of what straps are cut from, Pa. Values from memory: S235 by EN 10025-2, 1.4301 by EN 10088-2, EN AW-5052 H32 by EN
     * 485-2.
     */
    public enum Metal {
        STEEL(210e9, 235e6),
        STAINLESS(200e9, 210e6),
        ALUMINIUM(70e9, 130e6);

        private final double modulus;
        private final double yieldStress;

        Metal(double modulus, double yieldStress) {
            this.modulus = modulus;
            this.yieldStress = yieldStress;
        }

        public double modulus() {
            return modulus;
        }

        public double yieldStress() {
            return yieldStress;
        }
    }
}
