/** What has changed here since somebody asked last. */
@NullMarked
package ample.ledger.standin.news;

import org.jspecify.annotations.NullMarked;
