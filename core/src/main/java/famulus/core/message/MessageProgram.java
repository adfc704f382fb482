package famulus.core.message;

import famulus.core.field.MergeContext;
import famulus.core.field.Path;
import famulus.core.merge.Analyser;
import famulus.core.merge.Merger;
import famulus.core.merge.Place;
import famulus.core.merge.Program;
import famulus.core.syntax.Problem;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A message parsed for merging: immutable, merged as often as needed.
 *
 * @param subject the line in the inbox
 * @param previewText the grey text after it
 * @param body the message itself
 * @param around what stands around it
 * @param own its plain text, where that is kept by hand
 */
public record MessageProgram(
        Program subject, Program previewText, Program body, Optional<Program> around, Optional<Program> own) {

    /** One of the texts. */
    public Program program(MessagePart part) {
        return switch (part) {
            case SUBJECT -> subject;
            case PREVIEW_TEXT -> previewText;
            case BODY -> body;
        };
    }

    /** Every path that the texts name, each once. */
    public List<Path> paths() {
        return Stream.of(Stream.of(subject, previewText, body), around.stream(), own.stream())
                .flatMap(programs -> programs)
                .flatMap(program -> program.paths().stream())
                .distinct()
                .toList();
    }

    /** What is wrong with the three texts whoever they are for, by text. */
    public Map<MessagePart, List<Problem>> problems(Analyser analyser) {
        Map<MessagePart, List<Problem>> problems = new EnumMap<>(MessagePart.class);
        for (MessagePart part : MessagePart.values()) {
            problems.put(part, analyser.analyse(program(part)));
        }
        return problems;
    }

    /** Merges all texts for one person; subject and preview text stay one line whatever a value holds. */
    public MergedMessage merge(Merger merger, MergeContext context) {
        return new MergedMessage(
                merger.merge(subject, context, Place.HEADER),
                merger.merge(previewText, context, Place.HEADER),
                merger.merge(body, context, Place.BODY),
                around.map(one -> merger.merge(one, context, Place.BODY)),
                own.map(one -> merger.merge(one, context, Place.BODY)));
    }
}
