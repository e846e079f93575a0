/** What a course asks of those who take it, in words, judged by a record where there is one. */
@NullMarked
package ample.ledger.web.requirement;

import org.jspecify.annotations.NullMarked;
