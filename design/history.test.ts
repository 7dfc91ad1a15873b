import fc from 'fast-check';
import { beginHistory, canGoBack, goBack, goOn } from './history';

describe('the way back', () => {
  it('goes back through what was, one step at a time, and stops at the beginning', () => {
    fc.assert(
      fc.property(fc.array(fc.integer(), { maxLength: 50 }), (steps) => {
        let history = steps.reduce(goOn<number>, beginHistory(-1));
        const seen = [history.now];
        while (canGoBack(history)) {
          history = goBack(history);
          seen.push(history.now);
        }
        expect(seen.reverse()).toEqual([-1, ...steps]);
        expect(goBack(history)).toEqual(history);
      }),
    );
  });

  it('forgets what lies too far back, and never the last step', () => {
    const long = Array.from({ length: 500 }, (_, step) => step).reduce(
      goOn<number>,
      beginHistory(-1),
    );
    expect(long.past).toHaveLength(60);
    expect(goBack(long).now).toBe(498);
  });
});
