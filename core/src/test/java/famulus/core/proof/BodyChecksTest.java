package famulus.core.proof;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.field.MergeContext;
import famulus.core.field.Path;
import famulus.core.field.Value;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merger;
import famulus.core.message.MessagePart;
import famulus.core.message.MessageProgram;
import famulus.core.message.MessageSource;
import famulus.core.message.body.Align;
import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Body;
import famulus.core.message.body.Column;
import famulus.core.message.body.Content;
import famulus.core.message.body.Contrast;
import famulus.core.message.body.Design;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.Look;
import famulus.core.message.body.Mode;
import famulus.core.message.body.RichText;
import famulus.core.message.body.RichText.Kind;
import famulus.core.message.body.RichText.Marks;
import famulus.core.message.body.RichText.Paragraph;
import famulus.core.message.body.RichText.Run;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What the proofreader finds in blocks. */
class BodyChecksTest {
    private static final Map<Path, Value> VALUES =
            Map.of(Path.of("deal.plan_link"), new Value.Text("https://brindlewing.example/plan"));

    private static List<Note> read(String subject, String preview, Content... contents) {
        Block[] blocks = new Block[contents.length];
        for (int i = 0; i < contents.length; i++) {
            blocks[i] = Block.of("b" + i, contents[i]);
        }
        return read(subject, preview, "", blocks);
    }

    private static List<Note> read(String subject, String preview, String background, Block... blocks) {
        Band band = new Band(
                "band",
                List.of(new Column(1, Column.Upright.TOP, List.of(blocks))),
                new Look(-1, -1, -1, -1, background, 0, ""),
                "",
                false);
        Design design = new Design(Mode.DESIGNED, new Body(List.of(band)), HouseStyle.BARE, "", "");
        MessageSource source = MessageSource.designed(subject, preview, design);
        MessageProgram program = source.parse();
        Merger merger = new Merger(new MergeSettings(Locale.UK, ZoneOffset.UTC, Instant.EPOCH));
        return Proofreader.standard()
                .read(new ProofSubject(
                        source,
                        Map.of(),
                        program.merge(merger, path -> Optional.ofNullable(VALUES.get(path))),
                        "Ines",
                        Path::toString,
                        false,
                        Circumstances.on(LocalDate.EPOCH, Locale.UK)));
    }

    private static Content.Text text(String words) {
        return new Content.Text(RichText.plain(words));
    }

    private static Content.Button button(String link) {
        return new Content.Button("Read it", link, Align.START, "", "");
    }

    private static Content.Picture picture(String id, String description) {
        return new Content.Picture(id, 240, Align.START, description, "");
    }

    private static Content.Text run(String words, Marks marks) {
        return new Content.Text(
                new RichText(List.of(new Paragraph(Kind.PARAGRAPH, Align.START, List.of(new Run(words, marks))))));
    }

