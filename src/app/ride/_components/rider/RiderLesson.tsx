import { Said } from '@/components/Lengths/LengthsProvider';
import { AskedShown } from '@/components/AskedPicture/AskedShown';
import { EyeStill } from '@/components/RiderEye/EyeStill';
import { SaddleFold } from '@/components/RiderEye/SaddleFold';
import { PageHead } from '@/components/PageHead/PageHead';
import { RiddenPictures } from '@/components/pictures/RiddenPictures';
import { askedEye, DISCLAIMER, formatReading, type AskedToShow, type LengthUnit, type RiddenShown } from '@/core';
import type { SheetPair } from '@/files/pdf/lessonPdf';
import classes from './Rider.module.css';

type RiderLessonProps = {
  name: string;
  when: string;
  unit: LengthUnit;
  pair: SheetPair & { shown: RiddenShown };
};

/** A rider's own page of a lesson: the course with its numbers, distances and counts; afterwards what was ridden, and a word. */
export function RiderLesson({ name, when, unit, pair }: RiderLessonProps) {
  const { end, words, asked } = pair;
  const hasRidden = end.summary.stages.length > 0;
  return (
    <article className={classes.page}>
      <PageHead title={`${pair.rider} with ${pair.horse}`} sub={`${name}. ${when}`} />
      {words !== '' && (
        <section aria-label="A word from your instructor" className={classes.word}>
          <h2>A word from your instructor</h2>
          <p>{words}</p>
        </section>
      )}
      {hasRidden && (
        <section aria-label="What you rode">
          <h2>What you rode</h2>
          <p>
            <Said>{end.ridden}</Said>
          </p>
          <RiddenPictures shown={pair.shown} />
          {end.best && (
            <p>
              <Said>{`Best: ${end.best}`}</Said>
            </p>
          )}
          {end.reins && (
            <p>
              <Said>{end.reins}</Said>
            </p>
          )}
          {end.next.map(next => (
            <p key={next}>
              <strong>Next:</strong> <Said>{next}</Said>
            </p>
          ))}
        </section>
      )}
      <section aria-label="What you are asked">
        <h2>{hasRidden ? 'What you were asked' : 'What you will be asked'}</h2>
        {asked.map(({ stage, line, shows }, index) => (
          <section key={index} aria-label={stage} className={classes.stage}>
            <h3>{stage}</h3>
            <p>{line}</p>
            {shows.map((show, at) => (
              <Shown key={at} show={show} unit={unit} stage={stage} />
            ))}
          </section>
        ))}
        {asked.length === 0 && <p>Nothing over a layout is planned.</p>}
      </section>
      <p className={classes.small}>{DISCLAIMER}</p>
    </article>
  );
}

/** What is asked, drawn, with its legs or figures in words. */
export function Shown({ show, unit, stage }: { show: AskedToShow; unit: LengthUnit; stage: string }) {
  const { words, gait, legs, figures } = show;
  return (
    <div className={classes.asked}>
      {words !== stage && (
        <p>
          <Said>{words}</Said>
        </p>
      )}
      <div className={classes.picture}>
        <AskedShown show={show} />
      </div>
      <FromTheSaddle show={show} />
      {figures.length > 0 && (
        <ol>
          {figures.map((figure, index) => (
            <li key={index}>
              <Said>{figure}</Said>
            </li>
          ))}
        </ol>
      )}
      {legs.length > 0 && (
        <table>
          <caption>
            <Said>{`In ${gait}`}</Said>
          </caption>
          <tbody>
            {legs.map(({ from, to, groundM, way, said }, index) => (
              <tr key={index}>
                <th scope="row">
                  {from} to {to}
                </th>
                <td>{formatReading(groundM, unit)}</td>
                <td>{way}</td>
                <td>{said}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}

/** A still is wide and low: as one sees a line. */
const STILL_ASPECT = 2;

/** The line as the rider has it before the first fence, and all of it to ride through. */
function FromTheSaddle({ show }: { show: AskedToShow }) {
  const eye = askedEye(show, STILL_ASPECT);
  if (!eye) return null;
  const { layout, labels, called } = show;
  return (
    <>
      <figure className={classes.still}>
        <EyeStill picture={eye.picture} aspect={STILL_ASPECT} label={eye.label} />
        <figcaption>{eye.label}.</figcaption>
      </figure>
      <SaddleFold
        scene={{ arena: layout.arena, items: layout.items }}
        ridden={eye.ridden}
        heightM={eye.heightM}
        names={{ short: labels, inWords: called }}
      />
    </>
  );
}
