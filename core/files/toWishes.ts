/** Wishes as the composer takes them, from wishes as a file has them. */
import type { Wishes } from '../compose/prepared';
import type { WishesInput } from './classFile';

/** Without the fields that are absent, as exact types ask. */
export function toWishes(file: WishesInput): Wishes {
  const { order, pins, theme, spare, ...rest } = file;
  return {
    minutes: rest.minutes,
    rounds: rest.rounds,
    roundMinutes: rest.roundMinutes,
    resetMinutes: rest.resetMinutes,
    helpers: rest.helpers,
    seed: rest.seed,
    absent: rest.absent,
    late: rest.late,
    sore: rest.sore,
    feetDown: rest.feetDown,
    done: rest.done,
    pins: pins.map((pin) =>
      'round' in pin && pin.round === undefined ? withoutRound(pin) : pin,
    ) as Wishes['pins'],
    ...(order === undefined ? {} : { order }),
    ...(theme === undefined ? {} : { theme }),
    ...(spare === undefined ? {} : { spare }),
  };
}

function withoutRound<T extends { round?: unknown }>({ round: _, ...pin }: T) {
  return pin;
}
