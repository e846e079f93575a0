package ample.ledger.core.schedule;

import java.util.Optional;

/**
 * That a section is taken only together with another of its course: a lab with its lecture.
 *
 * @param choice what it is one of, as in "lab"; a complete set has one section of each choice
 * @param boundTo the section it belongs to; empty when it may go with any section of its course that is no companion
 */
public record Companion(String choice, Optional<EntryNumber> boundTo) {}
