import fc from 'fast-check';
import type { Arena } from '../arena/arena';
import { defaultStride } from '../horse/defaultStrides';
import { SHELF } from '../exercises/shelf';
import { layOutExercise } from '../exercises/layOutExercise';
import { distanceM, type PointM } from '../geometry/pointM';
import { DEFAULT_LEG, type ItemTrack } from '../layout/layout';
import { reckonLayout } from '../layout/reckonLayout';
import { breakApart, editPlan } from './breakApart';
import { copyThings } from './copyThings';
import { layOutPlaced, resolvePlan } from './layOutPlaced';
import { newItem, ITEM_CHOICES } from './newItem';
import { EMPTY_PLAN, type Plan, type PlanHorse } from './plan';
import { arrangementOf, placeArrangement, placeExercise } from './placeExercise';
import { planResolver, type PlanGround } from './resolvePlan';
import { soundPlan } from './soundPlan';
import { alignThings, lockThings, mirrorThings, moveThings, removeThings, spaceThings, turnThings } from './things';
import { appendStop, comesFromBehind, dropLastStop, moveStop, removeStop, renameThing } from './tracksByHand';

const ARENA: Arena = { widthM: 20, lengthM: 60, letters: '20x60' };
const UP = Math.PI / 2;

const horse = (id: string, heightM: number): PlanHorse => ({
  ...{ id, name: id, heightM, type: 'all-round', level: 'novice' },
  strides: { 'trot-poles': defaultStride('trot-poles', heightM, 'all-round')! },
});
const GROUND: PlanGround = {
  ...{ name: 'plan', arena: ARENA, fall: null, kit: null },
  horses: [horse('small', 1.3), horse('medium', 1.6)],
};

const track = (changes: Partial<ItemTrack> = {}): ItemTrack => ({
  ...{ kind: 'items', id: 'line', name: null, gait: 'course-canter', course: null, passes: 1 },
  through: [
    { item: 'heron', reversed: false },
    { item: 'willow', reversed: false },
  ],
  legs: [DEFAULT_LEG],
  ...changes,
});

const PLAN: Plan = {
  ...EMPTY_PLAN,
  groupIds: ['medium'],
  items: [
    newItem('vertical', 'heron', { xM: 5, yM: 15 }, UP),
    newItem('oxer', 'willow', { xM: 5, yM: 33.6 }, UP),
    newItem('cone', 'cone 1', { xM: 10, yM: 50 }, 0),
  ],
  tracks: [track()],
};

const at = (plan: Plan, id: string) => plan.items.find(item => item.id === id)!.at;
const close = ({ xM, yM }: PointM) => ({ xM: expect.closeTo(xM, 9), yM: expect.closeTo(yM, 9) });
let made = 0;
const newId = () => `n${(made += 1)}`;
const NOBODY: ReadonlyMap<string, string> = new Map();
const recipe = (kind: string) => SHELF.find(one => one.kind === kind)!;
const placed = (plan: Plan, kind: string, session: string | null = null) =>
  placeExercise(plan, GROUND, { id: newId(), recipe: recipe(kind), rein: 'left', horseIds: null, session });

