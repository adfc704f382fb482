package famulus.core.audience;

import com.ibm.icu.text.IDNA;
import famulus.core.record.EmailAddress;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * An entry of a do-not-email list: one address, or a domain with all addresses of it and of what is below it.
 *
 * @param key what it is found by: the address or the domain, in small letters, other scripts of a domain in their ASCII form
 *     (UTS 46)
 * @param wholeDomain whether it is a domain
 */
public record DoNotEmail(String key, boolean wholeDomain) {
    private static final IDNA NAMES = IDNA.getUTS46Instance(IDNA.NONTRANSITIONAL_TO_ASCII);

    /**
     * What was typed, read.
     *
     * @param entry empty when it is none
     * @param refusal what is wrong with it, in a sentence; empty when nothing is
     */
    public record Read(Optional<DoNotEmail> entry, Optional<String> refusal) {}

    /** Reads an entry. E.g. {@code ines@larkfield.example}, {@code larkfield.example} or {@code @larkfield.example}. */
    public static Read read(String typed) {
        String written = typed == null ? "" : typed.strip();
        boolean domain = written.startsWith("@") || !written.contains("@");
        String host = written.startsWith("@") ? written.substring(1) : written;
        Optional<String> refusal = written.isEmpty()
                ? Optional.of("Type an address, or a domain such as “example.com”.")
                : EmailAddress.refusal(domain ? "all@" + host : written)
                        .map(wrong -> domain ? "“" + written + "” is neither an address nor a domain." : wrong);
        return refusal.isPresent()
                ? new Read(Optional.empty(), refusal)
                : new Read(Optional.of(new DoNotEmail(normal(domain ? host : written), domain)), Optional.empty());
    }

    /** The keys of all entries that stop messages to an address: its own, that of its domain, and those above that. */
    public static List<String> keys(String address) {
        String normal = normal(address.strip());
        List<String> keys = new ArrayList<>(List.of(normal));
        String host = normal.substring(normal.lastIndexOf('@') + 1);
        while (host.indexOf('.') >= 0) {
            keys.add(host);
            host = host.substring(host.indexOf('.') + 1);
        }
        return keys;
    }

    private static String normal(String written) {
        int sign = written.lastIndexOf('@');
        StringBuilder host = new StringBuilder();
        IDNA.Info info = new IDNA.Info();
        NAMES.nameToASCII(written.substring(sign + 1), host, info);
        if (info.hasErrors()) {
            // What is no domain is found by nothing but itself.
            return written.toLowerCase(Locale.ROOT);
        }
        return (written.substring(0, sign + 1) + host).toLowerCase(Locale.ROOT);
    }
}
