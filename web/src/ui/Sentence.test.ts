import { cleanup, fireEvent, render, screen, within } from '@testing-library/svelte';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import Sentence from './Sentence.svelte';

type Condition = Schemas['ShownCondition'];
type Group = Schemas['FoundField']['group'];

function field(path: string, label: string, group: Group, choices: string[] = []): Schemas['FoundField'] {
  return {
    path,
    label,
    whose: path.split('.')[0],
    source: 'contact',
    type: group === 'FIGURES' ? 'NUMBER' : group === 'DAYS' ? 'DATE' : 'TEXT',
    written: `{${path}}`,
    value: '',
    formats: [],
    group,
    choices,
  };
}

const fields = [
  field('person.title', 'Title', 'WORDS'),
  field('contact.crop', 'Crop', 'WORDS', ['apple', 'pear']),
  field('contact.hectares', 'Hectares', 'FIGURES'),
  field('contact.blossom', 'Blossom', 'DAYS'),
];
const all: Group[] = ['WORDS', 'FIGURES', 'DAYS', 'ANSWER', 'SEVERAL', 'COLLEAGUE'];
const verbs: Schemas['ShownVerb'][] = [
  { verb: 'IS', written: 'is', after: '', takes: 'ONE', groups: ['WORDS', 'FIGURES', 'DAYS'] },
  { verb: 'IS_ONE_OF', written: 'is one of', after: '', takes: 'SEVERAL', groups: ['WORDS', 'FIGURES'] },
  { verb: 'IS_MORE_THAN', written: 'is more than', after: '', takes: 'ONE', groups: ['FIGURES'] },
  { verb: 'IS_MORE_THAN_AGO', written: 'is more than', after: ' ago', takes: 'DAYS', groups: ['DAYS'] },
  { verb: 'IS_FILLED', written: 'is filled', after: '', takes: 'NOTHING', groups: all },
];

function comparison(path: string, verb: Condition['verb'], ...measures: Condition['measures']): Condition {
  return { kind: 'comparison', parts: [], path, steps: [], verb, measures };
}

function text(value: string): Condition['measures'][number] {
  return { kind: 'text', value, currency: '', steps: [] };
}

function show(condition: Condition) {
  const onchange = vi.fn<(next: Condition) => void>();
  render(Sentence, { condition, fields, verbs, label: 'When it prints', onchange });
  return { onchange, last: () => onchange.mock.lastCall![0] };
}

async function choose(label: string, code: string) {
  await fireEvent.change(screen.getByLabelText(label), { target: { value: code } });
}

afterEach(cleanup);

describe('a condition as a sentence', () => {
  it('reads as it was written', () => {
    show(comparison('contact.crop', 'IS', text('APPLE')));
    expect(screen.getByRole('group', { name: 'When it prints' })).toBeTruthy();
    expect((screen.getByLabelText('What is compared') as HTMLSelectElement).value).toBe('contact.crop');
    expect((screen.getByLabelText('Which') as HTMLSelectElement).value).toBe('apple');
  });

  it('offers the ways that fit the field, and begins anew what no longer fits', async () => {
    const { last } = show(comparison('contact.crop', 'IS', text('apple')));
    await choose('What is compared', 'contact.blossom');
    expect(last()).toMatchObject({
      path: 'contact.blossom',
      verb: 'IS',
      measures: [{ kind: 'field', value: 'today' }],
    });
  });

  it('keeps what still fits when only the way changes', async () => {
    const { last } = show(comparison('contact.crop', 'IS', text('pear')));
    await choose('How', 'IS_ONE_OF');
    expect(last()).toMatchObject({ verb: 'IS_ONE_OF', measures: [{ value: 'pear' }] });
  });

  it('compares with another field, and back', async () => {
    const { last } = show(comparison('person.title', 'IS', text('Ms')));
    await fireEvent.click(screen.getByLabelText('Compare with another field'));
    expect(last().measures).toEqual([{ kind: 'field', value: 'contact.crop', currency: '', steps: [] }]);
  });

  it('reckons the day that is compared', async () => {
    const { last } = show(comparison('contact.blossom', 'IS_FILLED'));
    await fireEvent.click(screen.getByText('plus or minus …'));
    expect(last()).toMatchObject({ path: 'contact.blossom', steps: [{ number: 5, unit: 'WORKING_DAY' }] });
  });

  it('asks for days where days are counted', async () => {
    const { last } = show(comparison('contact.blossom', 'IS_FILLED'));
    await choose('How', 'IS_MORE_THAN_AGO');
    expect(last().measures).toEqual([{ kind: 'number', value: '30', currency: '', steps: [] }]);
  });

  it('joins parts, and takes them out again', async () => {
    const one = comparison('person.title', 'IS_FILLED');
    const { last } = show(one);
    await fireEvent.click(screen.getByText('and …'));
    expect(last()).toMatchObject({ kind: 'every', parts: [one, { path: 'person.title' }] });
  });

  it('changes how parts are joined, and leaves a single part bare', async () => {
    const parts = [comparison('person.title', 'IS_FILLED'), comparison('contact.crop', 'IS_FILLED')];
    const { last } = show({ kind: 'every', parts, path: '', steps: [], verb: null, measures: [] });
    await choose('How the parts are joined', 'or');
    expect(last()).toMatchObject({ kind: 'any', parts });
    await fireEvent.click(screen.getByLabelText('Remove part 1'));
    expect(last()).toEqual(parts[1]);
  });

  it('shows and turns what must not hold', async () => {
    const part = comparison('person.title', 'IS_FILLED');
    const { last } = show({ kind: 'not', parts: [part], path: '', steps: [], verb: null, measures: [] });
    const bracket = screen.getByRole('group', { name: 'Bracketed part' });
    expect(within(bracket).getByLabelText('What is compared')).toBeTruthy();
    await choose('Whether the bracket has to hold', '');
    expect(last()).toEqual(part);
  });
});
