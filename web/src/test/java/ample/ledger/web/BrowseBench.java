package ample.ledger.web;

import ample.ledger.core.fixtures.StolenTime;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import java.net.URI;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Supplier;
import java.util.stream.Stream;

/**
 * Measures Browse in Chromium, of an application that runs: {@code ./ledger bench browse}. How long a change of the brief
 * takes, from the click to the frame that shows all that is in sight, with the tasks that kept the browser busy; and what a
 * first view weighs. The application has answered for a while before, as that of an institution would have.
 */
public final class BrowseBench {

    /** Changes that students make, each from the brief before it; gone through several times. */
    private static final List<String> CHANGES = List.of(
            "subject=glac",
            "subject=glac,tide,limn",
            "subject=glac,tide,limn&at=tidewall",
            "at=tidewall",
            "at=tidewall,upper-fell&days=only:mon,wed,thu",
            "at=tidewall,upper-fell&days=only:mon,wed,thu&from=09:00",
            "at=tidewall,upper-fell&days=only:mon,wed,thu&from=09:00&to=15:30",
            "at=tidewall,upper-fell&days=only:mon,wed,thu&from=09:00&to=15:30&seats=3&waiting=0",
            "days=only:tue,thu&toward=field-practice",
            "toward=field-practice,making&from=17:00",
            "delivery=online-untimed,online-timed",
            "level=2&seats=1",
            "closed=mon:00:00-12:00,fri:00:00-24:00",
            "closed=mon:00:00-12:00,fri:00:00-24:00&kind=lab",
            "words=water&untimed=no",
            "subject=glac&days=only:fri&to=09:00&untimed=no&seats=60",
            "number=200-299",
            "weeks=8",
            "from=10:00",
            "");

    /** Between two changes, in milliseconds; what comes near is fetched meanwhile. */
    private static final int THINKING = 300;

    private static final int FIRST_VIEWS = 15;
    private static final int ROUNDS = 6;
    private static final int TO_WARM_UP = 2;

    private static final String CLICK = """
            (address) => new Promise((done) => {
              const link = document.createElement("a");
              link.href = address;
              document.querySelector("[data-part]").append(link);
              const start = performance.now();
              const afterTheFrame = () => requestAnimationFrame(() => {
                const channel = new MessageChannel();
                channel.port1.onmessage = () => {
                  const missing = document.querySelector("#lines .hole")?.getBoundingClientRect().top;
                  if (missing < window.innerHeight) {
                    afterTheFrame();
                  } else {
                    done(performance.now() - start);
                  }
                };
                channel.port2.postMessage(null);
              });
              document.addEventListener("shown", afterTheFrame, { once: true });
              link.click();
            })
            """;

    private static final String WATCH = """
            window.longTasks = [];
            window.shift = 0;
            window.painted = 0;
            new PerformanceObserver((list) => list.getEntries().forEach((e) => longTasks.push(e.startTime, e.duration)))
              .observe({ type: "longtask", buffered: true });
            new PerformanceObserver((list) => list.getEntries().forEach((e) => { if (!e.hadRecentInput) shift += e.value; }))
              .observe({ type: "layout-shift", buffered: true });
            new PerformanceObserver((list) => list.getEntries().forEach((e) => (painted = e.startTime)))
              .observe({ type: "largest-contentful-paint", buffered: true });
            """;

    private static final String SCROLL = """
            ([step, windows]) => new Promise((done) => {
              const most = Math.round(windows * window.innerHeight / step);
              let steps = 0;
              let last = performance.now();
              const gaps = [];
              const next = () => {
                const now = performance.now();
                gaps.push(now - last);
                last = now;
                if (steps++ === most) {
                  gaps.sort((one, other) => one - other);
                  done(`frames of ${Math.round(gaps[Math.round(most / 2)])} ms in the median, ${Math.round(gaps[Math.round(most * 0.95)])} ms at the 95th percentile; `
                    + document.querySelectorAll(".line, .gap").length);
                  return;
                }
                window.scrollBy(0, step);
                requestAnimationFrame(next);
              };
              next();
            })
            """;

    private BrowseBench() {}

    /** @param arguments where the application answers */
    public static void main(String[] arguments) {
        String browse = arguments[0] + "/autumn-2031/browse";
        new SteadyRequests()
                .warmUp(CHANGES.stream()
                        .flatMap(change -> Stream.of(address(browse, change), address(browse + "/leaf", change)))
                        .toList());
        try (InChromium.Started chromium = InChromium.start()) {
            Page page = open(chromium.browser(), browse);
            String posted = page.locator("#account tbody td").first().textContent();
            System.out.printf("%n%s sections posted%n%n", posted);
            try (StolenTime stolen = new StolenTime()) {
                changes(page, browse);
                System.out.println("tasks of 50 ms or more in the browser: " + longTasks(page, stolen));
                System.out.println("meanwhile " + stolen.inWords());
                scrolling(page, browse, stolen);
            }
            page.context().close();
            firstView(chromium.browser(), browse);
            System.out.println("signed in as a student:");
            Page students = open(chromium.browser(), browse);
            SignIn.in(students, URI.create(arguments[0]), PagesBench.STUDENT);
            students.navigate(browse);
            changes(students, browse);
        }
    }

    private static String address(String browse, String change) {
        return change.isEmpty() ? browse : browse + "?" + change;
    }

    private static Page open(Browser browser, String address) {
        Page page = window(browser);
        page.navigate(address);
        page.waitForTimeout(500);
        return page;
    }

