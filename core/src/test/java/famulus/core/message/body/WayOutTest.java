package famulus.core.message.body;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Locale;
import org.junit.jupiter.api.Test;

class WayOutTest {
    private static String said(HouseStyle style) {
        StringBuilder said = new StringBuilder();
        style.smallPrint().paragraphs().forEach(paragraph -> paragraph.runs().forEach(run -> said.append(run.text())
                .append(run.marks().link())
                .append('\n')));
        return said.toString();
    }

    @Test
    void endsTheSmallPrintInTheLanguageOfTheReader() {
        HouseStyle style = HouseStyle.BARE.withSmallPrint(RichText.plain("2 Skep Lane"));
        assertThat(said(WayOut.in(style, Locale.GERMANY, true, true)))
                .isEqualTo("2 Skep Lane\n{message.why_you_get_this else nothing}\n"
                        + "Auswählen, was Sie bekommen, oder abbestellen{message.unsubscribe_link}\n");
        assertThat(said(WayOut.in(style, Locale.of("sv"), false, true)))
                .isEqualTo("2 Skep Lane\nChoose what you get, or unsubscribe{message.unsubscribe_link}\n");
        assertThat(WayOut.in(style, Locale.UK, false, false)).isEqualTo(style);
    }
}
