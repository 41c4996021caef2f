package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpHeaders;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.wache.server.access.AccessTable;

/** Headers, sizes of requests, and the pages that say what is promised. */
@ExtendWith(RunningServer.class)
class SecurityTest {

  private static final int TOO_MUCH = 5 * 1024 * 1024;

  private final String address;

  SecurityTest(RunningServer server) {
    this.address = server.address();
  }

  @ParameterizedTest
  @CsvSource({"/, 200", "/lists, 200", "/card, 200", "/card-worker.js, 200", "/api/session, 200", "/api/groups/1/lists, 401", "/api/nosuch, 401", "/assets/nosuch.js, 404"})
  void everyAnswerCarriesTheHeaders(String path, int status) {
    HttpResponse<String> answer = new Browserless(address).get(path);
    assertThat(answer.statusCode()).isEqualTo(status);
    HttpHeaders headers = answer.headers();
    assertThat(headers.firstValue("content-security-policy")).hasValueSatisfying(policy -> assertThat(policy)
        .contains("default-src 'self'", "object-src 'none'", "base-uri 'none'", "frame-ancestors 'none'").doesNotContain("unsafe", "http:", "*"));
    assertThat(headers.firstValue("x-content-type-options")).hasValue("nosniff");
    assertThat(headers.firstValue("x-frame-options")).hasValue("DENY");
    assertThat(headers.firstValue("referrer-policy")).hasValue("same-origin");
    assertThat(headers.firstValue("permissions-policy")).hasValueSatisfying(policy -> assertThat(policy).contains("camera=()", "geolocation=()"));
    assertThat(headers.firstValue("cross-origin-opener-policy")).hasValue("same-origin");
    assertThat(headers.firstValue("server")).isEmpty();
  }

  /** The policy forbids inline scripts; so the pages have none, nor handlers or styles within them. */
  @ParameterizedTest
  @CsvSource({"/", "/card"})
  void pagesHoldNoInlineScript(String path) {
    String page = new Browserless(address).get(path).body();
    Matcher scripts = Pattern.compile("<script([^>]*)>(.*?)</script>", Pattern.DOTALL).matcher(page);
    int found = 0;
    while (scripts.find()) {
      found++;
      assertThat(scripts.group(1)).contains("src=\"/assets/");
      assertThat(scripts.group(2)).isBlank();
    }
    assertThat(found).isPositive();
    assertThat(page).doesNotContain("<style", " style=", " onclick=", "javascript:", "http://", "https://");
  }

  @Test
  void aRequestThatIsTooLargeIsRefusedWithWords() {
    Browserless who = Browserless.signedIn(address, "coordinator");
    HttpResponse<String> answer = who.post("/api/groups/" + who.group() + "/parties", "{\"name\":\"" + "x".repeat(TOO_MUCH) + "\"}");
    assertThat(answer.statusCode()).isEqualTo(413);
    assertThat(answer.body()).contains("up to 4 MB");
  }

  /** A body in chunks says no length beforehand. */
  @Test
  void neitherIsOneThatDoesNotSayItsLength() throws IOException {
    Browserless who = Browserless.signedIn(address, "coordinator");
    URI uri = URI.create(address);
    try (Socket socket = new Socket(uri.getHost(), uri.getPort())) {
      socket.setSoTimeout(10_000);
      OutputStream out = socket.getOutputStream();
      out.write(("POST /api/groups/" + who.group() + "/parties HTTP/1.1\r\nHost: x\r\nCookie: " + who.cookieHeader() + "\r\nX-XSRF-TOKEN: " + who.cookie("XSRF-TOKEN")
          + "\r\nContent-Type: application/json\r\nTransfer-Encoding: chunked\r\nConnection: close\r\n\r\n").getBytes(StandardCharsets.US_ASCII));
      byte[] part = ("10000\r\n" + "{\"a\":\"" + "x".repeat(0x10000 - 6) + "\r\n").getBytes(StandardCharsets.US_ASCII);
      byte[] more = ("10000\r\n" + "x".repeat(0x10000) + "\r\n").getBytes(StandardCharsets.US_ASCII);
      out.write(part);
      for (int sent = 0; sent < TOO_MUCH; sent += 0x10000) {
        out.write(more);
      }
      out.write("0\r\n\r\n".getBytes(StandardCharsets.US_ASCII));
      out.flush();
      String answer = new String(firstLine(socket.getInputStream()), StandardCharsets.US_ASCII);
      assertThat(answer).contains(" 413 ");
    }
  }

  private static byte[] firstLine(InputStream in) throws IOException {
    return in.readNBytes(30);
  }

  @Test
  void thePageOfPromisesNamesTestsThatExist() throws IOException {
    String page = Files.readString(Path.of("..", "docs", "security.md"));
    Matcher names = Pattern.compile("`([A-Z][A-Za-z]+Test)(?:\\.([a-zA-Z]+))?`").matcher(page);
    int found = 0;
    while (names.find()) {
      found++;
      Path here = Path.of("src", "test", "java", "org", "wache", "server", names.group(1) + ".java");
      Path core = Path.of("..", "core", "src", "test", "java", "org", "wache", "exchange", names.group(1) + ".java");
      Path file = Files.exists(here) ? here : core;
      assertThat(file).exists();
      if (names.group(2) != null) {
        assertThat(Files.readString(file)).contains("void " + names.group(2) + "(");
      }
    }
    assertThat(found).isGreaterThan(10);
    assertThat(AccessTable.SHIPPED.lines()).hasSizeGreaterThan(100);
  }

  /** Every library on the class path, and every package that ships with the web application, is listed with its licence. */
  @Test
  void theListOfDependenciesIsCurrent() throws IOException {
    String list = Files.readString(Path.of("..", "docs", "dependencies.md"));
    String paths = System.getProperty("surefire.test.class.path", System.getProperty("java.class.path"));
    int libraries = 0;
    for (String path : paths.split(java.io.File.pathSeparator)) {
      Path jar = Path.of(path);
      if (path.endsWith(".jar") && !path.contains("wache-")) {
        String row = "| " + jar.getParent().getParent().getFileName() + " | " + jar.getParent().getFileName() + " |";
        assertThat(list).as("run node docs/dependencies.mjs").contains(row);
        libraries++;
      }
    }
    assertThat(libraries).isGreaterThan(50);
    var packages = tools.jackson.databind.json.JsonMapper.builder().build().readTree(Files.readString(Path.of("..", "web", "package.json"))).path("dependencies");
    packages.propertyNames().forEach(name -> assertThat(list).as("run node docs/dependencies.mjs").contains("| " + name + " | "));
    assertThat(list).doesNotContain("| not said |", "| undefined |");
  }
}
