/** What is seen to go wrong, in fixed codes, so that it can be counted over time. Source: handbook 03. */
import type { LadderId } from './stage';

interface FaultSpec {
  readonly label: string;
  /** Says something of the student's health: the teacher's to record and to see. */
  readonly isPrivate?: true;
  /** Tapped for a try on these ladders as well, though the try counts with it. */
  readonly notedOn?: readonly LadderId[];
}

export const faultTable = {
  'head-touches': { label: 'head touches' },
  'sinks-on-block': { label: 'sinks onto the block' },
  'elbows-slide': { label: 'elbows slide apart' },
  'shoulders-pass-wrists': { label: 'shoulders pass the wrists' },
  'ribs-flare': { label: 'ribs flare' },
  'low-back-arch': { label: 'low back arches' },
  sag: { label: 'sags' },
  shrug: { label: 'shrugs' },
  'chin-pokes': { label: 'chin pokes' },
  'elbows-bend': { label: 'elbows bend' },
  'swing-kick': { label: 'swings the kick' },
  'knee-bends': { label: 'knee bends' },
  'feet-push-off': { label: 'feet push off' },
  'hopped-in': { label: 'hopped in' },
  'heavy-landing': { label: 'heavy landing' },
  'collapsed-upper-back': {
    label: 'upper back collapses',
    notedOn: ['forearm-stand', 'headstand', 'handstand'],
  },
  'forehead-down': { label: 'forehead instead of crown', notedOn: ['headstand'] },
  flailing: { label: 'legs flail', notedOn: ['forearm-stand', 'headstand', 'handstand'] },
  'second-leg-thrown': {
    label: 'second leg thrown, not slow',
    notedOn: ['forearm-stand', 'handstand'],
  },
  'standing-leg-idle': {
    label: 'standing leg does not push',
    notedOn: ['forearm-stand', 'handstand'],
  },
  'drops-out': {
    label: 'comes down faster than up',
    notedOn: ['forearm-stand', 'headstand', 'handstand'],
  },
  'jump-not-float': { label: 'jumps instead of floats', notedOn: ['handstand', 'arm-balance'] },
  'eyes-wander': {
    label: 'eyes wander',
    notedOn: ['forearm-stand', 'headstand', 'handstand', 'arm-balance'],
  },
  'neck-strain': { label: 'neck strain', isPrivate: true },
  'breath-held': { label: 'breath held', isPrivate: true },
  'strain-in-face': { label: 'strain in the face', isPrivate: true },
  'looks-scared': { label: 'looks scared', isPrivate: true },
} as const satisfies Record<string, FaultSpec>;

export type FaultId = keyof typeof faultTable;
export const faultIds = Object.keys(faultTable) as [FaultId, ...FaultId[]];
export const getFault = (id: FaultId): FaultSpec => faultTable[id];
