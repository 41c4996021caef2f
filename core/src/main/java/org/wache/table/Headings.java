package org.wache.table;

import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.wache.typed.Plain;
import org.wache.typed.Unit;

/** The words that people head their columns with. Common practice, no source. */
final class Headings {

    private static final Map<Column.Kind, List<Phrase>> PHRASES = new EnumMap<>(Column.Kind.class);
    private static final int EXACT = 100;
    private static final int CONTAINED = 60;
    private static final int A_WORD = 8;

    static {
        say(
                Column.Kind.RECEIVE,
                "rx freq n or w|rx|rx freq|rx frequency|receive|receive freq|receive frequency|recv|rcv|rcv freq|freq|freqs"
                        + "|frequency|frequencies|output|output freq|output frequency|repeater output|rptr output|out|downlink|hears"
                        + "|hears on|listen|listen on|mhz|r freq|repeater frequency|repeater freq|freq out|mobile rx|repeater tx|rptr tx"
                        + "|repeater transmit|base tx|channel frequency|operating frequency|frequenz|empfang|frecuencia|frequence|rx mhz"
                        + "|receive on|freq rx|qrg");
        say(
                Column.Kind.TRANSMIT,
                "tx freq n or w|tx|tx freq|tx frequency|transmit|transmit freq|transmit frequency|xmit|xmit freq|input"
                        + "|input freq|input frequency|repeater input|rptr input|in|uplink|talk|talks|talks on|talk on|send|t freq|freq in"
                        + "|mobile tx|repeater rx|rptr rx|repeater receive|sendefrequenz|tx mhz|transmit on|freq tx");
        say(
                Column.Kind.SHIFT,
                "offset|shift|split|ofs|+/-|+ -|+|-|duplex|dup|direction|dir|sign|rptr offset|repeater offset"
                        + "|tx offset|offset direction|offset dir|offset freq|offset frequency|offset +/-|shift direction|plus/minus"
                        + "|plus minus|ablage|desplazamiento|simplex/duplex|freq offset|frequency offset");
        say(
                Column.Kind.TONE,
                "tone|tones|pl|pl tone|ctcss|ctcss tone|ctcss/dcs|dcs|dcs code|dpl|access tone|access|code"
                        + "|privacy code|privacy|subtone|sub tone|tone freq|tone frequency|pl/dpl|ctcss/pl|pl/ctcss|tono|ton|squelch tone"
                        + "|tone/code|tone code|dtcs|cdcss|dtcs code|qt|qt/dqt|ctcss code|pl freq|tone or code");
        say(
                Column.Kind.TONE_SENT,
                "tx tone|tx tone/nac|tx ctcss|tx pl|ctcss tx|tone tx|pl tx|input tone|tone in|pl in|uplink tone|encode"
                        + "|enc|ctcss enc|encode tone|ctcss encode|tone encode|tone enc|send tone|sends|t ctcss|tx code|tx dcs|tx qt/dqt"
                        + "|tx ctcss/dcs|transmit tone|transmit pl|pl encode|pl enc|tone sent|ctcss in|tx qt|xmit tone|opens with");
        say(
                Column.Kind.TONE_HEARD,
                "rx tone|rx tone/nac|rx ctcss|rx pl|ctcss rx|tone rx|pl rx|output tone|tone out|pl out|downlink tone"
                        + "|decode|dec|ctcss dec|decode tone|ctcss decode|tone decode|tone dec|rx code|rx dcs|rx qt/dqt|rx ctcss/dcs"
                        + "|receive tone|receive pl|r ctcss|tsql|tone squelch|opens on|opens with|pl decode|pl dec|ctcss out|rx qt|rcv tone");
        say(
                Column.Kind.TONE_USE,
                "tone mode|tone type|squelch|squelch mode|squelch type|sq type|sq mode|tone use|tone kind|kind of tone"
                        + "|signalling|signaling|tone system|tone setting|tone option|tone in use|sq|sql|sql mode");
        say(
                Column.Kind.TONE_PARTS,
                "cross mode|tone cross|cross|different|split tone|split tones|tone sides|cross kind|tone split");
        say(
                Column.Kind.CODE,
                "code|dcs|dcs code|dtcs|dtcs code|dpl|dpl code|cdcss|cdcss code|dqt|digital code|tx dcs|tx dtcs|dcs tx|dtcs tx"
                        + "|tx dpl|code sent|dcs encode|dcs enc|sent code|dcs sent|tx dcs code|tx dtcs code|transmit code");
        say(
                Column.Kind.CODE_HEARD,
                "rx dcs|rx dtcs|dcs rx|dtcs rx|rx dtcs code|rx dcs code|rx dpl|dcs decode|dcs dec|code heard|received code"
                        + "|receive code|dcs received|rx digital code|code received");
        say(
                Column.Kind.POLARITY,
                "polarity|dcs polarity|dtcs polarity|code polarity|dcs pol|pol|inverted|inversion|dcs invert|dcs inverted"
                        + "|normal/inverted|code inverted");
        say(
                Column.Kind.MODE,
                "mode|modulation|mod|emission|emission designator|designator|em|width|bandwidth|bw|band width"
                        + "|w/n|n/w|wide/narrow|narrow/wide|narrow|wide|spacing|channel spacing|channel width|chan bw|ch bw|betriebsart"
                        + "|modo|fm/nfm|nfm/fm|emission type|n or w|bandbreite|mode a d or m|mode a d m|a d or m");
        say(Column.Kind.NARROW, "narrow|narrow?|narrowband|narrow band|nb|is narrow");
        say(Column.Kind.WIDE, "wide|wide?|wideband|is wide");
        say(
                Column.Kind.POWER,
                "power|pwr|watts|watt|w|tx power|power level|output power|hi/lo|h/l|high/low|power w|level"
                        + "|leistung|potencia|rf power|tx pwr|power watts|max power|power out|tx watts|pwr lvl");
        say(
                Column.Kind.NUMBER,
                "number|no|nr|num|#|ch|ch #|ch no|ch nr|chan|chan #|chan no|channel|channel #|channel no"
                        + "|channel number|mem|mem #|mem no|memory|memory no|memory number|slot|pos|position|index|idx|kanal|canal|item"
                        + "|loc|row|entry");
        say(
                Column.Kind.NAME,
                "name|label|tag|alpha|alpha tag|alphatag|alias|channel name|ch name|chan name|title|description"
                        + "|desc|display|display name|short name|nombre|bezeichnung|id|identifier|text|repeater name|repeater|net|net name"
                        + "|system|talkgroup|agency|channel label|who|channel name/trunked radio system talkgroup"
                        + "|channel name/talkgroup|channel name or talkgroup");
        say(
                Column.Kind.PLACE,
                "location|city|town|site|area|county|qth|callsign|call|call sign|calls|site name|nearest city"
                        + "|place|ort|ubicacion|landmark|city/county|rptr call|repeater call|station|standort|licensee|owner|sponsor|trustee"
                        + "|assignment|function");
        say(
                Column.Kind.CHANNEL,
                "gmrs ch|gmrs channel|frs ch|frs channel|frs/gmrs ch|frs/gmrs channel|gmrs/frs channel"
                        + "|gmrs/frs ch|frs/gmrs|gmrs/frs|murs ch|murs channel|marine ch|marine channel|service channel|gmrs|frs|murs");
        say(Column.Kind.ZONE, "zone|bank|zone name|bank name|zone grp|zone group|zone/group");
        say(Column.Kind.USE, "use|usage|simplex/repeater|repeater/simplex|rpt/simplex|operation|type|kind");
        say(Column.Kind.SERVICE, "service|radio service|svc");
        say(Column.Kind.SCAN, "scan|scan list|scan?|scan add|in scan|scanned");
        say(
                Column.Kind.STEP,
                "step|steps|tuning step|tune step|ts|st|tuning|freq step|frequency step|step size|raster|increment|step khz");
        say(Column.Kind.SKIP, "skip|lockout|l/o|lock out|scan skip|skip scan|skipped|scan lockout|locked out");
        say(Column.Kind.COLOUR_CODE, "colour code|color code|cc|colour|color|dmr cc|dmr color code|dmr colour code");
        say(
                Column.Kind.TIME_SLOT,
                "time slot|timeslot|slot|ts|dmr slot|tslot|repeater slot|dmr time slot|dmr timeslot|slot no|time slot no");
        say(
                Column.Kind.TALK_GROUP,
                "talk group|talkgroup|tg|tg id|tgid|talk group id|talkgroup id|tg number|talk group number|tg no|group id"
                        + "|talk group no|dmr tg|dmr id");
        say(
                Column.Kind.RECEIVE_GROUP,
                "receive group|rx group|rx group list|receive group list|group list|rx list|rxgroup|receive list");
        say(
                Column.Kind.CONTACT,
                "contact|contact name|tx contact|talk group name|talkgroup name|tg name|dmr contact|call contact");
        say(
                Column.Kind.ACCESS_CODE,
                "nac|network access code|ran|random access number|p25 nac|nxdn ran|digital squelch|dsq|dg-id|dgid"
                        + "|digital squelch code|digital access code|dsql");
        say(
                Column.Kind.TIMEOUT,
                "time-out|timeout|tot|time out|time out timer|time-out timer|timeout timer|timeout s|tot s");
        say(
                Column.Kind.NOTE,
                "note|notes|comment|comments|remark|remarks|info|bemerkung|bemerkungen|notas|details|misc|other"
                        + "|restrictions|observations|additional info");
    }

