/** Whether an option fits its room: its bodies from what the build knows of them, the gaps of all against all, and what is said of them. */
package io.enthalpa.core.fit;
