package famulus.core.proof;

import famulus.core.merge.Merged;
import famulus.core.merge.Origin;
import famulus.core.merge.Piece;
import famulus.core.message.MergedMessage;
import famulus.core.message.MessagePart;
import famulus.core.syntax.Span;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Chooses the few people whose messages together show all that a template can do: every field filled, every fallback
 * and gap, every branch of a choice, and the longest value of each field.
 *
 * <p>What everybody's message shows alike needs no choosing, and is left out unless there is nothing else.
 *
 * <p>Messages are given one after another, in one pass; only one person is remembered for each way a message can come
 * out. The choice is a set cover, made greedily: it takes whoever shows most that has not been shown yet, the earlier
 * one of two that show the same. How far that is from the fewest possible is bounded from below by the dual of the
 * covering problem (Chvátal, 1979): see {@link Chosen#leastPossible()}.
 *
 * @param <P> whoever a message is for
 */
public final class StressProofs<P> {
    /** So many ways a message can come out are told apart; with more, those that show nothing new are left out. */
    private static final int MOST_WAYS = 20_000;

    private final Map<Set<Feature>, P> ways = new LinkedHashMap<>();
    private final Map<Where, Longest<P>> longest = new LinkedHashMap<>();
    private final Set<Feature> seen = new LinkedHashSet<>();
    private int read;

    /** A place of the template: which text, and where in it. */
    private record Where(MessagePart part, Span span) {}

    /**
     * One thing a template can do.
     *
     * @param part in which text
     * @param span at which place of its source
     * @param what what happens there
     * @param turn for a fallback, which one: 1 for the first
     */
    public record Feature(MessagePart part, Span span, What what, int turn) {}

    /** Sorts of feature. */
    public enum What {
        /** The field's own value prints. */
        FILLED,
        /** A fallback prints. */
        FALLBACK,
        /** The field is blank on purpose. */
        BLANK,
        /** Nothing prints, and nothing stands in for it. */
        GAP,
        /** A branch of a choice is taken; the place is its opening tag. */
        BRANCH,
        /** No branch of a choice is taken; the place is its end. */
        NO_BRANCH,
        /** The longest value of a field. */
        LONGEST
    }

    private record Longest<P>(P person, int length, int shortest) {
        private Longest<P> or(Longest<P> next) {
            Longest<P> longer = next.length > length ? next : this;
            return new Longest<>(longer.person, longer.length, Math.min(shortest, next.shortest));
        }
    }

    /**
     * Somebody who was chosen.
     *
     * @param shows what their message shows that none before it does, in the order of the template
     */
    public record Chosen<P>(P person, List<Feature> shows) {}

    /**
     * The choice.
     *
     * @param features how many things the template does for some and not for others
     * @param leastPossible so few people may be enough, and no fewer
     * @param read how many people were looked at
     */
    public record Selection<P>(List<Chosen<P>> chosen, int features, int leastPossible, int read) {}

    /** Takes one more message into account. */
    public void read(P person, MergedMessage message) {
        read++;
        Set<Feature> features = new LinkedHashSet<>();
        for (MessagePart part : MessagePart.values()) {
            Merged merged = message.merged(part);
            for (Piece piece : merged.pieces()) {
                feature(part, piece).ifPresent(features::add);
                if (piece.origin() == Origin.RECORD && piece.text().length() > 1) {
                    int length = piece.text().length();
                    longest.merge(new Where(part, piece.span()), new Longest<>(person, length, length), Longest::or);
                }
            }
        }
        if (ways.size() < MOST_WAYS || !seen.containsAll(features)) {
            ways.putIfAbsent(features, person);
        }
        seen.addAll(features);
    }

    private static Optional<Feature> feature(MessagePart part, Piece piece) {
        What what =
                switch (piece.origin()) {
                    case RECORD, CHOSEN -> What.FILLED;
                    case FALLBACK -> What.FALLBACK;
                    case BLANK -> What.BLANK;
                    case GAP -> What.GAP;
                    case BRANCH -> What.BRANCH;
                    case CHOICE_PASSED -> What.NO_BRANCH;
                    case WRITTEN, BROKEN, ASKED, ANSWERED, CHOICE_END -> null;
                };
        return Optional.ofNullable(what).map(one -> new Feature(part, piece.span(), one, piece.fallback()));
    }

    /** Chooses among all that were read. */
    public Selection<P> choose() {
        Map<P, Set<Feature>> candidates = candidates();
        Set<Feature> open = new LinkedHashSet<>();
        candidates.values().forEach(open::addAll);
        Set<Feature> alike = alike();
        if (alike.size() < open.size()) {
            open.removeAll(alike);
            candidates.values().forEach(features -> features.removeAll(alike));
        }
        int features = open.size();
        Map<Feature, Double> prices = new HashMap<>();
        List<Chosen<P>> chosen = new ArrayList<>();
        while (!open.isEmpty()) {
            Map.Entry<P, Set<Feature>> best = null;
            long most = 0;
            for (Map.Entry<P, Set<Feature>> candidate : candidates.entrySet()) {
                long shows =
                        candidate.getValue().stream().filter(open::contains).count();
                if (shows > most) {
                    most = shows;
                    best = candidate;
                }
            }
            List<Feature> shows = best.getValue().stream()
                    .filter(open::contains)
                    .sorted(Comparator.comparing(Feature::part)
                            .thenComparingInt(feature -> feature.span().start())
                            .thenComparing(Feature::what))
                    .toList();
            double price = 1.0 / most;
            shows.forEach(feature -> prices.put(feature, price));
            chosen.add(new Chosen<>(best.getKey(), shows));
            shows.forEach(open::remove);
        }
        return new Selection<>(List.copyOf(chosen), features, leastPossible(candidates, prices), read);
    }

    /** Whoever may be chosen, with what each shows. */
    Map<P, Set<Feature>> candidates() {
        Map<P, Set<Feature>> candidates = new LinkedHashMap<>();
        ways.forEach((features, person) ->
                candidates.computeIfAbsent(person, any -> new LinkedHashSet<>()).addAll(features));
        longest.forEach((where, one) -> {
            if (one.length() > one.shortest()) {
                candidates
                        .computeIfAbsent(one.person(), any -> new LinkedHashSet<>())
                        .add(new Feature(where.part(), where.span(), What.LONGEST, 0));
            }
        });
        return candidates;
    }

    /** What every message shows. */
    private Set<Feature> alike() {
        Set<Feature> alike = new LinkedHashSet<>(seen);
        ways.keySet().forEach(alike::retainAll);
        return alike;
    }

    /** Prices that no candidate's features together exceed add up to a bound; the greedy ones do so once scaled. */
    private static <P> int leastPossible(Map<P, Set<Feature>> candidates, Map<Feature, Double> prices) {
        double all = prices.values().stream().mapToDouble(Double::doubleValue).sum();
        double dearest = candidates.values().stream()
                .mapToDouble(
                        features -> features.stream().mapToDouble(prices::get).sum())
                .max()
                .orElse(1);
        // A hair is taken off, since the prices are rounded.
        return (int) Math.ceil(all / dearest - 1e-9);
    }
}
