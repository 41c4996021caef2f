package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyStore;
import java.security.cert.CertificateFactory;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManagerFactory;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.context.ConfigurableApplicationContext;

/** Behind a web server with HTTPS: nginx from Debian's packages, with a certificate made on the spot. It asks from 127.0.0.2, which is believed. */
@ExtendWith(RunningServer.class)
class ProxyTest {

    private static final String PROXY = "127.0.0.2";
    private static ConfigurableApplicationContext server;
    private static Process nginx;
    private static String direct;
    private static String proxied;
    private static SSLContext trusting;

    @BeforeAll
    static void start(RunningServer running, @TempDir Path place) throws Exception {
        server = RunningServer.start(running.database(), true, "--wache.trusted-proxies=" + PROXY);
        direct = RunningServer.addressOf(server);
        int port;
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        proxied = "https://127.0.0.1:" + port;
        run(
                place,
                "openssl",
                "req",
                "-x509",
                "-newkey",
                "rsa:2048",
                "-nodes",
                "-days",
                "2",
                "-subj",
                "/CN=localhost",
                "-addext",
                "subjectAltName=IP:127.0.0.1",
                "-keyout",
                "key.pem",
                "-out",
                "cert.pem");
        Files.writeString(
                place.resolve("nginx.conf"),
                """
        %sworker_processes 1;
        pid %2$s/pid;
        error_log %2$s/error.log;
        events {}
        http {
          access_log off;
          client_body_temp_path %2$s/body; proxy_temp_path %2$s/proxy; fastcgi_temp_path %2$s/f; uwsgi_temp_path %2$s/u; scgi_temp_path %2$s/s;
          server {
            listen 127.0.0.1:%3$d ssl;
            ssl_certificate %2$s/cert.pem;
            ssl_certificate_key %2$s/key.pem;
            client_max_body_size 50m;
            location / {
              proxy_pass %4$s;
              proxy_bind %5$s;
              proxy_set_header Host $host:$server_port;
              proxy_set_header X-Forwarded-For $proxy_add_x_forwarded_for;
              proxy_set_header X-Forwarded-Proto $scheme;
            }
          }
        }
        """
                        .formatted(
                                "root".equals(System.getProperty("user.name")) ? "user root;\n" : "",
                                place,
                                port,
                                direct,
                                PROXY));
        nginx = new ProcessBuilder(
                        "/usr/sbin/nginx",
                        "-p",
                        place.toString(),
                        "-c",
                        place.resolve("nginx.conf").toString(),
                        "-e",
                        place.resolve("error.log").toString(),
                        "-g",
                        "daemon off;")
                .redirectErrorStream(true)
                .redirectOutput(place.resolve("out").toFile())
                .start();
        KeyStore store = KeyStore.getInstance(KeyStore.getDefaultType());
        store.load(null, null);
        try (InputStream in = Files.newInputStream(place.resolve("cert.pem"))) {
            store.setCertificateEntry(
                    "made", CertificateFactory.getInstance("X.509").generateCertificate(in));
        }
        TrustManagerFactory trust = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
        trust.init(store);
        trusting = SSLContext.getInstance("TLS");
        trusting.init(null, trust.getTrustManagers(), null);
        for (int i = 0; i < 100; i++) {
            try {
                new Client(proxied, "127.0.0.1").get("/");
                return;
            } catch (IOException e) {
                Fleets.pause();
            }
        }
        throw new AssertionError(Files.readString(place.resolve("out")) + Files.readString(place.resolve("error.log")));
    }

    private static void run(Path place, String... command) throws Exception {
        assertThat(new ProcessBuilder(command)
                        .directory(place.toFile())
                        .redirectErrorStream(true)
                        .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                        .start()
                        .waitFor())
                .isZero();
    }

    @AfterAll
    static void stop() {
        nginx.destroy();
        server.close();
    }

    /** A browser at an address of its own. */
    private static final class Client {
        private final RawHttp http;
        /** What was set last under each name, as it was set. */
        private final Map<String, String> cookies = new LinkedHashMap<>();

        Client(String address, String from) {
            this.http = new RawHttp(address, from, trusting);
        }

        RawHttp.Answer get(String path, String... headers) throws IOException {
            return send("GET", path, "", headers);
        }

        RawHttp.Answer signIn(String login, String password, String... headers) throws IOException {
            get("/api/session");
            return send(
                    "POST", "/api/session", "{\"login\":\"" + login + "\",\"password\":\"" + password + "\"}", headers);
        }

        private String value(String name) {
            return cookies.getOrDefault(name, "=").replaceFirst(";.*", "").replaceFirst("^[^=]*=", "");
        }

