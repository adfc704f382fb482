package famulus.core.proof;

import famulus.core.calendar.SendingHours;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * What is known around a message besides its words.
 *
 * @param day the day it leaves, where its reader is
 * @param reader language and region of its reader
 * @param files the names of what is attached; empty where that is not known, as of a template that others add to
 * @param theirs what belongs to its reader: their name first, then their organisation's
 * @param values what fields of the message say
 * @param names what is known of the names it says; empty where nobody looked
 * @param before what went to its reader before; empty where that is not known, as of a template
 * @param arrival when it reaches its reader; empty for a template
 * @param variants the languages that its template is written in, if there are several
 * @param longest its subject for somebody else; empty for a message, and where its subject is the same for everybody
 */
public record Circumstances(
        LocalDate day,
        Locale reader,
        Optional<List<String>> files,
        List<String> theirs,
        List<SaidValue> values,
        Optional<KnownNames> names,
        Optional<Correspondence> before,
        Optional<Arrival> arrival,
        List<Locale> variants,
        Optional<LongestSubject> longest) {
    public Circumstances {
        files = files.map(List::copyOf);
        theirs = List.copyOf(theirs);
        values = List.copyOf(values);
        variants = List.copyOf(variants);
    }

    /**
     * When a message reaches its reader.
     *
     * @param at the moment
     * @param hours what is known of hours where they are
     */
    public record Arrival(Instant at, SendingHours hours) {}

    /** Those of which neither the hour nor the languages of a template are known. */
    public Circumstances(
            LocalDate day,
            Locale reader,
            Optional<List<String>> files,
            List<String> theirs,
            List<SaidValue> values,
            Optional<KnownNames> names,
            Optional<Correspondence> before) {
        this(day, reader, files, theirs, values, names, before, Optional.empty(), List.of(), Optional.empty());
    }

    /** Those of a message of which nothing is known but its day and its reader. */
    public static Circumstances on(LocalDate day, Locale reader) {
        return new Circumstances(
                day, reader, Optional.empty(), List.of(), List.of(), Optional.empty(), Optional.empty());
    }

    /** The same where the names it says have been looked for. */
    public Circumstances knowing(KnownNames known) {
        return new Circumstances(
                day, reader, files, theirs, values, Optional.of(known), before, arrival, variants, longest);
    }

    /** The same where it is known how long its subject gets. */
    public Circumstances reaching(Optional<LongestSubject> other) {
        return new Circumstances(day, reader, files, theirs, values, names, before, arrival, variants, other);
    }

    /** Whether it is known that nobody has written to its reader before. */
    boolean first() {
        return before.map(one -> one.newest().isEmpty()).orElse(false);
    }
}
