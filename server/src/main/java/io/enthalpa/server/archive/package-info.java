/** All builds with their histories and the catalogue as one open file, out and in. */
package io.enthalpa.server.archive;
