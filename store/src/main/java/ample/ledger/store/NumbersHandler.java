package ample.ledger.store;

import org.apache.ibatis.type.ArrayTypeHandler;
import org.apache.ibatis.type.MappedTypes;

/** Keeps numbers in their order as an array. */
@MappedTypes(Integer[].class)
final class NumbersHandler extends ArrayTypeHandler {}
