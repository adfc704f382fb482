package famulus.server.records;

import famulus.core.salutation.Formality;
import famulus.core.salutation.Greeted;
import famulus.core.salutation.Salutations;
import famulus.server.team.TeamService;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.springframework.stereotype.Service;

/** Greets real people by rules that may not be kept yet: a few of each sort there is. */
@Service
class SalutationExamples {
    private static final int MOST = 12;
    private static final int READ = 400;

    private final SalutedMapper mapper;
    private final TeamService team;

    SalutationExamples(SalutedMapper mapper, TeamService team) {
        this.mapper = mapper;
        this.team = team;
    }

    /** Whoever may be greeted in a language. */
    @Mapper
    interface SalutedMapper {
        record SalutedRow(UUID id, String title, String firstName, String lastName, String formality, String country) {}

        @Select(
                """
                select p.id, coalesce(p.title, '') as title, coalesce(p.first_name, '') as first_name, p.last_name,
                       coalesce(p.formality, '') as formality, coalesce(o.country, '') as country
                from contact p
                left join organisation o on o.id = p.organisation_id
                where p.language = #{language} or p.language is null and #{language} = #{usual}
                order by p.id
                limit #{most}
                """)
        List<SalutedRow> people(
                @Param("language") String language, @Param("usual") String usual, @Param("most") int most);
    }

    /**
     * Somebody greeted.
     *
     * @param known what is known of them, such as {@code Ms, first name, formally}
     */
    record Example(UUID id, String name, String known, String salutation) {}

    List<Example> of(String language, Salutations rules) {
        String usual = team.house().language();
        Map<String, Example> bySort = new LinkedHashMap<>();
        for (SalutedMapper.SalutedRow row : mapper.people(language, usual, READ)) {
            bySort.putIfAbsent(known(row), example(row, language, rules));
        }
        return bySort.values().stream().limit(MOST).toList();
    }

    private static Example example(SalutedMapper.SalutedRow row, String language, Salutations rules) {
        Optional<Formality> formality = row.formality().isEmpty()
                ? Optional.empty()
                : Optional.of(row.formality().equals("formal") ? Formality.FORMAL : Formality.FAMILIAR);
        Greeted person = new Greeted(row.title(), row.firstName(), row.lastName(), formality);
        return new Example(
                row.id(),
                (row.firstName() + " " + row.lastName()).strip(),
                known(row),
                rules.of(Locale.of(language, row.country()), List.of(person)).orElse(""));
    }

    private static String known(SalutedMapper.SalutedRow row) {
        List<String> known = new ArrayList<>();
        known.add(row.title().isBlank() ? "no title" : row.title().strip());
        known.add(row.firstName().isBlank() ? "no first name" : "first name");
        if (!row.formality().isEmpty()) {
            known.add(row.formality().equals("formal") ? "formally" : "by first name");
        }
        return String.join(", ", known);
    }
}
