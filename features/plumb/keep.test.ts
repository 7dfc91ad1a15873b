import { readFileSync } from 'node:fs';
import { findPerson, listPeople } from '@/db/people';
import { countJpegs, findJpeg, listPictures } from '@/db/pictures';
import { readStudioHead, readStudioPeople } from '@/db/studioRead';
import { StudioWriter } from '@/db/studioWrite';
import { cleanJpeg } from '@/core/files/jpeg';
import { studioPerson } from '@/core/files/studioFile';
import { deletePerson, mergeInto } from '@/features/people/change';
import { changeCare } from '@/features/person/change';
import { addPerson, careOf, must, withThrowawayStudio } from '@/features/testing/studio';
import { database, databaseFile } from '@/server/database';
import { isErasePending } from '@/server/files/erasing';
import { exportPerson } from '@/server/files/exportPerson';
import { takeStudioFile, writeStudioFile } from '@/server/files/studioFile';
import { today } from '@/server/clock';
import { answerPicture } from './answerPicture';
import { deletePicture, keepPicture, type KeepForm } from './keep';
import { emptySheet } from './sheet';

withThrowawayStudio();

/** A JPEG as far as its segments go: size, tables, a scan with words to look for, the end. */
const words = 'ganz-eigenes-bild';
function jpeg(...extra: readonly (readonly [marker: number, text: string])[]): Buffer {
  const segment = (marker: number, body: Buffer) => {
    const head = Buffer.from([0xff, marker, 0, 0]);
    head.writeUInt16BE(body.length + 2, 2);
    return Buffer.concat([head, body]);
  };
  return Buffer.concat([
    Buffer.from([0xff, 0xd8]),
    ...extra.map(([marker, text]) => segment(marker, Buffer.from(text))),
    segment(0xe0, Buffer.from('JFIF')),
    segment(0xda, Buffer.from([1])),
    Buffer.from(words),
    Buffer.from([0xff, 0xd9]),
  ]);
}

const form = (change: Partial<KeepForm> = {}): KeepForm => ({
  width: 900,
  height: 1200,
  sheet: {
    ...emptySheet,
    marks: { near: { hip: { x: 1, y: 2 } }, far: {}, left: {}, right: {} },
  } as KeepForm['sheet'],
  jpeg: jpeg().toString('base64'),
  hasAsked: false,
  ...change,
});
const agrees = (id: number, pictureConsent: 'yes' | 'ask' | 'no') =>
  must(changeCare(id, careOf({ pictureConsent })));
const problemOf = (outcome: ReturnType<typeof keepPicture>) =>
  outcome.ok ? null : Object.values(outcome.problems)[0];

