import { Said } from '@/components/Lengths/LengthsProvider';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import type { LengthUnit } from '@/core';
import type { YardSentence } from '@/app/_server/yardStory';
import { Halves } from '@/components/pictures/Halves';
import { SandMap } from '@/components/pictures/SandMap';
import { StrideOverTime } from '@/components/pictures/StrideOverTime';
import { reviewWords } from '../reviewWords';
import classes from './YardStory.module.css';

type YardStoryProps = { story: readonly YardSentence[]; unit: LengthUnit };

/** A yard in three sentences at most, each with its picture, and with what can be done about it. */
export function YardStory({ story, unit }: YardStoryProps) {
  if (story.length === 0)
    return <p>Nothing stands out in the record of the yard: either all is even, or there is too little to say.</p>;
  return (
    <section aria-label="The yard" className={classes.story}>
      {story.map(one => (
        <article key={one.of} className={classes.sentence}>
          <div className={classes.picture}>
            <Picture one={one} unit={unit} />
          </div>
          <h2>
            <Said>{one.text}</Said>
          </h2>
          <details>
            <summary>What it rests on</summary>
            <p>
              <Said>{one.because}</Said>
            </p>
          </details>
          <Next one={one} />
        </article>
      ))}
    </section>
  );
}

function Picture({ one, unit }: { one: YardSentence; unit: LengthUnit }) {
  switch (one.of) {
    case 'stride': {
      const { format } = reviewWords(one.horse, unit);
      const label = `The stride of ${one.horse}, month by month`;
      return <StrideOverTime review={one.review} thoughtM={one.thoughtM} {...{ format, label }} />;
    }
    case 'reins':
      return <Halves measures={one.measures.slice(0, 4)} label={`Left and right rein of ${one.horse}`} />;
    case 'place':
      return <SandMap arena={one.arena} places={one.places.filter(({ visits }) => visits > 0)} spots={[]} />;
  }
}

function Next({ one }: { one: YardSentence }) {
  switch (one.of) {
    case 'stride':
      return (
        <span className={classes.next}>
          {one.pairId && <LinkButton href={`/ride/next?pair=${one.pairId}`}>Set this next for {one.horse}</LinkButton>}
          <LinkButton href={`/yard/horses/${one.horseId}`} variant="default">
            Its profile
          </LinkButton>
        </span>
      );
    case 'reins':
      return <LinkButton href={`/ride/next?pair=${one.pairId}`}>Set this next for {one.horse}</LinkButton>;
    case 'place':
      return (
        <span className={classes.next}>
          {one.stands && (
            <LinkButton href={`/plan/${one.stands.layoutId}`}>Move “{one.stands.name}” from there</LinkButton>
          )}
          <LinkButton href={`/review/sand/${one.arenaId}`} variant="default">
            Look at the sand
          </LinkButton>
        </span>
      );
  }
}
