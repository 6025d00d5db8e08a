/** How bodies are held: loads of the points that hold them, straps bent, bobbins shaken, what is held twice. SI units, room's axes. */
package io.enthalpa.core.mount;
