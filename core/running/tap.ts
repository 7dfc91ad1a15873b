/**
 * What a finger on the tablet says. A class is the set of its taps: whatever order they arrive in,
 * however often, the same set gives the same record. Source: handbook 08 "On the floor".
 */
import { checkInClass, checkKey, stageKey } from '../catalog/keys';
import { z } from 'zod';
import { baseIds, faultIds } from '../catalog/checks';
import { mostTryS } from './exit';
import { painPlaces, stopSigns } from '../catalog/regions';
import { tryAims, tryKinds } from '../catalog/tries';
import { wayUpIds } from '../catalog/waysUp';
import { composeOutput } from '../files/planFile';

/** What the arms hold on to in a try. */
export const trySupports = ['strap', 'block', 'free'] as const;
export type TrySupport = (typeof trySupports)[number];

const key = z.string().min(1).max(80);
const side = z.enum(['left', 'right']);

/**
 * When something happened, by both clocks of the device. `monoMs` never jumps but begins anew with
 * every load of the page (`boot`); `wallMs` goes on, but somebody may set it.
 */
export const stamp = z.strictObject({
  boot: key,
  monoMs: z.number().min(0),
  wallMs: z.number(),
});

/** What can be tapped. Ids of people are those of the plan. */
export const trySeconds = z.number().min(0).max(mostTryS);

export const floorAct = z.discriminatedUnion('kind', [
  /** The server answered: its clock at that moment, milliseconds, and how long the answer took. */
  z.strictObject({
    kind: z.literal('anchor'),
    serverMs: z.number(),
    roundTripMs: z.number().min(0),
  }),
  /** The running order moves to this line; so many rounds lie behind it. */
  z.strictObject({
    kind: z.literal('segment'),
    index: z.int().min(0).max(200),
    roundsDone: z.int().min(0).max(12),
  }),
  z.strictObject({
    kind: z.literal('hold-start'),
    hold: key,
    /** Null: time in the shape, for the record alone. */
    check: checkKey.nullable(),
    base: z.enum(baseIds).nullable(),
    side: side.nullable(),
    /** Nobody: whoever it was about was deleted since. */
    people: z.array(key).max(60),
  }),
  z.strictObject({ kind: z.literal('hold-down'), hold: key, person: key }),
  z.strictObject({
    kind: z.literal('hold-fault'),
    hold: key,
    person: key,
    fault: z.enum(faultIds),
  }),
  z.strictObject({ kind: z.literal('hold-stop'), hold: key }),
  /** The teacher's answer about a time that the clocks disagree on. */
  z.strictObject({ kind: z.literal('hold-settle'), hold: key, keep: z.boolean() }),
  z.strictObject({
    kind: z.literal('try'),
    person: key,
    /** The stage, for the record; the option of the plan otherwise. */
    what: z.enum(tryKinds),
    stage: stageKey.nullable(),
    base: z.enum(baseIds).nullable(),
    round: z.int().min(1).max(12).nullable(),
    leg: side.nullable(),
    reached: z.boolean(),
    /** What `reached` speaks of; absent: the wall, as in classes begun before it was said. */
    aim: z.enum(tryAims).optional(),
    blocksKept: z.boolean().nullable(),
    landing: z.enum(['soft', 'heavy']).nullable(),
    isAssisted: z.boolean(),
    /** How they came up, as it was seen; absent: the stage has one way, or it was not said. */
    wayUp: z.enum(wayUpIds).nullable().optional(),
    /** What the arms had to hold on to. */
    support: z.enum(trySupports).nullable().optional(),
    /** What was seen of it. */
    faults: z.array(z.enum(faultIds)).max(faultIds.length).optional(),
    /** Timed by tap: from the floor until up, and from up until a foot is on the floor again. */
    liftS: trySeconds.nullable().optional(),
    exitS: trySeconds.nullable().optional(),
  }),
  /** A check counted or measured rather than held. */
  z.strictObject({
    kind: z.literal('seen'),
    person: key,
    check: checkKey,
    value: z.number().min(0).max(3600),
    base: z.enum(baseIds).nullable(),
    side: side.nullable(),
    faults: z.array(z.enum(faultIds)).max(faultIds.length),
  }),
  /** Asked at the door: may the stage that needs it be done? */
  z.strictObject({
    kind: z.literal('door'),
    person: key,
    check: checkInClass,
    isFine: z.boolean(),
  }),
  z.strictObject({ kind: z.literal('assist'), person: key, round: z.int().min(1).max(12) }),
  z.strictObject({ kind: z.literal('sign'), person: key, sign: z.enum(stopSigns) }),
  z.strictObject({ kind: z.literal('sore'), person: key, place: z.enum(painPlaces) }),
  /** Ended for now without a word about why: the attempt is over. */
  z.strictObject({ kind: z.literal('halt'), person: key }),
  z.strictObject({ kind: z.literal('absent'), person: key, isAbsent: z.boolean() }),
  /** Comes for that round, and not for the drills; 0: in time after all. */
  z.strictObject({ kind: z.literal('late'), person: key, round: z.int().min(0).max(8) }),
  /** Keeps the feet down tonight; nobody asks why. */
  z.strictObject({ kind: z.literal('feet-down'), person: key, isDown: z.boolean() }),
  z.strictObject({ kind: z.literal('plan'), plan: composeOutput }),
  z.strictObject({ kind: z.literal('end') }),
  z.strictObject({ kind: z.literal('undo'), tap: key }),
]);

export const tap = z.strictObject({
  device: key,
  /** Rises by one with every tap of the device: the order, and with `device` the tap's name. */
  seq: z.int().min(1),
  at: stamp,
  act: floorAct,
});

export type Stamp = z.infer<typeof stamp>;
export type FloorAct = z.infer<typeof floorAct>;
export type Tap = z.infer<typeof tap>;
export type ActOf<Kind extends FloorAct['kind']> = Extract<FloorAct, { kind: Kind }>;
