package famulus.server.lists;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.anyBoolean;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import famulus.core.field.About;
import famulus.server.lists.Sampling.Estimate;
import famulus.server.records.CrmKind;
import famulus.server.records.RecordWalk;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

class SamplingTest {
    private static Sampling of(int contacts, int leads) {
        RecordWalk walk = mock(RecordWalk.class);
        when(walk.count(eq(List.of(CrmKind.CONTACT)), anyBoolean())).thenReturn(contacts);
        when(walk.count(eq(List.of(CrmKind.LEAD)), anyBoolean())).thenReturn(leads);
        return Sampling.of(About.PERSON, false, walk);
    }

    @Test
    void ofFewEachOneIsAsked() {
        Sampling sampling = of(3_000, 2_000);

        assertThat(sampling.estimates()).isFalse();
        assertThat(sampling.estimate(
                        Map.of(CrmKind.CONTACT, 3_000, CrmKind.LEAD, 2_000),
                        Map.of(CrmKind.CONTACT, 7, CrmKind.LEAD, 5)))
                .isEqualTo(new Estimate(12, 0));
    }

    /** What is said to hold in 19 of 20 cases holds in about so many, whatever part of all it is. */
    @Test
    void theTrueNumberIsWithinTheErrorNearlyAlways() {
        Random random = new Random(3);
        for (double part : new double[] {0.001, 0.02, 0.3, 0.5, 0.97}) {
            int within = 0;
            for (int turn = 0; turn < 1_000; turn++) {
                Sampling sampling = of(80_000, 20_000);
                Map<CrmKind, Integer> asked = Map.of(CrmKind.CONTACT, 2_000, CrmKind.LEAD, 2_000);
                Map<CrmKind, Integer> holds =
                        Map.of(CrmKind.CONTACT, some(random, part), CrmKind.LEAD, some(random, part / 2));
                Estimate estimate = sampling.estimate(asked, holds);
                double truth = 80_000 * part + 20_000 * part / 2;
                within += Math.abs(estimate.number() - truth) <= estimate.error() ? 1 : 0;
            }
            assertThat(within).as("part %s", part).isGreaterThan(920);
        }
    }

    private static int some(Random random, double part) {
        int holds = 0;
        for (int i = 0; i < 2_000; i++) {
            holds += random.nextDouble() < part ? 1 : 0;
        }
        return holds;
    }

    /** That none of a sample has it does not say that nobody has. */
    @Test
    void nobodyOfASampleIsNotNobody() {
        Estimate estimate = of(100_000, 0).estimate(Map.of(CrmKind.CONTACT, 2_000), Map.of(CrmKind.CONTACT, 0));

        assertThat(estimate.number()).isZero();
        assertThat(estimate.error()).isBetween(20, 300);
    }
}
