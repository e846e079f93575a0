package ample.ledger.web;

import ample.ledger.store.TestDatabase;
import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * One instance of the application, started as it really starts, on a free port, with the clock at the demo's moment.
 *
 * @param root where it answers
 */
public record LedgerInstance(ConfigurableApplicationContext context, URI root) implements AutoCloseable {

    /** An address that is answered, with variables in braces: {@code POST /{term}/week/add}. */
    public record Route(String method, String pattern) {}

    /** @param options as of {@link #options} */
    public static LedgerInstance start(SpringApplication application, TestDatabase database, String... options) {
        ConfigurableApplicationContext context =
                application.run(options(database, options).toArray(String[]::new));
        String port = context.getEnvironment().getRequiredProperty("local.server.port");
        return new LedgerInstance(context, URI.create("http://127.0.0.1:" + port));
    }

    /** @param options beside those that every test needs, which they overrule */
    public static List<String> options(TestDatabase database, String... options) {
        List<String> all = new ArrayList<>(List.of(
                "--server.port=0",
                "--spring.datasource.url=" + database.url(),
                "--spring.datasource.password=" + database.appPassword(),
                "--spring.flyway.password=" + database.ownerPassword(),
                "--ledger.sign-in.issuer=" + Institution.shared().root(),
                "--ledger.sign-in.client-secret=" + Institution.SECRET,
                "--ledger.registrar.address=" + Institution.shared().registrar(),
                "--ledger.registrar.key=" + Institution.SECRET,
                // A busy machine is neither a database nor a registrar that is away.
                "--ledger.patience=2s",
                "--ledger.registrar.patience=10s",
                // Tests are quicker than people.
                "--ledger.limits.changes=100000",
                "--ledger.limits.account.changes=100000",
                "--ledger.limits.account.uploads=100000",
                "--ledger.limits.account.weaves=100000",
                "--spring.datasource.hikari.connection-timeout=20000",
                "--spring.datasource.hikari.data-source-properties.connectTimeout=20",
                "--spring.datasource.hikari.data-source-properties.loginTimeout=20",
                "--spring.datasource.hikari.data-source-properties.socketTimeout=20",
                "--ledger.clock=2031-06-17T08:41:00Z",
                "--logging.level.root=warn",
                "--spring.main.banner-mode=off"));
        // What is given twice would be taken for a list.
        all.removeIf(usual -> Arrays.stream(options).anyMatch(own -> name(own).equals(name(usual))));
        all.addAll(Arrays.asList(options));
        return all;
    }

    private static String name(String option) {
        return option.replaceFirst("=.*", "");
    }

    /** Beside others of the same database. */
    public static LedgerInstance start(TestDatabase database, String... options) {
        return start(new SpringApplication(LedgerApplication.class), database, options);
    }

