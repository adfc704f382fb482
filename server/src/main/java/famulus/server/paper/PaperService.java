package famulus.server.paper;

import famulus.core.merge.PhoneFormats;
import famulus.core.message.body.Mode;
import famulus.core.message.render.Paper;
import famulus.server.desk.ProofService.Proof;
import famulus.server.desk.RenderingService;
import famulus.server.platform.Refusal;
import famulus.server.records.PeopleContext.Person;
import famulus.server.team.House;
import famulus.server.team.TeamService;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Puts a message that was merged for somebody on paper. */
@Service
public class PaperService {
    private final RenderingService renderings;
    private final TeamService team;
    private final PdfWriter pdfs;

    PaperService(RenderingService renderings, TeamService team, PdfWriter pdfs) {
        this.renderings = renderings;
        this.team = team;
        this.pdfs = pdfs;
    }

    /**
     * A letter or designed message as PDF; refused for one that is written in another way.
     *
     * @param size empty for what people print on where its reader is
     * @param marked whether missing values are shown, as on the desk; else nothing stands in their places
     */
    public byte[] pdf(Proof proof, Optional<Paper.Size> size, boolean marked) {
        Mode mode =
                proof.source().layout().map(layout -> layout.design().mode()).orElse(Mode.PLAIN);
        if (mode != Mode.LETTER && mode != Mode.DESIGNED) {
            throw Refusal.because(
                    "not-on-paper",
                    "Only letters and designed messages can be put on paper. Change how it is written.");
        }
        Person person = proof.person();
        House house = team.house();
        Paper paper = new Paper(
                size.orElseGet(() -> Paper.Size.usualIn(person.locale())),
                said(Stream.of(
                        house.name(),
                        house.street(),
                        (house.postcode() + " " + house.town()).strip(),
                        PhoneFormats.international(house.phone(), house.locale()),
                        house.website())),
                said(Stream.of(person.name(), person.company())),
                DateTimeFormatter.ofLocalizedDate(FormatStyle.LONG)
                        .withLocale(person.locale())
                        .format(ZonedDateTime.ofInstant(proof.at(), house.zone())));
        return pdfs.write(renderings.onPaper(proof, paper, marked).orElseThrow());
    }

    private static List<String> said(Stream<String> lines) {
        return lines.filter(line -> !line.isBlank()).toList();
    }
}
