import type { ReactNode } from 'react';
import { FloorProvider, type FloorClass } from '../context';
import { fakeBundle, type FakeFloor } from './fakeFloor';

/** A part of the floor's screens with a class round it, as it is now. */
export function InClass({
  fake,
  children,
  ...more
}: Partial<FloorClass> & { readonly fake: FakeFloor; readonly children: ReactNode }) {
  const names = new Map([
    ['1', 'Ada'],
    ['2', 'Bo'],
  ]);
  return (
    <FloorProvider
      value={{
        floor: fake.now(),
        bundle: fakeBundle(),
        names,
        here: ['1', '2'],
        isTeacher: true,
        tell: () => undefined,
        ...more,
      }}
    >
      {children}
    </FloorProvider>
  );
}
