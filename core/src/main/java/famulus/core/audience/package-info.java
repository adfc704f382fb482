/**
 * Who gets a message, and who does not. {@link famulus.core.audience.DoNotEmail} reads what stands in a company's do-not-email
 * list, and says under which entries an address would be found there.
 *
 * <pre>{@code
 * DoNotEmail entry = DoNotEmail.read("@larkfield.example").entry().orElseThrow();
 * boolean stopped = DoNotEmail.keys("ines@farm.larkfield.example").contains(entry.key());
 * }</pre>
 *
 * <p>Nothing here knows where the list is kept: whoever sends looks an address up by its keys, whatever the list's length.
 */
package famulus.core.audience;
