/**
 * Makes of what comes from elsewhere what is kept here.
 *
 * <pre>{@code
 * Rebuilt rebuilt = HtmlToBlocks.rebuild("<h1>Spring</h1><p>Dear <b>{person.first_name}</b></p><hr>");
 * rebuilt.body();  // one band: a text with a heading and a paragraph, a rule
 * rebuilt.lost();  // nothing: all of it could be rebuilt
 * }</pre>
 */
package famulus.core.intake;
