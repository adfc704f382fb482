package famulus.core.audience;

import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;

/**
 * Somebody a message could go to, with what is known that could keep it from them.
 *
 * @param key what they were chosen as: the person, or the deal the message is about
 * @param person who it goes to; nobody where a deal has no main contact
 * @param name as they are called, or the deal where there is nobody
 * @param address where it goes; none where they have no address
 * @param about the deal it is about; messages about different deals may go to one address
 * @param doNotEmail why their address is never written to, in a sentence; empty where it may be
 * @param refused whether the last message to the address was refused
 * @param choice what they have chosen to get of messages that go to several at once
 * @param lastWritten the day somebody here wrote to them last
 * @param lastToSeveral the day they got the last message that went to several at once
 * @param onList why they are left out where somebody has left them out, such as a list they are on, in a sentence
 */
public record Candidate(
        UUID key,
        Optional<UUID> person,
        String name,
        Optional<String> address,
        Optional<UUID> about,
        Optional<String> doNotEmail,
        boolean refused,
        ReaderChoice choice,
        Optional<LocalDate> lastWritten,
        Optional<LocalDate> lastToSeveral,
        Optional<String> onList) {}
