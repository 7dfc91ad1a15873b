/** Somebody of whom a picture is read. */
import { listKnownLengths } from '@/core/plumb/knownLengths';
import type { PlumbView } from '../read';

export const plumbViewOf = (more: Partial<PlumbView> = {}): PlumbView => ({
  isWhoSaid: true,
  person: {
    id: 3,
    name: 'Ada',
    body: { heightM: 1.7 },
    pictures: { kind: 'never', why: 'Not agreed to.' },
  },
  kept: [],
  people: [{ id: 3, name: 'Ada' }],
  checks: [],
  lengths: listKnownLengths([]),
  isOverKnuckle: false,
  units: 'cm',
  today: '2026-03-03',
  ...more,
});
