/** Tight or not: what is shut in, pumped up and watched. */
package io.enthalpa.core.leak;
