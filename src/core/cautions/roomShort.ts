import { pointAlong } from '../geometry/pointM';
import type { LayoutEdit } from '../layout/layoutEdit';
import type { Caution } from './caution';
import { ROUNDING } from './cautionLimits';
import { called, itemTracks, metresBy, type CautionContext, type TrackOfItems } from './cautionRule';
import { lineOf, withCompany } from './mendMoves';
import { shiftItems } from '../layout/shiftItems';
import type { Room } from './roomAround';

type RoomOf = (context: CautionContext, track: TrackOfItems) => Room | null;

/** A caution for each track that has less room than is wanted at one of its ends. */
export function roomShort(
  context: CautionContext,
  roomOf: RoomOf,
  wantedM: number,
  told: Pick<Caution, 'code' | 'mend'> & { text: (room: string, item: string) => string },
): Caution[] {
  return itemTracks(context).flatMap(track => {
    const room = roomOf(context, track);
    if (!room || room.roomM >= wantedM - ROUNDING) return [];
    return [
      {
        ...{ code: told.code, mend: told.mend, level: 'warn', items: [room.item] },
        place: { track: track.plan.id, part: null },
        text: told.text(metresBy(room.roomM, wantedM), called(context, room.item)),
      },
    ];
  });
}

/** The whole line moved ahead by so much, with what stands by it. */
export function moveLine({ layout }: CautionContext, room: Room, aheadM: number): LayoutEdit[] {
  const ids = withCompany(layout, lineOf(layout, [room.item]));
  return shiftItems(layout, ids, pointAlong({ xM: 0, yM: 0 }, room.headingRad, aheadM));
}

/** The room that a caution is about; null where its track is gone. */
export function roomOfCaution(context: CautionContext, { place }: Caution, roomOf: RoomOf): Room | null {
  const track = itemTracks(context).find(({ plan }) => plan.id === place.track);
  return track ? roomOf(context, track) : null;
}
