package famulus.server.interchange;

import famulus.server.folders.FolderShare;
import famulus.server.folders.FolderShare.With;
import famulus.server.interchange.LibraryFile.FileShare;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import famulus.server.team.Teams;
import famulus.server.team.Teams.Team;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * How folders are shared, as a file says it: with everybody and with roles, which are the same everywhere, with teams by their
 * names, and with colleagues by their addresses. Whom another company doesn’t have nothing is shared with there.
 */
@Component
class LibrarySharing {
    private final TeamService team;
    private final Teams teams;

    LibrarySharing(TeamService team, Teams teams) {
        this.team = team;
        this.teams = teams;
    }

    /** Shares as a file says them. */
    List<FileShare> written(List<FolderShare> shares) {
        return shares.stream().map(this::written).filter(Objects::nonNull).toList();
    }

    private FileShare written(FolderShare share) {
        return switch (share.with()) {
            case EVERYBODY -> new FileShare(With.EVERYBODY, null, null, share.may());
            case ROLE -> new FileShare(With.ROLE, share.role(), null, share.may());
            case TEAM ->
                teams.all().stream()
                        .filter(one -> one.id().equals(share.id()))
                        .findFirst()
                        .map(one -> new FileShare(With.TEAM, null, one.name(), share.may()))
                        .orElse(null);
            case COLLEAGUE ->
                team.find(share.id())
                        .map(one -> new FileShare(With.COLLEAGUE, null, one.email(), share.may()))
                        .orElse(null);
        };
    }

    /** The shares of a file as they are here; those with somebody who isn’t here are left out. */
    List<FolderShare> here(List<FileShare> shares) {
        return shares.stream()
                .filter(one -> one != null && one.with() != null && one.may() != null)
                .map(this::here)
                .flatMap(Optional::stream)
                .distinct()
                .toList();
    }

    /** Those with whom a file shares something and who aren’t here, by name. */
    List<String> strangers(List<FileShare> shares) {
        return shares.stream()
                .filter(one -> one != null && one.with() != null && one.may() != null)
                .filter(one -> here(one).isEmpty())
                .map(one -> LibraryDrafts.said(one.name()))
                .filter(name -> !name.isBlank())
                .distinct()
                .toList();
    }

    private Optional<FolderShare> here(FileShare share) {
        return switch (share.with()) {
            case EVERYBODY -> Optional.of(new FolderShare(With.EVERYBODY, null, null, share.may()));
            case ROLE ->
                Optional.ofNullable(share.role()).map(role -> new FolderShare(With.ROLE, role, null, share.may()));
            case TEAM ->
                teams.all().stream()
                        .filter(one -> like(one.name(), share.name()))
                        .map(Team::id)
                        .findFirst()
                        .map(id -> with(With.TEAM, id, share));
            case COLLEAGUE ->
                team.all().stream()
                        .filter(one -> like(one.email(), share.name()))
                        .map(Colleague::id)
                        .findFirst()
                        .map(id -> with(With.COLLEAGUE, id, share));
        };
    }

    private static FolderShare with(With what, UUID id, FileShare share) {
        return new FolderShare(what, null, id, share.may());
    }

    private static boolean like(String ours, String theirs) {
        return theirs != null
                && ours.strip().toLowerCase(Locale.ROOT).equals(theirs.strip().toLowerCase(Locale.ROOT));
    }
}
