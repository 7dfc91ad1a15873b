import { screen, waitFor } from '@testing-library/react';
import { stopSigns } from '@/core/catalog/regions';
import * as fakes from '@/design/testing/fakeActions';
import { renderUi } from '@/design/testing/renderUi';
import { WordsPanel } from './WordsPanel';

jest.mock('./actions', () =>
  jest.requireActual<typeof fakes>('@/design/testing/fakeActions').fakeActions({
    dropClearanceAction: 'drop word',
    dropSignAction: 'drop sign',
    noteClearanceAction: 'word',
    noteScreenedAction: 'screened',
    noteSignAction: 'sign',
    undoScreenedAction: 'not screened',
  }),
);

beforeEach(() => {
  fakes.beginAsking();
  fakes.agree(1);
});

type Props = Parameters<typeof WordsPanel>[0];
const today = '2031-03-04';

const open = (more: Partial<Props> = {}) =>
  renderUi(
    <WordsPanel
      personId={7}
      today={today}
      cautions={['wrist']}
      words={[]}
      signs={[]}
      screenedOn={null}
      isScreeningDue
      {...more}
    />,
  );

it('notes that screening was asked, and says when it was last', async () => {
  fakes.agree('2030-09-01');
  const { user } = open({ screenedOn: '2030-09-01', isScreeningDue: false });
  expect(screen.getByText(/Screening: asked on 1 Sep/)).not.toHaveTextContent('due');
  await user.click(screen.getByRole('button', { name: 'Asked today' }));
  expect(fakes.asked).toEqual([['screened', 7]]);
  expect(await screen.findByText('Screening noted for today.')).toBeInTheDocument();
  await user.click(screen.getByRole('button', { name: 'Undo' }));
  await waitFor(() =>
    expect(fakes.asked.at(-1)).toEqual(['not screened', 7, { was: '2030-09-01' }]),
  );
});

it('takes back a sign of today only: an earlier one stays', async () => {
  const { user } = open({
    signs: [
      { id: 3, sign: stopSigns[0], date: today },
      { id: 4, sign: stopSigns[0], date: '2031-02-01' },
    ],
  });
  const back = screen.getAllByRole('button', { name: 'Take back' });
  expect(back).toHaveLength(1);
  await user.click(back[0]!);
  expect(fakes.asked).toEqual([['drop sign', 7, 3]]);
});

it('notes a stop sign as it is chosen, for today', async () => {
  const { user } = open();
  await user.click(screen.getByRole('combobox', { name: 'Note a stop sign seen today' }));
  const [first] = screen.getAllByRole('option', { hidden: true });
  await user.click(first!);
  expect(fakes.asked).toEqual([['sign', 7, { sign: expect.any(String) as string, date: today }]]);
  expect(await screen.findByText(/Everything head-down is closed/)).toBeInTheDocument();
});

it('says of a clinician’s word what it covers, that it lifts nothing, and that it has run out', () => {
  open({
    words: [
      { id: 1, about: 'wrist', covers: ['wrists'], notedOn: '2031-01-01', until: '2031-07-01' },
      { id: 2, about: 'stop-sign', covers: [], notedOn: '2030-01-01', until: '2030-07-01' },
    ],
  });
  const [valid, over] = screen.getAllByText(/Clinician’s word noted/);
  expect(valid).not.toHaveTextContent(/run out|lifts nothing/);
  expect(over).toHaveTextContent('nothing named, so it lifts nothing');
  expect(over).toHaveTextContent('run out');
});

it('notes a word with what it names, and says at its field what is missing', async () => {
  fakes.refuse({ covers: 'Name at least one kind of shape.' });
  const { user } = open();
  await user.click(screen.getByRole('button', { name: 'Note a clinician’s word' }));
  await user.click(await screen.findByRole('button', { name: 'Note it' }));
  expect(await screen.findByText('Name at least one kind of shape.')).toBeInTheDocument();
  fakes.agree(1);
  const [kind] = screen.getAllByRole('checkbox');
  await user.click(kind!);
  await waitFor(() => expect(screen.getByRole('button', { name: 'Note it' })).toBeEnabled());
  await user.click(screen.getByRole('button', { name: 'Note it' }));
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  expect(fakes.asked.at(-1)).toEqual([
    'word',
    7,
    expect.objectContaining({
      about: 'wrist',
      covers: [expect.any(String)],
      notedOn: today,
      until: '2031-09-02',
    }),
  ]);
});

it('has nothing to lift where nothing was reported', async () => {
  const { user } = open({ cautions: [] });
  await user.click(screen.getByRole('button', { name: 'Note a clinician’s word' }));
  expect(await screen.findByText(/there is nothing to lift/)).toBeInTheDocument();
});

it('says that no answer came, and claims nothing', async () => {
  fakes.answerWith(() => Promise.reject(new TypeError('no connection')));
  const { user } = open();
  await user.click(screen.getByRole('button', { name: 'Asked today' }));
  expect(await screen.findByText(/No answer came/)).toBeInTheDocument();
  expect(screen.queryByText('Screening noted for today.')).toBeNull();
});
