package famulus.server.demo;

import famulus.core.message.render.ItemSums;
import famulus.server.demo.Names.Land;
import famulus.server.records.CrmKind;
import famulus.server.records.DealService;
import famulus.server.records.DealService.DealLine;
import famulus.server.records.DealService.DocumentState;
import famulus.server.records.HistoryService;
import famulus.server.records.HistoryService.EntryKind;
import famulus.server.records.PersonAddress;
import famulus.server.records.RecordService;
import famulus.server.team.Colleague;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.text.Normalizer;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;

/** Makes the growers, the people there, the leads and the deals; uneven on purpose, as real records are. */
final class DemoRecords {
    private static final int CONTACTS = 240;
    private static final int LEADS = 110;
    private static final int DEALS = 140;
    private static final List<String> STAGES = List.of(
            "enquiry", "site_visit", "quoted", "quoted", "agreed", "agreed", "placed", "placed", "placed", "lost");

    private static final List<String> PERMISSIONS =
            List.of("signed up at our open day", "asked for it on the telephone", "ticked it when they booked hives");

    private final RecordService records;
    private final DealService deals;
    private final HistoryService history;
    private final DemoTeam team;
    private final Seeded chance;
    private final Instant now;
    private final LocalDate today;
    private final List<Farm> farms = new ArrayList<>();
    private final Set<String> emails = new HashSet<>();
    /** Names that have been given, so that no two growers share theirs. */
    private final Set<String> names = new HashSet<>();

    private final List<Grower> growers = new ArrayList<>();

    /** An organisation as it was made. */
    record Farm(UUID id, String name, String domain, Land land, Colleague owner) {}

    /** A contact as it was made. */
    record Grower(UUID id, Farm farm, String orchard, String crop, String name) {}

    /** A deal as it was made. */
    record Placement(UUID id, Grower main, String stage, int daysOld) {}

    DemoRecords(
            RecordService records,
            DealService deals,
            HistoryService history,
            DemoTeam team,
            Seeded chance,
            Instant now) {
        this.records = records;
        this.deals = deals;
        this.history = history;
        this.team = team;
        this.chance = chance;
        this.now = now;
        this.today = now.atZone(DemoTeam.HOUSE.zone()).toLocalDate();
    }

    List<Placement> make() {
        List.of(Names.BRITISH, Names.GERMAN, Names.FRENCH, Names.CANADIAN, Names.GREEK)
                .forEach(land -> land.farms().forEach(name -> farm(name, land)));
        ines();
        while (growers.size() < CONTACTS) {
            grower(farms.get(growers.size() % farms.size()));
        }
        IntStream.range(0, LEADS).forEach(this::lead);
        List<Placement> placements = new ArrayList<>();
        placements.add(placement(growers.get(0), "agreed", 14));
        placements.add(placement(growers.get(0), "quoted", 12));
        while (placements.size() < DEALS) {
            int at = placements.size();
            placements.add(placement(
                    growers.get(chance.between(1, growers.size() - 1)),
                    STAGES.get(at % STAGES.size()),
                    chance.between(2, 420)));
        }
        return placements;
    }

    List<Grower> growers() {
        return growers;
    }

    private void farm(String name, Land land) {
        UUID id = chance.id();
        Colleague owner = land == Names.BRITISH ? (chance.inHundred(70) ? team.signe() : team.dov()) : team.dov();
        Map<String, String> facts = new HashMap<>();
        boolean shouted = chance.inHundred(5);
        facts.put("name", shouted ? name.toUpperCase(Locale.ROOT) + " LTD" : name);
        facts.put("town", chance.one(land.towns()));
        facts.put(
                "street",
                chance.between(1, 90) + " "
                        + chance.one(List.of("Mill Lane", "Church Row", "Skep Street", "Fold Road")));
        facts.put("country", land.country());
        facts.put("owner", owner.id().toString());
        String domain = slug(name.split(" ")[0].length() > 4 ? name.split(" ")[0] : name) + ".example";
        facts.put("website", "https://" + domain);
        records.keep(CrmKind.ORGANISATION, id, ago(chance.between(300, 900)), facts, List.of());
        farms.add(new Farm(id, facts.get("name"), domain, land, owner));
    }

