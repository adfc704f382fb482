package famulus.core.sharing;

import java.util.UUID;

/** A right in a folder, and who has it. */
public record Share(With with, Right right) {
    /** Whom something is shared with. */
    public sealed interface With {
        /** Whether it is shared with somebody. */
        boolean includes(Member member);
    }

    /** All colleagues. */
    public record Everybody() implements With {
        @Override
        public boolean includes(Member member) {
            return true;
        }
    }

    /** All colleagues of a role. */
    public record OfRole(String role) implements With {
        @Override
        public boolean includes(Member member) {
            return member.role().equals(role);
        }
    }

    /** Whoever is in a team. */
    public record OfTeam(UUID team) implements With {
        @Override
        public boolean includes(Member member) {
            return member.teams().contains(team);
        }
    }

    /** One colleague. */
    public record One(UUID colleague) implements With {
        @Override
        public boolean includes(Member member) {
            return member.id().equals(colleague);
        }
    }
}
