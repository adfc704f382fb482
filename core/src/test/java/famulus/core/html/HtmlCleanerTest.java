package famulus.core.html;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.Random;
import org.assertj.core.api.Assertions;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** HTML of any origin: what stays, what goes, and what is said of it. */
class HtmlCleanerTest {
    private static final String PICTURE_ID = "0b9f2f2e-7c1e-4d0a-9b43-9a8b61d8a001";

    private static String clean(String html) {
        return HtmlCleaner.cleanSource(html).html();
    }

    @Test
    void whatAStyleSheetSaysIsWrittenIntoItsElements() {
        assertThat(
                        clean(
                                "<style>p { color: red } .big { font-size: 20px } #one { color: blue }</style><p class=big id=one>A<p>B"))
                .isEqualTo("<p style=\"font-size:20px;color:blue\">A</p><p style=\"color:red\">B</p>");
    }

    @Test
    void anElementsOwnStyleCountsMoreAndWhatIsImportantMost() {
        assertThat(clean("<style>p { color: red; margin: 0 !important }</style><p style='color:green;margin:4px'>A"))
                .isEqualTo("<p style=\"color:green;margin:0\">A</p>");
    }

    @Test
    void aHeavierRuleCountsMoreThanALaterOne() {
        assertThat(clean("<style>td.a { color: red } td { color: blue }</style><table><tr><td class=a>A</table>"))
                .contains("<td style=\"color:red\">A</td>");
    }

