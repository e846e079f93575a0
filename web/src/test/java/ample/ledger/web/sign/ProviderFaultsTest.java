package ample.ledger.web.sign;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.store.TestDatabase;
import ample.ledger.web.LedgerInstance;
import ample.ledger.web.LedgerInstance.Visitor;
import com.nimbusds.jose.JWSAlgorithm;
import com.nimbusds.jose.JWSHeader;
import com.nimbusds.jose.crypto.RSASSASigner;
import com.nimbusds.jose.jwk.JWKSet;
import com.nimbusds.jose.jwk.RSAKey;
import com.nimbusds.jose.jwk.gen.RSAKeyGenerator;
import com.nimbusds.jwt.JWTClaimsSet;
import com.nimbusds.jwt.SignedJWT;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URLDecoder;
import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Executors;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import tools.jackson.databind.json.JsonMapper;

/** Whatever a provider answers, right or wrong: the page to sign in says why, and what the guest had stays. */
class ProviderFaultsTest {

    private static RSAKey key;
    private static RSAKey foreign;
    private static HttpServer provider;
    private static LedgerInstance ledger;

    private static volatile Fault fault = Fault.NONE;
    private static volatile String nonce = "";

    /** What is wrong with a token. */
    enum Fault {
        NONE(claims -> claims, ""),
        EXPIRED(claims -> claims.claim("exp", inSeconds(-3_600)), "not-trusted"),
        ANOTHER_ISSUER(claims -> claims.issuer("http://127.0.0.1:1"), "not-trusted"),
        FOR_ANOTHER_PROGRAM(claims -> claims.audience("another"), "not-trusted"),
        OF_ANOTHER_SIGN_IN(claims -> claims.claim("nonce", "another"), "not-trusted"),
        SIGNED_BY_ANOTHER(claims -> claims, "not-trusted"),
        SIGNED_AS_IT_DOES_NOT_SAY(claims -> claims, "not-trusted"),
        WITHOUT_A_NAME(claims -> claims.subject(null), "not-trusted"),
        WITHOUT_A_ROLE(claims -> claims.claim("roles", null), "nobody"),
        OF_NO_ROLE_OF_OURS(claims -> claims.claim("roles", "gardener"), "nobody"),
        /** The provider has a fault of its own, and answers with status 500. */
        NONE_FOR_A_FAULT(
                claims -> {
                    throw new IllegalStateException("No token");
                },
                "away");

        private final UnaryOperator<JWTClaimsSet.Builder> change;
        private final String code;

        Fault(UnaryOperator<JWTClaimsSet.Builder> change, String code) {
            this.change = change;
            this.code = code;
        }
    }

    @BeforeAll
    static void start() throws Exception {
        key = new RSAKeyGenerator(2048).keyID("one").generate();
        foreign = new RSAKeyGenerator(2048).keyID("one").generate();
        provider = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        provider.setExecutor(Executors.newFixedThreadPool(2));
        String root = root();
        page(
                "/.well-known/openid-configuration",
                exchange -> JsonMapper.shared()
                        .writeValueAsString(Map.of(
                                "issuer",
                                root,
                                "authorization_endpoint",
                                root + "/authorize",
                                "token_endpoint",
                                root + "/token",
                                "jwks_uri",
                                root + "/keys",
                                "subject_types_supported",
                                List.of("public"),
                                "id_token_signing_alg_values_supported",
                                List.of("RS256"))));
        page("/keys", exchange -> new JWKSet(key.toPublicJWK()).toString());
        page(
                "/token",
                exchange -> JsonMapper.shared()
                        .writeValueAsString(Map.of(
                                "access_token", "a", "token_type", "Bearer", "expires_in", 300, "id_token", token())));
        provider.start();
        ledger = LedgerInstance.start(
                TestDatabase.create(), "--ledger.post=" + Schedules.kernel(), "--ledger.sign-in.issuer=" + root);
    }

    @AfterAll
    static void stop() {
        ledger.close();
        provider.stop(0);
    }

    private static String root() {
        return "http://127.0.0.1:" + provider.getAddress().getPort();
    }

    /** What a page of the provider says. */
    private interface Says {
        String to(HttpExchange exchange) throws Exception;
    }

    private static void page(String path, Says says) {
        provider.createContext(path, exchange -> {
            byte[] written;
            try {
                written = says.to(exchange).getBytes(StandardCharsets.UTF_8);
            } catch (Exception fault) {
                exchange.sendResponseHeaders(500, -1);
                exchange.close();
                return;
            }
            exchange.getResponseHeaders().set("Content-Type", "application/json");
            exchange.sendResponseHeaders(200, written.length);
            exchange.getResponseBody().write(written);
            exchange.close();
        });
    }

