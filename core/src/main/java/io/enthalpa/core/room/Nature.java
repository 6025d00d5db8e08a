package io.enthalpa.core.room;

/** What an obstacle is, as far as the gap to it goes. Gaps: common practice, no source. */
public enum Nature {
    /** A panel's edge with soft trim between. */
    TRIMMED_EDGE(5e-3),
    /** Panel, tray, tower, bracket, lamp: bare and fixed. */
    BODY(8e-3),
    /** Crash bar, restraint, frame: as the body, and never cut. */
    STRUCTURE(8e-3),
    /** Condenser, radiator, grille: the cooling air goes on through it. */
    AIR_THROUGH(8e-3),
    /** A part of the engine or of what hangs on it, cold. */
    ENGINE_PART(8e-3),
    /** Belt, pulley, fan blade, drive shaft. */
    TURNING(20e-3),
    /** Exhaust or turbine housing. */
    EXHAUST(40e-3),
    /** The same behind a shield. */
    SHIELDED_EXHAUST(15e-3),
    /** Brake or fuel line, wiring. */
    LINE(10e-3),
    BONNET(10e-3),
    /** At full lock and bump: the shape is all that it sweeps. */
    TYRE(25e-3),
    /** Room that something else needs to be taken out, a filler cap or a filter. */
    KEEP_OUT(0),
    GROUND(0);

    private final double usual;

    Nature(double usual) {
        this.usual = usual;
    }

    /** @return m that is asked where the user has no figure */
    public double usual() {
        return usual;
    }

    /** @return whether more is asked of it where the two are carried differently: the others' gaps count movement already, or need none */
    boolean growsAcross() {
        return this != KEEP_OUT && this != GROUND && this != BONNET && this != TYRE;
    }

    /** @return whether nothing may be cut out of it */
    public boolean isNeverCut() {
        return this == STRUCTURE;
    }
}
