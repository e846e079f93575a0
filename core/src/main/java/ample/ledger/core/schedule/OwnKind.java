package ample.ledger.core.schedule;

/**
 * A kind of section or meeting as its institution calls it.
 *
 * @param code as its sections and meetings name it
 * @param name as students know it: "Tutorial"
 * @param standsFor what it is to programs
 */
public record OwnKind(String code, String name, Kind standsFor) {}
