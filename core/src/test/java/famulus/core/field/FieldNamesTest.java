package famulus.core.field;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.merge.MergeParser;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FieldNamesTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Blossom starts        | blossom_starts",
                "  Größe (ha) – 2026   | grosse_ha_2026",
                "Crop                  | crop_3",
                "2nd gate              | field_2nd_gate",
                "'!?'                  | field",
                "Ποικιλία              | poikilia",
            })
    void makesAWordOfALabel(String label, String expected) {
        assertThat(FieldNames.of(label, Set.of("crop", "crop_2"))).isEqualTo(expected);
    }

    @Test
    void whateverTheLabelTheNameCanBeWrittenInATemplate() {
        Random random = new Random(4);
        for (int turn = 0; turn < 500; turn++) {
            StringBuilder label = new StringBuilder();
            for (int i = 0; i < 1 + random.nextInt(80); i++) {
                label.appendCodePoint(random.nextInt(0x500));
            }
            String path = "contact." + FieldNames.of(label.toString(), Set.of());
            assertThat(MergeParser.parse("{" + path + "}").written()).isEqualTo("{" + path + "}");
        }
    }
}
