import { checkTable } from '../catalog/checks';
import { down, makeDevice, start, stop } from '../testing/device';
import { readClock } from './clock';
import { secondsUpsideDown, toPains, toRecords, toSigns } from './records';
import { hasSign, needsWord, replay } from './replay';
import type { FloorAct, Tap } from './tap';
import { aboutPeople, tapId } from './taps';

const recordsOf = (taps: readonly Tap[]) => toRecords(replay(taps), checkTable);

describe('a group hold', () => {
  it('times who comes down and censors who is up when the clock stops', () => {
    const device = makeDevice('t');
    const taps = [device.tap(start('h', ['1', '2', '3']))];
    device.wait(31.4);
    taps.push(device.tap(down('h', '2')));
    device.wait(5);
    taps.push(device.tap({ kind: 'hold-fault', hold: 'h', person: '3', fault: 'sag' }));
    device.wait(13.6);
    taps.push(device.tap(stop('h')));
    expect(recordsOf(taps)).toEqual([
      expect.objectContaining({ person: '1', value: 50, stoppedByTeacher: true, faults: [] }),
      expect.objectContaining({ person: '2', value: 31.4, stoppedByTeacher: false }),
      expect.objectContaining({ person: '3', value: 50, stoppedByTeacher: true, faults: ['sag'] }),
    ]);
  });

  it('ends for whoever is stopped in the middle of it, at the stop and not at the end', () => {
    const device = makeDevice('t');
    const taps = [device.tap({ kind: 'halt', person: '2' })];
    device.wait(5);
    taps.push(device.tap(start('h', ['1', '2', '3', '4'])));
    device.wait(8);
    taps.push(device.tap({ kind: 'halt', person: '1' }));
    device.wait(2);
    taps.push(device.tap({ kind: 'sign', person: '1', sign: 'tingling' }));
    taps.push(device.tap({ kind: 'sore', person: '3', place: 'wrist' }));
    device.wait(5);
    // Down first, then seen to be sore: the first of the two counts.
    taps.push(device.tap(down('h', '4')));
    device.wait(1);
    taps.push(device.tap({ kind: 'sore', person: '4', place: 'neck' }));
    device.wait(14);
    taps.push(device.tap(stop('h')));
    device.wait(3);
    taps.push(device.tap({ kind: 'halt', person: '2' }));
    const held = (person: string) =>
      recordsOf(taps)
        .filter((one) => one.person === person)
        .map(({ value, stoppedByTeacher }) => [value, stoppedByTeacher]);
    expect(held('1')).toEqual([[8, false]]);
    // Stopped before it began and after it ended: up throughout.
    expect(held('2')).toEqual([[30, true]]);
    expect(held('3')).toEqual([[10, false]]);
    expect(held('4')).toEqual([[15, false]]);
    expect(secondsUpsideDown(replay(taps), checkTable).get('1')).toBe(8);
  });

  it('gives nothing while it runs, and nobody a time from before it was taken back', () => {
    const device = makeDevice('t');
    const taps = [device.tap(start('h', ['1']))];
    device.wait(10);
    const wrong = device.tap(down('h', '1'));
    expect(recordsOf(taps)).toEqual([]);
    taps.push(wrong, device.tap({ kind: 'undo', tap: tapId(wrong) }));
    device.wait(10);
    taps.push(device.tap(stop('h')));
    expect(recordsOf(taps)).toMatchObject([{ value: 20, stoppedByTeacher: true }]);
  });

  it('counts who is tapped after the stop as up when it stopped', () => {
    const device = makeDevice('t');
    const taps = [device.tap(start('h', ['1']))];
    device.wait(12);
    taps.push(device.tap(stop('h')));
    device.wait(0.3);
    taps.push(device.tap(down('h', '1')));
    expect(recordsOf(taps)).toMatchObject([{ value: 12, stoppedByTeacher: true }]);
  });

  it('takes back an undo that was a slip', () => {
    const device = makeDevice('t');
    const first = device.tap(start('h', ['1']));
    device.wait(8);
    const end = device.tap(stop('h'));
    const undo = device.tap({ kind: 'undo', tap: tapId(end) });
    const again = device.tap({ kind: 'undo', tap: tapId(undo) });
    expect(recordsOf([first, end, undo])).toEqual([]);
    expect(recordsOf([first, end, undo, again])).toMatchObject([{ value: 8 }]);
  });
});

