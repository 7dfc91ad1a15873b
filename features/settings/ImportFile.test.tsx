import { screen } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { ImportFile } from './ImportFile';

const refresh = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }));
const send = jest.fn<Promise<unknown>, unknown[]>();
const take = jest.fn<Promise<unknown>, [{ passphrase: string; kind: string }, boolean]>();
const drop = jest.fn();
jest.mock('./upload', () => ({
  uploadFile: (...call: unknown[]) => send(...call),
  takeUploaded: (...call: [{ passphrase: string; kind: string }, boolean]) => take(...call),
  dropUpload: (...call: unknown[]) => drop(...call) as unknown,
}));

const nothing = {
  peopleNew: 0,
  peopleKnown: 0,
  peopleRemoved: 0,
  recordsNew: 0,
  recordsKnown: 0,
  coursesNew: 0,
  coursesKnown: 0,
  classesNew: 0,
  profilesNew: 0,
  entriesNew: 0,
};
const file = (name = 'studio.json') => new File(['{}'], name);

beforeEach(() => {
  jest.resetAllMocks();
  send.mockResolvedValue({ id: 'one' });
});

async function open(kind: 'studio' | 'records', chosen = file()) {
  const rendered = renderUi(<ImportFile kind={kind} label="Open a file" />);
  const input = rendered.container.querySelector<HTMLInputElement>('input[type=file]')!;
  await rendered.user.upload(input, chosen);
  return rendered.user;
}

it('says what a studio file would change before anything is stored, and takes it in when told to', async () => {
  take.mockResolvedValue({ ok: true, value: { ...nothing, peopleNew: 1, recordsNew: 12 } });
  const user = await open('studio');
  const lines = (await screen.findAllByRole('listitem')).map(({ textContent }) => textContent);
  expect(lines).toEqual(['1 person is new', '12 records are new']);
  expect(take.mock.calls.map(([, isFinal]) => isFinal)).toEqual([false]);
  await user.click(screen.getByRole('button', { name: 'Take it in' }));
  expect(take.mock.calls.map(([, isFinal]) => isFinal)).toEqual([false, true]);
  expect(await screen.findByText('Taken in.')).toBeInTheDocument();
  expect(refresh).toHaveBeenCalledTimes(1);
  expect(screen.queryByRole('button', { name: 'Take it in' })).toBeNull();
});

it('takes no table in while a line has an error, and names the line', async () => {
  const problems = [{ line: 3, words: 'No such check.' }];
  take.mockResolvedValue({ ok: true, value: { rows: 1, problems, stored: 0 } });
  const user = await open('records', new File(['a'], 'records.csv'));
  expect(await screen.findByText('Line 3: No such check.')).toBeInTheDocument();
  expect(screen.getByText(/^1 row\. Nothing is stored/)).toBeInTheDocument();
  expect(screen.getByRole('button', { name: 'Take it in' })).toBeDisabled();
  await user.click(screen.getByRole('button', { name: 'Leave it' }));
  expect(drop).toHaveBeenCalledWith('one');
  expect(screen.queryByText(/^Line 3/)).toBeNull();
});

it('asks for the passphrase of a sealed file, and again where it does not open', async () => {
  const closed = { ok: false, problems: { passphrase: 'This passphrase does not open it.' } };
  take.mockResolvedValueOnce({ ok: false, problems: { passphrase: 'It is sealed.' } });
  take.mockResolvedValueOnce(closed);
  take.mockResolvedValueOnce({ ok: true, value: nothing });
  const user = await open('studio', file('studio.sealed'));
  const field = await screen.findByLabelText('Passphrase of the file');
  expect(screen.getByText('It is sealed.')).toBeInTheDocument();
  await user.type(field, 'chalk{Enter}');
  expect(await screen.findByText('This passphrase does not open it.')).toBeInTheDocument();
  await user.clear(screen.getByLabelText('Passphrase of the file'));
  await user.type(screen.getByLabelText('Passphrase of the file'), 'rope{Enter}');
  expect(await screen.findByText('There is nothing in this file.')).toBeInTheDocument();
  expect(take.mock.calls.map(([{ passphrase }]) => passphrase)).toEqual(['', 'chalk', 'rope']);
  expect(drop).not.toHaveBeenCalled();
});

it('says why a file was not brought here, and drops one that is none', async () => {
  send.mockResolvedValueOnce({ problem: 'The studio’s computer did not answer.' });
  const user = await open('studio');
  expect(await screen.findByRole('alert')).toHaveTextContent('did not answer');
  expect(take).not.toHaveBeenCalled();
  take.mockResolvedValue({ ok: false, problems: { form: 'This is no studio file.' } });
  await user.upload(document.querySelector<HTMLInputElement>('input[type=file]')!, file());
  expect(await screen.findByText('This is no studio file.')).toBeInTheDocument();
  expect(drop).toHaveBeenCalledWith('one');
});

it('brings nothing that is larger than the studio takes', async () => {
  const huge = file();
  Object.defineProperty(huge, 'size', { value: 400_000_001 });
  await open('studio', huge);
  expect(await screen.findByRole('alert')).toHaveTextContent('larger than 400 MB');
  expect(send).not.toHaveBeenCalled();
});
