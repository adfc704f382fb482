package famulus.server.interchange;

import famulus.core.intake.OldEnds;
import famulus.core.proof.SaidNames;
import famulus.core.prose.WrittenLanguage;
import famulus.server.records.CrmKind;
import famulus.server.records.CrmRecord;
import famulus.server.records.RecordService;
import famulus.server.search.SearchIndex;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Finds out whom a text was written to: by the addresses it went to or names, and by whole names in it and below it. */
@Service
class LikelyPeople {
    private static final Pattern ADDRESS = Pattern.compile("[\\w.+'-]{1,64}@[\\w-]+(?:\\.[\\w-]+)+");
    private static final int MOST = 5;
    private static final int MOST_ADDRESSES = 50;
    /** What marks a quoted message as one. */
    private static final Pattern MARKS = Pattern.compile("[>:*]|-{2,}");
    /** So much of a text is looked through: whoever it was for is named near its beginning or its end. */
    private static final int LONGEST = 20_000;

    private final SearchIndex search;
    private final RecordService records;

    LikelyPeople(SearchIndex search, RecordService records) {
        this.search = search;
        this.records = records;
    }

    /**
     * Somebody it may have been for.
     *
     * @param company where they are; empty for nowhere
     * @param why what speaks for them
     */
    record LikelyPerson(CrmKind kind, UUID id, String name, String company, String why) {}

    /** The likeliest first, five at most: who it went to, who wrote what is quoted, who is named. */
    List<LikelyPerson> of(Collection<String> addresses, String text) {
        OldEnds ends = OldEnds.of(text.length() > LONGEST ? text.substring(0, LONGEST) : text);
        // What is quoted is read here as any other words are.
        String thread = MARKS.matcher(ends.thread()).replaceAll(" ");
        List<LikelyPerson> found = new ArrayList<>();
        add(found, kind -> at(kind, addresses), "it went to their address");
        add(found, kind -> named(kind, thread), "in the thread below it");
        add(found, kind -> at(kind, addressesIn(ends.thread())), "in the thread below it");
        add(found, kind -> named(kind, ends.words()), "named in it");
        add(found, kind -> at(kind, addressesIn(ends.words())), "their address is in it");
        return found.stream().limit(MOST).toList();
    }

    private static List<String> addressesIn(String text) {
        return ADDRESS.matcher(text).results().map(MatchResult::group).toList();
    }

    private Stream<UUID> at(CrmKind kind, Collection<String> addresses) {
        List<String> wanted = addresses.stream()
                .limit(MOST_ADDRESSES)
                .map(one -> one.toLowerCase(Locale.ROOT))
                .toList();
        return search.exactly(kind.word(), wanted).values().stream().flatMap(Collection::stream);
    }

    private Stream<UUID> named(CrmKind kind, String text) {
        Set<String> keys = new LinkedHashSet<>();
        for (WrittenLanguage language : WrittenLanguage.values()) {
            keys.addAll(SaidNames.of(text, language).keys());
        }
        return search.named(kind.word(), keys).values().stream().flatMap(Collection::stream);
    }

    private void add(List<LikelyPerson> found, Function<CrmKind, Stream<UUID>> people, String why) {
        for (CrmKind kind : List.of(CrmKind.CONTACT, CrmKind.LEAD)) {
            List<UUID> ids = people.apply(kind)
                    .distinct()
                    .filter(id -> found.stream().noneMatch(one -> one.id().equals(id)))
                    .limit(MOST)
                    .toList();
            Collection<CrmRecord> all = records.all(kind, ids).values();
            Map<UUID, CrmRecord> organisations = records.all(
                    CrmKind.ORGANISATION,
                    all.stream()
                            .flatMap(one -> one.relation("organisation").stream())
                            .toList());
            for (CrmRecord one : all) {
                String company = one.relation("organisation")
                        .map(organisations::get)
                        .map(CrmRecord::name)
                        .orElse(one.text("company"));
                found.add(new LikelyPerson(kind, one.id(), one.name(), company == null ? "" : company, why));
            }
        }
    }
}
