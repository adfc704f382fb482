package famulus.core.departure;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldType;
import famulus.core.field.MergeContext;
import famulus.core.field.Path;
import famulus.core.field.RecordKind;
import famulus.core.field.Value;
import famulus.core.merge.Analyser;
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
import famulus.core.message.body.Design;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.Look;
import famulus.core.message.body.Mode;
import famulus.core.message.body.RichText;
import famulus.core.message.body.RichText.Kind;
import famulus.core.message.body.RichText.Marks;
import famulus.core.message.body.RichText.Paragraph;
import famulus.core.message.body.RichText.Run;
import famulus.core.proof.Circumstances;
import famulus.core.proof.LostFiles;
import famulus.core.proof.LostPictures;
import famulus.core.proof.Note;
import famulus.core.proof.ProofSubject;
import famulus.core.proof.Proofreader;
import famulus.core.proof.StopCode;
import famulus.core.syntax.Problem;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Everything that stops, in every way of writing, wherever it can stand, however it leaves. A code that is added to
 * {@link StopCode} does not compile here until it is said how it comes about.
 */
class DepartureTest {
    private static final FieldCatalogue CATALOGUE = new FieldCatalogue(List.of(
            FieldDefinition.plain(RecordKind.PERSON, "title", "Title", FieldType.TEXT),
            FieldDefinition.plain(RecordKind.PERSON, "first_name", "First name", FieldType.TEXT),
            FieldDefinition.plain(RecordKind.USER, "phone", "Phone", FieldType.PHONE)));
    private static final Path FIRST_NAME = Path.of("person.first_name");

    /** Where a fault stands. */
    private enum Place {
        SUBJECT,
        PREVIEW_TEXT,
        BODY,
        LINK,
        DESCRIPTION,
        PASSAGE,
        HEADER,
        FOOTER,
        SMALL_PRINT,
        VALUE
    }

    /** A message with a fault in it, and what its person is called. */
    private record Planted(MessageSource source, String firstName, Set<String> lostPictures, int lostFiles) {
        @Override
        public String toString() {
            return source.subject() + " / " + source.previewText() + " / " + source.body();
        }
    }

    static Stream<Arguments> faults() {
        List<Arguments> all = new ArrayList<>();
        for (StopCode code : StopCode.values()) {
            for (Mode mode : Mode.values()) {
                for (Place place : Place.values()) {
                    planted(code, mode, place).ifPresent(planted -> {
                        for (Leaving how : Leaving.values()) {
                            all.add(Arguments.of(code, mode, place, how, planted));
                        }
                    });
                }
            }
        }
        return all.stream();
    }

    @ParameterizedTest(name = "{0}, {1}, {2}, {3}")
    @MethodSource("faults")
    void everyFaultStops(StopCode code, Mode mode, Place place, Leaving how, Planted planted) {
        List<String> codes = Departure.stops(how, notes(planted, how)).stream()
                .map(Note::code)
                .distinct()
                .toList();

        // A test is merged without answers, and a template knows no person.
        boolean free = how == Leaving.TEST && code == StopCode.ASK_OPEN
                || how == Leaving.READY && (code.ofOnePerson() || place == Place.VALUE);
        assertThat(codes)
                .as("%s %s %s %s %s", code, mode, place, how, planted)
                .isEqualTo(free ? List.of() : List.of(code.code()));
    }

    @ParameterizedTest
    @EnumSource(Mode.class)
    void whatHasNoFaultLeaves(Mode mode) {
        for (Leaving how : Leaving.values()) {
            Planted sound =
                    new Planted(message(mode, Place.BODY, "{person.first_name else \"there\"}"), "Ines", Set.of(), 0);
            assertThat(Departure.stops(how, notes(sound, how))).isEmpty();
        }
    }

    @ParameterizedTest
    @EnumSource(Mode.class)
    void aValueIsEscapedBeforeItsLinkIsJudged(Mode mode) {
        Planted link = new Planted(message(mode, Place.LINK, "?for={person.first_name}"), "Ines May", Set.of(), 0);

        assertThat(Departure.stops(Leaving.SEND, notes(link, Leaving.SEND))).isEmpty();
    }

