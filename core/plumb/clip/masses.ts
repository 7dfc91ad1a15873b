/** The middle of the body in a clip, from the segments that its marks show. Source: handbook 05. */
import { segmentMass } from '../../posture/mass';
import type { MarkName } from '../marks';
import type { Clip, Limb } from './frames';
import type { Run } from './tries';

interface Segment {
  readonly ends: readonly [readonly [MarkName, Limb], readonly [MarkName, Limb]];
  /** From its upper end, as a share of it. */
  readonly centre: number;
  readonly mass: number;
}

/** Segments as the marks give them; a leg is half of both. Source: handbook 05. */
function listSegments(hasFarLeg: boolean): Segment[] {
  const share = hasFarLeg ? 0.5 : 1;
  const legs = (hasFarLeg ? (['near', 'far'] as const) : (['near'] as const)).flatMap(
    (limb): Segment[] => [
      {
        ends: [
          ['hip', 'near'],
          ['knee', limb],
        ],
        centre: 0.433,
        mass: segmentMass.thighs * share,
      },
      // The foot is taken with the shank: its own marks come and go.
      {
        ends: [
          ['knee', limb],
          ['ankle', limb],
        ],
        centre: 0.433,
        mass: (segmentMass.shanks + segmentMass.feet) * share,
      },
    ],
  );
  return [
    {
      ends: [
        ['shoulder', 'near'],
        ['ear', 'near'],
      ],
      centre: 1,
      mass: segmentMass.head,
    },
    {
      ends: [
        ['shoulder', 'near'],
        ['hip', 'near'],
      ],
      centre: 0.5,
      mass: segmentMass.trunk,
    },
    {
      ends: [
        ['shoulder', 'near'],
        ['elbow', 'near'],
      ],
      centre: 0.436,
      mass: segmentMass.upperArms,
    },
    {
      ends: [
        ['elbow', 'near'],
        ['wrist', 'near'],
      ],
      centre: 0.43,
      mass: segmentMass.forearms + segmentMass.hands,
    },
    ...legs,
  ];
}

/**
 * The centre of mass along the floor over a run, pixels, from the segments that every frame shows.
 * `null` where trunk and legs are not among them.
 */
export function massesIn(clip: Clip, { from, to }: Run) {
  const isSeen = ([name, limb]: readonly [MarkName, Limb]) =>
    clip
      .track(name, limb)
      .at.slice(from, to + 1)
      .every((point) => point !== null);
  const seen = listSegments(clip.hasFarLeg).filter(({ ends }) => ends.every(isSeen));
  const mass = seen.reduce((sum, segment) => sum + segment.mass, 0);
  // Without the trunk and a leg there is no centre to speak of.
  if (mass < segmentMass.trunk + (segmentMass.thighs + segmentMass.shanks) / 2) return null;
  const weights = new Map<string, number>();
  for (const { ends, centre, mass: own } of seen) {
    ends.forEach(([name, limb], end) => {
      const key = `${limb}.${name}`;
      const part = ((end === 0 ? 1 - centre : centre) * own) / mass;
      weights.set(key, (weights.get(key) ?? 0) + part);
    });
  }
  const places: number[] = [];
  for (let index = from; index <= to; index += 1) {
    let x = 0;
    for (const [key, weight] of weights) {
      const [limb, name] = key.split('.') as [Limb, MarkName];
      x += weight * clip.track(name, limb).at[index]![0];
    }
    places.push(x);
  }
  const noiseShare = Math.sqrt([...weights.values()].reduce((sum, part) => sum + part * part, 0));
  return { places, noiseShare };
}
