/** The page of one course: its sections, the terms it is offered in, what leads to it and what it leads to. */
@NullMarked
package ample.ledger.web.course;

import org.jspecify.annotations.NullMarked;
