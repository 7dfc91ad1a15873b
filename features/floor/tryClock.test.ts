import { tapped, timedOf, waits, type TryClock } from './tryClock';

const after = (...stamps: number[]): TryClock =>
  stamps.reduce((clock: TryClock, at) => tapped(clock, at), waits);

it('goes round in four taps and begins anew with the fifth', () => {
  expect(
    [[], [0], [0, 1], [0, 1, 2], [0, 1, 2, 3], [0, 1, 2, 3, 4]].map((taps) => after(...taps).step),
  ).toEqual(['waits', 'goes-up', 'is-up', 'comes-down', 'is-down', 'goes-up']);
});

it('keeps tenths of a second, never below nothing nor over a minute', () => {
  expect(timedOf(after(100, 2349, 5000, 8051))).toEqual({ liftS: 2.2, exitS: 3.1 });
  expect(timedOf(after(100, 90_000))).toEqual({ liftS: 60, exitS: null });
  expect(timedOf(after(500, 400))).toEqual({ liftS: 0, exitS: null });
  expect(timedOf(after(100))).toEqual({ liftS: null, exitS: null });
});
