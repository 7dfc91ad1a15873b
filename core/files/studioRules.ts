/**
 * What a file of a studio must keep to beyond its shape: the same rules as the forms. Each throws
 * an InputProblem with the path within the piece it was given.
 */
import type { StageKey } from '../catalog/stage';
import { isKeyOf } from '../units/keyed';
import { z } from 'zod';
import { findTakenProblem } from '../body/taken';
import { entrySchemas, layOver, type OwnEntries } from '../catalog/entries';
import { pieceSpec } from '../catalog/ownPiece';
import { isOwnPiece, pieceIds, type PieceId } from '../catalog/pieces';
import { profileChangesSchema } from '../catalog/profileChanges';
import type { Catalog } from '../catalog/school';
import { savedOfIds } from '../setups/saved';
import { InputProblem, type ProblemPath } from '../problem';
import { assertRoom } from '../room/room';
import { roomFile } from '../room/roomFile';
import { checkShape } from './parse';
import type { StudioCourse, StudioFile, StudioPerson } from './studioFile';

/** What a class began with, as far as every page that shows it relies on. */
const bundleShape = z.looseObject({
  members: z.array(z.looseObject({ id: z.string(), name: z.string(), body: z.looseObject({}) })),
  plan: z.looseObject({
    timeline: z.array(z.looseObject({ kind: z.string() })),
    rounds: z.array(z.looseObject({ people: z.array(z.looseObject({ id: z.string() })) })),
    families: z.array(z.string()),
    wishes: z.looseObject({}),
  }),
  prepared: z.looseObject({ people: z.array(z.looseObject({ id: z.string() })) }),
  checks: z.array(z.looseObject({ check: z.string() })),
  meeting: z.looseObject({}),
});

const refuse = (path: ProblemPath, words: string): never => {
  throw new InputProblem('invalid', `${path.join('.')}: ${words}`, path);
};

/** Runs a check that knows nothing of where it stands. */
function within<T>(path: ProblemPath, check: () => T): T {
  try {
    return check();
  } catch (error) {
    if (!(error instanceof InputProblem)) throw error;
    throw new InputProblem(error.code, `${path.join('.')}: ${error.message}`, [
      ...path,
      ...error.path,
    ]);
  }
}

type Head = Pick<StudioFile, 'profiles' | 'entries' | 'ownPieces'>;

/** What the other pieces of the file are read against. */
export interface StudioContext {
  /** The shipped catalog with the entries of the file and of the studio laid over it. */
  readonly catalog: Catalog;
  readonly pieces: ReadonlySet<string>;
}

/** @param here entries that the studio has already; those of the file come over them */
export function readStudioContext(head: Head, here: OwnEntries): StudioContext {
  head.ownPieces.forEach(({ id: _, standsOnEdge, refolds, stacks, ...spec }, index) =>
    within(['ownPieces', index], () =>
      checkShape(pieceSpec, {
        ...spec,
        ...(standsOnEdge ? { standsOnEdge } : {}),
        ...(refolds ? { refolds } : {}),
        ...(stacks ? { stacks } : {}),
      }),
    ),
  );
  head.profiles.forEach(({ changes }, index) =>
    within(['profiles', index, 'changes'], () => checkShape(profileChangesSchema, changes)),
  );
  const own: Record<string, Record<string, unknown>> = {
    stages: { ...here.stages },
    branches: { ...here.branches },
    drills: { ...here.drills },
    checks: { ...here.checks },
  };
  head.entries.forEach(({ kind, key, spec }, index) => {
    own[kind]![key] = within(['entries', index, 'spec'], () =>
      checkShape(entrySchemas[kind], spec),
    );
  });
  const { catalog, problems } = layOver(own as unknown as OwnEntries);
  const [first] = problems;
  if (first !== undefined) refuse(['entries'], `${first.where} ${first.message}.`);
  return { catalog, pieces: new Set(head.ownPieces.map(({ id }) => `own-${id}`)) };
}

const isStage = ({ catalog }: StudioContext, key: string): key is StageKey =>
  isKeyOf(catalog.stages, key);

export function assertStudioPerson(person: StudioPerson, context: StudioContext): void {
  person.lengths.forEach(({ length, metres }, index) => {
    const problem = findTakenProblem(length, metres, person.heightM);
    if (problem !== null) refuse(['lengths', index, 'metres'], problem);
  });
  person.rungs.forEach(({ family, stage }, index) => {
    if (!isStage(context, stage)) refuse(['rungs', index, 'stage'], 'This rung is not known here.');
    if (context.catalog.stages[stage]!.family !== family) {
      refuse(['rungs', index, 'stage'], 'This rung is on another ladder.');
    }
  });
  person.records.forEach(({ check, value }, index) => {
    const spec = isKeyOf(context.catalog.checks, check) ? context.catalog.checks[check] : undefined;
    if (spec === undefined) refuse(['records', index, 'check'], 'This check is not known here.');
    else if (value > spec.most) {
      refuse(['records', index, 'value'], `More than ${spec.most} cannot be.`);
    }
  });
  person.setups.forEach(({ family }, index) => {
    if (!savedOfIds.some((id) => id === family)) {
      refuse(['setups', index, 'family'], 'This shape is not known here.');
    }
  });
}

export function assertStudioCourse(course: StudioCourse, context: StudioContext): void {
  if (!isStage(context, course.stage)) refuse(['stage'], 'This rung is not known here.');
  course.meetings.forEach(({ peak }, index) => {
    if (peak !== null && !isStage(context, peak)) {
      refuse(['meetings', index, 'peak'], 'This rung is not known here.');
    }
  });
  course.cupboard.forEach(({ piece, count, worn }, index) => {
    const isKnown = isOwnPiece(piece as PieceId)
      ? context.pieces.has(piece)
      : pieceIds.some((id) => id === piece);
    if (!isKnown) refuse(['cupboard', index, 'piece'], 'This piece is in no list.');
    if (worn > count) refuse(['cupboard', index, 'worn'], 'Not more than there are.');
  });
  if (course.room !== null) {
    within(['room'], () => assertRoom(checkShape(roomFile, course.room)));
  }
  course.classes.forEach(({ bundle }, index) => {
    within(['classes', index, 'bundle'], () => checkShape(bundleShape, bundle));
  });
}
