/** What is done with a build that stands: lists, leak tests, sheets on paper. */
package io.enthalpa.server.commission;