describe('things', () => {
  test('move together, and what is locked stays', () => {
    const locked = lockThings(PLAN, ['willow'], true);
    const moved = moveThings(locked, ['heron', 'willow'], { xM: 1, yM: -2 });
    expect(at(moved, 'heron')).toEqual(close({ xM: 6, yM: 13 }));
    expect(at(moved, 'willow')).toBe(at(PLAN, 'willow'));
    expect(at(moveThings(lockThings(locked, ['willow'], false), ['willow'], { xM: 1, yM: 0 }), 'willow').xM).toBe(6);
  });

  test('a quarter turn about a point brings what lay along the arena across it', () => {
    const turned = turnThings(PLAN, ['heron', 'willow'], -UP, { xM: 5, yM: 15 });
    expect(at(turned, 'heron')).toEqual(close({ xM: 5, yM: 15 }));
    expect(at(turned, 'willow')).toEqual(close({ xM: 23.6, yM: 15 }));
  });

  test('turning and turning back, and mirroring twice, change nothing (up to rounding)', () => {
    const angle = fc.double({ min: -7, max: 7, noNaN: true });
    fc.assert(
      fc.property(angle, byRad => {
        const about = { xM: 3, yM: 4 };
        const there = turnThings(PLAN, ['heron', 'willow', 'cone 1'], byRad, about);
        const back = turnThings(there, ['heron', 'willow', 'cone 1'], -byRad, about);
        for (const { id } of PLAN.items) expect(distanceM(at(back, id), at(PLAN, id))).toBeLessThan(1e-9);
      }),
    );
    const twice = mirrorThings(mirrorThings(PLAN, ['heron', 'willow'], 20), ['heron', 'willow'], 20);
    expect(at(twice, 'heron')).toEqual(close(at(PLAN, 'heron')));
  });

  test('the other rein rides as long, with every turn to the other side', () => {
    const bent = {
      ...PLAN,
      items: [...PLAN.items.slice(0, 1), newItem('oxer', 'willow', { xM: 12, yM: 33 }, UP + 0.6)],
    };
    const mirrored = mirrorThings(bent, ['heron', 'willow'], 20);
    const leg = (plan: Plan) => {
      const [line] = reckonLayout(resolvePlan(plan, GROUND).layout);
      return line!.kind === 'items' ? line!.legs[0]! : null;
    };
    const turns = (plan: Plan) =>
      leg(plan)!.chain.segments.flatMap(one => (one.kind === 'arc' ? Math.sign(one.sweepRad) : []));
    expect(leg(mirrored)!.groundM).toBeCloseTo(leg(bent)!.groundM, 9);
    expect(turns(mirrored)).toEqual(turns(bent).map(side => -side));
  });

  test('a point that a leg rides through goes along with both its items, and stays with one', () => {
    const via = { ...PLAN, tracks: [track({ legs: [{ ...DEFAULT_LEG, track: { via: { xM: 9, yM: 25 } } }] })] };
    const viaOf = (plan: Plan) => (plan.tracks[0] as ItemTrack).legs[0]!.track;
    expect(viaOf(moveThings(via, ['heron', 'willow'], { xM: 1, yM: 1 }))).toEqual({ via: { xM: 10, yM: 26 } });
    expect(viaOf(moveThings(via, ['heron'], { xM: 1, yM: 1 }))).toEqual({ via: { xM: 9, yM: 25 } });
    // A track that nothing is moved of is the very same one.
    expect(moveThings(via, ['heron'], { xM: 1, yM: 1 }).tracks[0]).toBe(via.tracks[0]);
    expect(moveThings(via, ['cone 1'], { xM: 1, yM: 1 }).tracks[0]).toBe(via.tracks[0]);
  });

  test('in line, facing alike, and spaced evenly or by a gap', () => {
    const poles: Plan = {
      ...EMPTY_PLAN,
      items: [0, 1.2, 2, 3.9].map((yM, i) => newItem('pole', `p${i}`, { xM: 5 + i / 10, yM: 10 + yM }, UP + i / 10)),
    };
    const ids = ['p0', 'p1', 'p2', 'p3'];
    const straight = alignThings(alignThings(poles, ids, 'along'), ids, 'facing');
    expect(straight.items.map(item => item.at.xM)).toEqual([5, 5, 5, 5]);
    expect(straight.items.map(item => 'headingRad' in item && item.headingRad)).toEqual([UP, UP, UP, UP]);
    expect(spaceThings(straight, ids, null).items.map(({ at: { yM } }) => yM)).toEqual(
      [10, 11.3, 12.6, 13.9].map(yM => expect.closeTo(yM, 9)),
    );
    expect(spaceThings(straight, ids, 1.37).items.map(({ at: { yM } }) => yM)).toEqual(
      [10, 11.37, 12.74, 14.11].map(yM => expect.closeTo(yM, 9)),
    );
  });

  test('taken off the sand, a fence leaves its tracks, and the legs beside it become one', () => {
    const three = {
      ...PLAN,
      items: [...PLAN.items, newItem('vertical', 'plover', { xM: 5, yM: 50 }, UP)],
      tracks: [
        track({
          through: ['heron', 'willow', 'plover'].map(item => ({ item, reversed: false })),
          legs: [DEFAULT_LEG, DEFAULT_LEG],
        }),
      ],
    };
    const left = removeThings(three, ['willow'], NOBODY);
    expect((left.tracks[0] as ItemTrack).through.map(({ item }) => item)).toEqual(['heron', 'plover']);
    expect((left.tracks[0] as ItemTrack).legs).toHaveLength(1);
    expect(removeThings(left, ['heron', 'plover'], NOBODY).tracks).toEqual([]);
  });

  test('copies have ids of their own and the same names, and a track over them alone is copied too', () => {
    const named = renameThing(PLAN, 'heron', 'gate');
    const { plan, ids } = copyThings(named, ['heron', 'willow'], { xM: 1, yM: 0 }, newId);
    expect(new Set(plan.items.map(({ id }) => id)).size).toBe(5);
    expect(plan.items.filter(({ id }) => ids.includes(id)).map(({ name }) => name)).toEqual(['gate', null]);
    expect(plan.tracks).toHaveLength(2);
    expect((plan.tracks[1] as ItemTrack).through.map(({ item }) => item)).toEqual(ids);
    expect(copyThings(PLAN, ['heron'], { xM: 0, yM: 0 }, newId).plan.tracks).toHaveLength(1);
  });

  test('taking “heron” off the sand leaves “heron 2” in its track: what belongs to what is asked of its owner', () => {
    const both: Plan = {
      ...PLAN,
      items: [...PLAN.items, newItem('vertical', 'heron 2', { xM: 5, yM: 50 }, UP)],
      tracks: [
        track({
          through: ['heron', 'willow', 'heron 2'].map(item => ({ item, reversed: false })),
          legs: [DEFAULT_LEG, DEFAULT_LEG],
        }),
      ],
    };
    const left = removeThings(both, ['heron'], resolvePlan(both, GROUND).ownerOf);
    expect((left.tracks[0] as ItemTrack).through.map(({ item }) => item)).toEqual(['willow', 'heron 2']);
  });

  test('an exercise taken off the sand takes its own pieces out of a track by hand, and nothing else', () => {
    const { plan, id } = placed({ ...PLAN, groupIds: ['medium'] }, 'trot-poles');
    const over = {
      ...plan,
      tracks: [
        track({
          through: ['heron', `${id} p1`].map(item => ({ item, reversed: false })),
          legs: [DEFAULT_LEG],
        }),
      ],
    };
    const left = removeThings(over, [id], resolvePlan(over, GROUND).ownerOf);
    expect((left.tracks[0] as ItemTrack).through.map(({ item }) => item)).toEqual(['heron']);
  });
});