    /** Everything that controllers answer, and what Spring Security answers beside them. */
    public List<Route> routes() {
        Stream<Route> mapped = context
                .getBean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class)
                .getHandlerMethods()
                .keySet()
                .stream()
                .flatMap(info -> info.getPatternValues().stream()
                        .flatMap(pattern ->
                                info.getMethodsCondition().getMethods().isEmpty()
                                        ? Stream.of(new Route("GET", pattern), new Route("POST", pattern))
                                        : info.getMethodsCondition().getMethods().stream()
                                                .map(method -> new Route(method.name(), pattern))));
        return Stream.concat(mapped, Stream.of(new Route("POST", "/sign-out")))
                .distinct()
                .toList();
    }

    @Override
    public void close() {
        context.close();
    }

    /** Somebody with a browser of their own, who keeps cookies and sends forms from our own pages. */
    public static final class Visitor {

        private final CookieManager cookies = new CookieManager();
        private final HttpClient client = HttpClient.newBuilder()
                .cookieHandler(cookies)
                .connectTimeout(Duration.ofSeconds(10))
                .build();

        private final URI root;

        public Visitor(URI root) {
            this.root = root;
        }

        /** The same person, by another instance on the same host. */
        public Visitor at(URI other) {
            Visitor there = new Visitor(other);
            cookies.getCookieStore()
                    .getCookies()
                    .forEach(cookie -> there.cookies.getCookieStore().add(other, cookie));
            return there;
        }

        public HttpResponse<String> get(String path) throws IOException, InterruptedException {
            return client.send(request(path).build(), HttpResponse.BodyHandlers.ofString());
        }

        /** Of an answer that goes on and on, its lines as they come. */
        public Stream<String> lines(String path) throws IOException, InterruptedException {
            return client.send(request(path).build(), HttpResponse.BodyHandlers.ofLines())
                    .body();
        }

        /** @param fields names and values in turn */
        public HttpResponse<String> post(String path, String... fields) throws IOException, InterruptedException {
            return client.send(form(path, fields), HttpResponse.BodyHandlers.ofString());
        }

        public HttpRequest form(String path, String... fields) {
            String body = java.util.stream.IntStream.range(0, fields.length / 2)
                    .mapToObj(i -> encode(fields[2 * i]) + "=" + encode(fields[2 * i + 1]))
                    .collect(Collectors.joining("&"));
            return request(path)
                    .header("Content-Type", "application/x-www-form-urlencoded")
                    .header("Sec-Fetch-Site", "same-origin")
                    .POST(HttpRequest.BodyPublishers.ofString(body))
                    .build();
        }

        /** Signs in at the institution's sign-on, as a browser would; what this application answers in the end. */
        public HttpResponse<String> signIn(String name) throws IOException, InterruptedException {
            return signIn(name, "/");
        }

        /** @param back where to go afterwards */
        public HttpResponse<String> signIn(String name, String back) throws IOException, InterruptedException {
            return SignIn.by(client, root, name, back);
        }

        /** A file as a form sends it. */
        public HttpResponse<String> upload(String path, String field, String name, String content)
                throws IOException, InterruptedException {
            String body = "--part\r\nContent-Disposition: form-data; name=\"" + field + "\"; filename=\"" + name
                    + "\"\r\nContent-Type: text/plain\r\n\r\n" + content
                    + "\r\n--part\r\nContent-Disposition: form-data; name=\"back\"\r\n\r\n/autumn-2031/week\r\n--part--\r\n";
            HttpRequest request = request(path)
                    .header("Content-Type", "multipart/form-data; boundary=part")
                    .header("Sec-Fetch-Site", "same-origin")
                    .POST(HttpRequest.BodyPublishers.ofString(body))
                    .build();
            return client.send(request, HttpResponse.BodyHandlers.ofString());
        }

        /** What is answered at the end of all redirects. */
        public HttpResponse<String> follow(HttpResponse<String> answer) throws IOException, InterruptedException {
            HttpResponse<String> last = answer;
            while (last.headers().firstValue("Location").isPresent() && last.statusCode() / 100 == 3) {
                URI next = root.resolve(last.headers().firstValue("Location").orElseThrow());
                last = client.send(
                        HttpRequest.newBuilder(next)
                                .timeout(Duration.ofSeconds(60))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
            }
            return last;
        }

        public HttpClient client() {
            return client;
        }

        /** The value of a cookie; empty where there is none. */
        public String cookie(String name) {
            return cookies.getCookieStore().getCookies().stream()
                    .filter(cookie -> cookie.getName().equals(name))
                    .map(java.net.HttpCookie::getValue)
                    .findFirst()
                    .orElse("");
        }

        /** Takes a cookie away, as a browser does when its time is over. */
        public void forget(String name) {
            cookies.getCookieStore().getCookies().stream()
                    .filter(cookie -> cookie.getName().equals(name))
                    .toList()
                    .forEach(cookie ->
                            cookies.getCookieStore().remove(Institution.shared().root(), cookie));
        }

        public HttpRequest.Builder request(String path) {
            return HttpRequest.newBuilder(root.resolve(path))
                    .header("Accept", "text/html,*/*")
                    .timeout(Duration.ofSeconds(60));
        }

        private static String encode(String text) {
            return URLEncoder.encode(text, StandardCharsets.UTF_8);
        }
    }
}
