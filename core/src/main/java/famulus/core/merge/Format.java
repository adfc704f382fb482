package famulus.core.merge;

import famulus.core.syntax.Quoted;

/** How a value is printed, as asked for after {@code as}. */
public sealed interface Format {

    /** Its written form, without {@code as}. */
    String written();

    /**
     * One of the formats with a name.
     *
     * @param name which
     */
    record Named(FormatName name) implements Format {
        @Override
        public String written() {
            return name.written();
        }
    }

    /**
     * A number with so many digits after the decimal mark.
     *
     * @param digits 0 to 9
     */
    record Decimals(int digits) implements Format {
        @Override
        public String written() {
            return digits + " decimals";
        }
    }

    /**
     * A date pattern in the letters of Unicode CLDR (UTS 35, part 4).
     *
     * @param pattern a pattern that has been tried and works
     */
    record Pattern(String pattern) implements Format {
        @Override
        public String written() {
            return Quoted.of(pattern);
        }
    }

    /**
     * Two texts for a yes/no value.
     *
     * @param yes printed for yes
     * @param no printed for no
     */
    record YesOrNo(String yes, String no) implements Format {
        @Override
        public String written() {
            return Quoted.of(yes) + " or " + Quoted.of(no);
        }
    }
}