test('every kind of item can be laid down, and is called nothing until somebody names it', () => {
  const items = ITEM_CHOICES.map(choice => newItem(choice, newId(), { xM: 1, yM: 1 }, 0));
  expect(items.map(({ name }) => name)).toEqual(ITEM_CHOICES.map(() => null));
  expect(new Set(items.map(({ id }) => id)).size).toBe(ITEM_CHOICES.length);
});

describe('tracks by hand', () => {
  const items = PLAN.items;

  test('begin with their first fence and grow by taps; back to the same fence is a circle', () => {
    let plan: Plan = { ...EMPTY_PLAN, items };
    plan = appendStop(plan, 'course', 'course-canter', { item: 'heron', reversed: false });
    plan = appendStop(plan, 'course', 'course-canter', { item: 'willow', reversed: true });
    plan = appendStop(plan, 'course', 'course-canter', { item: 'willow', reversed: true });
    const [course] = plan.tracks as ItemTrack[];
    expect(course!.legs.map(({ circle }) => circle)).toEqual([null, { rein: 'left', radiusM: 10 }]);
    expect((dropLastStop(plan, 'course').tracks[0] as ItemTrack).legs).toHaveLength(1);
    const gone = dropLastStop(dropLastStop(dropLastStop(plan, 'course'), 'course'), 'course');
    expect(gone.tracks).toEqual([]);
  });

  test('a fence is ridden from the side one comes from', () => {
    const [heron] = items;
    if (heron?.kind !== 'fence') throw new Error('no fence');
    expect(comesFromBehind(heron, { xM: 5, yM: 10 })).toBe(false);
    expect(comesFromBehind(heron, { xM: 5, yM: 20 })).toBe(true);
  });

  test('the order changes, and a leg keeps what was planned where its two stops still follow each other', () => {
    const asked = { ...DEFAULT_LEG, asked: 4 };
    const three: Plan = {
      ...PLAN,
      tracks: [
        track({
          through: ['heron', 'willow', 'cone 1'].map(item => ({ item, reversed: false })),
          legs: [asked, DEFAULT_LEG],
        }),
      ],
    };
    const order = (plan: Plan) => (plan.tracks[0] as ItemTrack).through.map(({ item }) => item);
    const last = moveStop(three, 'line', 2, 0);
    expect(order(last)).toEqual(['cone 1', 'heron', 'willow']);
    expect((last.tracks[0] as ItemTrack).legs.map(leg => leg.asked)).toEqual([null, 4]);
    expect(order(removeStop(three, 'line', 1))).toEqual(['heron', 'cone 1']);
    expect(moveStop(three, 'line', 0, -1)).toBe(three);
  });

  test('a name changes nothing but the name, may be there twice, and may be taken away', () => {
    const locked = lockThings(PLAN, ['heron'], true);
    const twice = renameThing(renameThing(locked, 'heron', 'blue one'), 'willow', 'blue one');
    expect(twice.items.map(({ name }) => name)).toEqual(['blue one', 'blue one', null]);
    expect({ ...twice, items: [] }).toEqual({ ...locked, items: [] });
    expect(renameThing(renameThing(twice, 'heron', null), 'willow', null)).toEqual(locked);
    expect(renameThing(PLAN, 'line', 'first line').tracks[0]).toMatchObject({ id: 'line', name: 'first line' });
  });

  test('a plan is made sound where turning a fence round makes or ends a circle', () => {
    const there = track({
      through: [
        { item: 'heron', reversed: false },
        { item: 'heron', reversed: false },
      ],
    });
    const sound = soundPlan({ ...PLAN, tracks: [there] });
    expect((sound.tracks[0] as ItemTrack).legs[0]!.circle).toEqual({ rein: 'left', radiusM: 10 });
    const turned = { ...there, through: [there.through[0]!, { item: 'heron', reversed: true }] };
    const legs = (sound.tracks[0] as ItemTrack).legs;
    expect((soundPlan({ ...PLAN, tracks: [{ ...turned, legs }] }).tracks[0] as ItemTrack).legs[0]!.circle).toBeNull();
    expect(soundPlan(PLAN)).toBe(PLAN);
  });
});

