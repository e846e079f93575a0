package ample.ledger.web.registrar;

import ample.ledger.core.registrar.Registrar;
import ample.ledger.core.registrar.RegistrarAwayException;
import ample.ledger.core.registrar.RegistrarNews;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.registrar.RoundReport;
import ample.ledger.core.registrar.RoundStanding;
import ample.ledger.core.registrar.StudentFile;
import ample.ledger.core.registrar.Submission;
import ample.ledger.core.registrar.WishRefusedException;
import ample.ledger.core.registrar.round.RoundFile;
import io.github.resilience4j.circuitbreaker.CallNotPermittedException;
import io.github.resilience4j.circuitbreaker.CircuitBreaker;
import io.github.resilience4j.circuitbreaker.CircuitBreakerConfig;
import java.net.http.HttpClient;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.client.JdkClientHttpRequestFactory;
import org.springframework.web.client.HttpClientErrorException;
import org.springframework.web.client.RestClient;
import org.springframework.web.client.RestClientException;
import org.springframework.web.client.RestClientResponseException;

/**
 * The registrar's interface over HTTP. What is asked here changes nothing there, or nothing more the second time, so that a question without an answer is
 * asked once more. After a few that had none in a row nothing is asked for some seconds: pages go on without it at once.
 */
final class HttpRegistrar implements Registrar {

    private static final Logger LOG = LoggerFactory.getLogger(HttpRegistrar.class);
    private static final int ENOUGH = 3;
    private static final Duration REST = Duration.ofSeconds(3);

    /** How much longer than a question a decision may take. */
    private static final Duration DECIDING = Duration.ofSeconds(9);

    private final RestClient quick;
    private final RestClient patient;
    private final RestClient deciding;
    private final Clock clock;
    private final CircuitBreaker breaker;

    /** When it answered last. */
    private final AtomicReference<Instant> heard;

    HttpRegistrar(RegistrarSettings settings, Clock clock) {
        this.clock = clock;
        this.heard = new AtomicReference<>(clock.instant());
        this.quick = client(settings, settings.patience());
        this.deciding = client(settings, settings.patience().plus(DECIDING));
        // News is waited for at the other side.
        this.patient = client(settings, settings.patience().plus(RegistrarNewsListener.WAIT));
        this.breaker = CircuitBreaker.of(
                "registrar",
                CircuitBreakerConfig.custom()
                        .slidingWindowSize(ENOUGH)
                        .minimumNumberOfCalls(ENOUGH)
                        .failureRateThreshold(100)
                        .waitDurationInOpenState(REST)
                        .permittedNumberOfCallsInHalfOpenState(1)
                        .build());
    }

    private static RestClient client(RegistrarSettings settings, Duration patience) {
        JdkClientHttpRequestFactory factory = new JdkClientHttpRequestFactory(
                HttpClient.newBuilder().connectTimeout(settings.patience()).build());
        factory.setReadTimeout(patience);
        return RestClient.builder()
                .baseUrl(settings.address())
                .defaultHeader(HttpHeaders.AUTHORIZATION, "Bearer " + settings.key())
                .requestFactory(factory)
                .build();
    }

    @Override
    public Optional<StudentFile> student(String student) {
        return known(StudentFile.class, "/students/{student}", student);
    }

    @Override
    public Optional<Registration> registration(String student) {
        return known(Registration.class, "/students/{student}/registration", student);
    }

    /** What is known under an address; empty where nothing is. */
    private <T> Optional<T> known(Class<T> type, String address, Object... variables) {
        try {
            return Optional.of(answered(() -> breaker.executeSupplier(() ->
                    twice(() -> quick.get().uri(address, variables).retrieve().body(type)))));
        } catch (HttpClientErrorException refused) {
            if (refused.getStatusCode() == HttpStatus.NOT_FOUND) {
                return Optional.empty();
            }
            throw away(refused);
        }
    }

    @Override
    public List<Submission> submissions(String student) {
        return known(Submission[].class, "/students/{student}/submissions", student)
                .map(List::of)
                .orElse(List.of());
    }

    @Override
    public List<RoundStanding> rounds(String student) {
        return known(RoundStanding[].class, "/students/{student}/rounds", student)
                .map(List::of)
                .orElse(List.of());
    }

    /** The same may be said twice: the last word counts. */
    @Override
    public RoundStanding wish(String student, String term, String round, List<String> groups) {
        try {
            return answered(() -> twice(() -> deciding.put()
                    .uri("/students/{student}/rounds/{term}/{round}", student, term, round)
                    .contentType(MediaType.APPLICATION_JSON)
                    .body(Map.of("wishes", groups))
                    .retrieve()
                    .body(RoundStanding.class)));
        } catch (HttpClientErrorException refused) {
            ProblemDetail problem = refused.getResponseBodyAs(ProblemDetail.class);
            if (problem != null && problem.getDetail() != null && refused.getStatusCode() != HttpStatus.UNAUTHORIZED) {
                throw new WishRefusedException(problem.getDetail());
            }
            throw away(refused);
        }
    }

    @Override
    public Optional<RoundReport> round(String term, String round) {
        return known(RoundReport.class, "/rounds/{term}/{round}", term, round);
    }

    @Override
    public Optional<RoundFile> roundFile(String term, String round) {
        return known(RoundFile.class, "/rounds/{term}/{round}/file", term, round);
    }

    /** The same submission may be handed over twice: it has a name. */
    @Override
    public Submission submit(String student, String id, List<Request> requests) {
        try {
            return answered(() -> twice(() -> deciding.post()
                    .uri("/students/{student}/submissions", student)
                    .header("Idempotency-Key", id)
                    .contentType(MediaType.APPLICATION_JSON)
                    .body(Map.of("requests", requests))
                    .retrieve()
                    .body(Submission.class)));
        } catch (HttpClientErrorException refused) {
            if (refused.getStatusCode() == HttpStatus.BAD_REQUEST
                    || refused.getStatusCode() == HttpStatus.UNPROCESSABLE_CONTENT) {
                throw new IllegalArgumentException("The registrar takes it for no submission", refused);
            }
            throw away(refused);
        }
    }

    @Override
    public RegistrarNews news(long after, Duration patience) {
        try {
            return answered(() -> patient.get()
                    .uri("/news?after={after}&wait={wait}", after, patience.toSeconds())
                    .retrieve()
                    .body(RegistrarNews.class));
        } catch (HttpClientErrorException refused) {
            throw away(refused);
        }
    }

    private static <T> @Nullable T twice(Supplier<@Nullable T> question) {
        try {
            return question.get();
        } catch (HttpClientErrorException refused) {
            throw refused;
        } catch (RestClientException unheard) {
            return question.get();
        }
    }

    private <T> T answered(Supplier<@Nullable T> question) {
        try {
            T answer = question.get();
            if (answer == null) {
                throw new RestClientException("An empty answer");
            }
            heard.set(clock.instant());
            return answer;
        } catch (HttpClientErrorException refused) {
            throw refused;
        } catch (RestClientException | CallNotPermittedException unheard) {
            throw away(unheard);
        }
    }

    private static String said(RuntimeException why) {
        return why instanceof RestClientResponseException answer
                ? "status " + answer.getStatusCode().value()
                : why.getClass().getSimpleName();
    }

    private RegistrarAwayException away(RuntimeException why) {
        if (!(why instanceof CallNotPermittedException)) {
            // Without what it has said: that is about a person.
            LOG.warn("The registrar does not answer as it should: {}", said(why));
        }
        return new RegistrarAwayException(heard.get(), why);
    }
}
