/**
 * One template to a list of people: chosen, looked through, tested, and sent message by message.
 *
 * <p>A {@link famulus.server.mailings.MailingPlan} is what stands on a mailing's page. Who gets it is asked of {@code core.audience}
 * whenever it matters; what stops it, of {@code core.departure}. Once it is started, each person has a row, from which their message
 * is made at the moment it leaves; the outbox sends it like any other, and tells what became of it.
 */
package famulus.server.mailings;
