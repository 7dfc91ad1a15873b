/** When each foot is on the floor and at the wall, frame by frame. Source: handbook 13 "Contacts". */
import type { Point } from '../../posture/joints';
import { wallAt } from '../still';
import type { Clip, Limb } from './frames';

const footMarks = ['toe', 'heel', 'ankle'] as const;
/** As close as a contact is, as a share of the standing height. */
const contactShare = 0.03;

/**
 * A state holds from two frames on, and its time is the first of them: a single frame decides
 * nothing.
 */
export function settle(raw: readonly boolean[]): boolean[] {
  const firstPair = raw.findIndex((value, index) => value === raw[index + 1]);
  let state = raw[Math.max(0, firstPair)] ?? false;
  return raw.map((value, index) => {
    if (value !== state && raw[index + 1] === value) state = value;
    return state;
  });
}

export interface Contacts {
  readonly onFloor: readonly boolean[];
  readonly atWall: readonly boolean[];
}

/** The lowest that a mark has ever been, pixels. */
const lowest = (track: readonly (Point | null)[]): number =>
  track.reduce((least, point) => (point === null ? least : Math.min(least, point[1])), Infinity);

/** On which side of the wall the person stands: 1 where the wall is ahead. */
function sideOfWall(clip: Clip): 1 | -1 {
  const places = (['wrist', 'elbow', 'shoulder', 'hip'] as const).flatMap((name) =>
    clip.track(name, 'near').at.flatMap((point) => {
      const x = point === null || clip.wall === null ? null : wallAt(clip.wall, point[1]);
      return x === null ? [] : [x - point![0]];
    }),
  );
  return places.reduce((sum, gap) => sum + Math.sign(gap), 0) >= 0 ? 1 : -1;
}

/** What each frame says of a foot; `null`: it is not seen, nor was it just before. */
interface Raw {
  readonly floor: readonly (boolean | null)[];
  readonly wall: readonly (boolean | null)[];
}

function rawOf(clip: Clip, limb: Limb): Raw {
  const near = contactShare * (clip.heightPx ?? 0);
  const tracks = footMarks.map((name) => clip.track(name, limb).at);
  const lowestOf = tracks.map(lowest);
  const side = sideOfWall(clip);
  const floor: (boolean | null)[] = [];
  const wall: (boolean | null)[] = [];
  for (const index of clip.times.keys()) {
    const here = tracks.map((track) => track[index] ?? null);
    const seen = here.filter((point) => point !== null);
    if (seen.length === 0) {
      floor.push(null);
      wall.push(null);
      continue;
    }
    const isAnkleAlone = here[0] === null && here[1] === null;
    floor.push(
      here.some((point, which) => {
        if (point === null) return false;
        const ground = clip.floorY === null || isAnkleAlone ? lowestOf[which]! : clip.floorY;
        return point[1] - ground <= near;
      }),
    );
    wall.push(
      seen.some((point) => {
        const x = clip.wall === null ? null : wallAt(clip.wall, point[1]);
        return x !== null && side * (x - point[0]) <= near;
      }),
    );
  }
  return { floor, wall };
}

/** Where a foot is before it is ever seen: it stands. */
const unseen = { floor: true, wall: false } as const;

/**
 * A foot that is not seen stays where it was, unless it leaves with the other: behind the near foot the
 * far one is hidden for as long as both are in one place.
 *
 * @param lead what the near foot does; `null`: this is the near one
 */
function filled(
  raw: readonly (boolean | null)[],
  first: boolean,
  lead: readonly boolean[] | null,
): boolean[] {
  const values: boolean[] = [];
  raw.forEach((value, index) => {
    const hasLeft = lead !== null && lead[index - 1] === true && !lead[index];
    values.push(value ?? (hasLeft ? false : (values.at(-1) ?? first)));
  });
  return settle(values);
}

/** The contacts of both feet; a far leg that is never marked does what the near one does. */
export function contactsOfFeet(clip: Clip): Readonly<Record<Limb, Contacts>> {
  const raw = rawOf(clip, 'near');
  const near = {
    onFloor: filled(raw.floor, unseen.floor, null),
    atWall: filled(raw.wall, unseen.wall, null),
  };
  if (!clip.hasFarLeg) return { near, far: near };
  const hidden = rawOf(clip, 'far');
  return {
    near,
    far: {
      onFloor: filled(hidden.floor, unseen.floor, near.onFloor),
      atWall: filled(hidden.wall, unseen.wall, near.atWall),
    },
  };
}
