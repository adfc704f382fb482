package famulus.core.table;

import java.util.List;

/**
 * What is read from and written into a vCard; each may be empty.
 *
 * @param title what stands before a name
 * @param addresses e-mail addresses, the one written to first in front
 * @param country as it is written on a letter
 * @param language a code of BCP 47
 */
public record Card(
        String title,
        String firstName,
        String lastName,
        String organisation,
        String jobTitle,
        List<String> addresses,
        String phone,
        String mobile,
        String website,
        String street,
        String postcode,
        String town,
        String country,
        String language) {
    public Card {
        addresses = List.copyOf(addresses);
    }

    /** What {@link #cells} are called: names of fields, which any kind of record has some of. */
    public static final List<String> HEADINGS = List.of(
            "Title",
            "First name",
            "Surname",
            "Organisation",
            "Job title",
            "E-mail",
            "Phone",
            "Mobile",
            "Website",
            "Street",
            "Postcode",
            "Town",
            "Country",
            "Language");

    /** The card as a row of a table. */
    List<String> cells() {
        return List.of(
                title,
                firstName,
                lastName,
                organisation,
                jobTitle,
                String.join("; ", addresses),
                phone,
                mobile,
                website,
                street,
                postcode,
                town,
                country,
                language);
    }
}
