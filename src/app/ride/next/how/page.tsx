import { yardContext } from '@/app/_server/yardContext';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { FILTERS, LEAST_DAYS, LEAST_PASSES, TERMS, WEIGHTS, type TermKey } from '@/core';
import type { Metadata } from 'next';
import { may } from '../../../_server/access/rules';
import { TERM_NAMES } from '../_components/TermBars';
import classes from './How.module.css';
import simulated from './simulated.json';

export const metadata: Metadata = { title: 'How it is found' };

const MOST = Math.max(...Object.values(WEIGHTS));
const percent = (share: number) => `${Math.round(100 * share)} %`;

const OUTCOMES = [
  { words: 'pairs that reached their goal', ...simulated.goalsReached, wide: 1, say: percent },
  { words: 'of the worse rein’s weakness left', ...simulated.reinLeft, wide: 1, say: percent },
  { words: 'more often clean at what the goal asks', ...simulated.learnt, wide: 1, say: percent },
  {
    ...{ words: 'days over a limit, a pair', ...simulated.overLimit },
    ...{ wide: Math.max(1, simulated.overLimit.fixed), say: (value: number) => value.toFixed(1) },
  },
];

/** How suggestions are found, rule by rule, and how the rule did where the truth is known. */
export default async function HowPage() {
  await yardContext(may.instruct);
  const { even, yards, seasons } = simulated;
  return (
    <>
      <PageHead
        title="How it is found"
        sub="First what may not be is taken out; what is left is weighed."
        actions={<LinkButton href="/ride/next">What next</LinkButton>}
      />
      <div className={classes.how}>
        <section aria-label="What is taken out">
          <h2>What is taken out</h2>
          <ul>
            {FILTERS.map(({ key, words }) => (
              <li key={key}>{words}</li>
            ))}
            <li>What you refused for these pairs stays away for four weeks, unless another stage of it comes next.</li>
            <li>What raises a caution on this sand for these horses, or wants more kit than there is.</li>
          </ul>
          <p>
            Nothing is suggested to a pair from fewer than {LEAST_PASSES} passes on {LEAST_DAYS} days.
          </p>
        </section>
        <section aria-label="What is weighed">
          <h2>What is weighed</h2>
          <ul className={classes.weights}>
            {(Object.keys(WEIGHTS) as TermKey[]).map(key => (
              <li key={key}>
                <strong>{TERM_NAMES[key]}</strong>
                <span className={classes.bar} aria-hidden="true">
                  <span style={{ inlineSize: `${(100 * WEIGHTS[key]) / MOST}%` }} />
                </span>
                <span>{WEIGHTS[key]}</span>
                <span>{TERMS[key]}</span>
              </li>
            ))}
          </ul>
          <p>The sentence of a suggestion is the two that weigh most and have something to say.</p>
        </section>
        <section aria-label="Chance">
          <h2>Chance</h2>
          <p>
            A rein, a gait or a purpose counts as uneven only where a test says so, with all that is looked at and every
            week that it is looked at counted in. Of {even.seasons} made-up seasons in which nothing was uneven,{' '}
            {even.called} were ever called so.
          </p>
          <p>
            A record is no experiment: what went along with something need not have caused it. You see the horse; Roan
            sees what was marked.
          </p>
        </section>
        <section aria-label="In simulation">
          <h2>Where the truth is known</h2>
          <p>
            {seasons} made-up yards rode a season of 24 weeks twice: by the suggestions (full bar), and by a fixed
            programme that goes up a stage every third time (open bar).
          </p>
          <ul className={classes.outcomes}>
            {OUTCOMES.map(({ words, followed, fixed, wide, say }) => (
              <li key={words}>
                <span>{words}</span>
                <span className={classes.pairOfBars} aria-hidden="true">
                  <span data-by="rule" style={{ inlineSize: `${(100 * followed) / wide}%` }} />
                  <span data-by="programme" style={{ inlineSize: `${(100 * fixed) / wide}%` }} />
                </span>
                <span>
                  {say(followed)} by the suggestions, {say(fixed)} by the programme
                </span>
              </li>
            ))}
          </ul>
          <p>
            In {yards.of} yards thrown by chance {yards.suggested} suggestions were made;{' '}
            {yards.broken === 0 ? 'none' : yards.broken} of them broke a limit or raised a caution. Made-up pairs prove
            nothing of real ones: they show that the rule does what it is meant to.
          </p>
        </section>
      </div>
    </>
  );
}
