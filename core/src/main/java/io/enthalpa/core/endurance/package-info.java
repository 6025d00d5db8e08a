/** The run through a duty: the plant stepped along, and the trace it leaves. */
package io.enthalpa.core.endurance;
