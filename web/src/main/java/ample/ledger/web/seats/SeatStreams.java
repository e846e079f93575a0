package ample.ledger.web.seats;

import ample.ledger.core.schedule.Section;
import ample.ledger.web.term.Place;
import ample.ledger.web.term.Terms;
import ample.ledger.web.words.Words;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Collectors;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Tells open pages which seats stand otherwise now, as server-sent events: {@code seats} with the time and the entry numbers,
 * and now and then {@code word}, with the time alone, so that a page knows that nothing was lost.
 */
@Component
class SeatStreams implements SmartLifecycle {

    /** A stream ends after this, and the page begins another: what hangs is given up some time. */
    private static final Duration LONGEST = Duration.ofMinutes(10);

    private static final Duration SILENCE = Duration.ofSeconds(15);
    private static final int SENDERS = 4;

    /** More streams than this are not kept: pages then ask again later. */
    private static final int MOST = 5_000;

    private final Terms terms;
    private final Set<Stream> streams = ConcurrentHashMap.newKeySet();

    /** A page that reads slowly keeps one of these waiting, not the news. */
    private final ExecutorService senders = Executors.newFixedThreadPool(SENDERS, task -> {
        Thread thread = new Thread(task, "seat-streams");
        thread.setDaemon(true);
        return thread;
    });

    private volatile boolean running;
    private volatile long lastWord = System.nanoTime();

    SeatStreams(Terms terms) {
        this.terms = terms;
    }

    private record Stream(Place place, SseEmitter emitter) {}

    /** Begins a stream, with one word at once. */
    SseEmitter open(Place place) {
        SseEmitter emitter = new SseEmitter(LONGEST.toMillis());
        if (streams.size() >= MOST || !running) {
            emitter.complete();
            return emitter;
        }
        Stream stream = new Stream(place, emitter);
        emitter.onCompletion(() -> streams.remove(stream));
        emitter.onTimeout(emitter::complete);
        emitter.onError(error -> streams.remove(stream));
        streams.add(stream);
        senders.execute(() -> send(stream, "word", ""));
        return emitter;
    }

    /** Takes in what is new, and passes it on. */
    void refresh() {
        Map<String, List<Section>> changed = terms.refreshSeats();
        boolean silent = System.nanoTime() - lastWord > SILENCE.toNanos();
        if (!changed.isEmpty() || silent) {
            lastWord = System.nanoTime();
            streams.forEach(stream -> tell(stream, changed, silent));
        }
    }

    private void tell(Stream stream, Map<String, List<Section>> changed, boolean silent) {
        String entries = stream.place().terms().stream()
                .flatMap(posted -> changed.getOrDefault(posted.edition().term(), List.of()).stream())
                .map(section -> section.entry().digits())
                .collect(Collectors.joining(","));
        if (running && (!entries.isEmpty() || silent)) {
            senders.execute(() -> send(stream, entries.isEmpty() ? "word" : "seats", entries));
        }
    }

    private void send(Stream stream, String event, String entries) {
        try {
            String time = Words.clock(terms.now(stream.place()));
            stream.emitter().send(SseEmitter.event().name(event).data(time + " " + entries));
        } catch (IOException | IllegalStateException gone) {
            streams.remove(stream);
        }
    }

    @Override
    public void start() {
        running = true;
    }

    /** Ends every stream, so that a stopping application does not wait for them. */
    @Override
    public void stop() {
        running = false;
        streams.forEach(stream -> stream.emitter().complete());
        senders.shutdown();
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    /** Stopped first of all: before the server waits for what is under way. */
    @Override
    public int getPhase() {
        return Integer.MAX_VALUE;
    }
}
