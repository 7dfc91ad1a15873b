import { act, screen, waitFor } from '@testing-library/react';
import { cautionTable, type CautionId } from '@/core/catalog/cautions';
import { putIn, renderUi } from '@/design/testing/renderUi';
import { CareForm } from './CareForm';
import { uniteCare, type CareForm as Values } from './careForm';

type Answer =
  | { readonly ok: true; readonly value: undefined }
  | { readonly ok: false; readonly problems: Record<string, string>; readonly now?: Values };

const mockAsked: [Values, Values][] = [];
let mockAnswer: (form: Values, seen: Values) => Promise<Answer>;
jest.mock('./actions', () => ({
  saveCareAction: (_: number, form: Values, seen: Values) => {
    mockAsked.push([form, seen]);
    return mockAnswer(form, seen);
  },
}));

const none: Values = { consent: 'ask', pictureConsent: 'no', cautions: [], otherWords: [] };

/** A studio as it compares: it refuses a form that was opened before somebody else's change. */
let stored: Values;
const studio = (form: Values, seen: Values): Answer => {
  if (JSON.stringify(seen) !== JSON.stringify(stored)) {
    return { ok: false, problems: { form: 'Changed in another window meanwhile.' }, now: stored };
  }
  stored = form;
  return { ok: true, value: undefined };
};

beforeEach(() => {
  mockAsked.length = 0;
  stored = none;
  mockAnswer = (form, seen) => Promise.resolve(studio(form, seen));
});

const open = () => renderUi(<CareForm personId={1} initial={none} />);
type User = ReturnType<typeof open>['user'];

async function report(user: User, caution: CautionId) {
  const field = screen.getByRole('combobox', { name: /^Cautions this person reported/ });
  await putIn(user, field, cautionTable[caution].label);
  await user.keyboard('{Enter}');
}

it('keeps what is chosen while another choice is on its way', async () => {
  let answer: () => void = () => undefined;
  mockAnswer = (form, seen) =>
    new Promise((resolve) => {
      answer = () => resolve(studio(form, seen));
    });
  const { user } = open();
  await report(user, 'eye');
  await report(user, 'dizziness');
  // The second waits for the first, and goes by what that one has kept.
  expect(mockAsked).toHaveLength(1);
  await act(async () => answer());
  await waitFor(() => expect(mockAsked).toHaveLength(2));
  await act(async () => answer());
  expect(stored.cautions).toEqual(['eye', 'dizziness']);
  expect(screen.queryByText(/not kept yet/)).toBeNull();
});

it('overwrites nothing of another window, shows both and says that it is not kept', async () => {
  const { user } = open();
  stored = { ...none, consent: 'no', cautions: ['eye'] };
  await report(user, 'dizziness');
  expect(await screen.findByText('What stands here is not kept yet.')).toBeInTheDocument();
  expect(stored.cautions).toEqual(['eye']);
  expect(screen.getAllByRole('radio', { name: 'no' })[0]).toBeChecked();
  await user.click(screen.getByRole('button', { name: 'Keep it as it stands' }));
  await waitFor(() => expect(stored.cautions).toEqual(['eye', 'dizziness']));
  expect(stored.consent).toBe('no');
  await waitFor(() => expect(screen.queryByText(/not kept yet/)).toBeNull());
});

it('does not send after a refusal what was chosen before it was read', async () => {
  let answer: () => void = () => undefined;
  mockAnswer = (form, seen) =>
    new Promise((resolve) => {
      answer = () => resolve(studio(form, seen));
    });
  const { user } = open();
  stored = { ...none, cautions: ['heart'] };
  await report(user, 'eye');
  await report(user, 'dizziness');
  await act(async () => answer());
  expect(await screen.findByText('What stands here is not kept yet.')).toBeInTheDocument();
  expect(mockAsked).toHaveLength(1);
  mockAnswer = (form, seen) => Promise.resolve(studio(form, seen));
  await user.click(screen.getByRole('button', { name: 'Keep it as it stands' }));
  await waitFor(() => expect([...stored.cautions].sort()).toEqual(['dizziness', 'eye', 'heart']));
});

it('says so where no answer comes, and keeps it on asking again', async () => {
  mockAnswer = () => Promise.reject(new TypeError('no connection'));
  const { user } = open();
  await user.click(screen.getAllByRole('radio', { name: 'no' })[0]!);
  expect(await screen.findByText('What stands here is not kept yet.')).toBeInTheDocument();
  mockAnswer = (form, seen) => Promise.resolve(studio(form, seen));
  await user.click(screen.getByRole('button', { name: 'Keep it as it stands' }));
  await waitFor(() => expect(stored.consent).toBe('no'));
});

it('keeps no picture of anybody under 16', async () => {
  const { user } = open();
  await report(user, 'under-16');
  await waitFor(() => expect(stored.cautions).toEqual(['under-16']));
  expect(stored.pictureConsent).toBe('no');
  expect(screen.getByText('Of anybody under 16 no picture is kept.')).toBeInTheDocument();
});

describe('two windows as one', () => {
  it('keeps what either added, and takes out what either took out', () => {
    const before: Values = { ...none, cautions: ['wrist', 'reflux'], otherWords: ['a', 'b'] };
    const mine: Values = { ...before, cautions: ['wrist', 'heart'], otherWords: ['a', 'b', 'c'] };
    const now: Values = { ...before, cautions: ['reflux', 'eye'], otherWords: ['b'] };
    expect(uniteCare(before, mine, now)).toMatchObject({
      cautions: ['eye', 'heart'],
      otherWords: ['b', 'c'],
    });
  });

  it('lets neither window’s picture consent stand beside an age under 16', () => {
    const mine: Values = { ...none, pictureConsent: 'yes' };
    const now: Values = { ...none, cautions: ['under-16'] };
    expect(uniteCare(none, mine, now).pictureConsent).toBe('no');
  });
});

it('takes one change back, and leaves what was chosen after it', async () => {
  const { user } = open();
  await report(user, 'eye');
  await waitFor(() => expect(stored.cautions).toEqual(['eye']));
  await report(user, 'dizziness');
  await waitFor(() => expect(stored.cautions).toEqual(['eye', 'dizziness']));
  const undo = await screen.findAllByRole('button', { name: 'Undo' });
  expect(undo).toHaveLength(2);
  // The one that was noted first goes, the other stays.
  await user.click(undo[0]!);
  await waitFor(() => expect(stored.cautions).toEqual(['dizziness']));
});
