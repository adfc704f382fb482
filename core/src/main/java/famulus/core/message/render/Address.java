package famulus.core.message.render;

import famulus.core.merge.Origin;
import famulus.core.merge.Piece;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/** Addresses in links: only kinds that lead somewhere a recipient expects, never one that runs something. */
public final class Address {
    private static final Set<String> KINDS = Set.of("http", "https", "mailto", "tel");
    private static final String UNRESERVED = "-._~";

    private Address() {}

    /**
     * An address with its values: one within it is escaped, one that begins it is an address itself. E.g.
     * {@code https://x.example/?for=} and the value {@code Ines May} give {@code https://x.example/?for=Ines%20May}.
     */
    public static String merged(List<Piece> pieces) {
        StringBuilder address = new StringBuilder();
        for (Piece piece : pieces) {
            boolean value = piece.origin() != Origin.WRITTEN || !piece.written().isEmpty();
            address.append(value && !address.isEmpty() ? escaped(piece.text()) : piece.text());
        }
        return address.toString().strip();
    }

    /** The address, or nothing when it is of no kind that may be linked to. */
    static String safe(String address) {
        int colon = address.indexOf(':');
        boolean plain = address.chars().allMatch(c -> c > ' ' && c != '"' && c != '<' && c != '>' && c != '\\');
        return colon > 0 && plain && KINDS.contains(address.substring(0, colon).toLowerCase(Locale.ROOT))
                ? address
                : "";
    }

    /** A value as it may stand within an address (RFC 3986, 2.1). */
    static String escaped(String value) {
        StringBuilder escaped = new StringBuilder();
        for (byte octet : value.getBytes(StandardCharsets.UTF_8)) {
            char c = (char) (octet & 0xff);
            boolean letter = (c >= 'a' && c <= 'z') || (c >= 'A' && c <= 'Z') || (c >= '0' && c <= '9');
            if (letter || UNRESERVED.indexOf(c) >= 0) {
                escaped.append(c);
            } else {
                escaped.append(String.format(Locale.ROOT, "%%%02X", (int) c));
            }
        }
        return escaped.toString();
    }
}
