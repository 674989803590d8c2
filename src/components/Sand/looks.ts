/**
 * The names of what drawings of the sand are made of. How each looks is in looks.module.css; shapes only name it, for they
 * are also painted where no style sheets are.
 */
export const LOOKS = [
  ...(['edge', 'rail', 'bands', 'block', 'guide', 'cone', 'coneTop', 'marker', 'groundLine'] as const),
  ...(['corner', 'filler', 'wall', 'oneWay'] as const),
  ...([
    'way',
    'chosenWay',
    'secondWay',
    'markedWay',
    'markedLeg',
    'head',
    'aslant',
    'lead',
    'hoof',
    'airHoof',
    'watcher',
  ] as const),
  ...(['name', 'order', 'selected', 'marked', 'handle', 'knobArm', 'knobGrip'] as const),
  ...(['pull', 'measure', 'measureText', 'drawnTo'] as const),
];

export type LookName = (typeof LOOKS)[number];
