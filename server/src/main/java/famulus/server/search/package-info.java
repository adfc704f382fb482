/**
 * Finds things by the words in them, however many things there are.
 *
 * <p>Whoever keeps a thing keeps its words with it, in the same transaction ({@link famulus.server.search.SearchIndex#keep}).
 * What is typed is found by how words begin, in any case, with or without accents, in any order:
 *
 * <pre>
 *     index.keep("contact", id, List.of("Zoë Kärcher", "Mill Lane Works"));
 *     index.find("contact", "karch zo", 100)      // has id
 * </pre>
 *
 * <p>Words are cut by {@link famulus.core.record.SearchText}. A search that fits very many things is not gathered: the
 * caller walks its own order and asks of each thing in passing, by the fragment {@code fits} in SearchMapper.xml.
 */
package famulus.server.search;
