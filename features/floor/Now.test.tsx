import { screen } from '@testing-library/react';
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

function show(before: FloorAct[] = []) {
  const item = {
    id: 'hollow',
    kind: 'drill',
    drill: 'hollow',
    label: 'Hollow',
    minutes: 3,
  } as const;
  renderUi(
    <InClass fake={fakeFloor(before)} bundle={bundle}>
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

  it('but not for a place that it does not load', () => {
    show([{ kind: 'sore', person: '2', place: 'wrist' }]);
    expect(screen.getByText('Instead: Ada: Standing')).toBeInTheDocument();
  });
});
