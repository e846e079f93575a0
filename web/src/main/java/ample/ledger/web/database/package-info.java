/** What becomes of the pages while the database does not answer. */
@NullMarked
package ample.ledger.web.database;

import org.jspecify.annotations.NullMarked;
