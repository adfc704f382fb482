package famulus.server.interchange;

import famulus.core.intake.OldEnds;
import famulus.server.library.Draft;
import famulus.server.records.PeopleContext.Person;
import java.time.LocalDate;
import java.util.Optional;

/**
 * A message that is to become a template.
 *
 * @param person whom it was written to; empty for nobody that we know
 * @param written the day it was written on
 * @param ends what can be left out of it
 */
record MessageToRead(Draft draft, Optional<Person> person, LocalDate written, OldEnds ends) {}
