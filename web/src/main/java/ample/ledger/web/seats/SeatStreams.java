package ample.ledger.web.seats;

import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.store.Notices;
import ample.ledger.web.guard.GuardSettings;
import ample.ledger.web.guard.TooManyException;
import ample.ledger.web.term.Place;
import ample.ledger.web.term.Places;
import ample.ledger.web.term.SeatChanges;
import ample.ledger.web.words.Words;
import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.binder.MeterBinder;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Tells open pages which seats stand otherwise now, as server-sent events: {@code seats}, with the time and the entry numbers,
 * and {@code word}, with the time alone. The second comes now and then, so that a page can tell silence from a lost
 * connection. The id of {@code seats} is
 * the number of the last change told; a page that begins a stream with it is first told what it has missed.
 */
@Component
class SeatStreams implements SmartLifecycle, MeterBinder {

    /** A stream ends after this, and the page begins another: what hangs is given up some time. */
    private static final Duration LONGEST = Duration.ofMinutes(10);

    private static final Duration SILENCE = Duration.ofSeconds(15);
    private static final int SENDERS = 4;

    private final SeatChanges seatChanges;
    private final Places places;
    private final ApplicationEventPublisher events;
    private final Notices notices;
    private final int mostOfAddress;
    private final int mostOfAccount;
    private final int most;
    private final Set<Listener> listeners = ConcurrentHashMap.newKeySet();
    private final Map<String, Integer> byAddress = new ConcurrentHashMap<>();
    private final Map<String, Integer> byAccount = new ConcurrentHashMap<>();

    /** How many unseen notices each page was told of last. */
    private final Map<Listener, Integer> told = new ConcurrentHashMap<>();

    /** A page that reads slowly keeps one of these waiting, not the news. */
    private final ExecutorService senders = Executors.newFixedThreadPool(SENDERS, task -> {
        Thread thread = new Thread(task, "seat-streams");
        thread.setDaemon(true);
        return thread;
    });

    private volatile boolean running;
    private volatile long lastWord = System.nanoTime();

    SeatStreams(
            SeatChanges seatChanges,
            Places places,
            ApplicationEventPublisher events,
            Notices notices,
            GuardSettings settings) {
        this.events = events;
        this.notices = notices;
        this.seatChanges = seatChanges;
        this.places = places;
        this.mostOfAddress = settings.streams();
        this.mostOfAccount = settings.account().streams();
        this.most = settings.allStreams();
    }

    /** @param owner the student who looks; empty for others */
    private record Listener(Place place, SseEmitter emitter, String address, Optional<String> owner) {}

    /**
     * Begins a stream, with one word at once.
     *
     * @param since the number of the last change that the page knows of
     * @param address of who asks; one address holds only so many
     * @param owner the student who asks, and may hold only so many; empty for others
     * @throws TooManyException when one of them holds as many already
     */
    SseEmitter open(Place place, long since, String address, Optional<String> owner) {
        SseEmitter emitter = new SseEmitter(LONGEST.toMillis());
        if (listeners.size() >= most || !running) {
            emitter.complete();
            return emitter;
        }
        Listener listener = new Listener(place, emitter, address, owner);
        add(listener);
        emitter.onCompletion(() -> remove(listener));
        emitter.onTimeout(emitter::complete);
        emitter.onError(error -> remove(listener));
        long last = seatChanges.last();
        tell(listener, entries(seatChanges.since(since, place).stream()), last, true);
        return emitter;
    }

    private void add(Listener listener) {
        listeners.add(listener);
        boolean addressFull = byAddress.merge(listener.address(), 1, Integer::sum) > mostOfAddress;
        boolean accountFull = listener.owner()
                .filter(owner -> byAccount.merge(owner, 1, Integer::sum) > mostOfAccount)
                .isPresent();
        if (addressFull || accountFull) {
            remove(listener);
            throw new TooManyException(
                    "Too many open pages %s; this one is not kept up to date."
                            .formatted(accountFull ? "of yours" : "at your address"),
                    Duration.ofSeconds(15));
        }
    }

    private void remove(Listener listener) {
        if (listeners.remove(listener)) {
            leave(byAddress, listener.address());
            listener.owner().ifPresent(owner -> leave(byAccount, owner));
        }
    }

    private static void leave(Map<String, Integer> counts, String who) {
        counts.computeIfPresent(who, (same, count) -> count == 1 ? null : count - 1);
    }

    /** How many streams are open. */
    int open() {
        return listeners.size();
    }

    @Override
    public void bindTo(MeterRegistry registry) {
        Gauge.builder("ledger.streams", this, SeatStreams::open)
                .description("Streams of seats and notices that are open")
                .register(registry);
    }

    /** Takes in what is new, and passes it on. */
    void refresh() {
        Map<TermCode, List<Section>> changed = seatChanges.refresh();
        if (!changed.isEmpty()) {
            events.publishEvent(new SeatsChanged(changed));
        }
        boolean silent = System.nanoTime() - lastWord > SILENCE.toNanos();
        if (!changed.isEmpty() || silent) {
            lastWord = System.nanoTime();
            long last = seatChanges.last();
            listeners.forEach(listener -> tell(listener, entries(changedOf(listener, changed)), last, silent));
        }
    }

    /** Tells students who look at a page how many notices they have not seen, where that may be otherwise now. */
    void refreshNotices() {
        List<Listener> students = listeners.stream()
                .filter(listener -> listener.owner().isPresent())
                .toList();
        Map<String, Integer> unseen =
                notices
                        .unseen(students.stream()
                                .flatMap(listener -> listener.owner().stream())
                                .distinct()
                                .toList())
                        .stream()
                        .collect(Collectors.toMap(Notices.Unseen::owner, Notices.Unseen::count));
        for (Listener listener : students) {
            int count = unseen.getOrDefault(listener.owner().orElseThrow(), 0);
            if (!Integer.valueOf(count).equals(told.put(listener, count)) && running) {
                senders.execute(
                        () -> send(listener, SseEmitter.event().name("notices").data(count)));
            }
        }
        told.keySet().retainAll(listeners);
    }

    private static Stream<EntryNumber> changedOf(Listener listener, Map<TermCode, List<Section>> changed) {
        return listener.place().terms().stream()
                .flatMap(posted -> changed.getOrDefault(posted.edition().term(), List.of()).stream())
                .map(Section::entry);
    }

    private static String entries(Stream<EntryNumber> changed) {
        return changed.map(EntryNumber::digits).collect(Collectors.joining(","));
    }

    /** @param anyway whether a word is due where there is nothing to tell */
    private void tell(Listener listener, String entries, long last, boolean anyway) {
        if (running && !entries.isEmpty()) {
            senders.execute(
                    () -> send(listener, event("seats", entries, listener).id(Long.toString(last))));
        } else if (running && anyway) {
            senders.execute(() -> send(listener, event("word", "", listener)));
        }
    }

    private SseEmitter.SseEventBuilder event(String name, String entries, Listener listener) {
        return SseEmitter.event().name(name).data(Words.clock(places.now(listener.place())) + " " + entries);
    }

    private void send(Listener listener, SseEmitter.SseEventBuilder event) {
        try {
            listener.emitter().send(event);
        } catch (IOException | IllegalStateException gone) {
            remove(listener);
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
        listeners.forEach(listener -> listener.emitter().complete());
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
