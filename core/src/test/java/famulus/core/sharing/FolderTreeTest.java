package famulus.core.sharing;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.sharing.Share.Everybody;
import famulus.core.sharing.Share.OfRole;
import famulus.core.sharing.Share.OfTeam;
import famulus.core.sharing.Share.One;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class FolderTreeTest {
    private static final UUID NORTH = id(90);
    private static final Member SIGNE = new Member(id(1), "AGENT", false, Set.of(NORTH));
    private static final Member DOV = new Member(id(2), "AGENT", false, Set.of());
    private static final Member ORIEL = new Member(id(3), "KEEPER", false, Set.of());
    private static final Member AMOS = new Member(id(4), "ADMINISTRATOR", true, Set.of());
    private static final List<Member> ALL = List.of(SIGNE, DOV, ORIEL, AMOS);

    private static UUID id(int number) {
        return new UUID(0, number);
    }

    private static Folder folder(int number, Integer parent, Member owner, Share... shares) {
        return new Folder(
                id(number),
                Optional.ofNullable(parent).map(FolderTreeTest::id),
                "Folder " + number,
                Optional.of(owner.id()),
                shares.length == 0 ? Optional.empty() : Optional.of(List.of(shares)));
    }

    private static List<Optional<Right>> rights(FolderTree tree, Folder folder) {
        return ALL.stream().map(member -> tree.right(folder, member)).toList();
    }

    private static Optional<Right> may(Right right) {
        return Optional.of(right);
    }

    @Test
    void aFolderIsPrivateUntilItIsShared() {
        Folder mine = folder(10, null, SIGNE);
        assertThat(rights(new FolderTree(List.of(mine)), mine))
                .containsExactly(may(Right.MANAGE), Optional.empty(), Optional.empty(), may(Right.MANAGE));
    }

    @Test
    void aShareIsForATeamARoleAColleagueOrEverybody() {
        Folder shared = folder(
                10,
                null,
                AMOS,
                new Share(new OfTeam(NORTH), Right.USE),
                new Share(new OfRole("KEEPER"), Right.CHANGE),
                new Share(new One(DOV.id()), Right.MANAGE));
        assertThat(rights(new FolderTree(List.of(shared)), shared))
                .containsExactly(may(Right.USE), may(Right.MANAGE), may(Right.CHANGE), may(Right.MANAGE));

        Folder all = folder(11, null, AMOS, new Share(new Everybody(), Right.USE));
        assertThat(rights(new FolderTree(List.of(all)), all))
                .containsExactly(may(Right.USE), may(Right.USE), may(Right.USE), may(Right.MANAGE));
    }

    @Test
    void theMostFarReachingRightCounts() {
        Folder shared = folder(
                10, null, AMOS, new Share(new OfTeam(NORTH), Right.CHANGE), new Share(new Everybody(), Right.USE));
        assertThat(new FolderTree(List.of(shared)).right(shared, SIGNE)).isEqualTo(may(Right.CHANGE));
    }

    @Test
    void whatIsSharedAboveCanBeWidenedAndNarrowedBelow() {
        Folder top = folder(10, null, ORIEL, new Share(new Everybody(), Right.USE));
        Folder below = folder(11, 10, ORIEL);
        Folder narrow = folder(12, 11, ORIEL, new Share(new One(DOV.id()), Right.USE));
        Folder wide = folder(13, 12, DOV, new Share(new Everybody(), Right.CHANGE));
        FolderTree tree = new FolderTree(List.of(wide, narrow, below, top));

        assertThat(tree.right(below, SIGNE)).isEqualTo(may(Right.USE));
        assertThat(tree.right(narrow, SIGNE)).isEmpty();
        assertThat(tree.right(narrow, DOV)).isEqualTo(may(Right.USE));
        assertThat(tree.right(wide, SIGNE)).isEqualTo(may(Right.CHANGE));
        assertThat(tree.right(wide, ORIEL)).as("owns the folders above").isEqualTo(may(Right.MANAGE));
    }

    @Test
    void foldersComeByNameEachFollowedByThoseInIt() {
        Folder b = new Folder(id(2), Optional.empty(), "Bees", Optional.of(SIGNE.id()), Optional.empty());
        Folder a = new Folder(id(3), Optional.empty(), "äpple", Optional.of(SIGNE.id()), Optional.empty());
        Folder inB = new Folder(id(1), Optional.of(id(2)), "Again", Optional.of(SIGNE.id()), Optional.empty());
        assertThat(new FolderTree(List.of(inB, b, a)).inOrder())
                .extracting(Folder::name)
                .containsExactly("äpple", "Bees", "Again");
    }

    @Test
    void aFolderLiesNeitherInItselfNorTooDeep() {
        List<Folder> all = new ArrayList<>();
        for (int i = 1; i <= FolderTree.DEEPEST; i++) {
            all.add(folder(i, i == 1 ? null : i - 1, SIGNE));
        }
        all.add(folder(50, null, SIGNE));
        all.add(folder(51, 50, SIGNE));
        FolderTree tree = new FolderTree(all);

        assertThat(tree.refusal(id(1), Optional.of(id(1)))).contains("A folder can’t be moved into itself.");
        assertThat(tree.refusal(id(1), Optional.of(id(5)))).contains("A folder can’t be moved into itself.");
        assertThat(tree.refusal(id(51), Optional.of(id(12)))).isPresent();
        assertThat(tree.refusal(id(50), Optional.of(id(11)))).as("two more").isPresent();
        assertThat(tree.refusal(id(50), Optional.of(id(10)))).isEmpty();
        assertThat(tree.refusal(id(50), Optional.empty())).isEmpty();
    }

    /** Folders in a ring may come of damaged data alone; nobody waits for them for ever. */
    @Test
    void aRingIsLeftOut() {
        Folder one = folder(1, 2, SIGNE);
        Folder other = folder(2, 1, SIGNE);
        FolderTree tree = new FolderTree(List.of(one, other));
        assertThat(tree.inOrder()).isEmpty();
        assertThat(tree.right(one, DOV)).isEmpty();
        assertThat(tree.right(one, SIGNE)).isEqualTo(may(Right.MANAGE));
    }

    /** Random trees: administrators and owners manage everything that is theirs, and nobody gains by a share being taken away. */
    @Test
    void rightsNeverGrowWhereAShareIsTakenAway() {
        Random random = new Random(20_260_504);
        for (int turn = 0; turn < 300; turn++) {
            List<Folder> all = new ArrayList<>();
            for (int i = 1; i <= 8; i++) {
                Integer parent = i == 1 || random.nextInt(4) == 0 ? null : 1 + random.nextInt(i - 1);
                Share[] shares = new Share[random.nextInt(3)];
                for (int s = 0; s < shares.length; s++) {
                    Share.With with =
                            switch (random.nextInt(4)) {
                                case 0 -> new Everybody();
                                case 1 -> new OfTeam(NORTH);
                                case 2 -> new OfRole("KEEPER");
                                default -> new One(ALL.get(random.nextInt(4)).id());
                            };
                    shares[s] = new Share(with, Right.values()[random.nextInt(3)]);
                }
                all.add(folder(i, parent, ALL.get(random.nextInt(3)), shares));
            }
            FolderTree tree = new FolderTree(all);
            assertThat(tree.inOrder()).hasSameSizeAs(all);
            for (Folder folder : all) {
                assertThat(tree.right(folder, AMOS)).isEqualTo(may(Right.MANAGE));
                Map<UUID, Optional<Right>> before = new HashMap<>();
                ALL.forEach(member -> before.put(member.id(), tree.right(folder, member)));
                if (folder.shares().isPresent()) {
                    List<Share> fewer = folder.shares().get().stream().skip(1).toList();
                    List<Folder> changed = new ArrayList<>(all);
                    Folder less =
                            new Folder(folder.id(), folder.parent(), folder.name(), folder.owner(), Optional.of(fewer));
                    changed.set(all.indexOf(folder), less);
                    FolderTree then = new FolderTree(changed);
                    for (Member member : ALL) {
                        int now = then.right(less, member).map(Enum::ordinal).orElse(-1);
                        assertThat(now)
                                .isLessThanOrEqualTo(before.get(member.id())
                                        .map(Enum::ordinal)
                                        .orElse(-1));
                    }
                }
            }
        }
    }

    @Test
    void sharingIsSaidInASentence() {
        Folder shared = folder(
                10,
                null,
                SIGNE,
                new Share(new OfTeam(NORTH), Right.USE),
                new Share(new OfRole("KEEPER"), Right.CHANGE),
                new Share(new One(DOV.id()), Right.MANAGE));
        FolderTree tree = new FolderTree(List.of(shared));
        assertThat(SharingSentence.of(tree.sharing(shared), "you", FolderTreeTest::named))
                .isEqualTo("The north team may use; editors may change; you and Dov may manage");
        assertThat(SharingSentence.of(Map.of(), "you", FolderTreeTest::named)).isEqualTo("Only you");
        assertThat(SharingSentence.of(Map.of(), "Signe", FolderTreeTest::named)).isEqualTo("Only Signe");
        assertThat(SharingSentence.of(Map.of(Right.USE, List.of(new Everybody())), "Signe", FolderTreeTest::named))
                .isEqualTo("Everybody may use");
    }

    private static String named(Share.With with) {
        return switch (with) {
            case Everybody everybody -> "everybody";
            case OfRole role -> "editors";
            case OfTeam team -> "the north team";
            case One one -> one.colleague().equals(DOV.id()) ? "Dov" : "you";
        };
    }
}
