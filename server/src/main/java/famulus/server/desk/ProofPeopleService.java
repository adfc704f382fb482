package famulus.server.desk;

import famulus.core.field.About;
import famulus.server.desk.ProofPeopleMapper.ProofPerson;
import famulus.server.platform.Refusal;
import famulus.server.platform.SearchWords;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Steps through the people a template could go to. */
@Service
class ProofPeopleService {
    private static final int MOST_FOUND = 12;

    private final ProofPeopleMapper mapper;

    ProofPeopleService(ProofPeopleMapper mapper) {
        this.mapper = mapper;
    }

    /** Whom one stepped to, and how many people there are. */
    record Stepped(ProofPerson person, int total) {}

    /**
     * Returns the next or previous person; past the last comes the first.
     *
     * @param from a person, or for templates about deals a deal; null for the first
     */
    Stepped step(About about, UUID from, boolean forward) {
        ProofPerson person = (from == null
                        ? java.util.Optional.<ProofPerson>empty()
                        : mapper.step(about.name(), from, forward))
                .or(() -> mapper.end(about.name(), forward))
                .orElseThrow(() -> Refusal.because(
                        "nobody", "There is nobody this template could go to yet. Add one under People."));
        return new Stepped(person, mapper.count(about.name()));
    }

    List<ProofPerson> find(About about, String search) {
        return mapper.find(about.name(), SearchWords.of(search), MOST_FOUND);
    }
}
