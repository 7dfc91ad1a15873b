import type { CheckKey } from '../catalog/checks';
import { closedByWord } from './closedByWord';
import { isOutOfHold, isOutTonight, isUpFor, saidTonight } from './holdOut';
import { replay } from './replay';
import type { FloorAct } from './tap';

const after = (...acts: FloorAct[]) =>
  replay(
    acts.map((act, index) => ({
      device: 't',
      seq: index + 1,
      at: { boot: 'a', monoMs: index * 1000, wallMs: index * 1000 },
      act,
    })),
  );
const person = { id: '1', closedChecks: ['headstand-hold', 'wall-hold/hands'] } as const;
const hold = (check: CheckKey, more: object = {}) => ({ check, byBase: false, ...more });

describe('who takes no part in a hold', () => {
  it('is to whom it was closed when the class was judged, on that base alone', () => {
    const quiet = after();
    expect(isOutOfHold(person, hold('headstand-hold'), null, quiet)).toBe(true);
    const wall = hold('wall-hold', { byBase: true });
    expect(isOutOfHold(person, wall, 'hands', quiet)).toBe(true);
    expect(isOutOfHold(person, wall, 'forearms', quiet)).toBe(false);
    expect(isOutOfHold(person, null, null, quiet)).toBe(false);
  });

  it('is who had a stop sign, in any hold, and who is sore where it loads', () => {
    const signed = after({ kind: 'sign', person: '1', sign: 'tingling' });
    expect(isOutOfHold(person, null, null, signed)).toBe(true);
    const sore = after({ kind: 'sore', person: '1', place: 'wrist' });
    expect(isOutOfHold(person, hold('plank-hold', { regions: ['wrist'] }), null, sore)).toBe(true);
    expect(isOutOfHold(person, hold('hollow-hold', { regions: ['core'] }), null, sore)).toBe(false);
    expect(isOutTonight('2', ['wrist'], sore)).toBe(false);
  });

  it('is who said so before the class as well', () => {
    const said = saidTonight(after(), { sore: [{ person: '1', place: 'wrist' }] });
    expect(isOutTonight('1', ['wrist'], said)).toBe(true);
    expect(isOutTonight('1', ['core'], said)).toBe(false);
    expect(isOutTonight('2', ['wrist'], said)).toBe(false);
  });

  it('is who keeps the feet down, where the shape lifts a foot', () => {
    const quiet = after();
    const up = hold('wall-hold', { byBase: true, feetUp: ['forearms'] });
    expect(isOutOfHold(person, up, 'forearms', quiet, true)).toBe(true);
    expect(isOutOfHold(person, up, 'forearms', quiet, false)).toBe(false);
    expect(isOutOfHold(person, hold('dolphin-hold', { feetUp: [] }), null, quiet, true)).toBe(
      false,
    );
    expect(isUpFor(hold('tuck-hold', { feetUp: [null] }), 'head')).toBe(true);
  });

  it('is whoever was stopped, from all that loads anything, where it is not told why', () => {
    const stopped = after({ kind: 'halt', person: '1' });
    const untold = saidTonight(stopped, { sore: [] }, false);
    expect(isOutTonight('1', ['wrist'], untold)).toBe(true);
    expect(isOutTonight('1', ['hip'], untold)).toBe(true);
    expect(isOutTonight('1', [], untold)).toBe(false);
    expect(isOutTonight('2', ['wrist'], untold)).toBe(false);
    // Where it is told, a stop alone says nothing yet.
    expect(isOutTonight('1', ['wrist'], saidTonight(stopped, { sore: [] }))).toBe(false);
  });

  it('is told by the checks that are closed, and nothing of what was said', () => {
    const checks = [
      hold('plank-hold', { regions: ['wrist', 'core'] }),
      hold('hollow-hold', { regions: ['core'] }),
      hold('wall-hold', { byBase: true, regions: ['shoulder'], feetUp: ['forearms'] }),
    ];
    const closed = (id: string) =>
      closedByWord({ id }, checks, {
        sore: [{ person: '1', place: 'wrist' }],
        feetDown: ['2'],
      });
    expect(closed('1')).toEqual(['plank-hold']);
    expect(closed('2')).toEqual(['wall-hold/forearms']);
    expect(closed('3')).toEqual([]);
  });
});
