/** What is marked in one picture, as it is worked on and kept: without the picture itself. */
import { z } from 'zod';
import { shapeIds } from '../shapes/registry';
import { plumbBases, scaleSegments } from './marks';
import { line, markSet } from './schemas';

const sheetSchema = z.strictObject({
  view: z.enum(['side', 'front', 'back']),
  facing: z.enum(['left', 'right']),
  base: z.enum(plumbBases),
  shape: z.enum(shapeIds).nullable(),
  marks: z.strictObject({ near: markSet, far: markSet, left: markSet, right: markSet }),
  floor: line.nullable(),
  wall: line.nullable(),
  scale: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('none') }),
    z.strictObject({ kind: z.literal('points'), line, metres: z.number().positive().max(100) }),
    z.strictObject({ kind: z.literal('segment'), segment: z.enum(scaleSegments) }),
  ]),
});

/** The longer side of a picture that is kept, pixels. */
export const keptSidePx = 1600;
/** As large as a kept picture may be, bytes. */
export const keptBytes = 1_500_000;

/** A picture that was kept: its marks, and itself where that was agreed to. */
export const keptPicture = z.strictObject({
  uid: z.string().min(1).max(80),
  on: z.iso.date(),
  width: z.int().positive().max(10_000),
  height: z.int().positive().max(10_000),
  sheet: sheetSchema,
  jpeg: z
    .base64()
    .max(Math.ceil((keptBytes * 4) / 3) + 4)
    .nullable()
    .meta({ description: 'The picture, base64; nothing where only the marks are kept.' }),
});
