package famulus.core.proof;

import famulus.core.calendar.HolidayRule;
import famulus.core.calendar.SendingHours;
import famulus.core.calendar.WorkingDays;
import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.merge.Analyser;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merger;
import famulus.core.message.MessageProgram;
import famulus.core.message.MessageSource;
import famulus.core.proof.Circumstances.Arrival;
import famulus.core.proof.Correspondence.Written;
import famulus.core.record.NameKey;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;

/**
 * A message of the corpus: in its file after a line {@code === 2026-05-04 | first | attached: list.pdf | to: May Ferrand}, the
 * subject on one line and the body after it. What nothing is said of is as it is for most messages: something else went to its
 * reader ten days before, it arrives at ten of a working day, and its template has a variant in each language.
 *
 * @param file the file it stands in, without its ending
 */
record CorpusMessage(String file, String subject, String body, Circumstances around) {
    private static final List<String> PEOPLE = List.of(
            "Tobias Larkin",
            "Priya Ivory",
            "Leopold Gosling",
            "Grace Hale",
            "Mark Winter",
            "Will May",
            "Rose Summer",
            "April Day",
            "Ben Quick",
            "Clara Grün",
            "Ada Sander",
            "Guillaume Mars",
            "Kind Hope",
            "Nils Berg");
    private static final List<String> ORGANISATIONS = List.of(
            "Saltmarsh Hotel",
            "Quince Hill Bakery",
            "Ninefold Print",
            "The",
            "Good Morning",
            "Market Hall",
            "Mein Haus");
    private static final List<String> COLLEAGUES =
            List.of("Signe Halloran", "Dov Marchbanks", "Petra Vance", "Oriel Tamsin", "Amos Quill", "Leonie Marsh");

    private static final WorkingDays HOLIDAYS = new WorkingDays(List.of(
            new WorkingDays.Holiday("Christmas Day", HolidayRule.read("12-25").orElseThrow()),
            new WorkingDays.Holiday("May Day", HolidayRule.read("05-01").orElseThrow())));

    /** All messages of a file. */
    static List<CorpusMessage> of(String file, Locale reader) {
        List<CorpusMessage> messages = new ArrayList<>();
        for (String entry : read(file + ".txt").split("(?m)^=== ")) {
            if (!entry.isBlank()) {
                messages.add(message(file, entry, reader));
            }
        }
        return messages;
    }

    private static CorpusMessage message(String file, String entry, Locale usual) {
        String[] lines = entry.split("\n", 3);
        String[] head = lines[0].strip().split("\\s*\\|\\s*");
        List<String> attached = new ArrayList<>();
        List<String> theirs = new ArrayList<>();
        List<SaidValue> values = new ArrayList<>();
        String sender = "";
        Locale reader = usual;
        LocalDate day = LocalDate.parse(head[0]);
        boolean first = false;
        Written before = new Written(new UUID(0, 1), day.minusDays(10), "Dov", "Something else", "");
        Optional<Written> same = Optional.empty();
        Optional<Arrival> arrival = Optional.of(day.getDayOfWeek())
                .filter(weekday -> weekday.getValue() <= 5)
                .map(weekday -> arrival(day + "T10:00 Europe/London"));
        List<Locale> variants = List.of(Locale.ENGLISH, Locale.GERMAN, Locale.FRENCH);
        for (String part : List.of(head).subList(1, head.length)) {
            String value = part.substring(part.indexOf(':') + 1).strip();
            switch (part.split(":")[0]) {
                case "first" -> first = true;
                case "before" -> before = written(value);
                // What whoever writes wrote last.
                case "opening" -> before = new Written(new UUID(0, 3), day.minusDays(10), "", "Something else", value);
                case "same" -> same = Optional.of(written(value));
                case "at" -> arrival = Optional.of(arrival(value));
                case "variants" ->
                    variants = Stream.of(value.split(",")).map(Locale::of).toList();
                case "old" -> values.add(old(value));
                case "attached" -> attached.add(value);
                case "to" -> theirs.addAll(List.of(value.split("\\s*,\\s*")));
                case "from" -> sender = value;
                case "value" -> values.add(said(value));
                case "reader" -> reader = Locale.forLanguageTag(value);
                default -> throw new IllegalArgumentException(part);
            }
        }
        theirs.stream()
                .limit(1)
                .flatMap(name -> Stream.of(name.split(" ")))
                .forEach(part -> values.add(new SaidValue(SaidValue.Kind.PERSON, "Name", part)));
        return new CorpusMessage(
                file,
                lines[1],
                lines[2].strip(),
                new Circumstances(
                        day,
                        reader,
                        Optional.of(attached),
                        theirs,
                        values,
                        names(sender),
                        Optional.of(new Correspondence(first ? List.of() : List.of(before), same, false)),
                        arrival,
                        variants,
                        Optional.empty()));
    }

