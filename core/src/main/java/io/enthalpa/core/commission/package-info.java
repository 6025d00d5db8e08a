/** What is done with a build that stands: tried for leaks, filled, driven for the first time, looked at hot. Lists from what was built, with the reason of each line. */
package io.enthalpa.core.commission;
