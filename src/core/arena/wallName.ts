import type { Arena, Wall } from './arena';

/**
 * What an instructor calls a wall: by its letters where there are letters, else as seen from the near short side.
 */
export function wallName(arena: Arena, wall: Wall): string {
  const named = arena.letters !== 'none';
  switch (wall) {
    case 'near':
      return named ? 'A short side' : 'near short side';
    case 'far':
      return named ? 'C short side' : 'far short side';
    case 'left':
      return named ? 'E long side' : 'left long side';
    case 'right':
      return named ? 'B long side' : 'right long side';
  }
}
