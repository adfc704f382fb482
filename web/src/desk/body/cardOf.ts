/** A record or colleague that a card can be about, with what it says of them. */
export interface CardOf {
  /** As it stands in the place of a picture: theirs. */
  picture: string;
  label: string;
  title: string;
  facts: string[];
}

const says = (path: string) => `{${path} else nothing}`;

/** Those there are; a line whose value is missing is left out when the card is read. */
export const CARDS: readonly CardOf[] = [
  {
    picture: 'of-person',
    label: 'whoever it is written to',
    title: '{person.full_name}',
    facts: [says('person.job_title'), says('person.company'), says('person.phone')],
  },
  {
    picture: 'of-organisation',
    label: 'their organisation',
    title: '{organisation.name}',
    facts: [says('organisation.street'), says('organisation.town'), says('organisation.phone')],
  },
  {
    picture: 'of-deal',
    label: 'the deal',
    title: '{deal.name}',
    facts: [says('deal.value'), says('deal.stage'), says('deal.closes_on')],
  },
  {
    picture: 'of-owner',
    label: 'the owner of the record',
    title: '{owner.full_name}',
    facts: [says('owner.job_title'), says('owner.phone'), says('owner.email')],
  },
  {
    picture: 'of-sender',
    label: 'the sender',
    title: '{sender.full_name}',
    facts: [says('sender.job_title'), says('sender.phone'), says('sender.email')],
  },
];

/** Whose picture a card takes; nothing for one of its own, or none. */
export function cardOf(picture: unknown): CardOf | undefined {
  return CARDS.find((one) => one.picture === picture);
}
