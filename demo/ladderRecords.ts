/** Records on the ladders beside the forearm stand, for whoever has begun one. */
import { getCheck, type BaseId, type CheckId } from '@/core/catalog/checks';
import type { LadderId } from '@/core/catalog/stage';
import type { Side } from '@/core/readiness/record';
import { addDays, type Day } from '@/core/units/day';
import type { DemoPerson } from './people';
import { normalDraw } from './random';
import { groupStop, noise, startShare, weeks, type Draft } from './records';

interface Weekly {
  readonly check: CheckId;
  readonly every: number;
  readonly base?: BaseId;
}

const byLadder: Readonly<Partial<Record<LadderId, readonly Weekly[]>>> = {
  handstand: [
    { check: 'plank-hold', every: 2 },
    { check: 'wrist-extension', every: 7 },
    { check: 'shoulder-flexion', every: 7 },
    { check: 'l-hold', every: 1, base: 'hands' },
    { check: 'hollow-hold', every: 2 },
    { check: 'hops-reaching', every: 2 },
    { check: 'confidence', every: 1, base: 'hands' },
  ],
  headstand: [
    { check: 'forearm-plank-hold', every: 2 },
    { check: 'dolphin-push-ups', every: 2 },
    { check: 'crown-control', every: 1 },
    { check: 'elbow-drift', every: 3 },
    { check: 'upright-walk-in', every: 2 },
    { check: 'head-load', every: 3 },
    { check: 'hollow-hold', every: 2 },
  ],
  'shoulder-stand': [
    { check: 'hollow-hold', every: 2 },
    { check: 'straight-leg-raise', every: 7 },
    { check: 'shoulder-stand-hold', every: 2 },
  ],
  'arm-balance': [
    { check: 'wrist-extension', every: 7 },
    { check: 'push-up-rung', every: 2 },
    { check: 'lifted-tuck', every: 3 },
    { check: 'crow-hold', every: 2 },
  ],
};

/** Eight weeks on every other ladder, noisy like the rest, each check once a day. */
export function ladderRecords(person: DemoPerson, lastMeeting: Day, random: () => number): Draft[] {
  const records: Draft[] = [];
  const lastSeen = person.lastSeen ?? 1;
  const seen = new Set<string>();
  for (const family of Object.keys(person.rungs ?? {}) as LadderId[]) {
    for (const { check, every, base } of byLadder[family] ?? []) {
      const key = `${check}/${base ?? ''}`;
      // The forearm ladder has its own records of these.
      if (seen.has(key) || check === 'forearm-plank-hold' || check === 'dolphin-push-ups') continue;
      seen.add(key);
      for (let ago = weeks; ago >= lastSeen; ago -= 1) {
        if (ago === person.missesMeeting || (ago - lastSeen) % every !== 0) continue;
        const grown = startShare + (1 - startShare) * ((weeks - ago) / (weeks - 1));
        const sides: (Side | null)[] = getCheck(check).hasSides ? ['left', 'right'] : [null];
        for (const side of sides) {
          records.push({
            check,
            date: addDays(lastMeeting, -7 * (ago - 1)),
            breaths: null,
            faults: [],
            pain: false,
            painPlace: null,
            side,
            base: base ?? null,
            ...drawValue(person, check, grown, random),
          });
        }
      }
    }
  }
  return records;
}

function drawValue(person: DemoPerson, check: CheckId, grown: number, random: () => number) {
  const { scoring, opensAt, most } = getCheck(check);
  const bar = opensAt['prop-led'];
  const level = person.ability * grown;
  const plain = (value: number) => ({
    value: Math.min(most, Math.max(0, value)),
    stoppedByTeacher: false,
  });
  switch (scoring.kind) {
    case 'hold': {
      const held = bar * level * Math.exp(noise * normalDraw(random));
      const isStopped = held > bar * groupStop;
      return {
        value: Math.max(1, Math.round(isStopped ? bar * groupStop : held)),
        stoppedByTeacher: isStopped,
      };
    }
    case 'reps':
      return plain(Math.round(bar * level * Math.exp(noise * normalDraw(random))));
    case 'pass':
    case 'pass-of-last':
    case 'same-day':
      return plain(random() < Math.min(0.95, 0.75 * level) ? 1 : 0);
    case 'rating':
      return plain(Math.round(person.confidence + 0.6 * normalDraw(random)));
    case 'level':
      return plain(Math.round(bar * level + 0.3 * normalDraw(random)));
    case 'measure':
      return scoring.better === 'less'
        ? plain(Math.round(Math.max(0, bar * (2 - level) + 0.5 * normalDraw(random))))
        : plain(Math.round(bar * (0.9 + 0.1 * level) + 1.5 * normalDraw(random)));
  }
}
