/** Inputs that are not exactly known, and what their spread makes of a run. */
package io.enthalpa.core.uncertainty;
