type DemoTest = {
  horse: string;
  rider: string;
  entry: 'walk' | 'trot' | 'canter' | 'flat-walk' | 'running-walk' | 'fox-trot';
  daysAgo: number;
  /** After schooling on its day; before it where this is left out. */
  after?: true;
  stridesM: number[];
  rhythm: number;
  accepted: boolean;
  seed: number;
};

/**
 * Stride tests of a season: the horse's true strides on the day, short, normal and long, and how it went. Quill's trot
 * comes on; Barley's canter gets shorter towards the end.
 */
export const DEMO_TESTS: DemoTest[] = [
  {
    horse: 'quill',
    rider: 'ode',
    entry: 'trot',
    daysAgo: 120,
    stridesM: [1.95, 2.55, 2.8],
    rhythm: 3,
    accepted: false,
    seed: 21,
  },
  {
    horse: 'quill',
    rider: 'ode',
    entry: 'trot',
    daysAgo: 78,
    stridesM: [1.9, 2.62, 2.92],
    rhythm: 3,
    accepted: false,
    seed: 22,
  },
  {
    horse: 'quill',
    rider: 'ode',
    entry: 'trot',
    daysAgo: 44,
    stridesM: [1.84, 2.66, 3.0],
    rhythm: 4,
    accepted: false,
    seed: 23,
  },
  {
    horse: 'quill',
    rider: 'ode',
    entry: 'trot',
    daysAgo: 9,
    stridesM: [1.78, 2.7, 3.1],
    rhythm: 4,
    accepted: true,
    seed: 24,
  },
  {
    horse: 'quill',
    rider: 'ode',
    entry: 'trot',
    daysAgo: 9,
    after: true,
    stridesM: [1.7, 2.71, 3.22],
    rhythm: 5,
    accepted: false,
    seed: 30,
  },
  {
    horse: 'quill',
    rider: 'ode',
    entry: 'canter',
    daysAgo: 78,
    stridesM: [1.7, 2.3, 2.6],
    rhythm: 3,
    accepted: false,
    seed: 25,
  },
  {
    horse: 'quill',
    rider: 'ode',
    entry: 'canter',
    daysAgo: 9,
    stridesM: [1.66, 2.34, 2.68],
    rhythm: 4,
    accepted: true,
    seed: 26,
  },
  {
    horse: 'barley',
    rider: 'bas',
    entry: 'canter',
    daysAgo: 90,
    stridesM: [1.6, 2.05, 2.25],
    rhythm: 4,
    accepted: false,
    seed: 27,
  },
  {
    horse: 'barley',
    rider: 'bas',
    entry: 'canter',
    daysAgo: 20,
    stridesM: [1.62, 1.9, 2.0],
    rhythm: 2,
    accepted: false,
    seed: 28,
  },
  {
    horse: 'thimble',
    rider: 'neve',
    entry: 'walk',
    daysAgo: 30,
    stridesM: [1.15, 1.42, 1.55],
    rhythm: 4,
    accepted: true,
    seed: 29,
  },
  {
    horse: 'tansy',
    rider: 'maud',
    entry: 'flat-walk',
    daysAgo: 60,
    stridesM: [1.5, 1.72, 1.9],
    rhythm: 4,
    accepted: true,
    seed: 41,
  },
  {
    horse: 'tansy',
    rider: 'maud',
    entry: 'running-walk',
    daysAgo: 60,
    stridesM: [2.0, 2.36, 2.6],
    rhythm: 4,
    accepted: true,
    seed: 42,
  },
  {
    horse: 'tansy',
    rider: 'maud',
    entry: 'fox-trot',
    daysAgo: 60,
    stridesM: [1.9, 2.2, 2.4],
    rhythm: 4,
    accepted: true,
    seed: 43,
  },
  // Ridden western: a quiet lope is eight strides in 60 ft (common practice, no source).
  ...(
    [
      ['trot', [1.6, 1.95, 2.2], 44],
      ['canter', [1.9, 2.29, 2.6], 45],
    ] as const
  ).map(([entry, stridesM, seed]) => ({
    ...{ horse: 'fennel', rider: 'bas', entry, daysAgo: 50, stridesM: [...stridesM], rhythm: 4, accepted: true, seed },
  })),
];
