/** Input and output of the commands `plumb` and `clip`. Source: handbook 13. */
import { z } from 'zod';
import { profileIds } from '../catalog/profiles';
import { faultIds } from '../catalog/checks';
import { bodyInput } from '../files/bodySchemas';
import { shapeIds } from '../shapes/registry';
import { clipEventKinds } from './clip/clip';
import { clipMeasureIds, measureIds, stillMeasureIds } from './measureTable';
import { markNames, plumbBases, scaleSegments } from './marks';

const pixels = z.number().min(-100_000).max(100_000);
const mark = z.strictObject({
  x: pixels,
  y: pixels,
  sd: z
    .number()
    .positive()
    .max(10_000)
    .optional()
    .meta({ description: 'One standard deviation per axis, pixels, where the reader gives one.' }),
});
export const markSet = z.partialRecord(z.enum(markNames), mark);
const point = z.tuple([pixels, pixels]);
export const line = z.tuple([point, point]);
const scale = z.union([
  z.strictObject({ from: point, to: point, metres: z.number().positive().max(100) }),
  z.strictObject({ segment: z.enum(scaleSegments) }),
]);
const image = z.strictObject({
  width: z.int().positive().max(100_000),
  height: z.int().positive().max(100_000),
});

const facts = {
  image,
  base: z.enum(plumbBases),
  shape: z.enum(shapeIds).optional(),
  floor: line.optional(),
  wall: line.optional(),
  scale: scale.optional(),
  body: bodyInput.optional(),
  profile: z.enum(profileIds).optional(),
};
const sideMarks = z.strictObject({ near: markSet, far: markSet.optional() });
const facing = z.enum(['left', 'right']);

export const plumbInput = z.discriminatedUnion('view', [
  z.strictObject({ view: z.literal('side'), ...facts, facing, marks: sideMarks }),
  z.strictObject({
    view: z.enum(['front', 'back']),
    ...facts,
    marks: z.strictObject({ left: markSet, right: markSet }),
  }),
]);

export const clipInput = z.strictObject({
  view: z.literal('side'),
  ...facts,
  facing,
  frames: z
    .array(z.strictObject({ atS: z.number().min(0).max(86_400), marks: sideMarks }))
    .min(3, 'A clip has at least three frames.')
    .max(20_000),
});

const measured = z.object({
  value: z.number(),
  low: z.number(),
  high: z.number(),
  unit: z.enum(['m', 'deg', 's', 'count', 'm/s']),
});
const outFacts = {
  tiltDeg: z.number(),
  levelFrom: z.enum(['floor', 'wall', 'picture']),
  metresPerPixel: z.object({ nominal: z.number(), low: z.number(), high: z.number() }).nullable(),
  faults: z.array(
    z.object({
      fault: z.enum(faultIds),
      measure: z.enum(measureIds),
    }),
  ),
  notes: z.array(z.string()),
};

export const plumbOutput = z.object({
  ...outFacts,
  measures: z.partialRecord(z.enum(stillMeasureIds), measured),
  expected: z.partialRecord(z.enum(stillMeasureIds), z.number()),
});

export const clipOutput = z.object({
  ...outFacts,
  events: z.array(z.object({ kind: z.enum(clipEventKinds), atS: z.number() })),
  leadingLeg: z.enum(['near', 'far']).nullable(),
  measures: z.partialRecord(z.enum(clipMeasureIds), measured),
});
