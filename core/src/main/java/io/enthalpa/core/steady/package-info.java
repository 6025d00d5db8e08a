/** A charge system held at one operating point until nothing changes any more. */
package io.enthalpa.core.steady;