describe('what is kept of a picture', () => {
  it('is its marks alone, until the person has agreed', () => {
    const id = addPerson('Ada');
    expect(problemOf(keepPicture(id, form()))).toMatch(/has not agreed/);
    must(keepPicture(id, form({ jpeg: null })));
    expect(listPictures(database(), id)).toMatchObject([
      { on: today(), hasPicture: false, sheet: { marks: { near: { hip: { x: 1, y: 2 } } } } },
    ]);
    agrees(id, 'ask');
    expect(problemOf(keepPicture(id, form()))).toMatch(/Ask first/);
    must(keepPicture(id, form({ hasAsked: true })));
    agrees(id, 'yes');
    must(keepPicture(id, form()));
    expect(countJpegs(database(), id)).toBe(2);
  });

  it('is never the picture of anybody under 16, whatever was agreed to', () => {
    const id = addPerson('Bo');
    agrees(id, 'yes');
    must(keepPicture(id, form()));
    must(changeCare(id, careOf({ pictureConsent: 'yes', cautions: ['under-16'] })));
    expect(countJpegs(database(), id)).toBe(0);
    expect(listPictures(database(), id)).toHaveLength(1);
    expect(problemOf(keepPicture(id, form({ hasAsked: true })))).toMatch(/under 16/);
  });

  it('loses the picture with the consent, and keeps the marks', () => {
    const id = addPerson('Cleo');
    agrees(id, 'yes');
    must(keepPicture(id, form()));
    agrees(id, 'no');
    expect(listPictures(database(), id)).toMatchObject([{ hasPicture: false }]);
  });

  it('is no other file', () => {
    const id = addPerson('Dag');
    agrees(id, 'yes');
    const wrong = [
      Buffer.from('a text file'),
      jpeg().subarray(0, -2),
      Buffer.from([0xff, 0xd8, 0xff, 0xd9]),
      Buffer.from([0xff, 0xd8, 0x00, 0x10, 0x00, 0x02, 0xff, 0xd9]),
    ];
    for (const file of wrong) {
      expect(problemOf(keepPicture(id, form({ jpeg: file.toString('base64') })))).toMatch(
        /no JPEG/,
      );
    }
    expect(keepPicture(id, form({ jpeg: 'not base64!' })).ok).toBe(false);
    expect(listPictures(database(), id)).toEqual([]);
  });

  it('says nothing of where, when and with what it was taken', () => {
    const id = addPerson('Dee');
    agrees(id, 'yes');
    const telling = jpeg(
      [0xe1, 'Exif: 52 N 13 E'],
      [0xe2, 'ICC_PROFILE of a camera'],
      [0xfe, 'words'],
    );
    const kept = must(keepPicture(id, form({ jpeg: telling.toString('base64') })));
    // All that is left is what has to be there to see it.
    expect(findJpeg(database(), kept)).toEqual(jpeg());
    const clean = (picture: Buffer) => {
      const cleaned = cleanJpeg(picture);
      return cleaned.ok ? Buffer.from(cleaned.jpeg) : cleaned.problem;
    };
    expect(clean(jpeg())).toEqual(jpeg());
    // Nor between two scans, nor behind the end, where phones put more.
    const scans = jpeg().subarray(0, -2);
    const second = jpeg([0xe1, 'Exif: 52 N 13 E']).subarray(2);
    expect(clean(Buffer.concat([scans, second]))).toEqual(
      Buffer.concat([scans, jpeg().subarray(2)]),
    );
    expect(clean(Buffer.concat([jpeg(), jpeg([0xfe, 'a film'])]))).toEqual(jpeg());
    for (const broken of [scans, jpeg().subarray(0, 9), Buffer.from('no'), Buffer.alloc(0)]) {
      expect(clean(broken)).toMatch(/no JPEG/);
    }
  });
});

