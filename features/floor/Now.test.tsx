import { screen } from '@testing-library/react';
import { times } from '@/core/catalog/dose';
import type { FloorAct } from '@/core/running/tap';
import { renderUi } from '@/design/testing/renderUi';
import { Now } from './Now';
import { fakeBundle, fakeFloor } from './testing/fakeFloor';
import { InClass } from './testing/renderFloor';

const person = (id: string, closedDrills: string[]) => ({
  id,
  closedDrills,
  fallbacks: [
    { label: 'Standing', props: [] },
    { label: 'Seated', props: [] },
  ],
});

const bundle = fakeBundle({
  startedMs: 0,
  drills: { hollow: { how: 'Head up.', dose: '5 times', regions: ['core', 'back'] } },
  prepared: {
    people: [person('1', ['hollow']), person('2', []), person('9', ['hollow'])],
  } as never,
});

function show(before: FloorAct[] = [], shown = bundle, tell: () => void = () => undefined) {
  const item = {
    id: 'hollow',
    kind: 'drill',
    drill: 'hollow',
    label: 'Hollow',
    minutes: 3,
  } as const;
  return renderUi(
    <InClass fake={fakeFloor(before)} bundle={shown} tell={tell}>
      <Now item={{ ...item, startsAt: 0 }} />
    </InClass>,
  );
}

describe('the line that the class is at', () => {
  it('says who of those here does what instead', () => {
    show();
    expect(screen.getByText('Instead: Ada: Standing')).toBeInTheDocument();
  });

  it.each([
    { kind: 'sign', person: '2', sign: 'ringing' },
    { kind: 'sore', person: '2', place: 'back' },
  ] as const)('and who has just said something: %j', (act) => {
    show([act]);
    expect(screen.getByText('Instead: Ada: Standing; Bo: Seated')).toBeInTheDocument();
  });

  it('and who keeps the feet down, where a foot leaves the floor', () => {
    const up = fakeBundle({
      ...bundle,
      drills: { hollow: { ...bundle.drills['hollow']!, feetUp: true } },
    });
    show([{ kind: 'feet-down', person: '2', isDown: true }], up);
    expect(screen.getByText('Instead: Ada: Standing; Bo: Seated')).toBeInTheDocument();
  });

  it('says to the teacher who does it with care, and how', () => {
    const cares = [{ drill: 'hollow', words: ['breath never held'] }];
    const people = bundle.prepared.people.map((one) => (one.id === '2' ? { ...one, cares } : one));
    show([], fakeBundle({ ...bundle, prepared: { people } as never }));
    expect(screen.getByText('With care: Bo: breath never held.')).toBeInTheDocument();
  });

  it('starts the pacer with the dose of the line, as often as the line holds it', async () => {
    const spec = { ...bundle.drills['hollow']!, paced: { dose: [times(5)], minutes: 1.5 } };
    const tell = jest.fn();
    const { user } = show([], fakeBundle({ ...bundle, drills: { hollow: spec } }), tell);
    // Twice in three minutes: five slow ones, a change, five again.
    await user.click(screen.getByRole('button', { name: 'Pace it, 0:40' }));
    expect(tell).toHaveBeenCalledWith({ kind: 'pace-line', line: 'hollow' });
  });

  it('but not for a place that it does not load', () => {
    show([{ kind: 'sore', person: '2', place: 'wrist' }]);
    expect(screen.getByText('Instead: Ada: Standing')).toBeInTheDocument();
  });
});
