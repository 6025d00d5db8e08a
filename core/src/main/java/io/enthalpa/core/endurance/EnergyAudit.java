package io.enthalpa.core.endurance;

/**
 * Heat accounts of a run, each summed for itself.
 *
 * @param taken    J taken from the charge, by its enthalpy before and behind the core
 * @param stored   J more in metal and water at the end than at the start
 * @param rejected J given to the outside air
 * @param latent   J of what was taken that water coming out of the charge gave
 */
public record EnergyAudit(double taken, double stored, double rejected, double latent) {
    /** @return what does not balance, over the larger of the heat taken and the heat moved through the stores */
    public double error() {
        double scale = Math.max(Math.abs(taken), Math.max(Math.abs(stored), Math.abs(rejected)));
        return scale == 0 ? 0 : Math.abs(taken - stored - rejected) / scale;
    }
}
