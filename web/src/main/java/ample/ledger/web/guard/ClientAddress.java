package ample.ledger.web.guard;

import jakarta.servlet.http.HttpServletRequest;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Arrays;
import java.util.HexFormat;

/** What counts as one address: an IPv4 address, or the 64 bits of an IPv6 address that a provider gives to one customer (RFC 6177). */
public final class ClientAddress {

    private static final int NETWORK_BYTES = 8;

    private ClientAddress() {}

    /** Of who sends the request; behind a proxy, of whom the proxy names, if it is trusted. */
    public static String of(HttpServletRequest request) {
        return of(request.getRemoteAddr());
    }

    static String of(String literal) {
        if (!literal.contains(":")) {
            return literal;
        }
        try {
            byte[] bytes = InetAddress.getByName(literal).getAddress();
            return bytes.length <= NETWORK_BYTES
                    ? InetAddress.getByAddress(bytes).getHostAddress()
                    : HexFormat.of().formatHex(Arrays.copyOf(bytes, NETWORK_BYTES)) + "::/64";
        } catch (UnknownHostException noAddress) {
            return literal;
        }
    }
}
