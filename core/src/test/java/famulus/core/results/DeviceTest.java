package famulus.core.results;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DeviceTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    COMPUTER | Mozilla/5.0 (Windows NT 10.0; Win64; x64) Reader/128.0
                    COMPUTER | Mozilla/5.0 (Macintosh; Intel Mac OS X 10_15_7) Reader/17.5
                    COMPUTER | Mozilla/5.0 (X11; Linux x86_64; rv:128.0) Reader/128.0
                    COMPUTER | Mozilla/5.0 (X11; CrOS x86_64 14541.0.0) Reader/128.0
                    PHONE    | Mozilla/5.0 (iPhone; CPU iPhone OS 17_5 like Mac OS X) Reader/17.5 Mobile/15E148
                    PHONE    | Mozilla/5.0 (Linux; Android 14; K) Reader/126.0 Mobile
                    PHONE    | Mozilla/5.0 (Android 14; Mobile; rv:128.0) Reader/128.0
                    TABLET   | Mozilla/5.0 (Linux; Android 14; K) Reader/126.0
                    TABLET   | Mozilla/5.0 (iPad; CPU OS 15_8 like Mac OS X) Reader/15.6 Mobile/15E148
                    TABLET   | Mozilla/5.0 (Android 14; Tablet; rv:128.0) Reader/128.0
                    UNKNOWN  | Reader 4
                    UNKNOWN  | ''
                    """)
    void aProgramSaysWhatItRunsOn(Device device, String program) {
        assertThat(Device.of(program)).isEqualTo(device);
    }

    @ParameterizedTest
    @CsvSource({"COMPUTER, a computer", "PHONE, a phone", "TABLET, a tablet", "UNKNOWN, not known"})
    void eachHasWords(Device device, String words) {
        assertThat(device.words()).isEqualTo(words);
    }
}
