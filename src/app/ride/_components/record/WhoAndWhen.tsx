'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import {
  askedLayout,
  headingFromFacing,
  marksFit,
  passRecord,
  questionWords,
  waysToRide,
  type ChangedValue,
} from '@/core';
import { askedRide } from '@/app/ride/askedRide';
import { instantOf, yardTime } from '@/app/_server/yardTime';
import { useState } from 'react';
import { Steering } from '../Steering';
import classes from './Record.module.css';
import { type PartProps } from './passEditorProps';

const LOCAL = 'YYYY-MM-DDTHH:mm';

export function WhoAndWhen(props: PartProps & { onChange: (value: ChangedValue) => void }) {
  const say = useSay();
  const { layout, horse, pairs, stages, questions, timeZone, ready, onChange, homeFacingDeg } = props;
  const { pass, marks } = props.logged;
  const [when, setWhen] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const ride = askedRide(layout, pass.question, horse);
  const counting = passRecord(props.logged).marks;
  const fitting = questions.filter(
    one => JSON.stringify(one) !== JSON.stringify(pass.question) && marksFit(layout, one, counting),
  );
  const ways = askedLayout(layout, pass.question);
  const told = when ?? yardTime(pass.riddenAtMs, timeZone, LOCAL);
  const toMs = instantOf(told, timeZone);
  return (
    <>
      <div className={classes.fields}>
        <label>
          Who rode
          <select
            value={pass.pairId}
            disabled={!ready}
            onChange={event => onChange({ on: 'pass', what: 'pair', was: pass.pairId, to: event.currentTarget.value })}
          >
            {pairs.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
        {stages.length > 0 && (
          <label>
            Stage
            <select
              value={pass.stageId ?? ''}
              disabled={!ready}
              onChange={event => {
                const stage = stages.find(({ id }) => id === event.currentTarget.value);
                if (!stage) return;
                const was = { stageId: pass.stageId, stage: pass.stage };
                onChange({ on: 'pass', what: 'stage', was, to: { stageId: stage.id, stage: stage.name } });
              }}
            >
              {!stages.some(({ id }) => id === pass.stageId) && <option value="">{pass.stage}</option>}
              {stages.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          </label>
        )}
        <label>
          What was ridden
          <select
            value=""
            disabled={!ready || fitting.length === 0}
            onChange={event => {
              const to = fitting[Number(event.currentTarget.value)];
              if (to) onChange({ on: 'pass', what: 'question', was: pass.question, to });
            }}
          >
            <option value="">{ride?.words ?? pass.stage}</option>
            {fitting.map((question, index) => (
              <option key={question.id} value={index}>
                {say(questionWords(layout, question))}
              </option>
            ))}
          </select>
        </label>
        <form
          className={classes.when}
          onSubmit={event => {
            event.preventDefault();
            if (toMs === null) return setProblem('This is no day and time.');
            if (toMs > Date.now()) return setProblem('That time has not come yet: what was ridden lies before now.');
            onChange({ on: 'pass', what: 'time', was: pass.riddenAtMs, to: toMs });
            setProblem(null);
            setWhen(null);
          }}
        >
          <label>
            When it was ridden
            <input type="datetime-local" value={told} onChange={event => setWhen(event.currentTarget.value)} />
          </label>
          <button type="submit" className={classes.key} disabled={!ready || when === null}>
            Save
          </button>
        </form>
      </div>
      {ways && (
        <Steering
          ways={waysToRide(ways)}
          way={pass}
          homeRad={homeFacingDeg === null ? null : headingFromFacing(homeFacingDeg)}
          headingRad={ride?.headingRad ?? null}
          onSteer={({ rein, direction }) =>
            onChange({
              ...{ on: 'pass', what: 'way', to: { rein, direction } },
              was: { rein: pass.rein, direction: pass.direction },
            })
          }
        />
      )}
      {problem && <p role="alert">{problem}</p>}
      {marks.length === 0 && <p>Nothing was marked in it.</p>}
    </>
  );
}
