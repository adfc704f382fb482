package famulus.core.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class CountedLinksTest {
    private static final String OURS = "https://post.wexcombe.example/m/";

    private static CountedLinks of(String html) {
        return CountedLinks.of(html, OURS, number -> OURS + "key/" + number, OURS + "key/seen.gif");
    }

    @Test
    void linksToTheWebLeadPastUsAndTheSameAddressHasOneNumber() {
        CountedLinks turned = of("<body><a href=\"https://a.example/x?a=1&amp;b=2\">one</a>"
                + "<a style=\"color:#000;\" href=\"https://b.example/\">two</a>"
                + "<a href=\"https://a.example/x?a=1&amp;b=2\">again</a></body>");
        assertThat(turned.addresses()).containsExactly("https://a.example/x?a=1&b=2", "https://b.example/");
        assertThat(turned.html())
                .contains("<a href=\"" + OURS + "key/0\">one")
                .contains("<a style=\"color:#000;\" href=\"" + OURS + "key/1\">two")
                .contains("<a href=\"" + OURS + "key/0\">again");
    }

    @Test
    void otherLinksPicturesAndOurOwnPagesStay() {
        String html = "<a href=\"mailto:a@b.example\">a</a><img src=\"https://p.example/x.png\">" + "<a href=\"" + OURS
                + "key/unsubscribe\">no rounds</a><p>href=\"https://said.example\"</p>";
        CountedLinks turned = of(html);
        assertThat(turned.addresses()).isEmpty();
        assertThat(turned.html()).startsWith(html);
    }

    @Test
    void anAddressTooLongToBeKeptStays() {
        String html = "<a href=\"https://a.example/" + "x".repeat(4000) + "\">long</a>";
        assertThat(of(html).html()).startsWith(html);
        assertThat(of(html).addresses()).isEmpty();
    }

    @Test
    void whoSentItSeesItAsItWas() {
        String html =
                "<body><a href=\"https://a.example/x?a=1&amp;b=2\">one</a><a href=\"https://b.example/$1\">two</a>"
                        + "<a href=\"" + OURS + "key/unsubscribe\">no rounds</a></body>";
        CountedLinks turned = of(html);
        assertThat(turned.html()).isNotEqualTo(html);
        assertThat(CountedLinks.undone(turned.html(), "/m/key/", turned.addresses()))
                .isEqualTo(html);
        assertThat(CountedLinks.undone(turned.html(), "/m/other/", turned.addresses()))
                .isEqualTo(turned.html());
    }

    @Test
    void whatShowsThatItWasSeenStandsAtTheEndOfTheBody() {
        assertThat(of("<html><body><p>Hello</p></body></html>").html())
                .startsWith("<html><body><p>Hello</p><img src=\"" + OURS + "key/seen.gif\" alt=\"\"")
                .endsWith("></body></html>");
        assertThat(of("Hello").html()).startsWith("Hello<img");
    }

    @Test
    void aLongDocumentOfQuotesThatNeverCloseIsReadInBoundedTime() {
        String html = "<a \"".repeat(20_000);
        assertThat(of(html).html()).startsWith(html);
    }
}