    private static void changes(Page page, String browse) {
        List<Double> times = new ArrayList<>();
        for (int round = 0; round < ROUNDS + TO_WARM_UP; round++) {
            if (round == TO_WARM_UP) {
                page.evaluate("window.longTasks = []");
            }
            for (String change : CHANGES) {
                double took = ((Number) page.evaluate(CLICK, address(browse, change))).doubleValue();
                if (round >= TO_WARM_UP) {
                    times.add(took);
                }
                page.waitForTimeout(THINKING);
            }
        }
        Collections.sort(times);
        System.out.printf(
                Locale.ENGLISH,
                "change of the brief to changed screen: median %.0f ms, 95th percentile %.0f ms, longest %.0f ms (%d changes)%n",
                times.get(times.size() / 2),
                times.get(times.size() * 95 / 100),
                times.get(times.size() - 1),
                times.size());
    }

    /** The tasks that kept the browser for 50 ms or more: how long, and what others had of the processors in that time. */
    private static String longTasks(Page page, StolenTime stolen) {
        List<?> told =
                (List<?>) page.evaluate("longTasks.map((each, at) => at % 2 ? each : performance.timeOrigin + each)");
        List<String> tasks = new ArrayList<>();
        for (int i = 0; i < told.size(); i += 2) {
            double start = ((Number) told.get(i)).doubleValue();
            double lasted = ((Number) told.get(i + 1)).doubleValue();
            tasks.add(String.format(
                    Locale.ENGLISH, "%.0f ms (%d taken by others)", lasted, stolen.between((long) start, (long)
                            Math.ceil(start + lasted))));
        }
        return tasks.isEmpty() ? "none" : String.join(", ", tasks);
    }

    /** Goes through the list at the speed of a finger's flick, and a window's height at once. */
    private static void scrolling(Page page, String browse, StolenTime stolen) {
        for (int step : List.of(100, 700)) {
            page.navigate(browse);
            page.waitForTimeout(1_000);
            page.evaluate("window.longTasks = []");
            Object frames = page.evaluate(SCROLL, List.of(step, 80));
            System.out.println("scrolling 80 windows down the list, " + step + " pixels a frame: " + frames
                    + " lines and gaps in the page at the end; tasks of 50 ms or more: "
                    + longTasks(page, stolen));
        }
    }

    /**
     * The first view of a student whose browser runs already, the tab empty and nothing of ours kept; the same in a window that
     * is opened for it with all that belongs to a new visitor, whose drawing counts as well; and the view of one who was here before.
     */
    private static void firstView(Browser browser, String address) {
        System.out.println("first view: " + weight(window(browser), address));
        Page tab = window(browser);
        tab.navigate(address);
        CDPSession network = tab.context().newCDPSession(tab);
        paints("in a tab, nothing kept", () -> {
            tab.navigate("about:blank");
            network.send("Network.clearBrowserCache");
            return firstView(tab, address);
        });
        paints("in a tab, by one who was here before", () -> {
            tab.navigate("about:blank");
            return firstView(tab, address);
        });
        tab.context().close();
        paints("in a window opened for it", () -> {
            Page page = window(browser);
            FirstView view = firstView(page, address);
            page.context().close();
            return view;
        });
    }

    /**
     * @param paint the largest contentful paint, in milliseconds from the beginning of the visit
     * @param shift of the layout, from 0
     */
    private record FirstView(double paint, double shift) {}

    private static FirstView firstView(Page page, String address) {
        page.navigate(address);
        page.waitForTimeout(1_000);
        return new FirstView(
                ((Number) page.evaluate("painted")).doubleValue(), ((Number) page.evaluate("shift")).doubleValue());
    }

    private static void paints(String where, Supplier<FirstView> visit) {
        List<FirstView> views = Stream.generate(visit)
                .limit(FIRST_VIEWS)
                .sorted(Comparator.comparingDouble(FirstView::paint))
                .toList();
        System.out.printf(
                Locale.ENGLISH,
                "largest contentful paint %s: median %.0f ms of %d, greatest %.0f; greatest layout shift %.4f%n",
                where,
                views.get(FIRST_VIEWS / 2).paint(),
                FIRST_VIEWS,
                views.get(FIRST_VIEWS - 1).paint(),
                views.stream().mapToDouble(FirstView::shift).max().orElseThrow());
    }

    /** A window of a visitor who was never here. */
    private static Page window(Browser browser) {
        Page page = browser.newContext(new Browser.NewContextOptions().setViewportSize(1280, 800))
                .newPage();
        page.addInitScript(WATCH);
        return page;
    }

    /** What comes over the wire for a first view. Counted by itself: counting takes the browser time. */
    private static String weight(Page page, String address) {
        AtomicLong all = new AtomicLong();
        AtomicLong document = new AtomicLong();
        CDPSession network = page.context().newCDPSession(page);
        network.send("Network.enable");
        List<String> documents = new ArrayList<>();
        network.on("Network.responseReceived", event -> {
            if (event.get("type").getAsString().equals("Document")) {
                documents.add(event.get("requestId").getAsString());
            }
        });
        network.on("Network.loadingFinished", event -> {
            long size = event.get("encodedDataLength").getAsLong();
            all.addAndGet(size);
            if (documents.contains(event.get("requestId").getAsString())) {
                document.addAndGet(size);
            }
        });
        long unpacked = page.navigate(address).body().length;
        page.waitForTimeout(1_000);
        page.context().close();
        return String.format(
                Locale.ENGLISH,
                "HTML %.1f KB, %.1f KB packed; in all %.1f KB over the wire",
                unpacked / 1024.0,
                document.get() / 1024.0,
                all.get() / 1024.0);
    }
}
