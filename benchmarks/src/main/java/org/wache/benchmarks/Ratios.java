package org.wache.benchmarks;

import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.CommandLineOptionException;
import org.openjdk.jmh.runner.options.CommandLineOptions;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.channel.ChannelList;
import org.wache.exchange.ListFiles;

/** Runs the benchmarks and prints them as ratios, which are comparable from machine to machine. */
public final class Ratios {

    private static final int ENTRIES = 100_000;

    private Ratios() {}

    /** Runs them; arguments are JMH's own. */
    public static void main(String[] arguments) throws RunnerException, CommandLineOptionException {
        Map<String, Double> milliseconds = new TreeMap<>();
        var options = new OptionsBuilder()
                .parent(new CommandLineOptions(arguments))
                .include(AuditSpeed.class.getSimpleName())
                .build();
        for (RunResult result : new Runner(options).run()) {
            String name = result.getParams().getBenchmark();
            milliseconds.put(
                    name.substring(name.lastIndexOf('.') + 1),
                    result.getPrimaryResult().getScore());
        }
        double parse = milliseconds.get("parse100k");
        System.out.println();
        System.out.println("| what | ms | ratio |");
        System.out.println("|---|---|---|");
        row("100,000 entries parsed by FastCSV (the yardstick)", parse, parse);
        row("… read as a list", milliseconds.get("read100k"), parse);
        row("… audited for one holder", milliseconds.get("audit100k"), parse);
        row("10,000 rows of any table, columns guessed, read as entries", milliseconds.get("table10k"), parse);
        row("one keystroke in 4,000 entries", milliseconds.get("keystroke4000"), parse);
        row("500 entries × 20 holders", milliseconds.get("matrix500x20"), parse);
        row("500 entries × 200 holders", milliseconds.get("matrix500x200"), parse);
        row(
                "interference of 300 transmitters at one site, all third-order products",
                milliseconds.get("site300"),
                parse);
        row("… of 600", milliseconds.get("site600"), parse);
        memory();
    }

    private static void row(String what, double milliseconds, double parse) {
        System.out.printf(Locale.ROOT, "| %s | %.3f | %.3f |%n", what, milliseconds, milliseconds / parse);
    }

    private static void memory() {
        byte[] csv = Lists.csv(ENTRIES);
        Auditor auditor = Lists.auditor(1);
        long before = used();
        ChannelList list = ListFiles.read(csv, "memory");
        long read = used();
        Audit audit = auditor.audit(list);
        long audited = used();
        System.out.printf(Locale.ROOT, "| memory of an entry as read | %d bytes | |%n", (read - before) / ENTRIES);
        System.out.printf(Locale.ROOT, "| … and of its audit | %d bytes | |%n", (audited - read) / ENTRIES);
        System.out.println("(" + audit.counts() + ")");
    }

    private static long used() {
        for (int i = 0; i < 4; i++) {
            System.gc();
        }
        Runtime runtime = Runtime.getRuntime();
        return runtime.totalMemory() - runtime.freeMemory();
    }
}
