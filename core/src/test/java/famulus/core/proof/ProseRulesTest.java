package famulus.core.proof;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.message.MergedFor;
import famulus.core.message.MessageSource;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The cases that are hard to get right, by name, and what is offered in the place of what is wrong. */
class ProseRulesTest {
    private static final LocalDate MONDAY = LocalDate.of(2026, 5, 4);

    private static List<Note> read(String subject, String body, Circumstances around) {
        MessageSource source = new MessageSource(subject, "", body);
        return Proofreader.standard()
                .read(new ProofSubject(
                        source,
                        Map.of(),
                        MergedFor.values(source, Map.of()),
                        "Ines",
                        path -> path.words().getLast(),
                        true,
                        around));
    }

    private static List<Note> read(String body, LocalDate day) {
        return read("About Friday", body, Circumstances.on(day, Locale.UK));
    }

    private static Circumstances attached(String... files) {
        return new Circumstances(
                MONDAY,
                Locale.UK,
                Optional.of(List.of(files)),
                List.of(),
                List.of(),
                Optional.empty(),
                Optional.empty());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2026-05-04 | Dear May, you may ring me in May.",
                "2026-04-14 | We have our March order here, and it is complete.",
                "2026-05-08 | See you Friday at ten.",
                "2026-05-11 | Dear Summer, the samples left us today.",
                "2026-07-20 | The summer was dry, so we water in the evening.",
                "2026-05-04 | We are away from 27 April to 8 May and will answer then.",
                "2026-05-04 | Thank you for your e-mail of 3 March, we will come back to you.",
                "2026-05-04 | Next March we will do the other half.",
                "2026-05-04 | Last year, on Friday 9 May, it rained all day.",
                "2026-05-04 | We have done this since 2019 and will go on.",
                "2026-12-28 | We will come on 3 January.",
                "2026-05-20 | On Friday, 9 January you told me of the roof.",
            })
    void timesThatFitAreLeftAlone(LocalDate day, String body) {
        assertThat(read(body, day)).isEmpty();
    }

    @Test
    void bothTheWeekdayAndTheDateAreOffered() {
        Note note = read("I will come on Friday, 9 May at ten.", MONDAY).getFirst();

        assertThat(note.stops()).isTrue();
        assertThat(note.title()).isEqualTo("9 May 2026 is a Saturday");
        assertThat(note.nearest()).containsExactly("Saturday, 9 May", "Friday, 8 May");
        assertThat(note.span().start()).isEqualTo("I will come on ".length());
    }

    @Test
    void anotherLanguageKeepsItsWayOfWriting() {
        assertThat(read("Ich komme am Fr., 9.5. zu Ihnen und bringe die Leiter mit.", MONDAY)
                        .getFirst()
                        .nearest())
                .containsExactly("Sa., 9.5.", "Fr., 8.5.");
        assertThat(read("Je passe chez vous le vendredi 9 mai avec les plans.", MONDAY)
                        .getFirst()
                        .nearest())
                .containsExactly("samedi 9 mai", "vendredi 8 mai");
    }

    @Test
    void aDayThatDoesNotExistStops() {
        assertThat(read("Please answer by 31 June.", MONDAY)).singleElement().satisfies(note -> {
            assertThat(note.code()).isEqualTo("weekday-date");
            assertThat(note.title()).isEqualTo("There is no “31 June”");
        });
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "I sent it attached to my last e-mail last week.",
                "The shelf is attached to the wall with six screws.",
                "There are no strings attached.",
                "You attached the wrong list yesterday.",
                "Please open no attachments of that sender.",
            })
    void whatIsAttachedElsewhereIsNotMissed(String body) {
        assertThat(read("Shelf", body, attached())).isEmpty();
    }

    @Test
    void anAttachmentThatIsNamedIsMentioned() {
        assertThat(read("Offer", "What do you think of the quote?", attached("Quote-1042.pdf")))
                .isEmpty();
        assertThat(read("Offer", "What do you think?", attached("Quote-1042.pdf")))
                .extracting(Note::title)
                .containsExactly("“Quote-1042.pdf” is attached, and the message doesn’t say so");
        assertThat(read("Plan", "Shall we meet at nine?", attached("Hall.pdf"))).hasSize(1);
    }

    @Test
    void aTemplateWhoseFilesOthersAddIsNotAsked() {
        assertThat(read("The quote is attached.", MONDAY)).isEmpty();
    }

    @Test
    void httpsIsOfferedForHttp() {
        Note note = read("Look at http://signs.example/ada today.", MONDAY).getFirst();

        assertThat(note.code()).isEqualTo("insecure-link");
        assertThat(note.fix()).get().satisfies(fix -> {
            assertThat(fix.text()).isEqualTo("https://");
            assertThat(fix.span().start()).isEqualTo(8);
            assertThat(fix.span().end()).isEqualTo(15);
        });
    }

    @Test
    void aNameWrittenInCapitalsDoesNotShout() {
        Circumstances theirs = new Circumstances(
                MONDAY,
                Locale.UK,
                Optional.empty(),
                List.of("NINEFOLD BERRY FARM"),
                List.of(),
                Optional.empty(),
                Optional.empty());

        assertThat(read("For NINEFOLD BERRY FARM", "Is Friday good?", theirs)).isEmpty();
        assertThat(read("For NINEFOLD BERRY FARM", "Is Friday good?", Circumstances.on(MONDAY, Locale.UK)))
                .extracting(Note::code)
                .containsExactly("subject-shout");
    }

    @Test
    void aTextInALanguageWithoutWordsIsLeftAlone() {
        String finnish =
                "Kiitos viestistä. Lähetän tarjouksen perjantaina 9 May, ja liitteenä on hinnasto sekä kartta tontista"
                        + " ja rakennuksesta, jonka näimme viime viikolla yhdessä teidän kanssanne aamulla.";
        assertThat(read("Tarjous", finnish, attached())).isEmpty();
    }

    @Test
    void whoeverWasWrittenToLatelyIsNamed() {
        Correspondence before = new Correspondence(
                List.of(new Correspondence.Written(new UUID(0, 1), MONDAY.minusDays(1), "Dov", "About Friday", "")),
                Optional.of(new Correspondence.Written(new UUID(0, 2), MONDAY.minusMonths(2), "", "Hello", "")),
                false);
        List<Note> notes = read(
                "Re: about friday",
                "Is Friday good?",
                new Circumstances(
                        MONDAY,
                        Locale.UK,
                        Optional.empty(),
                        List.of(),
                        List.of(),
                        Optional.empty(),
                        Optional.of(before)));

        assertThat(notes)
                .extracting(Note::title)
                .containsExactly(
                        "Dov wrote to Ines yesterday",
                        "Ines had a message from this template on 4 March",
                        "The last message to Ines had the same subject");
        assertThat(notes)
                .extracting(Note::message)
                .containsExactly(Optional.of(new UUID(0, 1)), Optional.of(new UUID(0, 2)), Optional.of(new UUID(0, 1)));
        Correspondence answering = new Correspondence(before.newest(), before.template(), true);
        assertThat(read(
                        "Re: about friday",
                        "Is Friday good?",
                        new Circumstances(
                                MONDAY,
                                Locale.UK,
                                Optional.empty(),
                                List.of(),
                                List.of(),
                                Optional.empty(),
                                Optional.of(answering))))
                .isEmpty();
    }

    @Test
    void theSecondOfTwoReadersIsNoLeftOver() {
        SaidValue greeting = new SaidValue(SaidValue.Kind.OTHER, "Greeting", "Dear Ines and Tobias");
        KnownNames known = new KnownNames(Set.of("=tobias", "=priya"), Map.of(), List.of(), "Signe Halloran");
        Circumstances both = new Circumstances(
                        MONDAY,
                        Locale.UK,
                        Optional.empty(),
                        List.of("Ines Brandt"),
                        List.of(greeting),
                        Optional.empty(),
                        Optional.empty())
                .knowing(known);

        assertThat(read("About Friday", "Dear Tobias, dear Ines, is Friday good?", both))
                .isEmpty();
        assertThat(read("About Friday", "Dear Priya, is Friday good?", both)).hasSize(1);
    }

    @Test
    void anOddValueIsCalmedWhereItStands() {
        Circumstances saying = new Circumstances(
                MONDAY,
                Locale.UK,
                Optional.empty(),
                List.of("INES BRANDT"),
                List.of(
                        new SaidValue(SaidValue.Kind.PERSON, "First name", "INES"),
                        new SaidValue(SaidValue.Kind.OTHER, "Code", "ABCD"),
                        new SaidValue(SaidValue.Kind.PERSON, "Name in another script", "李小龙")),
                Optional.empty(),
                Optional.empty());

        assertThat(read("About Friday", "Dear INES, is ABCD right for 李小龙?", saying))
                .singleElement()
                .satisfies(note -> {
                    assertThat(note.title()).isEqualTo("First name “INES” is written in capitals");
                    assertThat(note.nearest()).containsExactly("Ines");
                    assertThat(note.span().start()).isEqualTo(5);
                });
    }

    private static Circumstances saying(SaidValue value, String... theirs) {
        return new Circumstances(
                MONDAY,
                Locale.UK,
                Optional.empty(),
                List.of(theirs),
                List.of(value),
                Optional.empty(),
                Optional.empty());
    }

    @Test
    void whatStandsForANameIsAskedAboutWhereTheReaderHasOne() {
        SaidValue there = new SaidValue(SaidValue.Kind.INSTEAD_OF_NAME, "First name", "there");

        assertThat(read("About Friday", "Hello there, is Friday good?", saying(there, "Ms Brandt")))
                .singleElement()
                .satisfies(note -> {
                    assertThat(note.code()).isEqualTo("salutation");
                    assertThat(note.title())
                            .isEqualTo("“there” stands for the first name, and the message goes to Ms Brandt");
                });
        assertThat(read("All the best, there", "Hello Ms Brandt, is Friday good there?", saying(there, "Ms Brandt")))
                .as("only in a greeting")
                .isEmpty();
        assertThat(read("About Friday", "Hello there, is Friday good?", saying(there, "office@saltmarsh.example")))
                .isEmpty();
        assertThat(read("About Friday", "Hello Ms Brandt, is Friday good?", saying(there, "Ms Brandt")))
                .isEmpty();
    }

    @Test
    void aLanguageIsAskedAboutOnlyWhereThereIsAVariant() {
        Circumstances german = Circumstances.on(MONDAY, Locale.GERMANY);
        String words = "We have the cloth that you asked for. Shall we bring it to you on Friday?";

        assertThat(read("About Friday", words, german)).isEmpty();
        assertThat(read("About Friday", words, inGerman(List.of(Locale.FRENCH))))
                .isEmpty();
        assertThat(read("About Friday", words, inGerman(List.of(Locale.ENGLISH, Locale.GERMAN))))
                .extracting(Note::title)
                .containsExactly("This is written in English, and its reader’s language is German");
        assertThat(read("Freitag", "Passt Freitag?", inGerman(List.of(Locale.GERMAN))))
                .isEmpty();
    }

    private static Circumstances inGerman(List<Locale> variants) {
        return new Circumstances(
                MONDAY,
                Locale.GERMANY,
                Optional.empty(),
                List.of(),
                List.of(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                variants,
                Optional.empty());
    }

    @Test
    void aHundredThousandWordsAreRead() {
        String long100000 = "We come on Friday, 8 May and bring it. ".repeat(11_200);
        assertThat(read(long100000, MONDAY)).extracting(Note::code).containsOnly("legibility");
    }
}
