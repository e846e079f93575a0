package ample.ledger.web.attack;

import ample.ledger.web.ServerProcess;
import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Attacks an application that runs on this machine, one kind of attack after the other, and measures what others notice: how soon
 * Browse is there for them before and meanwhile, and whether anything of theirs fails. Five minutes in all, on loopback only.
 */
public final class Attack {

    private static final Duration EACH = Duration.ofSeconds(10);
    private static final Duration REST = Duration.ofSeconds(3);
    /** How many requests they send at once. */
    private static final int AT_ONCE = 12;

    /** All of them come from one: 127.0.1.1. */
    private static final int ADDRESS = 1;

    private final int port;
    private final URI root;
    private final Others others;
    private final Attacked attacked;
    private final String only;
    private final String term = "/autumn-2031";
    private final List<String> courses;
    private final List<String> entries;

    /** What others waited while nobody attacked, in all. */
    private final List<Double> quiet = new ArrayList<>();

    private Attack(URI root, Attacked attacked, String only) throws IOException, InterruptedException {
        this.root = root;
        this.port = root.getPort();
        this.others = new Others(root);
        this.attacked = attacked;
        this.only = only;
        String list = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(root.resolve("/lists/v1/autumn-2031/sections.csv"))
                                .build(),
                        HttpResponse.BodyHandlers.ofString())
                .body();
        Map<String, Integer> sections = new TreeMap<>();
        entries = Pattern.compile("(?m)^([0-9]+),([A-Z]+ [0-9a-z]+)")
                .matcher(list)
                .results()
                .peek(line -> sections.merge(line.group(2), 1, Integer::sum))
                .map(line -> line.group(1))
                .toList();
        courses = sections.entrySet().stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue().reversed())
                .map(Map.Entry::getKey)
                .toList();
    }

    /** One try of an attack: what is answered. */
    private interface Blow {
        int strike(Attacker attacker, int turn) throws Exception;
    }

    /**
     * @param arguments where the application answers, its process, the folder of its cluster, and a part of the names of the attacks to
     *     try; of all where it is left out
     */
    public static void main(String[] arguments) throws Exception {
        String only = arguments.length > 3 ? arguments[3] : "";
        new Attack(URI.create(arguments[0]), new Attacked(new ServerProcess(arguments[1]), Path.of(arguments[2])), only)
                .all();
    }

    private void all() throws Exception {
        others.arrive();
        for (int i = 0; i < 3; i++) {
            others.browse(Duration.ofSeconds(10));
        }
        System.out.printf(
                Locale.ENGLISH, "%n%,d sections posted; others ask for Browse 10 times a second%n%n", entries.size());
        System.out.println(
                "| attack | before: median, 95th percentile, ms | during: median, 95th percentile, ms | failed | memory before, after, MB | answered to the attackers |");
        System.out.println("|---|---|---|---|---|---|");
        String endless = plan(
                "{\"label\":\"x\",\"days\":[\"monday\"],\"first\":\"0001-01-01\",\"last\":\"+200000000-12-31\",\"starts\":\"9:00\",\"ends\":\"10:00\"}");
        attack(
                "a busy time of 200 million years",
                (who, turn) -> turn % 2 == 0 ? who.upload(term + "/week/bring", endless) : who.get(term + "/week"));
        String minutes = "BEGIN:VCALENDAR\r\n" + everyMinute().repeat(10) + "END:VCALENDAR\r\n";
        String many =
                "BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nDTSTART:20310908T080000Z\r\nDTEND:20310908T090000Z\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n"
                        .repeat(9_000);
        attack(
                "calendars of every minute, and 9,000 calendars in a file",
                (who, turn) -> who.upload(term + "/week/calendar", turn % 2 == 0 ? minutes : many));
        attack("the fullest weeks", this::fullWeek);
        String dates = plan(
                "{\"label\":\"x\",\"days\":[\"monday\"],\"first\":\"2031-09-08\",\"last\":\"2031-12-19\",\"starts\":\"9:00\",\"ends\":\"10:00\",\"except\":["
                        + "\"2031-09-08\",".repeat(290_000) + "\"2031-09-08\"]}");
        attack("plan files of 3.8 MB", (who, turn) -> who.upload(term + "/week/bring", dates));
        attack("whole lists, twelve at once", (who, turn) -> who.get(term + "/browse?whole=yes"));
        AtomicInteger named = new AtomicInteger();
        attack(
                "plans of 30 sections in an address, each another",
                (who, turn) -> who.get(term + "/browse?plan=" + some(30, named.getAndIncrement())));
        weaving();
        attack("new visitors, and forms to sign in", (who, turn) -> {
            who.forgetCookie();
            return turn % 2 == 0
                    ? who.get("/sign-in")
                    : who.post(term + "/week/add", "line=" + entries.get(0) + "&back=/preferences");
        });
        attack("unknown addresses", (who, turn) -> who.get("/spring-" + turn + "/browse"));
        attack(
                "1,000 streams",
                held("GET " + term + "/seats HTTP/1.1\r\nHost: 127.0.0.1\r\nAccept: text/event-stream\r\n\r\n", 1_000));
        attack(
                "400 bodies, a byte at a time",
                held(
                        "POST " + term + "/week/add HTTP/1.1\r\nHost: 127.0.0.1\r\nSec-Fetch-Site: same-origin\r\n"
                                + "Content-Type: application/x-www-form-urlencoded\r\nContent-Length: 1000\r\n\r\nline=",
                        400));
        Others strangers = new Others(root);
        strangers.browse(Duration.ofSeconds(3));
        standStill("the database stands still, 230 at once ask with cookies; others have none", strangers);
        standStill("the same; others have a cookie, and are told that their plans are away", others);
        Thread.sleep(3_000);
        Others.Seen allQuiet = Others.Seen.of(quiet);
        Others.Seen after = others.browse(Duration.ofSeconds(6));
        System.out.printf(
                Locale.ENGLISH,
                "%nQuiet, over all: %.0f and %.0f ms. After all of it: %.0f and %.0f ms, %d failed, %d MB of heap in use%n",
                allQuiet.median(),
                allQuiet.late(),
                after.median(),
                after.late(),
                after.failed(),
                attacked.heap());
    }

    private void weaving() throws Exception {
        String name = "hard weavings, as many as one likes";
        if (!name.contains(only)) {
            return;
        }
        double quiet = IntStream.range(0, 5).mapToDouble(this::weave).sorted().toArray()[2];
        List<Double> times = new ArrayList<>();
        Thread weaver = new Thread(() -> IntStream.range(5, 12).forEach(i -> times.add(weave(i))));
        String hard = courses.stream().limit(12).map(code -> encoded(code)).collect(Collectors.joining(","));
        AtomicBoolean begun = new AtomicBoolean();
        attack(name, (who, turn) -> {
            if (begun.compareAndSet(false, true)) {
                weaver.start();
            }
            return who.get(term + "/week?weave=1&want=" + hard + "&closed=fri+" + (8 + turn % 8) + ":00-"
                    + (16 + turn % 5) + ":00&refuse=" + entries.get(turn % entries.size()));
        });
        weaver.join();
        System.out.printf(
                Locale.ENGLISH,
                "| (weavings of others) | %.0f | %.0f at the most of %d | | | |%n",
                quiet,
                times.stream().mapToDouble(Double::doubleValue).max().orElse(Double.NaN),
                times.size());
    }

    private double weave(int variant) {
        try {
            return others.weave(courses.subList(0, 3), variant);
        } catch (IOException | InterruptedException e) {
            return Double.NaN;
        }
    }

    /** So many sections; others for another {@code variant}, of every part of the schedule, in the order in which an address is answered at once. */
    private String some(int count, int variant) {
        return new Random(variant)
                .ints(count, 0, entries.size())
                .mapToObj(entries::get)
                .distinct()
                .sorted()
                .collect(Collectors.joining(","));
    }

    private int fullWeek(Attacker who, int turn) throws IOException {
        if (turn == 0) {
            String busy = IntStream.range(0, 60)
                    .mapToObj(
                            i -> "{\"label\":\"shift " + i
                                    + "\",\"days\":[\"monday\",\"tuesday\",\"wednesday\",\"thursday\",\"friday\"],"
                                    + "\"first\":\"2031-01-01\",\"last\":\"2031-12-31\",\"starts\":\"9:00\",\"ends\":\"21:00\"}")
                    .collect(Collectors.joining(","));
            who.upload(term + "/week/bring", plan(busy));
            return who.post(
                    term + "/week/add",
                    "line=" + entries.stream().limit(60).collect(Collectors.joining(",")) + "&back=/preferences");
        }
        return who.get(term + "/week");
    }

    private void standStill(String name, Others noticing) throws Exception {
        AtomicBoolean stopped = new AtomicBoolean();
        attack(name, (who, turn) -> cookies(who, turn, stopped), 230, noticing);
        attacked.signal("-CONT");
        Thread.sleep(3_000);
    }

    private int cookies(Attacker who, int turn, AtomicBoolean stopped) throws IOException, InterruptedException {
        if (stopped.compareAndSet(false, true)) {
            attacked.signal("-STOP");
        }
        // All of them at once, again and again.
        Thread.sleep(turn == 0 ? 500 : 2_500);
        return turn % 10 == 9 ? who.get("/unknown/browse") : who.get(term + "/browse");
    }

    private static Blow held(String request, int most) {
        List<Socket> open = java.util.Collections.synchronizedList(new ArrayList<>());
        return (who, turn) -> {
            if (open.size() < most) {
                open.add(who.open(request));
            } else {
                Socket some = open.get(turn % most);
                try {
                    some.getOutputStream().write('x');
                } catch (IOException gone) {
                    some.close();
                    open.set(turn % most, who.open(request));
                }
                Thread.sleep(2);
            }
            return 0;
        };
    }

    private void attack(String name, Blow blow) throws Exception {
        attack(name, blow, AT_ONCE, others);
    }

    private void attack(String name, Blow blow, int threads, Others noticing) throws Exception {
        if (!name.contains(only)) {
            return;
        }
        Others.Seen before = noticing.browse(Duration.ofSeconds(4));
        quiet.addAll(before.times());
        long heapBefore = attacked.heap();
        AtomicBoolean over = new AtomicBoolean();
        Map<Integer, Integer> answers = new ConcurrentSkipListMap<>();
        List<Thread> attackers = new ArrayList<>();
        for (int i = 0; i < threads; i++) {
            Attacker attacker = new Attacker(ADDRESS, port);
            Thread thread = new Thread(() -> {
                for (int turn = 0; !over.get(); turn++) {
                    try {
                        answers.merge(blow.strike(attacker, turn), 1, Integer::sum);
                    } catch (Exception refused) {
                        answers.merge(-1, 1, Integer::sum);
                    }
                }
            });
            thread.setDaemon(true);
            attackers.add(thread);
            thread.start();
        }
        Others.Seen during = noticing.browse(EACH);
        over.set(true);
        for (Thread thread : attackers) {
            thread.join(20_000);
        }
        Thread.sleep(REST.toMillis());
        System.out.printf(
                Locale.ENGLISH,
                "| %s | %.0f, %.0f | %.0f, %.0f | %d | %d, %d | %s |%n",
                name,
                before.median(),
                before.late(),
                during.median(),
                during.late(),
                during.failed(),
                heapBefore,
                attacked.heap(),
                words(answers));
    }

    private static String words(Map<Integer, Integer> answers) {
        return answers.entrySet().stream()
                .map(answer -> answer.getValue() + " × " + (answer.getKey() <= 0 ? "cut off or held" : answer.getKey()))
                .collect(Collectors.joining(", "));
    }

    private static String plan(String busy) {
        return "{\"format\":\"ample-ledger-plan\",\"version\":1,\"name\":\"A\",\"season\":\"autumn-2031\",\"busy\":["
                + busy + "]}";
    }

    private static String everyMinute() {
        return "BEGIN:VEVENT\r\nDTSTART:20310908T000000Z\r\nDTEND:20310908T000100Z\r\nRRULE:FREQ=DAILY;BYHOUR="
                + IntStream.range(0, 24).mapToObj(Integer::toString).collect(Collectors.joining(","))
                + ";BYMINUTE="
                + IntStream.range(0, 60).mapToObj(Integer::toString).collect(Collectors.joining(","))
                + "\r\nEND:VEVENT\r\n";
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }
}
