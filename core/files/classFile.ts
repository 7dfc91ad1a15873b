/** A class as a file: who comes, where, with what, and what the teacher wants of the evening. */
import { exact } from '../exact';
import { z } from 'zod';
import { toWishes } from './toWishes';
import { drillKey } from '../catalog/keys';
import { pieceCount } from '../catalog/ownPiece';
import { painPlaces } from '../catalog/regions';
import type { School } from '../catalog/school';
import { ladderIds } from '../catalog/stage';
import { themeIds } from '../catalog/themes';
import { spareChoices } from '../compose/budget';
import type { ClassInput, ClassPerson, Wishes } from '../compose/prepared';
import { InputProblem } from '../problem';
import { assertRoom } from '../room/room';
import { roomFile } from '../room/roomFile';
import { bodyInput } from './bodySchemas';
import { personInput, profileInput, readCase, readSchool } from './personInput';
import { day } from './schemas';

const personId = z.string().min(1).max(80);
const round = z.int().min(1).max(8);

export const pinInput = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('student'),
    person: personId,
    option: z.string().min(1).max(80),
    round: round.optional(),
  }),
  z.strictObject({
    kind: z.literal('station'),
    person: personId,
    span: z.string().min(1).max(40),
    round: round.optional(),
  }),
  z.strictObject({ kind: z.literal('drill'), drill: drillKey, use: z.boolean() }),
  z.strictObject({ kind: z.literal('tired'), person: personId }),
]);

/** What is wished of an evening; every field has a usual value. */
const wishesInput = {
  minutes: z.number('Write a number.').min(5).max(240).default(75),
  rounds: z
    .int()
    .min(0)
    .max(6)
    .default(3)
    .meta({ description: '0: an evening without tries, of drills and checks alone.' }),
  roundMinutes: z.number().min(1).max(15).default(4),
  resetMinutes: z.number().min(0).max(10).default(1.5),
  helpers: z.int().min(0).max(6).default(0),
  seed: z.int().min(0).max(2_147_483_647).default(1),
  absent: z.array(personId).max(60).default([]),
  late: z
    .array(z.strictObject({ person: personId, round }))
    .max(60)
    .default([]),
  sore: z
    .array(z.strictObject({ person: personId, place: z.enum(painPlaces) }))
    .max(60)
    .default([]),
  feetDown: z
    .array(personId)
    .max(60)
    .default([])
    .meta({ description: 'Keep the feet down tonight; no reason is asked or kept.' }),
  pins: z.array(pinInput).max(300).default([]),
  order: z
    .array(z.strictObject({ drill: drillKey, minutes: z.number().min(0.5).max(30) }))
    .max(24)
    .optional()
    .meta({ description: 'A running order of one’s own: these drills, this long, in this order.' }),
  theme: z
    .enum(themeIds)
    .optional()
    .meta({ description: 'What the evening is about besides the families.' }),
  spare: z
    .enum(spareChoices)
    .optional()
    .meta({ description: 'Where leftover minutes go; to the drills where not said.' }),
  done: z.int().min(0).max(6).default(0).meta({ description: 'Rounds that are over.' }),
} as const;

export const composeInput = z.strictObject({
  format: z.literal('levitar-class'),
  version: z.literal(1),
  asOf: day,
  profile: profileInput,
  families: z.array(z.enum(ladderIds)).min(1).max(5),
  ...wishesInput,
  room: roomFile,
  pieces: z.array(pieceCount).max(60).default([]),
  people: z.array(personInput.extend({ id: personId, body: bodyInput })).max(60),
});

export type ClassFile = z.infer<typeof composeInput>;

/** Only the wishes, as the app keeps them beside a course. */
export const wishesFile = z.strictObject({
  /** Another school for this evening alone. */
  profile: z.string().max(80).optional(),
  ...wishesInput,
  families: z.array(z.enum(ladderIds)).min(1).max(5),
});

export type WishesFile = z.infer<typeof wishesFile>;

export type WishesInput = z.infer<z.ZodObject<typeof wishesInput>>;

/** @throws InputProblem with the path of what cannot be */
export function readClassFile(input: ClassFile): {
  readonly school: School;
  readonly classInput: ClassInput;
  readonly wishes: Wishes;
} {
  const school = readSchool(input.profile);
  try {
    assertRoom(input.room);
  } catch (error) {
    if (!(error instanceof InputProblem)) throw error;
    throw new InputProblem(error.code, error.message, ['room', ...error.path]);
  }
  const ids = new Set<string>();
  const people = input.people.map(({ id, body, ...person }, index): ClassPerson => {
    if (ids.has(id))
      throw new InputProblem('invalid', `Two people are called "${id}".`, ['people', index, 'id']);
    ids.add(id);
    return {
      id,
      body: exact(body),
      opened: readCase(person, school, input.asOf, ['people', index]),
    };
  });
  const wishes = toWishes(input);
  return {
    school,
    wishes,
    classInput: {
      ...wishes,
      families: [...new Set(input.families)],
      room: input.room,
      pieces: input.pieces,
      people,
      school,
    },
  };
}
