package famulus.core.intake;

import com.rometools.rome.feed.synd.SyndContent;
import com.rometools.rome.feed.synd.SyndEntry;
import com.rometools.rome.feed.synd.SyndFeed;
import com.rometools.rome.io.FeedException;
import com.rometools.rome.io.SyndFeedInput;
import famulus.core.html.HtmlWords;
import famulus.core.message.body.Content.Entry;
import java.io.StringReader;
import java.util.Comparator;
import java.util.Date;
import java.util.List;

/** Reads RSS and Atom feeds. Document types are refused, so that a feed can't have anything else read in. */
public final class FeedReader {
    private static final int MOST = 30;
    private static final int LONGEST_TITLE = 200;
    private static final int LONGEST_SUMMARY = 400;
    private static final int LONGEST_LINK = 1000;

    private FeedReader() {}

    /**
     * A feed.
     *
     * @param title what it calls itself; may be empty
     * @param entries the newest first, at most 30
     */
    public record ReadFeed(String title, List<Entry> entries) {}

    /** What a text can't be read as a feed for; the message is for people. */
    public static final class UnreadableFeed extends Exception {
        UnreadableFeed(String message) {
            super(message);
        }
    }

    /**
     * Reads a feed.
     *
     * @throws UnreadableFeed when it is no RSS or Atom
     */
    public static ReadFeed read(String xml) throws UnreadableFeed {
        try {
            SyndFeed feed = new SyndFeedInput().build(new StringReader(xml));
            List<Entry> entries = feed.getEntries().stream()
                    .sorted(Comparator.comparing(FeedReader::day, Comparator.reverseOrder()))
                    .limit(MOST)
                    .map(FeedReader::entry)
                    .filter(entry -> !entry.title().isEmpty())
                    .toList();
            return new ReadFeed(words(feed.getTitle(), LONGEST_TITLE), entries);
        } catch (FeedException | IllegalArgumentException wrong) {
            throw new UnreadableFeed("This is not an RSS or Atom feed.");
        }
    }

    /** Entries without a day come last, in the order they stand. */
    private static Date day(SyndEntry entry) {
        if (entry.getPublishedDate() != null) {
            return entry.getPublishedDate();
        }
        return entry.getUpdatedDate() != null ? entry.getUpdatedDate() : new Date(0);
    }

    private static Entry entry(SyndEntry entry) {
        SyndContent about = entry.getDescription() != null
                ? entry.getDescription()
                : entry.getContents().stream().findFirst().orElse(null);
        String link = entry.getLink() == null ? "" : entry.getLink().strip();
        return new Entry(
                words(entry.getTitle(), LONGEST_TITLE),
                words(about == null ? "" : about.getValue(), LONGEST_SUMMARY),
                link.length() > LONGEST_LINK ? "" : link);
    }

    /** Titles and summaries may be HTML; they are read as words, on one line. */
    private static String words(String html, int longest) {
        String words =
                HtmlWords.of(html == null ? "" : html).replaceAll("\\s+", " ").strip();
        return words.length() <= longest
                ? words
                : words.substring(0, longest - 1).strip() + "…";
    }
}
