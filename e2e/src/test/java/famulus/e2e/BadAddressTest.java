package famulus.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Addresses that lead nowhere or are no text: a sentence and a way on, never a failure of ours or a framework's words. */
class BadAddressTest extends BrowserTest {
    @Test
    void whateverStandsInTheAddressBarIsAnsweredWithASentenceAndAWayOn() {
        Page page = openAs("Signe", "/people");
        for (String path : List.of(
                "/error",
                "/nothing/here",
                "/%FF",
                "/m/%FF",
                "/m/%C3%28",
                "/m/abc%00",
                "/m/..%2f",
                "/m/unknown",
                "/m/unknown/unsubscribe?x=%FF")) {
            APIResponse answer = page.request().get(address(path));
            assertThat(answer.status()).as(path).isBetween(400, 499);
            assertThat(answer.text())
                    .as(path)
                    .contains("<html")
                    .containsAnyOf("Nothing here", "can’t be read")
                    .doesNotContain("Tomcat", "HTTP Status", "static resource", "Exception", "\"status\"");
        }
        page.navigate(address("/nothing/here"));
        link(page, "Go to the first page").click();
        page.getByRole(com.microsoft.playwright.options.AriaRole.NAVIGATION)
                .first()
                .waitFor();
    }

    @Test
    void aQueryThatIsNoTextIsAnsweredInWords() {
        Page page = openAs("Signe", "/people");
        for (String path : List.of(
                "/api/templates?search=%FF",
                "/api/templates?kind=%FF",
                "/api/templates/fitting?about=%C3",
                "/api/desk/people?about=CONTACT&search=%FF%FE")) {
            APIResponse answer = page.request().get(address(path));
            assertThat(answer.status()).as(path).isEqualTo(400);
            assertThat(answer.text()).as(path).contains("This request can't be read.");
        }
        assertThat(page.request().get(address("/api/nothing")).text()).contains("There is nothing at this address.");
    }
}