describe('clocks', () => {
  const hold = (between: (device: ReturnType<typeof makeDevice>, taps: Tap[]) => void) => {
    const device = makeDevice('t');
    const taps: Tap[] = [device.anchor(), device.tap(start('h', ['1']))];
    device.wait(10);
    between(device, taps);
    device.wait(10);
    taps.push(device.tap(stop('h')));
    return replay(taps).holds[0];
  };

  it('are plain where nothing happens', () => {
    const plain = hold(() => undefined);
    expect(plain!.stopped).toMatchObject({ seconds: 20, isApproximate: false });
    expect(needsWord(plain!)).toBe(false);
  });

  it('ask the teacher when somebody sets the clock and no server was heard since', () => {
    const set = hold((device) => device.setClock(3600));
    expect(set!.stopped).toMatchObject({ seconds: 20, isApproximate: true, highSeconds: 3620 });
    expect(needsWord(set!)).toBe(true);
  });

  it('let the server outvote a clock that was set', () => {
    const set = hold((device, taps) => {
      device.setClock(-600);
      taps.push(device.anchor());
    });
    expect(set!.stopped).toMatchObject({ seconds: 20, isApproximate: false });
  });

  it('see a sleep in the middle by the server’s answer after it', () => {
    const slept = hold((device, taps) => {
      device.sleep(40);
      taps.push(device.anchor());
    });
    expect(slept!.stopped).toMatchObject({ seconds: 60, isApproximate: false });
  });

  it('go on over a reload where server and wall clock agree, and ask where they do not', () => {
    const reload = (seconds: number) =>
      hold((device, taps) => {
        device.reload(4, 'b');
        device.setClock(seconds);
        taps.push(device.anchor());
      });
    expect(reload(0)!.stopped).toMatchObject({ seconds: 24, isApproximate: false });
    expect(reload(90)!.stopped).toMatchObject({ seconds: 24, isApproximate: true });
  });

  it('never claim a time over a reload that no server has seen', () => {
    const alone = makeDevice('t');
    const taps = [alone.tap(start('h', ['1']))];
    alone.reload(30, 'b');
    taps.push(alone.tap(stop('h')));
    expect(replay(taps).holds[0]!.stopped).toMatchObject({ seconds: 30, isApproximate: true });
    expect(recordsOf(taps)).toEqual([]);
    const keep = alone.tap({ kind: 'hold-settle', hold: 'h', keep: true });
    expect(recordsOf([...taps, keep])).toMatchObject([{ value: 30 }]);
    const drop = alone.tap({ kind: 'hold-settle', hold: 'h', keep: false });
    expect(recordsOf([...taps, keep, drop])).toEqual([]);
  });

  it('put two devices on the server’s line whatever their own clocks say', () => {
    const [teacher, helper] = [makeDevice('t'), makeDevice('h', { wallMs: 9_000_000, monoMs: 77 })];
    const taps = [teacher.anchor(), helper.anchor(), teacher.tap(start('x', ['1', '2']))];
    helper.state.serverAhead -= 77;
    const shifted = helper.anchor();
    teacher.wait(15);
    helper.wait(15);
    taps.push(shifted, helper.tap(down('x', '1')));
    teacher.wait(5);
    taps.push(teacher.tap(stop('x')));
    const [hold1] = replay(taps).holds;
    expect(hold1!.people[0]!.down).toMatchObject({ isApproximate: false });
    expect(hold1!.people[0]!.down!.seconds).toBeCloseTo(15, 0);
    expect(hold1!.stopped!.seconds).toBe(20);
  });

  it('keep a device’s own order when its clock jumps back', () => {
    const device = makeDevice('t');
    const first = device.tap({ kind: 'segment', index: 1, roundsDone: 0 });
    device.setClock(-500);
    const second = device.tap({ kind: 'segment', index: 2, roundsDone: 0 });
    expect(replay([second, first]).segment).toBe(2);
    expect(readClock([second, first]).ordered).toEqual([first, second]);
  });
});

