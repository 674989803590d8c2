import { gaitWord } from '../layout/trackGait';
import type { TappedMark } from './passMark';

/** A transition in a few words: "late into canter, transition 4", "prompt into trot, transition 1, after 3 trot steps". */
export function transitionWords({
  how,
  to,
  place,
  trotSteps,
}: Omit<Extract<TappedMark, { kind: 'transition' }>, 'kind'>): string {
  const into = to === 'halt' ? 'to halt' : `into ${gaitWord(to)}`;
  const words = how === 'ran into it' ? `ran ${into}` : `${how} ${into}`;
  const steps = trotSteps ? `, after ${trotSteps} trot ${trotSteps === 1 ? 'step' : 'steps'}` : '';
  return `${words}, transition ${place}${steps}`;
}
