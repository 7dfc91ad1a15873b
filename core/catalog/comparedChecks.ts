/**
 * Checks that no gate asks for: taken to be compared with the last time, and with the other side.
 * Their bars say when there is nothing left to work on; the figures are the product's own.
 */
import {
  bars,
  centimetres,
  degrees,
  mostReps,
  passes,
  reps,
  rungs,
  same,
  type ShippedCheck,
} from './checkKinds';

export const comparedChecks = {
  'clasp-behind': {
    label: 'Clasp behind the back',
    scoring: passes(2, 1),
    opensAt: same(2),
    validDays: 90,
    voidedBy: ['ribs-flare'],
    hasSides: true,
    most: 1,
    columns: ['reach'],
    strains: ['shoulder'],
    minutes: 0.8,
    method:
      'Standing, one hand from above and one from below: the fingers meet and the ribs stay. The side is the upper arm’s.',
  },
  'wrist-strength': {
    label: 'Wrist strength, heel-of-hand lifts',
    scoring: reps,
    opensAt: bars(8, 10, 6),
    validDays: 42,
    voidedBy: ['elbows-bend'],
    most: mostReps,
    columns: ['wrists'],
    strains: ['wrist', 'elbow'],
    minutes: 0.8,
    method:
      'On all fours, shoulders over the wrists: the heels of both hands lift and lower slowly, fingers flat. Counted until one stays down.',
    loads: { wrist: 0.5 },
  },
  'legs-lifted-straight': {
    label: 'Straight legs lifted',
    scoring: rungs,
    opensAt: bars(1, 2, 1),
    validDays: 42,
    voidedBy: ['neck-strain', 'hopped-in'],
    most: 3,
    columns: ['neck'],
    strains: ['neck', 'shoulder', 'scapula', 'core', 'hamstring', 'back'],
    takenIn: 'HS8',
    minutes: 0.8,
    method:
      'From the base set, both legs straight and together: as far as they lift, and come back as slowly.',
    levels: ['none', 'toes light', 'legs level with the hips', 'upright, and back'],
  },
  'arch-and-curl': {
    label: 'Half-way arch and full curl',
    scoring: passes(2, 1),
    opensAt: same(2),
    validDays: 42,
    voidedBy: ['low-back-arch'],
    most: 1,
    columns: ['light'],
    strains: ['shoulder', 'scapula', 'core', 'back', 'hip'],
    takenIn: 'FS14',
    minutes: 0.8,
    method:
      'Upside down, before the legs are folded: arch half-way, come back, curl fully, come back, without a hurry.',
  },
  'chin-past-hands': {
    label: 'Chin past the hands, and back',
    scoring: centimetres('more'),
    opensAt: bars(3, 5, 3),
    validDays: 42,
    voidedBy: ['elbows-slide', 'head-touches'],
    most: 40,
    columns: ['mild'],
    strains: ['shoulder', 'scapula', 'elbow'],
    takenIn: 'HS3',
    minutes: 0.8,
    method:
      'Dolphin, hands clasped, from the side: how far the chin goes past the hands and still comes back.',
  },
  'forearm-slide': {
    label: 'Forearm slide',
    scoring: centimetres('more'),
    opensAt: bars(20, 30, 20),
    validDays: 42,
    voidedBy: ['sag'],
    most: 120,
    columns: ['mild'],
    strains: ['shoulder', 'scapula', 'core', 'back', 'elbow'],
    minutes: 0.8,
    method:
      'Forearms down, shins on a folded blanket: how far the knees slide back before the low back sags, and still come in.',
    loads: { shoulder: 0.5, core: 0.7 },
  },
  'neck-turn': {
    label: 'Neck turning, before and after',
    scoring: degrees,
    opensAt: same(60),
    validDays: 28,
    voidedBy: [],
    hasSides: true,
    isPrivate: true,
    most: 100,
    columns: [],
    strains: ['neck'],
    minutes: 0.4,
    method:
      'Sitting: how far the head turns without the shoulders, each way. Taken before the class and after it, to be compared.',
  },
} as const satisfies Record<string, ShippedCheck>;
