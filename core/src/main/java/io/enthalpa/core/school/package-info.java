/** Learning to read a trace: cases with a hidden fault, made by the model, and what an answer to one is worth. */
package io.enthalpa.core.school;