    private Headings() {}

    /** A usual heading: as it stands, without its spaces, and its words. */
    private record Phrase(String text, String joined, List<String> words) {
        static Phrase of(String text) {
            return new Phrase(
                    text,
                    text.replace(" ", ""),
                    Stream.of(text.split("[ /]"))
                            .filter(word -> !word.isEmpty())
                            .toList());
        }
    }

    private static void say(Column.Kind kind, String phrases) {
        PHRASES.put(kind, Stream.of(phrases.split("\\|")).map(Phrase::of).toList());
    }

    /** A heading in words, without unit, brackets and marks. */
    private static String plain(String heading) {
        String words = Plain.of(heading.replace('_', ' ').replaceAll("(?<=[a-z])(?=[A-Z][a-z])", " "));
        words = words.replaceAll("[()\\[\\]{}:;,.*?!\"']", " ").strip().replaceAll(" +", " ");
        String unitless = words.replaceAll("(^| )(mhz|khz|ghz|hz|in mhz|in khz|watts)(?= |$)", " ")
                .strip()
                .replaceAll(" +", " ");
        return unitless.isEmpty() ? words : unitless;
    }

    /** The unit that a heading names. */
    static Optional<Unit> unit(String heading) {
        for (String word : Plain.of(heading.replace('_', ' ')).split("[^a-z]+")) {
            if (word.equals("mhz") || word.equals("khz") || word.equals("hz") || word.equals("ghz")) {
                return Unit.of(word);
            }
        }
        return Optional.empty();
    }

