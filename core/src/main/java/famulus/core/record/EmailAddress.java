package famulus.core.record;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * Checks an e-mail address: the dot-atom form of RFC 5321 with a host name of any script behind it. Quoted local parts
 * and address literals, which nobody types, are refused, and so are letters beyond ASCII before the sign, which many
 * mail servers still turn away.
 */
public final class EmailAddress {
    private static final int LONGEST = 254;
    private static final int LONGEST_LOCAL_PART = 64;
    private static final String ATOM = "[A-Za-z0-9!#$%&'*+/=?^_`{|}~-]+";
    private static final Pattern LOCAL = Pattern.compile(ATOM + "(?:\\." + ATOM + ")*");
    private static final String LABEL = "[\\p{L}\\p{N}](?:[\\p{L}\\p{M}\\p{N}-]{0,61}[\\p{L}\\p{M}\\p{N}])?";
    private static final Pattern HOST = Pattern.compile(LABEL + "(?:\\." + LABEL + ")+");

    private EmailAddress() {}

    /** Addresses as somebody has typed them: without blanks around them, and no empty ones. */
    public static List<String> typed(List<String> addresses) {
        return addresses == null
                ? List.of()
                : addresses.stream()
                        .filter(Objects::nonNull)
                        .map(String::strip)
                        .filter(one -> !one.isEmpty())
                        .toList();
    }

    /** Returns what is wrong with an address, in a sentence; empty when nothing is. */
    public static Optional<String> refusal(String typed) {
        String address = typed == null ? "" : typed.strip();
        int sign = address.lastIndexOf('@');
        if (address.isEmpty()) {
            return Optional.of("An address is missing here.");
        }
        if (sign < 1 || sign == address.length() - 1) {
            return Optional.of(
                    "“" + shown(address) + "” is not an e-mail address: it needs a name, an @ and a domain.");
        }
        if (address.length() > LONGEST || sign > LONGEST_LOCAL_PART) {
            return Optional.of("This address is too long to be one.");
        }
        if (!LOCAL.matcher(address.substring(0, sign)).matches()) {
            return Optional.of("The part before the @ in “" + shown(address) + "” is not the name of a mailbox.");
        }
        if (!HOST.matcher(address.substring(sign + 1)).matches()) {
            return Optional.of("The part after the @ in “" + shown(address) + "” is not a domain.");
        }
        return Optional.empty();
    }

    private static String shown(String address) {
        return address.length() > 60 ? address.substring(0, 60) + "…" : address;
    }
}
