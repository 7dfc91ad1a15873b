/** A room as a file has it. */
import { z } from 'zod';
import { roomBounds, wallIds } from './room';

const between = ([least, most]: readonly [number, number]) => z.number().min(least).max(most);
const [, longestM] = roomBounds.sideM;
const metres = between([0, longestM]);

export const roomFile = z.strictObject({
  format: z.literal('levitar-room'),
  version: z.literal(1),
  name: z.string().trim().max(80).default(''),
  widthM: between(roomBounds.sideM),
  depthM: between(roomBounds.sideM),
  ceilingM: between(roomBounds.ceilingM),
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
    .max(roomBounds.most.blocked)
    .default([]),
  /** Doors: nobody is put beside the swing of one. */
  doors: z
    .array(
      z.strictObject({ wall: z.enum(wallIds), fromM: metres, toM: metres, opensIn: z.boolean() }),
    )
    .max(roomBounds.most.doors)
    .default([]),
  /** Beams, fans, sloping roofs: a rectangle of floor and the height above it. */
  low: z
    .array(
      z.strictObject({
        xM: metres,
        yM: metres,
        widthM: z.number().positive().max(longestM),
        depthM: z.number().positive().max(longestM),
        heightM: between(roomBounds.lowM),
        what: z.string().max(60).default(''),
      }),
    )
    .max(roomBounds.most.low)
    .default([]),
});
