/** Asks the institution's registrar, over HTTP as docs/formats/registrar.openapi.yaml describes it, and follows what changes there. */
@NullMarked
package ample.ledger.web.registrar;

import org.jspecify.annotations.NullMarked;
