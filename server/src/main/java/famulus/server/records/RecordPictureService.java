package famulus.server.records;

import famulus.core.message.body.RecordPortrait;
import famulus.server.materials.PictureService;
import famulus.server.platform.Events;
import famulus.server.platform.Refusal;
import famulus.server.records.PeopleContext.Person;
import famulus.server.records.RecordPictureMapper.RecordPictureRow;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import famulus.server.team.TeamService;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The pictures of records and colleagues: portraits, logos, that of a deal. Cards in messages can take them. */
@Service
public class RecordPictureService {
    private static final String COLLEAGUE = "colleague";

    private final RecordPictureMapper mapper;
    private final PictureService pictures;
    private final RecordService records;
    private final TeamService team;
    private final Events events;

    RecordPictureService(
            RecordPictureMapper mapper,
            PictureService pictures,
            RecordService records,
            TeamService team,
            Events events) {
        this.mapper = mapper;
        this.pictures = pictures;
        this.records = records;
        this.team = team;
        this.events = events;
    }

    /** The picture of a record, by identifier; empty for none. */
    Optional<UUID> of(CrmKind kind, UUID record) {
        return mapper.of(kind.word(), record);
    }

    /** The picture of a colleague. */
    Optional<UUID> of(UUID colleague) {
        return mapper.of(COLLEAGUE, colleague);
    }

    /** Gives a record a picture in the place of the one it had; refused when the file is none. */
    @Transactional
    public UUID put(CrmKind kind, UUID record, byte[] file, Colleague by) {
        UUID picture = put(kind.word(), record, records.get(kind, record).name(), file, by);
        events.tell("record", record.toString());
        return picture;
    }

    /** The same for a colleague: their own, or an administrator does it. */
    @Transactional
    public UUID put(UUID colleague, byte[] file, Colleague by) {
        return put(COLLEAGUE, colleague, mayChange(colleague, by).name(), file, by);
    }

    private Colleague mayChange(UUID colleague, Colleague by) {
        if (!colleague.equals(by.id())) {
            by.mustBe("Only an administrator changes the picture of somebody else.", Role.ADMINISTRATOR);
        }
        return team.find(colleague).orElseThrow(() -> Refusal.missing("This colleague"));
    }

    private UUID put(String kind, UUID record, String name, byte[] file, Colleague by) {
        UUID picture = pictures.addApart(name, file, by);
        Optional<UUID> before = mapper.of(kind, record);
        mapper.keep(kind, record, picture);
        before.ifPresent(pictures::deleteApart);
        return picture;
    }

    /** Takes the picture of a record away. */
    @Transactional
    public void remove(CrmKind kind, UUID record) {
        remove(kind.word(), record);
        events.tell("record", record.toString());
    }

    /** The same of a colleague. */
    @Transactional
    public void remove(UUID colleague, Colleague by) {
        mayChange(colleague, by);
        remove(COLLEAGUE, colleague);
    }

    private void remove(String kind, UUID record) {
        Optional<UUID> before = mapper.of(kind, record);
        mapper.forget(kind, record);
        before.ifPresent(pictures::deleteApart);
    }

    /** The pictures that a message to somebody can take, by whose they are. */
    public Map<RecordPortrait, String> around(Person person) {
        Map<RecordPortrait, UUID> wanted = new EnumMap<>(RecordPortrait.class);
        wanted.put(RecordPortrait.PERSON, person.id());
        wanted.put(RecordPortrait.SENDER, person.sender());
        person.owner().ifPresent(owner -> wanted.put(RecordPortrait.OWNER, owner));
        person.organisation().ifPresent(one -> wanted.put(RecordPortrait.ORGANISATION, one));
        person.deal().ifPresent(deal -> wanted.put(RecordPortrait.DEAL, deal));
        Map<UUID, UUID> found = mapper.all(List.copyOf(wanted.values())).stream()
                .collect(Collectors.toMap(RecordPictureRow::recordId, RecordPictureRow::pictureId));
        Map<RecordPortrait, String> around = new EnumMap<>(RecordPortrait.class);
        wanted.forEach((whose, record) -> {
            if (found.containsKey(record)) {
                around.put(whose, found.get(record).toString());
            }
        });
        return around;
    }
}
