package famulus.core.table;

import famulus.core.record.SearchText;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * What a record is known by when it comes again.
 *
 * @param name a person's surname and first name, else what the record is called; without case and accents
 * @param belongsTo what it is part of, in the same form: an organisation, of organisations nothing
 * @param addresses a person's e-mail addresses, in small letters
 */
public record Identity(String name, String belongsTo, List<String> addresses) {
    public Identity {
        addresses = List.copyOf(addresses);
    }

    /** Why two records are taken for one. */
    public enum Sameness {
        ADDRESS,
        NAME
    }

    /** An identity of texts as they come. */
    public static Identity of(String name, String belongsTo, List<String> addresses) {
        return new Identity(
                SearchText.folded(name),
                SearchText.folded(belongsTo),
                addresses.stream().map(one -> one.toLowerCase(Locale.ROOT)).toList());
    }

    /**
     * Everybody that a full name may be: where it is parted into first names and surname is not said.
     *
     * <p>E.g.: {@code Ana de la Cruz} may be Ana with the surname de la Cruz, or Ana de la with the surname Cruz.
     *
     * @param fullName first names before the surname, or the surname before a comma
     */
    public static List<Identity> named(String fullName, String belongsTo) {
        int comma = fullName.indexOf(',');
        if (comma > 0) {
            return List.of(of(
                    fullName.substring(0, comma).strip() + " "
                            + fullName.substring(comma + 1).strip(),
                    belongsTo,
                    List.of()));
        }
        List<String> words = List.of(fullName.strip().split("\\s+"));
        return IntStream.range(0, words.size())
                .mapToObj(first -> of(
                        (String.join(" ", words.subList(first, words.size())) + " "
                                        + String.join(" ", words.subList(0, first)))
                                .strip(),
                        belongsTo,
                        List.of()))
                .distinct()
                .toList();
    }

    /**
     * Whether another one is the same: by an address first, then by the name within the same organisation. Two people of one
     * name who belong nowhere are the same only where one of them has no address: a name alone says little.
     *
     * <p>E.g.: Ines Wren of Mill Lane with one address is Ines Wren of Mill Lane with another.
     */
    public Optional<Sameness> sameAs(Identity other) {
        if (addresses.stream().anyMatch(other.addresses::contains)) {
            return Optional.of(Sameness.ADDRESS);
        }
        boolean named = !name.isEmpty() && name.equals(other.name) && belongsTo.equals(other.belongsTo);
        boolean telling = !belongsTo.isEmpty() || addresses.isEmpty() || other.addresses.isEmpty();
        return named && telling ? Optional.of(Sameness.NAME) : Optional.empty();
    }
}
