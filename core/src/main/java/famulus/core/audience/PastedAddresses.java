package famulus.core.audience;

import famulus.core.record.EmailAddress;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The addresses in a text that somebody has pasted, however they are written: one a line or many, parted by commas, semicolons or
 * tabs, with names before or behind them, in quotes or angle brackets (RFC 5322), or as a column of a table.
 *
 * @param found each address once, where it stands first
 * @param wrong lines and pieces that are no addresses, with the reason
 * @param twice how many stand there again
 */
public record PastedAddresses(List<Pasted> found, List<Wrong> wrong, int twice) {
    private static final Pattern BRACKETED = Pattern.compile("<\\s*([^<>]*@[^<>]*?)\\s*>");
    private static final Pattern BEFORE = Pattern.compile("^(?:mailto:|[(\\[\"'“‘«])+", Pattern.CASE_INSENSITIVE);
    private static final Pattern BEHIND = Pattern.compile("[)\\]\"'”’».:!?]+$");
    private static final Pattern SURNAME_FIRST = Pattern.compile("([^,]+),\\s*([^,]+)");
    private static final int LONGEST_NAME = 120;
    private static final int LONGEST_SHOWN = 60;

    public PastedAddresses {
        found = List.copyOf(found);
        wrong = List.copyOf(wrong);
    }

    /**
     * An address.
     *
     * @param name as it stands with it, given name first; empty for none
     * @param line where it stands, from 1
     */
    public record Pasted(String name, String address, int line) {}

    /** What is no address, shortened, and why. */
    public record Wrong(String text, String sentence, int line) {}

    /** Reads a text. */
    public static PastedAddresses read(String text) {
        List<Pasted> found = new ArrayList<>();
        List<Wrong> wrong = new ArrayList<>();
        Set<String> seen = new HashSet<>();
        int twice = 0;
        int number = 0;
        for (String line : (Iterable<String>) text.lines()::iterator) {
            number++;
            if (line.isBlank()) {
                continue;
            }
            List<String> pieces = pieces(line);
            if (pieces.stream().noneMatch(piece -> piece.contains("@"))) {
                // A table's first line says what its columns are.
                if (number > 1) {
                    wrong.add(new Wrong(shown(line), "There is no address in this line.", number));
                }
                continue;
            }
            List<String> name = new ArrayList<>();
            for (String piece : pieces) {
                if (!piece.contains("@")) {
                    name.add(piece);
                    continue;
                }
                Pasted one = pasted(name, piece, number);
                name.clear();
                Optional<String> refusal = EmailAddress.refusal(one.address());
                if (refusal.isPresent()) {
                    wrong.add(new Wrong(shown(piece), refusal.get(), number));
                } else if (seen.add(DoNotEmail.keys(one.address()).getFirst())) {
                    found.add(one);
                } else {
                    twice++;
                }
            }
        }
        return new PastedAddresses(found, wrong, twice);
    }

    /** Parts a line at commas, semicolons and tabs that stand neither in quotes nor in brackets. */
    private static List<String> pieces(String line) {
        List<String> pieces = new ArrayList<>();
        boolean closed = line.chars().filter(c -> c == '"').count() % 2 == 0;
        boolean quoted = false;
        boolean bracketed = false;
        int start = 0;
        for (int i = 0; i < line.length(); i++) {
            char c = line.charAt(i);
            quoted = c == '"' && closed ? !quoted : quoted;
            bracketed = !quoted && (c == '<' || bracketed && c != '>');
            if (!quoted && !bracketed && (c == ',' || c == ';' || c == '\t')) {
                add(pieces, line.substring(start, i));
                start = i + 1;
            }
        }
        add(pieces, line.substring(start));
        return pieces;
    }

    private static void add(List<String> pieces, String piece) {
        if (!piece.isBlank()) {
            pieces.add(piece.strip());
        }
    }

    /** @param before pieces of the line that stand before it and are no addresses: parts of the name */
    private static Pasted pasted(List<String> before, String piece, int line) {
        Matcher bracketed = BRACKETED.matcher(piece);
        if (bracketed.find()) {
            String rest = piece.substring(0, bracketed.start()) + " " + piece.substring(bracketed.end());
            return new Pasted(name(before, rest), address(bracketed.group(1)), line);
        }
        StringBuilder rest = new StringBuilder();
        String address = "";
        for (String word : piece.split("\\s+")) {
            if (address.isEmpty() && word.contains("@")) {
                address = address(word);
            } else {
                rest.append(word).append(' ');
            }
        }
        return new Pasted(name(before, rest.toString()), address, line);
    }

    private static String address(String written) {
        String begun = BEFORE.matcher(written.strip()).replaceFirst("");
        return BEHIND.matcher(begun).replaceFirst("");
    }

    private static String name(List<String> before, String beside) {
        String own = cleaned(beside);
        String whole = own.isEmpty() || before.size() > 1
                ? String.join(" ", before) + " " + own
                : before.isEmpty() ? own : before.getFirst() + ", " + own;
        String clean = cleaned(whole);
        Matcher surnameFirst = SURNAME_FIRST.matcher(clean);
        String name = surnameFirst.matches()
                ? surnameFirst.group(2).strip() + " " + surnameFirst.group(1).strip()
                : clean;
        return name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME).strip() : name;
    }

    private static String cleaned(String text) {
        return text.replaceAll("[\"()<>\\[\\]“”«»]", " ")
                .replaceAll("\\p{Cntrl}", " ")
                .replaceAll("\\s+", " ")
                .strip();
    }

    private static String shown(String text) {
        String line = text.strip();
        return line.codePointCount(0, line.length()) > LONGEST_SHOWN
                ? line.substring(0, line.offsetByCodePoints(0, LONGEST_SHOWN)) + "…"
                : line;
    }
}
