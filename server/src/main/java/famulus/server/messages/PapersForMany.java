package famulus.server.messages;

import famulus.core.audience.Audience;
import famulus.core.audience.Candidate;
import famulus.core.departure.Leaving;
import famulus.core.message.body.Mode;
import famulus.core.message.render.Paper;
import famulus.core.proof.Note;
import famulus.server.lists.ChosenRecords.ListSelection;
import famulus.server.messages.AudienceService.Meant;
import famulus.server.messages.MessageDraftService.Beginning;
import famulus.server.messages.MessageDraftService.MessageDraft;
import famulus.server.paper.PaperService;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import famulus.server.team.Colleague;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Puts a template on paper for each of those who are chosen in a list. Whether they have an address does not matter. */
@Service
public class PapersForMany {
    /** So many papers are made at once at most. */
    static final int MOST = 100;

    private static final int NAMED = 3;

    private final AudienceService audiences;
    private final MessageDraftService drafts;
    private final DepartureService departures;
    private final PaperService papers;

    PapersForMany(
            AudienceService audiences, MessageDraftService drafts, DepartureService departures, PaperService papers) {
        this.audiences = audiences;
        this.drafts = drafts;
        this.departures = departures;
        this.papers = papers;
    }

    /** A paper; {@code name} is whom it is for. */
    public record Made(String name, byte[] pdf) {}

    /**
     * Makes a paper for each; refused while anything stops the words of one from leaving, with the names of whom it is about.
     *
     * @param size empty for what people print on where each reader is
     */
    public List<Made> make(ListSelection choice, UUID template, Optional<Paper.Size> size, Colleague by) {
        List<Candidate> whom = whom(choice, by);
        List<Made> made = new ArrayList<>();
        List<String> stopped = new ArrayList<>();
        for (Candidate one : whom) {
            MessageDraft draft = read(one, choice.kind(), template, by);
            Optional<Note> stop = departures.stops(Leaving.SEND, draft).stream().findFirst();
            stop.ifPresent(note -> stopped.add(one.name() + ": " + note.title() + "."));
            if (stop.isEmpty()) {
                made.add(new Made(one.name(), papers.pdf(draft.proof(), size, false)));
            }
        }
        if (!stopped.isEmpty()) {
            throw Refusal.because(
                    "stopped",
                    "Not ready for %d of %d. %s%s"
                            .formatted(
                                    stopped.size(),
                                    whom.size(),
                                    String.join(" ", stopped.subList(0, Math.min(NAMED, stopped.size()))),
                                    stopped.size() > NAMED ? " …" : ""));
        }
        return made;
    }

    private List<Candidate> whom(ListSelection choice, Colleague by) {
        Meant meant = new Meant(choice, null, 0, null, List.of());
        Audience audience = audiences.audience(meant, by);
        List<Candidate> all = Stream.concat(
                        audience.in().stream(), audience.out().stream().map(one -> one.candidate()))
                .sorted(Comparator.comparing(Candidate::name).thenComparing(Candidate::key))
                .toList();
        all.stream().filter(one -> one.person().isEmpty()).findFirst().ifPresent(one -> {
            throw Refusal.because("nobody", "“" + one.name() + "” has no main contact to print it for.");
        });
        if (all.size() > MOST) {
            throw Refusal.because("too-many", "These are " + all.size() + ". Choose " + MOST + " at most at once.");
        }
        return all;
    }

    private MessageDraft read(Candidate one, CrmKind chosen, UUID template, Colleague by) {
        For to = AudienceService.to(one, chosen);
        MessageDraft draft = drafts.begin(new Beginning(template, Mode.LETTER, to, null, Optional.empty()), by)
                .read();
        draft.template().ifPresent(from -> TemplateFit.mustFit(from, to));
        return draft;
    }
}
