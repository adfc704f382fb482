package famulus.core.table;

import ezvcard.VCard;
import ezvcard.VCardVersion;
import ezvcard.io.text.VCardWriter;
import ezvcard.parameter.EmailType;
import ezvcard.parameter.TelephoneType;
import ezvcard.property.Address;
import ezvcard.property.Email;
import ezvcard.property.Organization;
import ezvcard.property.StructuredName;
import java.io.IOException;
import java.io.Writer;

/** Writes cards, one after another, as vCard 4.0 (RFC 6350) or 3.0 (RFC 2426). */
public final class CardWriter {
    private final VCardWriter writer;

    /**
     * Begins.
     *
     * @param newest whether version 4.0 is written; else 3.0, which older programs read
     */
    public CardWriter(Writer to, boolean newest) {
        writer = new VCardWriter(to, newest ? VCardVersion.V4_0 : VCardVersion.V3_0);
        writer.setAddProdId(false);
    }

    /** Writes a card. */
    public void write(Card card) throws IOException {
        VCard made = new VCard();
        StructuredName name = new StructuredName();
        name.setFamily(card.lastName());
        name.setGiven(card.firstName());
        if (!card.title().isEmpty()) {
            name.getPrefixes().add(card.title());
        }
        made.setStructuredName(name);
        String formatted = (card.firstName() + " " + card.lastName()).strip();
        made.setFormattedName(formatted.isEmpty() ? card.organisation() : formatted);
        if (!card.organisation().isEmpty()) {
            Organization organisation = new Organization();
            organisation.getValues().add(card.organisation());
            made.setOrganization(organisation);
        }
        if (!card.jobTitle().isEmpty()) {
            made.addTitle(card.jobTitle());
        }
        int preference = 1;
        for (String address : card.addresses()) {
            Email email = new Email(address);
            email.getTypes().add(EmailType.WORK);
            email.setPref(preference++);
            made.addEmail(email);
        }
        if (!card.phone().isEmpty()) {
            made.addTelephoneNumber(card.phone(), TelephoneType.WORK, TelephoneType.VOICE);
        }
        if (!card.mobile().isEmpty()) {
            made.addTelephoneNumber(card.mobile(), TelephoneType.CELL);
        }
        if (!card.website().isEmpty()) {
            made.addUrl(card.website());
        }
        if (!(card.street() + card.postcode() + card.town() + card.country()).isEmpty()) {
            Address address = new Address();
            address.setStreetAddress(card.street());
            address.setPostalCode(card.postcode());
            address.setLocality(card.town());
            address.setCountry(card.country());
            made.addAddress(address);
        }
        if (!card.language().isEmpty()) {
            made.addLanguage(card.language());
        }
        writer.write(made);
        writer.flush();
    }
}
