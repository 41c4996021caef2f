package org.wache.benchmarks;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How long the data of every page of a large group takes: of {@code ./wache demo --large}, once cold and then warm. A page whose data takes longer than
 * 300 ms once warm is marked.
 */
public final class PageSpeed {

    private static final int TIMES = 7;
    private static final double WANTED_MS = 300;
    private static final Pattern LIST =
            Pattern.compile("\"id\":(\\d+),\"name\":\"Sector [^\"]*\",\"version\":\\d+,\"entries\":(\\d+)");
    private static final List<String> OF_THE_GROUP = List.of(
            "home",
            "pulse",
            "lists",
            "roster",
            "radios",
            "log",
            "stations",
            "areas",
            "operations",
            "overlay",
            "tones",
            "profiles",
            "runs",
            "bench-lists",
            "releases",
            "people",
            "deleted-lists",
            "frequencies");
    private static final List<String> OF_A_LIST = List.of(
            "",
            "/matrix",
            "/fit",
            "/reach",
            "/reach/concerns",
            "/site",
            "/versions",
            "/gate",
            "/radios",
            "/abroad",
            "/aside");

    private PageSpeed() {}

    /** With the address of the demo; http://127.0.0.1:8750 when none is given. */
    public static void main(String[] arguments) throws IOException, InterruptedException {
        Visitor who = new Visitor(arguments.length == 0 ? "http://127.0.0.1:8750" : arguments[0], "large");
        Matcher group = Pattern.compile("\"groups\":\\[\\{\"id\":(\\d+)")
                .matcher(who.get("/api/session").body());
        if (!group.find()) {
            throw new IllegalStateException("large is in no group");
        }
        System.out.printf(Locale.ROOT, "%-34s %9s %9s %9s %8s%n", "page", "first", "median", "worst", "kB");
        for (String page : OF_THE_GROUP) {
            time(who, page, "/api/groups/" + group.group(1) + "/" + page);
        }
        List<long[]> lists = lists(who, group.group(1));
        for (int size : new int[] {45, 300, 4_000}) {
            long[] list = lists.stream()
                    .min((one, other) -> Long.compare(Math.abs(one[1] - size), Math.abs(other[1] - size)))
                    .orElseThrow();
            for (String page : OF_A_LIST) {
                time(who, "list of " + list[1] + page, "/api/lists/" + list[0] + page);
            }
        }
    }

    private static List<long[]> lists(Visitor who, String group) throws IOException, InterruptedException {
        String body = who.get("/api/groups/" + group + "/lists").body();
        while (body.contains("\"pending\":true")) {
            Thread.sleep(300);
            body = who.get("/api/groups/" + group + "/lists").body();
        }
        List<long[]> all = new ArrayList<>();
        Matcher each = LIST.matcher(body);
        while (each.find()) {
            all.add(new long[] {Long.parseLong(each.group(1)), Long.parseLong(each.group(2))});
        }
        return all;
    }

    private static void time(Visitor who, String name, String path) throws IOException, InterruptedException {
        Visitor.Answer first = who.get(path);
        double[] warm = new double[TIMES];
        for (int i = 0; i < TIMES; i++) {
            warm[i] = who.get(path).ms();
        }
        Arrays.sort(warm);
        System.out.printf(
                Locale.ROOT,
                "%-34s %6.0f ms %6.0f ms %6.0f ms %8.0f%s%n",
                name,
                first.ms(),
                warm[TIMES / 2],
                warm[TIMES - 1],
                first.body().length() / 1e3,
                first.status() != 200 ? "  status " + first.status() : warm[TIMES / 2] > WANTED_MS ? "  slow" : "");
    }
}
