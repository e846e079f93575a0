/** The posting desk: a bundle is uploaded, looked over, posted; editions are compared, taken out, made current again. */
@NullMarked
package ample.ledger.web.desk;

import org.jspecify.annotations.NullMarked;
