package ample.ledger.core.browse.index;

/**
 * One parameter of an address, as it is documented.
 *
 * @param meaning of its value, a phrase with a capital: "Codes of campuses"
 * @param example a value with the codes of the demo
 */
public record Parameter(String name, String meaning, String example) {}
