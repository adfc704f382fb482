/**
 * Values and their names: the types a field can have, the catalogue of fields, and the paths that lead to them.
 *
 * <pre>{@code
 * catalogue.resolve(Path.of("deal.organisation.name"), About.DEAL);   // the organisation's name, a text
 * catalogue.reachable(About.LEAD);                                    // every path a template about a lead can use
 * }</pre>
 *
 * Values are data: nothing in them is ever read as markup or as a field.
 */
package famulus.core.field;
