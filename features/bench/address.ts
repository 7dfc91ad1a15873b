/** Who and what stands on the bench, in its address and back. */
import { shapeIds } from '@/core/shapes/registry';
import { stillIds, type StillId } from '@/core/shapes/stills';
import type { ShapeId } from '@/core/shapes/postures';
import { readPersonId } from '@/server/personId';
import { strangerHeights } from './benchMachine';
import type { BenchStart } from './useBench';

type Params = Readonly<Record<string, string | string[] | undefined>>;

const one = (value: string | string[] | undefined) =>
  typeof value === 'string' ? value : undefined;

/** What an address asks for; whatever it names that is not there falls back to what is usual. */
export function readAddress(
  params: Params,
  people: readonly { readonly id: number }[],
): BenchStart {
  const [person, named, height] = [one(params.person), one(params.shape), one(params.height)];
  const still = stillIds.find((id) => id === named) ?? null;
  const shape = shapeIds.find((id) => id === named) ?? 'forearmStandWall';
  const centimetres = height === undefined ? NaN : Number(height);
  const { low, high } = strangerHeights;
  if (centimetres >= low * 100 && centimetres <= high * 100) {
    return { personId: null, shape, still, heightM: centimetres / 100 };
  }
  const id = person === undefined ? null : readPersonId(person);
  const found = people.find((candidate) => candidate.id === id) ?? people[0];
  return { personId: found?.id ?? null, shape, still };
}

interface Shown {
  readonly personId: number | null;
  readonly heightM: number;
  readonly shape: ShapeId;
  readonly still: StillId | null;
}

/** The address of what is shown. A height says nothing of anybody: it stands for nobody. */
export function writeAddress({ personId, heightM, shape, still }: Shown): string {
  const params = new URLSearchParams(
    personId === null
      ? { height: String(Math.round(heightM * 100)) }
      : { person: String(personId) },
  );
  params.set('shape', still ?? shape);
  return `/bench?${params.toString()}`;
}
