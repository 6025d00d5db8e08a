/** Learning to read a trace: cases, answers and the record of them. */
package io.enthalpa.server.school;
