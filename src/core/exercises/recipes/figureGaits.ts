import { GAITED_GAITS } from '../../horse/strideEntry';
import type { TrackGait } from '../../layout/trackGait';

const ANY: readonly TrackGait[] = ['walk', 'trot', 'canter', ...GAITED_GAITS];
/** What crosses the middle or goes sideways is not cantered here. */
const UP_TO_TROT: readonly TrackGait[] = ['walk', 'trot', ...GAITED_GAITS];

/** Figures whose gait is the rider's to choose, by kind, and which they may be. Others are made of their gait. */
export const FIGURE_GAITS: Readonly<Record<string, readonly TrackGait[]>> = {
  circle: ANY,
  spiral: ANY,
  volte: ANY,
  serpentine: ANY,
  'round-cones': ANY,
  'half-circle-return': ANY,
  'shallow-loop': ANY,
  corners: ANY,
  'figure-of-eight': UP_TO_TROT,
  'change-rein': UP_TO_TROT,
  'leg-yield': UP_TO_TROT,
  'half-pass': UP_TO_TROT,
  'shoulder-in': UP_TO_TROT,
  'gaited-poles': GAITED_GAITS,
  'gaited-gaits': GAITED_GAITS.filter(gait => gait !== 'flat-walk'),
};
