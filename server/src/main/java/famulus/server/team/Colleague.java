package famulus.server.team;

import famulus.server.platform.Refusal;
import java.util.Arrays;
import java.util.UUID;

/**
 * Somebody who works with the application. As a parameter of a controller's method it is whoever asks, read afresh for
 * every request, so that a changed role counts at once.
 *
 * @param signature closing lines; empty when not written yet
 */
public record Colleague(
        UUID id,
        String email,
        String firstName,
        String lastName,
        Role role,
        String jobTitle,
        String phone,
        String signature,
        boolean active) {

    /** First and last name. */
    public String name() {
        return (firstName + " " + lastName).strip();
    }

    /** Whether this is one of the roles. */
    public boolean is(Role... roles) {
        return Arrays.asList(roles).contains(role);
    }

    /**
     * Lets only these roles pass.
     *
     * @throws Refusal saying {@code sentence}
     */
    public void mustBe(String sentence, Role... roles) {
        if (!is(roles)) {
            throw Refusal.forbidden(sentence);
        }
    }
}
