import type { z } from 'zod';
import { profileTable, type ProfileId } from '../catalog/profiles';
import { exact } from '../exact';
import { readClip } from '../plumb/clip/clip';
import type { PictureFacts } from '../plumb/marks';
import type { clipInput, plumbInput } from '../plumb/schemas';
import { readStill } from '../plumb/still';

/** What a profile says of the picture: where its shoulders stand. */
function factsOf(profile: ProfileId | undefined): Pick<PictureFacts, 'isOverKnuckle'> {
  const place: string | undefined =
    profile === undefined ? undefined : profileTable[profile].eye.shoulderPlace;
  return place === 'knuckle' ? { isOverKnuckle: true } : {};
}

export function runPlumb({ image: _, profile, ...input }: z.infer<typeof plumbInput>) {
  return readStill(exact({ ...input, ...factsOf(profile) }));
}

export function runClip({ image: _, view: __, profile, ...input }: z.infer<typeof clipInput>) {
  return readClip(exact({ ...input, ...factsOf(profile) }));
}
