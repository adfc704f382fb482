/**
 * Reads what a message says as its reader would: in which language, where its sentences begin and end, which days it names.
 *
 * <pre>{@code
 * WrittenLanguage language = WrittenLanguage.of("We come on Friday, 8 May.", Locale.UK).orElseThrow();
 * WrittenDate day = WrittenDates.in("We come on Friday, 8 May.", language, Locale.UK).getFirst();
 * String meant = day.nearest(java.time.LocalDate.of(2026, 5, 4)).orElseThrow().toString(); // 2026-05-08
 * }</pre>
 *
 * <p>Words are kept by language in {@code words_*.properties}; a language without such a file is read by nobody. Nothing here
 * knows of templates, fields or notes.
 */
package famulus.core.prose;
