/** Finds ways for a pipe between two ports, past everything that must be missed. */
package io.enthalpa.core.router;