    /** The grower whose page is shown first: two open deals, no title. */
    private void ines() {
        Map<String, String> facts = new HashMap<>(Map.of(
                "first_name",
                "Ines",
                "last_name",
                "Okafor-Brandt",
                "job_title",
                "orchard manager",
                "phone",
                "+441632960187",
                "language",
                "en",
                "time_zone",
                "Europe/London",
                "orchard_name",
                "Larkfield East",
                "crop",
                "apple",
                "variety_mix",
                "Cox and Bramley",
                "hectares",
                "36.5"));
        facts.put("water_on_site", "no");
        facts.put("blossom_starts", today.plusDays(14).toString());
        contact(farms.getFirst(), facts, "ines@larkfield.example");
    }

    private void grower(Farm farm) {
        Map<String, String> facts = new HashMap<>();
        String first = chance.one(farm.land().first());
        String last = chance.one(farm.land().last());
        int at = growers.size();
        if (at == 7) {
            last = "Featherstonehaugh-Winterbourne-Delacroix";
        } else if (at == 11) {
            first = "יעל";
            last = "בן־דרור";
        } else if (at == 15) {
            first = "maeve";
            last = "O'DELL";
        } else if (at == 23) {
            last = last + " ";
        }
        for (int more = 0;
                !names.add(first + " " + last) && more < farm.land().first().size();
                more++) {
            List<String> others = farm.land().first();
            first = others.get((others.indexOf(first) + 1) % others.size());
        }
        if (!chance.inHundred(8)) {
            facts.put("first_name", first);
        }
        facts.put("last_name", last);
        if (chance.inHundred(35)) {
            facts.put("title", Names.title(chance.one(titles(farm.land())), first));
        }
        facts.put("job_title", chance.one(Names.JOBS));
        if (!chance.inHundred(20)) {
            facts.put("phone", farm.land().prefix() + String.format(Locale.ROOT, "%03d", chance.between(0, 999)));
        }
        facts.put("language", farm.land().language());
        // Of every third it is known how they agreed to be written to.
        if (at % 3 == 0) {
            facts.put("permission", PERMISSIONS.get(at % PERMISSIONS.size()));
            facts.put("permission_on", today.minusDays(40 + 7L * (at % 60)).toString());
        }
        facts.put("time_zone", farm.land().zone());
        if (at % 9 == 4) {
            facts.put("formality", at % 2 == 0 ? "familiar" : "formal");
        }
        orchard(farm, facts);
        String email = slug(first.isEmpty() || at == 11 ? "yael" : first) + "." + slug(at == 11 ? "ben" : last) + "@"
                + farm.domain();
        boolean shared = at == 18 || at == 18 + farms.size();
        contact(farm, facts, shared ? "kitchen.table@" + farm.domain() : chance.inHundred(4) ? "" : email);
    }

    private void orchard(Farm farm, Map<String, String> facts) {
        facts.put(
                "orchard_name", chance.inHundred(88) ? farm.name().split(" ")[0] + " " + chance.one(Names.BLOCKS) : "");
        facts.put("crop", chance.one(DemoFields.CROPS));
        facts.put(
                "hectares",
                BigDecimal.valueOf(chance.between(8, 1200), 1)
                        .stripTrailingZeros()
                        .toPlainString());
        if (chance.inHundred(82)) {
            String varieties = chance.one(List.of(
                    "Cox and Bramley",
                    "Discovery",
                    "Conference",
                    "Stella and Kordia",
                    "Gala, Braeburn and Fuji",
                    "Bluecrop",
                    "Nonpareil",
                    "winter rape"));
            facts.put("variety_mix", chance.inHundred(4) ? varieties.toUpperCase(Locale.ROOT) : varieties);
        }
        if (chance.inHundred(90)) {
            facts.put("blossom_starts", today.plusDays(chance.between(-30, 80)).toString());
        }
        if (chance.inHundred(85)) {
            facts.put("water_on_site", chance.inHundred(60) ? "yes" : "no");
        }
        if (chance.inHundred(40)) {
            facts.put(
                    "access_notes",
                    chance.one(List.of(
                            "through the yard, mind the dog",
                            "second gate, code at the office",
                            "by the bridge only when dry",
                            "call half an hour before")));
        }
    }

