import type { Arena, HorseType } from '@/core';

/** What an empty yard is asked: three questions, each a tap or a few. What is chosen can be changed in the yard. */
export const FIRST_HORSES = [
  { key: 'pony', label: 'A pony, 130 cm', name: 'Pony', heightM: 1.3, type: 'pony' },
  { key: 'horse', label: 'A horse, 160 cm', name: 'Horse', heightM: 1.6, type: 'all-round' },
  { key: 'large', label: 'A large horse, 172 cm', name: 'Large horse', heightM: 1.72, type: 'warmblood' },
] as const satisfies readonly { key: string; label: string; name: string; heightM: number; type: HorseType }[];

export const FIRST_SANDS = [
  { key: 'small', label: '20 × 40 m', name: 'School', arena: { widthM: 20, lengthM: 40, letters: '20x40' } },
  { key: 'large', label: '20 × 60 m', name: 'School', arena: { widthM: 20, lengthM: 60, letters: '20x60' } },
  { key: 'field', label: '35 × 65 m, no letters', name: 'Field', arena: { widthM: 35, lengthM: 65, letters: 'none' } },
] as const satisfies readonly { key: string; label: string; name: string; arena: Arena }[];

/** A course has fences and no recipe: it is composed for the horses on their sand. */
export const FIRST_LAYOUTS = [
  { key: 'trot-poles', label: 'Trot poles', name: 'Trot poles' },
  { key: 'walk-poles', label: 'Walk poles', name: 'Walk poles' },
  { key: 'single-fence', label: 'A single fence', name: 'A single fence' },
  { key: 'course', label: 'A course of six', name: 'A course of six', fences: 6, heightM: 0.6 },
] as const satisfies readonly { key: string; label: string; name: string; fences?: number; heightM?: number }[];
