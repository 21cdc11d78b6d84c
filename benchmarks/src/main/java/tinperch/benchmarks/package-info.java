/** Timings, run by {@code ./tinperch bench}; never part of the test run. */
package tinperch.benchmarks;
