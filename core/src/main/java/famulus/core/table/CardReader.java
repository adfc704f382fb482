package famulus.core.table;

import ezvcard.VCard;
import ezvcard.io.text.VCardReader;
import ezvcard.parameter.EmailType;
import ezvcard.parameter.TelephoneType;
import ezvcard.property.Address;
import ezvcard.property.Email;
import ezvcard.property.FormattedName;
import ezvcard.property.Kind;
import ezvcard.property.Language;
import ezvcard.property.Organization;
import ezvcard.property.ProductId;
import ezvcard.property.RawProperty;
import ezvcard.property.Revision;
import ezvcard.property.Role;
import ezvcard.property.StructuredName;
import ezvcard.property.Telephone;
import ezvcard.property.TextListProperty;
import ezvcard.property.TextProperty;
import ezvcard.property.Title;
import ezvcard.property.Uid;
import ezvcard.property.Url;
import ezvcard.property.VCardProperty;
import ezvcard.util.TelUri;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.Reader;
import java.util.Comparator;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.NoSuchElementException;
import java.util.Set;
import java.util.TreeSet;

/**
 * The cards of a vCard file (RFC 6350, RFC 2426), one after another, as rows under {@link Card#HEADINGS}. What a record has
 * no place for, such as pictures, is passed over and named.
 */
public final class CardReader implements Iterator<TableRow> {
    private final Lines lines;
    private final VCardReader cards;
    private final Set<String> leftOut = new TreeSet<>();
    private long number;
    private TableRow next;

    /** Begins to read. */
    public CardReader(Reader reader) {
        lines = new Lines(new BufferedReader(reader));
        cards = new VCardReader(lines);
        advance();
    }

    /** Whether a text begins like a vCard file. */
    public static boolean isCard(String begin) {
        return begin.stripLeading().regionMatches(true, 0, "BEGIN:VCARD", 0, 11);
    }

    /** The names of properties that were passed over so far. */
    public Set<String> leftOut() {
        return leftOut;
    }

    @Override
    public boolean hasNext() {
        return next != null;
    }

    /**
     * The next card.
     *
     * @throws UnreadableTable when the one after it has no end
     */
    @Override
    public TableRow next() {
        if (next == null) {
            throw new NoSuchElementException();
        }
        TableRow row = next;
        advance();
        return row;
    }

    private void advance() {
        try {
            VCard card = cards.readNext();
            if (card == null) {
                next = null;
                if (lines.open > 0) {
                    throw new UnreadableTable(
                            lines.openedIn,
                            0,
                            "The card that begins here has no end: the file is cut off. Export it again.");
                }
                return;
            }
            number++;
            next = new TableRow(number, read(card).cells());
            for (VCardProperty property : card) {
                if (!isRead(property)) {
                    leftOut.add(name(property));
                }
            }
        } catch (IOException unreadable) {
            throw new UnreadableTable(
                    lines.line,
                    0,
                    "A character here can’t be read in this encoding. Choose another encoding, or save the file as UTF-8.");
        }
    }

    private static String name(VCardProperty property) {
        return property instanceof RawProperty raw
                ? raw.getPropertyName().toUpperCase(Locale.ROOT)
                : property.getClass().getSimpleName().toUpperCase(Locale.ROOT);
    }

    private static boolean isRead(VCardProperty property) {
        return property instanceof StructuredName
                || property instanceof Email
                || property instanceof Telephone
                || property instanceof Address
                || property instanceof FormattedName
                || property instanceof Organization
                || property instanceof Title
                || property instanceof Role
                || property instanceof Url
                || property instanceof Language
                || property instanceof ProductId
                || property instanceof Revision
                || property instanceof Uid
                || property instanceof Kind;
    }

    private static Card read(VCard card) {
        StructuredName name = card.getStructuredName();
        String formatted = text(card.getFormattedName());
        PersonName parted = PersonName.of(formatted);
        boolean named = name != null && !(blank(name.getFamily()) && blank(name.getGiven()));
        // One who has a first name alone is called by it.
        boolean family = named && !blank(name.getFamily());
        String last = family ? name.getFamily() : named ? name.getGiven() : parted.last();
        String first = family ? plain(name.getGiven()) : named ? "" : parted.first();
        Address address =
                card.getAddresses().isEmpty() ? null : card.getAddresses().getFirst();
        return new Card(
                name == null ? "" : String.join(" ", name.getPrefixes()),
                first,
                last,
                organisation(card),
                text(card.getTitles().isEmpty() ? first(card.getRoles()) : first(card.getTitles())),
                card.getEmails().stream()
                        .sorted(Comparator.comparing(CardReader::preference))
                        .map(email -> plain(email.getValue()))
                        .filter(one -> !one.isBlank())
                        .toList(),
                phone(card, false),
                phone(card, true),
                text(first(card.getUrls())),
                address == null ? "" : plain(address.getStreetAddress()),
                address == null ? "" : plain(address.getPostalCode()),
                address == null ? "" : plain(address.getLocality()),
                address == null ? "" : plain(address.getCountry()),
                text(first(card.getLanguages())));
    }

    /** The lower, the rather it is written to; version 3 has a mark in place of a number. */
    private static int preference(Email email) {
        if (email.getTypes().contains(EmailType.PREF)) {
            return 0;
        }
        return email.getPref() == null ? 101 : email.getPref();
    }

    private static String organisation(VCard card) {
        TextListProperty organisation = card.getOrganization();
        return organisation == null || organisation.getValues().isEmpty()
                ? ""
                : plain(organisation.getValues().getFirst());
    }

    private static <T> T first(List<T> all) {
        return all.isEmpty() ? null : all.getFirst();
    }

    private static String phone(VCard card, boolean mobile) {
        return card.getTelephoneNumbers().stream()
                .filter(one -> !one.getTypes().contains(TelephoneType.FAX))
                .filter(one -> one.getTypes().contains(TelephoneType.CELL) == mobile)
                .map(CardReader::digits)
                .filter(one -> !one.isBlank())
                .findFirst()
                .orElse("");
    }

    private static String digits(Telephone phone) {
        TelUri uri = phone.getUri();
        return plain(uri == null ? phone.getText() : uri.getNumber());
    }

    private static String text(TextProperty property) {
        return property == null ? "" : plain(property.getValue());
    }

    private static String plain(String text) {
        return text == null ? "" : text.strip();
    }

    private static boolean blank(String text) {
        return text == null || text.isBlank();
    }

    /** Counts lines on their way, and which cards have begun and not ended. */
    private static final class Lines extends Reader {
        private final BufferedReader reader;
        private String rest = "";
        private int at;
        private boolean ended;
        private long line;
        private long open;
        private long openedIn;

        private Lines(BufferedReader reader) {
            this.reader = reader;
        }

        @Override
        public int read(char[] buffer, int offset, int length) throws IOException {
            if (at == rest.length()) {
                String read = ended ? null : reader.readLine();
                if (read == null) {
                    ended = true;
                    return -1;
                }
                line++;
                if (read.strip().equalsIgnoreCase("BEGIN:VCARD")) {
                    open++;
                    openedIn = line;
                } else if (read.strip().equalsIgnoreCase("END:VCARD")) {
                    open--;
                }
                rest = read + "\r\n";
                at = 0;
            }
            int some = Math.min(length, rest.length() - at);
            rest.getChars(at, at + some, buffer, offset);
            at += some;
            return some;
        }

        @Override
        public void close() throws IOException {
            reader.close();
        }
    }
}
