/** What the picture's screen asks of others, as the tests have it: each test says what comes back. */
import type { PictureOutcome } from '../picture';
import type { ReadOutcome } from '../useReader';

const opened: PictureOutcome = {
  ok: true,
  picture: { url: 'blob:x', width: 900, height: 1200 },
};
const nobody: ReadOutcome = { ok: false, problem: 'Nobody is found in this picture.' };

interface Parts {
  /** What a file turns out to be. */
  outcome: PictureOutcome;
  /** A painted picture that is still being opened. */
  opening: Promise<PictureOutcome> | null;
  paint: () => object;
  /** Shapes that were painted, the last one last. */
  readonly painted: string[];
  read: ReadOutcome;
  isReading: boolean;
  readonly recorded: [person: number, form: object][];
  readonly keptSheets: { jpeg: string | null; hasAsked: boolean }[];
  readonly router: { readonly push: jest.Mock; readonly refresh: jest.Mock };
}

export const parts: Parts = {
  outcome: opened,
  opening: null,
  paint: () => ({}),
  painted: [],
  read: nobody,
  isReading: false,
  recorded: [],
  keptSheets: [],
  router: { push: jest.fn(), refresh: jest.fn() },
};

/** As before anything was opened; in front of every test. */
export function resetParts(): void {
  Object.assign(parts, { outcome: opened, opening: null, read: nobody, isReading: false });
  parts.recorded.length = 0;
  parts.painted.length = 0;
  parts.keptSheets.length = 0;
  parts.router.push.mockClear();
  URL.revokeObjectURL = () => undefined;
}

export const picture = {
  loadPicture: () => Promise.resolve(parts.outcome),
  fromCanvas: () => parts.opening ?? Promise.resolve(parts.outcome),
  toKeptJpeg: () => Promise.resolve({ ok: true, jpeg: 'abcd' }),
};
export const practice = {
  paintPractice: (_: object, { shape }: { readonly shape: string }) => {
    parts.painted.push(shape);
    return parts.paint();
  },
};
export const actions = {
  keepPictureAction: (_: number, form: { jpeg: string | null; hasAsked: boolean }) => {
    parts.keptSheets.push(form);
    return Promise.resolve({ ok: true, value: 1 });
  },
  deletePictureAction: () => Promise.resolve({ ok: true, value: { isErasePending: false } }),
};
export const personActions = {
  recordCheckAction: (person: number, form: object) => {
    parts.recorded.push([person, form]);
    return Promise.resolve({ ok: true, value: 1 });
  },
  undoRecordAction: () => Promise.resolve({ ok: true, value: undefined }),
};
export const reader = {
  useReader: () => ({
    isReading: parts.isReading,
    read: () => Promise.resolve(parts.read),
    warm: () => undefined,
    forget: () => undefined,
  }),
};
export const navigation = { useRouter: () => parts.router };
