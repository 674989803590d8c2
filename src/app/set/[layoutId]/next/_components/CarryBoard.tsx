'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { CARRIED_AT_ONCE, type BuildChange, type CarryPlan, type CarryRoute, type Layout, type PointM } from '@/core';
import { buildChangeWords, carryHalts } from '@/files/changeWords';
import { Button, Select } from '@mantine/core';
import { IconPrinter } from '@tabler/icons-react';
import { useRouter } from 'next/navigation';
import { CarryDrawing } from './CarryDrawing';
import classes from './CarryBoard.module.css';

type StageName = { key: string; name: string };

/** What it takes to come to another layout, or another stage of the same. */
export type Change = {
  id: string;
  name: string;
  stages: StageName[];
  stage: string | null;
  layout: Layout;
  plan: CarryPlan;
  route: CarryRoute;
  /** What is rebuilt where it stands. */
  changes: BuildChange[];
  store: PointM;
  /** What pieces are called, as they stand and as they come to. */
  fromNumbers: [string, string][];
  toNumbers: [string, string][];
  minutes: number;
};

type CarryBoardProps = {
  layoutId: string;
  /** What stands now, and for which stage that is. */
  here: { stages: StageName[]; stage: string | null; layout: Layout };
  /** Layouts of the same arena. */
  others: { id: string; name: string }[];
  /** What a coming lesson goes on to. */
  coming: { layoutId: string; lesson: string } | null;
  next: Change | null;
};

const AS_DRAWN = '';
const stageChoices = (stages: readonly StageName[], say: (words: string) => string) => [
  { value: AS_DRAWN, label: 'As drawn' },
  ...stages.map(({ key, name }, index) => ({ value: key, label: say(`${index + 1}. ${name}`) })),
];

/** What is rebuilt and carried from one layout or stage to the next, with the least walking. */
export function CarryBoard({ layoutId, here, others, coming, next }: CarryBoardProps) {
  const say = useSay();
  const router = useRouter();
  const go = (change: { from?: string | null; to?: string | null; built?: string | null }) => {
    const at = { from: here.stage, to: next?.id ?? null, built: next?.stage ?? null, ...change };
    const wish = new URLSearchParams(
      Object.entries(at).flatMap(([key, value]): [string, string][] => (value ? [[key, value]] : [])),
    );
    router.replace(`/set/${layoutId}/next?${wish}`, { scroll: false });
  };
  const own = here.stages.length > 0 ? [{ value: layoutId, label: 'The same layout, another stage' }] : [];
  return (
    <article className={classes.board}>
      <div className={`${classes.choices} roan-no-print`}>
        {here.stages.length > 0 && (
          <Select
            label="It stands for"
            allowDeselect={false}
            value={here.stage ?? AS_DRAWN}
            data={stageChoices(here.stages, say)}
            onChange={from => go({ from })}
          />
        )}
        <Select
          label="On to"
          description={next && next.id === coming?.layoutId ? `Comes next in “${coming.lesson}”` : undefined}
          placeholder="Choose the next layout"
          searchable
          value={next?.id ?? null}
          data={[...own, ...others.map(({ id, name }) => ({ value: id, label: name }))]}
          onChange={to => go({ to, built: null })}
        />
        {next && next.stages.length > 0 && (
          <Select
            label="Built for"
            allowDeselect={false}
            value={next.stage ?? AS_DRAWN}
            data={stageChoices(next.stages, say)}
            onChange={built => go({ to: next.id, built })}
          />
        )}
      </div>
      {next && <ChangeSteps from={here.layout} change={next} />}
    </article>
  );
}

function ChangeSteps({ from, change }: { from: Layout; change: Change }) {
  const { format, formatWay } = useLengths();
  const { plan, route, changes, minutes, store } = change;
  const [fromNumbers, toNumbers] = [new Map(change.fromNumbers), new Map(change.toNumbers)];
  const fromOf = (item: string) => fromNumbers.get(item) ?? item;
  const toOf = (item: string) => toNumbers.get(item) ?? item;
  const halts = carryHalts(plan.loads, route, store, { fromOf, toOf, store: 'the store', format });
  const sheet = `/set/${change.id}${change.stage ? `?stage=${change.stage}` : ''}`;
  if (halts.length === 0 && changes.length === 0)
    return <p className={classes.sum}>Nothing changes: it is built for this already.</p>;
  return (
    <>
      <p className={classes.sum}>
        About <strong>{minutes} min</strong> for one person who carries {CARRIED_AT_ONCE} things at a time:{' '}
        <strong>{formatWay(route.walkedM)}</strong> to walk. {cupsWords(plan.moreCups)}
      </p>
      {changes.length > 0 && (
        <section>
          <h2>Rebuilt where it stands</h2>
          <ul aria-label="What is rebuilt" className={classes.changes}>
            {changes.map(one => (
              <li key={one.items.join()}>{buildChangeWords(one, toOf, format)}</li>
            ))}
          </ul>
        </section>
      )}
      {halts.length > 0 && (
        <>
          <CarryDrawing from={from} fromOf={fromOf} to={change.layout} toOf={toOf} halts={halts} start={store} />
          <section>
            <h2>Carried, in this order</h2>
            <ol aria-label="What is carried" className={classes.halts}>
              {halts.map(({ where, takes, puts, walkM }, index) => (
                <li key={index}>
                  <span className={classes.walk}>{walkM >= 0.5 ? `${formatWay(walkM)} to` : 'At'}</span>
                  <strong>{where}</strong>
                  {puts !== '' && <span>put down {puts}</span>}
                  {takes !== '' && <span>take {takes}</span>}
                </li>
              ))}
            </ol>
          </section>
        </>
      )}
      {plan.stays.length > 0 && change.changes.length === 0 && (
        <section>
          <h2>Stays</h2>
          <p>{plan.stays.map(({ item, count }) => `${count} of ${toOf(item)}`).join(', ')}</p>
        </section>
      )}
      <div className={`${classes.actions} roan-no-print`}>
        <LinkButton href={sheet}>To the sheet of “{change.name}”</LinkButton>
        <Button variant="default" leftSection={<IconPrinter size={16} />} onClick={() => window.print()}>
          Print
        </Button>
      </div>
    </>
  );
}

function cupsWords(more: number): string {
  if (more === 0) return '';
  const cups = Math.abs(more) === 1 ? 'cup' : 'cups';
  return more > 0 ? `Bring ${more} more ${cups}.` : `Take ${-more} ${cups} back.`;
}
