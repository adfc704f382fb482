package famulus.server.desk;

import famulus.core.field.FieldType;
import java.util.List;

/**
 * A field, a blank to write in or a mark of a choice in the draft.
 *
 * @param start where its written form begins in the draft, in UTF-16 units
 * @param label a field's label, a blank to write in's hint, or a condition as a sentence
 * @param source whose field it is: contact, lead, deal, organisation, user, our, history, document or date
 * @param fallback what is printed when the value is missing, in a few words; empty when there is nothing
 * @param choice for marks: which choice they belong to, counted from 0; else -1
 * @param taken for marks: whether the branch that begins here is the one the person gets
 */
public record Chip(
        int start,
        int end,
        Role role,
        String written,
        String label,
        String source,
        String fallback,
        boolean known,
        FieldType type,
        List<ShownTerm> terms,
        List<String> formats,
        int choice,
        boolean taken) {
    /** What a chip stands for: a field, a blank to write in, or one of the marks of a choice. */
    public enum Role {
        FIELD,
        WRITE_IN,
        WHEN,
        OTHERWISE,
        END
    }
}
