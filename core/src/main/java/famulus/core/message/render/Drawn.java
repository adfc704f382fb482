package famulus.core.message.render;

import java.util.Set;

/** Pictures that belong to Famulus itself, not to the library; whoever gives pictures has these too. */
public final class Drawn {
    /** A still for a video that has none: a play mark on a plain ground. */
    public static final String STILL = "drawn-video-still";

    /** All of them: the still, and those that the designs to start from show. */
    public static final Set<String> ALL =
            Set.of(STILL, "drawn-blossom", "drawn-hives", "drawn-orchard-map", "drawn-winter", "drawn-mark");

    private Drawn() {}
}