describe('tries', () => {
  const kick = (more: object = {}): FloorAct => ({
    kind: 'try',
    person: '1',
    what: 'kick',
    stage: 'FS10',
    base: 'forearms',
    round: 1,
    leg: 'left',
    reached: true,
    blocksKept: true,
    landing: 'soft',
    isAssisted: false,
    ...more,
  });

  it('become blocks kept and exits, but never an exit out of somebody’s hands', () => {
    const device = makeDevice('t');
    const taps = [kick(), kick({ isAssisted: true }), kick({ landing: 'heavy', blocksKept: null })];
    const records = recordsOf(taps.map((act) => device.tap(act)));
    expect(records.map(({ check, value, faults }) => [check, value, faults])).toEqual([
      ['blocks-kept', 1, []],
      ['controlled-exit', 1, []],
      ['blocks-kept', 1, []],
      ['controlled-exit', 0, ['heavy-landing']],
    ]);
  });

  it.each([
    ['slower down than up', { liftS: 2, exitS: 3 }, 1, []],
    ['as slow, as far as two thumbs can tell', { liftS: 2, exitS: 1.7 }, 1, []],
    ['the same where tenths do not add up exactly', { liftS: 3.2, exitS: 2.9 }, 1, []],
    ['dropped', { liftS: 2, exitS: 1.6 }, 0, ['drops-out']],
    [
      'dropped and loud',
      { liftS: 2, exitS: 1, landing: 'heavy' },
      0,
      ['heavy-landing', 'drops-out'],
    ],
    ['timed on the way up alone', { liftS: 2, exitS: null }, 1, []],
    ['seen to drop, without a clock', { faults: ['drops-out'] }, 0, ['drops-out']],
    ['not timed at all', {}, 1, []],
  ])('are a controlled exit only when as slow out as in: %s', (_how, seen, value, faults) => {
    const device = makeDevice('t');
    const taken = recordsOf([device.tap(kick({ blocksKept: null, ...seen }))]);
    expect(taken).toMatchObject([{ check: 'controlled-exit', value, faults }]);
  });

  it('count the hops that reach, the best ten in a row', () => {
    const device = makeDevice('t');
    const hops = [...Array<boolean>(6).fill(false), ...Array<boolean>(8).fill(true), false];
    const taps = hops.map((reached) =>
      device.tap(kick({ what: 'hop', reached, blocksKept: null, landing: null })),
    );
    expect(recordsOf(taps)).toMatchObject([{ check: 'hops-reaching', value: 8 }]);
    // A hop with bent knees is another thing, and a lifted leg that bends reached nothing.
    const other = [
      ...taps,
      device.tap(
        kick({ what: 'hop', wayUp: 'bent-knee', reached: true, blocksKept: null, landing: null }),
      ),
      device.tap(
        kick({
          what: 'hop',
          faults: ['knee-bends'],
          reached: true,
          blocksKept: null,
          landing: null,
        }),
      ),
    ];
    expect(recordsOf(other)).toMatchObject([{ check: 'hops-reaching', value: 8 }]);
    // Where no wall is, none was reached, however well it came up.
    const free = makeDevice('f');
    const up = kick({ what: 'hop', aim: 'up', reached: true, blocksKept: null, landing: null });
    expect(recordsOf([free.tap(up)])).toEqual([]);
    expect(secondsUpsideDown(replay(taps), checkTable).get('1')).toBe(15 * 8);
  });
});

it('keeps signs, pain, the door and what is tapped after the end', () => {
  const device = makeDevice('t');
  const taps = [
    device.tap({ kind: 'door', person: '1', check: 'neck-ease', isFine: true }),
    device.tap({ kind: 'sign', person: '2', sign: 'tingling' }),
    device.tap({ kind: 'sore', person: '3', place: 'wrist' }),
    device.tap({ kind: 'halt', person: '4' }),
    device.tap({ kind: 'end' }),
  ];
  device.wait(3);
  taps.push(
    device.tap({
      kind: 'seen',
      person: '1',
      check: 'dolphin-push-ups',
      value: 6,
      base: null,
      side: null,
      faults: [],
    }),
  );
  const state = replay(taps);
  expect(toSigns(state)).toMatchObject([{ person: '2', sign: 'tingling' }]);
  expect(toPains(state)).toMatchObject([{ person: '3', place: 'wrist' }]);
  expect(state.halts).toHaveLength(3);
  expect(['2', '3', '4'].map((person) => hasSign(state, person))).toEqual([true, false, false]);
  expect(state.afterEnd).toBe(1);
  expect(recordsOf(taps).map(({ check, value }) => [check, value])).toEqual([
    ['dolphin-push-ups', 6],
    ['neck-ease', 1],
  ]);
  // Of somebody who is not known nothing is left; a hold goes on for the others.
  expect(taps.slice(1).filter((one) => aboutPeople(one, new Set(['2'])) !== null)).toEqual(
    taps.slice(1).filter(({ act }) => !('person' in act) || act.person === '2'),
  );
  const both = { ...taps[0]!, act: start('h', ['2', '9']) };
  expect(aboutPeople(both, new Set(['2']))).toMatchObject({ act: { people: ['2'] } });
});
