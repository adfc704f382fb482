/**
 * Who gets a message, and who does not. {@link famulus.core.audience.Audience} finds out which of several people get one that
 * goes to all of them, and says of each other one every reason why not; {@link famulus.core.audience.DoNotEmail} reads what
 * stands in a company's do-not-email list, and says under which entries an address would be found there.
 *
 * <pre>{@code
 * Audience audience = Audience.of(candidates, new AudienceRules(today, 7, false, Optional.empty(), Set.of()));
 * audience.out().forEach(one -> one.reasons().forEach(why -> told.accept(one.candidate().name(), why.sentence())));
 *
 * DoNotEmail entry = DoNotEmail.read("@larkfield.example").entry().orElseThrow();
 * boolean stopped = DoNotEmail.keys("ines@farm.larkfield.example").contains(entry.key());
 * }</pre>
 *
 * <p>Nothing here knows where lists and people are kept: whoever asks gathers what is known, and looks an address up by its keys,
 * whatever the list's length.
 */
package famulus.core.audience;