describe('a kept picture', () => {
  const bytesOf = () =>
    Buffer.concat([databaseFile(), `${databaseFile()}-wal`].map((file) => readFileSync(file)));

  it('is really deleted by itself and with the person', async () => {
    const id = addPerson('Eva');
    agrees(id, 'yes');
    const first = must(keepPicture(id, form()));
    must(keepPicture(id, form()));
    expect(bytesOf().includes(words)).toBe(true);
    must(await deletePicture(id, first));
    expect(listPictures(database(), id)).toHaveLength(1);
    expect((await deletePicture(id, first)).ok).toBe(false);
    must(await deletePerson(id));
    expect(bytesOf().includes(words)).toBe(false);
  });

  it('leaves nothing on the disk when the consent is taken back, and stays while it is not', () => {
    const id = addPerson('Ida');
    agrees(id, 'yes');
    must(keepPicture(id, form()));
    must(changeCare(id, careOf({ pictureConsent: 'yes', otherWords: ['likes the window'] })));
    expect(isErasePending()).toBe(false);
    expect(bytesOf().includes(words)).toBe(true);
    agrees(id, 'no');
    expect(countJpegs(database(), id)).toBe(0);
    expect(bytesOf().includes(words)).toBe(false);
    expect(isErasePending()).toBe(false);
  });

  it('comes in from a file as nothing but a picture', () => {
    const id = addPerson('Jon');
    agrees(id, 'yes');
    must(keepPicture(id, form()));
    const whole = [...writeStudioFile()].join('');
    const told = jpeg([0xe1, 'Exif: 52 N 13 E']).toString('base64');
    const { uid } = findPerson(database(), id)!;
    const edited = JSON.parse(whole) as {
      people: { uid: string; pictures: { uid: string; jpeg: string }[] }[];
    };
    const own = edited.people.find((one) => one.uid === uid)!;
    own.uid = 'another-jon';
    own.pictures[0] = { ...own.pictures[0]!, uid: 'another-picture', jpeg: told };
    must(takeStudioFile(JSON.stringify(edited), true));
    const jons = listPeople(database()).filter(({ name }) => name === 'Jon');
    const pictures = jons.flatMap((one) => listPictures(database(), one.id));
    expect(pictures).toHaveLength(2);
    for (const picture of pictures) expect(findJpeg(database(), picture.id)).toEqual(jpeg());
    own.uid = 'a-third-jon';
    own.pictures[0]!.jpeg = Buffer.from('a film').toString('base64');
    const refused = takeStudioFile(JSON.stringify(edited), true);
    expect(!refused.ok && Object.values(refused.problems).join()).toMatch(/no JPEG/);
  });

  it('leaves nothing on the disk when a file says that somebody is under 16', () => {
    const id = addPerson('Kim');
    agrees(id, 'yes');
    must(keepPicture(id, form()));
    const file = JSON.parse([...writeStudioFile()].join('')) as {
      people: { uid: string; cautions: { caution: string; notedOn: string }[] }[];
    };
    const { uid } = findPerson(database(), id)!;
    file.people
      .find((one) => one.uid === uid)!
      .cautions.push({
        caution: 'under-16',
        notedOn: today(),
      });
    must(takeStudioFile(JSON.stringify(file), true));
    expect(countJpegs(database(), id)).toBe(0);
    expect(bytesOf().includes(words)).toBe(false);
    expect(isErasePending()).toBe(false);
  });

  it('is nobody else’s to delete', async () => {
    const [id, other] = [addPerson('Fay'), addPerson('Gil')];
    const kept = must(keepPicture(id, form({ jpeg: null })));
    expect((await deletePicture(other, kept)).ok).toBe(false);
    expect(listPictures(database(), id)).toHaveLength(1);
  });

  it('goes with the person’s own file and with the file of everything, and back', () => {
    const id = addPerson('Hal');
    agrees(id, 'yes');
    must(keepPicture(id, form()));
    expect(exportPerson(id)!.pictures).toMatchObject([{ jpeg: form().jpeg, width: 900 }]);
    const [file] = [...readStudioPeople(database())];
    const read = studioPerson.parse(JSON.parse(JSON.stringify(file)));
    const again = () => new StudioWriter(database()).person(read);
    again();
    expect(listPictures(database(), id)).toHaveLength(1);
    const moved = {
      ...read,
      uid: 'another',
      pictures: read.pictures.map((one) => ({ ...one, uid: 'p2' })),
    };
    new StudioWriter(database()).person(moved);
    // A file that brings pictures without their consent brings marks.
    const strict = {
      ...moved,
      uid: 'third',
      pictureConsent: 'no' as const,
      pictures: [{ ...moved.pictures[0]!, uid: 'p3' }],
    };
    new StudioWriter(database()).person(strict);
    expect(readStudioHead(database(), today()).format).toBe('levitar-studio');
    const jpegs = [...readStudioPeople(database())].map(
      ({ pictures }) => pictures[0]!.jpeg !== null,
    );
    expect(jpegs).toEqual([true, true, false]);
  });

  it('follows the stricter consent when two entries become one', async () => {
    const [kept, dropped] = [addPerson('Ida'), addPerson('Ida M')];
    agrees(dropped, 'yes');
    must(keepPicture(dropped, form()));
    must(await mergeInto(kept, dropped));
    expect(findPerson(database(), kept)!.pictureConsent).toBe('no');
    expect(listPictures(database(), kept)).toMatchObject([{ hasPicture: false }]);
  });

  it('is handed out by its number, never stored on the way', async () => {
    const id = addPerson('Jo');
    agrees(id, 'yes');
    const kept = must(keepPicture(id, form()));
    const ask = (number: string) =>
      answerPicture(new Request('http://localhost/'), { params: Promise.resolve({ id: number }) });
    const answer = await ask(String(kept));
    expect(answer.headers.get('Cache-Control')).toBe('no-store');
    expect(Buffer.from(await answer.arrayBuffer())).toEqual(findJpeg(database(), kept));
    expect((await ask('999')).status).toBe(404);
    expect((await ask('x')).status).toBe(404);
  });
});
