import { z } from 'zod';
import { girthIds } from '../body/girths';
import { forearmHandsIds } from '../body/hands';
import { lengthIds } from '../body/lengths';
import { pieceKey } from '../catalog/keys';
import { pieceCount } from '../catalog/ownPiece';
import { profileIds } from '../catalog/profiles';
import { distanceIds } from '../setups/distanceWords';
import { setupIds } from '../setups/registry';

const metres = z.number().min(0).max(10);
const signedMetres = z.number().min(-2).max(2);
const angle = (low: number, high: number) => z.number().min(low).max(high);

/** Heights, masses and lengths are judged by the body itself, which says what it expected. */
export const bodyInput = z
  .strictObject({
    heightM: z.number(),
    isHeightGuessed: z
      .literal(true)
      .optional()
      .meta({ description: 'Nobody has said the height: taken as usual.' }),
    massKg: z.number().optional(),
    lengths: z.partialRecord(z.enum(lengthIds), z.number()).optional(),
    girths: z
      .partialRecord(z.enum(girthIds), z.number())
      .optional()
      .meta({ description: 'All round, metres; only where somebody measured.' }),
    forearmHands: z
      .enum(forearmHandsIds)
      .optional()
      .meta({ description: 'Hands in a forearm stand; absent: as the profile has them.' }),
  })
  .meta({ description: 'Metres and kilograms; lengths only where somebody measured.' });

const posture = <Family extends string, Shape extends z.ZodRawShape>(
  family: Family,
  shape: Shape,
) => z.strictObject({ family: z.literal(family), ...shape });

const lead = { shoulderLeadM: signedMetres.optional() };
const oneLeg = { oneLeg: z.boolean().optional() };

/** Handbook 11 "loads": families and their parameters. */
const postureInput = z.discriminatedUnion('family', [
  posture('plank', {}),
  posture('kneePlank', {}),
  posture('dog', { stanceM: metres, ...lead, ...oneLeg }),
  posture('shortDog', { baseM: metres, ...lead, ...oneLeg }),
  posture('raisedDog', { stanceM: metres, supportHeightM: metres, ...lead }),
  posture('dolphin', {
    elbowToBallM: metres,
    ...lead,
    kneeBendDeg: angle(0, 150).optional(),
    ...oneLeg,
  }),
  posture('wallL', { baseM: metres, footHeightM: metres.optional(), ...oneLeg }),
  posture('forearmWallL', { baseM: metres, footHeightM: metres.optional(), ...oneLeg }),
  posture('handstandWall', { baseM: metres }),
  posture('forearmStandWall', { baseM: metres }),
  posture('handstand', { archDeg: angle(-60, 120).optional() }),
  posture('forearmStand', { archDeg: angle(-60, 120).optional() }),
  posture('headstand', { archDeg: angle(-60, 120).optional() }),
  posture('headstandBase', { headToBallM: metres }),
  posture('headstandTuck', {}),
  posture('crow', {
    elbowDeg: angle(30, 180),
    kneeOnArm: z.number().min(0).max(1),
    footBlockM: metres.optional(),
  }),
  posture('liftedTuck', { blockM: metres }),
  posture('shoulderStand', { trunkDeg: angle(20, 110), platformM: metres }),
  posture('plough', { platformM: metres, toeSupportM: metres }),
]);

const piecesInput = z.array(pieceCount);

export const loadsInput = z.strictObject({
  body: bodyInput,
  posture: postureInput,
  ranges: z
    .strictObject({
      shoulderDeg: angle(60, 200).optional(),
      hamstringDeg: angle(10, 160).optional(),
    })
    .optional()
    .meta({ description: 'Measured ranges of this person; with them beyondRange is reported.' }),
});

export const setupInput = z.strictObject({
  recipe: z.enum(setupIds),
  profile: z.enum(profileIds),
  body: bodyInput,
  pieces: piecesInput,
  straightLegRaiseDeg: angle(10, 150).optional(),
});

export const stackInput = z.strictObject({
  targetM: z.number().min(0).max(1),
  toleranceM: z.number().min(0).max(0.1).optional(),
  footprintM: z.tuple([z.number().positive().max(2), z.number().positive().max(2)]),
  pieces: piecesInput,
});

export const spacerInput = z.strictObject({
  gapM: z.number().positive().max(1),
  pieces: piecesInput,
});

const point = z.tuple([z.number(), z.number()]);
const share = z.object({ low: z.number(), nominal: z.number(), high: z.number() });

export const loadsOutput = z.object({
  joints: z.object({
    wrist: point,
    elbow: point,
    shoulder: point,
    hip: point,
    knee: point,
    ankle: point,
    crown: point,
  }),
  centreOfMass: point,
  contacts: z.array(
    z.object({
      name: z.string(),
      verticalPercent: share,
      wallPercent: z.object({ low: z.number(), high: z.number() }).optional(),
    }),
  ),
  angles: z.object({
    shoulderDeg: z.number(),
    hipDeg: z.number(),
    trunkDeg: z.number(),
    leanDeg: z.number().optional(),
    bendIfUpperArmsUprightDeg: z.number().optional(),
  }),
  balance: z.object({ aheadM: z.number(), behindM: z.number() }).optional(),
  neckFlexionDeg: z.number().optional(),
  headClearanceM: z.number().optional(),
  shoulderMomentNmPerKg: z.number().optional(),
  shoulderLeadM: z.number().optional(),
  kickRiseM: z.number().optional(),
  beyondRange: z
    .object({
      shoulderDeg: z.number().optional(),
      hamstringDeg: z.number().optional(),
      foldDeg: z
        .number()
        .optional()
        .meta({ description: 'The fold goes this much further than belly and thighs leave.' }),
    })
    .optional(),
  notes: z.array(z.string()),
});

export const stackOutput = z.object({
  found: z.boolean(),
  heightM: z.number().nullable(),
  layers: z.array(
    z.object({
      piece: pieceKey,
      count: z.int(),
      face: z.enum(['flat', 'side', 'end']),
      thicknessM: z.number(),
      isRefolded: z.boolean().optional(),
    }),
  ),
  nearest: z.object({ below: z.number().nullable(), above: z.number().nullable() }),
});

export const spacerOutput = z.object({
  sumM: z.number(),
  errorM: z.number(),
  faces: z.array(
    z.object({
      piece: pieceKey,
      face: z.enum(['length', 'width', 'thickness']),
      metres: z.number(),
    }),
  ),
});

export const setupOutput = z.object({
  recipe: z.enum(setupIds),
  distances: z.array(
    z.object({
      id: z.enum(distanceIds),
      metres: z.number(),
      lowM: z.number(),
      highM: z.number(),
      basis: z.enum(['measured', 'estimated']),
      toleranceM: z.number(),
      label: z.string(),
      mark: z.string(),
    }),
  ),
  stack: stackOutput.optional(),
  spacer: spacerOutput.optional(),
  cautions: z.array(z.string()),
  notes: z.array(z.string()),
});
