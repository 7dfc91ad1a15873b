import { act, screen } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { LoadPanel } from './LoadPanel';
import { fakeBundle, fakeFloor } from './testing/fakeFloor';
import { InClass } from './testing/renderFloor';

// The curve is not what is tried here; without a layout it only complains of having no room.
jest.mock('recharts', () => ({
  ...jest.requireActual('recharts'),
  ResponsiveContainer: () => null,
}));

/** A scale whose readings the test sends. */
class FakeSource extends EventTarget {
  static last: FakeSource;
  onerror: (() => void) | null = null;
  isClosed = false;
  constructor(readonly url: string) {
    super();
    FakeSource.last = this;
  }
  close() {
    this.isClosed = true;
  }
  send(kind: string, data: object = {}) {
    act(() => {
      this.dispatchEvent(new MessageEvent(kind, { data: JSON.stringify(data) }));
    });
  }
}

let nowMs = 0;

beforeEach(() => {
  nowMs = 1000;
  jest.spyOn(performance, 'now').mockImplementation(() => nowMs);
  Object.assign(globalThis, { EventSource: FakeSource });
});

const weighing = (massKg: number | null) =>
  fakeBundle({
    members: (['1', '2'] as const).map((id) => ({
      id,
      body: id === '1' ? { heightM: 1.7, ...(massKg === null ? {} : { massKg }) } : {},
    })) as never,
  });

function open(massKg: number | null = 60) {
  const fake = fakeFloor();
  const ui = renderUi(
    <InClass fake={fake} bundle={weighing(massKg)}>
      <LoadPanel />
    </InClass>,
  );
  return { fake, ...ui };
}

type User = ReturnType<typeof renderUi>['user'];
const takeDevice = (user: User) =>
  user.click(screen.getByRole('radio', { name: 'the scale here' }));
const begin = (user: User) => user.click(screen.getByRole('button', { name: 'Start the scale' }));

/** Five seconds of the same load. */
function stand(kg: number) {
  for (let step = 0; step < 50; step += 1) {
    nowMs += 100;
    FakeSource.last.send('reading', { kg });
  }
}

it('finds the steady part, says its share and keeps it for whom it was read', async () => {
  const { user, fake } = open();
  await takeDevice(user);
  await begin(user);
  expect(FakeSource.last.url).toContain('source=device');
  expect(screen.getByRole('status')).toHaveTextContent('Waiting for a steady part');
  stand(4.8);
  expect(screen.getByRole('status')).toHaveTextContent(/at 4\.8 kg: 8 % of body weight\./);
  await user.click(screen.getByRole('button', { name: 'Keep 8 % for Ada' }));
  expect(fake.said).toEqual([
    expect.objectContaining({ kind: 'seen', person: '1', check: 'head-load', value: 8 }),
  ]);
  expect(FakeSource.last.isClosed).toBe(true);
});

it('never keeps for anybody what the practice scale read', async () => {
  const { user, fake } = open();
  await begin(user);
  stand(4.8);
  expect(screen.getByRole('status')).toHaveTextContent('8 % of body weight');
  expect(screen.queryByRole('button', { name: /^Keep/ })).toBeNull();
  await user.click(screen.getByRole('button', { name: 'Stop the scale' }));
  // With the real one chosen afterwards, what the practice scale read is gone.
  await takeDevice(user);
  expect(screen.getByRole('button', { name: 'Keep it' })).toBeDisabled();
  expect(screen.getByRole('status')).toHaveTextContent('then start');
  expect(fake.said).toEqual([]);
});

it('does not give one person’s load to the next', async () => {
  const { user } = open();
  await takeDevice(user);
  await begin(user);
  stand(4.8);
  await user.selectOptions(screen.getByLabelText('Whose'), '2');
  expect(FakeSource.last.isClosed).toBe(true);
  expect(screen.getByRole('button', { name: 'Keep it' })).toBeDisabled();
  expect(screen.getByRole('button', { name: 'Start the scale' })).toBeInTheDocument();
});

it('is nobody else’s where whom it was read of goes home meanwhile', async () => {
  const { user, fake, rerender } = open();
  await takeDevice(user);
  await begin(user);
  stand(4.8);
  const bundle = fakeBundle({
    members: ['1', '2'].map((id) => ({ id, body: { heightM: 1.7, massKg: 60 } })) as never,
  });
  rerender(
    <InClass fake={fake} bundle={bundle} here={['2']}>
      <LoadPanel />
    </InClass>,
  );
  expect(screen.getByLabelText('Whose')).toHaveValue('2');
  expect(screen.getByRole('button', { name: 'Keep it' })).toBeDisabled();
});

it('asks for the mass where it is not known, and takes it as typed', async () => {
  const { user, fake } = open(null);
  await takeDevice(user);
  await begin(user);
  stand(5.2);
  expect(screen.getByRole('status')).toHaveTextContent('Give the body mass for the share.');
  expect(screen.getByRole('button', { name: 'Keep it' })).toBeDisabled();
  await user.type(screen.getByLabelText('Body mass in kg'), '-');
  expect(screen.getByRole('button', { name: 'Keep it' })).toBeDisabled();
  await user.clear(screen.getByLabelText('Body mass in kg'));
  await user.type(screen.getByLabelText('Body mass in kg'), '65');
  await user.click(screen.getByRole('button', { name: 'Keep 8 % for Ada' }));
  expect(fake.said).toHaveLength(1);
});

it('takes another mass than the known one as typed, also the second time; emptied, the known one counts', async () => {
  const { user } = open(60);
  const field = screen.getByLabelText('Body mass in kg');
  for (const typed of ['65', '70']) {
    await user.clear(field);
    await user.type(field, typed);
    expect(field).toHaveValue(`${typed} kg`);
  }
  await user.clear(field);
  await user.tab();
  expect(field).toHaveValue('60 kg');
});

it('says what is wrong with the scale, and lets it be started again', async () => {
  const { user } = open();
  await begin(user);
  FakeSource.last.send('silent');
  expect(screen.getByRole('status')).toHaveTextContent('silent just now');
  FakeSource.last.send('nonsense', { count: 3 });
  expect(screen.getByRole('status')).toHaveTextContent('3 readings made no sense');
  FakeSource.last.send('problem', { words: 'No scale is here.' });
  expect(screen.getByRole('status')).toHaveTextContent('No scale is here.');
  await begin(user);
  act(() => FakeSource.last.onerror?.());
  expect(screen.getByRole('status')).toHaveTextContent('broken off');
  expect(screen.getByRole('button', { name: 'Start the scale' })).toBeInTheDocument();
});
