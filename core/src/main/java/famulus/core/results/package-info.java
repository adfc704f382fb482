/**
 * What became of what was sent: rates with how far they can be trusted, what it was read on, and what was hoped for beside
 * what came.
 *
 * <pre>{@code
 * Rate rate = Rate.of(6, 24);
 * String said = rate.words();
 * }</pre>
 *
 * <p>A {@link famulus.core.results.Rate} never stands without its count, and says with it within which bounds the true one lies in
 * nineteen of twenty cases: of four of ten nobody can tell whether it was luck.
 */
package famulus.core.results;
