package ample.ledger.web;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** Of a test that posts other terms: {@link RunningLedger} starts an application for it alone, so that no other test sees them. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.TYPE)
@interface OwnLedger {}
