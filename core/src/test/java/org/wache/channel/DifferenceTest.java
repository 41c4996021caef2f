package org.wache.channel;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.wache.audit.RulePage;

/** Entries compared in radio terms. */
class DifferenceTest {

    private static List<String> between(String before, String after) {
        return Difference.of(
                RulePage.entry("", before).channel(), RulePage.entry("", after).channel());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "rx_mhz=146.94 tx_mhz=147.54 | rx_mhz=146.94 tx_mhz=146.34 | talks on 146.340 MHz instead of 147.540 MHz",
                "rx_mhz=146.94 tx_mhz=146.34 | rx_mhz=146.94 | listens only, no longer talks on 146.340 MHz",
                "rx_mhz=146.94 | rx_mhz=146.94 tx_mhz=146.34 | talks on 146.340 MHz, listened only",
                "rx_mhz=147.995 tx_mhz=147.995 | rx_mhz=147.990 tx_mhz=147.990 | moves to 147.990 MHz from 147.995 MHz",
                "rx_mhz=29.64 tx_mhz=29.54 tx_tone=100.0 | rx_mhz=29.64 | listens only, no longer talks on 29.540 MHz",
                "rx_mhz=146.94 | rx_mhz=146.97 | hears 146.970 MHz instead of 146.940 MHz",
                "rx_mhz=146.94 | rx_mhz=x | hears “x” instead of 146.940 MHz",
                "rx_mhz=146.94 tx_tone=100.0 | rx_mhz=146.94 | sends no tone instead of 100.0",
                "rx_mhz=146.94 | rx_mhz=146.94 rx_tone=D023 | opens with D023 instead of any signal",
                "rx_mhz=146.94 mode=FM | rx_mhz=146.94 mode=NFM | NFM instead of FM",
                "rx_mhz=146.94 mode=FM | rx_mhz=146.94 mode=FM emission=11K0F3E | 11K0F3E instead of FM",
                "rx_mhz=146.94 power_w=5 | rx_mhz=146.94 power_w=0.5 | power 0.5 W instead of 5 W",
                "rx_mhz=146.94 power_w=5 | rx_mhz=146.94 | power not given instead of 5 W",
                "rx_mhz=146.94 timeout_s=0 | rx_mhz=146.94 timeout_s=180 | time-out 180 s instead of 0 s",
                "number=1 rx_mhz=146.94 | number=2 rx_mhz=146.94 | number 2 instead of 1"
            })
    void aChangeIsSaidInRadioTerms(String before, String after, String words) {
        assertThat(between(before, after)).containsExactly(words);
    }

    @Test
    void twoWaysOfWritingAFrequencyAreNoDifference() {
        assertThat(between("rx_mhz=146.94 tx_mhz=146.94", "rx_mhz=146.940000 tx_mhz=146.940"))
                .isEmpty();
    }

    @Test
    void severalThingsAreSaidInTheOrderOfTheEntry() {
        assertThat(between("rx_mhz=146.94 tx_mhz=147.54 mode=FM", "rx_mhz=146.94 tx_mhz=146.34 mode=FM tx_tone=100.0"))
                .containsExactly("talks on 146.340 MHz instead of 147.540 MHz", "sends 100.0 instead of no tone");
    }
}
