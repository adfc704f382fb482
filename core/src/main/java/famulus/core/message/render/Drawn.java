package famulus.core.message.render;

import famulus.core.message.body.Content.SocialIcon;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Pictures that belong to Famulus itself, not to the library; whoever gives pictures has these too. */
public final class Drawn {
    /** A still for a video that has none: a play mark on a plain ground. */
    public static final String STILL = "drawn-video-still";

    /** All of them: the still, those that the designs to start from show, and the icons of social links. */
    public static final Set<String> ALL = Stream.concat(
                    Stream.of(STILL, "drawn-news", "drawn-welcome", "drawn-meeting-map", "drawn-winter"),
                    Stream.of(SocialIcon.values())
                            .filter(icon -> icon != SocialIcon.NONE)
                            .map(Drawn::icon))
            .collect(Collectors.toUnmodifiableSet());

    private Drawn() {}

    /** The picture of an icon. */
    static String icon(SocialIcon icon) {
        return "drawn-icon-" + icon.name().toLowerCase(Locale.ROOT);
    }
}
