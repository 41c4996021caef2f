package org.wache.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.net.Socket;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.wache.bench.drive.RadioLink;
import org.wache.bench.image.Loading;
import org.wache.bench.image.RadioImage;
import org.wache.bench.image.StoredChannel;
import org.wache.bench.simulated.SimulatedPort;
import org.wache.bench.wire.ChecksumFault;
import org.wache.bench.wire.Command;
import org.wache.bench.wire.Frame;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.radio.RadioModel;

/** Frames and images come back as they were sent, and damage is seen. */
class WireTest {

    @Test
    void aFrameComesBackAsItWasSentAlsoAfterNoise() throws IOException {
        Random random = new Random(5);
        for (int length : new int[] {0, 1, 7, 1_024}) {
            byte[] payload = new byte[length];
            random.nextBytes(payload);
            byte[] sent = new Frame(200, Command.WRITE.code(), payload).bytes();
            byte[] noisy = new byte[sent.length + 3];
            System.arraycopy(sent, 0, noisy, 3, sent.length);
            Frame read = Frame.read(new ByteArrayInputStream(noisy));
            assertThat(read.sequence()).isEqualTo(200);
            assertThat(read.command()).isEqualTo(Command.WRITE.code());
            assertThat(read.payload()).isEqualTo(payload);
        }
    }

    @Test
    void everySingleDamagedByteIsSeen() {
        byte[] good = new Frame(7, Command.READ.code(), new byte[] {1, 2, 3, 4, 5, 6}).bytes();
        for (int i = 0; i < good.length; i++) {
            byte[] bad = good.clone();
            bad[i] ^= 0x41;
            assertThatThrownBy(() -> Frame.read(new ByteArrayInputStream(bad)))
                    .isInstanceOfAny(ChecksumFault.class, EOFException.class);
        }
    }

    @Test
    void anImageKeepsWhatAListSays() {
        RadioModel curlew = Radios.model("curlew-c6");
        ChannelList list = new ChannelList(
                "hf",
                List.of(),
                List.of(
                        Radios.entry("Noon", "7.240", "7.240", "mode", "LSB", "power_w", "50", "timeout_s", "0"),
                        Radios.entry("60 m", "5.354001", "5.354001", "mode", "USB", "power_w", "10"),
                        Radios.entry("Rpt", "29.640", "29.540", "tx_tone", "100.0", "power_w", "100")));
        Loading loading = Loading.of(list, curlew, Collections.nCopies(3, true));
        StoredChannel sixty = loading.image().at(2).orElseThrow();
        assertThat(sixty.receive().hertz()).isEqualTo(5_354_001);
        assertThat(Loading.output(curlew, sixty))
                .hasValueSatisfying(watts -> assertThat(watts.value()).isEqualTo(10));
        assertThat(loading.image().at(1).orElseThrow().timeoutS()).isZero();
        assertThat(loading.image().at(3).orElseThrow().sends())
                .hasValueSatisfying(tone -> assertThat(tone.text()).isEqualTo("100.0"));
    }

    @Test
    void entriesThatStayOutLeaveTheirMemoryEmpty() {
        Loading loading = Loading.of(Radios.VALLEY, Radios.HERON, List.of(true, false, true, true, false));
        assertThat(loading.image().entries().keySet()).containsExactly(1, 3, 4);
        assertThat(loading.placed()).containsEntry(3, 2);
    }

    @Test
    void zonesFollowOneAnother() {
        RadioModel badger = Radios.model("badger-b4");
        List<Channel> entries = new ArrayList<>();
        for (String zone : List.of("Ferry", "Orchard", "Ferry")) {
            entries.add(Radios.entry("E" + entries.size(), "451.800", "451.800", "mode", "NFM", "zone", zone));
        }
        assertThat(Loading.of(new ChannelList("z", List.of(), entries), badger, Collections.nCopies(3, true))
                        .placed())
                .containsEntry(1, 0)
                .containsEntry(2, 2)
                .containsEntry(9, 1);
    }

    /** Anything may come over a line; the radio answers what makes sense and stays in order. */
    @Test
    void rubbishOnTheLineDoesNoHarm() throws Exception {
        try (Radios radios = new Radios()) {
            SimulatedPort port = radios.plugIn(Radios.HERON, "H2-1", "Amateur");
            Random random = new Random(11);
            for (int round = 0; round < 40; round++) {
                try (Socket socket = new Socket(Radios.at(port).getAddress(), port.port())) {
                    byte[] rubbish = new byte[random.nextInt(200)];
                    random.nextBytes(rubbish);
                    socket.getOutputStream().write(rubbish);
                    byte[] part = new byte[random.nextInt(60)];
                    random.nextBytes(part);
                    socket.getOutputStream().write(new Frame(round, 1 + random.nextInt(13), part).bytes());
                }
            }
            try (RadioLink link = Radios.link(port)) {
                assertThat(link.identity().serial()).isEqualTo("H2-1");
                link.open();
                assertThat(link.read(RadioImage.erased(Radios.HERON).length(), (done, total) -> {})
                                .memories())
                        .isEqualTo(128);
            }
        }
    }
}
