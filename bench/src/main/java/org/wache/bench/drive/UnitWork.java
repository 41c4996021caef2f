package org.wache.bench.drive;

import java.net.InetSocketAddress;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wache.bench.image.ImageDifference;
import org.wache.bench.image.RadioImage;
import org.wache.bench.wire.Identity;
import org.wache.radio.OtherSetting;
import org.wache.radio.Radio;

/**
 * Everything that is done to one radio to put a list into it, in the order of the trade: look who is there, read and
 * save, set the lock, write, close, read back, compare, and try the key. It may be begun again from the start at any
 * time: a radio that was left in the middle has kept what it had.
 */
public final class UnitWork {

    private static final int LEAST_BATTERY = 20;

    private final InetSocketAddress address;
    private final int answerMs;
    private final Plan plan;
    private final Log log;

    /**
     * What is to be done.
     *
     * @param radio the radio as it is to be: its model, lock and whether its transmitter is off
     * @param serial the serial number expected
     * @param wanted the image
     * @param settings how what belongs to no channel shall be set, by what tells settings apart
     * @param callSign what is spoken when the key is tried
     */
    public record Plan(Radio radio, String serial, RadioImage wanted, Map<String, String> settings, String callSign) {}

    /**
     * What came of it.
     *
     * @param settings how all that belongs to no channel was found set afterwards, by what tells settings apart
     */
    public record Outcome(List<ImageDifference> differences, List<KeyTrial> trials, Map<String, String> settings) {

        /** Whether the radio is as it should be. */
        public boolean good() {
            return differences.isEmpty() && trials.stream().allMatch(KeyTrial::asItShould);
        }
    }

    /** Is told what happens, while it happens. */
    public interface Log {

        /** How far a stage has come. Throwing ends the work. */
        void at(Stage stage, int done, int total) throws LinkFault;

        /** What was in the radio before anything was changed; must be safe when this returns. */
        void saved(Identity identity, RadioImage image) throws LinkFault;

        /** What was written has been kept by the radio. */
        void kept() throws LinkFault;
    }

    public UnitWork(InetSocketAddress address, int answerMs, Plan plan, Log log) {
        this.address = address;
        this.answerMs = answerMs;
        this.plan = plan;
        this.log = log;
    }

    /**
     * Does it all.
     *
     * @throws LinkFault when it could not be done; the radio has kept either what it had or what was written
     */
    public Outcome run() throws LinkFault {
        try (RadioLink link = new RadioLink(address, answerMs)) {
            log.at(Stage.IDENTIFY, 0, 1);
            Identity identity = checked(link.identity());
            link.open();
            RadioImage before = link.read(identity.imageBytes(), (done, total) -> log.at(Stage.READ, done, total));
            log.saved(identity, before);
            setUp(link, identity);
            link.write(plan.wanted(), (done, total) -> log.at(Stage.WRITE, done, total));
            int set = 0;
            for (Map.Entry<String, String> each : plan.settings().entrySet()) {
                log.at(Stage.SETTINGS, set++, plan.settings().size());
                link.set(each.getKey(), each.getValue());
            }
            log.at(Stage.CLOSE, 0, 1);
            link.closeProgramming();
            log.kept();
            link.open();
            RadioImage after = link.read(plan.wanted().length(), (done, total) -> log.at(Stage.READ_BACK, done, total));
            link.leave();
            Map<String, String> settings = settings(link);
            log.at(Stage.COMPARE, 0, 1);
            List<ImageDifference> differences = new ArrayList<>(ImageDifference.between(plan.wanted(), after));
            plan.settings().forEach((id, value) -> {
                String found = settings.getOrDefault(id, "");
                if (!found.equals(value)) {
                    differences.add(new ImageDifference(0, title(id), "setting", value, found));
                }
            });
            return new Outcome(
                    List.copyOf(differences),
                    new KeyCheck(link, plan.radio(), plan.callSign())
                            .of(plan.wanted(), (done, total) -> log.at(Stage.KEY_CHECK, done, total)),
                    settings);
        }
    }

    /** How everything that belongs to no channel is set. */
    private Map<String, String> settings(RadioLink link) throws LinkFault {
        Map<String, String> all = new LinkedHashMap<>();
        for (OtherSetting each : plan.radio().model().otherSettings()) {
            Optional<String> value = link.setting(each.id());
            value.ifPresent(found -> all.put(each.id(), found));
        }
        return all;
    }

    private String title(String id) {
        return plan.radio().model().otherSettings().stream()
                .filter(each -> each.id().equals(id))
                .map(OtherSetting::label)
                .findFirst()
                .orElse(id);
    }

    private Identity checked(Identity identity) throws LinkFault {
        String model = plan.radio().model().name();
        if (!identity.model().equals(model) || !identity.serial().equals(plan.serial())) {
            throw new LinkFault(
                    "On this port is a " + identity.model() + ", serial " + identity.serial() + ", not the " + model
                            + ", serial " + plan.serial() + ".",
                    "Put the right radio on the cable, or correct the unit's model and serial number.");
        }
        if (identity.battery() < LEAST_BATTERY) {
            throw new LinkFault(
                    "The battery is at " + identity.battery() + " %: too little to write safely.",
                    "Charge it, and start this radio" + " again.");
        }
        if (identity.imageBytes() != plan.wanted().length()) {
            throw new LinkFault(
                    "The radio has " + identity.imageBytes() / RadioImage.ENTRY + " memories, the model's data say "
                            + plan.wanted().memories() + ".",
                    "Correct the model's memories.");
        }
        return identity;
    }

    /** A change of lock comes before writing, because it erases. */
    private void setUp(RadioLink link, Identity identity) throws LinkFault {
        Optional<String> lock = plan.radio().lock().map(mode -> mode.name());
        if (lock.isPresent() && !lock.get().equals(identity.lock())) {
            log.at(Stage.LOCK, 0, 1);
            link.lock(lock.get());
        }
        if (plan.radio().inhibited() != identity.inhibited()) {
            link.inhibit(plan.radio().inhibited());
        }
    }
}
