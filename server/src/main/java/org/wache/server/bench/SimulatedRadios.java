package org.wache.server.bench;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.math.BigDecimal;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.wache.bench.image.RadioImage;
import org.wache.bench.simulated.Ether;
import org.wache.bench.simulated.Fault;
import org.wache.bench.simulated.SimulatedPort;
import org.wache.bench.simulated.SimulatedRadio;
import org.wache.bench.simulated.SimulatedState;
import org.wache.server.directory.DirectoryLine;
import org.wache.server.directory.StandInDirectory;
import org.wache.server.radios.Fleet;
import org.wache.server.radios.SetOtherwise;
import org.wache.server.web.Json;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;
import org.wache.signal.Tone;

/**
 * The simulated radios that stand in for real ones: one for each unit, on a port of its own on loopback. What they
 * remember outlives the server, as it would in a real radio; what was not closed does not.
 */
@Component
class SimulatedRadios {

    private static final int TAIL_MS = 1_500;
    private static final int MEGA = 6;

    private final BenchStore store;
    private final int baud;
    private final Map<Long, SimulatedPort> ports = new ConcurrentHashMap<>();
    private final Map<Long, Ether> ethers = new ConcurrentHashMap<>();

    SimulatedRadios(BenchStore store, @Value("${wache.bench.baud}") int baud) {
        this.store = store;
        this.baud = baud;
    }

    /** Where a unit answers; it is switched on when it is not yet. */
    synchronized InetSocketAddress address(Fleet.Unit unit) {
        return new InetSocketAddress(
                InetAddress.getLoopbackAddress(), port(unit).port());
    }

    private SimulatedPort port(Fleet.Unit unit) {
        SimulatedPort known = ports.get(unit.id());
        if (known != null && known.radio().model().equals(unit.radio().model())) {
            return known;
        }
        if (known != null) {
            known.close();
        }
        SimulatedPort plugged = plugged(unit);
        ports.put(unit.id(), plugged);
        return plugged;
    }

    private SimulatedPort plugged(Fleet.Unit unit) {
        RadioImage empty = RadioImage.erased(unit.radio().model());
        SimulatedState state = store.remembered(unit.id())
                .filter(each -> each.image().length == empty.length())
                .map(each -> new SimulatedState(
                        RadioImage.of(each.image()), each.lock(), each.inhibited(), SetOtherwise.read(each.settings())))
                .orElseGet(() -> new SimulatedState(
                        empty, unit.radio().lock().map(lock -> lock.name()).orElse(""), false));
        try {
            return new SimulatedPort(
                    new SimulatedRadio(
                            unit.radio().model(),
                            unit.serial(),
                            state,
                            ether(unit.club()),
                            kept -> store.remember(
                                    unit.id(),
                                    kept.image().bytes(),
                                    kept.lock(),
                                    kept.inhibited(),
                                    Json.MAPPER.writeValueAsString(kept.settings()))),
                    baud);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException("No port is free for a simulated radio", e);
        }
    }

    /** Read anew what a unit remembers, when nobody is connected: another server may have written it. */
    synchronized InetSocketAddress freshAddress(Fleet.Unit unit) {
        SimulatedPort known = ports.get(unit.id());
        Optional<Fault> fault = known == null ? Optional.empty() : known.fault();
        if (known != null && fault.isEmpty()) {
            known.close();
            ports.remove(unit.id());
        }
        return address(unit);
    }

    private Ether ether(long club) {
        return ethers.computeIfAbsent(club, any -> withRepeaters());
    }

    /** Near the simulated radios stand the invented repeaters of the stand-in directory. */
    private static Ether withRepeaters() {
        Ether ether = new Ether(System::nanoTime);
        for (DirectoryLine line : StandInDirectory.shipped()) {
            Frequency output = Frequency.ofMegahertz(line.outputMhz()).orElseThrow();
            Frequency input = output.plus(
                    new BigDecimal(line.offsetMhz()).movePointRight(MEGA).longValueExact());
            Mode.parse(line.mode())
                    .ifPresent(mode -> ether.repeater(
                            input, output, mode, Tone.parse(line.access()), Tone.parse(line.toneOut()), TAIL_MS));
        }
        return ether;
    }

    /** Makes something go wrong with a unit. */
    synchronized void fail(Fleet.Unit unit, Optional<Fault> fault, int afterFrames) {
        port(unit).fail(fault, afterFrames);
    }

    /** What goes wrong with a unit, or will. */
    synchronized Optional<Fault> fault(long unit) {
        return Optional.ofNullable(ports.get(unit)).flatMap(SimulatedPort::fault);
    }

    @PreDestroy
    void unplug() {
        ports.values().forEach(SimulatedPort::close);
    }
}
