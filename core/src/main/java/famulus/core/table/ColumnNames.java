package famulus.core.table;

import famulus.core.record.SearchText;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;

/** What people write over columns, in English, German and French, by where such a column goes. */
final class ColumnNames {
    private static final Pattern BETWEEN = Pattern.compile("[^\\p{L}\\p{N}]+");

    private static final Map<String, List<String>> OF = Map.ofEntries(
            Map.entry("first_name", List.of("first name", "firstname", "given name", "forename", "vorname", "prénom")),
            Map.entry(
                    "last_name",
                    List.of(
                            "surname",
                            "last name",
                            "lastname",
                            "family name",
                            "nachname",
                            "familienname",
                            "nom de famille",
                            "nom")),
            Map.entry(
                    "full_name",
                    List.of(
                            "name",
                            "full name",
                            "contact name",
                            "person",
                            "ansprechpartner",
                            "ansprechpartnerin",
                            "nom complet")),
            Map.entry("title", List.of("title", "titel", "titre", "academic title", "prefix")),
            Map.entry(
                    "job_title",
                    List.of(
                            "job title",
                            "job",
                            "position",
                            "function",
                            "funktion",
                            "stelle",
                            "beruf",
                            "poste",
                            "fonction")),
            Map.entry(
                    "organisation",
                    List.of(
                            "organisation",
                            "organization",
                            "company",
                            "company name",
                            "firm",
                            "firma",
                            "unternehmen",
                            "société",
                            "entreprise")),
            Map.entry(
                    "company",
                    List.of(
                            "company",
                            "company name",
                            "organisation",
                            "organization",
                            "firma",
                            "unternehmen",
                            "société",
                            "entreprise")),
            Map.entry(
                    "email",
                    List.of(
                            "e-mail",
                            "email",
                            "mail",
                            "e-mail address",
                            "email address",
                            "e-mail-adresse",
                            "e-mail 2",
                            "email 2",
                            "e-mail 3",
                            "email 3",
                            "second e-mail",
                            "courriel",
                            "adresse e-mail")),
            Map.entry(
                    "phone",
                    List.of(
                            "phone",
                            "phone number",
                            "telephone",
                            "tel",
                            "work phone",
                            "telefon",
                            "telefonnummer",
                            "téléphone",
                            "tél")),
            Map.entry(
                    "mobile",
                    List.of(
                            "mobile",
                            "mobile phone",
                            "cell",
                            "cell phone",
                            "handy",
                            "mobil",
                            "mobiltelefon",
                            "portable")),
            Map.entry("language", List.of("language", "sprache", "langue")),
            Map.entry("time_zone", List.of("time zone", "timezone", "zeitzone", "fuseau horaire")),
            Map.entry("owner", List.of("owner", "looked after by", "rep", "zuständig", "betreut von", "responsable")),
            Map.entry(
                    "website",
                    List.of(
                            "website",
                            "web site",
                            "web",
                            "homepage",
                            "url",
                            "webseite",
                            "internet",
                            "site",
                            "site web")),
            Map.entry(
                    "street", List.of("street", "address", "street address", "straße", "anschrift", "adresse", "rue")),
            Map.entry(
                    "postcode",
                    List.of(
                            "postcode",
                            "post code",
                            "postal code",
                            "zip",
                            "zip code",
                            "plz",
                            "postleitzahl",
                            "code postal")),
            Map.entry("town", List.of("town", "city", "ort", "stadt", "ville")),
            Map.entry("country", List.of("country", "land", "pays")),
            Map.entry("source", List.of("came from", "source", "lead source", "quelle", "herkunft", "origine")),
            Map.entry("state", List.of("state", "status", "zustand", "statut")),
            Map.entry("stage", List.of("stage", "phase", "stufe", "étape")),
            Map.entry(
                    "value", List.of("value", "amount", "deal value", "wert", "betrag", "summe", "montant", "valeur")),
            Map.entry(
                    "closes_on",
                    List.of(
                            "decision by",
                            "closes on",
                            "close date",
                            "closing date",
                            "entscheidung bis",
                            "abschluss",
                            "décision")),
            Map.entry(
                    "name",
                    List.of(
                            "name",
                            "deal",
                            "deal name",
                            "organisation",
                            "organisation name",
                            "company",
                            "company name",
                            "firma",
                            "nom",
                            "affaire")),
            Map.entry("contact", List.of("contact", "contact e-mail", "contact email", "main contact", "kontakt")),
            Map.entry(
                    "line.description",
                    List.of(
                            "line",
                            "description",
                            "product",
                            "item",
                            "article",
                            "artikel",
                            "produkt",
                            "beschreibung",
                            "produit")),
            Map.entry("line.quantity", List.of("quantity", "qty", "menge", "anzahl", "quantité")),
            Map.entry("line.unit", List.of("unit", "einheit", "unité")),
            Map.entry("line.price", List.of("price", "unit price", "preis", "einzelpreis", "prix")),
            Map.entry("line.discount", List.of("discount", "rabatt", "remise")),
            Map.entry("line.tax", List.of("tax", "vat", "steuer", "mwst", "tva")),
            Map.entry("line.note", List.of("line note", "remark", "note", "bemerkung", "remarque")));

    private static final Map<String, List<String>> FOLDED = folded();

    private ColumnNames() {}

    private static Map<String, List<String>> folded() {
        Map<String, List<String>> folded = new HashMap<>();
        OF.forEach((word, names) ->
                folded.put(word, names.stream().map(ColumnNames::fold).toList()));
        return folded;
    }

    /** A heading without case, accents, and whatever parts its words. */
    static String fold(String heading) {
        return BETWEEN.matcher(SearchText.folded(heading)).replaceAll(" ").strip();
    }

    /** How well a folded heading names a target: 0 not at all, else the better the higher. */
    static int fits(String folded, String word) {
        int at = FOLDED.getOrDefault(word, List.of()).indexOf(folded);
        return at < 0 ? 0 : 100 - at;
    }
}