    private static Optional<Planted> planted(StopCode code, Mode mode, Place place) {
        return switch (code) {
            case GAP -> words(mode, place, "{person.title}");
            case ASK_OPEN -> words(mode, place, "{write in \"what we agreed\"}");
            case FIELD_UNKNOWN -> words(mode, place, "{person.titel}");
            case FIELD_BROKEN -> words(mode, place, "{person.title as}");
            case FILLER ->
                place == Place.VALUE ? value(mode, "TBC") : words(mode, place, place == Place.LINK ? "/TBC" : "TBC");
            case LINK_NOWHERE ->
                place == Place.VALUE
                        ? value(mode, "https://example.com/")
                        : words(mode, place, place == Place.LINK ? null : " https://example.com/");
            case NO_SUBJECT -> place == Place.SUBJECT ? planted(message(mode, Place.SUBJECT, null)) : Optional.empty();
            case NO_BODY -> place == Place.BODY ? planted(message(mode, Place.BODY, null)) : Optional.empty();
            case WEEKDAY_DATE ->
                place == Place.LINK || place == Place.DESCRIPTION
                        ? Optional.empty()
                        : place == Place.VALUE
                                ? value(mode, "Friday, 5 May 2026")
                                : words(mode, place, " Friday, 5 May 2026");
            case PICTURE_LOST -> pictureLost(mode, place);
            case PASSAGE_LOST ->
                place == Place.PASSAGE && blocks(mode)
                        ? planted(message(mode, new Content.Passage("gone", "", List.of())))
                        : Optional.empty();
            case FEED_LOST ->
                place == Place.BODY && blocks(mode)
                        ? planted(message(mode, new Content.Feed("gone", 3, true, "", List.of())))
                        : Optional.empty();
            case FILE_LOST ->
                place == Place.BODY
                        ? Optional.of(new Planted(message(mode, Place.BODY, "Kind regards"), "Ines", Set.of(), 1))
                        : Optional.empty();
            case SENDER -> words(mode, place, "{sender.phone}");
            // These are about the envelope, whatever the words are.
            case RECIPIENT, DO_NOT_EMAIL, TOO_BIG -> Optional.empty();
        };
    }

    private static Optional<Planted> pictureLost(Mode mode, Place place) {
        Content picture = new Content.Picture("bee", 240, Align.START, "A bee", "");
        Optional<MessageSource> source =
                switch (place) {
                    case BODY ->
                        mode == Mode.PLAIN
                                ? Optional.empty()
                                : Optional.of(message(mode, Place.DESCRIPTION, "on a flower"));
                    case PASSAGE ->
                        blocks(mode)
                                ? Optional.of(message(
                                        mode,
                                        new Content.Passage("p", "Thanks", List.of(band("in", List.of(picture))))))
                                : Optional.empty();
                    case HEADER, FOOTER ->
                        mode == Mode.DESIGNED
                                ? Optional.of(designed(
                                        mode,
                                        "Hives in May",
                                        "What we bring, and when",
                                        around(place, picture),
                                        List.of(new Content.Text(RichText.plain("We come on Tuesday.")))))
                                : Optional.empty();
                    default -> Optional.empty();
                };
        return source.map(one -> new Planted(one, "Ines", Set.of("bee"), 0));
    }

    private static HouseStyle around(Place place, Content content) {
        List<HouseStyle.Wrapping> wrapping =
                List.of(new HouseStyle.Wrapping("usual", List.of(band("around", List.of(content)))));
        return place == Place.HEADER ? HouseStyle.BARE.withHeaders(wrapping) : HouseStyle.BARE.withFooters(wrapping);
    }

    private static Optional<Planted> planted(MessageSource source) {
        return Optional.of(new Planted(source, "Ines", Set.of(), 0));
    }

    private static Optional<Planted> words(Mode mode, Place place, String words) {
        boolean possible =
                switch (place) {
                    case SUBJECT, PREVIEW_TEXT, BODY, LINK -> true;
                    case DESCRIPTION -> mode != Mode.PLAIN;
                    case PASSAGE -> blocks(mode);
                    case HEADER, FOOTER -> mode == Mode.DESIGNED || mode == Mode.SOURCE;
                    case SMALL_PRINT -> mode != Mode.PLAIN;
                    case VALUE -> false;
                };
        return possible ? planted(message(mode, place, words)) : Optional.empty();
    }

    private static Optional<Planted> value(Mode mode, String value) {
        return Optional.of(new Planted(message(mode, Place.BODY, "{person.first_name}"), value, Set.of(), 0));
    }

    private static boolean blocks(Mode mode) {
        return mode == Mode.LETTER || mode == Mode.DESIGNED;
    }