    @Test
    void stylesForPhonesGoAndAreSaid() {
        Cleaned cleaned = HtmlCleaner.cleanSource("<style>@media (max-width: 400px) { p { color: red } }</style><p>A");
        assertThat(cleaned.html()).isEqualTo("<p>A</p>");
        assertThat(cleaned.removed()).containsExactly("1 part of a style sheet for phones, dark screens or print");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "(min-width: 480px)",
                "screen and (min-width: 37.5em)",
                "only screen and (min-width:600px) and (max-width: 2000px)",
                "print, screen",
                "not print",
                "(prefers-color-scheme: light)"
            })
    void stylesForWideScreensStayWhereMessagesAreWrittenForPhonesFirst(String media) {
        String sheet = "td { display: block } @media " + media + " { td { display: table-cell } }";
        Cleaned cleaned = HtmlCleaner.cleanSource("<style>" + sheet + "</style><table><tr><td>A</table>");
        assertThat(cleaned.html()).contains("<td style=\"display:table-cell\">");
        assertThat(cleaned.removed()).isEmpty();
        assertThat(clean("<style media='" + media + "'>td{color:red}</style><table><tr><td>A</table>"))
                .contains("color:red");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "(min-width: 1000px)",
                "(max-width: 480px)",
                "print",
                "not screen",
                "(prefers-color-scheme: dark)",
                "(min-width: wide)",
                "(unheard-of: 1px)"
            })
    void stylesForOtherScreensGo(String media) {
        assertThat(clean("<style>@media " + media + " { p { color: red } }</style><p>A"))
                .isEqualTo("<p>A</p>");
    }

    @Test
    void variablesOfThePageArePutInWhereTheyAreNamed() {
        String sheet = ":root { --ink: #333; --line: 1px solid var(--ink) } p { color: var(--ink); border: var(--line);"
                + " background-color: var(--none, rgb(1, 2, 3)) }";
        assertThat(clean("<style>" + sheet + "</style><p style='margin: var(--gone, 4px)'>A"))
                .isEqualTo(
                        "<p style=\"color:#333;border:1px solid #333;background-color:rgb(1,2,3);margin:4px\">A</p>");
    }

    @Test
    void variablesThatStandForNothingAreSaid() {
        String sheet =
                ".a { --ink: red } p { color: var(--ink) } :root { --round: var(--round) } p { margin: var(--round) }";
        Cleaned cleaned = HtmlCleaner.cleanSource("<style>" + sheet + "</style><p>A");
        assertThat(cleaned.html()).isEqualTo("<p>A</p>");
        assertThat(cleaned.removed())
                .containsExactly(
                        "1 variable of a style sheet, set for a part of the page: --ink",
                        "1 style that names a variable which is not set: --ink",
                        "1 style that can’t be worked out: var(--round)");
    }

    @Test
    void whatThePageSaysOfItsWritingStays() {
        assertThat(clean("<html dir=rtl lang=ar><body><p>A")).isEqualTo("<div dir=\"rtl\" lang=\"ar\"><p>A</p></div>");
        assertThat(clean("<html dir=rtl><body dir=ltr><p>A")).isEqualTo("<div dir=\"ltr\"><p>A</p></div>");
    }

    @Test
    void linksBeginWhereThePageSaysThatTheyDo() {
        String page = "<base href='https://shop.example/spring/'>";
        assertThat(clean(page + "<a href='news.html?a=1'>A</a><a href='/all'>B</a><a href='mailto:a@b.example'>C</a>"))
                .isEqualTo("<a href=\"https://shop.example/spring/news.html?a=1\">A</a>"
                        + "<a href=\"https://shop.example/all\">B</a><a href=\"mailto:a@b.example\">C</a>");
        assertThat(clean(page + "<a href='{deal.link}'>A</a>")).isEqualTo("<a href=\"{deal.link}\">A</a>");
        assertThat(clean("<base href='javascript:x()'><a href='news.html'>A</a>"))
                .isEqualTo("<a>A</a>");
    }

    @Test
    void whatIsMeantForSomeMailProgramsOnlyIsSaid() {
        String html = "<!--[if mso]><table><tr><td>Old</td></tr></table><![endif]--><!--[if !mso]><!--><p>New</p>"
                + "<!--<![endif]--><!-- a remark --><style>@supports (display: grid) { p { color: red } }</style>"
                + "<meta http-equiv='Refresh' content='0;url=https://x.example'>"
                + "<table background='https://x.example/a.png' bgcolor='#112233'><tr><td>A</table>";
        Cleaned cleaned = HtmlCleaner.cleanSource(html);
        assertThat(cleaned.html()).contains("<p>New</p>", "bgcolor=\"#112233\"").doesNotContain("Old", "remark");
        assertThat(cleaned.removed())
                .containsExactly(
                        "1 part of a style sheet for some mail programs only",
                        "1 part for one mail program only",
                        "1 page that would go on to another one by itself",
                        "1 picture behind words: a.png");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "<p onclick='x()'>A</p>                     | 1 attribute that runs a script: onclick",
                "<script>alert(1)</script><p>A</p>          | 1 script",
                "<p>A</p><iframe src='https://x.example/'>  | 1 page within the page",
                "<p>A</p><object data=x></object>           | 1 program or film",
                "<p>A</p><svg><script>1</script></svg>      | 1 drawing",
                "<p>A</p><input name=x>                     | 1 field of a form",
                "<p style='background:url(https://x.example/a.png)'>A</p> | 1 style: background, for what it loads",
                "<p style='width:expression(alert(1))'>A</p> | 1 style: width, for what it loads",
                "<p style='position:fixed'>A</p>            | 1 style: position",
                "<link rel=stylesheet href=x><p>A</p>       | 1 style sheet or font that is loaded from the web",
            })
    void whatRunsLoadsOrAsksGoesAndIsSaid(String html, String said) {
        Cleaned cleaned = HtmlCleaner.cleanSource(html);
        assertThat(cleaned.html()).isEqualTo("<p>A</p>");
        assertThat(cleaned.removed()).containsExactly(said);
    }

    @Test
    void theSameThingManyTimesIsSaidOnce() {
        assertThat(HtmlCleaner.cleanSource("<p onclick=a>A<p onclick=b>B<p onclick=c>C")
                        .removed())
                .containsExactly("3 × attribute that runs a script: onclick");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "javascript:alert(1)",
                " javascript:alert(1)",
                "JaVaScRiPt:alert(1)",
                "data:text/html,<script>1</script>",
                "vbscript:x",
                "file:///etc/passwd",
                "&#106;avascript:alert(1)",
                "/admin"
            })
    void aLinkLeadsOnlyWhereALinkMayLead(String address) {
        Cleaned cleaned = HtmlCleaner.cleanSource("<a href=\"" + address + "\">A</a>");
        assertThat(cleaned.html()).isEqualTo("<a>A</a>");
        assertThat(cleaned.removed()).hasSize(1);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"https://x.example/?a=1", "http://x.example", "mailto:a@x.example", "tel:+441632960100", "#top"})
    void aUsualLinkStays(String address) {
        assertThat(clean("<a href=\"" + address + "\">A</a>")).isEqualTo("<a href=\"" + address + "\">A</a>");
    }

    @Test
    void fieldsStayAsTheyAreInTextAndAddresses() {
        String html =
                "<p>Dear {person.first_name else \"there & then\"}, <a href=\"{deal.plan_link else “https://x.example/”}\">"
                        + "{when deal.hive_count is more than 5}many{end}</a></p>";
        assertThat(clean(html)).isEqualTo(html);
    }

    @Test
    void quotesOfAFieldNeverEndTheAttributeItStandsIn() {
        assertThat(clean("<a title='{person.first_name else \"x\" else \"onclick=y\"}' href='https://x.example'>A</a>"))
                .isEqualTo(
                        "<a title=\"{person.first_name else “x” else “onclick=y”}\" href=\"https://x.example\">A</a>");
    }

    @Test
    void whatIsAboutToLeaveKnowsNoFields() {
        assertThat(HtmlCleaner.clean("<p title='{\" onclick=x \"}'>{<script>1</script>}")
                        .html())
                .isEqualTo("<p title=\"{&quot; onclick=x &quot;}\">{}</p>");
    }

    @Test
    void bracesOfAStyleSheetAreNoFields() {
        assertThat(clean("<!-- {person.first_name} --><style>p { color: red }</style><p>{person.first_name}"))
                .isEqualTo("<p style=\"color:red\">{person.first_name}</p>");
        String html = "a<style>b{c}</style>{d}<!-- {e} -->";
        assertThat(HtmlCleaner.quiet(html)).containsExactly(1, 20, 23, html.length());
    }

    @Test
    void picturesOfTheLibraryStayAndOthersAreSaidToBeMissing() {
        Cleaned cleaned = HtmlCleaner.cleanSource(
                "<img src='/api/materials/pictures/" + PICTURE_ID + "' alt='Hives' width=200>"
                        + "<img src='https://x.example/pictures/logo.png'><img src='https://x.example/b.png' alt='A bee'>");
        assertThat(cleaned.html())
                .isEqualTo("<img src=\"picture:" + PICTURE_ID + "\" alt=\"Hives\" width=\"200\">[A bee]");
        assertThat(cleaned.removed())
                .containsExactly("1 picture that is not here: logo.png", "1 picture that is not here: A bee");
    }

    @Test
    void whatIsUnknownLosesItsFrameAndKeepsItsWords() {
        assertThat(clean("<main><article><o:p>Dear</o:p> <blink>you</blink></article></main>"))
                .isEqualTo("Dear you");
    }

    @Test
    void unclosedAndCrossedTagsAreClosed() {
        assertThat(clean("<b>one<i>two</b>three")).isEqualTo("<b>one<i>two</i></b><i>three</i>");
        assertThat(clean("<table><tr><td>A")).isEqualTo("<table><tbody><tr><td>A</td></tr></tbody></table>");
    }

    @Test
    void whatThePageSaysOfItsBackgroundIsKept() {
        assertThat(clean("<body bgcolor=#eeeeee style='color:red'>A"))
                .isEqualTo("<div bgcolor=\"#eeeeee\" style=\"color:red\">A</div>");
    }

    @Test
    void theTitleIsTold() {
        assertThat(HtmlCleaner.cleanSource("<title>Spring at {our.name}</title><p>A")
                        .title())
                .isEqualTo("Spring at {our.name}");
    }

    @Test
    void whatIsNestedTooDeepGoes() {
        String deep = "<table><tr><td>".repeat(200) + "A";
        assertThat(HtmlCleaner.cleanSource(deep).removed()).containsExactly("1 part that is nested too deep");
        assertThat(clean("<div>".repeat(100) + "A")).contains("A");
    }

    @Test
    void aMegabyteIsReadInGoodTime() {
        String large = "<p style='color:red' onclick=x>Dear <b>{person.first_name}".repeat(17_000);
        Assertions.assertThatCode(() -> org.junit.jupiter.api.Assertions.assertTimeoutPreemptively(
                        Duration.ofSeconds(60), () -> HtmlCleaner.cleanSource(large)))
                .doesNotThrowAnyException();
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void cleanHtmlIsCleanAndNothingThrows(long seed) {
        Random random = new Random(seed);
        String[] bits = {
            "<p>",
            "</p>",
            "<b",
            ">",
            "<a href=",
            "javascript:",
            "'",
            "\"",
            "<script>",
            "</script>",
            "<!--",
            "-->",
            "{",
            "}",
            "{person.first_name}",
            "<style>",
            "</style>",
            "p{color:red}",
            "<img src=x onerror=y>",
            "<table><td>",
            "style=\"color:red;position:fixed\"",
            "\u0000",
            "&#x6a;",
            "&lt;",
            "<svg><a xlink:href=x>",
            "]]>",
            "<![CDATA[",
            "\uE0001\uE001",
            "text",
            " ",
            "\n",
            "<base href=//x>",
            "<p style='background:u\\rl(x)'>"
        };
        for (int i = 0; i < 200; i++) {
            StringBuilder html = new StringBuilder();
            for (int part = random.nextInt(30); part > 0; part--) {
                html.append(bits[random.nextInt(bits.length)]);
            }
            String cleaned = clean(html.toString());
            var document = Jsoup.parse(cleaned);
            assertThat(document.select("script,style,iframe,svg,object,base,link,[onclick],[onerror]"))
                    .as(html.toString())
                    .isEmpty();
            assertThat(document.select("[style*=position],[style*=url],[href^=javascript],[src]"))
                    .as(html.toString())
                    .isEmpty();
            assertThat(clean(cleaned)).as("cleaned twice: %s", html).isEqualTo(cleaned);
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "image-set('https://x.example/a.png' 1x)",
                "-webkit-image-set('https://x.example/a.png' 1x)",
                "image('https://x.example/a.png')",
                "cross-fade('https://x.example/a.png', red)",
                "element(#a)",
                "src('https://x.example/a.png')",
                "paint(x)",
                "attr(title url)",
                "var(--x)",
                "var(--x, url(https://x.example/a.png))",
                "env(x)",
                "IMAGE-SET('https://x.example/a.png' 1x)",
            })
    void aFunctionThatMayLoadSomethingGoes(String value) {
        for (String property : new String[] {"background", "background-color", "list-style", "color", "width"}) {
            Cleaned cleaned = HtmlCleaner.cleanSource("<p style=\"" + property + ":" + value + "\">A</p>");
            assertThat(cleaned.html()).as(property).isEqualTo("<p>A</p>");
        }
        assertThat(clean("<style>p{background:" + value + "}</style><p>A</p>")).isEqualTo("<p>A</p>");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "color:rgb(1,2,3)",
                "color:hsl(120,50%,50%)",
                "width:calc(100% - 8px)",
                "background:linear-gradient(#ffffff,#000000)",
                "background-color:rgba(0,0,0,.5)",
            })
    void aFunctionThatOnlySaysHowItLooksStays(String style) {
        String kept = clean("<p style=\"" + style + "\">A</p>");
        assertThat(kept).contains(style.substring(0, style.indexOf('(')));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "background:url(https://x.example/a.png) no-repeat #123456 | background-color:#123456",
                "background:navy url('https://x.example/a.png') | background-color:navy",
                "background:rgb(1,2,3) image-set('a.png' 1x) center/cover | background-color:rgb(1,2,3)",
            })
    void aBackgroundKeepsItsColourWhenItsPictureGoes(String style, String kept) {
        assertThat(clean("<p style=\"" + style + "\">A</p>")).isEqualTo("<p style=\"" + kept + "\">A</p>");
    }

    /** Thousands of rules over thousands of elements would take half a minute if each were tried on each. */
    @ParameterizedTest
    @ValueSource(strings = {"p.a", "div p span em", "* * *", "p:has(em)", "div > p > span > em:first-child"})
    void aStyleSheetIsWorkedInWithinSoManySteps(String selector) {
        StringBuilder html = new StringBuilder("<style>");
        for (int i = 0; i < 8000; i++) {
            html.append(selector).append("{padding:").append(i).append("px}");
        }
        html.append("</style>").append("<div><p class=a><span><em>x</em></span></p></div>".repeat(3000));
        Cleaned cleaned = HtmlCleaner.cleanSource(html.toString());
        assertThat(cleaned.removed()).contains("1 part of a style sheet that is too long for a message");
        assertThat(cleaned.html()).contains("<em");
    }

    @Test
    void aUsualStyleSheetIsWorkedInWhole() {
        StringBuilder html = new StringBuilder("<style>");
        for (int i = 0; i < 300; i++) {
            html.append(".c").append(i).append(" td p, td.x").append(i).append("{color:#123456}");
        }
        html.append("</style><table>")
                .append("<tr><td class=x7><p>A</p></td></tr>".repeat(400))
                .append("</table>");
        Cleaned cleaned = HtmlCleaner.cleanSource(html.toString());
        assertThat(cleaned.removed()).isEmpty();
        assertThat(cleaned.html()).contains("<td style=\"color:#123456\">");
    }

    @Test
    void whatWasLostIsSaidInCharactersThatAPersonCanRead() {
        Cleaned cleaned = HtmlCleaner.cleanSource("<a href='{deal.plan_link}'>A</a>"
                + "<a href='ftp://x.example/{deal.plan_link}/{deal.plan_link}/{deal.plan_link}'>B</a>"
                + "<img src='https://x.example/{deal.name}.png'><img src='x' alt='{deal.name}'>");
        assertThat(cleaned.removed()).isNotEmpty().allSatisfy(sentence -> assertThat(sentence)
                .matches("[\\p{L}\\p{N}\\p{P}\\p{S} ]+"));
    }

    @Test
    void privateCharactersOfAValueStay() {
        String value = "Logo \uE000\uE001\uF8FF of Larkfield";
        assertThat(HtmlCleaner.clean("<p title=\"" + value + "\">" + value + "</p>")
                        .html())
                .isEqualTo("<p title=\"" + value + "\">" + value + "</p>");
        assertThat(clean("<p>" + value + " {person.first_name}</p>"))
                .isEqualTo("<p>" + value + " {person.first_name}</p>");
    }
}
