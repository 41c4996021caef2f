package org.wache.benchmarks;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Many people at once on the longest list of {@code ./wache demo --large}: each types, a keystroke a second, and asks for the Desk every ten. Tells how
 * long answers took, how many were none, and what memory the server's process came to when its number is given.
 */
public final class ManyPeople {

    private static final int DESK_EVERY = 10;
    private static final Pattern ENTRY = Pattern.compile("\"slips\":\\[\\{\"id\":(\\d+)");

    private ManyPeople() {}

    /** Address, people (100) and seconds (60). */
    public static void main(String[] arguments) throws IOException, InterruptedException {
        String address = arguments.length > 0 ? arguments[0] : "http://127.0.0.1:8750";
        int people = arguments.length > 1 ? Integer.parseInt(arguments[1]) : 100;
        int seconds = arguments.length > 2 ? Integer.parseInt(arguments[2]) : 60;
        Visitor who = new Visitor(address, "large");
        Matcher group = Pattern.compile("\"groups\":\\[\\{\"id\":(\\d+)")
                .matcher(who.get("/api/session").body());
        group.find();
        Matcher lists = Pattern.compile("\"id\":(\\d+),\"name\":\"[^\"]*, list 500\"")
                .matcher(who.get("/api/groups/" + group.group(1) + "/lists").body());
        if (!lists.find()) {
            throw new IllegalStateException("The large group has no list 500");
        }
        String list = "/api/lists/" + lists.group(1);
        Matcher entry = ENTRY.matcher(who.get(list).body());
        entry.find();
        ConcurrentLinkedQueue<Double> keys = new ConcurrentLinkedQueue<>();
        ConcurrentLinkedQueue<Double> desks = new ConcurrentLinkedQueue<>();
        AtomicInteger faults = new AtomicInteger();
        long end = System.nanoTime() + seconds * 1_000_000_000L;
        List<Thread> all = new ArrayList<>();
        for (int i = 0; i < people; i++) {
            int person = i;
            Thread thread = new Thread(() -> work(who, list, entry.group(1), person, people, end, keys, desks, faults));
            thread.start();
            all.add(thread);
        }
        for (Thread thread : all) {
            thread.join();
        }
        tell("a keystroke", keys);
        tell("the Desk", desks);
        System.out.println(faults + " without an answer, or with another than 200");
    }

    private static void work(
            Visitor who,
            String list,
            String entry,
            int person,
            int people,
            long end,
            ConcurrentLinkedQueue<Double> keys,
            ConcurrentLinkedQueue<Double> desks,
            AtomicInteger faults) {
        try {
            Thread.sleep(1_000L * person / people);
            for (int turn = 0; System.nanoTime() < end; turn++) {
                boolean desk = (turn + person) % DESK_EVERY == 0;
                Visitor.Answer answer = desk
                        ? who.get(list)
                        : who.send(
                                "POST",
                                list + "/entries/" + entry + "/trial",
                                "{\"fields\":{\"rxMhz\":\"146.5" + (turn % 9) + "\"}}");
                (desk ? desks : keys).add(answer.ms());
                if (answer.status() != 200) {
                    faults.incrementAndGet();
                }
                Thread.sleep((long) Math.max(0, 1_000 - answer.ms()));
            }
        } catch (IOException e) {
            faults.incrementAndGet();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private static void tell(String what, ConcurrentLinkedQueue<Double> taken) {
        double[] all = taken.stream().mapToDouble(Double::doubleValue).sorted().toArray();
        System.out.printf(
                Locale.ROOT,
                "%-14s %6d times, median %5.0f ms, p95 %5.0f ms, worst %5.0f ms%n",
                what,
                all.length,
                all.length == 0 ? 0 : all[all.length / 2],
                all.length == 0 ? 0 : all[(int) (all.length * 0.95)],
                all.length == 0 ? 0 : Arrays.stream(all).max().orElse(0));
    }
}
