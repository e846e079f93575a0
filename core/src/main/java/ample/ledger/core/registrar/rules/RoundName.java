package ample.ledger.core.registrar.rules;

/**
 * Names a wish round.
 *
 * @param term the code of its term
 * @param code of the round in the schedule of that term
 */
public record RoundName(String term, String code) {}
