/** What a run is judged by: load, shape, figures, cause. */
package io.enthalpa.core.verdict;
