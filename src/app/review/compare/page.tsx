import { Said } from '@/components/Lengths/LengthsProvider';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { compareSides, comparedInWords, LEAST_COMPARED, passesOfSide, profileStride, type SideChoice } from '@/core';
import { layoutsOfVersions } from '@/data/queries/layoutsOfVersions';
import { listHorses } from '@/data/queries/horses';
import { listPairs } from '@/data/queries/pairs';
import { reviewPasses } from '@/data/queries/reviewPasses';
import { Button } from '@mantine/core';
import type { Metadata } from 'next';
import { may } from '../../_server/access/rules';
import { yardContext, yardGaitWords } from '../../_server/yardContext';
import { yardClock } from '../../_server/yardTime';
import { reviewWords } from '../reviewWords';
import { ComparedCards } from './_components/ComparedCards';
import { SideFields } from './_components/SideFields';
import classes from './_components/SideFields.module.css';
import { settingsOf } from './settingsOf';
import { sideName, sideTyped, type AddressWords } from './sideTyped';

export const metadata: Metadata = { title: 'Compare' };

export default async function ComparePage({ searchParams }: { searchParams: Promise<AddressWords> }) {
  const address = await searchParams;
  const { db, yard, unit } = await yardContext(may.instruct);
  const [passes, pairs, horses, versions] = await Promise.all([
    reviewPasses(db, yard.id, 'all', yardClock(yard.timeZone)),
    listPairs(db, yard.id),
    listHorses(db, yard.id),
    layoutsOfVersions(db, yard.id),
  ]);
  const words = reviewWords('', unit, await yardGaitWords(yard.id));
  const settings = settingsOf(passes, words);
  const ridden = new Set(passes.map(({ pairId }) => pairId));
  const riding = pairs.filter(({ id }) => ridden.has(id));
  const layouts = [
    ...new Map([...settings.keys()].flatMap(id => versions.get(id) ?? []).map(one => [one.id, one])).values(),
  ];
  const choices = {
    pairIds: riding.map(({ id }) => id),
    layoutIds: layouts.map(({ id }) => id),
    versionIds: [...settings.keys()],
  };
  const [a, b] = [sideTyped(address, 'a', choices), sideTyped(address, 'b', choices)];
  const layoutOf = (versionId: string) => versions.get(versionId)?.id ?? null;
  const [ofA, ofB] = [passesOfSide(passes, a.side, layoutOf), passesOfSide(passes, b.side, layoutOf)];
  const pairName = (id: string) => {
    const pair = pairs.find(one => one.id === id);
    const isTwice = pair && riding.some(one => one.id !== id && one.horseName === pair.horseName);
    return pair ? (isTwice ? `${pair.horseName} with ${pair.riderName}` : pair.horseName) : '';
  };
  const names = {
    pair: pairName,
    layout: (id: string) => layouts.find(one => one.id === id)?.name ?? '',
    setting: (id: string) => settings.get(id) ?? '',
    day: words.dayName,
  };
  const called = { a: sideName(a.side, b.side, names), b: sideName(b.side, a.side, names) };
  const isSame = JSON.stringify(a.side) === JSON.stringify(b.side);
  /** The stride that the one horse of a side is thought to have. */
  const thoughtOf = ({ pairId }: SideChoice) => {
    const horse = horses.find(({ id }) => id === pairs.find(pair => pair.id === pairId)?.horseId);
    return (entry: Parameters<typeof profileStride>[1]) => (horse && profileStride(horse, entry)?.normalM) ?? null;
  };
  const comparison = isSame ? null : compareSides(ofA, ofB, { a: thoughtOf(a.side), b: thoughtOf(b.side) });
  const said = comparison && comparedInWords(comparison, called, words);
  const options = (chosen: SideChoice) => ({
    pairs: riding.map(({ id, horseName, riderName }) => ({ value: id, label: `${horseName} with ${riderName}` })),
    layouts: layouts.map(({ id, name }) => ({ value: id, label: name })),
    settings: [...settings]
      .filter(([id]) => chosen.layoutId !== undefined && layoutOf(id) === chosen.layoutId)
      .map(([value, label]) => ({ value, label })),
  });
  return (
    <>
      <PageHead
        title="Compare"
        sub="Any two: pairs, days, layouts, settings, reins, before and after."
        actions={
          <LinkButton href="/review" variant="default">
            All of the review
          </LinkButton>
        }
      />
      <form method="get" action="/review/compare" className={classes.form} key={JSON.stringify([a.side, b.side])}>
        <div className={classes.sides}>
          <SideFields side="a" legend="This" chosen={a.side} {...options(a.side)} />
          <SideFields side="b" legend="against this" chosen={b.side} {...options(b.side)} />
        </div>
        <div>
          <Button type="submit" mih={44}>
            Compare
          </Button>
        </div>
      </form>
      {[...a.faults, ...b.faults].map((fault, index) => (
        <p key={index} role="alert">
          {fault}
        </p>
      ))}
      <section aria-label="What differs" className={classes.said}>
        {isSame && <p>Both sides are the same: choose what tells them apart.</p>}
        {!isSame && !said && (
          <p>
            {ofA.length} passes against {ofB.length}: with fewer than {LEAST_COMPARED} on a side nothing is said.
          </p>
        )}
        {said && (
          <>
            <strong>
              <Said>{said.text}</Said>
            </strong>
            <p>
              <Said>{said.because}</Said>
            </p>
          </>
        )}
      </section>
      {comparison && <ComparedCards comparison={comparison} names={called} format={words.format} say={words.say} />}
    </>
  );
}
