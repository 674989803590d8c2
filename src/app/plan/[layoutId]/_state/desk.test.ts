import { BARE_DESK, deskAfter, type Desk, type DeskAct } from './desk';

const after = (acts: readonly DeskAct[], from: Desk = BARE_DESK) => acts.reduce(deskAfter, from);
const fence: DeskAct = { do: 'select', selected: { ids: ['fence'], leg: null } };

describe('the plan page', () => {
  it('reads what is selected, and leaves the reading alone where nothing is', () => {
    const cautions = after([{ do: 'read', part: 'cautions' }]);
    expect(after([fence], cautions).part).toBe('numbers');
    expect(after([{ do: 'select', selected: { ids: [], leg: null } }], cautions).part).toBe('cautions');
    const leg = after([{ do: 'select leg', leg: { track: 'course', leg: 2 } }], cautions);
    expect([leg.part, leg.track, leg.selected.leg]).toEqual(['numbers', 'course', { track: 'course', leg: 2 }]);
  });

  it('lays a track with nothing selected, looks at it from its first stop on, and lets it go', () => {
    const laying = after([fence, { do: 'ride', track: 'new' }]);
    expect([laying.riding, laying.selected.ids, laying.track]).toEqual(['new', [], null]);
    const laid = after([{ do: 'rode over' }], laying);
    expect(laid.track).toBe('new');
    expect(after([{ do: 'end track' }], laid)).toMatchObject({ riding: null, track: 'new' });
    expect(after([{ do: 'let go' }], after([fence], laid))).toMatchObject({ riding: null, selected: { ids: [] } });
  });

  it('walks, waits and walks on from where it was', () => {
    const walking = after([{ do: 'walk' }]);
    expect([walking.walkedM, walking.playing]).toEqual([0, true]);
    const waiting = after([{ do: 'walk to', walkedM: 12 }, { do: 'walk' }], walking);
    expect([waiting.walkedM, waiting.playing]).toEqual([12, false]);
    expect(after([{ do: 'walk' }], waiting)).toMatchObject({ walkedM: 12, playing: true });
    // Closed while it played, it plays when it is opened again.
    expect(after([{ do: 'walk to', walkedM: null }, { do: 'walk' }], walking)).toMatchObject({
      walkedM: 0,
      playing: true,
    });
  });

  it('sits in the saddle at the beginning of the track, and wherever one walks', () => {
    const seated = after([{ do: 'in or out of the saddle' }]);
    expect([seated.walkedM, seated.saddle]).toEqual([0, true]);
    expect(after([{ do: 'in or out of the saddle' }], seated)).toMatchObject({ walkedM: 0, saddle: false });
    // Left by closing the walk, it is sat in again at once.
    expect(after([{ do: 'walk to', walkedM: null }, { do: 'in or out of the saddle' }], seated)).toMatchObject({
      walkedM: 0,
      saddle: true,
    });
  });

  it('has one thing over it at a time', () => {
    expect(
      after([
        { do: 'open', over: 'shelf' },
        { do: 'open', over: 'teach' },
      ]).over,
    ).toBe('teach');
    expect(
      after([
        { do: 'open', over: 'shelf' },
        { do: 'open', over: null },
      ]).over,
    ).toBeNull();
  });
});