    /** From now, as tokens write moments. */
    private static long inSeconds(long seconds) {
        return Instant.now().getEpochSecond() + seconds;
    }

    private static String token() throws Exception {
        JWTClaimsSet.Builder claims = new JWTClaimsSet.Builder()
                .issuer(root())
                .subject("maris")
                .audience("ample-ledger")
                .claim("iat", inSeconds(0))
                .claim("exp", inSeconds(300))
                .claim("nonce", nonce)
                .claim("roles", List.of("student"));
        SignedJWT jwt = new SignedJWT(
                new JWSHeader.Builder(
                                fault == Fault.SIGNED_AS_IT_DOES_NOT_SAY ? JWSAlgorithm.RS512 : JWSAlgorithm.RS256)
                        .keyID("one")
                        .build(),
                fault.change.apply(claims).build());
        jwt.sign(new RSASSASigner(fault == Fault.SIGNED_BY_ANOTHER ? foreign : key));
        return jwt.serialize();
    }

    @ParameterizedTest
    @EnumSource
    void aTokenThatIsWrongSignsNobodyIn(Fault tried) throws Exception {
        fault = tried;
        Visitor guest = new Visitor(ledger.root());
        guest.post("/autumn-2031/week/add", "line", "40176", "back", "/");
        Map<String, String> asked = begin(guest);
        nonce = asked.getOrDefault("nonce", "");
        assertThat(asked).containsEntry("code_challenge_method", "S256").containsKey("code_challenge");

        HttpResponse<String> answer =
                guest.get("/login/oauth2/code/institution?code=c&state=" + encoded(asked.get("state")));

        String leadsTo = answer.headers().firstValue("Location").orElse("");
        if (tried == Fault.NONE) {
            assertThat(leadsTo).endsWith("/autumn-2031/browse?at=tidewall");
            assertThat(guest.get("/autumn-2031/browse").body()).contains("<b>maris</b>");
        } else {
            assertThat(leadsTo)
                    .endsWith("/sign-in?fault=" + tried.code + "&back=%2Fautumn-2031%2Fbrowse%3Fat%3Dtidewall");
            assertThat(guest.follow(answer).body()).contains("role=\"alert\"", "Guest");
            assertThat(guest.cookie("ledger")).isEmpty();
        }
        assertThat(guest.get("/autumn-2031/week/plan.json").body()).contains("40176");
    }

    /** The address to which the provider leads back is good once, in the browser that began, and for nobody else. */
    @Test
    void aCodeIsGoodOnceAndInOneBrowser() throws Exception {
        fault = Fault.NONE;
        Visitor guest = new Visitor(ledger.root());
        Map<String, String> asked = begin(guest);
        nonce = asked.getOrDefault("nonce", "");
        String callback = "/login/oauth2/code/institution?code=c&state=" + encoded(asked.get("state"));

        assertThat(location(new Visitor(ledger.root()).get(callback))).contains("/sign-in?fault=not-begun");
        assertThat(location(guest.get(callback))).endsWith("/autumn-2031/browse?at=tidewall");
        assertThat(location(guest.get(callback))).contains("/sign-in?fault=not-begun");
        assertThat(location(guest.get("/login/oauth2/code/institution?code=c&state=guessed")))
                .contains("/sign-in?fault=not-begun");
    }

    @Test
    void whoIsNotLetInIsToldSo() throws Exception {
        Visitor guest = new Visitor(ledger.root());
        Map<String, String> asked = begin(guest);

        HttpResponse<String> answer =
                guest.get("/login/oauth2/code/institution?error=access_denied&state=" + encoded(asked.get("state")));

        assertThat(location(answer)).contains("/sign-in?fault=refused");
        assertThat(guest.follow(answer).body()).contains("has not let you in");
    }

    private static String location(HttpResponse<String> answer) {
        return answer.headers().firstValue("Location").orElse("");
    }

    /** What the provider is asked when signing in begins. */
    private static Map<String, String> begin(Visitor guest) throws Exception {
        String address = location(guest.get("/sign-in/begin/institution?back=/autumn-2031/browse%3Fat=tidewall"));
        assertThat(address).startsWith(root() + "/authorize?");
        Map<String, String> asked = new HashMap<>();
        Matcher parameter = Pattern.compile("[?&]([^=]+)=([^&]*)").matcher(address);
        while (parameter.find()) {
            asked.put(parameter.group(1), URLDecoder.decode(parameter.group(2), StandardCharsets.UTF_8));
        }
        return asked;
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }
}
