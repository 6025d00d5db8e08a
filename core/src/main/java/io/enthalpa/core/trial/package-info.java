/** What tries changes: each on an option of its own, through the whole answer, before it is offered. */
package io.enthalpa.core.trial;
