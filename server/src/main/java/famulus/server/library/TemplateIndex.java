package famulus.server.library;

import famulus.core.record.SearchText;
import famulus.core.search.WordFit;
import famulus.server.folders.FolderNames;
import famulus.server.library.TemplateMapper.IndexedTemplate;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.lucene.analysis.standard.StandardAnalyzer;
import org.apache.lucene.document.BinaryDocValuesField;
import org.apache.lucene.document.Document;
import org.apache.lucene.document.Field;
import org.apache.lucene.document.StringField;
import org.apache.lucene.document.TextField;
import org.apache.lucene.index.BinaryDocValues;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.index.IndexWriter;
import org.apache.lucene.index.IndexWriterConfig;
import org.apache.lucene.index.MultiDocValues;
import org.apache.lucene.index.MultiTerms;
import org.apache.lucene.index.Term;
import org.apache.lucene.index.Terms;
import org.apache.lucene.index.TermsEnum;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.BoostQuery;
import org.apache.lucene.search.ConstantScoreQuery;
import org.apache.lucene.search.DisjunctionMaxQuery;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.PrefixQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreDoc;
import org.apache.lucene.search.SearcherManager;
import org.apache.lucene.search.TermInSetQuery;
import org.apache.lucene.search.TermQuery;
import org.apache.lucene.store.ByteBuffersDirectory;
import org.apache.lucene.util.BytesRef;
import org.apache.lucene.util.StringHelper;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Finds templates by words in their names, tags, subjects and texts, in the names of their folders and of whose they are: whole words,
 * beginnings, parts of compounds and what is a slip of the keys away, the better fit first. It is made anew from the database
 * when the application starts, and follows each change once that is committed. Who may see what it finds is asked of the database.
 */
@Component
class TemplateIndex {
    private static final int AT_ONCE = 500;
    /** So many words of a field are taken to be a slip of what was typed. */
    private static final int MOST_NEAR = 200;

    private static final String ID = "id";
    private static final String KIND = "kind";
    private static final String FOLDER = "folder";
    private static final String OWNER = "owner";
    private static final String PARTS = "parts";
    /** What is read, and how much a word counts there. */
    private static final Map<String, Float> TEXTS =
            Map.of("name", 8f, "purpose", 4f, "tags", 4f, "subject", 4f, "preview", 2f, "body", 1f);

    private static final float IN_FOLDER = 3f;
    private static final float BY_OWNER = 2f;

    private final TemplateMapper mapper;
    private final FolderNames folders;
    private final TeamService team;
    private final IndexWriter writer;
    private final SearcherManager searchers;
    private boolean made;

    TemplateIndex(TemplateMapper mapper, FolderNames folders, TeamService team) throws IOException {
        this.mapper = mapper;
        this.folders = folders;
        this.team = team;
        this.writer = new IndexWriter(new ByteBuffersDirectory(), new IndexWriterConfig(new StandardAnalyzer()));
        this.searchers = new SearcherManager(writer, null);
    }

    /** Makes it in the background, so that the first search need not wait. */
    @EventListener(ApplicationReadyEvent.class)
    void ready() {
        Thread.ofVirtual().name("template-index").start(this::make);
    }

