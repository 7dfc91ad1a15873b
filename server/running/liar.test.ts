/** Five devices in one class, one of them lying: what the other four said stands to the letter. */
import { toPains, toRecords, toSigns } from '@/core/running/records';
import { replay } from '@/core/running/replay';
import { seededRandom } from '@/core/random';
import { queueRule } from '@/core/running/queue';
import { floorAct, type FloorAct, type Tap } from '@/core/running/tap';
import { listClassRecords, listTaps } from '@/db/floor';
import { painReport, stopSign } from '@/db/schema';
import { eq } from 'drizzle-orm';
import { database } from '../database';
import { takeTaps, type Taken, type Tapper } from './floor';
import { readCatalog } from '../judging/schools';
import { withThrowawayStudio } from '@/features/testing/studio';
import { begin, teacherTaps } from '@/features/testing/floor';
import { ofMany } from '@/core/testing/depth';

withThrowawayStudio();

function seeded(start: number) {
  const next = seededRandom(start);
  return { next, below: (count: number) => Math.floor(next() * count) };
}

const tapper = (deviceId: number): Tapper => ({
  maySay: 'assistant',
  maySee: 'assistant',
  deviceId,
});

const honest = [
  { name: 'desk', who: teacherTaps },
  { name: 'north', who: tapper(1) },
  { name: 'south', who: tapper(2) },
  { name: 'door', who: tapper(3) },
] as const;
const liar = tapper(4);

/** What a device of the floor says in an evening, as its own row of taps. */
function rowOf(device: string, people: readonly string[], count: number, start: number): Tap[] {
  const random = seeded(start);
  const someone = () => people[random.below(people.length)]!;
  const acts: FloorAct[] = [];
  let holds = 0;
  while (acts.length < count) {
    const hold = `${device}-${(holds += 1)}`;
    const [a, b] = [someone(), someone()];
    acts.push(
      {
        kind: 'hold-start',
        hold,
        check: 'dolphin-hold',
        base: null,
        side: null,
        people: [...new Set([a, b])],
      },
      { kind: 'hold-down', hold, person: a },
      { kind: 'hold-stop', hold },
      {
        kind: 'try',
        person: someone(),
        what: random.next() < 0.5 ? 'hop' : 'kick',
        stage: null,
        base: null,
        round: 1,
        leg: 'left',
        reached: random.next() < 0.5,
        blocksKept: true,
        landing: 'soft',
        isAssisted: false,
      },
    );
    if (random.next() < 0.08) acts.push({ kind: 'sign', person: someone(), sign: 'ringing' });
    if (random.next() < 0.08) acts.push({ kind: 'sore', person: someone(), place: 'wrist' });
    // Nobody takes back more than their own last word.
    if (random.next() < 0.1) acts.push({ kind: 'undo', tap: `${device}.${acts.length}` });
  }
  return acts.slice(0, count).map((act, index) => ({
    device,
    seq: index + 1,
    at: { boot: device, monoMs: (index + 1) * 700, wallMs: 1e12 + (index + 1) * 700 },
    act: floorAct.parse(act),
  }));
}

/** In each of them two lies and eight taps. */
const turns = ofMany(200, 40);

it('keeps every tap of four devices exactly while a fifth lies again and again', () => {
  const { uid, row, people } = begin();
  const random = seeded(7);
  const rows = honest.map(({ name }, index) => rowOf(name, people, 2 * turns, 11 + index));
  const sent = rows.map(() => 0);
  const deliver = (index: number, from: number, count: number): Taken =>
    takeTaps(
      uid,
      { device: honest[index]!.name, after: 0, taps: rows[index]!.slice(from, from + count) },
      honest[index]!.who,
    );

  /** One lie: under another's name, ahead of a row, under a number that was used, or no tap at all. */
  const lie = (turn: number) => {
    const victim = random.below(honest.length);
    const upTo = sent[victim]!;
    const about = people[random.below(people.length)]!;
    const at = { boot: 'liar', monoMs: turn * 10, wallMs: 1e12 + turn * 10 };
    const undo = { kind: 'undo', tap: `${honest[victim]!.name}.${1 + random.below(upTo + 1)}` };
    const under = (device: string, seq: number, act: object) => ({ device, seq, at, act });
    const ways: (() => { device: string; taps: unknown[] })[] = [
      () => ({ device: honest[victim]!.name, taps: [under(honest[victim]!.name, upTo + 1, undo)] }),
      () => ({
        device: honest[victim]!.name,
        taps: [under(honest[victim]!.name, upTo + 40, { kind: 'halt', person: about })],
      }),
      () => ({
        device: honest[victim]!.name,
        taps: [under(honest[victim]!.name, 1 + random.below(upTo + 1), undo)],
      }),
      // Under its own name, a tap that carries another's.
      () => ({ device: 'liar', taps: [under(honest[victim]!.name, upTo + 1, undo)] }),
      () => ({ device: 'liar', taps: [under('liar', 1, undo)] }),
      () => ({ device: 'liar', taps: [under('liar', 1 + random.below(2000), { kind: 'end' })] }),
      () => ({ device: 'liar', taps: [{ seq: 1 + random.below(4), act: 'nonsense' }, null, 7] }),
      () => ({ device: `${honest[victim]!.name}.1`, taps: [] }),
      () => ({ device: 'liar', taps: Array.from({ length: queueRule.most + 1 }, () => undo) }),
    ];
    const { device, taps } = ways[turn % ways.length]!();
    takeTaps(uid, { device, after: 0, taps }, liar);
  };

  // A name is whose session used it first: the liar is never first, all devices greet at once.
  for (let index = 0; index < rows.length; index += 1) deliver(index, 0, 0);
  for (let turn = 0; turn < turns; turn += 1) {
    lie(2 * turn);
    lie(2 * turn + 1);
    const index = turn % honest.length;
    // Eight at a time, now and then some of them again: the answer was lost on the way.
    const again = Math.min(sent[index]!, random.below(4));
    const outcome = deliver(index, sent[index]! - again, 8 + again);
    expect(outcome).toMatchObject({ ok: true, value: { upTo: sent[index]! + 8, refused: 0 } });
    sent[index]! += 8;
  }

  const kept = listTaps(database(), row.id).map(({ tap }) => tap);
  for (const [index, { name }] of honest.entries()) {
    expect(kept.filter(({ device }) => device === name)).toEqual(rows[index]);
  }
  // The record of every person is what the four alone say.
  const state = replay(rows.flat());
  const { checks } = readCatalog(database());
  const keysOf = (list: readonly { readonly key: string; readonly person: string }[]) =>
    list.map(({ key, person }) => `${key} ${person}`).sort();
  const written = listClassRecords(database(), row.id).map(
    ({ originKey, personId, value }) => `${originKey} ${personId} ${value}`,
  );
  const meant = toRecords(state, checks as Parameters<typeof toRecords>[1]).map(
    ({ key, person, value }) => `${key} ${person} ${value}`,
  );
  expect(meant.length).toBeGreaterThan(1.5 * turns);
  expect([...written].sort()).toEqual([...meant].sort());
  for (const [table, list] of [
    [stopSign, toSigns(state)],
    [painReport, toPains(state)],
  ] as const) {
    const stored = database()
      .select({ key: table.originKey, personId: table.personId })
      .from(table)
      .where(eq(table.classId, row.id))
      .all();
    expect(list.length).toBeGreaterThan(ofMany(10, 1));
    expect(stored.map(({ key, personId }) => `${key} ${personId}`).sort()).toEqual(keysOf(list));
  }
});