    /** A message such as {@code 2026-05-02, Dov, The stall}. */
    private static Written written(String said) {
        String[] parts = said.split("\\s*,\\s*", 3);
        return new Written(new UUID(0, 2), LocalDate.parse(parts[0]), parts[1], parts[2], "");
    }

    /** An hour such as {@code 2026-05-02T08:00 Europe/London}. */
    private static Arrival arrival(String said) {
        ZoneId zone = ZoneId.of(said.substring(said.indexOf(' ') + 1));
        ZonedDateTime at =
                LocalDateTime.parse(said.substring(0, said.indexOf(' '))).atZone(zone);
        return new Arrival(at.toInstant(), new SendingHours(ZoneId.of("Europe/London"), zone, HOLIDAYS));
    }

    /** A detail of the company such as {@code Staff=48@2024-05-01}. */
    private static SaidValue old(String said) {
        int equals = said.indexOf('=');
        int at = said.lastIndexOf('@');
        return new SaidValue(
                SaidValue.Kind.OTHER,
                said.substring(0, equals),
                said.substring(equals + 1, at),
                Optional.of(LocalDate.parse(said.substring(at + 1))));
    }

    /** What a field says, such as {@code First name=Ines}. */
    private static SaidValue said(String written) {
        String label = written.substring(0, written.indexOf('='));
        SaidValue.Kind kind =
                switch (label) {
                    case "First name", "Last name" -> SaidValue.Kind.PERSON;
                    case "Name", "Town" -> SaidValue.Kind.NAME;
                    default -> SaidValue.Kind.OTHER;
                };
        return new SaidValue(kind, label, written.substring(label.length() + 1));
    }

    /** What would be found in the records: some of the names are words too. */
    private static Optional<KnownNames> names(String sender) {
        Map<String, String> elsewhere = new HashMap<>();
        Set<String> parts = new HashSet<>();
        for (String person : PEOPLE) {
            elsewhere.put(NameKey.of(person), "a contact");
            for (String part : person.split(" ")) {
                parts.add(NameKey.of(part));
            }
        }
        ORGANISATIONS.forEach(one -> elsewhere.put(NameKey.of(one), "another organisation"));
        List<String> others =
                COLLEAGUES.stream().filter(one -> !one.equals(sender)).toList();
        return sender.isEmpty() ? Optional.empty() : Optional.of(new KnownNames(parts, elsewhere, others, sender));
    }

    private static String read(String name) {
        try (InputStream file = CorpusMessage.class.getResourceAsStream("corpus/" + name)) {
            return new String(file.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException failure) {
            throw new IllegalStateException(failure);
        }
    }

    /** What every check has to say of it, on its way to its reader. */
    List<Note> notes() {
        MessageSource source = new MessageSource(subject, "", body);
        MessageProgram program = source.parse();
        Merger merger = new Merger(new MergeSettings(
                around.reader(),
                ZoneOffset.UTC,
                around.day().atTime(LocalTime.NOON).toInstant(ZoneOffset.UTC)));
        return Proofreader.standard()
                .read(new ProofSubject(
                        source,
                        program.problems(new Analyser(new FieldCatalogue(List.of()), About.CONTACT)),
                        program.merge(merger, path -> Optional.empty()),
                        "Ines",
                        path -> path.words().getLast(),
                        true,
                        around));
    }
}
