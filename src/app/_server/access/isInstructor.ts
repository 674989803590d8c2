import type { Who } from './whoIsThere';

/** Whether somebody may plan and change: an instructor, or whoever sits at an open machine. */
export function isInstructor(who: Who): boolean {
  return who.open || who.role === 'instructor';
}
