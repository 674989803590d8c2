import type { TrackGait } from '../layout/trackGait';
import { gaitWord } from '../layout/trackGait';
import { headWanted } from '../record/headWanted';
import type { FilmGait, FilmMark } from './filmMark';
import type { FilmReading, HeadInFilm } from './filmReading';

/** A time in a film: "1:05". */
export function filmTime(atS: number): string {
  const whole = Math.floor(atS + 1e-6);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}

/** What a mark of a film says, in a few words. */
export function filmMarkWords(mark: FilmMark): string {
  switch (mark.kind) {
    case 'gait':
      return gaitWord(mark.ridden);
    case 'asked':
      return `${gaitWord(mark.gait)} asked`;
    case 'head':
      return `head ${mark.height}`;
    case 'lead':
      return mark.lead === 'cross-canter' ? mark.lead : `${mark.lead} lead`;
    case 'break':
      return 'break of gait';
    case 'stride':
      return 'stride';
    case 'note':
      return mark.words;
  }
}

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);
const seconds = (s: number) => `${Math.round(s)}\u00a0s`;

/** What a film shows, sentence by sentence: its gaits first, then heads, leads, breaks and tempo. */
export function filmSentences({ asked, heads, leads, breaksS, strides, stretches }: FilmReading): string[] {
  return [
    ...asked.map(({ asked: gait, heldS, slipped }) => {
      const allS = heldS + slipped.reduce((sum, one) => sum + one.heldS, 0);
      const others = slipped.map(
        one => `${gaitWord(one.into)} ${seconds(one.heldS)}, first at ${filmTime(one.firstS)}`,
      );
      const held = slipped.length === 0 ? `all of ${seconds(allS)}` : `${seconds(heldS)} of ${seconds(allS)}`;
      return `${capital(gaitWord(gait))} as it was asked: ${held}${others.length > 0 ? `; ${others.join('; ')}` : ''}.`;
    }),
    ...(asked.length === 0 ? riddenAlone(stretches) : []),
    ...heads.map(headSentence),
    ...(leads.length === 0
      ? []
      : [
          `Leads: ${leads.map(({ atS, lead }) => `${filmMarkWords({ kind: 'lead', lead })} at ${filmTime(atS)}`).join(', ')}.`,
        ]),
    ...(breaksS.length === 0
      ? []
      : [
          `${breaksS.length === 1 ? 'A break' : `${breaksS.length} breaks`} of gait: at ${breaksS.map(filmTime).join(', ')}.`,
        ]),
    ...strides.map(({ fromS, ridden, tempo: { perSecond, change, strides: many } }) => {
      const how = change === 'too few to tell' ? '' : `, ${change}`;
      return `${capital(ridden === null ? 'strides' : gaitWord(ridden))} from ${filmTime(fromS)}: ${many} strides, ${perSecond.toFixed(2)} a second${how}.`;
    }),
  ];
}

/** Where nobody said what was asked, what was ridden is told by itself. */
function riddenAlone(stretches: FilmReading['stretches']): string[] {
  const heldS = new Map<FilmGait, number>();
  for (const { ridden, fromS, toS } of stretches)
    if (ridden !== null) heldS.set(ridden, (heldS.get(ridden) ?? 0) + toS - fromS);
  const told = [...heldS].map(([gait, s]) => `${gaitWord(gait)} ${seconds(s)}`);
  return told.length === 0 ? [] : [`Ridden: ${told.join(', ')}.`];
}

function headSentence({ gait, heldS }: HeadInFilm): string {
  const allS = heldS.low + heldS['as wanted'] + heldS.high;
  const wanted = headWanted(gait as TrackGait);
  const off = (['high', 'low'] as const).flatMap(height =>
    heldS[height] > 0 ? [`too ${height} for ${seconds(heldS[height])}`] : [],
  );
  const told = off.length === 0 ? `as wanted for ${seconds(allS)}` : `${off.join(', ')} of ${seconds(allS)}`;
  return `Head in ${gaitWord(gait)}${wanted === null ? '' : `, wanted ${wanted}`}: ${told}.`;
}
