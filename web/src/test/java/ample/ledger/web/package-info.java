/** Tests of the application as it really runs: over HTTP, and in Debian's Chromium. */
@NullMarked
package ample.ledger.web;

import org.jspecify.annotations.NullMarked;
