/** Copies: made and checked, taken back, sealed, let go; and a studio that cannot be opened. */
import {
  chmodSync,
  existsSync,
  readFileSync,
  readdirSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import path from 'node:path';
import { findPerson, listPeople } from '@/db/people';
import { isNewFolder, lockFolder, FolderBusyError } from '@/db/folder';
import { putAside } from '@/db/putAside';
import { changeKeeping } from './change';
import { listCopies, listOver, makeCopyNow, type Copy } from './copies';
import { beginAnew, lookAtCopy, restoreCopy, restoreFile } from './restore';
import { closeDatabase, database, databaseFile, dataFolder, findTrouble } from '../database';
import {
  createPairing,
  joinDevice,
  dropDevice,
  findDeviceBy,
  readDevices,
} from '../network/devices';
import { deletePerson } from '@/features/people/change';
import { addPerson, must, withThrowawayStudio } from '@/features/testing/studio';

withThrowawayStudio();

const names = () => listPeople(database()).map(({ name }) => name);
const asked = (name: string, passphrase = '') => ({ name, passphrase });
const keeping = (change: object = {}) => ({
  folder: '',
  days: 14,
  months: 12,
  isSealed: false,
  passphrase: '',
  ...change,
});

it('makes a checked copy, once while nothing changes, and takes it back so that it can be undone', async () => {
  addPerson('Ada');
  const first = await makeCopyNow('hand');
  expect(await makeCopyNow('night')).toBe(first);
  expect(listCopies()).toHaveLength(1);
  addPerson('Bo');
  const look = must(await lookAtCopy(asked(first)));
  expect(look).toMatchObject({ gone: ['Bo'], back: [], now: { people: 2 }, then: { people: 1 } });
  expect(names()).toEqual(['Ada', 'Bo']);
  const before = must(await restoreCopy(asked(first)))!;
  expect(names()).toEqual(['Ada']);
  must(await restoreCopy(asked(before)));
  expect(names()).toEqual(['Ada', 'Bo']);
  expect((await restoreCopy(asked('../levitar.sqlite'))).ok).toBe(false);
  expect(readdirSync(dataFolder()).filter((name) => name.includes('.part'))).toEqual([]);
});

it('brings back nobody who was deleted, and lets in no device that was put out', async () => {
  const id = addPerson('Wilhelmine Unverwechselbar');
  addPerson('Bo');
  const { code } = must(await createPairing('teacher'));
  const { token } = must(joinDevice({ code, name: 'Old tablet' }));
  const plain = await makeCopyNow('hand');
  must(await changeKeeping(keeping({ isSealed: true, passphrase: 'a long enough word' })));
  addPerson('Cleo');
  const sealed = await makeCopyNow('hand');
  const bytes = readFileSync(listCopies().find(({ name }) => name === sealed)!.file);
  expect(bytes.includes('Unverwechselbar')).toBe(false);
  must(dropDevice(readDevices()[0]!.id));
  // Taken out of sealed copies too, as long as the key is here.
  expect(must(await deletePerson(id)).copiesLeft).toEqual([]);
  for (const name of [plain, sealed]) {
    must(await restoreCopy(asked(name)));
    expect(names()).not.toContain('Wilhelmine Unverwechselbar');
    expect(names()).toContain('Bo');
    expect(findDeviceBy(token)).toBeNull();
  }
  expect(findPerson(database(), id)).toBeNull();
});

it('opens a sealed copy on another machine by its passphrase alone, and no other one', async () => {
  addPerson('Ada');
  must(await changeKeeping(keeping({ isSealed: true, passphrase: 'a long enough word' })));
  const [copy] = listCopies();
  expect(copy!.isSealed).toBe(true);
  const file = path.join(dataFolder(), 'elsewhere.sealed');
  writeFileSync(file, readFileSync(copy!.file));
  rmSync(path.join(dataFolder(), 'copies.json'));
  addPerson('Bo');
  expect(await restoreFile(file, 'a wrong word')).toMatchObject({
    problems: { passphrase: /wrong/ },
  });
  const changed = readFileSync(file);
  changed[changed.length >> 1]! ^= 1;
  writeFileSync(`${file}.x`, changed);
  expect((await restoreFile(`${file}.x`, 'a long enough word')).ok).toBe(false);
  expect(names()).toEqual(['Ada', 'Bo']);
  must(await restoreFile(file, 'a long enough word'));
  expect(names()).toEqual(['Ada']);
});

it('lets copies go after their days, but for the last of each month', () => {
  const day = 86_400_000;
  const now = Date.parse('2026-11-25T12:00:00Z');
  const copies = [0, 1, 13, 15, 20, 40, 45, 100, 800].map((age): Copy => ({
    name: String(age),
    file: '',
    atMs: now - age * day,
    kind: 'night',
    isSealed: false,
    bytes: 1,
    rows: 1,
  }));
  const over = (days: number, months: number) =>
    listOver(copies, { days, months }, now).map(({ name }) => name);
  expect(over(14, 12)).toEqual(['20', '45']);
  expect(over(14, 0)).toEqual(['15', '20', '40', '45', '100', '800']);
  // The newest stays, whatever its age.
  expect(listOver(copies.slice(-1), { days: 1, months: 0 }, now)).toEqual([]);
});

it('never puts a new studio in the place of one that is missing, empty or damaged', () => {
  addPerson('Ada');
  closeDatabase();
  const file = databaseFile();
  const held = readFileSync(file);
  const kind = () => findTrouble()?.kind ?? null;
  rmSync(file);
  expect(kind()).toBe('missing');
  expect(existsSync(file)).toBe(false);
  writeFileSync(file, '');
  expect(kind()).toBe('empty');
  const broken = Buffer.from(held);
  broken.fill(7, 4096, 40_000);
  for (const bad of [broken, Buffer.from('this is no database at all, whatever its name says')]) {
    writeFileSync(file, bad);
    expect(kind()).toBe('damaged');
    expect(readFileSync(file).equals(bad)).toBe(true);
  }
  writeFileSync(file, held);
  expect(kind()).toBeNull();
  expect(names()).toEqual(['Ada']);
  expect(beginAnew().ok).toBe(false);
});

it('begins anew only when asked, and keeps what could not be read', () => {
  addPerson('Ada');
  closeDatabase();
  truncateSync(databaseFile(), 5000);
  const held = readFileSync(databaseFile());
  expect(findTrouble()?.kind).toBe('damaged');
  must(beginAnew());
  expect(names()).toEqual([]);
  const aside = readdirSync(dataFolder()).find((name) => name.startsWith('unreadable_'))!;
  expect(readFileSync(path.join(dataFolder(), aside)).equals(held)).toBe(true);
});

it('puts a studio aside whole, with everything in its log, and never over another', () => {
  addPerson('Ada');
  // Killed: the log was never brought into the file.
  const [log, main] = [readFileSync(`${databaseFile()}-wal`), readFileSync(databaseFile())];
  closeDatabase();
  writeFileSync(databaseFile(), main);
  writeFileSync(`${databaseFile()}-wal`, log);
  const now = new Date();
  const first = putAside(dataFolder(), databaseFile(), now)!;
  expect(readFileSync(first).includes('Ada')).toBe(true);
  expect(isNewFolder(dataFolder())).toBe(true);
  addPerson('Bo');
  closeDatabase();
  const second = putAside(dataFolder(), databaseFile(), now)!;
  expect(second).not.toBe(first);
  expect(readFileSync(first).includes('Ada')).toBe(true);
  expect(putAside(dataFolder(), databaseFile())).toBeNull();
});

it('lets one server have a folder', () => {
  const folder = path.join(dataFolder(), 'other');
  const lock = lockFolder(folder, 3000);
  expect(() => lockFolder(folder)).toThrow(FolderBusyError);
  expect(() => lockFolder(folder)).toThrow(/already runs/);
  lock.release();
  lockFolder(folder).release();
  chmodSync(folder, 0o700);
});
