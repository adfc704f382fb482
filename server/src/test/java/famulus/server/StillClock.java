package famulus.server;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;

/** A clock that stands still until it is moved. */
public final class StillClock extends Clock {
    private static final Instant START = Instant.parse("2026-05-04T09:00:00Z");
    private volatile Instant now = START;

    public void forward(Duration by) {
        now = now.plus(by);
    }

    void setBack() {
        now = START;
    }

    @Override
    public Instant instant() {
        return now;
    }

    @Override
    public ZoneId getZone() {
        return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return this;
    }
}
