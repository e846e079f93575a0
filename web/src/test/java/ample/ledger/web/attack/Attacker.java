package ample.ledger.web.attack;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Somebody who means harm, at one loopback address of their own, with one cookie: plain requests over plain sockets, as nothing else
 * binds to an address of choice on Java 17.
 */
final class Attacker {

    private static final Pattern COOKIE = Pattern.compile("(?i)set-cookie: (ledger-guest=[^;]+)");
    private static final int PATIENCE = 60_000;

    /** Made once, since what measures and what attacks share two processors with what is attacked. */
    private static final Map<String, byte[]> UPLOADS = new ConcurrentHashMap<>();

    private final InetAddress from;
    private final int port;
    private volatile String cookie = "";

    /** @param number of the address: 127.0.1.number */
    Attacker(int number, int port) throws IOException {
        this.from = InetAddress.getByAddress(new byte[] {127, 0, 1, (byte) number});
        this.port = port;
    }

    /** The status that is answered; the rest is read and forgotten, but for a cookie. */
    int get(String path) throws IOException {
        return ask("GET " + path + " HTTP/1.1\r\n" + head() + "\r\n", new byte[0]);
    }

    int post(String path, String body) throws IOException {
        return ask(head("POST", path, "application/x-www-form-urlencoded", body.length()), latin(body));
    }

    /** A file as a form sends it. */
    int upload(String path, String content) throws IOException {
        byte[] body = UPLOADS.computeIfAbsent(
                content,
                same -> latin("--x\r\nContent-Disposition: form-data; name=\"file\"; filename=\"f\"\r\n\r\n" + content
                        + "\r\n--x--\r\n"));
        return ask(head("POST", path, "multipart/form-data; boundary=x", body.length), body);
    }

    private String head(String method, String path, String type, int length) {
        return method + " " + path + " HTTP/1.1\r\n" + head() + "Content-Type: " + type + "\r\nContent-Length: "
                + length + "\r\n\r\n";
    }

    private static byte[] latin(String text) {
        return text.getBytes(StandardCharsets.ISO_8859_1);
    }

    private String head() {
        return "Host: 127.0.0.1\r\nConnection: close\r\nAccept: text/html\r\nSec-Fetch-Site: same-origin\r\n"
                + (cookie.isEmpty() ? "" : "Cookie: " + cookie + "\r\n");
    }

    private int ask(String request, byte[] body) throws IOException {
        try (Socket socket = open(request)) {
            socket.getOutputStream().write(body);
            socket.getOutputStream().flush();
            InputStream in = socket.getInputStream();
            byte[] first = in.readNBytes(2_048);
            String answer = new String(first, StandardCharsets.ISO_8859_1);
            Matcher set = COOKIE.matcher(answer);
            if (set.find()) {
                cookie = set.group(1);
            }
            in.transferTo(OutputStream.nullOutputStream());
            return answer.startsWith("HTTP/1.1 ") ? Integer.parseInt(answer.substring(9, 12)) : 0;
        }
    }

    /** Begins a request and leaves it open. */
    Socket open(String request) throws IOException {
        Socket socket = new Socket(InetAddress.getByAddress(new byte[] {127, 0, 0, 1}), port, from, 0);
        socket.setSoTimeout(PATIENCE);
        socket.getOutputStream().write(request.getBytes(StandardCharsets.ISO_8859_1));
        socket.getOutputStream().flush();
        return socket;
    }

    /** Forgets their cookie: another visitor at the same address. */
    void forgetCookie() {
        cookie = "";
    }
}