describe('exercises', () => {
  test.each(SHELF.map(({ kind }) => kind))(
    '%s lies where the shelf lays it, is called apart, and comes apart in its place',
    kind => {
      const { plan, id } = placed({ ...EMPTY_PLAN, groupIds: ['medium'] }, kind);
      const resolved = resolvePlan(plan, GROUND);
      expect(resolved.faults).toEqual([]);
      const { layout } = resolved;
      const by = layOutExercise(
        recipe(kind),
        { arena: ARENA, school: 'whole-stride', horses: layout.horses },
        { rein: 'left' },
      );
      layout.items.forEach((item, index) => {
        expect(item.id.startsWith(`${id} `)).toBe(true);
        expect(item.at).toEqual(close(by.exercise.items[index]!.at));
      });
      const apart = breakApart(plan, resolved, [id]);
      expect(apart.exercises).toEqual([]);
      const again = resolvePlan(apart, GROUND).layout;
      expect(again.items).toEqual(layout.items);
      expect(again.tracks).toEqual(layout.tracks);
    },
  );

  test('change the horse and the poles follow; one horse of a group may have its own', () => {
    const { plan, id } = placed({ ...EMPTY_PLAN, groupIds: ['medium'] }, 'trot-poles');
    const gapM = (of: Plan) => {
      const { items } = resolvePlan(of, GROUND).layout;
      return distanceM(items[0]!.at, items[1]!.at);
    };
    // Common practice, no source: a trot step of 1.37 m for a horse of 160 cm.
    expect(gapM(plan)).toBeCloseTo(1.37, 9);
    const small = defaultStride('trot-poles', 1.3, 'all-round')!.normalM;
    expect(gapM({ ...plan, groupIds: ['small'] })).toBeCloseTo(small, 9);
    const own = { ...plan, exercises: plan.exercises.map(one => ({ ...one, horseIds: ['small'] })) };
    expect(gapM(own)).toBeCloseTo(small, 9);
    const byHand = {
      ...plan,
      exercises: plan.exercises.map(one => ({ ...one, params: { ...one.params, spacingM: 1.3 } })),
    };
    expect(gapM(byHand)).toBeCloseTo(1.3, 9);
    expect(resolvePlan(plan, GROUND).ownerOf.get(`${id} p1`)).toBe(id);
  });

  test('raised poles of a row lie 5 cm closer once half are up (common practice, no source)', () => {
    const { plan } = placed({ ...EMPTY_PLAN, groupIds: ['medium'] }, 'trot-poles');
    const up = {
      ...plan,
      exercises: plan.exercises.map(one => ({ ...one, params: { ...one.params, raised: ['left', 'ground', 'both'] } })),
    };
    const { items } = resolvePlan(up, GROUND).layout;
    expect(distanceM(items[0]!.at, items[1]!.at)).toBeCloseTo(1.32, 9);
    expect(items.map(item => item.kind === 'pole' && item.raised)).toEqual([
      { leftM: 0.15, rightM: 0 },
      { leftM: 0, rightM: 0 },
      { leftM: 0.15, rightM: 0.15 },
      { leftM: 0, rightM: 0 },
    ]);
  });

  test('figures of one session are one track, in their order, and come apart together', () => {
    const first = placed(EMPTY_PLAN, 'serpentine', 'flat work');
    const second = placed(first.plan, 'spiral', 'flat work');
    const resolved = resolvePlan(second.plan, GROUND);
    expect(resolved.layout.tracks.map(({ id }) => id)).toEqual(['flat work']);
    const [session] = resolved.layout.tracks;
    expect(session?.kind === 'figures' && session.figures.map(({ figure }) => figure.kind)).toEqual([
      'serpentine',
      'spiral',
    ]);
    const apart = breakApart(second.plan, resolved, [first.id]);
    expect(apart.exercises).toEqual([]);
    expect(resolvePlan(apart, GROUND).layout.tracks).toEqual(resolved.layout.tracks);
  });

  test('an edit of an exercise breaks it apart, and leaves the others whole', () => {
    const one = placed({ ...EMPTY_PLAN, groupIds: ['medium'] }, 'trot-poles');
    const two = placed(one.plan, 'single-fence');
    const resolved = resolvePlan(two.plan, GROUND);
    const edited = editPlan(two.plan, resolved, [{ kind: 'move-item', item: `${one.id} p2`, to: { xM: 1, yM: 2 } }]);
    expect(edited.exercises.map(({ id }) => id)).toEqual([two.id]);
    expect(at(edited, `${one.id} p2`)).toEqual({ xM: 1, yM: 2 });
  });

  test('an exercise whose horses all left is laid out for a middling one', () => {
    const { plan } = placed({ ...EMPTY_PLAN, groupIds: ['gone'] }, 'trot-poles');
    const { items } = resolvePlan(plan, GROUND).layout;
    expect(distanceM(items[0]!.at, items[1]!.at)).toBeCloseTo(1.37, 9);
  });

  test('a kind that the shelf does not have, and one that cannot be laid out so, say so and keep the rest', () => {
    const { plan } = placed(EMPTY_PLAN, 'trot-poles');
    const odd = { ...plan.exercises[0]!, id: 'odd', kind: 'somersault' };
    const wide = { ...plan.exercises[0]!, id: 'wide', kind: 'grid', params: { elements: ['half'] } };
    const resolved = resolvePlan({ ...plan, exercises: [...plan.exercises, odd, wide] }, GROUND);
    expect(resolved.faults.map(({ id }) => id)).toContain('odd');
    expect(resolved.layout.items.length).toBeGreaterThanOrEqual(4);
  });

  test('until the shelf is there what was there before stays', () => {
    const { plan } = placed({ ...EMPTY_PLAN, groupIds: ['medium'] }, 'trot-poles');
    let open = true;
    const resolve = planResolver((one, ground) => (open ? layOutPlaced(one, ground) : null));
    const before = resolve(plan, GROUND);
    open = false;
    const more = { ...plan, exercises: plan.exercises.map(one => ({ ...one, params: { ...one.params, poles: 6 } })) };
    expect(resolve(more, GROUND).layout.items).toEqual(before.layout.items);
    expect(planResolver(() => null)(plan, GROUND).faults).toHaveLength(1);
  });

  test('a track over an item that its exercise no longer has skips it', () => {
    const { plan, id } = placed({ ...EMPTY_PLAN, groupIds: ['medium'] }, 'trot-poles');
    const over = track({
      gait: 'trot',
      through: ['p1', 'p3', 'p4'].map(p => ({ item: `${id} ${p}`, reversed: false })),
      legs: [DEFAULT_LEG, DEFAULT_LEG],
    });
    const fewer = {
      ...plan,
      tracks: [over],
      exercises: plan.exercises.map(one => ({ ...one, params: { ...one.params, poles: 3 } })),
    };
    const [skipped] = resolvePlan(fewer, GROUND).layout.tracks as ItemTrack[];
    expect(skipped!.through.map(({ item }) => item)).toEqual([`${id} p1`, `${id} p3`]);
  });
});

test('an arrangement is kept about its middle, and lies again as it lay', () => {
  const kept = arrangementOf(PLAN.items.slice(0, 2), PLAN.tracks);
  expect(kept.items.map(item => item.at)).toEqual([close({ xM: 0, yM: -9.3 }), close({ xM: 0, yM: 9.3 })]);
  expect(kept.tracks).toHaveLength(1);
  const again = placeArrangement(PLAN, kept, { xM: 10, yM: 30 }, newId);
  expect(again.ids).toHaveLength(2);
  expect(at(again.plan, again.ids[1]!)).toEqual(close({ xM: 10, yM: 39.3 }));
  expect((again.plan.tracks[1] as ItemTrack).through.map(({ item }) => item)).toEqual(again.ids);
});