    /** Whether a heading is about digital codes only. */
    static boolean isDigital(String heading) {
        String plain = plain(heading);
        return plain.matches(".*\\b(dcs|dtcs|dpl|cdcss|dqt)\\b.*")
                && !plain.matches(".*\\b(ctcss|pl|qt|tone|tones)\\b.*");
    }

    /** How well each kind fits a heading, from 0 to 100; kinds that do not fit at all are missing. */
    static Map<Column.Kind, Integer> fits(String heading) {
        Map<Column.Kind, Integer> fits = new EnumMap<>(Column.Kind.class);
        String plain = plain(heading);
        if (plain.isEmpty()) {
            return fits;
        }
        Set<String> words = new HashSet<>(List.of(plain.split("[ /]")));
        for (Map.Entry<Column.Kind, List<Phrase>> each : PHRASES.entrySet()) {
            int best = 0;
            for (Phrase phrase : each.getValue()) {
                best = Math.max(best, fit(plain, words, phrase));
            }
            if (best > 0) {
                fits.put(each.getKey(), best);
            }
        }
        return fits;
    }

    private static int fit(String plain, Set<String> words, Phrase phrase) {
        if (plain.equals(phrase.text()) || plain.equals(phrase.joined())) {
            return EXACT;
        }
        int parts = phrase.words().size();
        return parts > 0 && words.containsAll(phrase.words())
                ? Math.min(EXACT - 1, CONTAINED + A_WORD * parts - 2 * (words.size() - parts))
                : 0;
    }

    /** Whether these are headings beyond doubt: at least two usual ones, and no fewer than half of all, without a figure in any. */
    static boolean areSurely(List<String> cells) {
        long filled = cells.stream().filter(cell -> !cell.isBlank()).count();
        long known = cells.stream().filter(Headings::isOne).count();
        return known >= Math.min(2, filled)
                && known * 2 >= filled
                && known > 0
                && cells.stream().noneMatch(cell -> cell.matches(".*[0-9]{3,}.*"));
    }

    /** Whether a text is one of the usual headings, word for word. */
    static boolean isOne(String text) {
        return fits(text).values().stream().anyMatch(fit -> fit == EXACT);
    }
}
