package famulus.server.team;

import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldType;
import famulus.core.field.RecordKind;
import famulus.core.record.FieldInput;
import famulus.core.record.PlainLine;
import famulus.server.platform.CldrNames;
import famulus.server.platform.KeptPublicAddress;
import famulus.server.platform.PublicAddress;
import famulus.server.platform.Refusal;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Our company's name, address, phone and the like, and where readers reach us. */
@Service
public class CompanyDetailsService implements KeptPublicAddress {
    private static final int LONGEST_ADDRESS = 200;

    private final TeamMapper mapper;
    private final PublicAddress address;

    CompanyDetailsService(TeamMapper mapper, PublicAddress address) {
        this.mapper = mapper;
        this.address = address;
    }

    @Override
    public Optional<String> kept() {
        return mapper.publicAddress();
    }

    /** The details as they are; the public address that counts, wherever it is set. */
    public CompanyDetails details() {
        House house = house();
        return new CompanyDetails(
                house.name(),
                house.phone(),
                house.website(),
                house.street(),
                house.postcode(),
                house.town(),
                house.country(),
                house.language(),
                house.timeZone(),
                house.currency(),
                address.given().orElse(""));
    }

    private House house() {
        return mapper.house().orElseThrow(() -> Refusal.because("first-run", "Famulus has not been set up yet."));
    }

    /** Keeps details; refused as a whole with a sentence for each field that can't be so. */
    @Transactional
    public void keep(CompanyDetails typed) {
        Map<String, String> wrong = wrongPlace(typed.country(), typed.timeZone(), typed.currency());
        if (!CldrNames.languages().containsKey(String.valueOf(typed.language()))) {
            wrong.put("language", "Choose a language.");
        }
        PlainLine.refusal(typed.name(), 120, true).ifPresent(sentence -> wrong.put("name", sentence));
        PlainLine.refusal(typed.street(), 120, false).ifPresent(sentence -> wrong.put("street", sentence));
        PlainLine.refusal(typed.postcode(), 20, false).ifPresent(sentence -> wrong.put("postcode", sentence));
        PlainLine.refusal(typed.town(), 80, false).ifPresent(sentence -> wrong.put("town", sentence));
        FieldInput phone = read(FieldType.PHONE, 40, typed.phone(), typed);
        // Which country's number it is can't be told while there is none.
        phone.refusal()
                .filter(any -> !wrong.containsKey("country"))
                .ifPresent(sentence -> wrong.put("phone", sentence));
        FieldInput website = read(FieldType.LINK, 200, typed.website(), typed);
        website.refusal().ifPresent(sentence -> wrong.put("website", sentence));
        String readers = line(typed.publicAddress());
        if (!readers.isEmpty() && !address.fixed()) {
            PlainLine.refusal(readers, LONGEST_ADDRESS, false)
                    .or(() -> PublicAddress.refusal(readers))
                    .ifPresent(sentence -> wrong.put("publicAddress", sentence));
        }
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
        mapper.updateHouse(new House(
                line(typed.name()),
                house().domain(),
                phone.stored(),
                website.stored(),
                line(typed.street()),
                line(typed.postcode()),
                line(typed.town()),
                typed.country(),
                typed.language(),
                typed.timeZone(),
                typed.currency()));
        if (!address.fixed()) {
            mapper.keepPublicAddress(readers.isEmpty() ? null : readers);
        }
    }

    /** What is wrong with where a company is, by field; empty when nothing is. */
    static Map<String, String> wrongPlace(String country, String timeZone, String currency) {
        Map<String, String> wrong = new LinkedHashMap<>();
        check(wrong, "country", country, CldrNames.countries().keySet(), "Choose a country.");
        // Browsers name zones by older names too, and some places have none but UTC.
        check(wrong, "timeZone", timeZone, ZoneId.getAvailableZoneIds(), "Choose a time zone.");
        check(wrong, "currency", currency, CldrNames.currencies().keySet(), "Choose a currency.");
        return wrong;
    }

    private static void check(
            Map<String, String> wrong, String field, String code, Set<String> known, String sentence) {
        if (code == null || !known.contains(code)) {
            wrong.put(field, sentence);
        }
    }

    private static FieldInput read(FieldType type, int most, String text, CompanyDetails typed) {
        FieldDefinition field = FieldDefinition.plain(RecordKind.OUR_COMPANY, "detail", "Detail", type);
        String country = typed.country() == null ? "" : typed.country();
        return FieldInput.read(field, most, false, text, country, String.valueOf(typed.currency()));
    }

    private static String line(String text) {
        return text == null ? "" : text.strip();
    }
}
