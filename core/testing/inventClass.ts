/** Made-up classes with random rooms, cupboards and people; the same for the same seed. */
import { cautionIds } from '../catalog/cautions';
import { pieceIds, type PieceCount } from '../catalog/pieces';
import { profileIds } from '../catalog/profiles';
import { shippedSchool } from '../catalog/school';
import { ladderIds, type LadderId, type StageKey } from '../catalog/stage';
import type { ClassInput, ClassPerson, Wishes } from '../compose/prepared';
import { seededRandom } from '../random';
import type { Evidence } from '../readiness/record';
import { assertRoom, wallIds, type Room } from '../room/room';
import { roomFile } from '../room/roomFile';
import { everything, makeCase } from './cases';

export const usualWishes: Wishes = {
  minutes: 75,
  rounds: 3,
  roundMinutes: 4,
  resetMinutes: 1.5,
  helpers: 0,
  seed: 1,
  absent: [],
  late: [],
  sore: [],
  pins: [],
  done: 0,
};

interface Invented {
  readonly input: ClassInput;
  readonly wishes: Wishes;
}

export function inventClass(seed: number, count?: number): Invented {
  const random = seededRandom(seed * 7919 + 13);
  const between = (low: number, high: number) => low + (high - low) * random();
  const whole = (low: number, high: number) => Math.floor(between(low, high + 1));
  const pick = <T>(list: readonly T[]): T => list[whole(0, list.length - 1)]!;
  const profile = pick(profileIds);
  const families = [...new Set(Array.from({ length: whole(1, 2) }, () => pick(ladderIds)))];
  const pieces: PieceCount[] = pieceIds
    .filter(() => random() < 0.8)
    .map((piece) => ({ piece, count: whole(0, 9) }));
  const people = Array.from({ length: count ?? whole(1, 16) }, (_, index): ClassPerson => {
    const present: Partial<Record<LadderId, StageKey>> = {};
    const ladders = shippedSchool(profile).ladders;
    for (const family of families) {
      if (random() < 0.85) present[family] = pick(ladders[family].slice(0, 9));
    }
    const evidence: Evidence = Object.fromEntries(
      Object.entries(everything).filter(() => random() < 0.85),
    );
    const opened = makeCase({
      profile,
      present,
      evidence,
      consent: pick(['yes', 'ask', 'no'] as const),
      equipment: random() < 0.3 ? ['wedge', 'forearm-lift', 'toe-rest'] : [],
      care: {
        reports: random() < 0.25 ? [pick(cautionIds)] : [],
        otherWords: [],
        clearances: [],
        signs: random() < 0.04 ? [{ sign: 'tingling', date: '2026-11-12' }] : [],
      },
    });
    return { id: `p${index}`, body: { heightM: between(1.45, 1.95) }, opened };
  });
  const wishes: Wishes = {
    ...usualWishes,
    minutes: whole(30, 110),
    rounds: whole(2, 4),
    helpers: whole(0, 2),
    seed,
  };
  return {
    wishes,
    input: {
      ...wishes,
      families,
      room: inventRoom(random),
      pieces,
      people,
      school: shippedSchool(profile),
    },
  };
}

/** Walls with blocked stretches, doors and beams, some of them too low for anybody. */
export function inventRoom(random: () => number): Room {
  const between = (low: number, high: number) =>
    Math.round((low + (high - low) * random()) * 20) / 20;
  const widthM = between(3, 13);
  const depthM = between(3, 10);
  const room = roomFile.parse({
    format: 'levitar-room',
    version: 1,
    widthM,
    depthM,
    ceilingM: between(1.9, 3.4),
    blocked: wallIds.flatMap((wall) => {
      const length = wall === 'north' || wall === 'south' ? widthM : depthM;
      if (random() < 0.3) return [{ wall, fromM: 0, toM: length }];
      if (random() < 0.4) return [];
      const fromM = between(0, length / 2);
      return [{ wall, fromM, toM: Math.min(length, fromM + between(0.2, 2)) }];
    }),
    doors: random() < 0.5 ? [{ wall: 'west', fromM: 0.3, toM: 1.2, opensIn: random() < 0.5 }] : [],
    low: [],
  });
  const withBeam: Room =
    random() < 0.4
      ? {
          ...room,
          low: [{ xM: 0, yM: 0, widthM: 1, depthM, heightM: room.ceilingM - 0.4, what: 'beam' }],
        }
      : room;
  assertRoom(withBeam);
  return withBeam;
}
