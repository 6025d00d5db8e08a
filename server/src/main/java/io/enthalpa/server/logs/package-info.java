/** Logs of drives: read from files, kept in packed columns, laid beside what the model predicts. */
package io.enthalpa.server.logs;
