'use client';

import { newId } from '@/components/newId';
import { changeOver, type Join } from '@/core';
import { useState } from 'react';
import { saying } from '@/app/ride/saying';
import { type LessonRecordState } from '../../_state/useLesson';
import type { RidingPair } from '../pairsNow';
import { Keys } from '@/app/ride/_components/Keys';
import classes from './RunLesson.module.css';

/** A pair that the yard has. */
export type YardPair = { id: string; horse: Join['horse']; rider: Join['rider'] };

type PairsTodayProps = {
  lessonId: string;
  lesson: LessonRecordState;
  /** Every pair of the lesson, whether or not it still rides. */
  known: readonly RidingPair[];
  chosen: RidingPair | null;
  yardPairs: readonly YardPair[];
};

const SIZES = [
  { value: 1.25, label: 'small pony' },
  { value: 1.42, label: 'pony' },
  { value: 1.55, label: 'small horse' },
  { value: 1.65, label: 'horse' },
  { value: 1.75, label: 'big horse' },
];
const NEW = '';

/** Pairs come and go: one is added with a rider and a horse, rides instead of another, leaves, or comes back. */
export function PairsToday({ lessonId, lesson, known, chosen, yardPairs }: PairsTodayProps) {
  const [horseId, setHorseId] = useState(NEW);
  const [riderId, setRiderId] = useState(NEW);
  const [horseName, setHorseName] = useState('');
  const [riderName, setRiderName] = useState('');
  const [heightM, setHeightM] = useState(1.65);
  const [problem, setProblem] = useState<string | null>(null);
  const horses = unique([...yardPairs.map(({ horse }) => horse), ...lesson.log.joins.map(({ horse }) => horse)]);
  const riders = unique([...yardPairs.map(({ rider }) => rider), ...lesson.log.joins.map(({ rider }) => rider)]);
  const join = (insteadOf: string | null) =>
    joinPair(
      horses.find(({ id }) => id === horseId) ?? { id: newId(), name: horseName.trim(), heightM },
      riders.find(({ id }) => id === riderId) ?? { id: newId(), name: riderName.trim() },
      insteadOf,
    );
  const joinPair = (horse: Join['horse'], rider: Join['rider'], insteadOf: string | null) => {
    if (horse.name === '' || rider.name === '') return setProblem('Give the horse and the rider a name.');
    const there = yardPairs.find(one => one.horse.id === horse.id && one.rider.id === rider.id);
    const pairId = there?.id ?? newId();
    if (known.some(pair => pair.id === pairId && pair.rides))
      return setProblem('This pair rides in the lesson already.');
    const { atMs, by } = saying();
    const joined: Join = { id: newId(), pairId, horse, rider, insteadOf, atMs, by };
    lesson.tap([{ type: 'join', id: newId(), lessonId, join: joined }]);
    setProblem(null);
    setHorseId(NEW);
    setRiderId(NEW);
    setHorseName('');
    setRiderName('');
  };
  const rides = (pairId: string, to: boolean) => {
    const change = changeOver(lesson.log, { on: 'pair', of: pairId, what: 'rides', was: !to, to }, null, saying());
    lesson.tap([{ type: 'change', id: change.id, lessonId, change }]);
  };
  const gone = known.filter(pair => !pair.rides);
  const ridden = new Set(known.filter(pair => pair.rides).map(pair => pair.horseId));
  const others = yardPairs.filter(({ id, horse }) => !known.some(pair => pair.id === id) && !ridden.has(horse.id));
  const free = horses.filter(({ id }) => !ridden.has(id));
  /** Who rides the chosen pair, as the yard or a join of the day has it. */
  const rider = chosen && riders.find(({ name }) => name === chosen.rider);
  return (
    <section className={classes.part} aria-label="Pairs today">
      <h2>Pairs today</h2>
      {others.length > 0 && (
        <>
          <h3>Come in</h3>
          <div className={classes.keys}>
            {others.map(({ id, horse, rider: who }) => (
              <button
                key={id}
                type="button"
                className={classes.key}
                disabled={!lesson.ready}
                onClick={() => joinPair(horse, who, null)}
              >
                {horse.name}
                <small>{who.name}</small>
              </button>
            ))}
          </div>
        </>
      )}
      {chosen && rider && free.length > 0 && (
        <>
          <h3>{chosen.rider} rides another horse</h3>
          <div className={classes.keys}>
            {free.map(horse => (
              <button
                key={horse.id}
                type="button"
                className={classes.key}
                disabled={!lesson.ready}
                aria-label={`${chosen.rider} rides ${horse.name} instead of ${chosen.horse}`}
                onClick={() => joinPair(horse, rider, chosen.id)}
              >
                {horse.name}
              </button>
            ))}
          </div>
        </>
      )}
      <h3>Somebody else</h3>
      {/* A half-typed name is kept until somebody joins. */}
      <div className={classes.joining}>
        <label>
          Horse
          <select aria-label="Horse" value={horseId} onChange={event => setHorseId(event.currentTarget.value)}>
            <option value={NEW}>a new horse</option>
            {horses.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
        {horseId === NEW && (
          <label>
            Its name
            <input maxLength={60} value={horseName} onChange={event => setHorseName(event.currentTarget.value)} />
          </label>
        )}
        <label>
          Rider
          <select aria-label="Rider" value={riderId} onChange={event => setRiderId(event.currentTarget.value)}>
            <option value={NEW}>a new rider</option>
            {riders.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
        {riderId === NEW && (
          <label>
            Their name
            <input maxLength={60} value={riderName} onChange={event => setRiderName(event.currentTarget.value)} />
          </label>
        )}
      </div>
      {horseId === NEW && <Keys label="How big the horse is" value={heightM} options={SIZES} onChoose={setHeightM} />}
      <div className={classes.keys}>
        <button type="button" className={classes.key} disabled={!lesson.ready} onClick={() => join(null)}>
          Add the pair
        </button>
        {chosen && (
          <button type="button" className={classes.key} disabled={!lesson.ready} onClick={() => join(chosen.id)}>
            Instead of {chosen.horse} with {chosen.rider}
          </button>
        )}
        {chosen && (
          <button
            type="button"
            className={classes.key}
            disabled={!lesson.ready}
            onClick={() => rides(chosen.id, false)}
          >
            {chosen.horse} with {chosen.rider} stops here
          </button>
        )}
        {gone.map(({ id, horse, rider }) => (
          <button
            key={id}
            type="button"
            className={classes.key}
            disabled={!lesson.ready}
            onClick={() => rides(id, true)}
          >
            {horse} with {rider} comes back
          </button>
        ))}
      </div>
      {problem && <p role="alert">{problem}</p>}
    </section>
  );
}

function unique<One extends { id: string; name: string }>(all: readonly One[]): One[] {
  const byId = new Map(all.map(one => [one.id, one]));
  return [...byId.values()].sort((a, b) => a.name.localeCompare(b.name));
}
