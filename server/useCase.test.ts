import { listPeople } from '@/db/people';
import { addPerson } from '@/db/personChanges';
import { must, withThrowawayStudio } from '@/features/testing/studio';
import { database } from './database';
import { done, refuse, type Outcome } from './result';
import { aPerson, change, work } from './useCase';
import { z } from 'zod';

jest.mock('next/headers', () => ({ headers: () => Promise.resolve(new Headers()) }));
withThrowawayStudio();

const names = () => listPeople(database()).map(({ name }) => name);
const one = (name: string) => ({ name, heightM: 1.7, heightTyped: '1.70' });
const no = { form: 'No.' };

const add = change([z.string(), z.boolean()], ({ db }, name, isTaken): Outcome<number> => {
  const id = addPerson(db, one(name));
  return isTaken ? done(id) : refuse(no);
});

describe('a change', () => {
  it('keeps all of it, or nothing of what it had begun when it was refused', () => {
    must(add('Ada', true));
    expect(add('Bo', false)).toEqual({ ok: false, problems: no });
    expect(names()).toEqual(['Ada']);
  });

  it('that is refused in the middle of another leaves the decision to the other', () => {
    const both = change([z.boolean()], ({ db }, goesOn): Outcome => {
      addPerson(db, one('Cy'));
      must(add('Dee', true));
      const inner = add('Eli', false);
      return inner.ok || goesOn ? done(undefined) : inner;
    });
    expect(both(false)).toEqual({ ok: false, problems: no });
    expect(names()).toEqual([]);
    must(both(true));
    expect(names()).toEqual(['Cy', 'Dee']);
  });

  it('says what it cannot read without having begun, and lets faults through as they are', () => {
    const handle = jest.fn((): Outcome => {
      addPerson(database(), one('Fay'));
      throw new Error('a fault');
    });
    const broken = change([aPerson], handle);
    expect(broken(99)).toEqual({ ok: false, problems: { form: aPerson.gone } });
    expect(handle).not.toHaveBeenCalled();
    const id = must(add('Gil', true));
    expect(() => broken(id)).toThrow('a fault');
    expect(names()).toEqual(['Gil']);
  });
});

it('is work, where something is kept although it is refused', () => {
  const count = work([z.string()], ({ db }, name): Outcome => {
    addPerson(db, one(name));
    return refuse(no);
  });
  expect(count('Hal').ok).toBe(false);
  expect(names()).toEqual(['Hal']);
});
