'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { LayoutDrawing } from '@/components/Sand/LayoutDrawing';
import { Sand, sandTextM } from '@/components/Sand/Sand';
import { sandView } from '@/components/Sand/sandView';
import { layoutLabels, type Carry, type CarryPlan, type Layout } from '@/core';
import { Button, Select } from '@mantine/core';
import { IconPrinter } from '@tabler/icons-react';
import { useRouter } from 'next/navigation';
import classes from './CarryBoard.module.css';

type CarryBoardProps = {
  layoutId: string;
  /** Layouts of the same arena. */
  others: { id: string; name: string }[];
  /** What a coming lesson goes on to. */
  coming: { layoutId: string; lesson: string } | null;
  /** What stands now. */
  from: Layout;
  next: { id: string; name: string; layout: Layout; plan: CarryPlan } | null;
};

/** What is carried where from one layout to the next, with the fewest metres. */
export function CarryBoard({ layoutId, others, coming, from, next }: CarryBoardProps) {
  const router = useRouter();
  const { format } = useLengths();
  const called = {
    fromOf: layoutLabels(from).inWords,
    toOf: next ? layoutLabels(next.layout).inWords : String,
  };
  return (
    <article className={classes.board}>
      <Select
        className="roan-no-print"
        label="On to"
        description={next && next.id === coming?.layoutId ? `Comes next in “${coming.lesson}”` : undefined}
        placeholder="Choose the next layout"
        searchable
        value={next?.id ?? null}
        data={others.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={id => router.replace(`/set/${layoutId}/next${id ? `?to=${id}` : ''}`, { scroll: false })}
      />
      {next && (
        <>
          <p className={classes.sum}>
            <strong>{format(next.plan.carriedM)}</strong> carried in all, piece by piece, to “{next.name}”.{' '}
            {cupsWords(next.plan.moreCups)}
          </p>
          <CarryDrawing from={from} next={next} />
          <Carries
            title="Over the sand"
            {...called}
            carries={next.plan.carries.filter(({ from: a, to: b }) => a && b)}
          />
          <Carries
            title="Back to the store"
            {...called}
            carries={next.plan.carries.filter(({ to: b }) => b === null)}
          />
          <Carries
            title="Out of the store"
            {...called}
            carries={next.plan.carries.filter(({ from: a }) => a === null)}
          />
          {next.plan.stays.length > 0 && (
            <section>
              <h2>Stays</h2>
              <p>{next.plan.stays.map(({ item, count }) => `${count} of ${called.toOf(item)}`).join(', ')}</p>
            </section>
          )}
          <div className={`${classes.actions} roan-no-print`}>
            <LinkButton href={`/set/${next.id}`}>To the sheet of “{next.name}”</LinkButton>
            <Button variant="default" leftSection={<IconPrinter size={16} />} onClick={() => window.print()}>
              Print
            </Button>
          </div>
        </>
      )}
    </article>
  );
}

function cupsWords(more: number): string {
  if (more === 0) return '';
  const cups = Math.abs(more) === 1 ? 'cup' : 'cups';
  return more > 0 ? `Bring ${more} more ${cups}.` : `Take ${-more} ${cups} back.`;
}

type CarriesProps = { title: string; carries: readonly Carry[]; fromOf: Called; toOf: Called };
/** What a piece is called in the layout it is carried from, or to. */
type Called = (item: string) => string;

function Carries({ title, carries, fromOf, toOf }: CarriesProps) {
  const { format } = useLengths();
  if (carries.length === 0) return null;
  return (
    <section>
      <h2>{title}</h2>
      <table className={classes.table}>
        <thead>
          <tr>
            <th>What</th>
            <th>From</th>
            <th>To</th>
            <th>Each</th>
          </tr>
        </thead>
        <tbody>
          {carries.map(({ kind, sizeM, count, from, to, eachM }) => (
            <tr key={`${kind} ${sizeM} ${from} ${to}`}>
              <th scope="row">
                {count} {count === 1 ? kind : `${kind}s`}
                {sizeM !== null && `, ${format(sizeM)}`}
              </th>
              <td>{from === null ? 'the store' : fromOf(from)}</td>
              <td>{to === null ? 'the store' : toOf(to)}</td>
              <td>{format(eachM)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

const shortNames = (layout: Layout) => {
  const { short } = layoutLabels(layout);
  return new Map(layout.items.map(({ id }) => [id, short(id)]));
};

/** The next layout over what stands now, with a line for every way over the sand. */
function CarryDrawing({ from, next }: { from: Layout; next: NonNullable<CarryBoardProps['next']> }) {
  const view = sandView(from.arena, 'along');
  const textM = sandTextM(from.arena);
  const at = (layout: Layout, id: string | null) => {
    const item = layout.items.find(one => one.id === id);
    return item ? view.toPaper(item.at) : null;
  };
  const ways = next.plan.carries.flatMap(({ from: a, to: b }) => {
    const [start, end] = [at(from, a), at(next.layout, b)];
    return start && end ? [`M${start.x} ${start.y}L${end.x} ${end.y}`] : [];
  });
  return (
    <Sand arena={from.arena} view={view} label={`What is carried to ${next.name}`} className={classes.drawing}>
      <g className={classes.before}>
        <LayoutDrawing layout={from} tracks={[]} view={view} textM={textM} labels={shortNames(from)} />
      </g>
      <path d={[...new Set(ways)].join('')} className={classes.way} strokeWidth={textM * 0.1} />
      <LayoutDrawing layout={next.layout} tracks={[]} view={view} textM={textM} labels={shortNames(next.layout)} />
    </Sand>
  );
}
