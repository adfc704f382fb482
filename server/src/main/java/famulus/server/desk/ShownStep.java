package famulus.server.desk;

import famulus.core.calendar.TimeUnit;

/** So many units on; fewer than none for back. */
public record ShownStep(long number, TimeUnit unit) {}
