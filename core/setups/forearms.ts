/** Forearms and hands on the floor as they run ahead of the elbows. */
import type { Lengths } from '../body/body';
import { claspedWristsM, getForearmHands, wristsAheadM, type ForearmHandsId } from '../body/hands';
import { profileTable } from '../catalog/profiles';
import { elbowsApart } from './elbows';
import type { SetupInput } from './setup';

/** From elbow to wrist and from there to what reaches furthest, as seen from the side; metres. */
export type AlongLine = Pick<Lengths, 'forearm' | 'hand'>;

/** The person's own way wins over the school's. */
export const forearmHandsOf = ({ body, profile, settings }: SetupInput): ForearmHandsId =>
  body.forearmHands ?? (settings ?? profileTable[profile]).forearmHands;

/** Hands that hold each other: the forearms run inwards, the fingers lie back over the other hand. */
export const claspedAlong = (lengths: Lengths, elbowWidthM: number): AlongLine => ({
  forearm: wristsAheadM(lengths.forearm, elbowWidthM, claspedWristsM(lengths)),
  hand: getForearmHands('clasped').reachM(lengths),
});

/**
 * How forearms and hands run in a shape whose hands are the person's own to choose.
 *
 * @param hands where the set-up says how they lie, whoever it is
 */
export function forearmsAlong(input: SetupInput, hands = forearmHandsOf(input)): AlongLine {
  const { lengths } = input.body;
  switch (hands) {
    case 'block':
    case 'flat':
      return { forearm: lengths.forearm, hand: lengths.hand };
    case 'clasped':
      return claspedAlong(lengths, elbowsApart(input).widthM(lengths));
    default:
      return hands satisfies never;
  }
}
