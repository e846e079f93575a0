/** What the registrar would answer, the way to ask it, and what a student has there: Readiness and My registration. */
@NullMarked
package ample.ledger.web.ready;

import org.jspecify.annotations.NullMarked;