    private synchronized void make() {
        if (made) {
            return;
        }
        try {
            writer.deleteAll();
            UUID last = new UUID(0, 0);
            List<IndexedTemplate> some;
            do {
                some = mapper.indexed(last, AT_ONCE);
                for (IndexedTemplate one : some) {
                    writer.addDocument(document(one));
                    last = one.id();
                }
            } while (some.size() == AT_ONCE);
            made = true;
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
    }

    /** Follows a change of a template once it is committed. */
    void keep(IndexedTemplate template) {
        onceCommitted(() -> put(template));
    }

    /** No longer finds a template once it is committed that it is gone. */
    void forget(UUID template) {
        onceCommitted(() -> remove(template));
    }

    private static void onceCommitted(Runnable following) {
        if (!TransactionSynchronizationManager.isSynchronizationActive()) {
            following.run();
            return;
        }
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                following.run();
            }
        });
    }

    private synchronized void remove(UUID template) {
        if (made) {
            try {
                writer.deleteDocuments(new Term(ID, template.toString()));
            } catch (IOException failure) {
                throw new UncheckedIOException(failure);
            }
        }
    }

    private synchronized void put(IndexedTemplate template) {
        if (made) {
            try {
                writer.updateDocument(new Term(ID, template.id().toString()), document(template));
            } catch (IOException failure) {
                throw new UncheckedIOException(failure);
            }
        }
    }

    private static Document document(IndexedTemplate template) {
        Document document = new Document();
        document.add(new StringField(ID, template.id().toString(), Field.Store.NO));
        document.add(new BinaryDocValuesField(ID, bytes(template.id())));
        document.add(new StringField(KIND, template.kind().name(), Field.Store.NO));
        document.add(new StringField(OWNER, template.ownerId().toString(), Field.Store.NO));
        if (template.folder() != null) {
            document.add(new StringField(FOLDER, template.folder().toString(), Field.Store.NO));
        }
        Map<String, String> texts = Map.of(
                "name", template.name(),
                "purpose", template.purpose(),
                "tags", template.tags() == null ? "" : template.tags(),
                "subject", template.subject(),
                "preview", template.previewText(),
                "body", template.body());
        texts.forEach((field, text) ->
                document.add(new TextField(field, String.join(" ", words(List.of(text))), Field.Store.NO)));
        document.add(new TextField(PARTS, parts(texts.values()), Field.Store.NO));
        return document;
    }

    private static Set<String> words(Collection<String> texts) {
        return SearchText.words(texts, Integer.MAX_VALUE);
    }

    /** What long words may be found by besides their beginnings: all their ends. */
    private static String parts(Collection<String> texts) {
        return words(texts).stream()
                .filter(word -> word.length() >= WordFit.SHORTEST_COMPOUND && word.indexOf('@') < 0)
                .flatMap(word -> Stream.iterate(
                        word.substring(1), end -> end.length() >= WordFit.SHORTEST, end -> end.substring(1)))
                .collect(Collectors.joining(" "));
    }

    /**
     * The templates of a kind that have all words that were typed, the best fit first, whoever may see them.
     *
     * @param asking by names of folders that they see
     * @param most so many at most
     */
    List<UUID> find(TemplateKind kind, String typed, Colleague asking, int most) {
        make();
        BooleanQuery.Builder all = new BooleanQuery.Builder();
        all.add(new TermQuery(new Term(KIND, kind.name())), Occur.FILTER);
        try {
            searchers.maybeRefreshBlocking();
            IndexSearcher searcher = searchers.acquire();
            try {
                Map<UUID, String> names = folders.seen(asking);
                for (String word : SearchText.typed(typed)) {
                    all.add(word(word, searcher.getIndexReader(), names), Occur.MUST);
                }
                return ids(searcher.search(all.build(), most).scoreDocs, searcher);
            } finally {
                searchers.release(searcher);
            }
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
    }

    /** The identifiers of what was found, in its order; they are read in the order they lie in, which is much quicker. */
    private static List<UUID> ids(ScoreDoc[] found, IndexSearcher searcher) throws IOException {
        UUID[] ids = new UUID[found.length];
        Integer[] asTheyLie = new Integer[found.length];
        Arrays.setAll(asTheyLie, i -> i);
        Arrays.sort(asTheyLie, Comparator.comparingInt(i -> found[i].doc));
        BinaryDocValues values = MultiDocValues.getBinaryValues(searcher.getIndexReader(), ID);
        for (int i : asTheyLie) {
            values.advanceExact(found[i].doc);
            BytesRef value = values.binaryValue();
            ByteBuffer bytes = ByteBuffer.wrap(value.bytes, value.offset, value.length);
            ids[i] = new UUID(bytes.getLong(), bytes.getLong());
        }
        return List.of(ids);
    }

    private static BytesRef bytes(UUID id) {
        return new BytesRef(ByteBuffer.allocate(16)
                .putLong(id.getMostSignificantBits())
                .putLong(id.getLeastSignificantBits())
                .array());
    }

    /** The best way in which a word is there. */
    private Query word(String word, IndexReader reader, Map<UUID, String> folders) throws IOException {
        List<Query> ways = new ArrayList<>();
        TEXTS.forEach((field, counts) -> {
            Term term = new Term(field, word);
            ways.add(worth(new TermQuery(term), counts * 2));
            ways.add(worth(new PrefixQuery(term), counts));
        });
        if (WordFit.slips(word) > 0) {
            for (Map.Entry<String, Float> text : TEXTS.entrySet()) {
                List<BytesRef> near = near(word, MultiTerms.getTerms(reader, text.getKey()));
                if (!near.isEmpty()) {
                    ways.add(worth(new TermInSetQuery(text.getKey(), near), text.getValue() / 4));
                }
            }
        }
        if (word.length() >= WordFit.SHORTEST) {
            ways.add(worth(new PrefixQuery(new Term(PARTS, word)), 1f / 2));
        }
        named(
                FOLDER,
                folders.entrySet().stream()
                        .filter(one -> fits(one.getValue(), word))
                        .map(Map.Entry::getKey)
                        .toList(),
                IN_FOLDER,
                ways);
        named(
                OWNER,
                team.all().stream()
                        .filter(one -> fits(one.name(), word))
                        .map(Colleague::id)
                        .toList(),
                BY_OWNER,
                ways);
        return new DisjunctionMaxQuery(ways, 1f / 8);
    }

    /**
     * The words of a field that are a slip of the keys away, or begin so; the first letter is right. Each with that letter is
     * compared by the rule that marks a line: for the words of thousands of templates that is quicker than to make a machine
     * that knows all slips.
     */
    private static List<BytesRef> near(String word, Terms terms) throws IOException {
        List<BytesRef> near = new ArrayList<>();
        if (terms == null) {
            return near;
        }
        BytesRef first = new BytesRef(word.substring(0, word.offsetByCodePoints(0, 1)));
        TermsEnum words = terms.iterator();
        BytesRef one = words.seekCeil(first) == TermsEnum.SeekStatus.END ? null : words.term();
        for (; one != null && StringHelper.startsWith(one, first) && near.size() < MOST_NEAR; one = words.next()) {
            if (WordFit.of(one.utf8ToString(), word)
                    .filter(WordFit.SLIP::equals)
                    .isPresent()) {
                near.add(BytesRef.deepCopyOf(one));
            }
        }
        return near;
    }

    private static boolean fits(String name, String typed) {
        return SearchText.words(List.of(name)).stream()
                .anyMatch(word -> WordFit.of(word, typed).isPresent());
    }

    private static void named(String field, Collection<UUID> ids, float counts, List<Query> ways) {
        if (!ids.isEmpty()) {
            List<BytesRef> all =
                    ids.stream().map(id -> new BytesRef(id.toString())).toList();
            ways.add(worth(new TermInSetQuery(field, all), counts));
        }
    }

    private static Query worth(Query query, float counts) {
        return new BoostQuery(new ConstantScoreQuery(query), counts);
    }
}