    private void contact(Farm farm, Map<String, String> facts, String email) {
        UUID id = chance.id();
        facts.put("organisation", farm.id().toString());
        facts.put("owner", farm.owner().id().toString());
        List<PersonAddress> addresses = new ArrayList<>();
        if (!email.isEmpty()) {
            addresses.add(new PersonAddress(chance.id(), unused(email), ""));
            if (chance.inHundred(15)) {
                addresses.add(new PersonAddress(chance.id(), "office@" + farm.domain(), "farm office"));
            }
        }
        facts.values().removeIf(String::isEmpty);
        records.keep(CrmKind.CONTACT, id, ago(chance.between(60, 800)), facts, addresses);
        String orchard = facts.getOrDefault("orchard_name", farm.name());
        String name = (facts.getOrDefault("first_name", "") + " " + facts.get("last_name")).strip();
        growers.add(new Grower(id, farm, orchard, facts.get("crop"), name));
        if (growers.size() == 1) {
            said(id, EntryKind.CALL, 25, 12, "Wants hives two days before full blossom.", team.signe());
            said(id, EntryKind.ANSWERED_ELSEWHERE, 9, 0, "Came by at the fair: Thursday suits her.", team.signe());
        } else if (chance.inHundred(20)) {
            said(
                    id,
                    EntryKind.CALL,
                    chance.between(3, 200),
                    chance.between(2, 25),
                    chance.one(List.of(
                            "Asks for an early slot.",
                            "Will talk to the agronomist first.",
                            "Happy with last year.",
                            "Wants stronger hives this time.")),
                    farm.owner());
        }
    }

    /** Two of one name have two addresses; only the kitchen table is shared. */
    private String unused(String email) {
        String free = email;
        for (int turn = 2; !email.startsWith("kitchen.table") && !emails.add(free); turn++) {
            free = email.replace("@", turn + "@");
        }
        return free;
    }

    private void said(UUID contact, EntryKind kind, int daysAgo, int minutes, String words, Colleague by) {
        history.keep(chance.id(), CrmKind.CONTACT, contact, kind, ago(daysAgo), minutes, words, by.id());
    }

    private void lead(int at) {
        Land land = at % 5 == 0 ? Names.GERMAN : at % 7 == 0 ? Names.FRENCH : Names.BRITISH;
        Map<String, String> facts = new HashMap<>();
        String first = chance.one(land.first());
        String last = chance.one(land.last());
        if (!chance.inHundred(18)) {
            facts.put("first_name", chance.inHundred(6) ? first.toLowerCase(Locale.ROOT) : first);
        }
        facts.put("last_name", last);
        String company = last + " " + chance.one(List.of("Farm", "Fruit", "Orchards", "& Daughters", "Estate"));
        if (!chance.inHundred(15)) {
            facts.put("company", company);
        }
        facts.put("language", land.language());
        facts.put("time_zone", land.zone());
        facts.put("source", chance.one(List.of("fair", "web", "web", "recommended", "other")));
        facts.put("state", chance.one(List.of("new", "new", "talking", "promising", "dropped")));
        facts.put("crop", chance.one(DemoFields.CROPS));
        if (chance.inHundred(60)) {
            facts.put("hectares", Integer.toString(chance.between(2, 80)));
        }
        if (chance.inHundred(55)) {
            facts.put("phone", land.prefix() + String.format(Locale.ROOT, "%03d", chance.between(0, 999)));
        }
        facts.put(
                "owner", (chance.inHundred(50) ? team.signe() : team.dov()).id().toString());
        String email =
                slug(first) + "@" + slug(last) + "-" + chance.one(List.of("farm", "fruit", "growers")) + ".example";
        List<PersonAddress> addresses =
                chance.inHundred(6) ? List.of() : List.of(new PersonAddress(chance.id(), email, ""));
        records.keep(CrmKind.LEAD, chance.id(), ago(chance.between(1, 150)), facts, addresses);
    }

