package famulus.core.merge;

import famulus.core.syntax.Problem;
import famulus.core.syntax.Span;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;

/**
 * Puts nodes and tags, as they come, together to a tree. Works without recursion, so that no text is too deep for it;
 * choices nested deeper than {@link #DEEPEST} are left as broken tags, so that nothing later has to fear them either.
 */
final class ChoiceBuilder {
    static final int DEEPEST = 32;

    private final List<Node> top = new ArrayList<>();
    private final Deque<Open> open = new ArrayDeque<>();
    /** Tags of choices that stand too deep and have not ended. */
    private int tooDeep;

    void add(Node node) {
        (open.isEmpty() ? top : open.peek().nodes).add(node);
    }

    void add(Tag tag) {
        switch (tag.kind()) {
            case WHEN -> when(tag);
            case OTHERWISE -> otherwise(tag);
            case END -> end(tag);
        }
    }

    /**
     * The tree; a choice that never ended becomes a broken tag and what followed it.
     *
     * @param end where the text ends
     */
    List<Node> finish(int end) {
        while (!open.isEmpty()) {
            Open unended = open.pop();
            unended.spill("This choice has no end. Put {end} where it stops.", end)
                    .forEach(this::add);
        }
        return top;
    }

    private void when(Tag tag) {
        if (open.size() == DEEPEST) {
            tooDeep++;
            add(tag.broken("Choices can be nested " + DEEPEST + " deep at most. Remove this one."));
        } else {
            open.push(new Open(tag));
        }
    }

    private void otherwise(Tag tag) {
        if (tooDeep > 0) {
            add(tag.broken("This belongs to a choice that is nested too deep."));
        } else if (open.isEmpty()) {
            add(tag.broken("There is no {when …} before this “otherwise”.", Problem.Fix.takeOut(tag.span())));
        } else if (open.peek().tag.guard() instanceof Guard.Otherwise) {
            add(tag.broken("After {otherwise} no other branch can come. Put {end} before it."));
        } else {
            open.peek().next(tag);
        }
    }

    private void end(Tag tag) {
        if (tag.guard() instanceof Guard.Unreadable unreadable) {
            add(tag.broken(unreadable.problem().sentence()));
        } else if (tooDeep > 0) {
            tooDeep--;
            add(tag.broken("This belongs to a choice that is nested too deep."));
        } else if (open.isEmpty()) {
            add(tag.broken("There is no {when …} that could end here.", Problem.Fix.takeOut(tag.span())));
        } else {
            add(open.pop().ended(tag.span()));
        }
    }

    /** A choice whose end has not come. */
    private static final class Open {
        private final List<Node.Branch> branches = new ArrayList<>();
        private final List<Tag> tags = new ArrayList<>();
        private Tag tag;
        private List<Node> nodes = new ArrayList<>();

        private Open(Tag tag) {
            this.tag = tag;
        }

        private void next(Tag following) {
            endBranch();
            tag = following;
            nodes = new ArrayList<>();
        }

        private void endBranch() {
            branches.add(new Node.Branch(tag.guard(), tag.span(), nodes));
            tags.add(tag);
        }

        private Node.Choice ended(Span end) {
            endBranch();
            return new Node.Choice(branches, new Span(branches.getFirst().tag().start(), end.end()), end);
        }

        private List<Node> spill(String sentence, int end) {
            endBranch();
            List<Node> spilled = new ArrayList<>();
            for (int i = 0; i < branches.size(); i++) {
                spilled.add(
                        i == 0
                                ? tags.get(i)
                                        .broken(sentence, new Problem.Fix("End it here", new Span(end, end), "{end}"))
                                : tags.get(i).broken("This belongs to a choice that has no end."));
                spilled.addAll(branches.get(i).nodes());
            }
            return spilled;
        }
    }
}
