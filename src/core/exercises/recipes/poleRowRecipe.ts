import { isRaised, type RaisedEnds } from '../../items/pole';
import { ENTRY_OF_GAIT, type PoleGait } from '../poleRow';
import { RAISED_CLOSER_M } from '../rowSpacing';
import type { Guidance, Recipe } from '../exercise';
import { ahead, groundFor, poleAt, POLE_LENGTH_M, quarterLine, stage, trackThrough } from './parts';

/**
 * `spacingM`: set by hand, or 0 for the horses' own step; `raised`: which ends of each pole are up, those left out lie on
 * the ground; `blockM`: how high.
 */
type Params = {
  gait: PoleGait;
  poles: number;
  spacingM: number;
  poleM: number;
  raised: readonly string[];
  blockM: number;
};

/** Common practice, no source: a block lying on its lower side. */
const BLOCK_M = 0.15;

const SEAT = { walk: 'rising', trot: 'rising', canter: 'half-seat' } as const;

function guidance(gait: PoleGait): Guidance {
  return {
    title: `A row of ${gait} poles`,
    purposes: ['rhythm', 'footwork'],
    level: gait === 'canter' ? 'novice' : 'green',
    knowFirst: gait === 'walk' ? ['One pole on the ground, both ways'] : [`A single pole in ${gait}, in balance`],
    repetitions: { eachRein: 4, stop: { when: 'repetitions' } },
    failure: 'same question again',
    watchHorse: [
      'The foot falls midway between the poles',
      'The neck lowers, the back swings',
      'No pole is rapped twice',
    ],
    watchRider: ['Eyes up to the end of the row', 'The hands give without throwing the contact away'],
    stand: 'Side-on, level with the middle of the row, to see where the feet fall.',
    faults: [
      { fault: 'The foot falls nearer to the pole behind', remedy: 'Close the gaps by 5 cm and look again.' },
      { fault: 'The foot falls nearer to the pole ahead', remedy: 'Steady the pace first, then open them by 5 cm.' },
      { fault: 'Poles are hit again and again', remedy: 'Slow down, or take every second pole out.' },
    ],
    cautions: [
      'No loose pole where a horse can step on it and roll it.',
      ...(gait === 'canter' ? [] : ['A gaited horse: one or two poles, set farther apart, with a way round them.']),
    ],
  };
}

/** Walk, trot or canter poles, as far apart as the horse's step or stride. */
export const poleRows: Recipe<Params>[] = (['walk', 'trot', 'canter'] as const).map(gait => ({
  kind: `${gait}-poles`,
  guidance: guidance(gait),
  wishes: () =>
    (gait === 'canter' ? [4, 3, 2] : [4, 3]).map(poles => ({
      ...{ gait, poles, spacingM: 0, poleM: POLE_LENGTH_M, raised: [], blockM: BLOCK_M },
    })),
  place: (ground, params) => quarterLine(ground, (params.poles - 1) * spacingM(ground, params)),
  layOut: (ground, params) => {
    const gapM = spacingM(ground, params);
    const items = Array.from({ length: params.poles }, (_, index) => ({
      ...poleAt(`p${index + 1}`, ahead(index * gapM), params.poleM),
      raised: raisedEnds(params, index),
    }));
    const middleM = ((params.poles - 1) * gapM) / 2;
    return {
      items,
      tracks: [
        trackThrough(
          'row',
          gait,
          items.map(({ id }) => id),
          { setting: 'poles' },
        ),
      ],
      stages: [
        stage('Poles on the ground', 'Let the horse find its own feet', SEAT[gait]),
        stage('Some more energy, same poles', 'The same rhythm before, over and behind them', SEAT[gait]),
      ],
      stand: { xM: middleM, yM: 5 },
      facts: [{ what: `${ENTRY_OF_GAIT[gait]} spacing`, horse: null, lengthM: gapM }],
    };
  },
  typed: (params, _, groundM) => ({ ...params, spacingM: groundM }),
  oneMore: params => ({ ...params, poles: params.poles + 1 }),
}));

function spacingM(ground: Parameters<Recipe<Params>['layOut']>[0], params: Params): number {
  if (params.spacingM > 0) return params.spacingM;
  const pole = poleAt('p', ahead(0));
  const stepM = groundFor(ground, 0, { gait: params.gait, setting: 'poles', from: pole, to: pole });
  const up = Array.from({ length: params.poles }, (_, index) => raisedEnds(params, index)).filter(isRaised).length;
  return up > 0 && up * 2 >= params.poles ? stepM - RAISED_CLOSER_M : stepM;
}

function raisedEnds({ raised, blockM }: Params, index: number): RaisedEnds {
  const way = raised[index];
  return {
    leftM: way === 'left' || way === 'both' ? blockM : 0,
    rightM: way === 'right' || way === 'both' ? blockM : 0,
  };
}
