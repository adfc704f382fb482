package famulus.core.departure;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import org.junit.jupiter.api.Test;

class MailingStopTest {
    private static WholeMailing mailing(
            int people, boolean template, boolean toSeveral, boolean company, boolean tested) {
        return new WholeMailing(people, 500, template, true, toSeveral, company, company, true, true, tested, true);
    }

    @Test
    void nothingStopsOneThatIsWhole() {
        assertThat(Departure.stops(mailing(3, true, true, true, true))).isEmpty();
    }

    @Test
    void whatIsMissingIsSaidInTheOrderInWhichItIsDealtWith() {
        assertThat(Departure.stops(mailing(0, false, true, false, false)))
                .containsExactly(
                        MailingStop.NOBODY,
                        MailingStop.NO_TEMPLATE,
                        MailingStop.NO_ADDRESS,
                        MailingStop.NO_UNSUBSCRIBE);
    }

    @Test
    void moreThanTheMostAreTooMany() {
        assertThat(Departure.stops(mailing(500, true, true, true, true))).isEmpty();
        assertThat(Departure.stops(mailing(501, true, true, true, true))).containsExactly(MailingStop.TOO_MANY);
    }

    @Test
    void whatIsAboutTheirOwnDealNeedsNoWayOut() {
        assertThat(Departure.stops(mailing(3, true, false, false, true))).isEmpty();
    }

    @Test
    void anUntestedOneStays() {
        assertThat(Departure.stops(mailing(3, true, true, true, false))).containsExactly(MailingStop.UNTESTED);
    }

    @Test
    void whoeverMayNotUseItSendsNothing() {
        assertThat(Departure.stops(new WholeMailing(3, 500, true, false, true, true, true, false, false, true, true)))
                .containsExactly(MailingStop.NOT_READY, MailingStop.SENDER, MailingStop.HOUR);
    }

    @Test
    void whatACompanyWantsSeenWaitsForAColleague() {
        assertThat(Departure.stops(new WholeMailing(3, 500, true, true, true, true, true, true, true, true, false)))
                .containsExactly(MailingStop.UNSEEN);
    }

    @Test
    void eachHasACodeOfItsOwnAndSaysWhatToDo() {
        assertThat(Arrays.stream(MailingStop.values()).map(MailingStop::code)).doesNotHaveDuplicates();
        assertThat(MailingStop.values()).allMatch(stop -> stop.remedy().endsWith("."));
    }
}
