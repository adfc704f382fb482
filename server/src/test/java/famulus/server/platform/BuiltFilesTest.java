package famulus.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** A browser asks for the page each time, and for what has its content in its name once. */
class BuiltFilesTest extends ServerTest {
    private MockHttpServletResponse got(String path) throws Exception {
        return mvc.perform(MockMvcRequestBuilders.get(path)).andReturn().getResponse();
    }

    @Test
    void aBrowserKeepsWhatHasItsContentInItsName() throws Exception {
        MockHttpServletResponse page = got("/index.html");
        assertThat(page.getHeader("Cache-Control")).isEqualTo("no-cache");

        assertThat(Pattern.compile("/assets/[^\"]+")
                        .matcher(page.getContentAsString())
                        .results())
                .extracting(MatchResult::group)
                .isNotEmpty()
                .allSatisfy(named ->
                        assertThat(got(named).getHeader("Cache-Control")).isEqualTo("max-age=31536000, immutable"));
    }

    @Test
    void whatIsNoLongerThereIsNotKept() throws Exception {
        MockHttpServletResponse gone = got("/assets/index-of-before.js");

        assertThat(gone.getStatus()).isEqualTo(404);
        assertThat(gone.getHeader("Cache-Control")).doesNotContain("immutable");
    }
}
