import { HORSE_LEVELS, HORSE_TYPES, STRIDE_ENTRY_KEYS, TEST_PACES } from '@/core';
import { KIT_KINDS, TYPED_STRIDES } from './yardForms';

/** The lists of the yard as CSV, and what their columns are called and mean. */

export const CSV_LISTS = ['horses', 'people', 'kit', 'stride-tests'] as const;
export type CsvList = (typeof CSV_LISTS)[number];

export type CsvColumn = { name: string; required: boolean; words: string };

const STRIDE_COLUMNS: CsvColumn[] = TYPED_STRIDES.map(({ entry, label }) => ({
  name: `${entry.replace(/-/g, '_')}_m`,
  required: false,
  words: `${label}, normal, as typed in; empty where nobody has`,
}));

/** What each list's columns are called and mean. */
export const CSV_COLUMNS: Record<CsvList, CsvColumn[]> = {
  horses: [
    {
      name: 'name',
      required: true,
      words: 'What the horse is called; a horse of this name is changed, another is added',
    },
    { name: 'height', required: true, words: 'At the withers: 15.2 hands, 158 cm or 1.58 m' },
    { name: 'type', required: false, words: `One of ${HORSE_TYPES.join(', ')} (all-round)` },
    { name: 'born', required: false, words: 'The year it was born' },
    { name: 'level', required: false, words: `One of ${HORSE_LEVELS.join(', ')} (novice)` },
    { name: 'stiff_side', required: false, words: 'left, right, or empty' },
    { name: 'notes', required: false, words: 'Anything' },
    ...STRIDE_COLUMNS,
  ],
  people: [
    { name: 'name', required: true, words: 'What the person is called; a person of this name is changed' },
    { name: 'role', required: true, words: 'instructor, rider or helper' },
    { name: 'step', required: false, words: 'The length of their own step, as typed in' },
  ],
  kit: [
    { name: 'kind', required: true, words: `One of ${KIT_KINDS.join(', ')}` },
    { name: 'count', required: true, words: 'How many' },
    { name: 'size', required: false, words: 'The length of poles, the height of blocks; empty for the others' },
    { name: 'name', required: false, words: 'If you tell them apart; the same kind, size and name is changed' },
  ],
  'stride-tests': [
    { name: 'test', required: true, words: 'Any word or number: rows of one test share it' },
    { name: 'horse', required: true, words: 'The name of a horse in the yard' },
    { name: 'gait', required: true, words: `One of ${STRIDE_ENTRY_KEYS.join(', ')}` },
    { name: 'tested_at', required: true, words: 'When, as 2026-05-03T09:30:00Z' },
    { name: 'lane', required: false, words: 'The taped length; empty for an untaped lane' },
    { name: 'lane_steps', required: false, words: 'The steps of an untaped lane' },
    { name: 'moment', required: false, words: 'before, after or apart (apart): against the schooling' },
    { name: 'pace', required: true, words: `One of ${TEST_PACES.join(', ')}` },
    { name: 'count', required: true, words: 'Strides in the lane, a whole number' },
    {
      name: 'part_behind',
      required: false,
      words:
        'A part of a stride behind the start, before the first that counts: 0 (foot on the line) to 0.75; may be empty',
    },
    {
      name: 'part',
      required: false,
      words: 'A part of a stride before the finish: 0 to 0.75; counts where both ends were noted',
    },
    { name: 'void', required: false, words: 'yes where the gait broke' },
  ],
};
