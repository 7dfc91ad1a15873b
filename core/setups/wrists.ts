/**
 * What stiff wrists ask of a set-up on flat hands, and what it costs. Source: handbook 02, 04 and 09
 * (a wedge, or hands turned out); how far they are turned is ours (docs/decisions).
 */
import type { Distance } from './distance';
import { cm, countOf, type SetupInput } from './setup';

const rules = {
  /** Weight on flat hands wants no help from here on (the usual bar of the check). */
  easyExtensionDeg: 80,
  /** What the wrist wedge takes off. Source: handbook 04 "Default pieces". */
  wedgeDeg: 15,
  /** Hands turned out: far enough to ease the crease, near enough for the fingers to brake. */
  turnedOutDeg: 45,
} as const;

/** How far the fingers reach ahead of the wrist with the hands turned out, metres. */
const turnedOutReachM = (handM: number): number =>
  handM * Math.cos((rules.turnedOutDeg * Math.PI) / 180);

/**
 * Sentences for the card; none where the wrists were not measured, or bend far enough.
 *
 * @param gap fingertips to wall, where the set-up is laid out by it: with the hands turned out the same
 *   fingertips bring the wrists nearer
 */
export function wristNotes(
  { body, pieces, wristExtensionDeg }: SetupInput,
  gap?: Pick<Distance, 'metres'>,
): string[] {
  if (wristExtensionDeg === undefined) return [];
  const shortDeg = rules.easyExtensionDeg - wristExtensionDeg;
  if (shortDeg <= 0) return [];
  const { hand } = body.lengths;
  const reachM = turnedOutReachM(hand);
  const measured = `The wrists bend ${Math.round(wristExtensionDeg)}°`;
  const wedge =
    countOf(pieces, 'wedge') > 0
      ? 'a wedge under the heels of the hands'
      : 'a rolled towel or folded mat edge under the heels of the hands';
  const moved =
    gap === undefined
      ? ''
      : `; at the same gap the wrists then stand ${cm(gap.metres + reachM)} from the wall`;
  const turned = `hands turned out half-way to the sides: the price, ${cm(hand - reachM)} less of fingers to brake with${moved}`;
  return [
    shortDeg > rules.wedgeDeg
      ? `${measured}: more than a wedge makes up for. Forearms instead, or ${turned}, with little weight.`
      : `${measured}: ${wedge}, or ${turned}.`,
  ];
}
