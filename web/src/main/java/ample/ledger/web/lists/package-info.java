/** Ways out for programs: lists of sections as CSV and JSON, one section as JSON-LD, and the page that documents them. */
@NullMarked
package ample.ledger.web.lists;

import org.jspecify.annotations.NullMarked;
