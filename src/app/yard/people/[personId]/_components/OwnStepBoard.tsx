'use client';

import { Table } from '@/components/Table/Table';
import { Card } from '@/components/Card/Card';
import { howMany, stepsText } from '@/core';
import { newId } from '@/components/newId';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { parseLength, walkedError } from '@/core';
import type { Person } from '@/data/queries/people';
import type { FormOutcome } from '@/files/formOutcome';
import { walkForm } from '@/files/yardForms';
import { Alert, Button, Group, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { zod4Resolver } from 'mantine-form-zod-resolver';
import { useState } from 'react';
import { addWalkAction, letWalksCountAction, undoWalkAction } from '../actions';
import classes from './OwnStepBoard.module.css';

type OwnStepBoardProps = { person: Person; days: Record<string, string> };

/** How far somebody walks to see what an error in the step comes to. */
const OVER_M = 18;
const NO_ANSWER = 'The server did not answer; nothing was changed.';

/** A person's own step from taped walks, with how sure it is and what that means on the ground. */
export function OwnStepBoard({ person, days }: OwnStepBoardProps) {
  const { unit, format } = useLengths();
  const [problem, setProblem] = useState<string | null>(null);
  const [undone, setUndone] = useState<string | null>(null);
  const form = useForm({
    initialValues: { length: unit === 'ft' || unit === 'yd' ? '60 ft' : '20 m', steps: '' },
    validate: zod4Resolver(walkForm(unit)),
  });
  const tell = (outcome: FormOutcome | null) => {
    setProblem(outcome?.ok ? null : (outcome?.problem ?? NO_ANSWER));
    return outcome?.ok ?? false;
  };
  const add = async (typed: { length: string; steps: string }) => {
    // Ready for the next walk at once; what could not be kept comes back, unless something else was typed meanwhile.
    form.setFieldValue('steps', '');
    const outcome = await addWalkAction(person.id, newId(), typed).catch(() => null);
    if (!tell(outcome) && form.getValues().steps === '') form.setFieldValue('steps', typed.steps);
    if (outcome && !outcome.ok) form.setErrors(outcome.fields);
  };
  const takeBack = async (walkId: string, back: boolean) => {
    if (tell(await undoWalkAction(walkId, back).catch(() => null))) setUndone(back ? walkId : null);
  };

  return (
    <div className={classes.board}>
      <Card label="Walk" title="Walk">
        <form noValidate onSubmit={form.onSubmit(() => add(form.getValues()))}>
          <Group align="flex-start" gap="sm">
            <TextInput label="Taped length" w={130} {...form.getInputProps('length')} />
            <TextInput
              label="Steps, to the half"
              w={150}
              placeholder="22½"
              inputMode="decimal"
              {...form.getInputProps('steps')}
            />
            <Button type="submit" mt={25}>
              Keep this walk
            </Button>
          </Group>
        </form>
        {person.walks.length > 0 && (
          <Table style={{ marginTop: 12 }} isClose>
            <thead>
              <tr>
                <th>Walked</th>
                <th>Length</th>
                <th>Steps</th>
                <th>A step</th>
                <th>
                  <span className="roan-visually-hidden">What to do</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {[...person.walks].reverse().map(({ id, lengthM, steps }) => (
                <tr key={id}>
                  <td>{days[id]}</td>
                  <td>{format(lengthM)}</td>
                  <td>{steps}</td>
                  <td>{format(lengthM / steps)}</td>
                  <td style={{ textAlign: 'right' }}>
                    <Button
                      size="compact-sm"
                      variant="subtle"
                      onClick={() => takeBack(id, true)}
                      aria-label={`Take back the walk of ${howMany(steps, 'step')}`}
                    >
                      Take back
                    </Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </Table>
        )}
        {undone && (
          <Button mt="xs" size="xs" variant="default" onClick={() => takeBack(undone, false)}>
            Bring the walk back
          </Button>
        )}
        {problem && (
          <Alert color="chestnut" role="alert" mt="sm">
            {problem}
          </Alert>
        )}
      </Card>
      <StepMeaning
        person={person}
        onLetCount={async () => void tell(await letWalksCountAction(person.id).catch(() => null))}
      />
    </div>
  );
}

function StepMeaning({ person, onLetCount }: { person: Person; onLetCount: () => void }) {
  const { format } = useLengths();
  const { walked, typedStepM } = person;
  const over = format(OVER_M);
  return (
    <Card label="What it means" title="What it means">
      {!walked && <p>Tape {format(20)}, walk it, and count. Three walks say how sure the step is.</p>}
      {walked && (
        <>
          <p className={classes.step}>
            <strong>{format(walked.stepM)}</strong> a step
          </p>
          <p>
            Between {format(walked.lowM)} and {format(walked.highM)}, from {walked.walks}{' '}
            {walked.walks === 1 ? 'walk' : 'walks'}. Over {over} that is{' '}
            {format(walkedError(OVER_M, walked.lowM, walked.stepM))} long or short at the most.
          </p>
        </>
      )}
      {walked && typedStepM !== null && (
        <>
          <p>{againstTyped(typedStepM, walked.stepM, over, format)}</p>
          <Button variant="default" size="xs" onClick={onLetCount}>
            Let the walks count
          </Button>
        </>
      )}
      {person.stepLengthM !== null && <InSteps stepM={person.stepLengthM} />}
      {person.stepLengthM !== null && (
        <p className={classes.quiet}>
          Setting sheets speak in steps of {format(person.stepLengthM)}
          {typedStepM === null ? ', as walked.' : ', as typed in.'}
        </p>
      )}
    </Card>
  );
}

/** Any distance in this person's steps, to the half step and what is left. */
function InSteps({ stepM }: { stepM: number }) {
  const { unit, format } = useLengths();
  const [typed, setTyped] = useState(format(OVER_M));
  const read = parseLength(typed, { defaultUnit: unit });
  return (
    <TextInput
      mb="sm"
      label="Any distance in these steps"
      value={typed}
      onChange={event => setTyped(event.currentTarget.value)}
      description={read.ok ? stepsText(read.lengthM, stepM, unit) : undefined}
      error={read.ok || typed.trim() === '' ? undefined : read.reason}
    />
  );
}

/** "By the 90 cm that were typed in, over 18 m you would be 35 cm long." */
function againstTyped(typedM: number, walkedM: number, over: string, format: (lengthM: number) => string): string {
  const errorM = walkedError(OVER_M, typedM, walkedM);
  const off = Math.abs(errorM) < 0.005 ? 'right' : `${format(Math.abs(errorM))} ${errorM > 0 ? 'long' : 'short'}`;
  return `By the ${format(typedM)} that was typed in, over ${over} you would be ${off}.`;
}
