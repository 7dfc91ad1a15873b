import fc from 'fast-check';
import { readCoco, writeCoco, type MarkedImage } from './coco';
import { markNames, type MarkSet } from './marks';

const set = fc
  .uniqueArray(fc.constantFrom(...markNames), { minLength: 1 })
  .chain((names) =>
    fc.tuple(
      ...names.map((name) =>
        fc
          .record({ x: fc.integer({ min: -50, max: 4000 }), y: fc.integer({ max: 4000, min: 0 }) })
          .map((mark) => [name, mark] as const),
      ),
    ),
  )
  .map((entries): MarkSet => Object.fromEntries(entries));

it('brings back what it wrote', () => {
  fc.assert(
    fc.property(set, set, fc.boolean(), (one, other, isSide) => {
      const marks: MarkedImage['marks'] = isSide
        ? { near: one, far: other }
        : { left: one, right: other };
      const image = { width: 640, height: 480, marks };
      const file: unknown = JSON.parse(JSON.stringify(writeCoco(image)));
      expect(readCoco(file, isSide ? 'side' : 'back')).toEqual(image);
    }),
    { numRuns: 60 },
  );
});

it('takes a file of another reader: the side that is seen more is near', () => {
  const file = {
    images: [{ id: 7, width: 100, height: 100, file_name: 'x.jpg' }],
    categories: [
      {
        id: 3,
        name: 'person',
        keypoints: ['nose', 'left_hip', 'right_hip', 'left_knee', 'right_knee'],
      },
    ],
    annotations: [
      {
        id: 1,
        image_id: 7,
        category_id: 3,
        keypoints: [1, 1, 2, 2, 2, 2, 3, 3, 1, 4, 4, 2, 0, 0, 0],
      },
    ],
  };
  expect(readCoco(file, 'side').marks).toEqual({
    near: { hip: { x: 2, y: 2 }, knee: { x: 4, y: 4 } },
    far: { hip: { x: 3, y: 3 } },
  });
  expect(readCoco(file, 'front').marks).toEqual({
    left: { hip: { x: 2, y: 2 }, knee: { x: 4, y: 4 } },
    right: { hip: { x: 3, y: 3 } },
  });
  const [annotation] = file.annotations;
  const cut = { ...file, annotations: [{ ...annotation, keypoints: [1, 2] }] };
  expect(() => readCoco(cut, 'side')).toThrow(/three numbers/);
  const nameless = { ...file, annotations: [{ ...annotation, category_id: 9 }] };
  expect(() => readCoco(nameless, 'side')).toThrow(/no names/);
  const nose = { ...file, categories: [{ id: 3, name: 'person', keypoints: ['nose'] }] };
  const only = { ...nose, annotations: [{ ...annotation, keypoints: [1, 1, 2] }] };
  expect(() => readCoco(only, 'side')).toThrow(/known here/);
  expect(() => readCoco({ people: [] }, 'side')).toThrow(/no COCO file/);
});
