/**
 * Days reckoned from other days, and which days people work.
 *
 * <pre class="written">{@code
 * today plus 5 working days
 * deal.placement_date minus 2 weeks
 * }</pre>
 *
 * A {@link famulus.core.calendar.Reckoning} is what was written; a {@link famulus.core.calendar.Reckoner} works it out
 * for one moment, one time zone and the {@link famulus.core.calendar.WorkingDays} of one country.
 */
package famulus.core.calendar;
