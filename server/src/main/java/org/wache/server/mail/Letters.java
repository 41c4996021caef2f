package org.wache.server.mail;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** What mails say: in plain text, with the address of the page that each thing is about, and where somebody changes what they are told. */
final class Letters {

    private static final int SUBJECT = 120;

    private final String address;

    /** For a server that is reached at an address, without a stroke at its end. */
    Letters(String address) {
        this.address = address;
    }

    /** Something that somebody is told, and in which group. */
    record Told(String group, Tiding tiding) {}

    /** One mail about things of one kind in one group. */
    Letter single(String to, List<Told> told) {
        Told first = told.get(0);
        String subject = told.size() == 1
                ? first.tiding().words()
                : first.tiding().kind().heading() + ": " + told.size() + " in " + first.group();
        return new Letter(to, subject(subject), first.group() + "\n\n" + lines(told) + foot());
    }

    /** Everything of a day in one mail. */
    Letter digest(String to, List<Told> told) {
        StringBuilder text = new StringBuilder();
        Map<String, List<Told>> byGroup =
                told.stream().collect(Collectors.groupingBy(Told::group, TreeMap::new, Collectors.toList()));
        byGroup.forEach((group, ofIt) -> {
            text.append(group).append("\n\n");
            Map<MailKind, List<Told>> byKind = ofIt.stream()
                    .collect(Collectors.groupingBy(each -> each.tiding().kind(), TreeMap::new, Collectors.toList()));
            byKind.forEach((kind, ofKind) -> text.append(kind.heading())
                    .append('\n')
                    .append(lines(ofKind))
                    .append('\n'));
        });
        return new Letter(
                to,
                subject(
                        told.size() == 1
                                ? told.get(0).tiding().words()
                                : told.size() + " things from " + String.join(", ", byGroup.keySet())),
                text.toString().stripTrailing() + "\n" + foot());
    }

    /** The code that confirms an address. */
    Letter code(String to, String name, String code) {
        return new Letter(
                to,
                "Your code for Wache: " + code,
                "Somebody who is signed in as " + name + " at " + address + " wants to be told by mail here.\n\n"
                        + "If that is you, type this code on the page of your account within an hour:\n\n    " + code
                        + "\n\nIf it is not, do nothing: without the code nothing more is sent to this address.\n");
    }

    /** An invitation into a group. */
    Letter invitation(String to, String name, String group, String by, String role, String token) {
        return new Letter(
                to,
                subject(by + " invites you to " + group),
                "Hello " + name + ",\n\n" + by + " invites you to " + group + " as " + role
                        + ". This link works once, for 14 days:\n\n    " + address + "/invitation#" + token
                        + "\n\nWhoever has the link can use it: do not pass it on. If you do not know " + by
                        + ", do nothing.\n");
    }

    private String lines(List<Told> told) {
        return told.stream()
                .map(each -> "- " + each.tiding().words() + "\n  " + address
                        + each.tiding().path() + "\n")
                .collect(Collectors.joining());
    }

    private String foot() {
        return "\n-- \nYou chose to be told this at " + address + "/account, where you can change it.\n";
    }

    private static String subject(String text) {
        String line = text.replaceAll("\\s+", " ").strip();
        return line.length() <= SUBJECT ? line : line.substring(0, SUBJECT - 1).stripTrailing() + "…";
    }
}
