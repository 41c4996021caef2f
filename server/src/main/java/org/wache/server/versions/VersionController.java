package org.wache.server.versions;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.wache.channel.Channel;
import org.wache.compare.Item;
import org.wache.compare.ListDifference;
import org.wache.compare.Merge;
import org.wache.server.accounts.Account;
import org.wache.server.desk.ListController;
import org.wache.server.lists.ChangeKind;
import org.wache.server.lists.DeskWriter;
import org.wache.server.lists.EntryChanges;
import org.wache.server.lists.ListStore;
import org.wache.server.lists.Views;
import org.wache.server.web.OneLine;

/** Versions of a list, differences of any two, copies, and merges of three. */
@RestController
class VersionController {

    private final Versions versions;

    VersionController(Versions versions) {
        this.versions = versions;
    }

    /** The versions of a list, the newest first; origin is the list that it was copied from. */
    record History(List<Revision> versions, @Schema(nullable = true) Optional<OriginOfCopy> origin) {}

    /** A version: what its change did; release is the number under which it went out, recalled when that was. */
    record Revision(
            int version,
            OffsetDateTime at,
            String by,
            String words,
            @Schema(nullable = true) Integer release,
            boolean recalled) {}

    record OriginOfCopy(long list, int version) {}

    /** Two lists, or two versions of one, and what differs; back is what would make the second the first. */
    record Compared(
            ComparedSide before,
            ComparedSide after,
            int same,
            boolean moved,
            List<ComparedRow> rows,
            List<Views.Change> back,
            @Schema(nullable = true) Views.Order backOrder) {}

    record ComparedSide(long list, String name, int version, int entries) {}

    /** An entry that differs; back is what brings this entry alone back as it was. */
    record ComparedRow(
            ListDifference.Kind kind, String number, String name, List<String> words, List<Views.Change> back) {}

    /** What another list would change of this one; base is what both began with, empty when they have little in common. */
    record MergeView(String base, List<MergeRow> rows) {}

    /**
     * An entry that the other list would change.
     *
     * @param change what taking it does
     * @param conflicts fields that both changed, with both texts
     */
    record MergeRow(
            Merge.Kind kind,
            String number,
            String name,
            List<String> words,
            List<MergeConflict> conflicts,
            Views.Change change) {}

    record MergeConflict(String field, String mine, String theirs) {}

    record CopyName(@OneLine @NotBlank @Size(max = 200) String name) {}

    record MergedWith(long other) {}

    @GetMapping("/api/lists/{list}/versions")
    History history(Account asking, @PathVariable long list) {
        List<Revision> revisions = versions.past(asking.id(), list).stream()
                .map(past -> new Revision(
                        past.version(), past.at(), past.by(), Versions.words(past), past.release(), past.recalled()))
                .toList();
        return new History(revisions, versions.copied(list).map(from -> new OriginOfCopy(from.from(), from.version())));
    }

    /** A version as a whole: the fields of each entry, in its order. */
    record WholeVersion(int version, List<Map<String, String>> entries) {}

    @GetMapping("/api/lists/{list}/versions/{version}")
    WholeVersion whole(Account asking, @PathVariable long list, @PathVariable int version) {
        Versions.Stand stand = versions.stand(asking.id(), list, Optional.of(version));
        return new WholeVersion(
                version,
                stand.stored().stream()
                        .map(each -> DeskWriter.fields(each.channel()))
                        .toList());
    }

    /** What became of a version, or of another list, in this list. */
    @GetMapping("/api/lists/{list}/difference")
    Compared difference(
            Account asking,
            @PathVariable long list,
            @RequestParam Optional<Integer> version,
            @RequestParam Optional<Long> other,
            @RequestParam Optional<Integer> otherVersion) {
        long account = asking.id();
        Versions.Stand after = versions.stand(account, list, version);
        Versions.Stand before = versions.stand(account, other.orElse(list), otherVersion);
        boolean oneList = before.head().id() == list;
        List<Item> old = items(before, oneList);
        List<Item> now = items(after, oneList);
        ListDifference difference = ListDifference.of(old, now);
        boolean backable = oneList && version.isEmpty();
        List<ComparedRow> rows = difference.rows().stream()
                .map(row -> {
                    Channel channel = row.after()
                            .map(now::get)
                            .or(() -> row.before().map(old::get))
                            .orElseThrow()
                            .channel();
                    return new ComparedRow(
                            row.kind(),
                            channel.number(),
                            channel.name(),
                            row.words(),
                            backable ? back(before, after, row) : List.of());
                })
                .toList();
        return new Compared(
                side(before),
                side(after),
                difference.same(),
                difference.moved(),
                rows,
                backable ? back(before, after, difference) : List.of(),
                backable && difference.moved() ? backOrder(before, after) : null);
    }

