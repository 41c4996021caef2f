package org.wache.server.mail;

import jakarta.mail.MessagingException;
import jakarta.mail.SendFailedException;
import jakarta.mail.internet.AddressException;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.nio.charset.StandardCharsets;
import java.util.Properties;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.mail.MailException;
import org.springframework.mail.MailSendException;
import org.springframework.mail.javamail.JavaMailSenderImpl;
import org.springframework.mail.javamail.MimeMessageHelper;
import org.springframework.stereotype.Component;
import org.wache.server.web.Refused;

/** Hands mails to the server that is set for it (SMTP, RFC 5321); with none set there is no mail. */
@Component
class Postman {

    private static final String PATIENCE_MS = "10000";
    private static final int ADDRESS = 254; // RFC 5321, 4.5.3.1.3

    private final JavaMailSenderImpl server;
    private final String from;

    Postman(
            @Value("${wache.mail.host}") String host,
            @Value("${wache.mail.port}") int port,
            @Value("${wache.mail.security}") String security,
            @Value("${wache.mail.user}") String user,
            @Value("${wache.mail.password}") String password,
            @Value("${wache.mail.from}") String from,
            @Value("${wache.address}") String address) {
        this.from = from;
        if (host.isBlank()) {
            this.server = null;
            return;
        }
        if (from.isBlank() || address.isBlank()) {
            throw new IllegalStateException(
                    "With WACHE_MAIL_HOST set, WACHE_MAIL_FROM has to say from whom mail comes, and WACHE_PUBLIC_ADDRESS where the server is reached: mails hold links.");
        }
        if (!java.util.List.of("none", "starttls", "tls").contains(security)) {
            throw new IllegalStateException(
                    "WACHE_MAIL_SECURITY is “starttls”, “tls” or “none”, not “" + security + "”");
        }
        this.server = new JavaMailSenderImpl();
        server.setHost(host);
        server.setPort(port);
        server.setDefaultEncoding(StandardCharsets.UTF_8.name());
        if (!user.isBlank()) {
            server.setUsername(user);
            server.setPassword(password);
        }
        server.setJavaMailProperties(properties(security, !user.isBlank()));
    }

    private static Properties properties(String security, boolean signsIn) {
        Properties properties = new Properties();
        properties.setProperty("mail.smtp.auth", Boolean.toString(signsIn));
        properties.setProperty("mail.smtp.connectiontimeout", PATIENCE_MS);
        properties.setProperty("mail.smtp.timeout", PATIENCE_MS);
        properties.setProperty("mail.smtp.writetimeout", PATIENCE_MS);
        properties.setProperty("mail.smtp.ssl.checkserveridentity", "true");
        properties.setProperty("mail.smtp.ssl.enable", Boolean.toString(security.equals("tls")));
        properties.setProperty("mail.smtp.starttls.enable", Boolean.toString(security.equals("starttls")));
        properties.setProperty("mail.smtp.starttls.required", Boolean.toString(security.equals("starttls")));
        return properties;
    }

    /** Whether a server for mail is set. */
    boolean isOn() {
        return server != null;
    }

    /**
     * An address as mail is sent to it: one, without a name.
     *
     * @throws Refused when it is none
     */
    static String address(String text) {
        String address = text.strip();
        try {
            InternetAddress[] read = InternetAddress.parse(address, true);
            if (read.length == 1
                    && address.equals(read[0].getAddress())
                    && address.length() <= ADDRESS
                    && address.matches("[!-~]+@[A-Za-z0-9](?:[A-Za-z0-9.-]*[A-Za-z0-9])?\\.[A-Za-z0-9-]{2,}")) {
                read[0].validate();
                return address;
            }
        } catch (AddressException e) {
            // said below
        }
        throw new Refused("This is not an address that mail can be sent to. One looks like name@example.org.");
    }

    /** The mail could not be handed over; later it may. */
    static final class NotNow extends Exception {
        private static final long serialVersionUID = 1;

        NotNow(Throwable cause) {
            super(words(cause), cause);
        }
    }

    /** The server refused the address for good. */
    static final class RefusedThere extends Exception {
        private static final long serialVersionUID = 1;

        RefusedThere(Throwable cause) {
            super(words(cause), cause);
        }
    }

    private static String words(Throwable cause) {
        String words = cause.getMessage() == null ? cause.getClass().getSimpleName() : cause.getMessage();
        return words.replaceAll("\\s+", " ").strip();
    }

    /**
     * Hands a mail over.
     *
     * @throws NotNow when the server is away or asks to come again
     * @throws RefusedThere when the server refuses the address for good (a reply of 5xx to it)
     */
    void send(Letter letter) throws NotNow, RefusedThere {
        try {
            MimeMessage message = server.createMimeMessage();
            MimeMessageHelper mail = new MimeMessageHelper(message, StandardCharsets.UTF_8.name());
            mail.setFrom(from);
            mail.setTo(letter.to());
            mail.setSubject(letter.subject());
            mail.setText(letter.text());
            message.setHeader("Auto-Submitted", "auto-generated"); // RFC 3834: nobody's absence is answered
            server.send(message);
        } catch (MailSendException e) {
            for (Exception each : e.getMessageExceptions()) {
                if (each instanceof SendFailedException refused && forGood(refused)) {
                    throw new RefusedThere(last(refused));
                }
            }
            throw new NotNow(last(e.getMessageExceptions().length == 0 ? e : e.getMessageExceptions()[0]));
        } catch (MailException | MessagingException e) {
            throw new NotNow(last(e));
        }
    }

    /** A reply of 4xx means: come again; only what is invalid and was answered with 5xx is for good. */
    private static boolean forGood(SendFailedException refused) {
        for (Exception next = refused;
                next != null;
                next = next instanceof MessagingException m ? m.getNextException() : null) {
            if (next instanceof org.eclipse.angus.mail.smtp.SMTPAddressFailedException answer) {
                return answer.getReturnCode() >= 500;
            }
        }
        return false;
    }

    private static Throwable last(Throwable problem) {
        Throwable last = problem;
        while (last instanceof MessagingException m && m.getNextException() != null) {
            last = m.getNextException();
        }
        return last.getCause() == null ? last : last.getCause();
    }
}
