package famulus.core.proof;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class EnvelopeFaultTest {
    @Test
    void saysAllOfItInSentences() {
        assertThat(EnvelopeFault.recipient("address", "Tom Hall has no e-mail address", "Add one first.")
                        .sentence())
                .isEqualTo("Tom Hall has no e-mail address. Add one first.");
    }

    @Test
    void aRefusalIsItsTitle() {
        EnvelopeFault fault =
                EnvelopeFault.doNotEmail("cc", "tom@larkfield.example is on the do-not-email list: asked us.");

        assertThat(fault.title()).isEqualTo("tom@larkfield.example is on the do-not-email list: asked us");
        assertThat(fault.sentence()).isEqualTo(fault.title() + ".");
        assertThat(fault.part()).isEqualTo("cc");
    }

    @Test
    void hasTheCodeOfWhatItIsAbout() {
        assertThat(EnvelopeFault.recipient("to", "x").code()).isEqualTo("recipient");
        assertThat(EnvelopeFault.doNotEmail("to", "x").code()).isEqualTo("do-not-email");
        assertThat(EnvelopeFault.sender("replyTo", "x").code()).isEqualTo("sender");
        assertThat(EnvelopeFault.tooBig("x").code()).isEqualTo("too-big");
        assertThat(EnvelopeFault.fileLost("x").code()).isEqualTo("file-lost");
        assertThat(EnvelopeFault.hour("x").code()).isEqualTo("hour");
    }
}
