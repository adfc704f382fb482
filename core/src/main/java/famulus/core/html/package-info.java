/**
 * Brings HTML of any origin in: what its style sheets say is written into its elements, what mail programs or readers
 * would be harmed by is taken out and said, and what is left can be sent, or rebuilt as blocks.
 *
 * <pre>{@code
 * Cleaned cleaned = HtmlCleaner.clean("<style>b { color: red }</style><p onclick=x>Dear <b>{person.first_name}</b>");
 * cleaned.html();     // <p>Dear <b style="color:red">{person.first_name}</b></p>
 * cleaned.removed();  // 1 attribute that runs a script: onclick
 * }</pre>
 *
 * <p>Hard input is the usual case: unclosed tags, tables within tables, another program's leftovers. None of it throws.
 * Fields of the merge language stand as they are, in text and in the addresses of links and pictures.
 */
package famulus.core.html;
