package ample.ledger.web.guard;

import java.util.Optional;

/**
 * Where forms may lead beside our own pages.
 *
 * @param origin scheme, host and port; empty for nowhere
 */
public record FormsLeadTo(Optional<String> origin) {}
