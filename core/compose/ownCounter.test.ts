/** What follows a rung of a teacher's own reaches the running order, and nobody it is not for. */
import loadHighs from 'highs';
import { layOver, noEntries } from '../catalog/entries';
import { buildSchool, shippedProfile } from '../catalog/school';
import { stageTable } from '../catalog/stages';
import { composeInput, readClassFile } from '../files/classFile';
import { toPlanFile } from '../files/planFile';
import { planForAssistant } from '../running/assistantPlan';
import { hideChecks } from '../running/hide';
import { openCase } from '../ladder/case';
import { everything, makeCase } from '../testing/cases';
import { composeClass } from './composeClass';
import { prepareClass, type Pin } from './prepared';
import { listSittingOut, sayingOut } from './sittingOut';
import { usualSolve } from './solve';

const fold = 'Legs wide, arms long, a folded forward bend';
const { catalog, problems } = layOver({
  ...noEntries,
  stages: {
    'own-long-l': {
      ...stageTable.HB8,
      label: 'Long L',
      after: ['HB8'],
      isAside: true,
      gate: [],
      counter: fold,
    },
  },
});
const school = buildSchool(shippedProfile('prop-led'), catalog);

const file = composeInput.parse({
  format: 'levitar-class',
  version: 1,
  asOf: '2026-11-19',
  profile: 'prop-led',
  families: ['handstand'],
  room: {
    format: 'levitar-room',
    version: 1,
    name: 'Hall',
    widthM: 8,
    depthM: 9,
    ceilingM: 2.9,
    blocked: [],
    doors: [],
    low: [],
  },
  pieces: [{ piece: 'foam-block', count: 8 }],
  people: ['p0', 'p1'].map((id) => ({ id, body: { heightM: 1.7 }, consent: 'yes' })),
});

async function evening(pins: readonly Pin[]) {
  const { classInput, wishes } = readClassFile(file);
  const people = classInput.people.map((person) => ({
    ...person,
    opened: openCase({
      ...makeCase({ present: { handstand: 'HB8' } }),
      school,
      evidence: everything,
    }),
  }));
  const prepared = prepareClass({ ...classInput, school, people });
  const wished = { ...wishes, pins };
  const plan = composeClass(await loadHighs(), prepared, wished, usualSolve);
  const written = toPlanFile(plan, prepared, wished, { binding: [], relief: null });
  return { prepared, written, after: written.timeline.find(({ kind }) => kind === 'counter')! };
}

const pin = (round: number, option: string): Pin => ({
  kind: 'student',
  person: 'p0',
  round,
  option,
});

it('is a rung that stands on its ladder', () => {
  expect(problems).toEqual([]);
});

it('is done in the place of the family’s by whoever held that rung last, and told to everybody', async () => {
  const { prepared, written, after } = await evening([1, 2, 3].map((at) => pin(at, 'own-long-l')));
  expect(after.own).toEqual([{ id: 'p0', instead: fold }]);
  expect(sayingOut(listSittingOut(after, prepared.people), (id) => id)).toBe(`p0: ${fold}`);
  expect(after.sitOut).toEqual(after.own);
  const assistant = planForAssistant(written, hideChecks([]));
  expect(assistant.timeline.find(({ kind }) => kind === 'counter')!.own).toEqual(after.own);
});

it('is the family’s where something else was held after it', async () => {
  const { after } = await evening([pin(1, 'own-long-l'), pin(2, 'own-long-l'), pin(3, 'HB8')]);
  expect(after).not.toHaveProperty('own');
});
