import { resolveBody } from '@/core/body/body';
import { markNames } from '@/core/plumb/marks';
import { readStill } from '@/core/plumb/still';
import { missingMarks, placeFor } from './addMark';
import { emptySheet, moved, toStill, type Sheet } from './sheet';
import { facingSheet, ghostSheet } from './startSheet';

const image = { width: 900, height: 1200 };
const body = resolveBody({ heightM: 1.7 });

/** Every mark there is, one by one. */
function withAll(sheet: Sheet): Sheet {
  const [first] = missingMarks(sheet);
  return first === undefined ? sheet : withAll(moved(sheet, first, placeFor(first, sheet, image)));
}

it('can put on every mark there is, none upon another, from all or nothing', () => {
  for (const from of [ghostSheet(emptySheet, body, 'handstand', image), emptySheet]) {
    const all = withAll(from);
    expect(Object.keys(all.marks.near).sort()).toEqual([...markNames].sort());
    expect(Object.keys(all.marks.far)).toEqual(
      expect.arrayContaining(['knee', 'ankle', 'heel', 'toe']),
    );
    // Two in one place would be refused.
    const { measures } = readStill(toStill(all, { heightM: 1.7 }, false)!);
    expect(measures.ribTilt).toBeDefined();
    expect(measures.wristExtension).toBeDefined();
  }
});

it('offers of front and back what they are measured by', () => {
  const front = facingSheet({ ...emptySheet, view: 'front' }, body, image);
  expect(missingMarks(front)).toEqual([]);
  const { hip: _, ...left } = front.marks.left;
  const without = { ...front, marks: { ...front.marks, left } };
  expect(missingMarks(without)).toEqual([{ kind: 'mark', whose: 'left', name: 'hip' }]);
});
