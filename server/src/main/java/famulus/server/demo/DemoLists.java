package famulus.server.demo;

import famulus.server.demo.DemoRecords.Grower;
import famulus.server.folders.FolderRights;
import famulus.server.lists.RecordLists;
import famulus.server.lists.RecordLists.TypedList;
import famulus.server.records.CrmKind;
import famulus.server.team.Colleague;
import java.util.List;
import java.util.UUID;

/** Lists that the people of the demo have saved. */
final class DemoLists {
    private static final int VISITORS = 14;

    /** The list of a condition that comes up each spring. */
    static final String APPLES = "Apples in blossom soon";

    private DemoLists() {}

    static void make(RecordLists lists, DemoTeam people, List<Grower> growers, Seeded chance) {
        live(
                lists,
                CrmKind.CONTACT,
                "Mine, not written to for 60 days",
                "owner.full_name is sender.full_name and history.last_written is more than 60 days ago",
                "written",
                people.signe(),
                null);
        live(
                lists,
                CrmKind.CONTACT,
                APPLES,
                "contact.crop is \"apple\" and contact.blossom_starts is within the next 30 days",
                "",
                people.oriel(),
                FolderRights.EVERYONE);
        live(
                lists,
                CrmKind.DEAL,
                "Quoted, decision within two weeks",
                "deal.stage is \"quoted\" and deal.closes_on is within the next 14 days",
                "closes_on",
                people.oriel(),
                FolderRights.EVERYONE);
        UUID visitors = lists.add(
                        CrmKind.CONTACT,
                        TypedList.simple("Came to our open day", null, null, FolderRights.EVERYONE),
                        people.oriel())
                .id();
        lists.put(
                visitors,
                growers.stream()
                        .map(Grower::id)
                        .filter(any -> chance.inHundred(12))
                        .limit(VISITORS)
                        .toList(),
                people.oriel());
    }

    private static void live(
            RecordLists lists, CrmKind kind, String name, String condition, String sort, Colleague by, UUID folder) {
        lists.add(kind, TypedList.simple(name, condition, sort, folder), by);
    }
}
