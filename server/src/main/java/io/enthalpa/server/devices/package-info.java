/** Measuring devices, real and simulated, and recordings of what they say. */
package io.enthalpa.server.devices;