        private RawHttp.Answer send(String method, String path, String body, String... headers) throws IOException {
            String sent = cookies.keySet().stream()
                    .map(name -> name + "=" + value(name))
                    .collect(Collectors.joining("; "));
            RawHttp.Answer answer = http.send(method + " " + path + " HTTP/1.1\r\nHost: 127.0.0.1\r\n"
                    + (sent.isEmpty() ? "" : "Cookie: " + sent + "\r\n") + "X-XSRF-TOKEN: " + value("XSRF-TOKEN")
                    + "\r\n"
                    + Arrays.stream(headers).map(header -> header + "\r\n").collect(Collectors.joining())
                    + "Content-Type: application/json\r\nContent-Length: " + body.length() + "\r\n\r\n" + body);
            answer.headers()
                    .getOrDefault("set-cookie", "")
                    .lines()
                    .forEach(cookie -> cookies.put(cookie.substring(0, cookie.indexOf('=')), cookie));
            return answer;
        }

        boolean isSecure(String cookie) {
            return cookies.get(cookie).toLowerCase(Locale.ROOT).contains("; secure");
        }

        String seenFrom() throws IOException {
            RawHttp.Answer answer = get("/api/account");
            for (int i = 0;
                    i < 20 && !answer.body().contains("\"address\":\"1");
                    i++) { // seen once on a busy machine: no address yet; why is not known
                Fleets.pause();
                answer = get("/api/account");
            }
            assertThat(answer.status()).as(answer.body()).isEqualTo(200);
            return Browserless.json(answer.body())
                    .path("sessions")
                    .path(0)
                    .path("address")
                    .asString();
        }
    }

    @Test
    void overHttpsCookiesAreSecureAndStrictTransportIsSaid() throws IOException {
        Client who = new Client(proxied, "127.0.0.1");
        RawHttp.Answer in = who.signIn("technician", "tern-valley");
        assertThat(in.status()).as(in.body()).isEqualTo(200);
        assertThat(in.headers()).containsEntry("strict-transport-security", "max-age=31536000");
        assertThat(List.of("wache", "XSRF-TOKEN", "wache-browser"))
                .allSatisfy(name -> assertThat(who.isSecure(name)).as(name).isTrue());
    }

    @Test
    void withoutHttpsTheyAreNotAndItIsNot() throws IOException {
        Client who = new Client(direct, "127.0.0.1");
        RawHttp.Answer in = who.signIn("technician", "tern-valley");
        assertThat(in.headers()).doesNotContainKey("strict-transport-security");
        assertThat(who.isSecure("wache")).isFalse();
    }

    @Test
    void theAddressIsThatOfWhoAskedTheProxy() throws IOException {
        Client who = new Client(proxied, "127.0.0.3");
        RawHttp.Answer in = who.signIn("technician", "tern-valley");
        assertThat(in.status()).as(in.body()).isEqualTo(200);
        assertThat(who.seenFrom()).isEqualTo("127.0.0.3");
    }

    /** Whoever writes the header themselves is still where they are: through the proxy, and past it. */
    @Test
    void nobodySaysForThemselvesWhereTheyAre() throws IOException {
        for (String address : List.of(proxied, direct)) {
            Client who = new Client(address, "127.0.0.4");
            RawHttp.Answer in = who.signIn(
                    "technician",
                    "tern-valley",
                    "X-Forwarded-For: 203.0.113.9",
                    "X-Real-IP: 203.0.113.9",
                    "Forwarded: for=203.0.113.9;proto=https",
                    "X-Forwarded-Host: evil.example");
            assertThat(in.status()).as(in.body()).isEqualTo(200);
            assertThat(who.seenFrom()).as(address).isEqualTo("127.0.0.4");
        }
        Client past = new Client(direct, "127.0.0.4");
        assertThat(past.get("/", "X-Forwarded-Proto: https").headers())
                .as("said by nobody who is believed")
                .doesNotContainKey("strict-transport-security");
    }

    /** Guesses are counted where they come from, not where the proxy is: one who guesses slows down nobody else behind it. */
    @Test
    void whoGuessesBehindTheProxySlowsDownNobodyElseBehindIt() throws IOException {
        var jdbc = server.getBean(org.springframework.jdbc.core.simple.JdbcClient.class);
        new Client(proxied, "127.0.0.5").signIn("nobody-here", "no");
        assertThat(jdbc.sql(
                                "update sign_in_try set tries = 200, blocked_until = now() + interval '200 seconds' where key = 'address 127.0.0.5'")
                        .update())
                .isOne();
        assertThat(new Client(proxied, "127.0.0.5")
                        .signIn("technician", "tern-valley")
                        .status())
                .isEqualTo(429);
        assertThat(new Client(proxied, "127.0.0.6")
                        .signIn("technician", "tern-valley")
                        .status())
                .isEqualTo(200);
    }

    /** What the container answers by itself carries the headers too. */
    @Test
    void errorsCarryTheHeaders() throws IOException {
        for (String path :
                List.of("/nosuch", "/api/nosuch", "/lists;a=b", "/assets/nosuch.js", "/api/lists/1/%2e%2e")) {
            RawHttp.Answer answer = new Client(proxied, "127.0.0.1").get(path);
            assertThat(answer.status()).as(path).isBetween(400, 404);
            assertThat(answer.headers())
                    .as(path)
                    .containsKey("strict-transport-security")
                    .containsEntry("x-frame-options", "DENY");
            assertThat(answer.headers().get("content-security-policy")).as(path).contains("default-src 'self'");
        }
    }
}
