package famulus.core.salutation;

/** How a person is addressed. */
public enum Formality {
    /** By surname, with a title if there is one. */
    FORMAL,
    /** By first name. */
    FAMILIAR
}
