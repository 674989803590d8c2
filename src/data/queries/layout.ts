import type { Plan } from '@/core';
import type { NamedArena } from './arenas';

export type Layout = {
  id: string;
  name: string;
  revision: number;
  plan: Plan;
  arena: NamedArena;
  tags: string[];
  archived: boolean;
  updatedAt: Date;
};
