package famulus.server.library;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.message.body.Mode;
import famulus.core.search.HitLine;
import famulus.server.folders.FolderRights;
import famulus.server.library.TemplateLines.Stage;
import famulus.server.library.TemplateLines.TemplateLine;
import famulus.server.library.TemplateMapper.FoundWords;
import famulus.server.library.TemplateMapper.TemplateRow;
import famulus.server.team.Colleague;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Reads rows of the database as lines of the library. What all lines need is given once. */
record LineReader(FieldCatalogue fields, ZoneId zone, Colleague asking) {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM", Locale.ENGLISH);

    /** A line of which nothing was looked for. */
    TemplateLine line(TemplateRow row) {
        return line(row, null, List.of());
    }

    /**
     * A line.
     *
     * @param words what the template says; null where nothing was looked for in it
     * @param typed the words that were looked for
     */
    TemplateLine line(TemplateRow row, FoundWords words, List<String> typed) {
        About about = About.valueOf(row.about());
        return new TemplateLine(
                row.id(),
                row.name(),
                row.purpose(),
                about,
                ListWords.subject(row.subject(), fields, about),
                row.ownerName(),
                row.changedAt(),
                Mode.valueOf(row.mode()),
                stage(row),
                row.used(),
                row.languages() == null
                        ? List.of()
                        : Stream.of(row.languages().split(","))
                                .map(code -> Locale.of(code).getDisplayLanguage(Locale.ENGLISH))
                                .toList(),
                TemplateRights.mayChange(
                        row.ownerId(), Optional.ofNullable(row.may()).map(FolderRights::right), asking),
                row.ownerId().equals(asking.id()),
                row.may() == null ? null : row.folder(),
                row.favourite(),
                row.tags() == null ? List.of() : List.of(row.tags().split(",")),
                row.lastUsedByMe(),
                hit(about, words, typed),
                why(row));
    }

    private static Stage stage(TemplateRow row) {
        if (row.readyVersion() == null) {
            return Stage.DRAFT;
        }
        return row.readyVersion() == row.version() ? Stage.READY : Stage.CHANGED;
    }

    /** The line of a template that has what was typed; empty where its name, folder or owner has it. */
    private List<HitLine.Part> hit(About about, FoundWords words, List<String> typed) {
        if (words == null) {
            return List.of();
        }
        String read = Stream.of(words.previewText(), words.body())
                .map(text -> ListWords.all(text, fields, about))
                .collect(Collectors.joining("\n"));
        return HitLine.of(read, typed);
    }

    private String why(TemplateRow row) {
        if (row.lastUsedByMe() != null) {
            return "used by you on "
                    + LocalDate.ofInstant(row.lastUsedByMe(), zone).format(DAY);
        }
        return row.used() > 0 ? "used " + row.used() + (row.used() == 1 ? " time" : " times") : "not used yet";
    }
}
