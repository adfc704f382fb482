package famulus.server.search;

import famulus.core.record.SearchText;
import famulus.server.platform.Ids;
import famulus.server.search.SearchMapper.EntryRow;
import famulus.server.search.SearchMapper.WordRow;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Keeps and finds things by the beginnings of their words. */
@Service
public class SearchIndex {
    private static final int AT_ONCE = 5_000;

    private final SearchMapper mapper;

    SearchIndex(SearchMapper mapper) {
        this.mapper = mapper;
    }

    /** Keeps the words of a thing, in place of those it had; none when it has no texts. */
    public void keep(String scope, UUID id, Collection<String> texts) {
        keep(scope, Map.of(id, SearchText.words(texts)));
    }

    /**
     * Keeps the words of several things at once.
     *
     * @param words of each thing, cut by {@link SearchText}
     */
    public void keep(String scope, Map<UUID, Set<String>> words) {
        Map<UUID, Set<String>> before = new HashMap<>();
        for (EntryRow row : mapper.entries(words.keySet())) {
            before.put(row.id(), Entry.words(row.words()));
        }
        before.forEach((id, had) -> had.stream()
                .filter(word -> !words.get(id).contains(word))
                .forEach(word -> mapper.delete(scope, word, id)));
        List<WordRow> come = new ArrayList<>();
        Map<UUID, Set<String>> changed = new TreeMap<>(Ids.ORDER);
        words.forEach((id, has) -> {
            Set<String> had = before.getOrDefault(id, Set.of());
            has.stream().filter(word -> !had.contains(word)).forEach(word -> come.add(new WordRow(id, word)));
            if (!has.equals(had)) {
                changed.put(id, has);
            }
        });
        insert(scope, come, () -> {});
        if (!changed.isEmpty()) {
            mapper.putEntries(
                    changed.keySet(), changed.values().stream().map(Entry::of).toList());
        }
    }

    /**
     * Keeps the words of things that have none yet, many at once.
     *
     * @param goesOn called after each portion
     */
    public void add(String scope, Map<UUID, Set<String>> words, Runnable goesOn) {
        List<WordRow> rows = new ArrayList<>();
        words.forEach((id, has) -> has.forEach(word -> rows.add(new WordRow(id, word))));
        insert(scope, rows, goesOn);
        List<UUID> ids = words.keySet().stream().sorted(Ids.ORDER).toList();
        for (int i = 0; i < ids.size(); i += AT_ONCE) {
            List<UUID> some = ids.subList(i, Math.min(ids.size(), i + AT_ONCE));
            mapper.insertEntries(
                    some, some.stream().map(id -> Entry.of(words.get(id))).toList());
            goesOn.run();
        }
    }

    /** In the order of their index: rows that stand side by side are written together. */
    private void insert(String scope, List<WordRow> rows, Runnable goesOn) {
        rows.sort(Comparator.comparing(WordRow::word).thenComparing(WordRow::id, Ids.ORDER));
        for (int i = 0; i < rows.size(); i += AT_ONCE) {
            List<WordRow> some = rows.subList(i, Math.min(rows.size(), i + AT_ONCE));
            mapper.insert(
                    scope,
                    some.stream().map(WordRow::id).toList(),
                    some.stream().map(WordRow::word).toList());
            goesOn.run();
        }
    }

    /** The form in which an e-mail address, or a text of one word, is kept. */
    public static String word(String text) {
        return SearchText.words(List.of(text)).stream().findFirst().orElse("");
    }

    /**
     * The things that have some words, by the words in the form of {@link #word}. Long words are kept cut: whoever has to be
     * sure looks at what was found.
     */
    public Map<String, Set<UUID>> exactly(String scope, Collection<String> texts) {
        List<String> wanted = texts.stream()
                .map(SearchIndex::word)
                .filter(word -> !word.isEmpty())
                .distinct()
                .toList();
        Map<String, Set<UUID>> found = new HashMap<>();
        if (!wanted.isEmpty()) {
            for (WordRow row : mapper.exactly(scope, wanted)) {
                found.computeIfAbsent(row.word(), any -> new HashSet<>()).add(row.id());
            }
        }
        return found;
    }

    /** The things that are called so, by {@link famulus.core.record.NameKey}; who has a long name has to be looked at. */
    public Map<String, Set<UUID>> named(String scope, Collection<String> keys) {
        Map<String, Set<UUID>> found = new HashMap<>();
        if (!keys.isEmpty()) {
            for (WordRow row : mapper.exactly(scope, keys)) {
                found.computeIfAbsent(row.word(), any -> new HashSet<>()).add(row.id());
            }
        }
        return found;
    }

    /** Those of some keys that anything is called by. */
    public Set<String> known(String scope, Collection<String> keys) {
        return keys.isEmpty() ? Set.of() : new HashSet<>(mapper.known(scope, keys));
    }

    /**
     * Looks for what was typed.
     *
     * @param most so many things are gathered and no more
     */
    public Search find(String scope, String typed, int most) {
        List<SearchWord> words =
                SearchText.typed(typed).stream().map(SearchWord::of).toList();
        if (words.isEmpty()) {
            return new Search(words, List.of(), false);
        }
        SearchWord rarest = words.getFirst();
        int fewest = Integer.MAX_VALUE;
        for (SearchWord word : words) {
            int count = mapper.count(scope, word, most + 1);
            if (count < fewest) {
                fewest = count;
                rarest = word;
            }
        }
        if (fewest > most) {
            return new Search(words, List.of(), false);
        }
        SearchWord first = rarest;
        List<SearchWord> others =
                words.stream().filter(word -> !word.equals(first)).toList();
        return new Search(words, fewest == 0 ? List.of() : mapper.find(scope, rarest, others, most), true);
    }
}
