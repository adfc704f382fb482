package famulus.server.demo;

import famulus.server.team.Colleague;
import famulus.server.team.House;
import famulus.server.team.Role;
import java.util.List;
import java.util.Locale;

/** The people of the made-up company. */
record DemoTeam(Colleague oriel, Colleague dov, Colleague signe, Colleague petra, Colleague amos) {
    static final House HOUSE = new House(
            "Brindlewing Pollination Services",
            "brindlewing.example",
            "+441632960100",
            "https://brindlewing.example",
            "2 Skep Lane",
            "HV4 7BW",
            "Harrow Vale",
            "GB",
            "en",
            "Europe/London",
            "GBP");

    static DemoTeam of(Seeded chance) {
        return new DemoTeam(
                colleague(chance, "Oriel", "Tamsin", Role.KEEPER, "Head of sales", "+441632960101"),
                colleague(
                        chance, "Dov", "Marchbanks", Role.AGENT, "Account manager, north and abroad", "+441632960102"),
                colleague(chance, "Signe", "Halloran", Role.AGENT, "Account manager", "+441632960114"),
                colleague(chance, "Petra", "Vance", Role.ASSISTANT, "Assistant to Dov and Signe", "+441632960103"),
                colleague(chance, "Amos", "Quill", Role.ADMINISTRATOR, "Office and systems", ""));
    }

    List<Colleague> all() {
        return List.of(oriel, dov, signe, petra, amos);
    }

    private static Colleague colleague(Seeded chance, String first, String last, Role role, String job, String phone) {
        String signature = first + " " + last + "\n" + job + ", " + HOUSE.name()
                + (phone.isEmpty() ? "" : "\n+44 1632 " + phone.substring(7));
        return new Colleague(
                chance.id(),
                first.toLowerCase(Locale.ROOT) + "@" + HOUSE.domain(),
                first,
                last,
                role,
                job,
                phone,
                signature,
                true);
    }
}