    @Test
    void hasNothingToSayAboutAGoodMessage() {
        assertThat(read(
                        "Hives in May",
                        "What we bring, and when",
                        text("We come on Tuesday."),
                        picture("bee", "A bee"),
                        button("https://brindlewing.example/plan"),
                        button("{deal.plan_link}"),
                        button("mailto:signe@brindlewing.example")))
                .isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "#",
                "#top",
                "https://",
                "mailto:",
                "http://example.com/x",
                "https://www.yourdomain.example",
                "https://your-company.test/a",
                "https://a b.example",
                "javascript:alert(1)",
                "www.brindlewing.example"
            })
    void stopsAtAButtonThatLeadsNowhere(String address) {
        assertThat(read("Hives", "Soon", text("Hello"), button(address)))
                .singleElement()
                .satisfies(note -> {
                    assertThat(note.code()).isEqualTo("link-nowhere");
                    assertThat(note.stops()).isTrue();
                    assertThat(note.block()).isEqualTo("b1");
                    assertThat(note.title()).isEqualTo("The button leads nowhere");
                });
    }

    @Test
    void offersTheBeginningOfAnAddress() {
        assertThat(read("Hives", "Soon", button("brindlewing.example/plan")))
                .singleElement()
                .satisfies(note -> assertThat(note.fix().orElseThrow().text()).isEqualTo("https://"));
    }

    @Test
    void leavesAnAddressAloneWhoseFieldIsMissing() {
        assertThat(read("Hives", "Soon", button("https://brindlewing.example/{deal.number}")))
                .extracting(Note::code)
                .containsExactly("gap");
    }

    @Test
    void readsLinksInTextStillsAndSocialLinks() {
        Marks nowhere = new Marks(false, false, false, false, "", 0, "http://");
        assertThat(read(
                        "Hives",
                        "Soon",
                        run("here", nowhere),
                        new Content.VideoStill("", "", "A film", 480),
                        new Content.SocialLinks(
                                List.of(
                                        new Content.SocialLink("Web", "", Content.SocialIcon.NONE),
                                        new Content.SocialLink("Web", "https://b.example", Content.SocialIcon.NONE)),
                                Align.START)))
                .extracting(Note::title)
                .containsExactly(
                        "A link leads nowhere", "The video still leads nowhere", "A social link leads nowhere");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Lorem ipsum dolor sit amet",
                "Your text here",
                "[insert date]",
                "[Firma]",
                "Hello [[FirstName]]",
                "Hello %FIRST_NAME%",
                "Hello <<Name>>",
                "Hello «Vorname»",
                "Hello [FIRST_NAME]",
                "Hello <% first_name %>",
                "Hello $FIRSTNAME$",
                "Hello @@contact.name@@",
                "Hello __FIRST_NAME__",
                "Hello ||NAME||",
                "Hello *|NAME|*",
                "Hello ((first_name))",
                "Hello ~FIRST_NAME~",
                "Bonjour [prénom]",
                "Votre texte ici",
                "Price TBC",
                "We met XX times"
            })
    void stopsAtFiller(String words) {
        assertThat(read("Hives", "Soon", text(words))).singleElement().satisfies(note -> {
            assertThat(note.code()).isEqualTo("filler");
            assertThat(note.stops()).isTrue();
        });
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "100 % of 20 % of it",
                "Size XXL",
                "a < b << c",
                "[see page 4]",
                "Call us #1",
                "It costs $500 and $600",
                "Write to a@b.example or c@d.example",
                "It is 5 * 6 (or 7 (or 8))",
                "Look here! (soon!)",
                "See [NB] and [PDF]",
                "about ~20 or ~30",
                "a | b | c",
                "|NET|VAT|SUM|",
                "__IMPORTANT__ and ~SALE~",
                "It said so ((sic))",
                "Our text is here",
                "Who? What??"
            })
    void takesOrdinaryWordsForWhatTheyAre(String words) {
        assertThat(read("Hives", "Soon", text(words))).isEmpty();
    }

    @Test
    void asksAboutWhatAnInboxCutsOffOrShowsTwice() {
        assertThat(read("x".repeat(61), "", text("Hello")))
                .extracting(Note::code)
                .containsExactly("subject-long", "preview-missing");
        assertThat(read("Hives", "hives ", text("Hello")))
                .extracting(Note::title)
                .containsExactly("The preview text repeats the subject");
    }

    private static List<Note> ofSubject(String subject, Map<Path, String> longest) {
        MessageSource source = new MessageSource(subject, "", "Hello");
        MessageProgram program = source.parse();
        MergeSettings settings = new MergeSettings(Locale.UK, ZoneOffset.UTC, Instant.EPOCH);
        Map<Path, Value> theirs = Map.of(
                Path.of("contact.first_name"), new Value.Text("Ines"),
                Path.of("organisation.name"), new Value.Text("Larkfield"));
        MergeContext context = path -> Optional.ofNullable(theirs.get(path));
        return Proofreader.standard()
                .read(new ProofSubject(
                        source,
                        Map.of(),
                        program.merge(new Merger(settings), context),
                        "Ines",
                        Path::toString,
                        false,
                        Circumstances.on(LocalDate.EPOCH, Locale.UK)
                                .reaching(LongestSubject.of(program.subject(), settings, context, longest))));
    }

    @Test
    void asksAboutASubjectThatIsTooLongForSomebodyElse() {
        Map<Path, String> longest = Map.of(
                Path.of("contact.first_name"), "Maximiliane",
                Path.of("organisation.name"), "Blackmoor Valley Growers’ and Keepers’ Cooperative");

        assertThat(ofSubject("{contact.first_name}, spring at {organisation.name}", longest))
                .extracting(Note::title)
                .containsExactly("The subject is 66 characters long where organisation.name is “"
                        + "Blackmoor Valley Growers’ and Keepers’ Cooperative”");
        assertThat(ofSubject("{contact.first_name}, spring is here", longest)).isEmpty();
        assertThat(ofSubject("Spring is here", longest)).isEmpty();
    }

    @Test
    void aChoiceMayKeepTheSubjectShortForThemToo() {
        Map<Path, String> longest = Map.of(Path.of("organisation.name"), "x".repeat(70));

        assertThat(ofSubject(
                        "{when organisation.name is \"Larkfield\"}{organisation.name}{otherwise}Spring{end}", longest))
                .isEmpty();
    }

    @Test
    void wantsPicturesThatAreThereAndDescribed() {
        assertThat(read("Hives", "Soon", text("Hello"), picture("bee", ""), picture("", "A bee")))
                .extracting(Note::code, Note::block)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("no-description", "b1"),
                        org.assertj.core.groups.Tuple.tuple("picture-lost", "b2"));
    }

    @Test
    void readsColoursOnTheirBackground() {
        Marks grey = new Marks(false, false, false, false, "#999999", 0, "");
        assertThat(read("Hives", "Soon", run("Hello", grey))).singleElement().satisfies(note -> {
            assertThat(note.title()).isEqualTo("These words are hard to read (2.8 : 1)");
            assertThat(note.stops()).isFalse();
        });
        Marks large = new Marks(false, false, false, false, "#8a8a8a", 28, "");
        assertThat(read("Hives", "Soon", run("Hello", large))).isEmpty();
        assertThat(read("Hives", "Soon", "#1d2530", Block.of("b0", text("Hello"))))
                .extracting(Note::code)
                .containsExactly("contrast");
        assertThat(read("Hives", "Soon", new Content.Button("Go", "https://b.example", Align.START, "#ffffff", "")))
                .extracting(Note::title)
                .containsExactly("The button’s words are hard to read (1.0 : 1)");
    }

    @ParameterizedTest
    @CsvSource({"#000000,#ffffff,21.0", "#ffffff,#ffffff,1.0", "#777777,#ffffff,4.48", "#767676,#ffffff,4.54"})
    void computesContrastAsTheGuidelinesDo(String one, String other, double ratio) {
        assertThat(Contrast.ratio(one, other)).isCloseTo(ratio, org.assertj.core.data.Offset.offset(0.01));
        assertThat(Contrast.ratio(other, one)).isEqualTo(Contrast.ratio(one, other));
    }

    @Test
    void weighs() {
        assertThat(Stream.of(Heavy.notes(100_000, 1_000_000)).flatMap(List::stream))
                .isEmpty();
        assertThat(Heavy.notes(100_001, 0)).extracting(Note::code).containsExactly("heavy");
        assertThat(Heavy.notes(10, 1_500_000))
                .extracting(Note::title)
                .containsExactly("The pictures are 1.5 MB together");
        assertThat(Heavy.notes(10, 1_500_000).getFirst().part()).isEqualTo(MessagePart.BODY);
    }

    @Test
    void aPassageThatIsNotThereIsAStop() {
        assertThat(read("Hives", "", new Content.Passage("gone", "", List.of())))
                .filteredOn(note -> note.code().equals("passage-lost"))
                .singleElement()
                .satisfies(note -> {
                    assertThat(note.level()).isEqualTo(Note.Level.STOP);
                    assertThat(note.block()).isEqualTo("b0");
                });
        assertThat(read("Hives", "", new Content.Passage("there", "About frost", List.of())))
                .noneMatch(note -> note.code().equals("passage-lost"));
    }

    @Test
    void whatOfOwnHtmlIsNotSentIsAQuery() {
        assertThat(read("Hives", "", new Content.OwnHtml("<p onclick=x>A</p><form>B</form>")))
                .filteredOn(note -> note.code().equals("html-cleaned"))
                .singleElement()
                .satisfies(note -> {
                    assertThat(note.level()).isEqualTo(Note.Level.QUERY);
                    assertThat(note.remedy()).contains("onclick", "form");
                });
        assertThat(read("Hives", "", new Content.OwnHtml("<p>A</p>")))
                .noneMatch(note -> note.code().equals("html-cleaned"));
    }

    @Test
    void aPictureInOwnHtmlWithoutADescriptionIsAQuery() {
        String picture = "<img src='picture:0b9f2f2e-7c1e-4d0a-9b43-9a8b61d8a001'";
        assertThat(read("Hives", "", new Content.OwnHtml(picture + ">")))
                .anyMatch(note -> note.code().equals("no-description"));
        assertThat(read("Hives", "", new Content.OwnHtml(picture + " alt='Hives'>")))
                .noneMatch(note -> note.code().equals("no-description"));
    }
}
