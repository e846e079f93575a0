package ample.ledger.web.registrar;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import java.io.IOException;
import java.math.BigDecimal;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import tools.jackson.databind.json.JsonMapper;

/**
 * The least that an institution has to write: an adapter that answers from a file of records which some other system exports every night.
 * It is the example of docs/bring-your-own-registrar.md.
 */
class FileOfRecordsTest implements RegistrarContract {

    private static final String KEY = "given by the institution";

    /** One line a course; what goes for a student as a whole stands on each. */
    private static final String FILE = """
            student,name,credits,year,programme,course,grade
            maris,Maris,46,2,glaciology,GLAC 120,A-
            maris,Maris,46,2,glaciology,NUMB 112,B
            maris,Maris,46,2,glaciology,CART 360,
            odo,Odo,104,4,limnology,LIMN 130,A
            """;

    private static HttpServer server;

    @BeforeAll
    static void start() throws IOException {
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.createContext("/registrar/v1", FileOfRecordsTest::answer);
        server.setExecutor(Executors.newFixedThreadPool(2));
        server.start();
    }

    @AfterAll
    static void stop() {
        server.stop(0);
    }

    @Override
    public URI address() {
        return URI.create("http://127.0.0.1:" + server.getAddress().getPort() + "/registrar/v1");
    }

    @Override
    public String key() {
        return KEY;
    }

    // --- the adapter ---

    private static final Pattern STUDENT = Pattern.compile("/registrar/v1/students/([^/]+)");
    private static final Pattern NEWS = Pattern.compile("(after=\\d+)?(&?wait=\\d{1,2})?");

    private static void answer(HttpExchange asked) throws IOException {
        String path = asked.getRequestURI().getPath();
        String query = Optional.ofNullable(asked.getRequestURI().getQuery()).orElse("");
        var student = STUDENT.matcher(path);
        if (!("Bearer " + KEY).equals(asked.getRequestHeaders().getFirst("Authorization"))) {
            send(asked, 401, Map.of("title", "The key is missing or wrong", "status", 401));
        } else if (path.endsWith("/news") && NEWS.matcher(query).matches()) {
            // A file that is read once a night has nothing to tell between.
            send(asked, 200, Map.of("last", 1, "now", Instant.now().toString(), "seats", List.of()));
        } else if (path.endsWith("/news")) {
            send(asked, 400, Map.of("title", "What is asked is not understood", "status", 400));
        } else if (student.matches() && !lines(student.group(1)).isEmpty()) {
            send(asked, 200, file(lines(student.group(1))));
        } else {
            send(asked, 404, Map.of("title", "There is no such student", "status", 404));
        }
    }

    private static List<NamedCsvRecord> lines(String student) throws IOException {
        try (CsvReader<NamedCsvRecord> csv = CsvReader.builder().ofNamedCsvRecord(FILE)) {
            return csv.stream()
                    .filter(line -> line.getField("student").equals(student))
                    .toList();
        }
    }

    private static Map<String, Object> file(List<NamedCsvRecord> lines) {
        NamedCsvRecord first = lines.get(0);
        return Map.of(
                "student",
                first.getField("student"),
                "name",
                first.getField("name"),
                "asOf",
                Instant.now().toString(),
                "creditsEarned",
                new BigDecimal(first.getField("credits")),
                "level",
                Integer.valueOf(first.getField("year")),
                "programme",
                first.getField("programme"),
                "courses",
                lines.stream()
                        .map(line -> line.getField("grade").isEmpty()
                                ? Map.of("course", line.getField("course"))
                                : Map.of("course", line.getField("course"), "grade", line.getField("grade")))
                        .collect(Collectors.toList()));
    }

    private static void send(HttpExchange asked, int status, Map<String, Object> said) throws IOException {
        byte[] written = JsonMapper.shared().writeValueAsString(said).getBytes(StandardCharsets.UTF_8);
        asked.getResponseHeaders().set("Content-Type", status == 200 ? "application/json" : "application/problem+json");
        asked.sendResponseHeaders(status, written.length);
        asked.getResponseBody().write(written);
        asked.close();
    }
}
