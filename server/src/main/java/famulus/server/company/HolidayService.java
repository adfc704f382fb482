package famulus.server.company;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import famulus.core.calendar.HolidayRule;
import famulus.core.calendar.WorkingDays;
import famulus.core.record.PlainLine;
import famulus.server.platform.Refusal;
import famulus.server.platform.Revisions;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.beans.factory.InitializingBean;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** On which days nobody works, by country: at first as shipped in {@code holidays.csv}, then as the house changes it. */
@Service
public class HolidayService implements InitializingBean {
    private static final String COUNTED = "holidays";
    private static final int MOST = 60;

    private final HolidayMapper mapper;
    private final Revisions revisions;
    private final TransactionTemplate transactions;
    private final Supplier<Map<String, WorkingDays>> workingDays;

    HolidayService(HolidayMapper mapper, Revisions revisions, TransactionTemplate transactions) {
        this.mapper = mapper;
        this.revisions = revisions;
        this.transactions = transactions;
        this.workingDays = revisions.keep(COUNTED, this::read);
    }

    /**
     * A holiday of a country.
     *
     * @param rule on which day it falls, in the written form of {@link HolidayRule}
     */
    public record Holiday(String name, String rule) {}

    /** Fills an empty table with the holidays that ship. */
    @Override
    public void afterPropertiesSet() {
        transactions.executeWithoutResult(status -> {
            if (mapper.count() == 0) {
                shipped().forEach(this::insert);
            }
        });
    }

    /** The working days of a country; for one without holidays, all days but weekends. */
    public WorkingDays of(String country) {
        return workingDays.get().getOrDefault(country, WorkingDays.PLAIN);
    }

    /** Every country's holidays, in the order of the page. */
    public Map<String, List<Holiday>> all() {
        return mapper.all().stream()
                .collect(Collectors.groupingBy(
                        HolidayMapper.HolidayRow::country,
                        LinkedHashMap::new,
                        Collectors.mapping(row -> new Holiday(row.name(), row.rule()), Collectors.toList())));
    }

    /** Takes the place of a country's holidays; refused, with the line, when a rule can't be read. */
    @Transactional
    public void change(String country, List<Holiday> holidays) {
        Map<String, String> wrong = new LinkedHashMap<>();
        if (!country.matches("[A-Z]{2}")) {
            wrong.put("country", "A country has two letters, such as GB.");
        }
        if (holidays.size() > MOST) {
            wrong.put("holidays", "A country has at most " + MOST + " holidays here.");
        }
        for (int i = 0; i < holidays.size(); i++) {
            String line = "holidays." + i;
            PlainLine.refusal(holidays.get(i).name(), 80, true)
                    .ifPresent(sentence -> wrong.put(line + ".name", sentence));
            if (HolidayRule.read(holidays.get(i).rule()).isEmpty()) {
                wrong.put(
                        line + ".rule",
                        "This is not a date. Write it as 12-25, easter+1, first monday may or 2027-06-21.");
            }
        }
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
        mapper.clear(country);
        insert(country, holidays);
        revisions.changed(COUNTED);
    }

    /** Puts a country's holidays back as they ship. */
    @Transactional
    public void reset(String country) {
        mapper.clear(country);
        insert(country, shipped().getOrDefault(country, List.of()));
        revisions.changed(COUNTED);
    }

    private void insert(String country, List<Holiday> holidays) {
        int position = 1;
        for (Holiday holiday : holidays) {
            mapper.insert(new HolidayMapper.HolidayRow(
                    country, position++, holiday.name().strip(), holiday.rule().strip()));
        }
    }

    private Map<String, WorkingDays> read() {
        return all().entrySet().stream()
                .collect(
                        Collectors.toMap(
                                Map.Entry::getKey,
                                country -> new WorkingDays(country.getValue().stream()
                                        .flatMap(one -> HolidayRule.read(one.rule())
                                                .map(rule -> new WorkingDays.Holiday(one.name(), rule))
                                                .stream())
                                        .toList())));
    }

    private static Map<String, List<Holiday>> shipped() {
        try (CsvReader<NamedCsvRecord> csv = CsvReader.builder()
                .ofNamedCsvRecord(new ClassPathResource("holidays.csv").getContentAsString(StandardCharsets.UTF_8))) {
            return csv.stream()
                    .collect(Collectors.groupingBy(
                            line -> line.getField("country"),
                            LinkedHashMap::new,
                            Collectors.mapping(
                                    line -> new Holiday(line.getField("name"), line.getField("rule")),
                                    Collectors.toList())));
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
