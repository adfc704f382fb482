package famulus.core.results;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

class RateTest {
    @Test
    void itsBoundsAreThoseOfTheScoreInterval() {
        // Worked by hand: 6 of 24, z = 1.959964.
        Rate rate = Rate.of(6, 24);
        assertThat(rate.low()).isCloseTo(0.1200, within(0.0005));
        assertThat(rate.high()).isCloseTo(0.4490, within(0.0005));
        assertThat(rate.words()).isEqualTo("6 of 24, 25 % (12 to 45 %)");
    }

    @Test
    void ofNothingNothingIsKnown() {
        assertThat(Rate.of(0, 0)).isEqualTo(new Rate(0, 0, 0, 1));
        assertThat(Rate.of(0, 0).words()).isEqualTo("none yet");
        assertThat(Rate.of(0, 0).share()).isZero();
    }

    @Test
    void noneAndAllAreNotTakenForCertain() {
        assertThat(Rate.of(0, 10).high()).isBetween(0.2, 0.4);
        assertThat(Rate.of(0, 10).low()).isZero();
        assertThat(Rate.of(10, 10).low()).isBetween(0.6, 0.8);
        assertThat(Rate.of(10, 10).high()).isEqualTo(1);
    }

    @Test
    void moreThanAllIsNoRate() {
        assertThatThrownBy(() -> Rate.of(3, 2)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Rate.of(-1, 2)).isInstanceOf(IllegalArgumentException.class);
    }

    @RepeatedTest(50)
    void theBoundsHoldTheShareAndCloseInOnItWithMoreOfThem(RepetitionInfo which) {
        Random random = new Random(which.getCurrentRepetition());
        int whole = 1 + random.nextInt(400);
        int part = random.nextInt(whole + 1);
        Rate rate = Rate.of(part, whole);
        assertThat(rate.low()).isBetween(0.0, rate.share() + 1e-9);
        assertThat(rate.high()).isBetween(rate.share() - 1e-9, 1.0);
        Rate more = Rate.of(part * 10, whole * 10);
        assertThat(more.high() - more.low()).isLessThan(rate.high() - rate.low());
    }

    @Test
    void aGoalIsReachedOnceAsManyRepliedAsWereHopedFor() {
        GoalReached goal = new GoalReached(6, 7, 240, 60);
        assertThat(goal.brought()).isEqualTo(1680);
        assertThat(goal.left()).isEqualTo(1620);
        assertThat(goal.reached()).isTrue();
        assertThat(new GoalReached(0, 3, 0, 0).reached()).isFalse();
        assertThat(new GoalReached(6, 0, 240, 60).left()).isEqualTo(-60);
    }
}
