import { Keys } from '@/app/ride/_components/Keys';
import { chooseHand, useHand } from '@/app/ride/_state/pad/useHand';
import { Steering } from '@/app/ride/_components/Steering';
import { ForInstructors } from '@/components/who/mayPlan';
import { questionWords } from '@/core';
import Link from 'next/link';
import { NewQuestion } from '../../../_components/NewQuestion';
import { AskSheet } from './AskSheet';
import type { DayPart } from './DaySheet';
import { DistancesToday } from './DistancesToday';
import type { LessonPadProps } from './runProps';
import { LessonToday } from './LessonToday';
import { OrderToday } from './OrderToday';
import { PairsToday } from './PairsToday';
import { PassesSoFar } from './PassesSoFar';
import { QuestionKeys } from './QuestionKeys';
import { StageChoice } from './StageChoice';
import { StageToday } from './StageToday';
import classes from './RunLesson.module.css';

export type First = <Args extends unknown[]>(act: (...args: Args) => void) => (...args: Args) => void;

/** What can be changed on the day, part by part. `first` says what was counted before a change begins another pass. */
export function dayParts(props: LessonPadProps, first: First, onCall: () => void): DayPart[] {
  const { run, lessonId, stages, yardPairs } = props;
  const { lesson, stage, index, pair, pairs, known, ride, question, questions, way } = run;
  const layout = stage.layout;
  const parts: (DayPart | null)[] = [
    layout && ride && question
      ? {
          name: 'What is asked',
          content: (
            <>
              <QuestionKeys
                questions={questions.map(one => ({ id: one.id, words: questionWords(layout, one) }))}
                chosenId={question.id}
                onChoose={first(run.chooseQuestion)}
              />
              <Steering
                {...{ ways: ride.ways, way, homeRad: props.homeRad, headingRad: ride.headingRad }}
                onSteer={run.steer}
              />
              {ride.track && (
                <button type="button" className={classes.key} onClick={onCall}>
                  Call it
                </button>
              )}
              <AskSheet
                key={`${pair?.id ?? ''} ${question.id}`}
                horse={pair?.horse ?? ''}
                {...{ question, ride, layout, ready: lesson.ready }}
                onAsk={first(run.askOtherwise)}
              />
            </>
          ),
        }
      : null,
    ride?.track && stage.layoutId && ride.track.legs.length > 0
      ? {
          name: 'Distances',
          content: <DistancesToday key={ride.key} layoutId={stage.layoutId} track={ride.track} />,
        }
      : null,
    {
      name: 'Who rides',
      content: (
        <>
          <PairsToday key={pair?.id ?? ''} {...{ lessonId, lesson, known, yardPairs }} chosen={pair} />
          <OrderToday pairs={pairs} ready={lesson.ready} onOrder={run.orderPairs} />
        </>
      ),
    },
    {
      name: 'Stage',
      content: (
        <>
          <StageChoice stages={stages} index={index} onStage={first(run.chooseStage)} />
          <ForInstructors>
            <StageToday key={stage.id} lessonId={lessonId} stage={stage} />
          </ForInstructors>
        </>
      ),
    },
    layout
      ? {
          name: 'Another question',
          content: (
            <NewQuestion
              key={stage.id}
              {...{ layout, pairs, gait: question?.gait ?? 'course-canter', ready: lesson.ready }}
              onAsk={first(run.askNew)}
            />
          ),
        }
      : null,
    { name: 'Ridden', content: <PassesSoFar {...{ lessonId, passes: props.passes, rideOf: props.rideOf }} /> },
    {
      name: 'Lesson',
      content: (
        <>
          <LessonToday {...{ lessonId, lesson }} isWrittenDown={props.writtenDownFor !== null} />
          <HandChoice />
          <section className={classes.part} aria-label="Leave the pad">
            <h2>Leave the pad</h2>
            <p>The lesson goes on; come back to it from Ride.</p>
            <div className={classes.keys}>
              <Link href="/ride" className={classes.key}>
                To Ride
              </Link>
              <ForInstructors>
                <Link href={`/ride/lessons/${lessonId}`} className={classes.key}>
                  To its plan
                </Link>
              </ForInstructors>
              {stage.layoutId && (
                <Link href={`/set/${stage.layoutId}`} className={classes.key}>
                  To its setting sheet
                </Link>
              )}
            </div>
          </section>
        </>
      ),
    },
  ];
  return parts.filter(part => part !== null);
}

/** Which thumb taps: the keys lie on its side. */
function HandChoice() {
  const hand = useHand();
  return (
    <section className={classes.part} aria-label="Which hand taps">
      <h2>Which hand taps</h2>
      <Keys
        label="Which hand taps"
        value={hand}
        options={[
          { value: 'left', label: 'Left hand' },
          { value: 'right', label: 'Right hand' },
        ]}
        onChoose={chooseHand}
      />
    </section>
  );
}
