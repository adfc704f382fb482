package famulus.server.paper;

import com.ibm.icu.text.ArabicShaping;
import com.ibm.icu.text.ArabicShapingException;
import com.ibm.icu.text.Bidi;
import com.openhtmltopdf.bidi.BidiReorderer;
import com.openhtmltopdf.bidi.BidiSplitter;
import com.openhtmltopdf.bidi.BidiTextRun;

/** Text that runs to the left, or both ways, by the Unicode Bidirectional Algorithm (UAX 9) of ICU. */
final class WritingDirection {
    private WritingDirection() {}

    /** Finds the stretches of a paragraph that run one way. */
    static final class Splitter implements BidiSplitter {
        private final Bidi bidi = new Bidi();

        @Override
        public void setParagraph(String paragraph, byte direction) {
            byte level =
                    switch (direction) {
                        case LTR -> Bidi.LTR;
                        case RTL -> Bidi.RTL;
                        default -> Bidi.LEVEL_DEFAULT_LTR;
                    };
            bidi.setPara(paragraph, level, null);
        }

        @Override
        public int countTextRuns() {
            return bidi.countRuns();
        }

        @Override
        public BidiTextRun getVisualRun(int at) {
            var run = bidi.getVisualRun(at);
            return new BidiTextRun(run.getStart(), run.getLength(), run.getDirection() == Bidi.RTL ? RTL : LTR);
        }

        @Override
        public byte getBaseDirection(String paragraph) {
            return switch (Bidi.getBaseDirection(paragraph)) {
                case Bidi.LTR -> LTR;
                case Bidi.RTL -> RTL;
                default -> NEUTRAL;
            };
        }
    }

    /** Turns a stretch that runs to the left round, its letters joined as they are written. */
    static final class Reorderer implements BidiReorderer {
        private static final ArabicShaping JOINED =
                new ArabicShaping(ArabicShaping.LETTERS_SHAPE | ArabicShaping.LENGTH_GROW_SHRINK);
        private static final ArabicShaping APART =
                new ArabicShaping(ArabicShaping.LETTERS_UNSHAPE | ArabicShaping.LENGTH_GROW_SHRINK);

        @Override
        public String reorderRTLTextToLTR(String text) {
            return Bidi.writeReverse(text, Bidi.DO_MIRRORING);
        }

        @Override
        public String shapeText(String text) {
            return shaped(JOINED, text);
        }

        @Override
        public String deshapeText(String text) {
            return shaped(APART, text);
        }

        private static String shaped(ArabicShaping how, String text) {
            try {
                return how.shape(text);
            } catch (ArabicShapingException e) {
                return text;
            }
        }

        @Override
        public boolean isLiveImplementation() {
            return true;
        }
    }
}
