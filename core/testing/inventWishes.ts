/** What a teacher may ask of an evening, at random; the same for the same seed. */
import { themeTable, type ThemeId } from '../catalog/themes';
import { painPlaces } from '../catalog/regions';
import { spareChoices } from '../compose/budget';
import type { Wishes } from '../compose/prepared';
import { seededRandom } from '../random';

const themes = Object.keys(themeTable) as ThemeId[];
const resets = [0.5, 1, 1.5, 3] as const;

/** The usual wishes with nearly everything else that can be asked before a class. */
export function inventWishes(seed: number, usual: Wishes, ids: readonly string[]): Wishes {
  const random = seededRandom(seed * 31 + 7);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const whole = (low: number, high: number) => low + Math.floor(random() * (high + 1 - low));
  const some = (share: number) => ids.filter(() => random() < share);
  return {
    ...usual,
    minutes: whole(20, 129),
    rounds: whole(0, 5),
    roundMinutes: whole(2, 7),
    resetMinutes: pick(resets),
    helpers: whole(0, 3),
    absent: some(0.1),
    late: some(0.15).map((person) => ({ person, round: whole(1, 3) })),
    sore: some(0.15).map((person) => ({ person, place: pick(painPlaces) })),
    feetDown: some(0.15),
    ...(random() < 0.3 ? { theme: pick(themes) } : {}),
    ...(random() < 0.4 ? { spare: pick(spareChoices) } : {}),
  };
}
