/**
 * The house's own rules: the days on which nobody works, by country, and how people are greeted, by language. Everybody
 * may read them; editors and administrators change them.
 */
package famulus.server.company;
