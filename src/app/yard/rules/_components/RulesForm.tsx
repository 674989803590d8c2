'use client';

import { Card } from '@/components/Card/Card';
import { Choice } from '@/components/Choice/Choice';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { useSaveId } from '@/components/sync/useSaveId';
import { USUAL_RULES, type GaitWords, type YardRules } from '@/core';
import { NumberInput } from '@/components/fields/NumberInput';
import { TagsInput } from '@/components/fields/TagsInput';
import { Alert, Button, Group, Switch } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useState, useTransition } from 'react';
import { saveRulesAction } from '../../actions';
import classes from './RulesForm.module.css';

const LIMITS: { key: keyof YardRules['limits']; label: string; step?: number }[] = [
  { key: 'lowEfforts', label: 'Efforts of any height in a day' },
  { key: 'highEfforts', label: 'Efforts at 0.9 m and over in a day' },
  { key: 'raisedPasses', label: 'Passes over raised poles in a day' },
  { key: 'smallCircleMin', label: 'Minutes on circles of 10 m and less, each rein', step: 0.5 },
  { key: 'jumpingDays', label: 'Jumping days in seven' },
];

const GAITS_CALLED: { value: GaitWords; label: string }[] = [
  { value: 'english', label: 'Walk, trot, canter' },
  { value: 'western', label: 'Walk, jog, lope' },
];

type State = { kind: 'kept' } | { kind: 'refused'; problem: string } | null;

/** The yard's own rules: everything holds from the next time a lesson is opened. */
export function RulesForm({ first }: { first: YardRules }) {
  const { say } = useLengths();
  const form = useForm<YardRules>({ initialValues: first });
  const [state, setState] = useState<State>(null);
  /** What they were when they were last seen here. */
  const [opened, setOpened] = useState(() => JSON.stringify(first));
  const nameSave = useSaveId();
  const [busy, begin] = useTransition();
  const save = (values: YardRules) =>
    begin(async () => {
      const answer = await saveRulesAction(values, { opened, saveId: nameSave(values) }).catch(() => null);
      if (answer?.ok) setOpened(JSON.stringify(values));
      if (answer && !answer.ok) form.setErrors(answer.fields);
      const refused = answer === null ? 'The server does not answer: the rules are as they were.' : 'Not kept yet.';
      setState(answer?.ok ? { kind: 'kept' } : { kind: 'refused', problem: answer?.problem ?? refused });
    });
  return (
    <form className={classes.form} onSubmit={form.onSubmit(save)} onChange={() => setState(null)}>
      <Card label="The next stage is earned" title="The next stage is earned">
        <NumberInput
          label="Clean passes, one after the other, on a rein"
          min={1}
          max={10}
          {...form.getInputProps('gate.cleanEachRein')}
        />
        <Switch
          mt="sm"
          label="On both reins"
          description="Switched off, only the reins that were ridden are asked for."
          {...form.getInputProps('gate.bothReins', { type: 'checkbox' })}
        />
      </Card>
      <Card label="A horse has had enough" title="A horse has had enough">
        <div className={classes.limits}>
          {LIMITS.map(({ key, label, step }) => (
            <NumberInput
              key={key}
              label={say(label)}
              step={step ?? 1}
              min={0}
              {...form.getInputProps(`limits.${key}`)}
            />
          ))}
        </div>
        <p>
          Common practice, not law: Roan warns at these and never stops anybody. A young, old or unfit horse has less.
        </p>
      </Card>
      <Card label="What a turn costs" title="What a turn costs">
        <Switch
          label="A tight turn at speed shortens the stride"
          description="Counts on such a turn are reckoned with the shorter stride. What is tighter than a horse can carry gets no count either way."
          checked={form.values.leanDeg !== null}
          onChange={event => form.setFieldValue('leanDeg', event.currentTarget.checked ? USUAL_RULES.leanDeg : null)}
        />
        {form.values.leanDeg !== null && (
          <NumberInput
            mt="sm"
            label="How far your horses lean into a turn, degrees"
            description="About 20 is as much as schooling asks, 30 a jump-off: the more, the less a turn costs. The review says whether your horses pay more or less than this."
            min={5}
            max={45}
            {...form.getInputProps('leanDeg')}
          />
        )}
      </Card>
      <Card label="The gaits are called" title="The gaits are called">
        <Choice
          aria-label="The gaits are called"
          data={GAITS_CALLED}
          value={form.values.gaitWords}
          onChange={words => form.setFieldValue('gaitWords', words)}
        />
        <p>On every page and paper. Names stay as they were typed.</p>
      </Card>
      <Card label="Words on the keys" title="Words on the keys">
        <TagsInput
          label="What went wrong"
          description="Type a word and press Enter."
          {...form.getInputProps('faults')}
        />
        <TagsInput
          mt="sm"
          label="What is watched in the rider"
          description="Type a word and press Enter."
          {...form.getInputProps('riderMarks')}
        />
      </Card>
      {form.values.riderWork.length > 0 && (
        <Card label="Work for the rider" title="Work for the rider">
          <p>What you kept from a stage of a lesson.</p>
          <ul className={classes.own}>
            {form.values.riderWork.map(({ name, focus, minutes, marks }) => (
              <li key={name}>
                <span>
                  <strong>{name}</strong>, {minutes} min{focus === '' ? '' : `: ${focus}`} ({marks.join(', ')})
                </span>
                <Button
                  mih={44}
                  variant="subtle"
                  aria-label={`Take ${name} out`}
                  onClick={() => {
                    setState(null);
                    form.setFieldValue('riderWork', own => own.filter(one => one.name !== name));
                  }}
                >
                  Take out
                </Button>
              </li>
            ))}
          </ul>
        </Card>
      )}
      {state?.kind === 'refused' && (
        <Alert color="chestnut" role="alert">
          {state.problem}
        </Alert>
      )}
      <Group>
        <Button type="submit" loading={busy}>
          Keep these rules
        </Button>
        <Button variant="default" onClick={() => form.setValues({ ...USUAL_RULES, riderWork: form.values.riderWork })}>
          Back to the usual ones
        </Button>
        {state?.kind === 'kept' && <span role="status">Kept. They hold from the next lesson that is opened.</span>}
      </Group>
    </form>
  );
}