    private Placement placement(Grower grower, String stage, int daysOld) {
        UUID id = chance.id();
        boolean first = daysOld == 14 && stage.equals("agreed");
        boolean past = stage.equals("placed");
        List<DealLine> lines = lines(grower, first);
        int hives = lines.stream().mapToInt(line -> line.quantity().intValue()).sum();
        BigDecimal total =
                ItemSums.of(lines.stream().map(DealLine::item).toList(), "GBP").net();
        LocalDate place = past
                ? today.minusDays(chance.between(30, Math.max(31, daysOld)))
                : today.plusDays(chance.between(9, 70));
        Map<String, String> facts = new HashMap<>();
        facts.put("name", grower.orchard() + ", " + hives + " hives");
        facts.put("organisation", grower.farm().id().toString());
        facts.put("owner", grower.farm().owner().id().toString());
        facts.put("stage", stage);
        facts.put("value", total.setScale(2, RoundingMode.HALF_UP) + " GBP");
        facts.put(
                "closes_on",
                today.plusDays(past ? -chance.between(60, 200) : chance.between(3, 40))
                        .toString());
        facts.put("hive_count", Integer.toString(hives));
        facts.put("hive_strength", chance.one(DemoFields.STRENGTHS));
        if (!stage.equals("enquiry") || chance.inHundred(30)) {
            facts.put("placement_date", (first ? today.plusDays(17) : place).toString());
            facts.put("pick_up_date", place.plusDays(chance.between(18, 30)).toString());
        }
        if (!chance.inHundred(20)) {
            facts.put("deposit", total.multiply(new BigDecimal("0.2")).setScale(2, RoundingMode.HALF_UP) + " GBP");
        }
        if (chance.inHundred(60)) {
            facts.put("spraying_contact", chance.one(growers).name());
        }
        records.keep(CrmKind.DEAL, id, ago(daysOld), facts, List.of());
        deals.keep(
                id,
                IntStream.range(0, lines.size()).mapToObj(any -> chance.id()).toList(),
                lines);
        contacts(id, grower, first);
        documents(id, grower, stage, daysOld);
        return new Placement(id, grower, stage, daysOld);
    }

    private List<DealLine> lines(Grower grower, boolean first) {
        if (first) {
            return List.of(line("Larkfield East, apple", 48, 4, "50.00", 0));
        }
        return IntStream.range(0, chance.between(1, 3))
                .mapToObj(any -> line(
                        chance.one(Names.BLOCKS) + ", " + grower.crop().replace('_', ' '),
                        chance.between(2, 20) * 2,
                        chance.between(2, 5),
                        BigDecimal.valueOf(chance.between(80, 150) * 25L, 2).toPlainString(),
                        chance.inHundred(15) ? 5 : 0))
                .toList();
    }

    /** Hives for some weeks, at a rate for one hive and week. */
    private static DealLine line(String where, int hives, int weeks, String rate, int discount) {
        return new DealLine(
                where,
                BigDecimal.valueOf(hives),
                "hives",
                new BigDecimal(rate).multiply(BigDecimal.valueOf(weeks)),
                BigDecimal.valueOf(discount),
                BigDecimal.valueOf(20),
                weeks + " weeks at " + rate);
    }

    private void contacts(UUID deal, Grower grower, boolean always) {
        if (!always && chance.inHundred(4)) {
            return;
        }
        deals.contact(deal, grower.id(), "decides", true);
        growers.stream()
                .filter(other -> other.farm() == grower.farm() && other != grower)
                .findFirst()
                .ifPresent(other ->
                        deals.contact(deal, other.id(), chance.one(List.of("spraying", "invoices", "gate")), false));
    }

    private void documents(UUID deal, Grower grower, String stage, int daysOld) {
        if (stage.equals("enquiry") || stage.equals("site_visit")) {
            return;
        }
        LocalDate sent = today.minusDays(Math.max(1, daysOld - 2));
        deals.keep(
                chance.id(),
                deal,
                "Quote, " + grower.orchard(),
                "https://" + DemoTeam.HOUSE.domain() + "/papers/" + deal,
                DocumentState.SENT,
                sent);
        if (stage.equals("agreed") || stage.equals("placed")) {
            deals.keep(
                    chance.id(),
                    deal,
                    "Placement agreement, " + grower.orchard(),
                    "",
                    chance.inHundred(80) ? DocumentState.SIGNED : DocumentState.SENT,
                    sent.plusDays(1));
        }
    }

    /** A moment of a working day so many days ago. */
    Instant ago(int days) {
        return now.minus(Duration.ofDays(days)).minus(Duration.ofMinutes(chance.between(0, 300)));
    }

    private static List<String> titles(Land land) {
        return switch (land.language()) {
            case "de" -> List.of("Herr", "Frau", "Frau Dr.");
            case "fr" -> List.of("Monsieur", "Madame");
            default -> List.of("Mr", "Ms", "Dr", "Mrs");
        };
    }

    /** Letters and digits of ASCII, as a mailbox or host is called. */
    static String slug(String name) {
        return Normalizer.normalize(name.replace("ß", "ss"), Normalizer.Form.NFD)
                .replaceAll("[^A-Za-z0-9]+", "")
                .toLowerCase(Locale.ROOT);
    }
}
