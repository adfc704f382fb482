package famulus.core.proof;

import famulus.core.prose.FoundWords;
import famulus.core.prose.Prose.Stretch;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/** Tells whether an address can lead anywhere in a mail program. */
final class Destinations {
    private static final Set<String> SCHEMES = Set.of("http", "https", "mailto", "tel");
    private static final Pattern PLACEHOLDER = Pattern.compile(
            "(^|[/.@:])(example\\.(com|net|org)|your-?(domain|company|site|website|link)\\b[^/]*|domain\\.com|test\\.com)([/:?#]|$)");
    private static final Pattern BARE = Pattern.compile("[a-z][a-z0-9+.-]*:(//)?", Pattern.CASE_INSENSITIVE);
    private static final Pattern HOST = Pattern.compile("[\\p{Alnum}-]+(\\.[\\p{Alnum}-]+)+([/?#:].*)?");
    /** Addresses that stand in text, which mail programs make links of. */
    private static final Pattern IN_TEXT = Pattern.compile(
            "\\b(?:https?://|mailto:)[^\\s<>\"]*|\\bwww\\.[^\\s<>\"]+|[\\p{Alnum}._%+-]+@[\\p{Alnum}-]+(?:\\.[\\p{Alnum}-]+)+",
            Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CHARACTER_CLASS);
    /** What ends a sentence, not the address before it. */
    private static final String CLOSING = ".,;:!?)]}'’”»";

    private Destinations() {}

    /**
     * An address in a text that leads nowhere.
     *
     * @param why a sentence
     */
    record Nowhere(int start, int end, String address, String why) {}

    /** Why an address leads nowhere; empty when it may lead somewhere. */
    static Optional<String> wrong(String address) {
        String lower = address.toLowerCase(Locale.ROOT);
        if (address.isEmpty()) {
            return Optional.of("For this person the address comes out empty.");
        }
        if (address.startsWith("#")) {
            return Optional.of("A link to a place within the page does not work in mail. Give it a full address.");
        }
        if (BARE.matcher(address).matches()) {
            return Optional.of("The address stops after its beginning.");
        }
        if (address.chars().anyMatch(Character::isWhitespace)) {
            return Optional.of("There is a space in its address.");
        }
        if (PLACEHOLDER.matcher(lower).find()) {
            return Optional.of("The address is a placeholder: " + address + ".");
        }
        int colon = address.indexOf(':');
        boolean scheme = colon > 0 && address.substring(0, colon).chars().allMatch(Character::isLetter);
        if (!scheme) {
            return Optional.of("Its address has no beginning such as https://.");
        }
        return SCHEMES.contains(lower.substring(0, colon))
                ? Optional.empty()
                : Optional.of(
                        "Mail programs don’t open addresses that begin with " + address.substring(0, colon) + ":.");
    }

    /** Whether it would be a whole address with https:// before it. */
    static boolean lacksOnlyItsBeginning(String address) {
        return HOST.matcher(address).matches();
    }

    /** The addresses in a text that lead nowhere, in order. */
    static List<Nowhere> inText(String text) {
        List<Nowhere> nowhere = new ArrayList<>();
        for (Stretch place : FoundWords.in(text).all(IN_TEXT)) {
            String found = place.of(text);
            int end = found.length();
            while (end > 0
                    && CLOSING.indexOf(found.charAt(end - 1)) >= 0
                    && !found.substring(0, end).endsWith("://")) {
                end--;
            }
            String address = found.substring(0, end);
            boolean whole =
                    address.regionMatches(true, 0, "http", 0, 4) || address.regionMatches(true, 0, "mailto:", 0, 7);
            String judged = whole ? address : address.indexOf('@') > 0 ? "mailto:" + address : "https://" + address;
            int from = place.start();
            int to = from + end;
            wrong(judged).ifPresent(why -> nowhere.add(new Nowhere(from, to, address, why)));
        }
        return nowhere;
    }
}