    private static List<Item> items(Versions.Stand stand, boolean identified) {
        return identified
                ? stand.items(Map.of())
                : stand.stored().stream()
                        .map(each -> new Item(Optional.empty(), each.channel()))
                        .toList();
    }

    private static ComparedSide side(Versions.Stand stand) {
        return new ComparedSide(
                stand.head().id(),
                stand.head().name(),
                stand.version(),
                stand.stored().size());
    }

    /** What brings the version before back. */
    private static List<Views.Change> back(Versions.Stand before, Versions.Stand after, ListDifference difference) {
        return difference.rows().stream()
                .flatMap(row -> back(before, after, row).stream())
                .toList();
    }

    /** What brings one entry back as it was before. */
    private static List<Views.Change> back(Versions.Stand before, Versions.Stand after, ListDifference.Row row) {
        return switch (row.kind()) {
            case ADDED ->
                List.of(EntryChanges.of(
                        ChangeKind.REMOVE,
                        after.stored().get(row.after().orElseThrow()).id(),
                        Map.of(),
                        Map.of()));
            case REMOVED -> {
                ListStore.Stored gone = before.stored().get(row.before().orElseThrow());
                // as it was then, not as it was when it went
                yield List.of(
                        EntryChanges.of(ChangeKind.RESTORE, gone.id(), Map.of(), Map.of()),
                        EntryChanges.of(ChangeKind.EDIT, gone.id(), Map.of(), EntryChanges.texts(gone.channel())));
            }
            case CHANGED ->
                List.of(EntryChanges.edit(
                        after.stored().get(row.after().orElseThrow()).id(),
                        after.stored().get(row.after().get()).channel(),
                        before.stored().get(row.before().orElseThrow()).channel()));
        };
    }

    /** The order before, as far as both have the entries. */
    private static Views.Order backOrder(Versions.Stand before, Versions.Stand after) {
        List<Long> now = after.stored().stream().map(ListStore.Stored::id).toList();
        List<Long> old = new ArrayList<>(before.stored().stream()
                .map(ListStore.Stored::id)
                .filter(now::contains)
                .toList());
        boolean whole = old.size() == now.size() && before.stored().size() == now.size();
        return whole ? new Views.Order(now, old) : null;
    }

    /** What another list would change of this one, from what both began with. */
    @GetMapping("/api/lists/{list}/merge")
    MergeView merge(
            Account asking, @PathVariable long list, @RequestParam long other, @RequestParam Optional<Integer> base) {
        Versions.Three three = versions.three(asking.id(), list, other, base);
        Merge merge = Merge.of(three.baseItems(), three.mineItems(), three.theirItems());
        return new MergeView(
                three.base().version() == 0
                        ? ""
                        : three.base().head().name() + ", version "
                                + three.base().version(),
                merge.rows().stream().map(row -> row(row, three)).toList());
    }

    private static MergeRow row(Merge.Row row, Versions.Three three) {
        Optional<ListStore.Stored> mine = row.mine().map(three.mine().stored()::get);
        Optional<Channel> theirs =
                row.theirs().map(place -> three.theirs().stored().get(place).channel());
        Channel shown = mine.map(ListStore.Stored::channel).or(() -> theirs).orElseThrow();
        List<MergeConflict> conflicts = row.conflicts().stream()
                .map(field -> new MergeConflict(
                        field.key(),
                        mine.orElseThrow().channel().text(field),
                        theirs.orElseThrow().text(field)))
                .toList();
        Views.Change change =
                switch (row.kind()) {
                    case TAKE, CONFLICT ->
                        EntryChanges.edit(
                                mine.orElseThrow().id(),
                                mine.get().channel(),
                                row.merged().orElseThrow());
                    case REMOVE, GONE_THERE ->
                        EntryChanges.of(ChangeKind.REMOVE, mine.orElseThrow().id(), Map.of(), Map.of());
                    case ADD, GONE_HERE ->
                        EntryChanges.of(
                                ChangeKind.ADD,
                                null,
                                Map.of(),
                                DeskWriter.fields(row.merged().orElseThrow()));
                };
        return new MergeRow(row.kind(), shown.number(), shown.name(), row.words(), conflicts, change);
    }

    /** The copy of two lists begins anew with its origin as it is now: what was left out of a merge is not offered again. */
    @PostMapping("/api/lists/{list}/merged")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void merged(Account asking, @PathVariable long list, @Valid @RequestBody MergedWith with) {
        versions.merged(asking.id(), list, with.other());
    }

    /** Makes a copy that can be changed by itself, and merged back. */
    @PostMapping("/api/lists/{list}/copies")
    @ResponseStatus(HttpStatus.CREATED)
    ListController.Made copy(Account asking, @PathVariable long list, @Valid @RequestBody CopyName name) {
        long account = asking.id();
        long copy = versions.copy(account, list, name.name());
        return new ListController.Made(
                copy,
                name.name(),
                versions.stand(account, copy, Optional.empty()).stored().size());
    }
}
