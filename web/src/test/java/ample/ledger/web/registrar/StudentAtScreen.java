package ample.ledger.web.registrar;

import ample.ledger.core.registrar.Answer;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Refusal;
import ample.ledger.core.registrar.Refusal.Reason;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.registrar.Request.Act;
import ample.ledger.core.registrar.Submission;
import ample.ledger.core.schedule.Coded;
import ample.ledger.web.SignIn;
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
import java.util.Map;
import java.util.Optional;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** A student who uses the application's pages as a browser without scripts does: signs in, plans, submits, and reads what was answered. */
public final class StudentAtScreen {

    private static final Duration PATIENCE = Duration.ofSeconds(30);
    private static final Pattern FIELD = Pattern.compile("name=\"ask\" value=\"([^\"]*)\"");
    private static final Pattern LINE = Pattern.compile("<li class=\"(?:met|later|fails)\">([^<]*)</li>");
    private static final Pattern PLACE = Pattern.compile("You wait for .*: (\\d+)\\w\\w of (\\d+)");

    private final HttpClient browser = HttpClient.newBuilder()
            .cookieHandler(new CookieManager())
            .followRedirects(HttpClient.Redirect.NORMAL)
            .build();
    private final URI root;
    private final String term;

    /** @param term whose pages they use */
    public StudentAtScreen(URI root, String term) {
        this.root = root;
        this.term = term;
    }

    public void signIn(String student) throws IOException, InterruptedException {
        SignIn.by(browser, root, student, "/" + term + "/ready");
    }

    void plan(List<Entry> sections) throws IOException, InterruptedException {
        post(
                "/" + term + "/week/add",
                Map.of("line", sections.stream().map(Entry::number).collect(Collectors.joining(","))));
    }

    /** Everything that the form of Readiness would send. */
    List<Request> ready() throws IOException, InterruptedException {
        String form = get("/" + term + "/ready");
        int begins = form.indexOf("class=\"doing\"");
        if (begins < 0) {
            throw new IOException("Readiness has no form now");
        }
        String first = form.substring(begins, form.indexOf("</form>", begins));
        return FIELD.matcher(first)
                .results()
                .map(field -> request(field.group(1)))
                .toList();
    }

    private static Request request(String token) {
        String[] parts = token.split(":", -1);
        return new Request(Coded.parse(Act.class, parts[0]).orElseThrow(), entries(parts[1]), entries(parts[2]));
    }

    private static List<Entry> entries(String some) {
        return Arrays.stream(some.split(","))
                .filter(entry -> !entry.isEmpty())
                .map(entry -> new Entry(entry.replaceFirst("\\..*", ""), entry.replaceFirst(".*\\.", "")))
                .toList();
    }

    private static String token(Request request) {
        return request.act() + ":" + tokens(request.set()) + ":" + tokens(request.instead());
    }

    private static String tokens(List<Entry> entries) {
        return entries.stream()
                .map(entry -> entry.term() + "." + entry.number())
                .collect(Collectors.joining(","));
    }

    /**
     * Sends a form of requests. Sent again under its name it is not asked twice.
     *
     * @param back the page that the answers are written on
     * @return that page
     */
    public String submit(String id, List<Request> requests, String back) throws IOException, InterruptedException {
        String form = requests.stream()
                .map(request -> "&ask=" + encode(token(request)))
                .collect(Collectors.joining());
        return post("/" + term + "/ready/submit", "id=" + id + "&back=" + encode("/" + term + back) + form);
    }

    /** What was answered to requests that were submitted under {@code id}, as My registration tells it; empty while it is not. */
    public Optional<List<Submission.Line>> answered(String id, List<Request> requests)
            throws IOException, InterruptedException {
        String page = get("/" + term + "/registration?submitted=" + id);
        int begins = page.indexOf("The registrar answered on");
        if (begins < 0) {
            return Optional.empty();
        }
        List<String> words = LINE.matcher(page.substring(begins, page.indexOf("</div>", begins)))
                .results()
                .map((MatchResult line) -> line.group(1))
                .toList();
        List<Submission.Line> lines = new ArrayList<>();
        for (Request request : requests) {
            String about = "(" + request.set().stream().map(Entry::number).collect(Collectors.joining(", ")) + ")";
            lines.add(new Submission.Line(
                    request,
                    answer(
                            request,
                            words.stream().filter(line -> line.contains(about)).toList())));
        }
        return Optional.of(lines);
    }

    private static Answer answer(Request request, List<String> words) {
        if (words.isEmpty()) {
            throw new IllegalStateException("Nothing is answered to " + request);
        }
        if (words.get(0).contains(": Done")) {
            return Answer.DONE;
        }
        List<Answer.Place> places = words.stream()
                .map(PLACE::matcher)
                .filter(Matcher::find)
                .map(place -> new Answer.Place(
                        request.set().get(0), Integer.parseInt(place.group(1)), Integer.parseInt(place.group(2))))
                .toList();
        if (!places.isEmpty()) {
            // The page names the sections of a set as people do: which place is whose is told of one section only.
            return Answer.waiting(request.set().size() == 1 ? places : List.of());
        }
        return Answer.refused(words.stream()
                .map(line -> Refusal.of(
                        line.contains("is free for you") ? Reason.FULL_WAITLIST_OPEN : Reason.FULL,
                        request.set().get(0),
                        line))
                .toList());
    }

    String get(String address) throws IOException, InterruptedException {
        return send(HttpRequest.newBuilder(root.resolve(address)));
    }

    private String post(String address, Map<String, String> fields) throws IOException, InterruptedException {
        return post(
                address,
                fields.entrySet().stream()
                        .map(field -> field.getKey() + "=" + encode(field.getValue()))
                        .collect(Collectors.joining("&")));
    }

    private String post(String address, String form) throws IOException, InterruptedException {
        return send(HttpRequest.newBuilder(root.resolve(address))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .header("Sec-Fetch-Site", "same-origin")
                .POST(HttpRequest.BodyPublishers.ofString(form)));
    }

    private String send(HttpRequest.Builder request) throws IOException, InterruptedException {
        HttpResponse<String> answer = browser.send(
                request.header("Accept", "text/html").timeout(PATIENCE).build(), HttpResponse.BodyHandlers.ofString());
        if (answer.statusCode() != 200) {
            throw new IOException(answer.uri() + " answers " + answer.statusCode());
        }
        return answer.body();
    }

    private static String encode(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }
}
