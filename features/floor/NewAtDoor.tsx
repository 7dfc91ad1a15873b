'use client';

import { answered } from '@/design/answered';
import { Button, Group, Modal, TextInput } from '@mantine/core';
import { PickOne } from '@/design/Picker';
import { useForm } from '@mantine/form';
import { IconUserPlus } from '@tabler/icons-react';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { isUnderWay, planOf } from '@/core/running/follow';
import { noteScreenedAction } from '@/features/person/actions';
import { joinClassAction, leaveClassAction } from './actions';
import { showProblem } from '@/design/notices';
import { useFloorClass } from './context';
import classes from './floor.module.css';

/** Somebody of the studio who is not in the class. */
export interface Other {
  readonly id: number;
  readonly name: string;
}

interface NewAtDoorProps {
  readonly others: readonly Other[];
}

const notHeard =
  'The studio’s computer did not answer; they may be in all the same. Look at the names here before you try again.';

/** Lets somebody in who was not enrolled when the class began; the rounds to come make room. */
export function NewAtDoor({ others }: NewAtDoorProps) {
  const { floor, bundle } = useFloorClass();
  const router = useRouter();
  const [isOpen, setOpen] = useState(false);
  const [joined, setJoined] = useState<(Other & { readonly isEnrolledNow: boolean }) | null>(null);
  const [isBusy, start] = useTransition();
  const form = useForm({
    mode: 'controlled',
    initialValues: { person: null as string | null, name: '', height: '' },
  });
  const { person, name } = form.values;
  const close = () => {
    setOpen(false);
    setJoined(null);
    form.reset();
  };
  const join = (values: typeof form.values) =>
    start(async () => {
      const known = others.find(({ id }) => String(id) === values.person);
      const outcome = await answered(
        joinClassAction(
          bundle.uid,
          known ? { person: known.id } : { name: values.name, height: values.height },
        ),
        notHeard,
      );
      if (!outcome.ok) {
        // Who came in all the same stands among the names then.
        if (outcome.problems.form === notHeard) router.refresh();
        form.setErrors(outcome.problems);
        if (outcome.problems.form) showProblem(outcome.problems.form);
        return;
      }
      const { state } = floor;
      // From the round at hand, and without what prepares for it; before that, from the start.
      const round = isUnderWay(state, planOf(state, bundle.plan)) ? state.roundsDone + 1 : 0;
      void floor.say({ kind: 'late', person: outcome.value.person, round });
      setJoined({
        id: Number(outcome.value.person),
        name: known?.name ?? values.name.trim(),
        isEnrolledNow: outcome.value.isEnrolledNow,
      });
      router.refresh();
    });
  const nothing = (who: Other) =>
    start(async () => {
      const outcome = await answered(noteScreenedAction(who.id));
      if (outcome.ok) close();
      else showProblem('That you asked could not be noted. Try again, or close this and ask anew.');
    });
  /** Somebody else was meant: away in the class, and out of the course where they came in now. */
  const takeBack = ({ id, isEnrolledNow }: NonNullable<typeof joined>) =>
    start(async () => {
      void floor.say({ kind: 'absent', person: String(id), isAbsent: true });
      const outcome = isEnrolledNow ? await answered(leaveClassAction(bundle.uid, id)) : null;
      if (outcome?.ok === false) {
        showProblem('They are away tonight, but still in the course. Take them out on its page.');
      }
      close();
      router.refresh();
    });
  return (
    <>
      <button type="button" className={classes.newCard} onClick={() => setOpen(true)}>
        <IconUserPlus size={26} /> Somebody new
      </button>
      <Modal
        opened={isOpen}
        onClose={close}
        centered
        title={joined === null ? 'Somebody new' : `${joined.name} is in`}
      >
        {joined === null ? (
          <form onSubmit={form.onSubmit(join)} noValidate className={classes.newForm}>
            {others.length > 0 && (
              <PickOne
                size="lg"
                label="Known here"
                placeholder="choose"
                clearable
                data={others.map(({ id, name }) => ({ value: String(id), label: name }))}
                value={form.values.person}
                onChange={(value) => form.setFieldValue('person', value)}
                error={form.errors.person}
              />
            )}
            {person === null && (
              <Group grow align="start">
                <TextInput size="lg" label="Name" {...form.getInputProps('name')} />
                <TextInput
                  size="lg"
                  label="Height"
                  placeholder={bundle.units === 'cm' ? '168' : '5\'6"'}
                  {...form.getInputProps('height')}
                />
              </Group>
            )}
            <p>They are added to the course, and the rounds to come are planned anew with them.</p>
            <Button
              size="lg"
              type="submit"
              loading={isBusy}
              disabled={person === null && name.trim() === ''}
            >
              Let them in
            </Button>
          </form>
        ) : (
          <div className={classes.newForm}>
            <p>
              Ask before anything upside down: eyes, blood pressure, heart, neck, bones, pregnancy,
              dizziness, anything new or sore. What is noted on their page counts in this class at
              once.
            </p>
            <Group grow>
              <Button
                size="lg"
                component="a"
                href={`/people/${joined.id}`}
                target="_blank"
                variant="default"
              >
                Note something
              </Button>
              <Button size="lg" loading={isBusy} onClick={() => nothing(joined)}>
                Asked: nothing
              </Button>
            </Group>
            <Button size="lg" variant="subtle" loading={isBusy} onClick={() => takeBack(joined)}>
              Somebody else was meant: take it back
            </Button>
          </div>
        )}
      </Modal>
    </>
  );
}
