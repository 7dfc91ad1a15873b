/** A room as a file has it. */
import { z } from 'zod';
import { wallIds } from './room';

const metres = z.number().min(0).max(60);

export const roomFile = z.strictObject({
  format: z.literal('levitar-room'),
  version: z.literal(1),
  name: z.string().trim().max(80).default(''),
  widthM: z.number().min(1).max(60),
  depthM: z.number().min(1).max(60),
  ceilingM: z.number().min(1.5).max(20),
  /** Stretches of a wall that nobody can use, measured from its left end as one faces it. */
  blocked: z
    .array(
      z.strictObject({
        wall: z.enum(wallIds),
        fromM: metres,
        toM: metres,
        what: z.string().max(60).default(''),
      }),
    )
    .max(60)
    .default([]),
  /** Doors: nobody is put beside the swing of one. */
  doors: z
    .array(
      z.strictObject({ wall: z.enum(wallIds), fromM: metres, toM: metres, opensIn: z.boolean() }),
    )
    .max(20)
    .default([]),
  /** Beams, fans, sloping roofs: a rectangle of floor and the height above it. */
  low: z
    .array(
      z.strictObject({
        xM: metres,
        yM: metres,
        widthM: z.number().positive().max(60),
        depthM: z.number().positive().max(60),
        heightM: z.number().min(0.5).max(20),
        what: z.string().max(60).default(''),
      }),
    )
    .max(40)
    .default([]),
});
