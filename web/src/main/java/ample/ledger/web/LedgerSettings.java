package ample.ledger.web;

import java.time.Duration;
import java.time.Instant;
import org.hibernate.validator.constraints.time.DurationMin;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.validation.annotation.Validated;

/**
 * What the application is told to do when it starts. Each of them is left out unless it is wanted.
 *
 * @param post a bundle to post before the first page is served: a folder or a zip
 * @param check whether that bundle is only read and looked over
 * @param note what to say of that edition
 * @param demo a folder of bundles to post unless that was done at an earlier start
 * @param clock the moment at which the clock begins; null for the present
 * @param patience how long a page waits for what is kept of who opens it, when it can be shown without
 * @param live for development, the folder of templates and scripts to read anew at each request; empty for those of the build
 */
@ConfigurationProperties("ledger")
@Validated
public record LedgerSettings(
        @DefaultValue("") String post,
        @DefaultValue("false") boolean check,
        @DefaultValue("") String note,
        @DefaultValue("") String demo,
        @Nullable Instant clock,
        @DurationMin(millis = 1) @DefaultValue("250ms") Duration patience,
        @DefaultValue("") String live) {}
