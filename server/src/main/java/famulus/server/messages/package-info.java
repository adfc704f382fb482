/**
 * The message to one person, until it is bytes: merged from a template, looked at for what may not leave, and frozen. What
 * is frozen never changes again; the outbox takes it from here.
 *
 * <pre>
 *     MessageDraft test = drafts.test(template, to, asking);                    // merged, as it would leave
 *     FrozenMessage frozen = freezer.freeze(message, follows, asking);          // refused when something stops it
 * </pre>
 */
package famulus.server.messages;
