import fc from 'fast-check';
import { checkTable } from '../catalog/checks';
import { down, makeDevice, start, stop } from '../testing/device';
import { nextDelivery, stillWaiting, takeIn, waitAfter } from './queue';
import { toRecords } from './records';
import { replay } from './replay';
import type { FloorAct, Tap } from './tap';
import { tapId, uniteTaps } from './taps';

/** Random taps of two devices, as a class might make them; some undo others. */
const classTaps = fc
  .array(
    fc.record({
      who: fc.constantFrom('t', 'h'),
      wait: fc.nat(9000),
      person: fc.constantFrom('1', '2', '3'),
      kind: fc.nat(8),
      reloads: fc.nat(12).map((n) => n === 0),
      jump: fc.nat(15).map((n) => (n === 0 ? 120 : 0)),
    }),
    { maxLength: 60 },
  )
  .map((steps) => {
    const devices = { t: makeDevice('t'), h: makeDevice('h', { wallMs: 1_000_900 }) };
    const taps: Tap[] = [];
    steps.forEach(({ who, wait, person, kind, reloads, jump }, index) => {
      const device = devices[who as 't' | 'h'];
      device.wait(wait / 1000);
      if (reloads) device.reload(1, `r${index}`);
      if (jump > 0) device.setClock(jump);
      const hold = `h${Math.floor(index / 10)}`;
      const acts: FloorAct[] = [
        start(hold, ['1', '2', '3']),
        down(hold, person),
        stop(hold),
        { kind: 'segment', index, roundsDone: 0 },
        { kind: 'absent', person, isAbsent: index % 2 === 0 },
        { kind: 'sore', person, place: 'wrist' },
        { kind: 'hold-settle', hold, keep: index % 3 === 0 },
        { kind: 'undo', tap: taps.length > 0 ? tapId(taps[index % taps.length]!) : 't.1' },
      ];
      taps.push(kind === 8 ? device.anchor() : device.tap(acts[kind]!));
    });
    return taps;
  });

const view = (taps: readonly Tap[]) => {
  const { undoable, ...state } = replay(taps);
  return JSON.stringify([
    { ...state, door: [...state.door], absent: [...state.absent], late: [...state.late] },
    [...undoable].sort(([a], [b]) => (a < b ? -1 : 1)),
    toRecords(replay(taps), checkTable),
  ]);
};

describe('any delivery', () => {
  it('in any order, however often, gives the same record', () => {
    fc.assert(
      fc.property(classTaps, fc.infiniteStream(fc.nat(1000)), (taps, stream) => {
        const random = () => stream.next().value;
        const messy = [...taps, ...taps.filter(() => random() % 3 === 0)]
          .map((one) => [random(), one] as const)
          .sort(([a], [b]) => a - b)
          .map(([, one]) => one);
        expect(view(uniteTaps(messy))).toBe(view(taps));
      }),
      { numRuns: 300 },
    );
  });

  it('over a wire that drops, repeats and reorders, arrives once and in order', () => {
    fc.assert(
      fc.property(classTaps, fc.array(fc.nat(5), { minLength: 40 }), (taps, wire) => {
        const kept: Tap[] = [];
        for (const device of ['t', 'h']) {
          const own = taps.filter((one) => one.device === device);
          let waiting: Tap[] = [];
          let late: Tap[] = [];
          own.forEach((one, index) => {
            waiting.push(one);
            const upTo = kept.filter((tap) => tap.device === device).at(-1)?.seq ?? 0;
            const delivery = nextDelivery(waiting);
            const luck = wire[index % wire.length];
            // Lost on the way there.
            if (luck === 0) return;
            // Overtaken: an older delivery arrives again, its last tap without those before it.
            const arriving = luck === 1 ? [...delivery.slice(-1), ...late] : delivery;
            late = delivery;
            const row = kept.filter((tap) => tap.device === device);
            const taken = takeIn(upTo, arriving, (seq) => row[seq - 1]);
            // Refused as a whole: the device is told where its row ends.
            if (taken.kind === 'kept') kept.push(...taken.fresh);
            // Lost on the way back: the device does not know that it was heard.
            if (luck !== 2) waiting = stillWaiting(waiting, taken.upTo);
          });
          const upTo = kept.filter((tap) => tap.device === device).at(-1)?.seq ?? 0;
          const row = kept.filter((tap) => tap.device === device);
          const rest = stillWaiting(nextDelivery(waiting), upTo);
          const last = takeIn(upTo, rest, (seq) => row[seq - 1]);
          if (last.kind === 'kept') kept.push(...last.fresh);
          expect(kept.filter((tap) => tap.device === device)).toEqual(own);
        }
        expect(view(kept)).toBe(view(taps));
      }),
    );
  });

  it('waits longer after each failure, but never for ever', () => {
    expect([0, 1, 2, 3, 30].map(waitAfter)).toEqual([0, 1000, 2000, 4000, 15_000]);
  });
});
