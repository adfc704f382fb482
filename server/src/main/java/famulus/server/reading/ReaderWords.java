package famulus.server.reading;

import java.util.Map;

/**
 * What the page says on which readers choose what they get, in their language; {@code %s} is the company, unless it is said
 * otherwise.
 *
 * @param only where the page is opened by one that several people read at, what is asked; {@code %d} is how many they are
 * @param stopTopic {@code %s} is the topic
 */
record ReaderWords(
        String language,
        String title,
        String intro,
        String none,
        String topics,
        String pace,
        String any,
        String weekly,
        String monthly,
        String quarterly,
        String save,
        String stopTopic,
        String stopAll,
        String again,
        String saved,
        String undo,
        String undone,
        String only,
        String everyone,
        String justOne,
        String gone) {
    private static final ReaderWords ENGLISH = new ReaderWords(
            "en",
            "E-mails from %s",
            "Choose what you get of the e-mails that %s sends to several people at once. Messages written to you personally may"
                    + " still come.",
            "You will get no more group e-mails from %s. Messages written to you personally may still come.",
            "You want e-mails about",
            "How often at most",
            "as often as they come",
            "once a week",
            "once a month",
            "every three months",
            "Save",
            "Stop e-mails about “%s”",
            "Unsubscribe",
            "Resubscribe",
            "Saved.",
            "Undo",
            "It is as it was before.",
            "%d people get e-mails at this address. What you choose is for",
            "everyone at this address",
            "only the person this e-mail was written to",
            "%s has no record of you any more. You get no group e-mails from it.");

    private static final Map<String, ReaderWords> BY_LANGUAGE = Map.of(
            "de",
            new ReaderWords(
                    "de",
                    "E-Mails von %s",
                    "Wählen Sie, was Sie von den E-Mails bekommen, die %s an mehrere auf einmal schickt. Eine Nachricht, die Ihnen"
                            + " allein gilt, kann weiterhin kommen.",
                    "Sie bekommen keine E-Mails mehr, die %s an mehrere auf einmal schickt. Eine Nachricht, die Ihnen allein"
                            + " gilt, kann weiterhin kommen.",
                    "Sie möchten E-Mails über",
                    "Höchstens",
                    "so oft, wie sie kommen",
                    "einmal in der Woche",
                    "einmal im Monat",
                    "einmal im Vierteljahr",
                    "Speichern",
                    "Keine E-Mails mehr über „%s“",
                    "Alle abbestellen",
                    "Wieder bestellen",
                    "Gespeichert.",
                    "Rückgängig machen",
                    "Alles ist wie vorher.",
                    "Unter dieser Adresse bekommen %d Personen E-Mails. Ihre Wahl gilt für",
                    "alle unter dieser Adresse",
                    "nur die Person, an die diese E-Mail ging",
                    "%s hat keine Angaben mehr von Ihnen. Sie bekommen keine E-Mails, die an mehrere gehen."),
            "fr",
            new ReaderWords(
                    "fr",
                    "E-mails de %s",
                    "Choisissez ce que vous recevez des e-mails que %s envoie à plusieurs personnes à la fois. Un message qui"
                            + " s’adresse à vous seul peut encore venir.",
                    "Vous ne recevrez plus les e-mails que %s envoie à plusieurs personnes à la fois. Un message qui s’adresse à"
                            + " vous seul peut encore venir.",
                    "Vous voulez des e-mails sur",
                    "Au plus",
                    "aussi souvent qu’ils viennent",
                    "un par semaine",
                    "un par mois",
                    "un par trimestre",
                    "Enregistrer",
                    "Ne plus rien recevoir sur « %s »",
                    "Se désabonner de tout",
                    "Se réabonner",
                    "C’est enregistré.",
                    "Annuler",
                    "Tout est comme avant.",
                    "%d personnes reçoivent des e-mails à cette adresse. Votre choix vaut pour",
                    "tous à cette adresse",
                    "seulement la personne à qui cet e-mail était adressé",
                    "%s n’a plus aucune donnée sur vous. Vous ne recevez pas d’e-mails envoyés à plusieurs personnes."));

    /** Those of a language, by ISO 639; English for one that has none. */
    static ReaderWords in(String language) {
        return BY_LANGUAGE.getOrDefault(language, ENGLISH);
    }
}
