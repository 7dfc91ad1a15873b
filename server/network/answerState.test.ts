/** What makes a page another page: who asks, and anything at all that is written. */
import Database from 'better-sqlite3';
import { addPerson, must, withThrowawayStudio } from '@/features/testing/studio';
import { closeDatabase, database, databaseFile } from '../database';
import { changePassphrase, deskCookie, lockDesk } from '../desk/desk';
import { answerState, type AnswerState } from './answerState';
import { createPairing, dropDevice, joinDevice, readDevices } from './devices';
import { deviceCookie, doorHeader } from './doorRules';

withThrowawayStudio();

const mark = 'a-mark-of-this-start';
beforeEach(() => (process.env.LEVITAR_DOOR_MARK = mark));
afterEach(() => {
  delete process.env.LEVITAR_DOOR_MARK;
  jest.restoreAllMocks();
});

const sayState = (state: AnswerState | null) => state && `${state.asker} ${state.studio}`;
const atDesk = (cookie?: string) =>
  sayState(answerState({ headers: cookie === undefined ? {} : { cookie } }));
const throughDoor = (token: string, door = mark) =>
  sayState(
    answerState({ headers: { [doorHeader]: door, cookie: `a=b; ${deviceCookie}=${token}` } }),
  );

async function letIn(role: 'assistant' | 'teacher', name: string): Promise<string> {
  const { code } = must(await createPairing(role));
  return must(joinDevice({ code, name })).token;
}

it('stays the same while nothing is written, and is another one after anything', () => {
  const before = atDesk();
  expect(before).not.toBeNull();
  expect(atDesk()).toBe(before);
  addPerson('Nilo Aran');
  const after = atDesk();
  expect(after).not.toBe(before);
  expect(atDesk()).toBe(after);
});

it('hears of what another connection writes', () => {
  const before = atDesk();
  const other = new Database(databaseFile());
  other.prepare("UPDATE settings SET desk_name = 'Ilse'").run();
  other.exec('CREATE TABLE zz (a); INSERT INTO zz VALUES (1)');
  other.close();
  expect(atDesk()).not.toBe(before);
});

it('is another one for a studio that was opened anew', () => {
  const before = atDesk();
  closeDatabase();
  expect(atDesk()).not.toBe(before);
});

it('belongs to the day', () => {
  const before = atDesk();
  const day = process.env.LEVITAR_DAY!;
  process.env.LEVITAR_DAY = '2031-01-02';
  try {
    expect(atDesk()).not.toBe(before);
  } finally {
    process.env.LEVITAR_DAY = day;
  }
});

it('tells roles and doors apart, not devices, and shares nothing with one that is not let in', async () => {
  const [one, two] = [await letIn('assistant', 'One'), await letIn('teacher', 'Two')];
  const another = await letIn('assistant', 'Three');
  const askers = [one, another].map(
    (token) => JSON.parse(throughDoor(token)!.split(' ')[0]!) as object,
  );
  expect(askers[0]).toEqual(askers[1]);
  expect(askers[0]).toEqual({ role: 'assistant', isFromNetwork: true, isLocked: false });
  const states = [throughDoor(one), throughDoor(two), atDesk()];
  expect(states).not.toContain(null);
  expect(new Set(states).size).toBe(3);
  expect(throughDoor('unknown-token-of-nobody')).toBeNull();
  must(dropDevice(readDevices().find(({ name }) => name === 'One')!.id));
  expect(throughDoor(one)).toBeNull();
  // A mark that is not ours is no door: what asks then is whoever sits at the desk.
  expect(throughDoor(two, 'forged')).toContain('"isFromNetwork":false');
});

it('shares nothing at a desk that is locked, or where nobody has signed in', async () => {
  const { token } = must(
    await changePassphrase({ present: '', passphrase: 'sea-of-grass', name: 'Ilse' }),
  );
  const cookie = `${deskCookie}=${token}`;
  expect(atDesk(cookie)).not.toBeNull();
  expect(atDesk()).toBeNull();
  const soon = Date.now() + 24 * 3_600_000;
  jest.spyOn(Date, 'now').mockReturnValue(soon);
  expect(atDesk(cookie)).toBeNull();
  jest.restoreAllMocks();
  lockDesk(token);
  expect(atDesk(cookie)).toBeNull();
});

it('keeps a desk awake at which pages are only looked at again', async () => {
  const { token } = must(
    await changePassphrase({ present: '', passphrase: 'sea-of-grass', name: 'Ilse' }),
  );
  const cookie = `${deskCookie}=${token}`;
  const start = Date.now();
  for (let minute = 1; minute <= 60; minute += 1) {
    jest.spyOn(Date, 'now').mockReturnValue(start + minute * 60_000);
    expect(atDesk(cookie)).not.toBeNull();
  }
});

it('shares nothing within a transaction: it may yet be taken back', () => {
  database().transaction(() => expect(atDesk()).toBeNull());
  expect(atDesk()).not.toBeNull();
});
