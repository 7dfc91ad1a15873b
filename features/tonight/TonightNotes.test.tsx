import { screen, within } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { TonightNotes } from './TonightNotes';

const person = (id: number, name: string, kind: string, more: object = {}, hurtOn?: string) => ({
  person: { id, name, screenedOn: null },
  verdict: { kind, ...more },
  opened: { pains: hurtOn === undefined ? [] : [{ date: hurtOn }] },
});
const people = [
  person(1, 'Ada Wren', 'advance'),
  person(2, 'Bo Lind', 'stop', { cause: 'pain' }, '2026-11-12'),
  // It closes nothing of this evening’s stage, and hurt after breakfast; the evening is another day.
  person(3, 'Cleo Marsh', 'advance', { alternative: 'calves-on-chair' }, '2026-11-19'),
];
const check = { check: 'plank-hold', label: 'Plank hold', isTogether: true, minutes: 2 };

function show(absent: readonly string[]) {
  const left = ['1', '2', '3'].filter((id) => !absent.includes(id));
  renderUi(
    <TonightNotes
      view={
        {
          people,
          settings: { units: 'cm' },
          today: '2026-11-19',
          meeting: { date: '2026-11-20' },
        } as never
      }
      members={people.map(({ person: { id, name } }) => ({ id: String(id), name })) as never}
      plan={
        {
          wishes: { absent },
          checks: [{ ...check, people: left.map((id) => ({ id, why: '' })) }],
          rounds: [],
          stations: [{ letter: 'A', baseM: 0.86 }, { letter: 'B', baseM: 0.512 }, { letter: 'C' }],
          layOut: [],
          binding: [],
          relief: null,
        } as never
      }
      prepared={[]}
      fromHome={[2]}
    />,
  );
  return (title: RegExp) =>
    within(screen.getByRole('heading', { name: title }).parentElement!)
      .queryAllByRole('listitem')
      .map((item) => item.textContent?.replace(/\s+/g, ' '));
}

it('says who is asked what, what is looked at, and where the tape goes', () => {
  const linesOf = show([]);
  expect(linesOf(/marks/)).toEqual(['1 open', '1 not this one', '1 in another shape']);
  expect(linesOf(/To look at/)).toEqual(['Plank hold, all together']);
  expect(linesOf(/Before people arrive/)[0]).toBe('Tape marks from the wall: 51, 86 cm');
  expect(linesOf(/Ask at the door/)).toEqual([
    'Everyone: anything new or sore today?',
    'Screening is due: Ada Wren, Bo Lind, Cleo Marsh',
    'Something from home: Bo Lind',
    'Bo Lind: how is it today?',
    'Cleo Marsh: how is it today?',
  ]);
});

it('neither counts nor asks who is away', () => {
  const linesOf = show(['2']);
  expect(linesOf(/marks/)).toEqual(['1 open', '1 in another shape']);
  expect(linesOf(/To look at/)).toEqual(['Plank hold, all together']);
  expect(linesOf(/Ask at the door/).join(' ')).not.toContain('Bo');
});
