/**
 * The generator of the demo: the bundles of the invented institution, from a kernel written by hand, lists of words and a
 * fixed seed. The same size and seed give the same bytes on every machine: all chance comes from {@link java.util.Random},
 * whose sequence Java specifies.
 *
 * <p>No part of the application; it serves the demo, the tests and the measurements.
 */
@NullMarked
package ample.ledger.demo;

import org.jspecify.annotations.NullMarked;
