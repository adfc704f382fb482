package famulus.core.departure;

import java.util.ArrayList;
import java.util.List;

/**
 * A mailing as it stands, as far as it decides whether the whole of it may leave.
 *
 * @param people how many would get it
 * @param most to so many a mailing goes at most
 * @param template whether there is a template
 * @param ready whether whoever starts it may use all its words as they are
 * @param toSeveral whether its readers have to be able to unsubscribe; what is about their own deal is theirs
 * @param postalAddress whether our company has one
 * @param wayOut whether readers can reach the page on which they unsubscribe
 * @param sender whether it may go out in the name that was chosen
 * @param hour whether it can leave at the hour that was chosen
 * @param tested whether exactly this was sent as a test
 * @param seen whether exactly this was approved by a colleague, or none has to
 */
public record WholeMailing(
        int people,
        int most,
        boolean template,
        boolean ready,
        boolean toSeveral,
        boolean postalAddress,
        boolean wayOut,
        boolean sender,
        boolean hour,
        boolean tested,
        boolean seen) {
    List<MailingStop> stops() {
        List<MailingStop> stops = new ArrayList<>();
        add(stops, people == 0, MailingStop.NOBODY);
        add(stops, people > most, MailingStop.TOO_MANY);
        add(stops, !template, MailingStop.NO_TEMPLATE);
        add(stops, template && !ready, MailingStop.NOT_READY);
        add(stops, toSeveral && !postalAddress, MailingStop.NO_ADDRESS);
        add(stops, toSeveral && !wayOut, MailingStop.NO_UNSUBSCRIBE);
        add(stops, !sender, MailingStop.SENDER);
        add(stops, !hour, MailingStop.HOUR);
        add(stops, template && !tested, MailingStop.UNTESTED);
        add(stops, template && !seen, MailingStop.UNSEEN);
        return stops;
    }

    private static void add(List<MailingStop> stops, boolean holds, MailingStop stop) {
        if (holds) {
            stops.add(stop);
        }
    }
}
