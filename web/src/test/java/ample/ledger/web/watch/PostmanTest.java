package ample.ledger.web.watch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.mail.MailException;
import org.springframework.mail.SimpleMailMessage;
import org.springframework.mail.javamail.JavaMailSenderImpl;

class PostmanTest {

    @ParameterizedTest
    @CsvSource({
        "550 5.1.1 Nobody of this name is here, true",
        "553 5.1.3 That is no address, true",
        "450 4.2.1 Come again in 5 minutes, false",
        "421 4.3.2 Closing for 500 seconds, false",
    })
    void anAddressIsRefusedForGoodByTheServersCodeAlone(String answer, boolean refused) throws IOException {
        try (ServerSocket server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            Thread answering = new Thread(() -> answer(server, answer));
            answering.start();
            JavaMailSenderImpl sender = new JavaMailSenderImpl();
            sender.setHost("127.0.0.1");
            sender.setPort(server.getLocalPort());
            SimpleMailMessage letter = new SimpleMailMessage();
            letter.setFrom("ledger@ledger.example");
            letter.setTo("wren@saltern.example");
            letter.setText("A seat is open.");

            MailException failed = catchThrowableOfType(MailException.class, () -> sender.send(letter));

            assertThat(Postman.isRefused(failed)).isEqualTo(refused);
        }
    }

    /** A mail server as of RFC 5321, which answers like this when it is told whom a letter is for. */
    private static void answer(ServerSocket server, String recipient) {
        try (Socket socket = server.accept();
                BufferedReader asked =
                        new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.US_ASCII))) {
            say(socket, "220 mail.example");
            for (String line = asked.readLine(); line != null; line = asked.readLine()) {
                String command = line.substring(0, Math.min(4, line.length()));
                say(socket, command.equals("RCPT") ? recipient : command.equals("QUIT") ? "221 Bye" : "250 OK");
            }
        } catch (IOException ended) {
            throw new UncheckedIOException(ended);
        }
    }

    private static void say(Socket socket, String line) throws IOException {
        socket.getOutputStream().write((line + "\r\n").getBytes(StandardCharsets.US_ASCII));
        socket.getOutputStream().flush();
    }
}
