package famulus.core.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import famulus.core.intake.FeedReader.ReadFeed;
import famulus.core.intake.FeedReader.UnreadableFeed;
import famulus.core.message.body.Content.Entry;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** RSS and Atom as others write it. */
class FeedReaderTest {
    private static String rss(String items) {
        return "<?xml version=\"1.0\"?><rss version=\"2.0\"><channel><title>Blossom &amp; bees</title><link>https://x.example</link>"
                + "<description>d</description>" + items + "</channel></rss>";
    }

    private static String item(String title, String day) {
        return "<item><title>" + title + "</title><link>https://x.example/" + title + "</link><pubDate>" + day
                + "</pubDate></item>";
    }

    @Test
    void theNewestEntryComesFirst() throws UnreadableFeed {
        ReadFeed feed = FeedReader.read(rss(item("Old", "Fri, 10 Apr 2026 07:00:00 GMT")
                + item("New", "Sat, 02 May 2026 07:00:00 GMT") + "<item><title>Undated</title></item>"));
        assertThat(feed.title()).isEqualTo("Blossom & bees");
        assertThat(feed.entries()).extracting(Entry::title).containsExactly("New", "Old", "Undated");
        assertThat(feed.entries().getFirst().link()).isEqualTo("https://x.example/New");
    }

    @Test
    void summariesAreWordsWhateverTheyAreWrittenAs() throws UnreadableFeed {
        ReadFeed feed =
                FeedReader.read(rss("<item><title>A &lt;b&gt;bold&lt;/b&gt; one</title><description>&lt;p&gt;One"
                        + " &lt;script&gt;x()&lt;/script&gt;&lt;br&gt;two&lt;/p&gt;</description></item>"));
        assertThat(feed.entries()).containsExactly(new Entry("A bold one", "One two", ""));
    }

    @Test
    void atomIsReadToo() throws UnreadableFeed {
        ReadFeed feed =
                FeedReader.read("<feed xmlns=\"http://www.w3.org/2005/Atom\"><title>Hedges</title><id>urn:x</id>"
                        + "<updated>2026-05-01T06:00:00Z</updated><entry><title>Hawthorn</title><id>urn:y</id>"
                        + "<updated>2026-05-01T06:00:00Z</updated><link href=\"https://x.example/h\"/>"
                        + "<content type=\"html\">&lt;i&gt;Wait&lt;/i&gt;</content></entry></feed>");
        assertThat(feed.entries()).containsExactly(new Entry("Hawthorn", "Wait", "https://x.example/h"));
    }

    @Test
    void noMoreThanThirtyEntriesAndNoneWithoutATitle() throws UnreadableFeed {
        assertThat(FeedReader.read(
                                rss(item("One", "Fri, 10 Apr 2026 07:00:00 GMT").repeat(50) + "<item/>"))
                        .entries())
                .hasSize(30);
    }

    @Test
    void longWordsAreCut() throws UnreadableFeed {
        Entry entry = FeedReader.read(rss("<item><title>" + "long ".repeat(100) + "</title></item>"))
                .entries()
                .getFirst();
        assertThat(entry.title()).hasSizeLessThanOrEqualTo(200).endsWith("…");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "no feed",
                "<html><body>A page</body></html>",
                "<rss version=\"2.0\"><channel><title>cut",
                "<?xml version=\"1.0\"?><!DOCTYPE r [<!ENTITY x SYSTEM \"file:///etc/passwd\">]>"
                        + "<rss version=\"2.0\"><channel><title>&x;</title><link>l</link><description>d</description></channel></rss>"
            })
    void whatIsNoFeedIsRefusedInWords(String text) {
        assertThatThrownBy(() -> FeedReader.read(text))
                .isInstanceOf(UnreadableFeed.class)
                .hasMessage("This is not an RSS or Atom feed.");
    }
}
