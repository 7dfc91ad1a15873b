import { firstView, reduceView, type ViewEvent } from './view';

const run = (...events: ViewEvent[]) => events.reduce(reduceView, firstView);
const wish = { check: 'dolphin-hold' as const, people: ['1', '2'] };

describe('what the tablet shows', () => {
  it('shows one thing at a time, and the line again when it is closed', () => {
    expect(run({ kind: 'toggle', what: 'pace' }).over.kind).toBe('pace');
    expect(run({ kind: 'toggle', what: 'pace' }, { kind: 'toggle', what: 'door' }).over.kind).toBe(
      'door',
    );
    expect(run({ kind: 'toggle', what: 'pace' }, { kind: 'toggle', what: 'pace' })).toEqual(
      firstView,
    );
    expect(run({ kind: 'open-hold', wish }, { kind: 'close' })).toEqual(firstView);
  });

  it('leaves open what is asked for by name, and closes it by its own button', () => {
    const door = run({ kind: 'toggle', what: 'door' });
    expect(reduceView(door, { kind: 'open', what: 'door' })).toEqual(door);
    expect(reduceView(door, { kind: 'open', what: 'load' }).over.kind).toBe('load');
    expect(reduceView(door, { kind: 'toggle', what: 'door' })).toEqual(firstView);
    // A pacer that runs with a line's dose goes on.
    const paced = run({ kind: 'pace-line', line: 'hollow' });
    expect(reduceView(paced, { kind: 'open', what: 'pace' })).toEqual(paced);
  });

  it('keeps who was wished for when the clock that was started is shown', () => {
    const view = run({ kind: 'open-hold', wish }, { kind: 'show-hold', hold: 'h1' });
    expect(view.over).toEqual({ kind: 'hold', wish, shown: 'h1' });
    // A clock anew is not the one before.
    expect(reduceView(view, { kind: 'open-hold', wish }).over).toMatchObject({ shown: null });
    expect(run({ kind: 'show-hold', hold: 'h2' }).over).toMatchObject({ wish: { people: [] } });
  });

  it('lays one sheet over it, which a stop takes the place of', () => {
    const sheet = { kind: 'person', person: '1' } as const;
    const stopped = run(
      { kind: 'toggle', what: 'pace' },
      { kind: 'sheet', sheet },
      { kind: 'sheet', sheet: { kind: 'stop', person: '1' } },
    );
    expect(stopped).toEqual({
      over: { kind: 'pace', line: null },
      sheet: { kind: 'stop', person: '1' },
    });
    // A line that is paced runs with its own dose, whatever was on the screen.
    expect(reduceView(stopped, { kind: 'pace-line', line: 'hollow' })).toEqual({
      over: { kind: 'pace', line: 'hollow' },
      sheet: null,
    });
    expect(reduceView(stopped, { kind: 'close-sheet' }).over.kind).toBe('pace');
    // Whoever asks for a clock wants to see it.
    expect(reduceView(stopped, { kind: 'open-hold', wish }).sheet).toBeNull();
  });
});
