import { shippedSchool } from './school';
import { trySpecOf } from './tries';
import { getWayUp, wayUpIds } from './waysUp';

const { stages } = shippedSchool('prop-led');
const attempts = [...stages].filter(([, { spec }]) => spec.isAttempt);
const specOf = (id: string) => trySpecOf(attempts.find(([key]) => key === id)![1].spec);

describe('what is asked about a try', () => {
  it('is a touch of the wall where it goes to one, and coming up elsewhere', () => {
    expect(specOf('FS9')).toMatchObject({ kind: 'hop', aim: 'wall', isLed: true });
    expect(specOf('HB11')).toMatchObject({ kind: 'kick', aim: 'wall', isLed: true });
    expect(specOf('HB15')).toMatchObject({ kind: 'kick', aim: 'up' });
    // The feet stand on the wall before they float: reaching it is nothing.
    expect(specOf('HB14')).toMatchObject({ kind: 'lift', aim: 'up' });
  });

  it('asks of nobody who draws the knees up which leg led', () => {
    const lifts = attempts.filter(([, { spec }]) => spec.family === 'headstand');
    expect(lifts.length).toBeGreaterThan(2);
    for (const [id] of lifts) expect(specOf(id)).toMatchObject({ kind: 'lift', isLed: false });
    expect(specOf('CR9')).toMatchObject({ kind: 'lift', aim: 'up' });
  });

  it('offers every way up the stage has, and says of each whether a leg leads and stays straight', () => {
    expect(specOf('HB11').ways.map(({ id }) => id)).toEqual([...wayUpIds]);
    const of = (is: 'isTogether' | 'isStraight') => wayUpIds.filter((id) => getWayUp(id)[is]);
    expect(of('isTogether')).toEqual(['bent-knee', 'straddle', 'tuck']);
    expect(of('isStraight')).toEqual(['straight-leg', 'slow-leg']);
  });
});
