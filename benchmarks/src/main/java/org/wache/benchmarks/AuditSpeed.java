package org.wache.benchmarks;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.EntryAudit;
import org.wache.audit.Verdict;
import org.wache.audit.context.HouseRules;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.exchange.ListFiles;
import org.wache.table.Guess;
import org.wache.table.Table;
import org.wache.table.TableReading;
import org.wache.table.TextTable;

/** What an audit costs, beside what merely parsing the same file costs. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(
        value = 1,
        jvmArgs = {"-Xms3g", "-Xmx3g", "-XX:+UseParallelGC"})
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 6, time = 2)
public class AuditSpeed {

    private String text;
    private String table;
    private byte[] bytes;
    private ChannelList large;
    private Auditor one;
    private Audit four;
    private ChannelList small;
    private Auditor many;
    private Auditor few;
    private int turn;

    @Setup
    public void setUp() {
        bytes = Lists.csv(100_000);
        text = new String(bytes, StandardCharsets.UTF_8);
        table = new String(Lists.csv(10_000), StandardCharsets.UTF_8)
                .replaceFirst("number,name,rx_mhz,tx_mhz", "Ch,Alpha Tag,Output,Input");
        large = ListFiles.read(bytes, "large");
        one = Lists.auditor(1);
        four = Lists.auditor(1).audit(ListFiles.read(Lists.csv(4_000), "four"));
        small = ListFiles.read(Lists.csv(500), "small");
        few = Lists.auditor(20);
        many = Lists.auditor(200);
    }

    /** The yardstick: the file parsed by FastCSV, nothing done with it. */
    @Benchmark
    public int parse100k() throws IOException {
        int fields = 0;
        try (CsvReader<CsvRecord> reader = CsvReader.builder().ofCsvRecord(text)) {
            for (CsvRecord row : reader) {
                fields += row.getFieldCount();
            }
        }
        return fields;
    }

    /** The same file as a list: parsed, and every field read as what it is. */
    @Benchmark
    public ChannelList read100k() {
        return ListFiles.read(bytes, "large");
    }

    /** A table of 10,000 rows with other headings: its columns guessed, and each row read as people write it. */
    @Benchmark
    public long table10k() {
        Table read = TextTable.read(table);
        return TableReading.of(
                        read,
                        Guess.of(read, one.context().edition()),
                        one.context().edition(),
                        HouseRules.NONE)
                .entries();
    }

    /** The list audited for one holder. */
    @Benchmark
    public Map<Verdict, Integer> audit100k() {
        return one.audit(large).counts();
    }

    /** One keystroke in a list of 4,000 entries. */
    @Benchmark
    public EntryAudit keystroke4000() {
        turn = (turn + 1) % 4_000;
        Channel typed = four.entry(turn).channel().with(Map.of(Field.TX_MHZ, "146.5" + turn % 10));
        return four.with(turn, typed).entry(turn);
    }

    /** What 300 transmitters of one site do to 300 receivers: all products of the third and fifth order, harmonics, overlap. */
    @Benchmark
    public long site300() {
        return Lists.interference(300);
    }

    /** The same for twice as many. */
    @Benchmark
    public long site600() {
        return Lists.interference(600);
    }

    /** 500 entries for 20 holders, each holder's verdict asked. */
    @Benchmark
    public int matrix500x20() {
        return asked(few.audit(small), 20);
    }

    /** 500 entries for 200 holders, each holder's verdict asked. */
    @Benchmark
    public int matrix500x200() {
        return asked(many.audit(small), 200);
    }

    private static int asked(Audit audit, int holders) {
        int held = 0;
        for (int i = 0; i < audit.entries().size(); i++) {
            for (int h = 0; h < holders; h++) {
                held += audit.judgement(i, h).verdict() == Verdict.HOLD ? 1 : 0;
            }
        }
        return held;
    }
}
