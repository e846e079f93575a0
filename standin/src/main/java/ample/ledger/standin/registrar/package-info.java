/** The interface of the registrar: HTTP and JSON, as docs/formats/registrar.openapi.yaml describes it. */
@NullMarked
package ample.ledger.standin.registrar;

import org.jspecify.annotations.NullMarked;
