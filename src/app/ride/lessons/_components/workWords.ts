import { howMany, type Work } from '@/core';

/** Work in words: efforts, and what else counts where there is any. */
export function workWords({ lowEfforts, highEfforts, raisedPasses, smallCircleMin: { left, right } }: Work): string {
  const efforts = lowEfforts + highEfforts;
  return [
    howMany(efforts, 'effort'),
    ...(highEfforts > 0 ? [`${highEfforts} of them at 0.9 m and over`] : []),
    ...(raisedPasses > 0 ? [`${howMany(raisedPasses, 'pass', 'passes')} over raised poles`] : []),
    ...(left + right > 0
      ? [`${left.toFixed(1)} minutes on small circles on the left rein, ${right.toFixed(1)} on the right`]
      : []),
  ].join(', ');
}
