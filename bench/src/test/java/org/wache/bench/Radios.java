package org.wache.bench;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wache.bench.drive.LinkFault;
import org.wache.bench.drive.RadioLink;
import org.wache.bench.drive.Stage;
import org.wache.bench.drive.UnitWork;
import org.wache.bench.image.Loading;
import org.wache.bench.image.RadioImage;
import org.wache.bench.simulated.Ether;
import org.wache.bench.simulated.SimulatedPort;
import org.wache.bench.simulated.SimulatedRadio;
import org.wache.bench.simulated.SimulatedState;
import org.wache.bench.wire.Identity;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.exchange.RadioReader;
import org.wache.radio.Radio;
import org.wache.radio.RadioModel;

/** Simulated radios on real ports, for tests. The models are those of the demo. */
final class Radios implements AutoCloseable {

    static final int ANSWER_MS = 250;
    static final RadioModel HERON = model("heron-h2");

    final Ether ether = new Ether(System::nanoTime);
    private final List<SimulatedPort> ports = new ArrayList<>();

    static RadioModel model(String file) {
        try {
            return RadioReader.model(Files.readAllBytes(Path.of("..", "demo", "radios", file + ".json")));
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    SimulatedPort plugIn(RadioModel model, String serial, String lock) {
        try {
            SimulatedPort port = new SimulatedPort(
                    new SimulatedRadio(
                            model,
                            serial,
                            new SimulatedState(RadioImage.erased(model), lock, false),
                            ether,
                            state -> {}),
                    0);
            ports.add(port);
            return port;
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    static InetSocketAddress at(SimulatedPort port) {
        return new InetSocketAddress(InetAddress.getLoopbackAddress(), port.port());
    }

    static RadioLink link(SimulatedPort port) throws LinkFault {
        return new RadioLink(at(port), ANSWER_MS);
    }

    static Channel entry(String name, String receive, String transmit, String... more) {
        Map<Field, String> texts = new java.util.EnumMap<>(Map.of(
                Field.NAME,
                name,
                Field.RX_MHZ,
                receive,
                Field.TX_MHZ,
                transmit,
                Field.MODE,
                "FM",
                Field.POWER_W,
                "5",
                Field.SCAN,
                "yes",
                Field.TIMEOUT_S,
                "180"));
        for (int i = 0; i < more.length; i += 2) {
            texts.put(Field.ofColumn(more[i]).orElseThrow(), more[i + 1]);
        }
        return Channel.of(texts);
    }

    static final ChannelList VALLEY = new ChannelList(
            "valley",
            List.of(),
            List.of(
                    entry("RIDGE", "146.940", "146.340", "tx_tone", "100.0"),
                    entry("LEVEE", "146.550", "146.550", "tx_tone", "103.5", "rx_tone", "103.5"),
                    entry("OPEN", "146.580", "146.580"),
                    entry("WX", "162.550", "", "mode", "NFM", "scan", "no"),
                    entry("GAUGE", "444.150", "449.150", "tx_tone", "D023")));

    static RadioImage image(RadioModel model, ChannelList list) {
        return Loading.of(list, model, Collections.nCopies(list.channels().size(), true))
                .image();
    }

    static UnitWork.Plan plan(RadioModel model, String serial, String lock, RadioImage image) {
        return new UnitWork.Plan(
                new Radio(model, model.coverage().lock(lock), Optional.empty(), false),
                serial,
                image,
                Map.of(),
                "KE9QRB");
    }

    /** Keeps what it is told. */
    static final class Told implements UnitWork.Log {
        final List<Stage> stages = new ArrayList<>();
        RadioImage saved;
        boolean kept;

        @Override
        public void at(Stage stage, int done, int total) {
            if (!stages.contains(stage)) {
                stages.add(stage);
            }
        }

        @Override
        public void saved(Identity identity, RadioImage image) {
            saved = image;
        }

        @Override
        public void kept() {
            kept = true;
        }
    }

    @Override
    public void close() {
        ports.forEach(SimulatedPort::close);
    }
}
