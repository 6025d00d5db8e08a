/** What was measured: logs, the segments of a drive in them, their shape, and what they say beside what was predicted. */
package io.enthalpa.core.telemetry;
