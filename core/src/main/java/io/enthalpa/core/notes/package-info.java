/** What a user should know about a steady answer. */
package io.enthalpa.core.notes;
