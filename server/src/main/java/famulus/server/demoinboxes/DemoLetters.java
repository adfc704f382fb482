package famulus.server.demoinboxes;

import famulus.server.contents.WireSources;
import famulus.server.demoinboxes.DemoInboxesMapper.LetterRow;
import famulus.server.messages.SourceText;
import famulus.server.platform.Ids;
import java.time.Instant;
import java.util.UUID;
import org.jsoup.Jsoup;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The letters that the demo inboxes have received. */
@Service
class DemoLetters {
    private static final int FIRST_WORDS = 120;
    private static final int LONGEST_FROM = 400;
    private static final int LONGEST_SUBJECT = 1_000;

    private final DemoInboxesMapper mapper;
    private final WireSources sources;
    private final Ids ids;

    DemoLetters(DemoInboxesMapper mapper, WireSources sources, Ids ids) {
        this.mapper = mapper;
        this.sources = sources;
        this.ids = ids;
    }

    /**
     * Keeps a letter, with what its line in an inbox shows.
     *
     * @param to the address in small letters
     * @param source as it came over the wire
     */
    @Transactional
    public void keep(String to, byte[] source, Instant at) {
        UUID id = ids.next();
        sources.keep(id, source);
        SourceText read = SourceText.of(source);
        String words =
                firstWords(read).replaceAll("[\\s\\u00A0\\u200C\\u034F]+", " ").strip();
        mapper.insert(
                to,
                new LetterRow(
                        0,
                        at,
                        cut(read.from(), LONGEST_FROM),
                        cut(read.subject(), LONGEST_SUBJECT),
                        cut(words, FIRST_WORDS),
                        id));
    }

    /** A letter as it came. */
    SourceText read(LetterRow row) {
        return SourceText.of(sources.read(row.sourceId()).orElseThrow());
    }

    /** What an inbox shows after the subject: the first words of the HTML, hidden ones too, else of the text. */
    private static String firstWords(SourceText read) {
        return read.html().isEmpty()
                ? read.text()
                : Jsoup.parse(read.html()).body().text();
    }

    private static String cut(String text, int most) {
        return text.substring(0, Math.min(text.length(), most));
    }
}
