import { screen, waitFor, within } from '@testing-library/react';
import * as fakes from '@/design/testing/fakeActions';
import { renderUi } from '@/design/testing/renderUi';
import { MeetingTable } from './MeetingTable';
import type { CoursePageView } from './read';

jest.mock('./actions', () =>
  jest.requireActual<typeof fakes>('@/design/testing/fakeActions').fakeActions({
    createMeetingAction: 'create',
    changeMeetingAction: 'change',
    dropMeetingAction: 'drop',
    bringMeetingBackAction: 'back',
    changeAttendanceAction: 'came',
  }),
);

const dropped = { form: { date: '2031-03-11' }, came: [] };

beforeEach(() => {
  fakes.beginAsking();
  fakes.answerWith((what) =>
    Promise.resolve({ ok: true, value: what === 'drop' ? dropped : what === 'create' ? 9 : null }),
  );
});

const meeting = (id: number, date: string, more: object = {}) => ({
  id,
  courseId: 1,
  date,
  startsAt: '18:30',
  minutes: 75,
  room: '',
  family: null,
  peak: null,
  came: [],
  absent: [],
  peakLabel: null,
  ...more,
});

const view = {
  course: { id: 1, name: 'Tuesdays', place: 'Hall', startsOn: '2031-03-04' },
  today: '2031-03-06',
  meetings: [meeting(4, '2031-03-04', { came: [7] }), meeting(5, '2031-03-11')],
  people: [
    { id: 7, name: 'Ida Fern' },
    { id: 8, name: 'Olaf Reed' },
  ],
  others: [],
  suggestions: [{ family: 'handstand', peak: 'HS3', peakLabel: 'L at the wall', why: 'five near' }],
  stages: [
    { stage: 'HS3', label: 'L at the wall', family: 'handstand' },
    { stage: 'FS4', label: 'Dolphin', family: 'forearm-stand' },
  ],
} as unknown as CoursePageView;

const open = () => renderUi(<MeetingTable view={view} />);

it('opens the coming evening, and another one when it is tapped', async () => {
  const { user } = open();
  expect(screen.getByLabelText('Date')).toHaveValue('2031-03-11');
  await user.click(screen.getByRole('button', { name: /1 came/ }));
  expect(screen.getByLabelText('Date')).toHaveValue('2031-03-04');
});

it('takes an emptied field for no minutes at all, not for nought', async () => {
  const { user } = open();
  const minutes = screen.getByLabelText('Minutes');
  await user.clear(minutes);
  await user.type(minutes, '90');
  expect(minutes).toHaveValue('90');
  await user.click(screen.getByRole('button', { name: 'Keep this evening' }));
  expect(fakes.asked).toEqual([['change', 5, expect.objectContaining({ minutes: 90 })]]);
});

it('gives a peak of its own family only, and drops it with the family', async () => {
  const { user } = open();
  expect(screen.getByLabelText('Peak')).toBeDisabled();
  await user.selectOptions(screen.getByLabelText('Family'), 'handstand');
  const peaks = within(screen.getByLabelText('Peak')).getAllByRole('option');
  expect(peaks.map(({ textContent }) => textContent)).toEqual(['from the group', 'L at the wall']);
  await user.selectOptions(screen.getByLabelText('Peak'), 'HS3');
  await user.selectOptions(screen.getByLabelText('Family'), 'forearm-stand');
  await user.click(screen.getByRole('button', { name: 'Keep this evening' }));
  expect(fakes.asked[0]![2]).toMatchObject({ family: 'forearm-stand', peak: null });
});

it('takes the suggestion, and says at its field what is wrong', async () => {
  fakes.refuse({ date: 'The course already meets on this day.' });
  const { user } = open();
  await user.click(screen.getByRole('button', { name: 'Take the suggestion: L at the wall' }));
  expect(fakes.asked[0]![2]).toMatchObject({ family: 'handstand', peak: 'HS3' });
  expect(await screen.findByText('The course already meets on this day.')).toBeInTheDocument();
});

it('adds a week after the last one, at the same hour', async () => {
  const { user } = open();
  await user.click(screen.getByRole('button', { name: 'One more week' }));
  expect(fakes.asked).toEqual([
    ['create', 1, expect.objectContaining({ date: '2031-03-18', startsAt: '18:30', minutes: 75 })],
  ]);
});

it('notes who came', async () => {
  const { user } = open();
  await user.click(screen.getByRole('button', { name: /1 came/ }));
  expect(screen.getByRole('checkbox', { name: 'Ida Fern' })).toBeChecked();
  await user.click(screen.getByRole('checkbox', { name: 'Olaf Reed' }));
  expect(fakes.asked).toEqual([['came', 4, 8, { came: true }]]);
});

it('brings a dropped evening back', async () => {
  const { user } = open();
  await user.click(screen.getByRole('button', { name: 'Drop this evening' }));
  await user.click(await screen.findByRole('button', { name: 'Undo' }));
  await waitFor(() => expect(fakes.asked.at(-1)).toEqual(['back', 1, dropped]));
});

it('says that no answer came, and offers no way back from what may not have happened', async () => {
  fakes.answerWith(() => Promise.reject(new TypeError('no connection')));
  const { user } = open();
  await user.click(screen.getByRole('button', { name: 'Drop this evening' }));
  expect(await screen.findByText(/No answer came/)).toBeInTheDocument();
  expect(screen.queryByRole('button', { name: 'Undo' })).toBeNull();
});
