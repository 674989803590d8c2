import { Said } from '@/components/Lengths/LengthsProvider';
import { AskedShown } from '@/components/AskedPicture/AskedShown';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PictureCard } from '@/components/pictures/PictureCard';
import Link from 'next/link';
import classes from './FilmStrip.module.css';
import type { Frame } from './seasonFrames';

type FilmStripProps = {
  frames: readonly Frame[];
  /** Where a lesson opens for whoever looks. */
  hrefOf: (lessonId: string) => string;
  /** Where more of them are shown, and how many there are; null where all are. */
  earlier: { href: string; many: number } | null;
};

/** A season of a pair as a strip of small drawings: what was ridden, and under each how much of it went clean. */
export function FilmStrip({ frames, hrefOf, earlier }: FilmStripProps) {
  if (frames.length === 0) return null;
  return (
    <PictureCard
      title="The season, lesson by lesson"
      sub="What was asked last in each, and how many of its passes were clean; press one and it opens."
      fileName="season"
      isWide
      actions={
        earlier && (
          <LinkButton href={earlier.href} variant="default" scroll={false}>
            Earlier lessons ({earlier.many})
          </LinkButton>
        )
      }
      table={{
        columns: ['day', 'asked last', 'clean', 'of'],
        rows: frames.map(({ day, words, clean, of }) => [day, words, clean, of]),
      }}
    >
      {/* The latest first: that is what one comes for. */}
      <ol className={classes.strip} tabIndex={0} aria-label="Lessons, the latest first">
        {[...frames].reverse().map(frame => (
          <li key={frame.key}>
            {frame.lessonId === null ? (
              <Picture frame={frame} />
            ) : (
              <Link href={hrefOf(frame.lessonId)} prefetch={false} className={classes.open}>
                <Picture frame={frame} />
              </Link>
            )}
          </li>
        ))}
      </ol>
    </PictureCard>
  );
}

function Picture({ frame: { day, words, clean, of, show } }: { frame: Frame }) {
  return (
    <figure className={classes.frame}>
      <div className={classes.drawing} aria-hidden="true">
        {show && <AskedShown show={show} isSmall />}
      </div>
      <div className={classes.went} aria-hidden="true">
        <span style={{ inlineSize: `${(100 * clean) / of}%` }} />
      </div>
      <figcaption>
        <strong>{day}</strong> <Said>{words}</Said>
        <small>
          {clean} of {of} clean
        </small>
      </figcaption>
    </figure>
  );
}
