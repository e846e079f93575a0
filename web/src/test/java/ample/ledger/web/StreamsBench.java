package ample.ledger.web;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.ByteBuffer;
import java.nio.channels.SelectionKey;
import java.nio.channels.Selector;
import java.nio.channels.SocketChannel;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.TimeUnit;

/**
 * Holds streams of seats open and measures two things: the memory that they take in the application, and the time from when the first of them hears a word
 * until all have heard it. {@code ./ledger bench streams} runs it. Students register meanwhile, so that there is something to hear.
 */
public final class StreamsBench {

    private static final int AT_A_TIME = 20;
    private static final long LISTENS_NANOS = TimeUnit.SECONDS.toNanos(30);

    private final InetSocketAddress address;
    private final ServerProcess server;
    private final Selector selector = Selector.open();
    private final ByteBuffer read = ByteBuffer.allocate(8192);

    /** Of each word: when the first and the last stream heard it, and how many did. */
    private final Map<String, long[]> heard = new HashMap<>();

    private int open;
    private int ended;

    private StreamsBench(URI root, ServerProcess server) throws IOException {
        this.address = new InetSocketAddress(InetAddress.getByName(root.getHost()), root.getPort());
        this.server = server;
    }

    /** @param arguments where the application answers, its process, and numbers of streams, the least first */
    public static void main(String[] arguments) throws Exception {
        StreamsBench bench = new StreamsBench(URI.create(arguments[0]), new ServerProcess(arguments[1]));
        System.out.println(
                "| streams open | heap in use, MB | a stream, KB | a word is heard by all within, ms, median and most | ended |");
        System.out.println("|---|---|---|---|---|");
        long empty = bench.server.heap();
        for (String count : Arrays.asList(arguments).subList(2, arguments.length)) {
            bench.measure(Integer.parseInt(count), empty);
        }
    }

    private void measure(int count, long empty) throws Exception {
        int tries = open;
        while (open < count && tries < 2 * count) {
            for (int i = 0; i < AT_A_TIME && open < count; i++) {
                begin();
                tries++;
            }
            listen(TimeUnit.MILLISECONDS.toNanos(100));
        }
        listen(TimeUnit.SECONDS.toNanos(3));
        heard.clear();
        listen(LISTENS_NANOS);
        long heap = server.heap();
        double[] spread = heard.values().stream()
                .filter(word -> word[2] >= open * 0.99)
                .mapToDouble(word -> (word[1] - word[0]) / 1e6)
                .sorted()
                .toArray();
        System.out.printf(
                Locale.ENGLISH,
                "| %,d | %,d | %.1f | %s | %d |%n",
                open,
                heap / 1024,
                (heap - empty) / (double) count,
                spread.length == 0
                        ? "none was said"
                        : String.format(
                                Locale.ENGLISH, "%.0f, %.0f", spread[spread.length / 2], spread[spread.length - 1]),
                ended);
    }

    private void begin() throws IOException {
        SocketChannel channel = SocketChannel.open(address);
        channel.write(ByteBuffer.wrap(
                "GET /autumn-2031/seats HTTP/1.1\r\nHost: 127.0.0.1\r\nAccept: text/event-stream\r\n\r\n"
                        .getBytes(StandardCharsets.US_ASCII)));
        channel.configureBlocking(false);
        channel.register(selector, SelectionKey.OP_READ);
        open++;
    }

    private void listen(long nanos) throws IOException {
        long end = System.nanoTime() + nanos;
        while (System.nanoTime() < end) {
            selector.select(Math.max(1, TimeUnit.NANOSECONDS.toMillis(end - System.nanoTime())));
            List<SelectionKey> ready = new ArrayList<>(selector.selectedKeys());
            selector.selectedKeys().clear();
            for (SelectionKey key : ready) {
                hear(key);
            }
        }
    }

    private void hear(SelectionKey key) throws IOException {
        read.clear();
        int bytes;
        try {
            bytes = ((SocketChannel) key.channel()).read(read);
        } catch (IOException gone) {
            bytes = -1;
        }
        if (bytes < 0) {
            key.channel().close();
            open--;
            ended++;
            return;
        }
        long now = System.nanoTime();
        String text = new String(read.array(), 0, bytes, StandardCharsets.UTF_8);
        text.lines().filter(line -> line.startsWith("id:")).forEach(id -> {
            long[] word = heard.computeIfAbsent(id, first -> new long[] {now, now, 0});
            word[1] = now;
            word[2]++;
        });
    }
}
