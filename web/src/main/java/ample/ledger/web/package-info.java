/**
 * The application: what it is made of and how it is kept safe. Each screen has a package of its own, with a folder of the
 * same name among the templates.
 */
@NullMarked
package ample.ledger.web;

import org.jspecify.annotations.NullMarked;
