/** @jest-environment jsdom */
import type { Plan } from '@/core';
import { BARE_DESK, deskAfter, type Desk, type DeskAct } from './desk';
import { planDeeds, type Pressed } from './planDeeds';
import { ARENA, LINE, MAYFLY, shows } from './testShown';

/** The plan page without a page: what a key did to the plan, to the desk and to what is seen. */
function page(first: Partial<Desk> = {}, plan: Plan = LINE) {
  const show = shows();
  let standing = plan;
  let desk: Desk = { ...BARE_DESK, ...first };
  const seen: string[] = [];
  const deeds = () => {
    const shown = show(standing);
    const pressed = {
      controls: {
        shown,
        present: { name: 'A line', plan: standing },
        change: (next: (before: Plan) => Plan) => (standing = next(standing)),
        undo: () => seen.push('undo'),
        redo: () => seen.push('redo'),
      },
      desk,
      act: (act: DeskAct) => (desk = deskAfter(desk, act)),
      sand: {
        // A metre of sand to the right is a unit of paper to the right.
        view: { toSand: ({ x, y }: { x: number; y: number }) => ({ xM: x, yM: -y }) },
        box: { width: 40, height: 20 },
        pan: (x: number, y: number) => seen.push(`pan ${x} ${y}`),
        zoom: (by: number) => seen.push(`zoom ${by.toFixed(2)}`),
        fit: () => seen.push('fit'),
      },
      ground: { arena: ARENA, horses: [MAYFLY], fall: null, kit: null },
      selection: desk.selected,
      track: shown.resolved.layout.tracks[0] ?? null,
      horse: shown.resolved.layout.horses[0] ?? null,
    };
    return planDeeds(pressed as unknown as Pressed);
  };
  const item = (id: string) => standing.items.find(one => one.id === id)!;
  const facing = (id: string) => {
    const lies = item(id);
    return 'headingRad' in lies ? lies.headingRad : Number.NaN;
  };
  return { deeds, item, facing, desk: () => desk, plan: () => standing, seen };
}

const key = (name: string, more: KeyboardEventInit = {}) => new KeyboardEvent('keydown', { key: name, ...more });
const withAsh: Partial<Desk> = { selected: { ids: ['ash'], leg: null } };

describe('keys of the plan', () => {
  it('move what is selected by 25 cm, by 1 m and by 1 cm', () => {
    const { deeds, item } = page(withAsh);
    deeds().move({ x: 1, y: 0 }, key('ArrowRight'));
    expect(item('ash').at.xM).toBeCloseTo(10.25, 9);
    deeds().move({ x: 0, y: -1 }, key('ArrowUp', { shiftKey: true }));
    expect(item('ash').at.yM).toBeCloseTo(6, 9);
    deeds().move({ x: -1, y: 0 }, key('ArrowLeft', { altKey: true }));
    expect(item('ash').at.xM).toBeCloseTo(10.24, 9);
    expect(item('birch').at).toEqual({ xM: 10, yM: 23 });
  });

  it('move what is in focus where nothing is selected, and nothing where nothing is in focus', () => {
    const { deeds, item, plan } = page();
    deeds().move({ x: 1, y: 0 }, key('ArrowRight'));
    expect(plan()).toBe(LINE);
    document.body.innerHTML = '<button data-item="birch"></button>';
    document.querySelector('button')!.focus();
    deeds().move({ x: 1, y: 0 }, key('ArrowRight'));
    expect(item('birch').at.xM).toBeCloseTo(10.25, 9);
    document.body.innerHTML = '';
  });

  it('turn by 5° and by 1°, take off the sand, lock and let go', () => {
    const { deeds, facing, plan, desk } = page(withAsh);
    const before = facing('ash');
    deeds().turn(true, key(','));
    expect(Math.abs(facing('ash') - before)).toBeCloseTo((5 * Math.PI) / 180, 9);
    deeds().turn(false, key('.', { altKey: true }));
    expect(Math.abs(facing('ash') - before)).toBeCloseTo((4 * Math.PI) / 180, 9);
    deeds().letters.k();
    expect(plan().lockedIds).toEqual(['ash']);
    deeds().letters.k();
    expect(plan().lockedIds).toEqual([]);
    deeds().remove();
    expect(plan().items.map(({ id }) => id)).not.toContain('ash');
    deeds().letGo();
    expect(desk().selected.ids).toEqual([]);
  });

  it('select everything, copy what is selected and select the copy', () => {
    const { deeds, plan, desk } = page();
    deeds().letters.a();
    expect([...desk().selected.ids].sort()).toEqual(LINE.items.map(({ id }) => id).sort());
    const one = page(withAsh);
    one.deeds().letters.c();
    expect(one.plan().items).toHaveLength(LINE.items.length + 1);
    expect(one.desk().selected.ids).not.toEqual(['ash']);
    // With nothing selected there is nothing to copy.
    const none = page();
    none.deeds().letters.c();
    expect(none.plan()).toBe(LINE);
    expect(plan()).toBe(LINE);
  });

  it('begin a track and end it; while one is laid its last stop is taken away', () => {
    const { deeds, desk } = page();
    deeds().letters.r();
    expect(desk().riding).not.toBeNull();
    deeds().letters.r();
    expect(desk().riding).toBeNull();
    const laying = page({ riding: 'line' });
    laying.deeds().remove();
    const [track] = laying.plan().tracks;
    expect(track?.kind === 'items' && track.through.map(({ item }) => item)).toEqual(['ash', 'birch']);
    expect(laying.plan().items).toHaveLength(LINE.items.length);
  });

  it('open, walk, sit in the saddle, and look closer', () => {
    const { deeds, desk, seen } = page();
    deeds().letters.s();
    expect(desk().over).toBe('shelf');
    deeds().letters.v();
    expect(desk().over).toBe('call');
    deeds().letters.l();
    expect(desk().menu).toBe('add');
    deeds().letters.p();
    expect([desk().walkedM, desk().playing]).toEqual([0, true]);
    deeds().letters.f();
    expect(desk().saddle).toBe(true);
    deeds().letters.i();
    deeds().letters.o();
    deeds().letters.w();
    deeds().pan({ x: 1, y: 0 });
    deeds().undo();
    expect(seen).toEqual(['zoom 1.40', 'zoom 0.71', 'fit', 'pan -4 0', 'undo']);
  });
});