    /** @param words what stands at the place; null for nothing at all there */
    private static MessageSource message(Mode mode, Place place, String words) {
        String subject = place == Place.SUBJECT ? (words == null ? "" : "Hives " + words) : "Hives in May";
        String preview = place == Place.PREVIEW_TEXT ? "What we bring " + words : "What we bring, and when";
        boolean noBody = place == Place.BODY && words == null;
        String text = noBody ? "" : place == Place.BODY ? "We come on Tuesday " + words : "We come on Tuesday.";
        String link = place != Place.LINK
                ? "https://brindlewing.example/plan"
                : words == null ? "https://example.com/plan" : "https://brindlewing.example/plan" + words;
        String description = place == Place.DESCRIPTION ? "A bee " + words : "A bee";
        HouseStyle style = HouseStyle.BARE
                .withHeaders(List.of(around(place == Place.HEADER ? "Brindlewing " + words : "Brindlewing")))
                .withFooters(List.of(around(place == Place.FOOTER ? "Hives " + words : "Hives and bees")));
        style = new HouseStyle(
                style.name(),
                style.page(),
                style.type(),
                style.space(),
                style.button(),
                style.headers(),
                style.footers(),
                RichText.plain(place == Place.SMALL_PRINT ? "Registered " + words : "Registered in Wales"));
        return switch (mode) {
            case PLAIN ->
                new MessageSource(subject, preview, noBody ? "" : text + (place == Place.LINK ? "\n" + link : ""));
            case LETTER, DESIGNED -> {
                List<Content> contents = new ArrayList<>(List.of(new Content.Text(RichText.plain(text))));
                if (place == Place.LINK) {
                    contents.add(linked(link));
                }
                if (place == Place.DESCRIPTION) {
                    contents.add(new Content.Picture("bee", 240, Align.START, description, ""));
                }
                if (place == Place.PASSAGE) {
                    contents.add(new Content.Passage(
                            "p",
                            "Thanks",
                            List.of(band("in", List.of(new Content.Text(RichText.plain("Thank you " + words)))))));
                }
                yield designed(mode, subject, preview, style, contents);
            }
            case SOURCE -> {
                String html = noBody
                        ? ""
                        : "<p>" + text + "</p><p><a href=\"" + link
                                + "\">The plan</a></p><p><img src=\"picture:bee\" alt=\"" + description + "\"></p>";
                yield designed(mode, subject, preview, style, List.of(new Content.OwnHtml(html)));
            }
        };
    }

    private static MessageSource message(Mode mode, Content content) {
        return designed(
                mode,
                "Hives in May",
                "What we bring, and when",
                HouseStyle.BARE,
                List.of(new Content.Text(RichText.plain("We come on Tuesday.")), content));
    }

    private static MessageSource designed(
            Mode mode, String subject, String preview, HouseStyle style, List<Content> contents) {
        return MessageSource.designed(
                subject, preview, new Design(mode, new Body(List.of(band("band", contents))), style, "", ""));
    }

    private static HouseStyle.Wrapping around(String words) {
        return new HouseStyle.Wrapping("usual", List.of(band(words, List.of(new Content.Text(RichText.plain(words))))));
    }

    private static Band band(String id, List<Content> contents) {
        List<Block> blocks = new ArrayList<>();
        for (int i = 0; i < contents.size(); i++) {
            blocks.add(Block.of(Integer.toHexString(id.hashCode()) + "b" + i, contents.get(i)));
        }
        return new Band(
                Integer.toHexString(id.hashCode()),
                List.of(new Column(1, Column.Upright.TOP, blocks)),
                Look.USUAL,
                "",
                false);
    }

    private static Content.Text linked(String link) {
        Run run = new Run("The plan", new Marks(false, false, false, false, "", 0, link));
        return new Content.Text(new RichText(List.of(new Paragraph(Kind.PARAGRAPH, Align.START, List.of(run)))));
    }

    private static List<Note> notes(Planted planted, Leaving how) {
        MessageSource source = planted.source();
        MessageProgram program = source.parse();
        Map<MessagePart, List<Problem>> problems = new EnumMap<>(MessagePart.class);
        Analyser analyser = new Analyser(CATALOGUE, About.PERSON);
        for (MessagePart part : MessagePart.values()) {
            problems.put(part, analyser.analyse(program.program(part)));
        }
        MergeContext person = how == Leaving.READY
                ? path -> Optional.empty()
                : path -> path.equals(FIRST_NAME) ? Optional.of(new Value.Text(planted.firstName())) : Optional.empty();
        Merger merger = new Merger(new MergeSettings(Locale.UK, ZoneOffset.UTC, Instant.EPOCH));
        List<Note> notes = new ArrayList<>(Proofreader.standard()
                .read(new ProofSubject(
                        source,
                        problems,
                        program.merge(merger, person),
                        "Ines",
                        path -> CATALOGUE
                                .resolve(path, About.PERSON)
                                .map(FieldDefinition::label)
                                .orElse(""),
                        how == Leaving.SEND,
                        Circumstances.on(LocalDate.EPOCH, Locale.UK))));
        source.layout().ifPresent(layout -> notes.addAll(LostPictures.notes(layout, planted.lostPictures())));
        notes.addAll(LostFiles.notes(planted.lostFiles()));
        return notes;
    }
}
