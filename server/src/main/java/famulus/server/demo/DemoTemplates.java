package famulus.server.demo;

import famulus.core.field.About;
import famulus.server.library.Draft;
import java.util.List;

/** Plain templates. One has a slip in it, for the proofreader to find. */
final class DemoTemplates {
    /** The name of the one that has a slip in it. */
    static final String WITH_A_SLIP = "Pick-up";

    private DemoTemplates() {}

    static List<Draft> all() {
        return List.of(
                new Draft(
                        "First word",
                        "First word",
                        About.LEAD,
                        "Bees for {lead.company else \"your blossom\"}",
                        "Who we are, in four sentences",
                        """
                        Dear {person.first_name as name else "grower"},

                        Thank you for your interest in our hives. We are {our.name}, and we bring honey bees and mason bees to orchards and seed fields for the weeks in which they are needed.

                        On {lead.hectares else "your"} hectares of {lead.crop else "fruit"} I would usually start with a walk through the rows. May I come by? Half an hour is enough.

                        Kind regards
                        {sender.signature else sender.full_name}
                        """),
                new Draft(
                        "After a call",
                        "After a call",
                        About.PERSON,
                        "What we said on the phone",
                        "A short note so that neither of us forgets",
                        """
                        Dear {person.first_name as name else "neighbour"},

                        Thank you for your time on the phone today, {today as weekday and long date}. I have noted what we said and will come back to you with figures.

                        If something comes up before then, call me: {sender.phone else our.phone}.

                        Kind regards
                        {sender.signature else sender.full_name}
                        """),
                new Draft(
                        "After the site visit",
                        "After a call",
                        About.CONTACT,
                        "Our walk through {contact.orchard_name else \"your orchard\"}",
                        "A few impressions, and what I would suggest",
                        """
                        Dear {person.first_name as name else "neighbour"},

                        Thank you for showing me {contact.orchard_name else "your orchard"}. With {contact.hectares else "so many"} hectares of {contact.crop else "fruit"} and blossom expected from {contact.blossom_starts as day and month else "the usual week"}, I would plan the hives along the sheltered side.

                        Access as you described it: {contact.access_notes else "by the main gate"}. Is that still right?

                        Kind regards
                        {sender.signature else sender.full_name}
                        """),
                new Draft(
                        "Quote cover",
                        "Quotes",
                        About.DEAL,
                        "Our quote: {deal.name}",
                        "{deal.hive_count as whole else \"Your\"} hives, with dates and terms",
                        """
                        Dear {person.first_name as name else "neighbour"},

                        Here is our quote for {deal.name}: {deal.hive_count as whole} hives of {deal.hive_strength else "standard"} strength, {deal.value as money} in all.

                        We would place them on {deal.placement_date as weekday and long date} and fetch them again around {deal.pick_up_date as day and month else "the end of blossom"}. A deposit of {deal.deposit as money else "one fifth"} holds the date for you.

                        Shall I keep it for you until {deal.closes_on as weekday and long date else "the end of the month"}?

                        Kind regards
                        {sender.signature else sender.full_name}
                        """),
                new Draft(
                        "Quote reminder",
                        "Quotes",
                        About.DEAL,
                        "Your hives for {deal.placement_date as month else \"this season\"}",
                        "Still free, but not for long",
                        """
                        Dear {person.first_name as name else "neighbour"},

                        I am still holding {deal.hive_count as whole else "your"} hives for {deal.organisation.name else "you"}. Blossom does not wait, and neither do the other growers: may I count on you?

                        A word by {deal.closes_on as long date else "Friday"} is enough.

                        Kind regards
                        {sender.signature else sender.full_name}
                        """),
                new Draft(
                        "Placement notice",
                        "Placement week",
                        About.DEAL,
                        "{deal.hive_count as whole} hives for {contact.orchard_name else \"your orchard\"} on {deal.placement_date as day and month}",
                        "The day, the hives, and one thing we need at the gate",
                        """
                        Dear {person.first_name as name else "neighbour"},

                        Blossom on your {contact.variety_mix} is close. We’re coming on {deal.placement_date as weekday and long date} with {deal.hive_count as whole} hives, before sunrise, while the bees are still at home.

                        Please keep the rows free of sprays for two days before. I hope {deal.spraying_contact else "your foreman"} knows about it.

                        The deposit of {deal.deposit as money} has to reach us before we load.

                        Kind regards
                        {sender.signature else sender.full_name}
                        """),
                new Draft(
                        WITH_A_SLIP,
                        "Placement week",
                        About.DEAL,
                        "We’re fetching the hives on {deal.pickup_date as day and month}",
                        "The evening we come, and one gate to leave open",
                        """
                        Dear {person.first_name as name else "neighbour"},

                        The petals are falling, and the bees have done their work. We’ll fetch them on {deal.pick_up_date as weekday and long date}, after sunset.

                        Please leave the gate unlocked that evening.

                        Kind regards
                        {sender.signature else sender.full_name}
                        """),
                new Draft(
                        "Thank you for the season",
                        "Thank-yous",
                        About.DEAL,
                        "Thank you, {person.first_name as name else organisation.name}",
                        "A good season, and a question",
                        """
                        Dear {person.first_name as name else "neighbour"},

                        The last hives from {deal.name} are back in our yard, heavy and in good health. Thank you for looking after them so well.

                        How was the fruit set? A line would help us to plan the next season.

                        Kind regards
                        {sender.signature else sender.full_name}
                        """),
                new Draft(
                        "Winter hello",
                        "Season",
                        About.CONTACT,
                        "Before the buds swell",
                        "",
                        """
                        Dear {person.title else nothing} {person.last_name as name},

                        The colonies are quiet now, and we are mending frames. Before spring begins in earnest: shall we plan {contact.orchard_name else "the coming season"} together? I am near {organisation.town else "you"} every other week.

                        Kind regards
                        {sender.signature else sender.full_name}
                        """),
                new Draft(
                        "Nach dem Telefonat",
                        "After a call",
                        About.PERSON,
                        "Unser Gespräch",
                        "Kurz zusammengefasst",
                        """
                        Guten Tag {person.title else nothing} {person.last_name as name},

                        vielen Dank für das Gespräch heute, am {today as weekday and long date}. Ich melde mich mit Zahlen, sobald ich sie habe.

                        Sie erreichen mich unter {sender.phone else our.phone}.

                        Freundliche Grüße
                        {sender.signature else sender.full_name}
                        """),
                new Draft(
                        "What we agreed",
                        "After a call",
                        About.CONTACT,
                        "What we agreed for {contact.orchard_name else \"your orchard\"}",
                        "So that both of us have it in writing",
                        """
                        {person.greeting},

                        Thank you for your time. We agreed: {write in "what we agreed"}.

                        I’ll {write in "what I do next"} by {today plus 3 working days as weekday and long date}. {when contact.water_on_site is no}Please remember that the bees need water near the rows; a trough is enough. {end}If I have misheard something, tell me.

                        Kind regards
                        {sender.signature else sender.full_name}
                        """),
                new Draft(
                        "Before placement",
                        "Placement week",
                        About.DEAL,
                        "{when deal.placement_date is within the next 14 days}Your hives come {deal.placement_date as distance}{otherwise}Your hives and the weeks before them{end}",
                        "Dates for the weeks ahead",
                        """
                        {person.greeting},

                        {when deal.placement_date is empty}We have no day for your {deal.hive_count as whole else "new"} hives yet. Shall we choose one?{otherwise when deal.placement_date is before today}Your hives have been in the rows since {deal.placement_date as day and month}. I hope they are busy.{otherwise}Your {deal.hive_count as whole} hives arrive on {deal.placement_date as weekday and long date}. Two weeks before, around {deal.placement_date minus 2 weeks as day and month}, we’ll come by to mark the places.{end}

                        {when deal.deposit is more than 0 and document.state is "sent"}The deposit of {deal.deposit as money} is due {today plus 5 working days as long date}, and {document.name} still waits for your signature.{end}

                        Kind regards
                        {sender.signature else sender.full_name}
                        """),
                new Draft(
                        "Season opener",
                        "Season",
                        About.CONTACT,
                        "The bees are awake, {person.first_name as name else organisation.name}",
                        "",
                        """
                        {person.greeting},

                        {when history.last_called is within the last 60 days}It was good to talk the other day. {otherwise when history.times_written is more than 0}It has been a while since I last wrote. {end}We keep {our.hives_kept as whole} colonies this season (as of {our.hives_kept_as_of as month and year}), and the first of them are ready to travel.

                        {when contact.blossom_starts is within the next 45 days}Your blossom begins {contact.blossom_starts as distance}, by my notes. Is that still right?{otherwise}When do you expect your blossom to begin?{end}

                        Kind regards
                        {sender.signature else sender.full_name}
                        """));
    }
}
