/**
 * How what somebody typed fits the words of a text. Case and accents never matter.
 *
 * <pre>{@code
 * Optional<WordFit> fit = WordFit.of("liefertermin", "termin");     // a part of a compound
 * List<HitLine.Part> line = HitLine.of(text, List.of("gate"));      // the line that has it, with the place marked
 * }</pre>
 */
package famulus.core.search;
