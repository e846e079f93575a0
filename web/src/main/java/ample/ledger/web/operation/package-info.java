/** What those need who run the application: names of requests, an access log, measures, health, and a warm start. */
@NullMarked
package ample.ledger.web.operation;

import org.jspecify.annotations.NullMarked;
