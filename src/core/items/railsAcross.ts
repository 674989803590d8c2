import type { FenceForm } from './item';

/** Where the rails of each form lie ahead of its middle, as shares of its spread. A corner's run together instead. */
export const RAILS_ACROSS: Record<FenceForm, readonly number[]> = {
  'cross-rail': [0],
  vertical: [0],
  narrow: [0],
  wall: [0],
  oxer: [-0.5, 0.5],
  'triple-bar': [-0.5, 0, 0.5],
  corner: [],
};
