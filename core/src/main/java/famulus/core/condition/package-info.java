/**
 * Conditions: one language for choices in a text and for choosing records, with one meaning.
 *
 * <pre>{@code
 * Condition condition = ConditionParser.parse("deal.stage is \"Won\" and deal.value is more than 5000");
 * new Judge(reckoner, values).holds(condition);
 * condition.written();                              // the canonical written form
 * // What can't work, before any record is looked at:
 * new ConditionAnalyser(new PathReading(catalogue, about)).analyse(condition);
 * }</pre>
 *
 * What is missing equals nothing: every comparison with a missing value is false, and its opposite ({@code is not},
 * {@code is not one of}, {@code does not contain}) is true. Texts are compared without regard to case and to spaces at
 * their ends; accents count.
 */
package famulus.core.condition;
