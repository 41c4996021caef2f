package org.wache.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.wache.exchange.ListFiles;
import tools.jackson.databind.JsonNode;

/** {@code read}: tables and lines become a list, with an exit status and JSON for scripts. */
class ReadCommandTest {

    @TempDir
    private Path folder;

    private String file(String name, String text) throws IOException {
        return Files.writeString(folder.resolve(name), text).toString();
    }

    @Test
    void linesBecomeAListThatAuditReads() throws IOException {
        Ran read = Ran.of("read", "--line", "146.94 - 100 Ridge", "frs 7");
        assertThat(read.status()).isZero();
        assertThat(read.error()).isEmpty();
        assertThat(ListFiles.read(read.out().getBytes(java.nio.charset.StandardCharsets.UTF_8), "x")
                        .channels())
                .extracting(channel -> channel.name())
                .containsExactly("Ridge", "FRS 7");
        assertThat(Ran.of("audit", file("list.csv", read.out()), "--as", "amateur:technician")
                        .status())
                .isLessThan(2);
    }

    @Test
    void doubtsAreTold() {
        Ran read = Ran.of("read", "--json", "--line", "frs 7 code 8", "445.925 dmr cc1 ts2 tg 3100", "hello");
        assertThat(read.status()).isEqualTo(1);
        JsonNode list = read.json();
        assertThat(list.path("format").asString()).isEqualTo("wache-list/1");
        assertThat(list.path("channels").path(0).path("doubts").path(0).asString())
                .startsWith("code 8 of the 38");
        assertThat(list.path("channels").path(1).path("colourCode").asString()).isEqualTo("1");
        assertThat(list.path("channels").path(1).path("timeSlot").asString()).isEqualTo("2");
        assertThat(list.path("channels").path(1).path("talkGroup").asString()).isEqualTo("3100");
        assertThat(list.path("channels").path(1).path("doubts").size()).isZero();
        assertThat(list.path("aside").path(0).path("text").asString()).isEqualTo("hello");
        assertThat(list.path("aside").path(0).path("row").asInt()).isEqualTo(3);
    }

    @Test
    void aTableIsReadAndRowsAsideAreNamed() throws IOException {
        String table = file("table.csv", "Name,Output,Offset,PL\n2 METERS,,,\nRidge,146.94,-,100\n");
        Ran read = Ran.of("read", table);
        assertThat(read.status()).isEqualTo(1);
        assertThat(read.out()).contains("1,Ridge,146.940,146.340,FM,,,100.0");
        assertThat(read.error()).contains("row 2 “2 METERS").contains("no frequency in it");
        assertThat(Ran.of("read", file("clean.csv", "Name,Output,Offset,PL\nRidge,146.94,-,100\n"))
                        .status())
                .isZero();
    }

    @Test
    void nothingReadIsTwo() throws IOException {
        assertThat(Ran.of("read", "--line", "hello").status()).isEqualTo(2);
        assertThat(Ran.of("read", file("empty.csv", "")).status()).isEqualTo(2);
        assertThat(Ran.of("read", folder.resolve("none.csv").toString()).status())
                .isEqualTo(2);
        Ran without = Ran.of("read");
        assertThat(without.status()).isEqualTo(2);
        assertThat(without.error()).startsWith("wache read: ");
        assertThat(Ran.of("read", file("words.csv", "a,b\nc,d\n"), "--line", "frs 7")
                        .status())
                .isEqualTo(2);
    }

    @Test
    void anotherRulebookReadsItsOwnChannels() {
        Ran read = Ran.of("read", "--rulebook", "uk", "--line", "145.500");
        assertThat(read.status()).isZero();
        assertThat(Ran.of("read", "--rulebook", "atlantis", "--line", "145.500").status())
                .isEqualTo(2);
    }
}
