import { searchParams } from 'sv-router';
import { ask, fieldsOf, sentence, type Schemas } from '../api/client';

export type KeptList = Schemas['ShownList'];
type Condition = Schemas['ShownCondition'];
type Kind = Schemas['ListSelection']['kind'];

function put(name: string, value: string) {
  if (value) searchParams.set(name, value);
  else searchParams.delete(name);
}

/** What narrows a list of records: a list that is kept, and a condition. The address says both. */
export class Narrowing {
  lists = $state.raw<KeptList[]>([]);
  fields = $state.raw<Schemas['FoundField'][]>([]);
  verbs = $state.raw<Schemas['ShownVerb'][]>([]);
  /** The condition as a sentence, as far as it could be read. */
  condition = $state.raw<Condition | null>(null);
  /** What is wrong with it. */
  wrong = $state('');
  /** The written form that {@link condition} came of. */
  private read = '';
  private asked = 0;

  constructor(readonly kind: Kind) {
    void this.load();
  }

  readonly listId = $derived(String(searchParams.get('list') ?? ''));
  /** The condition of the address; nothing for that of the list. */
  readonly typed = $derived(String(searchParams.get('where') ?? ''));
  readonly list = $derived(this.lists.find((one) => one.id === this.listId) ?? null);
  /** The condition that narrows, wherever it comes from. */
  readonly where = $derived(this.typed || (this.list?.live ? this.list.condition : ''));
  /** The list whose records are left out, of the address; nothing for that of the list. */
  readonly minus = $derived(String(searchParams.get('minus') ?? ''));
  /** A list of deals whose contacts are wanted, and what they are to these, of the address. */
  readonly deals = $derived(String(searchParams.get('deals') ?? ''));
  readonly role = $derived(String(searchParams.get('role') ?? ''));
  /** The lists of deals that there are to choose from, and what a contact can be to a deal; for contacts only. */
  dealLists = $state.raw<KeptList[]>([]);
  roles = $state.raw<string[]>([]);
  /** The lists whose records can be left out: those that are not made of others. */
  readonly simple = $derived(this.lists.filter((one) => one.id !== this.listId && !one.minus && !one.base));
  /** Whether there is something that is not kept yet. */
  readonly unkept = $derived(
    (this.typed !== '' && this.typed !== this.list?.condition) ||
      (this.minus !== '' && (this.listId !== '' || this.typed !== '')) ||
      this.deals !== '',
  );
  readonly any = $derived(this.listId !== '' || this.typed !== '' || this.minus !== '' || this.deals !== '');

  private async load() {
    try {
      [this.lists, this.fields, this.verbs] = await Promise.all([
        ask('get', '/api/lists/kept/{kind}', { params: { kind: this.kind } }),
        ask('get', '/api/lists/fields/{kind}', { params: { kind: this.kind } }),
        ask('get', '/api/desk/verbs'),
      ]);
      if (this.kind !== 'contact') return;
      const [deals, roles] = await Promise.all([
        ask('get', '/api/lists/kept/{kind}', { params: { kind: 'deal' } }),
        ask('get', '/api/records/deal/roles'),
      ]);
      this.dealLists = deals.filter((one) => !one.minus && !one.base);
      this.roles = roles;
    } catch (failure) {
      this.wrong = sentence(failure);
    }
  }

  async renew(): Promise<void> {
    this.lists = await ask('get', '/api/lists/kept/{kind}', { params: { kind: this.kind } });
  }

  /** Makes the sentence say what the address says. */
  async follow(where: string): Promise<void> {
    if (where === this.read) return;
    this.read = where;
    this.wrong = '';
    if (!where) {
      this.condition = null;
      return;
    }
    await this.take({ kind: this.kind, written: where, condition: null });
  }

  /** Takes what the sentence says now into the address. */
  async change(condition: Condition): Promise<void> {
    this.condition = condition;
    const written = await this.take({ kind: this.kind, written: null, condition });
    if (written === undefined) return;
    this.read = written;
    this.narrow(written);
  }

  private async take(body: Schemas['ListConditionRequest']): Promise<string | undefined> {
    const mine = ++this.asked;
    try {
      const answer = await ask('post', '/api/lists/condition', { body });
      // An answer to what has been changed since is out of date.
      if (mine !== this.asked) return undefined;
      this.condition = answer.condition ?? null;
      this.wrong = answer.problems.map((problem) => problem.sentence).join(' ');
      return answer.written;
    } catch (failure) {
      if (mine === this.asked) this.wrong = Object.values(fieldsOf(failure))[0] ?? sentence(failure);
      return undefined;
    }
  }

  /** Begins a condition with a part that can be changed. */
  begin(): void {
    const first = this.fields.find((one) => one.path.includes('.'))?.path ?? 'today';
    const part: Condition = {
      kind: 'comparison',
      parts: [],
      path: first,
      steps: [],
      verb: 'IS_FILLED',
      measures: [],
    };
    void this.change(part);
  }

  private narrow(where: string) {
    if (where && where !== this.list?.condition) searchParams.set('where', where);
    else searchParams.delete('where');
  }

  /** Leaves the condition out; of a live list its own one counts again. */
  clear(): void {
    this.asked++;
    searchParams.delete('where');
  }

  /** Leaves out those on a list; nobody when empty. */
  leaveOut(list: string): void {
    put('minus', list);
  }

  /** Only the contacts of deals on a list, and what they are to these; of whatever deals when empty. */
  onDeals(list: string, role: string): void {
    put('deals', list);
    put('role', list && role);
  }

  choose(list: string): void {
    this.asked++;
    for (const name of ['where', 'minus', 'deals', 'role']) searchParams.delete(name);
    const chosen = this.lists.find((one) => one.id === list);
    put('list', list);
    put('by', chosen?.sort ?? '');
    put('down', chosen?.descending ? 'yes' : '');
  }
}
