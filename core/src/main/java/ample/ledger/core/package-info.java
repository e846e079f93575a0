/**
 * The rules of the job, in plain Java: what is posted, how it is read, and how a brief finds sections in it.
 *
 * <p>Nothing here knows of the web, of SQL or of the present moment; callers pass dates in.
 */
@NullMarked
package ample.ledger.core;

import org.jspecify.annotations.NullMarked;
