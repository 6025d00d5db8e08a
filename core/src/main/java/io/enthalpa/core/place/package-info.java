/** Where things stand in an option: what core says about them names them so. */
package io.enthalpa.core.place;
